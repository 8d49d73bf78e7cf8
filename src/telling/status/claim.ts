import type { Claim } from '@/core/advice/claim';
import type { ReleaseDoubt } from '@/core/log/entry';
import { dayText, listText, soonText, tempText } from '@/core/quantity/format';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';

/** Since when somebody says that it is so, and what the log has to say to that. */
export function claimText(c: Claim, { timeZone, unit, now }: Locale): string {
  const met =
    c.met.length === 0
      ? c.asked === 0
        ? say('advice.noRuleToMeet')
        : say('advice.noRuleMet')
      : c.met.length < c.asked
        ? say('advice.meetsOfRules', { met: c.met.length, asked: c.asked })
        : say('advice.met', {
            met: listText(c.met.map((m) => `${m.title}, ${dayText(timeZone, m.at)}`)),
          });
  const r = c.lastRead;
  const over =
    r?.airC == null
      ? say('advice.airTemperatureNotLogged2')
      : say('advice.overOtherAir', {
          coreC: Math.round(Math.abs(r.coreC - r.airC) * (unit === 'F' ? 1.8 : 1)),
          unit,
          coreC2: r.coreC >= r.airC ? 'over' : 'other',
        });
  const read =
    r === null
      ? say('advice.itsTemperatureWasNeverTaken')
      : say('advice.insideAtLastReading', {
          coreC: tempText(r.coreC, unit),
          at: soonText(timeZone, r.at, now),
          over,
        });
  return say('advice.maturityWasNotTested', { met, read });
}

/** Why it should not go out yet, each to be confirmed by whoever lets it go. */
export function readingDoubtText(d: ReleaseDoubt, c: Claim, { unit }: Locale): string {
  const r = c.lastRead;
  switch (d) {
    case 'unproven':
      return c.asked === 0
        ? say('advice.itHasNoRuleMeet')
        : c.met.length === 0
          ? say('advice.itHasNotMetAny')
          : say('advice.itMeetsRules', { met: c.met.length, asked: c.asked });
    case 'warm':
      return r!.airC === null
        ? say('advice.itWasStillWarmInside', { coreC: tempText(r!.coreC, unit) })
        : say('advice.itWasStillWarmInside2', {
            coreC: tempText(r!.coreC, unit),
            airC: tempText(r!.airC, unit),
          });
    case 'unread':
      return r === null
        ? say('advice.itsTemperatureWasNeverTaken2')
        : say('advice.noTemperatureInLastSeven');
  }
}
