import { say } from '@/messages/say';
import type { Stratum } from '@/core/evidence/spans';
import { ageText, lowerFirst, tempBeside, volumeText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { statusOfBatch } from '@/core/status/batch-status';
import type { Locale } from '@/core/words/note';
import { positionText } from '@/core/words/position';
import { progressLine } from './rules';

/** What a drawn heap needs; structural, so that charts know no batch. */
export type HeapPicture = {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly bay: string | null;
  readonly state: BatchSnapshot['state'];
  readonly volume: number;
  readonly strata: readonly Pick<Stratum, 'hours' | 'meanC' | 'uncredited'>[];
  readonly requiredHours: number;
  readonly turningsRequired: number;
  readonly lostHours: number;
  readonly heartC?: number;
  readonly stale: boolean;
  readonly met: boolean;
  readonly says: string;
};

const DEFAULT_VOLUME_M3 = 3;

const toHundredths = (n: number): number => Math.round(n * 100) / 100;
/** A drawing is no measurement: more figures than the eye can tell only weigh. */
const roundedStratum = ({ hours, meanC, uncredited }: Stratum): HeapPicture['strata'][number] => ({
  hours: toHundredths(hours),
  meanC: toHundredths(meanC),
  uncredited: toHundredths(uncredited),
});

/** How far it is and how warm, in a line; empty parts are left out. */
export function standingText(d: BatchSnapshot, locale: Locale): string {
  const { now, unit } = locale;
  const status = statusOfBatch(d, now);
  const coldest = d.latest
    ? say('snapshot.coldestAgo', {
        valueC: tempBeside(d.latest.valueC, d.situation.proof.floorC, unit),
        age: ageText((now - d.latest.at) / MS.hour),
      })
    : say('snapshot.noTemperaturesYet');
  const standing =
    status.stage.code === 'building'
      ? lowerFirst(say('status.stillBeingBuilt'))
      : progressLine(status, locale);
  return [standing, coldest].filter(Boolean).join(', ');
}

/** A heap as the skyline and its card draw it. Volumes in m³ or yd³ by the choice of the device. */
export function heapPicture(d: BatchSnapshot, locale: Locale): HeapPicture {
  const lead = d.rules[0];
  return {
    id: d.id,
    code: d.code,
    name: d.name ?? d.code,
    bay: d.bay,
    state: d.state,
    volume: d.volumeM3 ?? DEFAULT_VOLUME_M3,
    strata: d.strata.map(roundedStratum),
    requiredHours: lead?.totalHours ?? 360,
    turningsRequired: lead?.turningsRequired ?? 0,
    lostHours: d.lostHours,
    ...(d.state === 'hot' && d.latest ? { heartC: d.latest.peakC } : {}),
    stale: false,
    met: lead?.provenAt != null,
    // The flag's letters are read out too where they are more than one.
    says: [
      d.name === null ? d.code : d.code.length > 1 ? `${d.name} ${d.code}` : d.name,
      positionText(d.position),
      d.volumeM3 ? volumeText(d.volumeM3) : '',
      standingText(d, locale),
    ]
      .filter(Boolean)
      .join(', '),
  };
}

const counted = new Intl.Collator('en', { numeric: true }).compare;

const alongRow = ({ position }: BatchSnapshot): number =>
  position && 'row' in position ? position.fromM : 0;
const placeWord = ({ position }: BatchSnapshot): string =>
  position === null ? '' : 'row' in position ? `~${position.row}` : position.bay;

/** Bays in the order that people count them, 2 before 10; then rows from their start; heaps without a place last. */
export const byBay = (a: BatchSnapshot, b: BatchSnapshot): number =>
  Number(a.position === null) - Number(b.position === null) ||
  Number(a.bay === null) - Number(b.bay === null) ||
  counted(placeWord(a), placeWord(b)) ||
  alongRow(a) - alongRow(b) ||
  counted(a.code, b.code);
