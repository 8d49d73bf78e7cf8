import { say } from '@/messages/say';
import type { Entry, NewEntry } from '@/core/log/entry';
import { figureWithUnit, whenText } from '@/core/quantity/format';
import { assessUse } from '@/core/release/assess-release';
import { findLimitSet } from '@/core/release/limit-sets';
import { findUse } from '@/core/release/uses';
import { OUT_IS_PRODUCT } from '@/core/log/lot-shapes';
import { outDoubtOf } from '@/core/status/lot-decision';
import { OUT_DOUBT_WORDS, RELEASE_ITEM_WORDS, USE_WORDS } from '@/core/words/lots';
import type { Part } from '@/core/log/store-shapes';
import { DOOR_PROBLEM } from '@/core/words/door-problem';
import type { Problem } from '@/core/words/problem';
import type { Db } from '@/db/client';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { now } from '@/platform/clock';
import { readSiteLots, type SiteLots } from './lot-book';

/** What of an entry about lots does not fit what the log holds. */

const wrong = (path: string, message: string): Problem => ({ path, message });
type OfKind<K extends NewEntry['kind']> = Extract<NewEntry, { kind: K }>;

/** A little more than was measured is no slip: heaps are measured with a tape. */
const TAPE_SLACK = 1.1;

/** What is taken out of a lot: whether the lot is there, and holds that much. */
function wrongTaking(
  { book }: SiteLots,
  { lot, litres, path }: { lot: string; litres: number | undefined; path: string },
): Problem | null {
  if (!book.site.lots.some((l) => l.id === lot)) return wrong(path, say('lots.noSuchLot'));
  const there = book.of(lot).litres;
  if (litres === undefined || there === null || litres <= there * TAPE_SLACK) return null;
  return there === 0
    ? wrong(path, say('lots.lotIsEmpty'))
    : wrong(
        path,
        say('lots.moreThanThere', {
          asked: figureWithUnit('litres', litres),
          there: figureWithUnit('litres', there),
        }),
      );
}

/** A lot that something goes into: it is there, or begins with the act. */
function wrongTarget(
  { state }: SiteLots,
  { to, begins, path }: { to: string; begins: boolean; path: string },
): Problem | null {
  const isThere = state.lots.has(to);
  if (begins && isThere) return wrong(path, DOOR_PROBLEM.idTaken(say('lots.anotherLot')));
  return begins || isThere ? null : wrong(path, say('lots.noSuchLot'));
}

function wrongScreening(lots: SiteLots, { data }: OfKind<'screening'>): Problem | null {
  for (const [i, input] of data.inputs.entries()) {
    const problem = wrongTaking(lots, {
      ...input,
      litres: input.litres,
      path: `data.inputs[${i}]`,
    });
    if (problem) return problem;
  }
  for (const [i, out] of data.outputs.entries()) {
    const problem = wrongTarget(lots, {
      to: out.lot,
      begins: out.begin !== undefined,
      path: `data.outputs[${i}].lot`,
    });
    if (problem) return problem;
  }
  const litresIn = data.inputs.map((i) => i.litres ?? (i.all ? lots.book.of(i.lot).litres : null));
  const given = data.outputs.reduce((sum, o) => sum + (o.litres ?? 0), data.rejectsL ?? 0);
  const got = litresIn.reduce<number | null>(
    (a, b) => (a === null || b === null ? null : a + b),
    0,
  );
  // Screened compost lies looser: a little more may come out than went in.
  return got !== null && given > got * MOST_OUT
    ? wrong(
        'data.outputs',
        say('lots.screenGaveMore', {
          given: figureWithUnit('litres', given),
          got: figureWithUnit('litres', got),
        }),
      )
    : null;
}
const MOST_OUT = 1.3;

