import type { Leaf } from '@/core/evidence/rule';
import { LEAF_KINDS } from '@/core/evidence/requirements';
import { batchFileJsonSchema, parseBatchFile } from '@/core/formats/batch-file';
import { answerVerify } from '@/core/formats/verify-call';
import { SiteRuleSchema } from '@/core/log/shapes';
import { requirementText } from '@/core/rules/text';
import { chartView } from '@/core/snapshot/chart';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldBatch, foldSite } from '@/core/log/fold';
import { draftFrom, newDraft, ruleOf, withKind } from '@/features/rules/rule-draft';
import { logOf } from '../support/log';
import { sha256 } from '../support/sha256';

/** A requirement that the product does not have: so many hours in a row. Nothing but the registry is told of it. */
const BASK = 'bask' as Leaf['kind'];
const bask = (figures: object): Leaf => ({ kind: BASK, ...figures }) as unknown as Leaf;
jest.mock('@/core/evidence/requirements/registry', () => {
  const { REQUIREMENT_REGISTRY } = jest.requireActual<
    typeof import('@/core/evidence/requirements/registry')
  >('@/core/evidence/requirements/registry');
  const { hold } = REQUIREMENT_REGISTRY;
  type Bask = { floorC: number; hours: number };
  const asHold = ({ floorC, hours }: Bask) =>
    ({ kind: 'hold', floorC, hours, consecutive: true, turnings: 0 }) as const;
  return {
    REQUIREMENT_REGISTRY: {
      ...REQUIREMENT_REGISTRY,
      bask: {
        ...hold,
        fields: { floorC: 'celsius', hours: 'positive-hours' },
        createEvaluator: (r: Bask, context: Parameters<typeof hold.createEvaluator>[1]) => {
          const evaluator = hold.createEvaluator(asHold(r), context);
          return {
            progress: (at: number) => {
              const progress = evaluator.progress(at);
              return { ...progress, part: { ...progress.part, of: r } };
            },
          };
        },
        text: (r: Bask) => `${r.hours} h of basking at ${r.floorC} °C`,
        barText: (r: Bask) => `bask ${r.hours}`,
        facts: () => ({ kind: 'bask' }),
        askedText: () => [{ text: 'a long bask' }],
        reachedText: () => 'it has basked',
        form: {
          label: 'Basking',
          inputs: [
            { key: 'floor', label: 'At', unit: 'temperature' },
            { key: 'days', label: 'For', unit: 'days' },
          ],
          minTurnings: 0,
          read: (t: { floor: number; days: number }) => ({
            kind: 'bask',
            floorC: t.floor,
            hours: t.days * 24,
          }),
          write: (r: Bask) => ({ floor: r.floorC, days: r.hours / 24 }),
        },
      },
    },
  };
});

const H = 3_600_000;
const NOW = Date.UTC(2026, 9, 25, 12);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;
const iso = (hour: number): string => new Date(NOW + hour * H).toISOString();
const file = (requirement: object, from = -48) => ({
  format: 'zealous-heap/batch',
  version: 1,
  site: SITE,
  batch: { code: 'E', method: 'turned', builtAt: iso(-72) },
  points: [{ id: 'P1' }],
  policy: { minPoints: 1 },
  readings: [from, from + 24, 0].map((h) => ({
    id: `r${h}`,
    at: iso(h),
    point: 'P1',
    value: 60,
    unit: 'C',
  })),
  probes: [],
  ambient: [],
  events: [],
  rules: [{ id: 'site-bask', requirement }],
});

test('the parser takes it, and names a field that is missing', () => {
  expect(parseBatchFile(file({ kind: 'bask', floorC: 55, hours: 40 }))).toMatchObject({ ok: true });
  expect(parseBatchFile(file({ kind: 'bask', floorC: 55 }))).toMatchObject({
    ok: false,
    problems: [{ path: 'rules[0].requirement.hours' }],
  });
});
test('the published schema holds it', () =>
  expect(JSON.stringify(batchFileJsonSchema())).toContain('"bask"'));
test('the command judges by it, in words of its own', () => {
  const ask = (hours: number, json: boolean) =>
    answerVerify(
      JSON.stringify(file({ kind: 'bask', floorC: 55, hours })),
      { rules: ['site-bask'], json },
      sha256,
    );
  expect(JSON.parse(ask(40, true).out)).toMatchObject({ verdicts: [{ status: 'proven' }] });
  expect(ask(40, false).out).toContain('it has basked');
  expect(JSON.parse(ask(400, true).out)).toMatchObject({
    verdicts: [{ status: 'running', requiredHours: 400 }],
  });
});
test('a rule with it reads in plain words, alone and among others', () => {
  const r = bask({ floorC: 55, hours: 40 });
  expect(requirementText(r, 'C')).toBe('40 h of basking at 55 °C');
  expect(requirementText({ kind: 'anyOf', of: [r, r] }, 'C')).toContain('; or 40 h of basking');
});
test('a batch is followed by it, with its name on the bar', () => {
  const log = logOf(NOW - 90 * H, {
    rules: ['site-bask'],
    ownRules: [{ id: 'site-bask', title: 'A bask', requirement: bask({ floorC: 55, hours: 40 }) }],
  });
  log.put('built', {}, { at: NOW - 90 * H });
  for (let h = 84; h >= 12; h -= 12) log.round(NOW - h * H, 60, 61, 62);
  const state = foldBatch(log.entries);
  const assessment = assessBatch(state, SITE, foldSite([]), NOW)!;
  expect(assessment.rules).toMatchObject([{ assessment: { verdict: { status: 'proven' } } }]);
  const chart = chartView(state, assessment, { timeZone: SITE.timeZone, unit: 'C', now: NOW });
  expect(chart?.bars).toMatchObject([{ name: 'bask 40' }]);
});
test('the form offers it, writes it down and opens it again', () => {
  expect(LEAF_KINDS).toContain(BASK);
  const draft = newDraft('F');
  const typed = {
    ...draft,
    title: 'A long bask',
    parts: draft.parts.map((p) => ({ ...withKind(p, BASK), floor: '131', days: '2.5' })),
  };
  const rule = ruleOf(typed, 'F', []);
  expect(rule.requirement).toEqual({ kind: 'bask', floorC: 55, hours: 60 });
  expect(SiteRuleSchema.safeParse(rule).success).toBe(true);
  expect(draftFrom(rule, 'F').parts).toMatchObject([{ kind: 'bask', floor: '131', days: '2.5' }]);
  const slip = SiteRuleSchema.safeParse({ ...rule, requirement: bask({ floorC: 550, hours: 60 }) });
  expect(slip.error?.issues).toMatchObject([{ path: ['requirement'] }]);
});
