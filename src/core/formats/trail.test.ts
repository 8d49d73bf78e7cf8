import { chainOf } from '../../../tests/support/chain';
import { at, DAY0, H } from '../../../tests/support/evidence';
import { logOf } from '../../../tests/support/log';
import { sha256 } from '../../../tests/support/sha256';
import { foldBatch, foldSite } from '../log/fold';
import { parseBatchFile, type BatchFile } from './batch-file';
import { batchFileOf } from './batch-file-of';
import { answerVerify } from './verify-call';
import { checkTrail, trailOf } from './trail';
import { entryId } from '../../../tests/support/ids';

const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };

/** A file as the site would hand it out: four days of rounds, a turning, a correction. */
function handedOut(): BatchFile & { trail: ReturnType<typeof trailOf> } {
  const log = logOf(DAY0 - H);
  log.put('built', {}, { at: DAY0 });
  let last = '';
  for (let h = 2; h < 96; h += 12) last = log.round(at(h), 60, 61, 62);
  log.put('turn', { full: true }, { at: at(40) });
  log.put(
    'correction',
    {
      target: entryId(last),
      reading: `${last}.1`,
      value: 59.5,
      unit: 'C',
      reason: 'read it again',
    },
    { at: at(90) },
  );
  const file = batchFileOf(foldBatch(log.entries), SITE, foldSite([]))!;
  return JSON.parse(
    JSON.stringify({ ...file, trail: trailOf('site-1', chainOf('site-1', log.entries)) }),
  ) as ReturnType<typeof handedOut>;
}
const parsed = (file: unknown): BatchFile => {
  const p = parseBatchFile(file);
  if (!p.ok) throw new Error(JSON.stringify(p.problems));
  return p.file;
};
const check = (file: unknown) => checkTrail(parsed(file), sha256);
const said = (file: unknown): string => {
  const c = check(file);
  return c.ok ? 'holds' : `${c.problems[0]!.path}: ${c.problems[0]!.message}`;
};

test('a file as it was handed out holds, and tells its batch', () => {
  const file = handedOut();
  const c = check(file);
  expect(c).toMatchObject({
    ok: true,
    told: { entries: file.trail.entries.length, head: file.trail.entries.at(-1)!.hash },
  });
  expect(c.ok && c.told!.state.opened.code).toBe('E');
});

test('a file without log entries is told so, and is reckoned all the same', () => {
  const { trail: _trail, ...bare } = handedOut();
  expect(check(bare)).toEqual({ ok: true, told: null });
  expect(check({ ...bare, trail: 'up the hill' })).toEqual({ ok: true, told: null }); // a field of somebody else’s
  expect(
    answerVerify(JSON.stringify(bare), { rules: ['us-503-pfrp-turned'], json: false }, sha256).out,
  ).toMatch(/contains no log entries/);
});

test.each<[string, (f: ReturnType<typeof handedOut>) => void, RegExp]>([
  [
    'a reading changed in the file alone',
    (f) => {
      f.readings[3]!.value = 75;
    },
    /^readings\[3\]\.value: the file says something else/,
  ],
  [
    'a turning left out of the file alone',
    (f) => {
      f.events.pop();
    },
    /^events\[?.*: the file says something else/,
  ],
  [
    'another policy in the file alone',
    (f) => {
      f.policy = { minPoints: 1 };
    },
    /^policy.*: the file says something else/,
  ],
  [
    'a reading changed in its log entry',
    (f) => {
      (f.trail.entries[2]!.data as { readings: { value: number }[] }).readings[0]!.value = 75;
    },
    /^trail\.entries\[2\]: this entry \(round of .*\) does not match its hash/,
  ],
  [
    'another name beside an entry',
    (f) => {
      f.trail.entries[3]!.by = 'Somebody';
    },
    /^trail\.entries\[3\]: .*does not match its hash/,
  ],
  [
    'an entry taken out, the numbers closed up',
    (f) => {
      f.trail.entries.splice(4, 1);
      f.trail.entries.slice(4).forEach((e) => {
        e.seq -= 1;
      });
    },
    /^trail\.entries\[4\]\.prev: the chain is broken before this entry/,
  ],
  [
    'entries in another order',
    (f) => {
      f.trail.entries.reverse();
    },
    /out|order/,
  ],
  [
    'a hash that is none',
    (f) => {
      f.trail.entries[0]!.hash = 'abc';
    },
    /^trail\.entries\[0\]\.hash: must be a SHA-256/,
  ],
  [
    'no entry that opens the batch',
    (f) => {
      f.trail.entries.splice(0, 1);
    },
    /^trail: the entries do not describe the batch/,
  ],
])('%s is found and named', (_, spoil, message) => {
  const file = handedOut();
  spoil(file);
  expect(said(file)).toMatch(message);
  const answer = answerVerify(
    JSON.stringify(file),
    { rules: ['us-503-pfrp-turned'], json: true },
    sha256,
  );
  expect(answer).toMatchObject({ status: 2, out: '' });
  expect(answer.errors.every((line) => !line.includes('\n') && !/\bat .*:\d+:\d+/.test(line))).toBe(
    true,
  );
});

test('a newer rule library, a point that is not listed, a policy that contradicts itself: each by name', () => {
  const problems = (change: object): string => {
    const p = parseBatchFile({ ...handedOut(), ...change });
    return p.ok ? 'fine' : p.problems.map((x) => `${x.path}: ${x.message}`).join('\n');
  };
  expect(problems({ terms: { version: 1, library: 99, rules: [] } })).toMatch(
    /^terms\.library: saved under edition 99 .* knows edition 2\. Update/,
  );
  expect(problems({ points: [] })).toMatch(/readings\[0\]\.point: no point with the id/);
  expect(problems({ policy: { maxGapHours: 10, turnGraceHours: 12 } })).toMatch(
    /policy\.turnGraceHours: must not be longer than maxGapHours/,
  );
});

test('ten thousand notes are kept, checked and answered', () => {
  const log = logOf(DAY0 - H);
  log.put('built', {}, { at: DAY0 });
  for (let i = 0; i < 10_000; i += 1) log.put('note', { words: `note ${i}` }, { at: at(i / 100) });
  const file = {
    ...batchFileOf(foldBatch(log.entries), SITE, foldSite([]))!,
    trail: trailOf('s', chainOf('s', log.entries)),
  };
  const answer = answerVerify(
    JSON.stringify(file),
    { rules: ['us-503-pfrp-turned'], json: false },
    sha256,
  );
  expect(answer.status).toBe(1);
  expect(answer.out).toMatch(/10002 log entries, their chain checked/);
});