function wrongTest({ state, book }: SiteLots, entry: OfKind<'maturity-test'>): Problem | null {
  const { data, at } = entry;
  if (!book.site.lots.some((l) => l.id === data.lot))
    return wrong('data.lot', say('lots.noSuchLot'));
  const lot = state.lots.get(data.lot);
  if (lot && at < lot.at) return wrong('at', say('lots.testBeforeLot'));
  if (data.test === undefined) return null;
  const begun = state.tests.find((t) => t.id === data.test);
  if (begun?.lot !== data.lot || begun.test.values.kind !== data.values.kind)
    return wrong('data.test', say('lots.noSuchTest'));
  if (at < begun.test.startedAt) return wrong('at', say('lots.beforeTestBegan'));
  return begun.test.endedAt === null ? null : wrong('data.test', say('lots.testIsOver'));
}

function wrongDecision(
  { state, book }: SiteLots,
  { data }: OfKind<'lot-decision'>,
  when: (at: number) => string,
): Problem | null {
  if (!book.site.lots.some((l) => l.id === data.lot))
    return wrong('data.lot', say('lots.noSuchLot'));
  const last = state.decisions.findLast((d) => d.data.lot === data.lot);
  if ((last?.id ?? null) !== data.from)
    return wrong(
      'changed',
      DOOR_PROBLEM.changedMeanwhile(
        say('lots.theDecision'),
        last?.by ?? say('entry.somebody'),
        when(last?.at ?? 0),
      ),
    );
  if (data.decision !== 'released') return null;
  if (data.uses.length === 0) return wrong('data.uses', say('lots.chooseAUse'));
  const facts = book.factsOf(data.lot);
  for (const id of data.uses) {
    const use = findUse(id, state.uses);
    if (!use) return wrong('data.uses', say('lots.noSuchUse', { id }));
    const open = assessUse(use, facts, book.now).lines.filter((l) => l.standing !== 'met');
    const must = open.find((l) => l.force === 'must');
    if (must)
      return wrong(
        'data.uses',
        say('lots.mustBeMet', { item: RELEASE_ITEM_WORDS[must.item], use: USE_WORDS[use.id] }),
      );
    const silent = open.find((l) => !data.reasons.some((r) => r.item === l.item));
    if (silent)
      return wrong(
        'data.reasons',
        say('lots.giveAReason', { item: RELEASE_ITEM_WORDS[silent.item], use: USE_WORDS[use.id] }),
      );
  }
  return null;
}

function wrongLab(
  { state, book }: SiteLots,
  entry: OfKind<'lab-sample' | 'lab-report'>,
): Problem | null {
  if (entry.kind === 'lab-sample') {
    const lot = state.lots.get(entry.data.lot);
    if (lot && entry.at < lot.at) return wrong('at', say('lots.testBeforeLot'));
    return book.site.lots.some((l) => l.id === entry.data.lot)
      ? null
      : wrong('data.lot', say('lots.noSuchLot'));
  }
  return state.samples.some((s) => s.id === entry.data.sample)
    ? null
    : wrong('data.sample', say('lots.noSuchSample'));
}

/** What moves from one lot into another. */
const wrongMove = (
  lots: SiteLots,
  from: string,
  { to, begin, litres }: { to: string; begin?: object | undefined; litres?: number | undefined },
): Problem | null =>
  wrongTaking(lots, { lot: from, litres, path: 'data.litres' }) ??
  wrongTarget(lots, { to, begins: begin !== undefined, path: 'data.to' });
function wrongCure(lots: SiteLots, { batch, data }: OfKind<'cure'>): Problem | null {
  if (data.to === undefined || batch === null) return null;
  return wrongMove(lots, batch, { to: data.to, begin: data.begin, litres: data.litres });
}
/** Nobody lets out what is not released without saying that it is known. */
function wrongOut(lots: SiteLots, { data }: OfKind<'lot-out'>): Problem | null {
  const { state, book, questions } = lots;
  const taking = wrongTaking(lots, { lot: data.lot, litres: data.litres, path: 'data.litres' });
  if (taking || !OUT_IS_PRODUCT[data.how]) return taking;
  const doubt = outDoubtOf(state, book, questions, data.lot, data.use ?? null);
  return doubt === null || doubt === data.knowing
    ? null
    : wrong('data.knowing', say('lots.sayYouKnow', { doubt: OUT_DOUBT_WORDS[doubt] }));
}

