import { SiteRuleSchema, SoundPolicySchema } from '../log/shapes';
import { RULE_LIBRARY } from './library';
import { proposedRules } from './propose';
import { requirementText, sourceText } from './text';

const text = (id: string, unit: 'C' | 'F' = 'C'): string => requirementText(RULE_LIBRARY.find((r) => r.id === id)!.requirement, unit);

test('each kind of rule reads as a grower would say it', () => {
  expect(text('us-503-pfrp-turned')).toBe('15 days in a row at 55 °C or more, with 5 full turnings at least in that time');
  expect(text('us-organic-static', 'F')).toBe('3 days in a row between 131 °F and 170 °F');
  expect(text('au-4454-turned')).toBe('3 days in a row at 55 °C or more before each of 3 full turnings');
  expect(text('us-503-psrp')).toBe('5 days in a row at 40 °C or more, and inside that time 4 hours in all at 55 °C or more');
  expect(text('us-503-var')).toBe('14 days in a row at 40 °C or more, with a mean above 45 °C over that time');
  expect(text('eu-2019-1009-cmc3')).toMatch(/^any one of: 3 days in a row at 70 °C or more; or 5 days .*; or 14 days in a row at 55 °C or more$/);
  expect(text('practice-weed-seed-week')).toBe('7 days in a row at 54.4 °C or more, counted only while the heap is moist');
});
test('every rule names its document, and says where a value was written from memory', () => {
  for (const r of RULE_LIBRARY) { expect(sourceText(r).length).toBeGreaterThan(10); expect([r.id, r.fromMemory || r.jurisdiction === 'common practice']).toEqual([r.id, true]); }
});

const ids = (...args: Parameters<typeof proposedRules>): string[] => proposedRules(...args).map((p) => p.id);
test('what goes in proposes the rules', () => {
  expect(ids('turned', ['seeding-weeds'], [])).toEqual(['practice-weed-seed-week']);
  expect(ids('turned', ['manure'], ['us-produce-turned', 'us-produce-static', 'practice-weed-seed-week'])).toEqual(['us-produce-turned']);
  expect(ids('static', ['biosolids'], [])).toEqual(expect.arrayContaining(['us-503-pfrp-static', 'us-503-psrp', 'us-503-var']));
  expect(ids('turned', ['garden'], [])).not.toContain('us-503-psrp');
  expect(ids('turned', ['food-waste'], ['au-4454-turned-high-risk'])).toEqual(['au-4454-turned-high-risk']);
  expect(proposedRules('turned', ['manure'], ['us-produce-turned'])[0]!.why).toBe('raw dung is in it');
});

const hold = { kind: 'hold', floorC: 55, hours: 72, consecutive: true, turnings: 0 };
const slip = (requirement: unknown, more: object = {}): string => { const p = SiteRuleSchema.safeParse({ id: 'site-x', title: 'Ours', requirement, ...more }); return p.success ? 'fine' : p.error.issues.map((i) => i.message).join('; '); };
test('a rule of one’s own is refused with the reason when it cannot be meant', () => {
  expect(slip(hold)).toBe('fine');
  expect(slip({ ...hold, floorC: 131 })).toMatch(/131 °C lies outside 20 to 90 °C\. Was it typed in °F\?/);
  expect(slip({ ...hold, ceilingC: 50 })).toMatch(/must lie above the floor/);
  expect(slip({ kind: 'within', outer: hold, inner: { ...hold, hours: 99 } })).toMatch(/must not be longer/);
  expect(slip({ kind: 'meanAbove', floorC: 55, hours: 24, meanC: 50 })).toMatch(/asks for nothing more/);
  expect(slip({ kind: 'anyOf', of: [hold, { ...hold, floorC: 5 }] })).toMatch(/outside 20 to 90/);
  expect(slip(hold, { id: 'us-503-pfrp-turned' })).toMatch(/must be site-/);
  expect(slip({ kind: 'within', outer: { ...hold, turnings: 2 }, inner: hold })).not.toBe('fine');
});
test('a policy that contradicts itself is refused', () => {
  expect(SoundPolicySchema.safeParse({ turnGraceHours: 40 }).success).toBe(false);
  expect(SoundPolicySchema.safeParse({ turnGraceHours: 40, maxGapHours: 48 }).success).toBe(true);
});
