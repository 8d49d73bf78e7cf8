import { say } from '../../messages/say';
import { ageText, durationText, spanText, tempBeside, whenText } from '../quantity/format';
import { MS, type Instant } from '../quantity/instant';
import type { TempUnit } from '../units/units';

/** What a note says, as data. Instants are ms, temperatures °C. */
export type NoteFact =
  | { code: 'RESTART'; what: 'add' | 'water' | 'merge'; clock: 'germs' | 'seeds' }
  | { code: 'PROOF_LOST'; provenAt: Instant }
  | { code: 'STRADDLES_RESTART' }
  | { code: 'LONG_ROUND' }
  | { code: 'THIN_ROUND'; points: number; minPoints: number }
  | { code: 'ROUND_TO_CHECK' }
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

/** Where and how a text is read. */
export type Locale = {
  readonly timeZone: string;
  readonly unit: TempUnit;
  readonly now: Instant;
};

const RESTART_WHAT = {
  get add() {
    return say('terms.somethingRawWasAdded');
  },
  get water() {
    return say('terms.uncleanWaterWasAdded');
  },
  get merge() {
    return say('terms.itWasJoinedWithBatch');
  },
};
const SEED_WHAT = {
  get add() {
    return say('terms.somethingWithLiveWeedSeeds');
  },
  get water() {
    return say('terms.waterWithLiveWeedSeeds');
  },
  get merge() {
    return say('terms.itWasJoinedWithBatch2');
  },
};

const lost = (ms: number): string =>
  ms > 0 ? say('terms.ofNoLongerCountToward', { ms: durationText(ms / MS.hour) }) : '';

/** The one text of each note. No default: a new code does not compile until it has a sentence. */
export function noteText(fact: NoteFact, at: Instant, { timeZone, unit, now }: Locale): string {
  const when = (t: Instant): string => whenText(timeZone, t, now);
  const t = (celsius: number, limitC: number): string => tempBeside(celsius, limitC, unit);
  const limit = (celsius: number): string => tempBeside(celsius, celsius, unit);
  switch (fact.code) {
    case 'RESTART':
      return say('terms.onSoClockStartsOver', {
        seedwhat: (fact.clock === 'seeds' ? SEED_WHAT : RESTART_WHAT)[fact.what],
        at: when(at),
      });
    case 'PROOF_LOST':
      return say('terms.itMetRuleOnWhat', { provenAt: when(fact.provenAt), at: when(at) });
    case 'STRADDLES_RESTART':
      return say('terms.theCheckEndedBeganBefore', { at: when(at) });
    case 'LONG_ROUND':
      return say('terms.theCheckEndedTookMore', { at: when(at) });
    case 'THIN_ROUND':
      return say('terms.onlyPointPointsReadOn', {
        points: fact.points,
        at: when(at),
        minPoints: fact.minPoints,
      });
    case 'ROUND_TO_CHECK':
      return say('terms.traineesRound');
    case 'DRY_ROUND':
      return say('terms.theBatchWasLoggedAs', { at: when(at) });
    case 'COLD':
      return say('terms.theCheckCameBelowWith', {
        at: when(at),
        valueC: t(fact.valueC, fact.floorC),
        floorC: limit(fact.floorC),
        lostMs: lost(fact.lostMs),
      });
    case 'OVER_CEILING':
      return say('terms.aPointReadOnAbove', {
        peakC: t(fact.peakC, fact.ceilingC),
        at: when(at),
        ceilingC: limit(fact.ceilingC),
        lostMs: lost(fact.lostMs),
      });
    case 'RECOVERING':
      return say('terms.theCheckCameAfterTurning', {
        at: when(at),
        valueC: t(fact.valueC, fact.floorC),
        until: fact.until < now ? 'itHad' : 'other',
        until2: when(fact.until),
        floorC: limit(fact.floorC),
      });
    case 'SLOW_RECOVERY':
      return say('terms.itWasHotAgainBy', { at: when(at), lostMs: lost(fact.lostMs) });
    case 'GAP':
      return say('terms.noTemperaturesForBeforeAt', {
        gapMs: ageText(fact.gapMs / MS.hour),
        at: when(at),
        maxGapHours: ageText(fact.maxGapHours),
        lostMs: lost(fact.lostMs),
      });
    case 'STALE':
      return say('terms.noHotCheckSinceLonger', {
        since: when(fact.since),
        lostMs: lost(fact.lostMs),
      });
    case 'TURN_PARTIAL':
      return say('terms.theTurningWasPartialTurn', { at: when(at) });
    case 'TURN_WITHOUT_HEAT':
      return say('terms.itWasNotHotBetween', { at: when(at) });
    case 'TURN_WITHOUT_HOLD':
      return say('terms.theTurningCameBeforeBatch', { at: when(at) });
    case 'TURN_OUTSIDE_RUN':
      return fact.mayStill
        ? say('terms.theTurningDoesNotCount', { at: when(at) })
        : say('terms.theTurningFallsOutsideHot', { at: when(at) });
    case 'UNCHECKED_PROBE':
      return say('terms.thermometerWasNotCheckedIn', {
        probe: fact.probe,
        days: spanText(fact.days * 24),
        count: fact.count,
      });
    case 'CALIBRATION_POOR':
      return say('terms.theChecksThermometerOnDo', { probe: fact.probe, at: when(at) });
    case 'LATE_ENTRY':
      return say('terms.readingReadingsCheckOneOther', {
        count: fact.count,
        at: when(at),
        hours: durationText(fact.hours),
      });
    case 'EXCLUDED_READING':
      return say('terms.atOnWasDoesNot', {
        valueC: limit(fact.valueC),
        point: fact.point,
        at: when(at),
        flag: fact.flag,
      });
    case 'EXCLUDED_MATTERS':
      return say('terms.ifRejectedAtCountedVerdict', {
        valueC: limit(fact.valueC),
        point: fact.point,
        at: when(at),
      });
    case 'METHOD_MISMATCH':
      return say('terms.thisRuleNotWrittenFor', { method: fact.method });
    case 'MOISTURE_UNKNOWN':
      return say('terms.moistureWasNotLoggedDry');
  }
}
