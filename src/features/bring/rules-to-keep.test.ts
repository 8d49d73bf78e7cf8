import { rulesForMethod } from '@/core/rules/library';
import { NO_CHOICES, proposeRules, rulesToKeep, type SiteContext } from './rules-to-keep';

const SITE: SiteContext = { siteRules: [], country: 'United Kingdom' };
const verdicts = rulesForMethod('turned').map((r) => ({ id: r.id }));
const preview = (named: readonly string[] = []) => ({ named, method: 'turned' as const, verdicts });
const keep = (named: readonly string[], choices: Partial<typeof NO_CHOICES> = {}, site = SITE) =>
  rulesToKeep(preview(named), site, { ...NO_CHOICES, ...choices });

test('what the file names is ticked, in the file’s order, with that as the reason', () => {
  const [first, second] = verdicts.map((v) => v.id).reverse() as [string, string];
  expect(keep([first, second])).toEqual([first, second]);
  expect(proposeRules(preview([first]), SITE).get(first)).toBe('named in the file');
});
test('a file that names none is kept under what the site works to, else what its country asks', () => {
  const american = { ...SITE, country: 'United States' } as const;
  const [own] = keep([], {}, american) as [string];
  expect(keep([], {}, { ...SITE, siteRules: [own] })).toContain(own);
  expect(keep([])).not.toContain(own);
});
test('a tick that a person sets or takes away stands over all of it', () => {
  const [named, other] = verdicts.map((v) => v.id) as [string, string];
  expect(keep([named], { byHand: { [named]: false, [other]: true } })).toEqual([other]);
  expect(keep([named], { byHand: { [named]: false } })).toEqual([]);
});
test('the rule that is to lead comes first, as long as it is ticked', () => {
  const [a, b] = verdicts.map((v) => v.id) as [string, string];
  expect(keep([a, b], { leads: b })).toEqual([b, a]);
  expect(keep([a], { leads: b })).toEqual([a]);
});
