import { statusOfSite } from '@/core/status/site-status';
import { tempText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { createSharedWork } from '@/platform/memory';
import { Today } from '@/features/day/ui/Today';
import { shortenDay, todayView, type TodayView } from '@/features/day/view';
import { PageShell } from '@/features/frame/server/PageShell';
import { currentSpeech } from '@/messages/say';
import { speechCode } from '@/messages/speech-code';
import { loadPageContext, type PageContext } from '@/features/frame/server/queries';
import { AirStrip } from '../../ui/AirStrip';
import { EmptyYard, Yard } from '../../ui/Yard';
import { lotsGiven } from '@/features/lots/server/queries';
import { BedWaits } from '@/features/lots/ui/BedWaits';
import { LotPiles } from '@/features/lots/ui/LotPiles';
import { bedWaitTexts, lotPiles, lotTasks, type LotPile } from '@/features/lots/view';
import { storeDue } from '@/features/store/server/queries';
import { isOpen } from '@/core/status/open-questions';
import { OpenQuestions } from '@/features/questions/ui/OpenQuestions';
import { namesOf, questionLines, type QuestionLine } from '@/telling/status/questions';
import { filterOf, queryOf, type YardFilter } from '../../filter';
import { yardScreen } from '../../view';

const TWO_DAYS_MS = 172_800_000;

type Shown = {
  readonly screen: ReturnType<typeof yardScreen>;
  /** Null: nothing is due. */ readonly day: TodayView | null;
  readonly piles: readonly LotPile[];
  /** Beds that may not be harvested yet. */ readonly beds: readonly string[];
  /** What is to be cleared up on the site. */ readonly questions: readonly QuestionLine[];
};
const shown = createSharedWork<Shown>();

async function workOut(s: PageContext, wholeDay: boolean, filter: YardFilter): Promise<Shown> {
  const { work } = s.siteState;
  const lots = await lotsGiven(s);
  const other = { loads: await storeDue(s.site.id, s.now, s.asOf), lots: lotTasks(lots) };
  const status = statusOfSite(s.board, s.siteState, other, s.site.timeZone, s.now);
  const day = todayView(
    status,
    work?.machine?.name ?? null,
    s.siteState.fireCard !== null,
    s.locale,
  );
  return {
    screen: yardScreen(s.board, s.locale, filter),
    piles: lotPiles(lots),
    beds: bedWaitTexts(lots),
    questions: questionLines(lots.questions.filter(isOpen), namesOf(s.board, lots.state), s.locale),
    day: status.tasks.length > 0 || s.board.length > 0 ? (wholeDay ? day : shortenDay(day)) : null,
  };
}

/** The yard and its day, worked out once a minute for all who look at it while nobody logs anything. */
function loadShown(s: PageContext, wholeDay: boolean, filter: YardFilter): Promise<Shown> {
  const who = [s.site.id, speechCode(currentSpeech()), wholeDay, queryOf(filter)].join(' ');
  const asOf = `${s.asOf} ${Math.floor(s.now / MS.minute)}`;
  return shown(who, asOf, () => workOut(s, wholeDay, filter));
}

/** What an address asks for; where it asks for nothing, what was chosen last on this device. */
function filterAsked(
  asked: Readonly<Record<string, string | string[] | undefined>>,
  chosen: string,
): YardFilter {
  const own = Object.entries(asked).filter(
    (pair): pair is [string, string] => typeof pair[1] === 'string' && pair[0] !== 'day',
  );
  return filterOf(own.length > 0 ? new URLSearchParams(own).toString() : chosen);
}

export async function YardPage({
  searchParams,
}: {
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}) {
  const [asked, s] = [await searchParams, await loadPageContext()];
  const filter = filterAsked(asked, s.prefs.yard);
  const { screen, day, piles, beds, questions } = await loadShown(s, asked.day === 'all', filter);
  const open = (
    <>
      <OpenQuestions lines={questions} touches />
      <BedWaits texts={beds} />
    </>
  );
  const today = day && <Today view={day} by={s.prefs.by} questions={open} />;
  const sky = (
    <AirStrip
      air={s.air}
      from={s.now - TWO_DAYS_MS}
      to={s.now}
      label={(c) => tempText(c, s.unit)}
    />
  );
  return (
    <PageShell s={s} place="yard" sky={sky}>
      {s.board.length > 0 ? (
        <Yard {...screen} filter={filter} today={today} piles={<LotPiles piles={piles} />} />
      ) : (
        <EmptyYard today={today} />
      )}
    </PageShell>
  );
}
