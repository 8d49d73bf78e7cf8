import { batchIdOf, type BatchId, type EntryId } from '../log/ids';
import { instantOf } from '../quantity/instant';
import { kindOfFileEvent, type NewEntry } from '../log/entry';
import type { FileEvent } from '../log/shapes';
import type { BatchFile } from './batch-file';
import { lastOf } from '../quantity/present';

/** As many readings go into one entry; the log stays readable and no row grows without bound. */
const READINGS_PER_ENTRY = 1000;

const SITE_FIELDS = ['name', 'timeZone', 'unit'];
const BATCH_FIELDS = ['code', 'name', 'method', 'builtAt', 'shape', 'coreDepthM'];
const FILE_FIELDS = [
  'format',
  'version',
  'site',
  'batch',
  'policy',
  'points',
  'probes',
  'readings',
  'ambient',
  'rules',
  'events',
  'terms',
  'trail',
  // What the installation that wrote it knew of its own log.
  'notice',
];

const without = (
  record: Record<string, unknown>,
  keys: readonly string[],
): Record<string, unknown> =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));

/** Where a batch that is brought in shall stand. */
export type BringInChoices = {
  readonly openedId: EntryId;
  readonly by: string;
  readonly rules: readonly string[];
  readonly bay?: string | undefined;
  /** SHA-256 of what was imported, which the opening entry keeps; absent: it is only looked at. */ readonly digest?: string;
  /** The id of the n-th entry behind the opening one: the same import gives the same ids, so that it can be sent twice. */
  readonly idOf: (n: number) => EntryId;
};

/** The entries that tell a batch file to the log; nothing that the file holds is dropped. */
export function entriesOfFile(file: BatchFile, to: BringInChoices): NewEntry[] {
  let count = 0;
  const nextId = (): EntryId => to.idOf((count += 1));
  const builtAt = instantOf(file.batch.builtAt);
  const base = { batch: batchIdOf({ id: to.openedId }), by: to.by };
  const { batch } = file;
  const opened: NewEntry = {
    ...base,
    id: to.openedId,
    at: builtAt,
    kind: 'opened',
    data: {
      code: batch.code,
      name: batch.name,
      method: batch.method,
      bay: to.bay,
      shape: batch.shape,
      coreDepthM: batch.coreDepthM,
      points: file.points,
      policy: file.policy,
      rules: [...to.rules],
      ownRules: file.rules ?? [],
      brought: {
        ...(to.digest === undefined ? {} : { digest: to.digest }),
        probes: file.probes,
        ambient: file.ambient,
        siteName: file.site.name,
        timeZone: file.site.timeZone,
        unit: file.site.unit,
        extra: {
          ...without(file, FILE_FIELDS),
          site: without(file.site, SITE_FIELDS),
          batch: without(batch, BATCH_FIELDS),
        },
      },
    },
  };
  const rounds: NewEntry[] = [];
  for (let i = 0; i < file.readings.length; i += READINGS_PER_ENTRY) {
    const readings = file.readings.slice(i, i + READINGS_PER_ENTRY);
    rounds.push({
      ...base,
      id: nextId(),
      at: instantOf(lastOf(readings).at),
      kind: 'round',
      data: { source: 'file', readings },
    });
  }
  return [
    opened,
    { ...base, id: nextId(), at: builtAt, kind: 'built', data: { as: batch.builtAt } },
    ...rounds,
    ...file.events.map((event) => entryOfEvent(event, { ...base, id: nextId() })),
  ];
}

function entryOfEvent(
  event: FileEvent,
  base: { id: EntryId; batch: BatchId; by: string },
): NewEntry {
  const {
    id: fileId,
    at,
    type,
    by,
    kind: was,
    ...data
  } = event as FileEvent & { kind?: unknown; by?: unknown };
  const kind = kindOfFileEvent(type, was);
  const words = kind === 'note' && !('words' in data) ? { words: '' } : {};
  return {
    ...base,
    by: typeof by === 'string' && by ? by : base.by,
    at: instantOf(at),
    kind,
    data: {
      ...words,
      ...data,
      fileId,
      extra: {
        at,
        ...(by === undefined ? {} : { by }),
        ...(kind === was || was === undefined ? {} : { kind: was }),
      },
    },
  } as NewEntry;
}
