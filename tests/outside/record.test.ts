import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import jsqr from 'jsqr';
import sharp from 'sharp';
import { openFile, recordOf, sameDigest } from '@/checker/open-file';
import { batchFileOf } from '@/core/formats/batch-file-of';
import { answerVerify, preparedOf, rulingsOf } from '@/core/formats/verify-call';
import { trailOf } from '@/core/formats/trail';
import { foldBatch, foldSite, type SiteState } from '@/core/log/fold';
import { readBatchFile } from '@/core/formats/batch-file';
import { findRule } from '@/core/rules/library';
import { recordDoc } from '@/features/record/view';
import { recordPdf } from '@/features/record/server/pdf';
import { chainOf } from '../support/chain';
import { at, DAY0, H } from '../support/evidence';
import { logOf } from '../support/log';
import { sha256 } from '../support/sha256';
import { entryId } from '../support/ids';

/** The printed record, read back with poppler's pdftotext, against the verdict that it was made from. */
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };
const RULES = ['us-503-pfrp-static', 'uk-pas100-default', 'practice-weed-seed-week'];
let dir: string;
beforeAll(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'record-'));
});
afterAll(() => fs.rmSync(dir, { recursive: true, force: true }));

function batch(names: { name?: string; by?: string } = {}) {
  const log = logOf(DAY0 - H, {
    method: 'static',
    rules: RULES,
    inputs: ['manure'],
    name: names.name ?? 'Egret',
    coreDepthM: 1.2,
    shape: 'windrow',
  });
  const by = names.by ?? 'Mo';
  log.put('built', {}, { at: DAY0, by });
  let last = '';
  for (let h = 2; h <= 98; h += 12) last = log.round(at(h), 57 + h / 50, 61.2, 62.3);
  log.put('turn', { full: true, rim: 'most' }, { at: at(99), by });
  log.put(
    'addition',
    { raw: false, seeds: true, what: 'late hay, two barrows' },
    { at: at(100), by },
  );
  log.put(
    'correction',
    {
      target: entryId(last),
      reading: `${last}.2`,
      value: 64.4,
      unit: 'C',
      reason: 'The paper says otherwise.',
    },
    { at: at(101), by },
  );
  const [state, siteState] = [
    foldBatch(log.entries),
    { ...foldSite([]), probes: new Map() } as SiteState,
  ];
  const file = batchFileOf(state, SITE, siteState)!;
  const text = `${JSON.stringify({ ...file, trail: trailOf('s', chainOf('s', log.entries)) }, null, 1)}\n`;
  return {
    state,
    siteState,
    text,
    record: (unit: 'C' | 'F' = 'C') =>
      recordDoc({
        state,
        siteState,
        site: SITE,
        now: at(110),
        unit,
        file: {
          ...{ digest: sha256(text), head: 'f'.repeat(64), seal: [] },
          end: { text: LOG_END, use: 'Keep it.', codeName: 'Code', side: 1, path: '' },
        },
      }),
  };
}
/** Where the log ended, as the record says it. */
const LOG_END = `1108:${'a1'.repeat(32)}`;

const run = (tool: string, ...args: string[]): string => {
  const r = spawnSync(tool, args, { encoding: 'utf8' });
  if (r.status !== 0) throw new Error(r.stderr || `${tool} is missing`);
  return r.stdout;
};
async function printed(
  b: ReturnType<typeof batch>,
  paper: 'a4' | 'letter' = 'a4',
  unit: 'C' | 'F' = 'C',
) {
  const pdf = path.join(dir, `${Math.random()}.pdf`);
  fs.writeFileSync(pdf, await recordPdf({ record: b.record(unit), paper, file: b.text }));
  // One line, one space between words: where lines break is the printer's affair.
  return {
    pdf,
    text: run('pdftotext', '-layout', pdf, '-').replace(/\s+/g, ' '),
    raw: run('pdftotext', '-raw', pdf, '-').replace(/\s+/g, ' '),
    info: run('pdfinfo', pdf),
  };
}

test('the PDF says what the verdict says: sentence, rule text, source, policy, notes', async () => {
  const b = batch();
  const { raw } = await printed(b);
  for (const v of b.record().verdicts) {
    for (const words of [
      `${v.full}: ${v.word.toLowerCase()}`,
      v.sentence,
      v.asks,
      v.policy,
      ...v.notes,
    ])
      expect(raw).toContain(words.replace(/\s+/g, ' '));
  }
  const parsed = readBatchFile(b.text);
  if (!parsed.ok) throw new Error('unreadable');
  const verdict = rulingsOf(preparedOf(parsed.file, at(110)), [findRule('us-503-pfrp-static')!])[0]!
    .assessment.verdict;
  expect(verdict.status).toBe('proven');
  expect(raw).toMatch(
    /PFRP, in-vessel or aerated static pile \(40 CFR 503\): 55 °C for 3 days: met Met Mon May 4 3:00 AM: 3 d 0 h at 55 °C\./,
  );
  expect(raw).toContain('check with your local authority');
  expect(raw).not.toMatch(/\b(sterile|safe)\b/i);
});

test('the end of the log stands in words and as a code, which another program reads off the printed page', async () => {
  const { pdf, raw } = await printed(batch());
  expect(raw.replace(/\s/g, '')).toContain(LOG_END);
  const pages = path.join(dir, 'pages');
  run('pdftoppm', '-r', '150', '-png', pdf, pages);
  const read: (string | undefined)[] = [];
  for (const name of fs.readdirSync(dir).filter((f) => f.startsWith('pages'))) {
    const { data, info } = await sharp(path.join(dir, name))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    read.push(jsqr(new Uint8ClampedArray(data), info.width, info.height)?.data);
  }
  expect(read).toContain(LOG_END);
}, 60_000);

