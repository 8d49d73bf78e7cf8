import { SiteRuleSchema, SoundPolicySchema } from '../log/shapes';
import { TEMPLATES } from '../advice/templates';
import { shortSchedule } from '../advice/schedule';
import { leavesOf, type Rule } from '../evidence/rule';
import { countryOf } from './country';
import { findRule, RULE_LIBRARY, shortTitle } from './library';
import {
  allowsInputs,
  conditionsOf,
  fitsBatch,
  keepingOf,
  missingGermRule,
  orderedLike,
  proposedRules,
  type Asked,
  type Keeping,
} from './propose';
import { requirementText, sourceText } from './text';

const text = (id: string, unit: 'C' | 'F' = 'C'): string =>
  requirementText(RULE_LIBRARY.find((r) => r.id === id)!.requirement, unit);

test('each kind of rule reads as a grower would say it', () => {
  expect(text('us-503-pfrp-turned')).toBe(
    '15 days in a row at 55 °C or more, with at least 5 full turns in that time',
  );
  expect(text('us-organic-static', 'F')).toBe(
    '3 days in a row between 131 °F (55 °C) and 170 °F (77 °C)',
  );
  expect(text('au-4454-turned')).toBe(
    '3 days in a row at 55 °C or more before each of 3 full turns',
  );
  expect(text('us-503-psrp')).toBe(
    '5 days in a row at 40 °C or more, and within that time 4 hours in all at 55 °C or more',
  );
  expect(text('us-503-var')).toBe(
    '14 days in a row at 40 °C or more, with a mean above 45 °C over that time',
  );
  expect(text('eu-2019-1009-cmc3')).toMatch(
    /^any one of: 3 days in a row at 70 °C or more; or 5 days .*; or 14 days in a row at 55 °C or more$/,
  );
  expect(text('practice-weed-seed-week')).toBe(
    '7 days in a row at 54.4 °C or more, counted only while the batch is moist',
  );
});
test('every rule names its document, and says where a value was written from memory', () => {
  for (const r of RULE_LIBRARY) {
    expect(sourceText(r).length).toBeGreaterThan(10);
    expect([r.id, r.fromMemory || r.jurisdiction === 'common practice']).toEqual([r.id, true]);
  }
});

const kept = (method: 'turned' | 'static' | 'vessel', more: Partial<Keeping> = {}): Keeping => ({
  ...keepingOf(method, null),
  ...more,
});
const ids = (
  keeping: Keeping,
  inputs: Asked['inputs'],
  siteRules: readonly string[] = [],
  timeZone = 'America/New_York',
): string[] =>
  proposedRules({ keeping, inputs, siteRules, country: countryOf(timeZone) }).map((p) => p.id);
