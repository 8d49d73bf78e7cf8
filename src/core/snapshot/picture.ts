import type { BatchSnapshot } from './batch-snapshot';
import { ageText, tempBeside, volumeText } from '../quantity/format';
import { positionText } from '../words/position';
import type { TempUnit, VolumeUnit } from '../quantity/units';
import { MS } from '../quantity/instant';
import { progressText, statusWord, turningsText } from '../evidence/verdict-words';

/** What a drawn heap needs; structural, so that charts know no batch. */
export type HeapPicture = {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly bay: string | null;
  readonly state: BatchSnapshot['state'];
  readonly volume: number;
  readonly strata: BatchSnapshot['strata'];
  readonly requiredHours: number;
  readonly turningsRequired: number;
  readonly lostHours: number;
  readonly heartC?: number;
  readonly stale: boolean;
  readonly met: boolean;
  readonly says: string;
};

const DEFAULT_VOLUME_M3 = 3;

/** A heap as the skyline and its card draw it. Volumes in m³ or yd³ by the choice of the device. */
export function heapPicture(
  d: BatchSnapshot,
  now: number,
  unit: TempUnit,
  volume: VolumeUnit = 'm3',
): HeapPicture {
  const lead = d.rules[0];
  const coldest = d.latest
    ? `coldest ${tempBeside(d.latest.valueC, d.situation.proof.floorC, unit)}, read ${ageText((now - d.latest.at) / MS.hour)} ago`
    : 'not read yet';
  const standing =
    d.state === 'building'
      ? 'still building'
      : lead
        ? `${statusWord(lead).toLowerCase()}, ${progressText(lead)}${lead.turningsRequired ? `, ${turningsText(lead)}` : ''}`
        : '';
  return {
    id: d.id,
    code: d.code,
    name: d.name ?? d.code,
    bay: d.bay,
    state: d.state,
    volume: d.volumeM3 ?? DEFAULT_VOLUME_M3,
    strata: d.strata,
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
      d.volumeM3 ? volumeText(d.volumeM3, volume) : '',
      standing,
      coldest,
    ]
      .filter(Boolean)
      .join(', '),
  };
}

const counted = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

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
