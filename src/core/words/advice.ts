import { ageText, countText, durationText, missingText, soonText, tempBeside, tempText } from '../quantity/format';
import { localParts } from '../quantity/calendar';
import { MS } from '../quantity/instant';
import type { Locale } from './note';

/** Today, tomorrow, or the day's name. */
function dayWord(timeZone: string, at: number, now: number): string {
  const [p, today, tomorrow] = [at, now, now + MS.day].map((t) => localParts(timeZone, t)) as [LocalParts, LocalParts, LocalParts];
  return p.day === today.day ? 'today' : p.day === tomorrow.day ? 'tomorrow' : `on ${p.weekday}`;
}
type LocalParts = ReturnType<typeof localParts>;

type MarkName = 'turn' | 'water' | 'add' | 'cure' | 'probe' | 'note' | 'walk' | 'move' | 'flag' | 'check' | 'screen' | 'squeeze' | 'smell';

/** An imperative, its reason, and when; `urgent` cannot wait today. A caution stands where the work can hurt. */
export type AdviceWords = { readonly mark: MarkName; readonly act: string; readonly why: string; readonly caution?: string; readonly due: number | null; readonly urgent: boolean };

type Facts =
  | { code: 'CLOSE_WHEN_BUILT' } | { code: 'LEAVE_TO_CURE' } | { code: 'NOTHING' }
  | { code: 'TOO_HOT'; peakC: number; limitC: number; danger: boolean }
  | { code: 'READ_AFTER_TURN'; turnedAt: number; due: number; second: boolean }
  | { code: 'READ_BEFORE_LOST'; due: number; last: number; creditedHours: number; maxGapHours: number }
  | { code: 'READ_RECOVERING'; due: number; valueC: number; floorC: number }
  | { code: 'TURN_OWED'; owed: number; due: number }
  | { code: 'KEEP_READING'; due: number; missingHours: number }
  | { code: 'WAIT_FOR_HEAT'; due: number; valueC: number | null; floorC: number }
  | { code: 'FIND_OUT_WHY'; due: number; valueC: number; floorC: number }
  | { code: 'PROVEN_MOVE_ON'; valueC: number | null };

/** Cautions of the trade, one sentence each, shown where the work is. */
export const CAUTION = {
  steam: 'Steam and a hot core burn: gloves on, face away when you open it.',
  danger: 'Keep people back and do not open it blindly: air feeds a smoulder. If you see smoke or smell burning, call the fire service.',
  spores: 'Dry turning throws up dust and spores: damp it down or wear a mask, and keep people with weak lungs away.',
  burnt: 'A burnt smell can mean a smoulder: do not open the heap, keep people back, and call the fire service if there is smoke.',
  raw: 'Raw manure and leachate carry germs: gloves, and wash hands and tools before you touch a finished heap.',
} as const;

/** The one text of each advice. */
export function adviceWords(a: Facts, locale: Locale): AdviceWords {
  const { timeZone, now, unit } = locale;
  const by = (at: number): string => soonText(timeZone, at, now);
  const late = (at: number): boolean => at < now;
  const readAct = (at: number): string => (late(at) ? 'Read it now' : `Read by ${by(at)}`);
  switch (a.code) {
    case 'CLOSE_WHEN_BUILT':
      return { mark: 'add', act: 'Fill it, then close it', why: 'The clock starts when the last raw load is in, and not before.', due: null, urgent: false };
    case 'TOO_HOT':
      return {
        mark: 'turn', act: a.danger ? 'Stand back and check it now' : 'Cool it: turn or water',
        why: `${tempText(a.peakC, unit)} inside. Past ${tempText(a.limitC, unit)} a heap kills its own workers. Read it again within hours.`,
        caution: a.danger ? CAUTION.danger : CAUTION.steam, due: now, urgent: true,
      };
    case 'READ_AFTER_TURN':
      return {
        mark: 'probe', act: readAct(a.due),
        why: a.second ? 'A day after the turning: it shows whether the heat came back, and keeps the lost time short.' : 'Turned today. A reading this afternoon earns the hours since; without it they are lost.',
        due: a.due, urgent: false,
      };
    case 'READ_BEFORE_LOST':
      return { mark: 'probe', act: readAct(a.due), why: `Last hot round ${ageText((now - a.last) / MS.hour)} ago. Past ${ageText(a.maxGapHours)} its ${durationText(a.creditedHours)} are lost.`, due: a.due, urgent: true };
    case 'READ_RECOVERING':
      return { mark: 'probe', act: readAct(a.due), why: `${tempBeside(a.valueC, a.floorC, unit)} after its turning. Has until ${by(a.due)} to reach ${tempBeside(a.floorC, a.floorC, unit)}.`, due: a.due, urgent: a.due - now < 12 * MS.hour };
    case 'TURN_OWED':
      return { mark: 'turn', act: `Turn it ${dayWord(timeZone, a.due, now)}`, why: `${countText(a.owed, 'turning')} still owed, with a hot round between them. Read it first.`, caution: CAUTION.steam, due: a.due, urgent: false };
    case 'KEEP_READING':
      return { mark: 'probe', act: readAct(a.due), why: `${missingText(a.missingHours)} more. One round a day keeps the run.`, due: a.due, urgent: false };
    case 'WAIT_FOR_HEAT':
      return { mark: 'probe', act: readAct(a.due), why: a.valueC === null ? 'No round yet. The right mix warms within three days.' : `${tempBeside(a.valueC, a.floorC, unit)}, not yet ${tempBeside(a.floorC, a.floorC, unit)}. The right mix gets there within a week.`, due: a.due, urgent: false };
    case 'FIND_OUT_WHY':
      return { mark: 'water', act: 'Squeeze it, then water or turn', why: `${tempBeside(a.valueC, a.floorC, unit)} in the last round. Look at size, water, nitrogen and air, in that order; change one thing at a time.`, due: a.due, urgent: false };
    case 'PROVEN_MOVE_ON':
      return { mark: 'cure', act: 'Let it cool and cure', why: `${a.valueC === null ? '' : `${tempText(a.valueC, unit)} in the last round. `}Nothing raw goes in any more: it would start the clock again.`, due: null, urgent: false };
    case 'LEAVE_TO_CURE':
      return { mark: 'cure', act: 'Leave it to cure', why: 'Covered and moist. Nothing raw near it.', due: null, urgent: false };
    case 'NOTHING':
      return { mark: 'check', act: 'Nothing to do', why: 'Gone out. Its record stays.', due: null, urgent: false };
  }
}
