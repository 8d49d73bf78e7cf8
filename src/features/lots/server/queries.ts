import { say } from '@/messages/say';
import { statusOfBatch } from '@/core/status/batch-status';
import { cureDoubtsOf } from '@/core/status/cure-doubts';
import { cureDoubtText } from '@/telling/status/cure';
import { readingDoubtText } from '@/telling/status/claim';
import { USE_IDS } from '@/core/log/lot-shapes';
import { openAbout } from '@/core/status/open-questions';
import { namesOf, questionText } from '@/telling/status/questions';
import { latestDecision, outDoubtOf } from '@/core/status/lot-decision';
import { CROP_FAMILY_WORDS, OUT_DOUBT_WORDS } from '@/core/words/lots';
import { localInput } from '@/core/quantity/calendar';
import type { LotRef } from '../ui/parts';
import { lotAgeText, nameOfMatter, type LotsGiven } from '../matter';
import { shouldMeasureFirst } from '@/core/lots/joining';
import { standHeated } from '@/core/release/assess-release';
import { theDb } from '@/db/context';
import { diseasedFamiliesIn } from '@/core/mix/concerns';
import { storeRepo } from '@/db/repositories/store';
import { readSiteLots, type KnownSite } from '@/entry/server/lot-book';
import type { Locale } from '@/core/words/note';

/** What a page knows of the site and of the device that asks. */
type Asking = KnownSite & {
  readonly locale: Locale;
  readonly unit: 'C' | 'F';
  readonly prefs: { readonly by: string };
};

/** The lots of a site, with what their pages need beside them. */
export async function lotsGiven(s: Asking): Promise<LotsGiven> {
  const db = theDb();
  const store = await storeRepo(db).state(s.site.id, s.asOf);
  const lots = await readSiteLots(db, s.site, s.now, { ...s, store });
  return { ...lots, store, board: s.board, locale: s.locale };
}

/** Why a lot should not go out; of a batch also how warm it was read, and how long ago. */
function doubtOf(s: Asking, { state, book, questions }: LotsGiven, id: string): LotRef['doubt'] {
  const code = outDoubtOf(state, book, questions, id, null);
  if (code === null) return null;
  const against = openAbout(questions, id).map((q) =>
    questionText(q, namesOf(s.board, state), s.locale),
  );
  const batch = s.board.find((b) => (b.id as string) === id);
  const claim = batch && statusOfBatch(batch, s.now).claim;
  const seen = claim?.doubts.map((d) => readingDoubtText(d, claim, s.locale)) ?? [];
  return { code, texts: [OUT_DOUBT_WORDS[code], ...against, ...seen] };
}

/** What a lot is released for; null: it is not. */
function releasedFor({ state, book, questions }: LotsGiven, id: string): LotRef['releasedFor'] {
  const decision = latestDecision(state, book, questions, id)?.entry.data;
  return decision?.decision === 'released'
    ? USE_IDS.filter((u) => decision.uses.includes(u))
    : null;
}

/** What speaks against moving a batch to cure, in words; none of a lot. */
function cureDoubtsFor(s: Asking, id: string): LotRef['cureDoubts'] {
  const batch = s.board.find((b) => (b.id as string) === id);
  if (!batch) return [];
  const status = statusOfBatch(batch, s.now);
  return cureDoubtsOf(status).map((code) => ({
    code,
    text: cureDoubtText(code, status, s.locale),
  }));
}

/** What a form needs to know of a lot, or of a batch that is used as one. */
export function lotRefOf(s: Asking, given: LotsGiven, id: string): LotRef {
  const { state, book } = given;
  return {
    id,
    name: nameOfMatter(given, id),
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
    isBatch: !state.lots.has(id),
    litres: book.of(id).litres,
    material: state.lots.get(id)?.kind === 'overs' ? 'overs' : 'finished-compost',
    heated: standHeated({ empty: book.isEmpty(id), ...book.of(id) }) === 'met',
    batches: s.board
      .filter((b) => b.situation.stage.code !== 'ended')
      .map((b) => ({ id: b.id, name: b.name ?? b.code, building: b.builtAt === null })),
    raw: book.of(id).raw,
    doubt: doubtOf(s, given, id),
    releasedFor: releasedFor(given, id),
    cureDoubts: cureDoubtsFor(s, id),
    diseased: diseasedFamiliesIn(book.factsOf(id).concerns).map((family) => ({
      family,
      text: say('lots.sameFamilyBed', { family: CROP_FAMILY_WORDS[family] }),
    })),
    targets: [...state.lots.values()].map((l) => ({
      id: l.id,
      name: nameOfMatter(given, l.id),
      kind: l.kind,
      litres: book.of(l.id).litres,
      raw: book.of(l.id).raw,
      age: lotAgeText(given, l.id),
      measureFirst: !book.isEmpty(l.id) && shouldMeasureFirst(book.measuredAt(l.id), book.now),
    })),
  };
}
