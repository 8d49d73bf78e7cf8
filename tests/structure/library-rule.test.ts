import type { Rule } from '@/core/evidence/rule';
import { answerVerify } from '@/core/formats/verify-call';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldBatch, foldSite } from '@/core/log/fold';
import { findRule, RULE_LIBRARY, rulesForMethod } from '@/core/rules/library';
import { requirementText, sourceText } from '@/core/rules/text';
import { logOf } from '../support/log';
import { sha256 } from '../support/sha256';

/** A rule that the product does not have, as CONTRIBUTING.md adds one: data in a file of its jurisdiction, and nothing else. */
jest.mock('@/core/rules/practice', () => {
  const soak: Rule = {
    id: 'xx-soak',
    title: 'Made-up soak',
    short: 'Soak',
    jurisdiction: 'nowhere',
    document: 'Made-up order',
    section: '7',
    year: 2020,
    fromMemory: true,
    methods: ['turned'],
    clock: 'germs',
    requirement: { kind: 'hold', floorC: 50, hours: 24, consecutive: true, turnings: 0 },
    conditions: [],
  };
  const { PRACTICE_RULES } =
    jest.requireActual<typeof import('@/core/rules/practice')>('@/core/rules/practice');
  return { PRACTICE_RULES: [...PRACTICE_RULES, soak] };
});

const SOAK = findRule('xx-soak')!;
const HOUR = 3_600_000;
const START = Date.UTC(2026, 4, 1);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;

test('it is found, offered for its method, and told with its source', () => {
  expect(RULE_LIBRARY.map((r) => r.id)).toContain('xx-soak');
  expect(rulesForMethod('turned')).toContain(SOAK);
  expect(rulesForMethod('static')).not.toContain(SOAK);
  expect(requirementText(SOAK.requirement, 'C')).toMatch(/50 °C/);
  expect(sourceText(SOAK)).toMatch(/Made-up order.*7.*2020/);
});

test('a batch that is kept under it is judged by it', () => {
  const log = logOf(START, { rules: ['xx-soak'] });
  log.put('built', {}, { at: START });
  for (let h = 0; h <= 30; h += 6) log.round(START + h * HOUR, 55, 56, 57);
  const assessment = assessBatch(foldBatch(log.entries), SITE, foldSite([]), START + 31 * HOUR);
  const [assessed] = assessment!.rules;
  expect(assessed?.rule).toBe(SOAK);
  expect(assessed?.assessment.verdict).toMatchObject({
    status: 'proven',
    provenAt: START + 24 * HOUR,
  });
});

test('the command judges a file by it', () => {
  const readings = [0, 6, 12, 18, 24, 30].flatMap((h) =>
    ['P1', 'P2', 'P3'].map((point) => ({
      id: `${h}-${point}`,
      at: new Date(START + h * HOUR).toISOString(),
      point,
      value: 55,
      unit: 'C',
    })),
  );
  const file = {
    format: 'zealous-heap/batch',
    version: 1,
    site: SITE,
    batch: { code: 'E', method: 'turned', builtAt: '2026-05-01T00:00Z' },
    policy: { minPoints: 3 },
    points: ['P1', 'P2', 'P3'].map((id) => ({ id })),
    probes: [],
    ambient: [],
    readings,
    events: [],
  };
  const { out } = answerVerify(JSON.stringify(file), { rules: ['xx-soak'], json: true }, sha256);
  expect(JSON.parse(out)).toMatchObject({ verdicts: [{ rule: 'xx-soak', status: 'proven' }] });
});
