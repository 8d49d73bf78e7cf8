import { say } from '@/messages/say';
import type { BatchState } from '@/core/log/fold';
import type { SiteState } from '@/core/log/fold';
import { dayText, joinParts, listText } from '@/core/quantity/format';
import type { RecordDoc } from './view';

/** What an inspector looks for first, of one batch. */
export type InspectedBatch = {
  readonly id: string;
  readonly name: string;
  /** Each standard by its name, met or not. */
  readonly outcome: RecordDoc['outcome'];
  readonly whoMeasured: string;
  readonly withWhat: string;
  readonly checked: readonly string[];
  readonly missing: readonly string[];
  readonly record: RecordDoc;
};

/** What whoever has a link reads. */
export type InspectionView = {
  readonly site: string;
  readonly until: string;
  /** What has become of it since the last visit; the first time: that it is remembered. */
  readonly since: readonly string[];
  /** Something that was there at the last visit is gone or changed. */ readonly changed: boolean;
  readonly batches: readonly InspectedBatch[];
};

/** People with the number of temperature checks that each made. */
function whoMeasured({ entries }: BatchState): string {
  const rounds = new Map<string, number>();
  for (const e of entries) if (e.kind === 'round') rounds.set(e.by, (rounds.get(e.by) ?? 0) + 1);
  return [...rounds]
    .sort(([, a], [, b]) => b - a)
    .map(([by, n]) => `${by}: ${say('record.checksOfThem', { n })}`)
    .join('; ');
}

const probesOf = ({ readings }: BatchState): string[] => [
  ...new Set(readings.flatMap((r) => r.probe ?? [])),
];

/** When each thermometer was last compared with a reference, and how far it was off. */
const checksOf = (probes: readonly string[], site: SiteState, timeZone: string): string[] =>
  probes.map((probe) => {
    const last = site.probes.get(probe)?.at(-1);
    return last
      ? joinParts(
          probe,
          dayText(timeZone, last.at),
          say('record.offBy', { k: Math.round((last.readC - last.referenceC) * 10) / 10 }),
        )
      : joinParts(probe, say('record.neverChecked'));
  });

/** What an inspector looks for, out of a batch and its record. */
export function inspectedBatch(
  record: RecordDoc,
  state: BatchState,
  site: SiteState,
  timeZone: string,
): InspectedBatch {
  const probes = probesOf(state);
  return {
    id: state.id,
    name: state.opened.name ?? state.opened.code,
    outcome: record.outcome,
    whoMeasured: whoMeasured(state),
    withWhat: probes.length > 0 ? listText(probes) : say('record.noThermometer'),
    checked: checksOf(probes, site, timeZone),
    missing: [
      ...record.questions.open,
      ...record.outcome.filter((o) => !o.met).map((o) => `${o.rule}: ${o.text}`),
    ],
    record,
  };
}