test('the record says by whom each round was read, location, and has a place to sign; it is tagged', async () => {
  const { raw, info } = await printed(batch({ by: 'Łukasz' }));
  expect(raw).toMatch(/Thermometer Read by Counts as/);
  expect(raw).toMatch(
    /57\.04 61\.2 62\.3 not named Mo 57.0 °C hot[^]*not named Mo, Łukasz 59.0 °C hot/,
  );
  expect(raw).toContain('Address not logged');
  expect(raw).toMatch(/Met or not met Met Mon May 4: PFRP, in-vessel/);
  expect(raw).toMatch(/Signed for the site Name Signature Date/);
  expect(raw).toMatch(
    /Rule texts as in this program, edition \d+: compare them with the current texts\./,
  );
  expect(raw).not.toContain('from memory');
  expect(info).toMatch(/Tagged:\s+yes/);
});

test('every round with every value as read, corrections with reason and person, works, and what is not covered', async () => {
  const b = batch();
  const { text, raw } = await printed(b);
  for (let h = 2; h <= 98; h += 12) expect(text).toContain(`${57 + h / 50}`);
  for (const words of [
    '64.4',
    'The paper says otherwise.',
    'late hay, two barrows, with live weed seeds',
    'most of the edge went in',
    'Not covered by this record',
    'No reading names its thermometer',
    'Materials',
    'manure',
    'superseded',
  ])
    expect(raw).toContain(words);
});

test('page x of y, the paper that was asked for, a title, the batch file inside', async () => {
  const b = batch();
  const [a4, letter] = [await printed(b), await printed(b, 'letter')];
  const pages = Number(/Pages:\s+(\d+)/.exec(a4.info)![1]);
  for (let i = 1; i <= pages; i += 1) expect(a4.raw).toContain(`page ${i} of ${pages}`);
  expect(a4.info).toMatch(/A4/);
  expect(letter.info).toMatch(/612 x 792 pts \(letter\)/);
  expect(a4.info).toMatch(/Title:\s+Heat-treatment record, E, Hopyard Corner/);
  run('pdfdetach', '-save', '1', '-o', path.join(dir, 'inside.json'), a4.pdf);
  expect(fs.readFileSync(path.join(dir, 'inside.json'), 'utf8')).toBe(b.text);
});

test('its digest and command give the same verdicts again', async () => {
  const b = batch();
  const { raw } = await printed(b);
  const { digest, command: printedCommand } = b.record().again!;
  const command = printedCommand!;
  expect(raw.replace(/ /g, '')).toContain(digest);
  expect(raw).toContain(command.split(' --as-of')[0]!);
  const rules = [...command.matchAll(/--rule (\S+)/g)].map((m) => m[1]!);
  const answer = answerVerify(
    b.text,
    { rules, asOf: /--as-of (\S+)/.exec(command)![1], json: false },
    sha256,
  );
  expect(answer.out).toContain(`file SHA-256 ${digest}`);
  for (const v of b.record().verdicts)
    expect(answer.out).toContain(`${v.id}  ${v.word.toLowerCase()}\n`);
});

test('in °F the record keeps what was typed and says the rest in °F', async () => {
  const { raw } = await printed(batch(), 'letter', 'F');
  expect(raw).toContain('131 °F');
  expect(raw).toContain('57.04 °C');
});

test('names in other letters are printed, not dropped', async () => {
  const { raw } = await printed(batch({ name: 'Žuvėdra Ласточка Χελιδόνι', by: 'Łukasz' }));
  for (const words of ['Žuvėdra Ласточка Χελιδόνι', 'Łukasz']) expect(raw).toContain(words);
});

test('the self-checking page makes the same record from the file alone, and from a foreign file too', () => {
  const b = batch();
  const opened = openFile(b.text, sha256);
  if (!opened.ok || opened.lots) throw new Error('no batch file');
  const [own, again] = [b.record(), recordOf(opened, at(110), 'C')];
  expect({ ...again, again: null }).toEqual({ ...own, again: null });
  expect(sameDigest(` ${own.again!.digest.toUpperCase()} `, opened.digest)).toBe(true);
  expect(sameDigest('abc', opened.digest)).toBe(false);
  const foreign = openFile(
    fs.readFileSync(path.resolve(__dirname, '../../docs/example.zealous-heap.json'), 'utf8'),
    sha256,
  );
  if (!foreign.ok || foreign.lots) throw new Error('no batch file');
  expect(foreign.told).toBeNull();
  const verdicts = recordOf(foreign, foreign.latest, 'C').verdicts;
  for (const v of verdicts)
    expect(v.status).toBe(
      rulingsOf(preparedOf(foreign.file, foreign.latest), [findRule(v.id)!])[0]!.assessment.verdict
        .status,
    );
  expect(verdicts.length).toBeGreaterThan(3);
});

test('a file that was tampered with is refused by the page, with the place named', () => {
  const opened = openFile(batch().text.replace('61.2', '71.2'), sha256);
  expect(opened).toMatchObject({
    ok: false,
    tampered: true,
    problems: [
      expect.stringMatching(/^(readings|trail).*(something else|does not match its hash)/),
    ],
  });
  expect(openFile('time,point,value\n', sha256)).toMatchObject({
    ok: false,
    tampered: false,
    problems: [expect.stringMatching(/^\(file\): not JSON text/)],
  });
});
