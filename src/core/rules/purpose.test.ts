import { METHODS } from '../evidence/types';
import { countryOf } from './country';
import { policyForPurpose, PURPOSES, rulesForPurpose } from './purpose';
import { keepingOf, type Input } from './propose';
import { findRule } from './library';

const ask = (purpose: (typeof PURPOSES)[number], timeZone: string, ...inputs: Input[]) =>
  rulesForPurpose(purpose, {
    keeping: keepingOf('turned', null),
    inputs,
    country: countryOf(timeZone),
  });

test('each purpose leads to the rules that are usually asked for there', () => {
  expect(ask('organic', 'America/Chicago', 'manure')).toEqual(['us-organic-turned']);
  expect(ask('sell', 'America/Chicago', 'garden')).toEqual(['us-503-pfrp-turned']);
  expect(ask('inspected', 'Europe/London', 'food-waste')).toEqual(['uk-pas100-default']);
  expect(ask('own', 'America/Chicago', 'garden')).toEqual([]);
  expect(ask('own', 'America/Chicago', 'garden', 'seeding-weeds')).toEqual([
    'practice-weed-seed-week',
  ]);
  expect(ask('own', 'America/Chicago', 'manure')).toEqual(['us-produce-turned']);
});

test('no rule is proposed that is not written for the method, or of another country', () => {
  for (const purpose of PURPOSES)
    for (const method of METHODS) {
      const keeping = keepingOf(method, null);
      const inputs: Input[] = ['manure', 'seeding-weeds'];
      const rules = rulesForPurpose(purpose, { keeping, inputs, country: 'Canada' });
      for (const id of rules) {
        expect(findRule(id)!.methods).toContain(method);
        expect(findRule(id)!.jurisdiction).toMatch(/Canada|common practice/i);
      }
    }
  expect(ask('sell', 'Asia/Tokyo', 'manure')).toEqual([]);
});

test('where somebody inspects, a margin is kept for the thermometer', () => {
  expect(policyForPurpose('inspected')).toEqual({ guardBandC: 1 });
  expect(policyForPurpose('own')).toEqual({});
});

test('a rule that sewage sludge may not go into is not proposed for it (7 CFR 205.105(g), from memory)', () => {
  expect(ask('organic', 'America/Chicago', 'biosolids')).toEqual([]);
  expect(ask('sell', 'America/Chicago', 'biosolids')).toEqual(['us-503-pfrp-turned']);
});
