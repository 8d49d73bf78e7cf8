import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fs from 'node:fs';
import path from 'node:path';
import { batchFileJsonSchema, parseBatchFile } from '@/core/formats/batch-file';

/** The shipped JSON Schema against a standard validator (ajv, draft 2020-12). */
const SHIPPED = JSON.parse(
  fs.readFileSync(path.resolve(__dirname, '../../docs/batch-file.schema.json'), 'utf8'),
) as object;
const ajv = addFormats(new Ajv2020({ strict: false, allErrors: true }));
const validate = ajv.compile(SHIPPED);
const EXAMPLE = JSON.parse(
  fs.readFileSync(path.resolve(__dirname, '../../docs/example.zealous-heap.json'), 'utf8'),
) as Record<string, unknown>;

test('the shipped schema is the one that the parser makes', () =>
  expect(SHIPPED).toEqual(JSON.parse(JSON.stringify(batchFileJsonSchema()))));
test('a time without seconds fits, one without a zone does not', () => {
  const at = (time: string) => ({ ...EXAMPLE, ambient: [{ at: time, value: 9, unit: 'C' }] });
  for (const [time, fits] of [
    ['2026-05-01T07:30Z', true],
    ['2026-05-01T07:30:15.25+02:00', true],
    ['2026-05-01T07:30', false],
  ] as const)
    expect([time, validate(at(time)), parseBatchFile(at(time)).ok]).toEqual([time, fits, fits]);
});
test('the example in the docs passes both', () => {
  expect(validate(EXAMPLE)).toBe(true);
  expect(parseBatchFile(EXAMPLE).ok).toBe(true);
});
test.each([
  ['points', undefined],
  ['version', 2],
  ['readings', [{ id: 'a' }]],
  ['policy', { minPoints: 0 }],
  ['policy', { maxGapHours: 0 }],
  ['events', [{ id: 'a', at: '2026-05-01T00:00:00Z', type: 'dance' }]],
])('%s as %j is refused by both', (field, value) => {
  const broken = { ...EXAMPLE, [field]: value };
  if (value === undefined) delete (broken as Record<string, unknown>)[field];
  expect([validate(broken), parseBatchFile(broken).ok]).toEqual([false, false]);
});
test('own rules of every kind fit the schema', () => {
  const hold = { kind: 'hold', floorC: 55, hours: 72, consecutive: true, turnings: 0 };
  const rules = [
    hold,
    { kind: 'staged', floorC: 55, holdHours: 72, stages: 3 },
    { kind: 'anyOf', of: [hold, hold] },
    { kind: 'allOf', of: [hold] },
    { kind: 'within', outer: hold, inner: hold },
    { kind: 'meanAbove', floorC: 40, hours: 336, meanC: 45 },
  ];
  const file = {
    ...EXAMPLE,
    rules: rules.map((requirement, i) => ({ id: `site-${i}`, requirement })),
  };
  expect([validate(file), parseBatchFile(file).ok]).toEqual([true, true]);
});
