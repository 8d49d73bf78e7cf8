import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { foldBatch, foldSite } from '@/core/log/fold';
import { recordPdf } from '@/features/record/server/pdf';
import { recordDoc } from '@/features/record/view';
import { at, DAY0 } from '../support/evidence';
import { logOf } from '../support/log';

/** The pages of printed records as poppler sees them: nothing empty, nothing broken in two, nothing that it complains of. */
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };
const ALL_RULES = [
  'us-503-pfrp-turned',
  'us-produce-turned',
  'us-organic-turned',
  'us-503-psrp',
  'us-503-var',
  'uk-pas100-default',
  'practice-weed-seed-week',
];
let dir: string;
beforeAll(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'pages-'));
});
afterAll(() => fs.rmSync(dir, { recursive: true, force: true }));

type Made = {
  readonly rules: readonly string[];
  readonly points: number;
  readonly days: number;
  readonly warm: number;
};
/** A batch that was read twice a day at so many points. */
function recordOf({ rules, points, days, warm }: Made) {
  const ids = Array.from({ length: points }, (_, i) => `P${i + 1}`);
  const log = logOf(DAY0, { rules: [...rules], points: ids.map((id) => ({ id })) });
  log.put('built', {}, { at: DAY0 });
  for (let h = 8; h < days * 24; h += 12)
    log.round(at(h), ...ids.map((_, i) => Math.round(10 * (warm + i + h / 97)) / 10));
  for (let h = 80; h < days * 24; h += 96)
    log.put('turn', { full: true, rim: 'all' }, { at: at(h) });
  const [state, siteState] = [foldBatch(log.entries), foldSite([])];
  const now = at(days * 24 + 6);
  return recordDoc({ state, siteState, site: SITE, now, unit: 'C' });
}

const RECORDS: Readonly<Record<string, Made>> = {
  'of a batch that nobody read': { rules: ALL_RULES, points: 3, days: 0, warm: 0 },
  'not met, under seven rules': { rules: ALL_RULES, points: 5, days: 12, warm: 44 },
  'met, under seven rules': { rules: ALL_RULES, points: 5, days: 24, warm: 58 },
  'of nine points': { rules: ['us-503-pfrp-turned'], points: 9, days: 20, warm: 59 },
  'of a batch without a rule': { rules: [], points: 3, days: 9, warm: 50 },
};

const poppler = (tool: string, ...args: string[]): string => {
  const { status, stdout, stderr } = spawnSync(tool, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(stderr || `${tool} is missing`);
  expect(stderr).toBe('');
  return stdout;
};

const PRINTED = Object.keys(RECORDS).flatMap((name) =>
  (['letter', 'a4'] as const).map((paper) => [name, paper] as const),
);
describe.each(PRINTED)('the record %s on %s', (name, paper) => {
  const made = recordOf(RECORDS[name]!);
  const file = () => path.join(dir, `${name} ${paper}.pdf`);
  let pages: string[] = [];
  beforeAll(async () => {
    fs.writeFileSync(file(), await recordPdf({ record: made, paper, file: null }));
    // Each page ends with a form feed.
    pages = poppler('pdftotext', '-raw', file(), '-').split('\f').slice(0, -1);
  });

  test('has no page that is empty but for its number', () => {
    expect(pages.length).toBeGreaterThan(1);
    for (const page of pages) expect(page.split(/\s+/).length).toBeGreaterThan(30);
  });
  test('is drawn without a complaint', () => {
    poppler('pdftoppm', '-r', '40', '-png', file(), path.join(dir, name));
  });
  test('breaks no word of a heading and no figure of a reading in two', () => {
    const words = new Set(pages.join(' ').split(/\s+/));
    for (const table of [made.rounds, made.works, made.checks])
      for (const heading of table.rows.length > 0 ? table.head : [])
        for (const word of heading.split(/\s+/)) expect(words).toContain(word);
    for (const cell of made.rounds.rows.flat())
      for (const word of cell.split(/\s+/)) expect(words).toContain(word);
  });
  test('keeps its chart on one page', () => {
    const labels = (made.chart?.bars ?? []).map((bar) => bar.name);
    if (labels.length === 0) return;
    const on = pages.filter(
      (page) => labels.some((label) => page.includes(label)) && /Heavy line/.test(page),
    );
    expect(on).toHaveLength(1);
    for (const label of labels) expect(on[0]).toContain(label);
  });
});