/** What a use asks is changed by one person at a time, and asks for limits that are there. */
function wrongUse(
  { state }: SiteLots,
  { data }: OfKind<'lot-use'>,
  when: (at: number) => string,
): Problem | null {
  const last = state.useChanges.get(data.use);
  if ((last?.id ?? null) !== data.from)
    return wrong(
      'changed',
      DOOR_PROBLEM.changedMeanwhile(
        say('lots.theUse'),
        last?.by ?? say('entry.somebody'),
        when(last?.at ?? 0),
      ),
    );
  return data.limitSets.every((id) => findLimitSet(id, state.limitSets) !== undefined)
    ? null
    : wrong('data.limitSets', say('lots.noSuchLimits'));
}

const isLot = ({ state }: SiteLots, lot: string): Problem | null =>
  state.lots.has(lot) ? null : wrong('data.lot', say('lots.noSuchLot'));

type Check<K extends NewEntry['kind']> = (
  lots: SiteLots,
  entry: OfKind<K>,
  when: (at: number) => string,
) => Problem | null;
/** What parts of a batch were taken from lots. */
function wrongParts(lots: SiteLots, parts: readonly Part[]): Problem | null {
  for (const [i, part] of parts.entries()) {
    if (part.lot === undefined) continue;
    const litres = part.amount.in === 'litres' ? part.amount.n : undefined;
    const problem = wrongTaking(lots, { lot: part.lot, litres, path: `data.parts[${i}]` });
    if (problem) return problem;
  }
  return null;
}

/** What is checked of each kind that speaks of lots. */
const CHECKS: { readonly [K in NewEntry['kind']]?: Check<K> } = {
  charge: (lots, { data }) => wrongParts(lots, data.parts),
  addition: (lots, { data }) => wrongParts(lots, data.parts ?? []),
  cure: wrongCure,
  'lot-move': (lots, { data }) => wrongMove(lots, data.from, data),
  'lot-out': wrongOut,
  'lot-use': wrongUse,
  'limit-set': ({ state }, { data }) =>
    data.set === undefined || state.limitSets.some((s) => s.id === data.set)
      ? null
      : wrong('data.set', say('lots.noSuchLimits')),
  screening: wrongScreening,
  'lot-size': (lots, { data }) => isLot(lots, data.lot),
  'lot-look': (lots, { data }) => isLot(lots, data.lot),
  'maturity-test': wrongTest,
  'lab-sample': wrongLab,
  'lab-report': wrongLab,
  'lot-decision': wrongDecision,
  'lot-page': ({ book }, { data }) =>
    book.site.lots.some((l) => l.id === data.lot) ? null : wrong('data.lot', say('lots.noSuchLot')),
  'lot-outcome': ({ state }, { data }) =>
    state.outs.some((o) => o.id === data.out) ? null : wrong('data.out', say('lots.noSuchOut')),
};

/** Whether an entry speaks of a lot at all: most of what goes into a batch comes from loads. */
function mayBeWrong(entry: NewEntry): boolean {
  if (entry.kind !== 'charge' && entry.kind !== 'addition') return true;
  return (entry.data.parts ?? []).some((p) => p.lot !== undefined);
}

/** What of an entry about lots does not fit what the log holds; null: it fits. */
export async function validateLots(db: Db, site: Site, entry: NewEntry): Promise<Problem | null> {
  if (entry.kind === 'correction' && entry.batch === null) {
    const target: Entry | null = await logRepo(db).byId(entry.data.target);
    return target?.batch === null ? null : wrong('data.target', say('entry.theEntryCorrectNotIn'));
  }
  // Each check takes entries of its own kind.
  const check = CHECKS[entry.kind] as Check<NewEntry['kind']> | undefined;
  if (!check || !mayBeWrong(entry)) return null;
  const when = (at: number): string => whenText(site.timeZone, at, now());
  return check(await readSiteLots(db, site, now()), entry, when);
}
