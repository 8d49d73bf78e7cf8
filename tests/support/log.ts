import type { Entry, NewEntry } from '@/core/log/entry';
import type { EntryId } from '@/core/log/ids';
import { newId } from '@/platform/ids';
import { batchId, entryId } from './ids';

type Put = { at: number; by?: string; recordedAt?: number; id?: string };

/** A log of one batch in memory, entry by entry, for tests of what is folded from it. */
export function logOf(
  openedAt: number,
  opened: Partial<Extract<NewEntry, { kind: 'opened' }>['data']> = {},
) {
  const batch = batchId(newId());
  const entries: Entry[] = [];
  const put = <K extends NewEntry['kind']>(
    kind: K,
    data: Extract<NewEntry, { kind: K }>['data'],
    { at, by = 'Mo', recordedAt = at, id = newId() }: Put,
  ): EntryId => {
    entries.push({
      id,
      batch,
      at,
      by,
      kind,
      data,
      seq: entries.length + 1,
      recordedAt,
      hash: '',
    } as unknown as Entry);
    return entryId(id);
  };
  put(
    'opened',
    {
      code: 'E',
      name: 'Egret',
      method: 'turned',
      points: ['P1', 'P2', 'P3'].map((id) => ({ id })),
      policy: {},
      rules: ['us-503-pfrp-turned'],
      ownRules: [],
      ...opened,
    },
    { at: openedAt, id: batch },
  );
  const round = (at: number, ...values: number[]): EntryId => {
    const id = newId();
    return put(
      'round',
      {
        source: 'hand',
        readings: values.map((value, i) => ({
          id: `${id}.${i + 1}`,
          at: new Date(at).toISOString(),
          point: `P${i + 1}`,
          value,
          unit: 'C' as const,
          round: id,
        })),
      },
      { at, id },
    );
  };
  return { batch, entries, put, round };
}
