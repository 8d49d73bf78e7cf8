import { usualTemplate } from '@/core/advice/templates';
import { resolvePolicy } from '@/core/evidence/policy';
import { proposePlan } from '@/core/heap/plan';
import { foldBatch, type BatchState } from '@/core/log/fold';
import type { Entry, NewEntry } from '@/core/log/entry';
import { isoOf, MS } from '@/core/quantity/instant';
import { say } from '@/messages/say';

/** A made-up batch to look at before there is one of one's own. It is in no log: nothing of it is saved. */

const SAMPLE_ID = '00000000-0000-7000-8000-00000000005a';
/** Days since its last raw material went in, and the days on which it was turned. */
const AGE_DAYS = 12;
const TURNED_ON = [4, 7, 10];

/** Heat of its core on a day: it wakes, holds, and dips where it is turned. Made up. */
function coreOn(day: number): number {
  const since = Math.min(...TURNED_ON.filter((d) => d < day).map((d) => day - d), Infinity);
  const dip = since < 0.75 ? 9 * (1 - since) : 0;
  return 14 + 50 * (1 - Math.exp(-day / 1.1)) - dip;
}

const SPREAD_C = [0, -2.5, -3, -5.5, -6.5];

/** The sample as a log would have it. @param now it is twelve days old then */
export function sampleBatch(now: number): BatchState {
  const start = now - AGE_DAYS * MS.day - 3 * MS.hour;
  const entries: Entry[] = [];
  const put = <K extends NewEntry['kind']>(
    kind: K,
    at: number,
    data: Extract<NewEntry, { kind: K }>['data'],
  ): void => {
    const seq = entries.length + 1;
    const id = seq === 1 ? SAMPLE_ID : `${SAMPLE_ID.slice(0, -4)}${String(1000 + seq)}`;
    const head = { id, batch: SAMPLE_ID, at, by: 'Robin', kind, seq, recordedAt: at, hash: '' };
    entries.push({ ...head, data } as unknown as Entry);
  };
  const points = proposePlan({ shape: 'dome', coreDepthM: 0.9, lengthM: null }, 10, null);
  put('opened', start, {
    code: 'R',
    name: say('batch.sampleName'),
    method: 'turned',
    volumeM3: 4,
    shape: 'dome',
    coreDepthM: 0.9,
    points,
    rules: ['us-503-pfrp-turned'],
    ownRules: [],
    policy: resolvePolicy({}),
    template: usualTemplate('turned'),
    inputs: ['manure', 'garden'],
  } as never);
  put('built', start, {});
  for (let day = 0.5; day <= AGE_DAYS; day += 0.5) {
    const at = start + day * MS.day;
    const turned = TURNED_ON.find((d) => d === day);
    put('round', at, {
      source: 'hand',
      readings: points.map((p, i) => ({
        id: `sample-${day}-${p.id}`,
        at: isoOf(at),
        point: p.id,
        value: Math.round((coreOn(day) + (SPREAD_C[i] ?? -4)) * 10) / 10,
        unit: 'C',
        round: `sample-${day}`,
      })),
    } as never);
    if (turned !== undefined) put('turn', at + MS.hour, { full: true });
  }
  return foldBatch(entries);
}
