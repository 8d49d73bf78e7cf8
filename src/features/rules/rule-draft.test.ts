import fc from 'fast-check';
import {
  findRequirementSlip,
  getRequirementDescription,
  LEAF_KINDS,
} from '@/core/evidence/requirements';
import type { Hold, Leaf, Requirement } from '@/core/evidence/rule';
import { SiteRuleSchema } from '@/core/log/shapes';
import { RULE_LIBRARY } from '@/core/rules/library';
import { draftFrom, emptyPart, isMistyped, newDraft, ruleOf, withKind } from './rule-draft';

/** A rule as it is written down and opened again: nothing of it may change on the way through the form. */
const celsius = fc.integer({ min: 200, max: 800 }).map((tenths) => tenths / 10);
const days = fc.integer({ min: 1, max: 120 }).map((quarters) => quarters * 6);
const ceiling = fc.option(celsius, { nil: undefined });
const holdArb: fc.Arbitrary<Hold> = fc
  .record({
    floorC: celsius,
    ceilingC: ceiling,
    hours: days,
    consecutive: fc.boolean(),
    turnings: fc.integer({ min: 0, max: 9 }),
    moist: fc.option(fc.constant(true), { nil: undefined }),
  })
  .map((h) => ({ kind: 'hold', ...h }));
const leafArb: fc.Arbitrary<Leaf> = fc.oneof(
  holdArb,
  fc
    .record({
      floorC: celsius,
      ceilingC: ceiling,
      holdHours: days,
      stages: fc.integer({ min: 1, max: 9 }),
    })
    .map((r): Leaf => ({ kind: 'staged', ...r })),
  fc
    .record({ floorC: celsius, hours: days, meanC: celsius })
    .map((r): Leaf => ({ kind: 'meanAbove', ...r })),
  fc
    .record({ floorC: celsius, ceilingC: ceiling, hours: days, inner: celsius, innerHours: days })
    .map(({ inner, innerHours, ...outer }): Leaf => ({
      kind: 'within',
      outer: { kind: 'hold', consecutive: true, turnings: 0, ...outer },
      inner: {
        kind: 'hold',
        floorC: inner,
        hours: innerHours,
        consecutive: false,
        turnings: 0,
      },
    })),
);
const requirementArb: fc.Arbitrary<Requirement> = fc.oneof(
  leafArb,
  fc
    .tuple(fc.constantFrom('anyOf', 'allOf'), fc.array(leafArb, { minLength: 2, maxLength: 4 }))
    .map(([kind, of]): Requirement => ({ kind, of })),
);

/** Figures to the ninth digit: °F to °C and back is not exact to the last one. */
const rounded = (r: Requirement): unknown =>
  JSON.parse(
    JSON.stringify(r, (_key, value: unknown) =>
      typeof value === 'number' ? Number(value.toPrecision(9)) : value,
    ),
  );
const throughTheForm = (requirement: Requirement, unit: 'C' | 'F'): Requirement =>
  ruleOf(draftFrom({ id: 'site-x', title: 'A rule', requirement } as never, unit), unit, [])
    .requirement;

test.each(['C', 'F'] as const)('in °%s: what was written down is what stands there again', (unit) =>
  fc.assert(
    fc.property(requirementArb, (requirement) =>
      expect(rounded(throughTheForm(requirement, unit))).toEqual(rounded(requirement)),
    ),
    { numRuns: 300 },
  ),
);

test('every rule of the library could be written in the form, in either unit', () => {
  for (const { id, requirement } of RULE_LIBRARY)
    for (const unit of ['C', 'F'] as const)
      expect([id, rounded(throughTheForm(requirement, unit))]).toEqual([id, rounded(requirement)]);
});

test('a rule of each kind, as the form opens it, is one that the log takes', () => {
  for (const kind of LEAF_KINDS) {
    const draft = newDraft('C');
    const rule = ruleOf(
      { ...draft, title: 'Of the site', parts: draft.parts.map((p) => withKind(p, kind)) },
      'C',
      [],
    );
    const parsed = SiteRuleSchema.safeParse(rule);
    // The mean that stands there at first is under the floor: the form asks for another.
    if (kind === 'meanAbove') expect(findRequirementSlip(rule.requirement)?.code).toBe('mean-low');
    else expect([kind, parsed.error?.issues]).toEqual([kind, undefined]);
  }
});

test('a kind that cannot be without turnings gets some; what was typed stays', () => {
  const typed = { ...emptyPart('F'), floor: '140', days: '2' };
  expect(withKind(typed, 'staged')).toMatchObject({ kind: 'staged', turnings: '3', floor: '140' });
  expect(withKind({ ...typed, turnings: '5' }, 'staged').turnings).toBe('5');
  expect(withKind(typed, 'within')).toMatchObject({ turnings: '0', floor: '140', days: '2' });
});

test('a field is wrong that holds no number, and an empty one unless something is meant by it', () => {
  const { inputs } = getRequirementDescription('hold').form;
  const part = { ...emptyPart('C'), ceiling: '', days: '', floor: 'hot' };
  const wrong = inputs.filter((input) => isMistyped(part, input)).map((input) => input.key);
  expect(wrong).toEqual(['floor', 'days']);
  expect(isMistyped({ ...part, floor: '55,5' }, inputs[0]!)).toBe(false);
});

test.each<[string, Leaf, string | undefined]>([
  [
    'a floor that no heap reaches',
    { kind: 'hold', floorC: 550, hours: 24, consecutive: true, turnings: 0 },
    'floor-out',
  ],
  [
    'a ceiling under its floor',
    { kind: 'staged', floorC: 55, ceilingC: 50, holdHours: 72, stages: 3 },
    'ceiling-low',
  ],
  ['a mean under its floor', { kind: 'meanAbove', floorC: 55, hours: 24, meanC: 50 }, 'mean-low'],
  ['nothing', { kind: 'meanAbove', floorC: 40, hours: 336, meanC: 45 }, undefined],
])('%s is found in it', (_what, requirement, code) =>
  expect(findRequirementSlip(requirement)?.code).toBe(code),
);
