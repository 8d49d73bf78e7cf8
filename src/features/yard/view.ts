import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { isGone, isLive } from '@/core/advice/situation';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { nextAdvice } from '@/core/advice/next';
import { positionShort } from '@/core/words/position';
import { heapPicture } from '@/core/snapshot/picture';
import {
  ageText,
  durationText,
  tempBeside,
  tempFigure,
  volumeText,
  whenText,
  dayText,
} from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { adviceWords, type AdviceWords } from '@/telling/status/advice';
import type { Locale } from '@/core/words/note';
import { progressText, turningsText, uncounted } from '@/core/evidence/verdict-words';
import type { Plot } from './plot';
import { applyFilter, NO_FILTER, type Listed, type YardFilter } from './filter';
import { firstOf } from '@/core/quantity/present';

/** What a rule that leads comes to, in a line. */
function leadText(
  d: BatchSnapshot,
  lead: BatchSnapshot['rules'][number],
  age: string,
): { head: string; sub: string } {
  const turned = lead.turningsRequired > 0 ? turningsText(lead) : '';
  const doubt = uncounted(lead);
  if (doubt && lead.status !== 'proven')
    return {
      head: firstOf(doubt).text.replace(/: .*$/, '').trim(),
      sub: say('yard.doesNotCountYet'),
    };
  if (lead.status === 'recovering')
    return {
      head: say('yard.paused', { creditedHours: durationText(lead.creditedHours) }),
      sub: turned,
    };
  if (d.state === 'broken')
    return {
      head: say('yard.startsOver', { lead: progressText(lead) }),
      sub: d.lostHours > 0 ? say('yard.lost', { lostHours: durationText(d.lostHours) }) : turned,
    };
  return {
    head: lead.status === 'broken' ? say('yard.notHotEnoughSoFar') : progressText(lead),
    sub: turned || age,
  };
}

/** How many of several rules are met; empty: there are not several. */
const metText = ({ rules: { asked, met } }: BatchSnapshot['situation']): string =>
  asked > 1 ? say('yard.meetsOfRules', { met: met.length, asked }) : '';

function headOf(d: BatchSnapshot, { timeZone, unit, now }: Locale): { head: string; sub: string } {
  const lead = d.rules[0];
  const { stage } = d.situation;
  const age =
    d.builtAt === null
      ? ''
      : say('yard.day', { value: Math.floor((now - d.builtAt) / MS.day) + 1 });
  const some = (...parts: string[]): string => parts.filter(Boolean).join(' · ');
  const proof = lead?.provenAt
    ? say('yard.met', { provenAt: dayText(timeZone, lead.provenAt) })
    : '';
  const several = metText(d.situation);
  const standing = proof
    ? `${proof}: ${libraryText(lead!.title)}`
    : lead
      ? say('yard.notMet')
      : say('yard.noRuleToMeet');
  if (d.state === 'building')
    return {
      head: say('yard.stillBeingBuilt'),
      sub: say('yard.started', { openedAt: whenText(timeZone, d.openedAt, now) }),
    };
  if (stage.code === 'released' || stage.code === 'ended')
    return { head: say('yard.released'), sub: standing };
  if (stage.code === 'ready' || stage.code === 'curing')
    return {
      head: stage.code === 'ready' ? say('yard.markedReady') : say('yard.curing'),
      sub: some(saidBy(stage, timeZone), standing, several, warmthText(d.situation, unit)),
    };
  if (!lead) return { head: say('yard.noRuleToMeet2'), sub: age };
  if (lead.status === 'proven') return { head: proof, sub: some(libraryText(lead.title), several) };
  const { head, sub } =
    d.state === 'waiting' && !uncounted(lead)
      ? { head: d.latest ? say('yard.notHotEnoughSoFar') : say('yard.noTemperaturesYet'), sub: age }
      : leadText(d, lead, age);
  return { head, sub: some(sub, several) };
}

/** Who said so, and when. */
const saidBy = ({ by, since }: BatchSnapshot['situation']['stage'], timeZone: string): string =>
  [by, dayText(timeZone, since)].filter(Boolean).join(', ');

/** How warm it was over the air when it was last read. */
function warmthText({ lastRead }: BatchSnapshot['situation'], unit: Locale['unit']): string {
  if (lastRead === null) return say('yard.noTemperatures');
  return lastRead.airC === null
    ? say('yard.airTemperatureMissing')
    : say('yard.aboveAir', {
        coreC: Math.round((lastRead.coreC - lastRead.airC) * (unit === 'F' ? 1.8 : 1)),
        unit,
      });
}

/** Age of the last reading once it is over half the gap that the policy allows; before that its value alone. */
function footOf(d: BatchSnapshot, { unit, now }: Locale): string {
  if (!d.latest) return say('yard.noTemperaturesYet2');
  const hours = (now - d.latest.at) / MS.hour;
  return hours > d.maxGapHours / 2
    ? say('yard.sinceLastCheck', { hours: ageText(hours) })
    : say('yard.coldest', { valueC: tempBeside(d.latest.valueC, d.situation.proof.floorC, unit) });
}

const briefly = (words: AdviceWords): AdviceWords => ({ ...words, why: words.brief ?? words.why });

const plotOf = (d: BatchSnapshot, locale: Locale): Plot => ({
  id: d.id,
  name: d.name ?? d.code,
  place: positionShort(d.position) || say('yard.noBay'),
  volume: d.volumeM3 === null ? '' : volumeText(d.volumeM3),
  foot: footOf(d, locale),
  ...headOf(d, locale),
  advice: briefly(adviceWords(nextAdvice({ ...d.situation, now: locale.now }), locale)),
});

/** As many heaps are drawn; of a larger site's the others are rows. */
export const MOST_DRAWN = 36;

/** What comes first where not all can be drawn: danger, what cannot wait, what works on a rule, then what was built last. */
const nearness = ({ d, plot }: Listed): number =>
  plot.advice.danger ? 0 : plot.advice.urgent ? 1 : isLive(d.situation) ? 2 : 3;

/** Those that are drawn. */
function chooseDrawn(standing: readonly Listed[]): ReadonlySet<Listed> {
  if (standing.length <= MOST_DRAWN) return new Set(standing);
  const byNearness = [...standing].sort(
    (a, b) => nearness(a) - nearness(b) || (b.d.builtAt ?? Infinity) - (a.d.builtAt ?? Infinity),
  );
  return new Set(byNearness.slice(0, MOST_DRAWN));
}

/** Everything the yard shows. @param board by bay */
export function yardScreen(
  board: readonly BatchSnapshot[],
  locale: Locale,
  filter: YardFilter = NO_FILTER,
) {
  const all = board
    .filter((d) => !isGone(d.situation))
    .map((d): Listed => ({ d, plot: plotOf(d, locale) }));
  const standing = applyFilter(all, filter, locale.now);
  const drawn = chooseDrawn(standing);
  return {
    heaps: standing
      .filter((shown) => drawn.has(shown))
      .map(({ d, plot }) => ({
        plot,
        picture: heapPicture(d, locale.now, locale.unit),
      })),
    /** The others. */
    rows: standing.filter((shown) => !drawn.has(shown)).map(({ plot }) => plot),
    /** Batches that have left the yard. */
    gone: board.length - all.length,
    /** Of how many these were chosen. */ of: all.length,
    figures: [25, 40, 55, 65, 70, 77].map((c) => tempFigure(c, locale.unit)),
  };
}
