import { say } from '@/messages/say';
import type { BatchId } from '@/core/log/ids';
import { chartView } from '@/core/snapshot/chart';
import { createBatchSnapshot, type BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { assessBatch, type BatchAssessment } from '@/core/snapshot/assess-batch';
import { initialCnOf } from '@/core/mix/initial-cn';
import type { Figure } from '@/core/mix/mix';
import { openDoubts } from '@/core/status/open-questions';
import { statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import { saysOf } from '@/telling/status/says';
import { dayCountText } from '@/telling/status/rules';
import { adoptedText, saidOf, type Said } from '@/telling/status/said';
import { heapPicture } from '@/telling/status/picture';
import { positionText } from '@/core/words/position';
import type { BatchState, SiteState } from '@/core/log/fold';
import { ageText, spanText, volumeText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { readBatchState } from '@/db/repositories/states';
import type { Site } from '@/db/repositories/site';
import { adviceView } from '../advice';
import { beyondView } from '../beyond';
import { gradeView, strictnessView } from '../judged';
import { sectionView, tableView } from '../view';

/** All that a heap's page shows. Null: there is no such heap. */
export async function batchScreen(
  id: BatchId,
  site: Site,
  board: readonly BatchSnapshot[],
  locale: Locale,
) {
  const state = await readBatchState(theDb(), id);
  if (!state) return null;
  const siteState = await snapshotRepo(theDb()).siteState(site);
  const assessment = assessBatch(state, site, siteState, locale.now);
  const cn = assessment ? await cnFor(assessment, state, site.id) : null;
  return showBatch({ state, assessment, site, siteState, board, cn }, locale);
}

/** What a heap’s page is made of. */
type Shown = {
  readonly state: BatchState;
  readonly assessment: BatchAssessment | null;
  readonly site: Site;
  readonly siteState: SiteState;
  readonly board: readonly BatchSnapshot[];
  /** The initial C:N, where a rule asks for it. */ readonly cn: Figure | null;
};

/** The rule that is worked on before the others: its sentence is the verdict of the page. */
const mainFirst = (said: readonly Said[], { main }: BatchStatus): Said[] =>
  said.toSorted((a, b) => Number(b.id === main?.rule) - Number(a.id === main?.rule));

/** A heap’s page from what is known of it, wherever that comes from. */
export function showBatch(
  { state, assessment, site, siteState, board, cn }: Shown,
  locale: Locale,
) {
  const snapshot = createBatchSnapshot(state, site, siteState, locale.now, assessment);
  const { opened } = state;
  const zone =
    opened.brought && opened.brought.timeZone !== site.timeZone ? opened.brought.timeZone : null;
  const status = statusOfBatch(snapshot, locale.now);
  return {
    state,
    name: opened.name ?? opened.code,
    code: opened.code,
    facts: [
      positionText(state.position),
      snapshot.volumeM3 && volumeText(snapshot.volumeM3),
      METHOD_WORD[opened.method],
      dayCountText(status, locale),
      opened.brought && say('batch.loggedAt', { siteName: opened.brought.siteName }),
      zone && say('batch.daysCountedIn', { zone }),
    ]
      .filter(Boolean)
      .join(' · '),
    picture: heapPicture(snapshot, locale),
    building: state.builtAt === null,
    factsSays: saysOf(status, 'age', 'volume'),
    advice: adviceView(snapshot, state, assessment, board, locale),
    digest: snapshot,
    verdicts: assessment
      ? mainFirst(saidOf(assessment, status, state.terms.length, locale, cn), status)
      : [],
    opens: {
      rounds: assessment !== null,
      strictness: canBeRetried(state, assessment),
      beyond:
        assessment !== null && assessment.rules.length > 0 && assessment.prepared.rounds.length > 0,
    },
    grade: assessment ? gradeView(assessment, openDoubts(snapshot.checkDoubts, siteState)) : null,
    chart: assessment && state.readings.length > 0 ? chartView(state, assessment, locale) : null,
    section: assessment ? sectionView(assessment, locale) : null,
    required: snapshot.rules[0] ? spanText(snapshot.rules[0].requiredHours) : null,
    adopted: adoptedText(opened.adopted, locale),
    age: snapshot.latest
      ? lastReadText(snapshot.latest, snapshot.field.minPoints, locale.now)
      : null,
  };
}

/** Whether the leading verdict is tried under other policies. */
const canBeRetried = (state: BatchState, assessment: BatchAssessment | null): boolean =>
  assessment !== null &&
  assessment.rules.length > 0 &&
  state.readings.length > 0 &&
  state.readings.length <= MAX_RETRIED;

/** What can be opened on a heap's page. */
export const OPENED = ['rounds', 'strictness', 'beyond'] as const;

/** The inside of what is opened. Null: there is no such heap, or nothing to show. */
export async function loadOpened(
  id: BatchId,
  site: Site,
  what: (typeof OPENED)[number],
  locale: Locale,
) {
  const state = await readBatchState(theDb(), id);
  if (!state) return null;
  const assessment = assessBatch(
    state,
    site,
    await snapshotRepo(theDb()).siteState(site),
    locale.now,
  );
  if (!assessment) return null;
  switch (what) {
    case 'rounds':
      return tableView(assessment, state.readings, locale);
    case 'strictness':
      return canBeRetried(state, assessment) ? strictnessView(assessment, locale) : null;
    case 'beyond':
      return beyondView(assessment, locale);
  }
}

/** The initial C:N, where a rule of the batch asks for it. */
async function cnFor(
  { rules: accounts }: BatchAssessment,
  state: BatchState,
  site: string,
): Promise<Figure | null> {
  if (!accounts.some(({ rule }) => rule.initialCn !== undefined)) return null;
  return initialCnOf(await storeRepo(theDb()).state(site), state.id, state.builtAt);
}

/** When it was last read; *full* only where enough places were read for it to count. */
function lastReadText(
  { at, points, complete }: NonNullable<BatchSnapshot['latest']>,
  minPoints: number,
  now: number,
): string {
  const ago = say('batch.ago', { age: ageText((now - at) / MS.hour) });
  return complete
    ? say('batch.lastFullCheck', { ago })
    : say('batch.lastReadAtPointsNot', { ago, points, minPoints });
}

/** Eighteen policies are tried on a page: beyond so many readings it would make the page wait. */
const MAX_RETRIED = 20_000;

const METHOD_WORD = {
  get turned() {
    return say('batch.turnedPile');
  },
  get static() {
    return say('batch.staticPile');
  },
  get vessel() {
    return say('batch.inVessel');
  },
} as const;
