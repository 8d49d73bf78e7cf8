import { say } from '@/messages/say';
import { dayText, figureWithUnit, joinParts, listText } from '@/core/quantity/format';
import { limitAskText } from '@/core/lots/texts';
import type { TestKind } from '@/core/log/test-shapes';
import { LIMIT_SETS, listLimits, type LimitSet } from '@/core/release/limit-sets';
import { RELEASE_ITEMS, type ReleaseItem, type Use } from '@/core/release/uses';
import { RELEASE_ITEM_WORDS, TEST_WORDS, USE_WORDS } from '@/core/words/lots';
import type { LotsGiven } from './matter';

/** What each use asks on a site, and the limits that it can ask for. */

type Named<T extends string> = { readonly id: T; readonly name: string };
/** What the forms say. The page brings it along: no other page needs these texts. */
const usesLabels = () => ({
  how: say('lots.usesHow'),
  limitsAsked: say('lots.limitsAsked'),
  addLimits: say('lots.addLimits'),
  notAsked: say('lots.notAsked'),
  must: say('lots.must'),
  should: say('lots.should'),
  leastDays: say('lots.leastDays'),
  testsAtLeast: say('lots.testsAtLeast'),
  germinationLeast: say('lots.germinationLeast'),
  flaskLeast: say('lots.flaskLeast'),
  coarsestMesh: say('lots.coarsestMesh'),
  ofTheseTests: say('lots.ofTheseTests'),
  saveUse: say('lots.saveUse'),
  limit: say('lots.limit'),
  kinds: {
    max: say('lots.limitAtMost'),
    below: say('lots.limitLessThan'),
    min: say('lots.limitAtLeast'),
    absent: say('lots.limitNone'),
  },
  title: say('lots.limitsTitle'),
  document: say('lots.limitsDocument'),
  year: say('lots.limitsYear'),
  saveLimits: say('lots.saveLimits'),
  limitsNeed: say('lots.limitsNeed'),
  nameLimits: say('lots.nameLimits'),
});
export type UsesLabels = ReturnType<typeof usesLabels>;

export type UsesView = {
  readonly labels: UsesLabels;
  readonly uses: readonly {
    readonly use: Use;
    readonly name: string;
    /** What it asks, line by line. */ readonly asks: readonly string[];
    /** Who changed it and when; or that it is as it ships. */ readonly changed: string;
    /** The change that stands; null: none. */ readonly from: string | null;
  }[];
  readonly items: readonly Named<ReleaseItem>[];
  readonly tests: readonly Named<TestKind>[];
  readonly limitSets: readonly Named<string>[];
  readonly limits: readonly {
    readonly id: string;
    readonly title: string;
    readonly source: string;
    readonly lines: readonly string[];
    /** A set of the site's own as it can be changed; null: it ships. */ readonly own: LimitSet | null;
  }[];
};

function asksOf({ limitSets }: LotsGiven['state'], use: Use): string[] {
  const named = (force: 'must' | 'should'): string =>
    listText(RELEASE_ITEMS.filter((i) => use.asks[i] === force).map((i) => RELEASE_ITEM_WORDS[i]));
  const [must, should] = [named('must'), named('should')];
  const sets = [...limitSets, ...LIMIT_SETS].filter((s) => use.limitSets.includes(s.id));
  return [
    must && say('lots.requiredAre', { items: must }),
    should && say('lots.recommendedAre', { items: should }),
    use.leastDays > 0 && say('lots.leastDaysAre', { days: use.leastDays }),
    use.maturity.atLeast > 0 &&
      say('lots.saysMaturity', {
        atLeast: use.maturity.atLeast,
        of: listText(use.maturity.of.map((t) => TEST_WORDS[t])),
      }),
    use.meshMm !== null && say('lots.meshAtMost', { mesh: figureWithUnit('mm', use.meshMm) }),
    sets.length > 0 && listText(sets.map((s) => s.title)),
  ].filter((line) => typeof line === 'string' && line !== '') as string[];
}

const limitsOf = (set: LimitSet, own: boolean): UsesView['limits'][number] => ({
  id: set.id,
  title: set.title,
  source: joinParts(
    set.document,
    set.section,
    set.year !== null && String(set.year),
    own ? say('lots.ownSet') : say('lots.fromMemory'),
  ),
  lines: listLimits(set.limits).map((l) => `${l.analyte}: ${limitAskText(l)}`),
  own: own ? set : null,
});

/** Uses and limits of a site. */
export function usesView({ state, locale }: LotsGiven): UsesView {
  const sets = [...state.limitSets, ...LIMIT_SETS];
  return {
    labels: usesLabels(),
    uses: state.uses.map((use) => {
      const change = state.useChanges.get(use.id);
      return {
        use,
        name: USE_WORDS[use.id],
        asks: asksOf(state, use),
        changed: change
          ? say('lots.changedBy', { at: dayText(locale.timeZone, change.at), by: change.by })
          : say('lots.asShips'),
        from: change?.id ?? null,
      };
    }),
    items: RELEASE_ITEMS.map((id) => ({ id, name: RELEASE_ITEM_WORDS[id] })),
    tests: (Object.keys(TEST_WORDS) as TestKind[]).map((id) => ({ id, name: TEST_WORDS[id] })),
    limitSets: sets.map(({ id, title }) => ({ id, name: title })),
    limits: [
      ...state.limitSets.map((s) => limitsOf(s, true)),
      ...LIMIT_SETS.map((s) => limitsOf(s, false)),
    ],
  };
}
