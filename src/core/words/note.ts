import {
  ageText,
  countText,
  durationText,
  spanText,
  tempBeside,
  whenText,
} from '../quantity/format';
import { MS, type Instant } from '../quantity/instant';
import type { TempUnit, VolumeUnit } from '../quantity/units';

/** What a note says, as data. Instants are ms, temperatures °C. */
export type NoteFact =
  | { code: 'RESTART'; what: 'add' | 'water' | 'merge'; clock: 'germs' | 'seeds' }
  | { code: 'PROOF_LOST'; provenAt: Instant }
  | { code: 'STRADDLES_RESTART' }
  | { code: 'LONG_ROUND' }
  | { code: 'THIN_ROUND'; points: number; minPoints: number }
  | { code: 'DRY_ROUND' }
  | { code: 'COLD'; valueC: number; floorC: number; lostMs: number }
  | { code: 'OVER_CEILING'; peakC: number; ceilingC: number; lostMs: number }
  | { code: 'RECOVERING'; valueC: number; floorC: number; until: Instant }
  | { code: 'SLOW_RECOVERY'; lostMs: number }
  | { code: 'GAP'; gapMs: number; maxGapHours: number; lostMs: number }
  | { code: 'STALE'; since: Instant; lostMs: number }
  | { code: 'TURN_PARTIAL' }
  | { code: 'TURN_WITHOUT_HEAT' }
  | { code: 'TURN_WITHOUT_HOLD' }
  | { code: 'TURN_OUTSIDE_RUN'; mayStill: boolean }
  | { code: 'UNCHECKED_PROBE'; probe: string; count: number; days: number }
  | { code: 'CALIBRATION_POOR'; probe: string }
  | { code: 'LATE_ENTRY'; count: number; hours: number }
  | { code: 'EXCLUDED_READING'; flag: 'superseded' | 'rejected'; valueC: number; point: string }
  | { code: 'EXCLUDED_MATTERS'; valueC: number; point: string }
  | { code: 'METHOD_MISMATCH'; method: 'turned' | 'static' | 'vessel' }
  | { code: 'MOISTURE_UNKNOWN' };

export type NoteCode = NoteFact['code'];

/** A dated remark on a verdict. For a break `at` is the round that ended the run and `from` its last hot round. */
export type Note = {
  readonly code: NoteCode;
  /** The note as data, to say it again in another unit. */
  readonly fact: NoteFact;
  readonly at: Instant;
  readonly from?: Instant;
  readonly to?: Instant;
  readonly readings?: readonly string[];
  readonly text: string;
};

/** Where and how a text is read; volumes in m³ unless said. */
export type Locale = {
  readonly timeZone: string;
  readonly unit: TempUnit;
  readonly now: Instant;
  readonly volume?: VolumeUnit;
};

const RESTART_WHAT = {
  add: 'Something raw went in',
  water: 'Unclean water went in',
  merge: 'It was joined with a heap that is not proven',
};
const SEED_WHAT = {
  add: 'Something with live seeds went in',
  water: 'Water with live seeds went in',
  merge: 'It was joined with a heap whose seeds are not proven dead',
};

const lost = (ms: number): string =>
  ms > 0 ? ` ${durationText(ms / MS.hour)} of this run no longer count toward days in a row.` : '';

