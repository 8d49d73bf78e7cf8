import { logOf } from '../../../tests/support/log';
import { batchFileOf } from '../formats/batch-file-of';
import { evidenceOfState } from '../formats/evidence-of-state';
import { evidenceOf } from '../formats/batch-file';
import { assessBatch } from '../snapshot/assess-batch';
import { foldBatch, foldSite, growByRounds } from './fold';
import type { Entry } from './entry';
import { enteredByOf, type MemberRole } from './entered-by';

const H = 3_600_000;
const NOW = Date.UTC(2026, 9, 25, 12);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;

/** The last entry as somebody of a role brought it. */
function asRole(entries: Entry[], role: MemberRole): void {
  const last = entries.pop()!;
  const enteredBy = { person: role, name: role, role };
  entries.push({ ...last, data: { ...last.data, enteredBy } } as Entry);
}

function withCountsAtOnce(e: Entry): Entry {
  const enteredBy = { ...enteredByOf(e.data), countsAtOnce: true };
  return { ...e, data: { ...e.data, enteredBy } } as Entry;
}

/** A batch that is read hot each half day by somebody of a role, and turned five times. */
function heapOf(role: MemberRole, value = 60) {
  const log = logOf(NOW - 400 * H);
  log.put('built', {}, { at: NOW - 400 * H });
  for (let h = 396; h >= 12; h -= 12) {
    log.round(NOW - h * H, value, value + 1, value + 2);
    asRole(log.entries, role);
    if (h % 72 === 0) {
      log.put('turn', { full: true }, { at: NOW - h * H + H });
      asRole(log.entries, role);
    }
  }
  return log;
}
const verdictOf = (entries: readonly Entry[]) =>
  assessBatch(foldBatch(entries), SITE, foldSite([]), NOW)!.rules[0]!.assessment.verdict;

describe('what a trainee logged', () => {
  test('cannot help until somebody else has checked it', () => {
    expect(verdictOf(heapOf('crew').entries).status).toBe('proven');
    const log = heapOf('trainee');
    const before = verdictOf(log.entries);
    expect(before.status).not.toBe('proven');
    expect(before.notes.map((n) => n.code)).toContain('ROUND_TO_CHECK');
    expect(before.notes.map((n) => n.code)).not.toContain('THIN_ROUND');
    for (const e of [...log.entries])
      if (e.kind === 'round' || e.kind === 'turn')
        log.put('entry-check', { target: e.id }, { at: NOW - H });
    expect(verdictOf(log.entries)).toEqual(verdictOf(heapOf('crew').entries));
  });
  test('counts at once where the site had laid that down when it was logged, and what came before waits', () => {
    const log = heapOf('trainee');
    const early = log.entries.find((e) => e.kind === 'round')!;
    const entries = log.entries.map((e) =>
      e === early || (e.kind !== 'round' && e.kind !== 'turn') ? e : withCountsAtOnce(e),
    );
    expect([...foldBatch(entries).toCheck]).toEqual([early.id]);
    expect(verdictOf(entries).status).toBe('proven');
  });
  test('may hurt: a cold round breaks the run as anybody’s does', () => {
    const log = heapOf('crew');
    const hot = verdictOf(log.entries.filter((e) => e.at < NOW - 225 * H));
    log.round(NOW - 227 * H, 40, 41, 42);
    asRole(log.entries, 'trainee');
    const cold = verdictOf(log.entries.filter((e) => e.at < NOW - 225 * H));
    expect(cold.notes.map((n) => n.code)).toContain('COLD');
    expect(hot.notes.map((n) => n.code)).not.toContain('COLD');
  });
  test('imported readings that nobody had checked can be checked where they came to, and only those of them', () => {
    const log = logOf(NOW - 100 * H);
    log.put('built', {}, { at: NOW - 100 * H });
    const reading = (id: string, unchecked: boolean) => ({
      ...{ id, at: new Date(NOW - 50 * H).toISOString(), point: 'P1', value: 60 },
      unit: 'C' as const,
      ...(unchecked ? { toCheck: true as const } : {}),
    });
    const round = log.put(
      'round',
      { source: 'file', readings: [reading('a', true), reading('b', false)] },
      { at: NOW - 50 * H },
    );
    const doubted = () => foldBatch(log.entries).readings.flatMap((r) => (r.toCheck ? [r.id] : []));
    expect([doubted(), [...foldBatch(log.entries).toCheck]]).toEqual([['a'], [round]]);
    log.put('entry-check', { target: round }, { at: NOW - 48 * H });
    expect([doubted(), [...foldBatch(log.entries).toCheck]]).toEqual([[], []]);
  });
  test('is not checked by a trainee, nor by a check that was voided', () => {
    const log = logOf(NOW - 100 * H);
    log.put('built', {}, { at: NOW - 100 * H });
    const round = log.round(NOW - 50 * H, 60, 61, 62);
    asRole(log.entries, 'trainee');
    expect([...foldBatch(log.entries).toCheck]).toEqual([round]);
    log.put('entry-check', { target: round }, { at: NOW - 49 * H });
    asRole(log.entries, 'trainee');
    expect(foldBatch(log.entries).toCheck).toContain(round);
    const check = log.put('entry-check', { target: round }, { at: NOW - 48 * H });
    expect(foldBatch(log.entries).toCheck).not.toContain(round);
    log.put('correction', { target: check, reason: 'not looked at' }, { at: NOW - 47 * H });
    expect(foldBatch(log.entries).toCheck).toContain(round);
  });
  test('is right once somebody else has corrected a value of it', () => {
    const log = logOf(NOW - 100 * H);
    log.put('built', {}, { at: NOW - 100 * H });
    const target = log.round(NOW - 50 * H, 60, 61, 62);
    asRole(log.entries, 'trainee');
    log.put(
      'correction',
      { target, reading: `${target}.1`, value: 58, reason: 'read off again' },
      { at: NOW - 49 * H },
    );
    const stands = foldBatch(log.entries).readings.filter((r) => r.flag === undefined);
    expect(stands.map((r) => [r.value, r.toCheck === true])).toEqual([
      [61, true],
      [62, true],
      [58, false],
    ]);
  });
  test('is the same when it comes to a batch that is folded already', () => {
    const log = logOf(NOW - 100 * H);
    log.put('built', {}, { at: NOW - 100 * H });
    const before = foldBatch([...log.entries]);
    log.round(NOW - 50 * H, 60, 61, 62);
    asRole(log.entries, 'trainee');
    const grown = growByRounds(before, log.entries.slice(-1))!;
    const anew = foldBatch(log.entries);
    expect([grown.readings, grown.toCheck]).toEqual([anew.readings, anew.toCheck]);
  });
  test('stands in the file of the batch, which says the same as the log', () => {
    const state = foldBatch(heapOf('trainee').entries);
    const site = foldSite([]);
    const terms = state.terms[0]!;
    expect(evidenceOf(batchFileOf(state, SITE, site)!)).toEqual(
      evidenceOfState(state, SITE, site, terms),
    );
  });
});
