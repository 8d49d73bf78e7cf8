import { resolvePolicy } from '@/core/evidence/policy';
import { assessRule, prepare } from '@/core/evidence/verdict';
import { at, evidence, holdRule, steady } from '../../../tests/support/evidence';
import { parseRule, ruleIdFor } from './input';
import { createPolicyDraft, policyOf } from './policy-draft';
import { ruleView, standingCell } from './view';

describe('a policy while it is typed', () => {
  const usual = createPolicyDraft(resolvePolicy());
  test('what stands in the fields is what stood in the policy', () => {
    for (const p of [
      resolvePolicy(),
      resolvePolicy({
        counting: 'days',
        maxBlankDays: 2,
        calibrationDays: null,
        zones: ['core'],
        guardBandC: 1.5,
      }),
    ])
      expect(policyOf(createPolicyDraft(p))).toEqual(p);
  });
  test('a comma is a decimal point; an empty check age turns the note off', () => {
    expect(policyOf({ ...usual, guardBandC: '1,5', calibrationDays: ' ' })).toMatchObject({
      guardBandC: 1.5,
      calibrationDays: null,
    });
  });
  test.each([
    ['minPoints', '0'],
    ['minPoints', '2.5'],
    ['maxGapHours', '0'],
    ['maxGapHours', 'soon'],
    ['guardBandC', '-1'],
    ['roundMinutes', ''],
    ['turnGraceHours', '37'],
    ['calibrationDays', '0'],
    ['maxBlankDays', '1.5'],
  ])('%s of ‘%s’ gives none', (key, text) => {
    expect(policyOf({ ...usual, [key]: text })).toBeNull();
  });
});

describe('a rule of one’s own', () => {
  test('its id comes from its title and is not taken', () => {
    expect(ruleIdFor('Hen litter, 2 weeks!', [])).toBe('site-hen-litter-2-weeks');
    expect(ruleIdFor('Égout', ['site-egout'])).toBe('site-egout-2');
    expect(ruleIdFor('   ', [])).toBe('site-rule');
    expect(ruleIdFor('x'.repeat(200), []).length).toBeLessThanOrEqual(41);
  });
  test('it is parsed to the form of the library, or refused by name', () => {
    const draft = {
      id: 'site-x',
      title: 'Ours',
      requirement: { kind: 'hold', floorC: 55, hours: 24, consecutive: true, turnings: 0 },
    };
    expect(parseRule(draft)).toMatchObject({
      ok: true,
      rule: { jurisdiction: 'this site', clock: 'germs', methods: ['turned', 'static', 'vessel'] },
    });
    expect(parseRule({ ...draft, title: ' ' })).toMatchObject({
      ok: false,
      problems: [{ path: 'title' }],
    });
    expect(parseRule({ ...draft, requirement: { kind: 'dance' } })).toMatchObject({ ok: false });
    expect(parseRule(null)).toMatchObject({ ok: false });
  });
});

test('a standing in a cell, and a rule to read', () => {
  const rule = holdRule({ hours: 72, turnings: 2 });
  const prepared = prepare(evidence(steady(0, 30, 10, 58)), at(30));
  expect(
    standingCell(
      { assessment: assessRule(prepared, rule) },
      { timeZone: 'UTC', unit: 'C', now: at(30) },
    ),
  ).toEqual({ word: 'Counting', proven: false, text: '1 d 6 h of 3 d, 0 of 2 turnings count' });
  expect(
    standingCell(
      { assessment: assessRule(prepared, holdRule({ floorC: 65 })) },
      { timeZone: 'UTC', unit: 'C', now: at(30) },
    ).word,
  ).toBe('Nothing counts yet'); // nothing was lost
  expect(ruleView(rule, 'F').text).toBe(
    '3 days in a row at 131 °F (55 °C) or more, with at least 2 full turns in that time',
  );
});