/** The one text of each note. No default: a new code does not compile until it has a sentence. */
export function noteText(fact: NoteFact, at: Instant, { timeZone, unit, now }: Locale): string {
  const when = (t: Instant): string => whenText(timeZone, t, now);
  const t = (celsius: number, limitC: number): string => tempBeside(celsius, limitC, unit);
  const limit = (celsius: number): string => tempBeside(celsius, celsius, unit);
  switch (fact.code) {
    case 'RESTART':
      return `${(fact.clock === 'seeds' ? SEED_WHAT : RESTART_WHAT)[fact.what]} on ${when(at)}, so the clock starts again from there.`;
    case 'PROOF_LOST':
      return `It was proven on ${when(fact.provenAt)}. What went in on ${when(at)} was not heated with the rest, so that proof no longer covers the heap.`;
    case 'STRADDLES_RESTART':
      return `The round that ended ${when(at)} began before the clock started again and is left out whole.`;
    case 'LONG_ROUND':
      return `The round that ended ${when(at)} took more than 6 hours, so its later readings count as a round of their own.`;
    case 'THIN_ROUND':
      return `Only ${countText(fact.points, 'point')} read on ${when(at)}, ${fact.minPoints} are needed: the round is set aside and earns nothing.`;
    case 'DRY_ROUND':
      return `The heap was logged as dry when it was read on ${when(at)}: that heat does not count for seeds until a squeeze test says that it is moist again.`;
    case 'COLD':
      return `The round of ${when(at)} came to ${t(fact.valueC, fact.floorC)}, under ${limit(fact.floorC)}, with no turning to excuse it.${lost(fact.lostMs)}`;
    case 'OVER_CEILING':
      return `A point read ${t(fact.peakC, fact.ceilingC)} on ${when(at)}, over the rule's ${limit(fact.ceilingC)}.${lost(fact.lostMs)}`;
    case 'RECOVERING':
      return `The round of ${when(at)} came to ${t(fact.valueC, fact.floorC)} after a turning: paused, not broken. ${fact.until < now ? 'It had' : 'It has'} until ${when(fact.until)} to reach ${limit(fact.floorC)}.`;
    case 'SLOW_RECOVERY':
      return `It was hot again by ${when(at)}, but later than the turning excuses.${lost(fact.lostMs)}`;
    case 'GAP':
      return `No round for ${ageText(fact.gapMs / MS.hour)} before ${when(at)}; at most ${ageText(fact.maxGapHours)} can be credited.${lost(fact.lostMs)}`;
    case 'STALE':
      return `No hot round since ${when(fact.since)}: longer than can be credited.${lost(fact.lostMs)}`;
    case 'TURN_PARTIAL':
      return `The turning of ${when(at)} was not a full one and does not count.`;
    case 'TURN_WITHOUT_HEAT':
      return `No hot round between the turning of ${when(at)} and the one before, so it does not count.`;
    case 'TURN_WITHOUT_HOLD':
      return `The turning of ${when(at)} came before the heap had held its heat long enough since the turning before, so it completes no stage.`;
    case 'TURN_OUTSIDE_RUN':
      return fact.mayStill
        ? `The turning of ${when(at)} does not count yet. It will when a hot round follows in the same run.`
        : `The turning of ${when(at)} lies outside a run of hot rounds and does not count.`;
    case 'UNCHECKED_PROBE':
      return `Thermometer ${fact.probe} had no check in the ${spanText(fact.days * 24)} before ${countText(fact.count, 'reading')}. They count; check it in ice water.`;
    case 'CALIBRATION_POOR':
      return `The checks of thermometer ${fact.probe} on ${when(at)} do not fit together; only their mean offset is used. Check it again.`;
    case 'LATE_ENTRY':
      return `${countText(fact.count, 'reading')} of the round of ${when(at)} ${fact.count === 1 ? 'was' : 'were'} entered ${durationText(fact.hours)} later.`;
    case 'EXCLUDED_READING':
      return `${limit(fact.valueC)} at ${fact.point} on ${when(at)} was ${fact.flag} and takes no part.`;
    case 'EXCLUDED_MATTERS':
      return `With the rejected ${limit(fact.valueC)} at ${fact.point} of ${when(at)} in, the verdict would be worse.`;
    case 'METHOD_MISMATCH':
      return `This rule is not written for a heap kept as ‘${fact.method}’.`;
    case 'MOISTURE_UNKNOWN':
      return 'Whether the heap was moist was not recorded. Dry seeds survive heat that kills moist ones.';
  }
}
