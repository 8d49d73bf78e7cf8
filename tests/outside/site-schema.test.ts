import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fs from 'node:fs';
import path from 'node:path';
import { readSiteFile, siteFileJsonSchema } from '@/core/flow/site-file';

/** The shipped JSON Schema of the site file against a standard validator (ajv, draft 2020-12). */
const SHIPPED = JSON.parse(
  fs.readFileSync(path.resolve(__dirname, '../../docs/site-file.schema.json'), 'utf8'),
) as object;
const validate = addFormats(new Ajv2020({ strict: false, allErrors: true })).compile(SHIPPED);
const WHOLE = {
  format: 'zealous-heap/site',
  version: 1,
  lots: [{ id: 'C1', kind: 'curing', name: 'the long pile', colour: 'kept, and not looked at' }],
  flows: [{ id: 'f1', at: '2026-05-01T07:00Z', to: 'C1', litres: null }],
  levels: [{ lot: 'C1', at: '2026-05-02T07:00Z', litres: 400 }],
  tests: [
    {
      id: 't1',
      lot: 'C1',
      startedAt: '2026-05-03T07:00Z',
      endedAt: null,
      values: {
        kind: 'reheat',
        turnedAt: '2026-05-03T06:30+00:00',
        squeezes: [{ at: '2026-05-03T06:30Z', squeeze: 'drops' }],
        moistures: [],
        volumeM3: null,
        core: [{ at: '2026-05-04T05:00Z', c: 21 }],
        air: [],
      },
    },
  ],
  results: [
    {
      ...{ lot: 'C1', sample: 's1', at: '2026-05-05T07:00Z' },
      ...{ analyte: 'Pb', value: '< 20', unit: 'mg/kg', basis: 'dry', solidsPct: 55 },
    },
  ],
};
const both = (file: object): [boolean, boolean] => [
  validate(file),
  readSiteFile(JSON.stringify(file)).ok,
];

test('the shipped schema is the one that the reader makes', () =>
  expect(SHIPPED).toEqual(JSON.parse(JSON.stringify(siteFileJsonSchema()))));
test('a file with tests and results passes both', () => expect(both(WHOLE)).toEqual([true, true]));
test.each<[string, object]>([
  ['no lots', { ...WHOLE, lots: undefined }],
  ['another version', { ...WHOLE, version: 2 }],
  ['a lot of no kind', { ...WHOLE, lots: [{ id: 'C1', kind: 'heap' }] }],
  [
    'a time without a zone',
    { ...WHOLE, levels: [{ lot: 'C1', at: '2026-05-02T07:00', litres: 1 }] },
  ],
  ['a test of no kind', { ...WHOLE, tests: [{ ...WHOLE.tests[0], values: { kind: 'hunch' } }] }],
  ['a result that is no figure', { ...WHOLE, results: [{ ...WHOLE.results[0], value: 'low' }] }],
  ['a result with no unit', { ...WHOLE, results: [{ ...WHOLE.results[0], unit: undefined }] }],
])('%s is refused by both', (_, file) =>
  expect(both(JSON.parse(JSON.stringify(file)) as object)).toEqual([false, false]),
);
