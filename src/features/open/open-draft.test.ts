import { asSpeaker } from '../../../tests/support/speech';
import fc from 'fast-check';
import { TEMPLATES } from '@/core/advice/templates';
import { getKindDescription } from '@/core/log/entry';
import { RULE_LIBRARY } from '@/core/rules/library';
import {
  closedAt,
  copyEarlier,
  newOpenDraft,
  openedData,
  readOpenDraft,
  type OpenContext,
  type OpenDraft,
} from './open-draft';

const CONTEXT: OpenContext = {
  leastHotM3: 1,
  country: 'United States',
  unit: 'F',
  codes: ['A', 'B'],
  stretchM: 5,
  rules: RULE_LIBRARY.map((rule) => ({ id: rule.id, rule })),
  ownRules: [],
  siteTerms: null,
  templates: TEMPLATES,
  nowMs: Date.UTC(2026, 9, 25, 12),
};
const FIRST = newOpenDraft({ code: 'C', name: 'Curlew', bay: '3' }, '2026-10-25T07:00');
const typed = (change: Partial<OpenDraft>): OpenDraft => ({
  ...FIRST,
  stage: 'building',
  ...change,
});
const read = (change: Partial<OpenDraft>) => readOpenDraft(typed(change), CONTEXT);

test('as it opens, only whether it is closed is missing', () => {
  expect(readOpenDraft(FIRST, CONTEXT).missing).toBe('Say whether the last raw material is in.');
  expect(read({}).missing).toBeNull();
});

test.each<[Partial<OpenDraft>, RegExp]>([
  [{ code: ' ' }, /needs a code/],
  [{ code: 'a' }, /already a batch a/],
  [{ volume: 'much' }, /volume as a number/],
  [{ volume: '0' }, /volume as a number/],
  [{ core: '-1' }, /depth as a number/],
  [{ reach: '90' }, /depth as a number/],
  [{ shape: 'windrow', row: 'South', from: '8', to: '4' }, /starts and ends/],
  [{ stage: 'adopted', rawAt: 'known', turned: 'twice' }, /turnings and the hottest/],
  [{ stage: 'adopted' }, /when its last raw material/],
  [{ shape: '' }, /shape and method/],
])('%j is told', (change, told) => expect(read(change).missing).toMatch(told));

test('cubic yards, a comma, °F: the log has m³ and °C', () => {
  const d = typed({
    ...{ volume: '2,5', core: '2', stage: 'adopted', rawAt: 'about', hottest: '150', turned: '2' },
  } as Partial<OpenDraft>);
  const data = asSpeaker({ system: 'us' }, () => openedData(d, readOpenDraft(d, CONTEXT), CONTEXT));
  expect(data).toMatchObject({
    volumeM3: expect.closeTo(2.5 * 0.764554858, 6),
    coreDepthM: expect.closeTo(0.6096, 6),
    adopted: { rawAt: 'about', turnings: 2, highestC: expect.closeTo(65.5556, 3) },
  });
});

test('rules go by what goes in and how it is kept; a tick by hand stands, and one may lead', () => {
  const manure = read({ inputs: ['manure'] });
  expect(manure.chosen).toContain('us-organic-turned');
  expect(manure.proposedFor.get('us-organic-turned')).toMatch(/United States/);
  const without = read({ inputs: ['manure'], byHand: { 'us-organic-turned': false } });
  expect(without.chosen).not.toContain('us-organic-turned');
  const lead = manure.chosen.at(-1)!;
  const led = read({ inputs: ['manure'], leads: lead });
  expect(led.chosen[0]).toBe(lead);
  expect([...led.chosen].sort()).toEqual([...manure.chosen].sort());
  expect(read({ method: 'static', inputs: ['manure'] }).offered).not.toContain('us-organic-turned');
});

test('its clock: none while it is building, then as told, from now where nobody knows', () => {
  expect(closedAt(typed({}))).toBeUndefined();
  expect(closedAt(typed({ stage: 'closed' }))).toBe('2026-10-25T07:00');
  expect(closedAt(typed({ stage: 'adopted', rawAt: 'about' }))).toBe('2026-10-25T07:00');
  expect(closedAt(typed({ stage: 'adopted', rawAt: 'unknown' }))).toBeNull();
});

test('like an earlier heap: its method, size, shape, inputs and rules, and nothing of its name', () => {
  const template = TEMPLATES.find((t) => t.kept === 'static' && t.aerated === true)!;
  const earlier = {
    id: 'x',
    name: 'Avocet',
    template,
    volumeM3: 3.0582,
    shape: 'windrow',
    coreDepthM: 0.7,
    inputs: ['manure'] as const,
    rules: ['us-503-pfrp-static'],
    says: '',
  };
  const ids = RULE_LIBRARY.map((r) => r.id);
  const yards = asSpeaker({ system: 'us' }, () => copyEarlier(earlier, ids));
  expect(yards).toMatchObject({ volume: '4', core: '2.3' });
  const change = copyEarlier(earlier, ids);
  const d = typed(change);
  expect(d).toMatchObject({
    name: 'Curlew',
    code: 'C',
    volume: '3.1',
    shape: 'windrow',
    core: '0.7',
  });
  expect(readOpenDraft(d, CONTEXT).chosen).toEqual(['us-503-pfrp-static']);
});

const text = fc.oneof(
  fc.constantFrom('', '3', '0,5', '-2', 'x', ' 12 '),
  fc.string({ maxLength: 6 }),
);
test('whatever is typed: what may be kept, the log takes', () =>
  fc.assert(
    fc.property(
      fc.record({
        code: text,
        name: text,
        volume: text,
        core: text,
        reach: text,
        row: text,
        from: text,
        to: text,
        turned: text,
        hottest: text,
        told: text,
        shape: fc.constantFrom('dome', 'windrow', 'cube', ''),
        method: fc.constantFrom('turned', 'static', 'vessel', ''),
        stage: fc.constantFrom('building', 'closed', 'adopted', ''),
        rawAt: fc.constantFrom('known', 'about', 'unknown', ''),
      }),
      (change) => {
        const d = { ...FIRST, ...change } as OpenDraft;
        const reading = readOpenDraft(d, CONTEXT);
        if (reading.missing !== null) return;
        const parsed = getKindDescription('opened').schema.safeParse(
          openedData(d, reading, CONTEXT),
        );
        expect(parsed.error?.issues ?? []).toEqual([]);
      },
    ),
    { numRuns: 300 },
  ));