describe('what is proposed', () => {
  test('what goes in proposes the rules of the site, each with the reason', () => {
    expect(ids(kept('turned'), ['seeding-weeds'])).toEqual(['practice-weed-seed-week']);
    expect(
      ids(
        kept('turned'),
        ['manure'],
        ['us-produce-turned', 'us-produce-static', 'practice-weed-seed-week'],
      ),
    ).toEqual(['us-produce-turned']);
    expect(ids(kept('turned'), ['food-waste'], ['au-4454-turned-high-risk'])).toEqual([
      'au-4454-turned-high-risk',
    ]);
    expect(
      proposedRules({
        keeping: kept('turned'),
        inputs: ['manure'],
        siteRules: ['us-produce-turned'],
        country: null,
      })[0],
    ).toEqual({
      id: 'us-produce-turned',
      input: 'raw manure is in it',
      from: 'the site works to it',
    });
  });
  test('a site that has not chosen is offered the rules of its country, by its time zone, and nothing foreign', () => {
    expect(ids(kept('turned'), ['manure', 'garden'])).toEqual([
      'us-organic-turned',
      'us-produce-turned',
    ]);
    expect(ids(kept('turned'), ['manure'], [], 'Europe/London')).toEqual(['uk-pas100-default']);
    expect(ids(kept('turned'), ['manure'], [], 'Europe/Madrid')).toEqual(['eu-2019-1009-cmc3']);
    expect(ids(kept('turned'), ['manure'], [], 'Australia/Hobart')).toEqual([
      'au-4454-turned-high-risk',
    ]);
    expect(ids(kept('turned'), ['garden'], [], 'Australia/Hobart')).toEqual(['au-4454-turned']);
    expect(ids(kept('turned'), ['garden', 'seeding-weeds'], [], 'Africa/Nairobi')).toEqual([
      'practice-weed-seed-week',
    ]);
  });
  test('a rule on sewage sludge is proposed for sludge alone', () => {
    expect(ids(kept('vessel'), ['biosolids'])).toEqual(
      expect.arrayContaining(['us-503-pfrp-static', 'us-503-psrp', 'us-503-var']),
    );
    for (const input of ['garden', 'manure', 'food-waste'] as const)
      expect(ids(kept('turned'), [input]).filter((id) => id.startsWith('us-503'))).toEqual([]);
  });
  test('sludge in a static pile: the 3-day rule for aerated piles, its air to be confirmed; no rule of turned rows, none that excludes it', () => {
    const proposed = ids(kept('static'), ['biosolids']);
    expect(proposed).toContain('us-503-pfrp-static');
    for (const id of proposed) {
      const rule = findRule(id)!;
      expect(rule.methods).toContain('static');
      expect(allowsInputs(rule, ['biosolids'])).toBe(true);
    }
    const asked = {
      keeping: kept('static'),
      inputs: ['biosolids'],
      country: 'United States',
    } as const;
    expect(missingGermRule(asked, [])!.cover.map((c) => c.id)).toContain('us-503-pfrp-static');
    const pfrp = findRule('us-503-pfrp-static')!;
    expect(conditionsOf(pfrp, 'static')).toHaveLength(2);
    expect(conditionsOf(pfrp, 'vessel')).toHaveLength(1);
  });
  test('a rule on what draws flies stands for no rule on pathogens', () => {
    const missing = missingGermRule(
      { keeping: kept('vessel'), inputs: ['biosolids'], country: 'United States' },
      ['us-503-var'],
    );
    expect(missing!.cover.map((c) => c.id)).toEqual(
      expect.arrayContaining(['us-503-pfrp-static', 'us-503-psrp']),
    );
    expect(missing!.cover.map((c) => c.id)).not.toContain('us-503-var');
  });
  test('a rule for aerated piles is not offered to a pile without air, nor any to a method that makes no claim', () => {
    expect(ids(kept('static'), ['manure'])).toEqual([]);
    expect(ids(kept('static', { aerated: true }), ['manure'])).toEqual([
      'us-organic-static',
      'us-produce-static',
    ]);
    expect(ids(kept('static', { noClaim: true }), ['manure', 'seeding-weeds'])).toEqual([]);
    expect(
      fitsBatch(
        RULE_LIBRARY.find((r) => r.id === 'us-503-pfrp-static')!,
        kept('vessel'),
      ),
    ).toBe(true);
  });
  test('food or manure with rules of another method only, or of seeds: the missing germ rule is named with what would cover it', () => {
    const missing = (
      chosen: string[],
      inputs: Asked['inputs'] = ['manure'],
      keeping = kept('vessel'),
    ) => missingGermRule({ keeping, inputs, country: 'United States' }, chosen);
    expect(missing(['practice-weed-seed-week'])!.cover.map((c) => c.id)).toEqual([
      'us-organic-static',
      'us-produce-static',
    ]);
    expect(missing(['us-produce-static'])).toBeNull();
    expect(missing([], ['garden'])).toBeNull();
    expect(missing([], ['manure'], kept('static', { noClaim: true }))).toBeNull();
  });
});
test('five turnings in fifteen days cannot be met by turning every fortnight; every third day they can', () => {
  const rule = RULE_LIBRARY.find((r) => r.id === 'us-503-pfrp-turned')!;
  const of = (id: string) =>
    shortSchedule(
      TEMPLATES.find((t) => t.id === id)!,
      rule,
    );
  expect(of('fortnightly')).toEqual({ needed: 5, days: 15, made: 1, everyDays: 3 });
  expect([of('weekly')?.made, of('fast'), of('row'), of('by-heat')]).toEqual([2, null, null, null]);
});
test('no two rules of the library share a name, and each names its standard', () => {
  for (const name of [(r: Rule) => r.title, shortTitle])
    expect(new Set(RULE_LIBRARY.map(name)).size).toBe(RULE_LIBRARY.length);
  for (const r of RULE_LIBRARY)
    expect([
      r.id,
      /40 CFR|7 CFR|21 CFR|2019\/1009|CCME|AS 4454|PAS 100|common practice/.test(r.title),
    ]).toEqual([r.id, true]);
});

const hold = { kind: 'hold', floorC: 55, hours: 72, consecutive: true, turnings: 0 };
const slip = (requirement: unknown, more: object = {}): string => {
  const p = SiteRuleSchema.safeParse({ id: 'site-x', title: 'Ours', requirement, ...more });
  return p.success ? 'fine' : p.error.issues.map((i) => i.message).join('; ');
};
test('a rule of one’s own is refused with the reason when it cannot be meant', () => {
  expect(slip(hold)).toBe('fine');
  expect(slip({ ...hold, floorC: 131 })).toMatch(
    /131 °C is outside 20 °C to 90 °C\. Was it typed in the other unit\?/,
  );
  expect(slip({ ...hold, ceilingC: 50 })).toMatch(/must be above the lowest/);
  expect(slip({ kind: 'within', outer: hold, inner: { ...hold, hours: 99 } })).toMatch(
    /must not be longer/,
  );
  expect(slip({ kind: 'meanAbove', floorC: 55, hours: 24, meanC: 50 })).toMatch(
    /asks for nothing more/,
  );
  expect(slip({ kind: 'anyOf', of: [hold, { ...hold, floorC: 5 }] })).toMatch(
    /outside 20 °C to 90 °C/,
  );
  expect(slip(hold, { id: 'us-503-pfrp-turned' })).toMatch(/must start with site-/);
  expect(slip({ kind: 'within', outer: { ...hold, turnings: 2 }, inner: hold })).not.toBe('fine');
});
test('a policy that contradicts itself is refused', () => {
  expect(SoundPolicySchema.safeParse({ turnGraceHours: 40 }).success).toBe(false);
  expect(SoundPolicySchema.safeParse({ turnGraceHours: 40, maxGapHours: 48 }).success).toBe(true);
});

test('the rule that a site lets lead comes first, what it does not name last and as it was', () =>
  expect(orderedLike(['a', 'x', 'b', 'y', 'c'], ['c', 'b', 'a'])).toEqual([
    'c',
    'b',
    'a',
    'x',
    'y',
  ]));
test('a heap that is not turned is shown no rule of turnings to cover its manure', () => {
  const missing = missingGermRule(
    { keeping: kept('static'), inputs: ['manure'], country: 'United Kingdom' },
    [],
  )!;
  const rules = missing.cover.map((c) => findRule(c.id)!);
  expect(
    rules.every((r) =>
      leavesOf(r.requirement).some((leaf) =>
        leaf.kind === 'hold' ? leaf.turnings === 0 : leaf.kind !== 'staged',
      ),
    ),
  ).toBe(true);
});
