import { say } from '@/messages/say';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { actOfAdvice, statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import { positionShort } from '@/core/words/position';
import { heapPicture } from '@/telling/status/picture';
import { adviceWords, type AdviceWords } from '@/telling/status/advice';
import { mainLine, mainText, othersMetText } from '@/telling/status/rules';
import { saysOf } from '@/telling/status/says';
import {
  ageText,
  tempBeside,
  tempFigure,
  volumeText,
  whenText,
  dayText,
} from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';
import type { Plot } from './plot';
import { applyFilter, NO_FILTER, type Listed, type YardFilter } from './filter';

const some = (...parts: readonly string[]): string => parts.filter(Boolean).join(' · ');

/** How far a batch is: its stage where somebody said it, else the rule that is worked on. */
function headOf(
  d: BatchSnapshot,
  status: BatchStatus,
  locale: Locale,
): { head: string; sub: string; says: string | undefined } {
  const { timeZone, unit, now } = locale;
  const { stage } = status;
  if (stage.code === 'building')
    return {
      head: say('status.stillBeingBuilt'),
      sub: say('status.started', { at: whenText(timeZone, d.openedAt, now) }),
      says: saysOf(status, 'stage'),
    };
  const standing = mainText(status, locale);
  if (stage.code === 'released' || stage.code === 'ended')
    return { head: say('status.finished'), sub: standing, says: saysOf(status, 'stage', 'main') };
  if (stage.code === 'ready' || stage.code === 'curing')
    return {
      head: stage.code === 'ready' ? say('status.markedReady') : say('status.curing'),
      sub: some(
        saidBy(stage, timeZone),
        standing,
        othersMetText(status),
        warmthText(d.situation, unit),
      ),
      says: saysOf(status, 'stage', 'main'),
    };
  const line = mainLine(status, d.lostHours, locale);
  return {
    head: line.head,
    sub: some(stage.held ? say('status.onHold') : '', line.sub),
    says: saysOf(status, 'main'),
  };
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

function plotOf(d: BatchSnapshot, status: BatchStatus, locale: Locale): Plot {
  const act = actOfAdvice(status, status.next);
  return {
    id: d.id,
    name: d.name ?? d.code,
    place: positionShort(d.position) || say('yard.noBay'),
    volume: d.volumeM3 === null ? '' : volumeText(d.volumeM3),
    foot: footOf(d, locale),
    ...headOf(d, status, locale),
    advice: briefly(adviceWords(status.next, locale)),
    adviceSays: saysOf(status, 'danger', ...(act ? [`act:${act.kind}` as const] : [])),
  };
}

/** As many heaps are drawn; of a larger site's the others are rows. */
export const MOST_DRAWN = 36;

/** What comes first where not all can be drawn: danger, what cannot wait, what works on a rule, then what was built last. */
const nearness = ({ status, plot }: Listed): number =>
  plot.advice.danger ? 0 : plot.advice.urgent ? 1 : status.isLive ? 2 : 3;

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
    .map((d) => ({ d, status: statusOfBatch(d, locale.now) }))
    .filter(({ status }) => !status.isGone)
    .map(({ d, status }): Listed => ({ d, status, plot: plotOf(d, status, locale) }));
  const standing = applyFilter(all, filter, locale.now);
  const drawn = chooseDrawn(standing);
  return {
    heaps: standing
      .filter((shown) => drawn.has(shown))
      .map(({ d, plot }) => ({
        plot,
        picture: heapPicture(d, locale),
      })),
    /** The others. */
    rows: standing.filter((shown) => !drawn.has(shown)).map(({ plot }) => plot),
    /** Batches that have left the yard. */
    gone: board.length - all.length,
    /** Of how many these were chosen. */ of: all.length,
    figures: [25, 40, 55, 65, 70, 77].map((c) => tempFigure(c, locale.unit)),
  };
}
