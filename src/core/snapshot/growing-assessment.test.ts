import fc from 'fast-check';
import { logOf } from '../../../tests/support/log';
import type { Entry } from '../log/entry';
import { foldBatch, foldSite, growByRounds, type BatchState } from '../log/fold';
import { assessBatch } from './assess-batch';
import { createBatchSnapshot } from './batch-snapshot';
import { assessGrowing, noteGrowth } from './growing-assessment';

/** A batch that is looked at after each entry, with what was worked out before; and made anew each time. Both must say the same. */
const H = 3_600_000;
const START = Date.UTC(2026, 4, 1);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };

type Step =
  | { readonly does: 'round'; readonly hours: number; readonly values: readonly number[] }
  | { readonly does: 'late-round'; readonly hours: number; readonly values: readonly number[] }
  | { readonly does: 'turn' | 'observe' | 'raw' | 'strike'; readonly hours: number };

const values = fc.array(fc.double({ min: 20, max: 85, noNaN: true }), {
  minLength: 1,
  maxLength: 3,
});
const hours = fc.double({ min: 0.1, max: 40, noNaN: true });
const step: fc.Arbitrary<Step> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ does: fc.constant('round' as const), hours, values }) },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('late-round' as const), hours, values }) },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constantFrom('turn' as const, 'observe' as const, 'raw' as const, 'strike' as const),
      hours,
    }),
  },
);
const policy = fc.record({
  counting: fc.constantFrom('hours' as const, 'days' as const),
  combine: fc.constantFrom('coldest' as const, 'mean' as const, 'median' as const),
  minPoints: fc.integer({ min: 1, max: 3 }),
  maxGapHours: fc.integer({ min: 6, max: 40 }),
});

/** Entries of the log as of each step, and when it was looked at. */
function play(
  steps: readonly Step[],
  terms: NonNullable<Parameters<typeof logOf>[1]>['policy'],
): { entries: Entry[]; now: number }[] {
  const log = logOf(START - H, {
    rules: ['us-503-pfrp-turned', 'practice-weed-seed-week'],
    policy: terms,
  });
  log.put('built', {}, { at: START });
  let now = START;
  return steps.map((s) => {
    now += Math.round(s.hours * H);
    if (s.does === 'round') log.round(now, ...s.values);
    else if (s.does === 'late-round') log.round(now - 30 * H, ...s.values);
    else if (s.does === 'turn') log.put('turn', { full: true }, { at: now });
    else if (s.does === 'observe') log.put('observation', { squeeze: 'crumbles' }, { at: now });
    else if (s.does === 'raw') log.put('addition', { raw: true }, { at: now });
    else {
      const round = log.entries.findLast((e) => e.kind === 'round');
      if (round) log.put('correction', { target: round.id, reason: 'mistyped' }, { at: now });
    }
    now += 1000;
    return { entries: [...log.entries], now };
  });
}

function grown(before: BatchState | null, entries: readonly Entry[]): BatchState {
  const fresh = before ? entries.slice(before.entries.length) : [];
  const state = before && growByRounds(before, fresh);
  if (!before || !state) return foldBatch(entries);
  noteGrowth(before, state);
  return state;
}

test('one more entry says what all of them say', () => {
  let goneOn = 0;
  fc.assert(
    fc.property(fc.array(step, { minLength: 2, maxLength: 25 }), policy, (steps, terms) => {
      let state: BatchState | null = null;
      let prepared: object | null = null;
      for (const { entries, now } of play(steps, terms)) {
        const before: BatchState | null = state;
        state = grown(before, entries);
        const anew = foldBatch(entries);
        expect(state).toEqual(anew);
        const assessment = assessGrowing(state, SITE, foldSite([]), now);
        if (assessment && assessment.prepared === prepared) goneOn += 1;
        prepared = assessment?.prepared ?? null;
        expect(createBatchSnapshot(state, SITE, foldSite([]), now, assessment)).toEqual(
          createBatchSnapshot(anew, SITE, foldSite([]), now),
        );
        expect(assessment?.rules.map((r) => r.assessment.verdict)).toEqual(
          assessBatch(anew, SITE, foldSite([]), now)?.rules.map((r) => r.assessment.verdict),
        );
      }
    }),
    { numRuns: 30 },
  );
  expect(goneOn).toBeGreaterThan(50);
});

test('another thermometer check, or a thermometer that is new, is taken in', () => {
  const log = logOf(START - H);
  log.put('built', {}, { at: START });
  const roundWith = (at: number, probe: string): void => {
    log.round(at, 56, 57, 58);
    const last = log.entries.at(-1)!;
    if (last.kind === 'round')
      for (const r of last.data.readings) (r as { probe?: string }).probe = probe;
  };
  const check = (readC: number): Entry =>
    ({
      id: `check ${readC}`,
      batch: null,
      at: START - H,
      by: 'Mo',
      kind: 'probe-check',
      data: { probe: 'T1', referenceC: 0, readC, method: 'ice' },
      seq: 0,
      recordedAt: START - H,
      hash: '',
    }) as unknown as Entry;
  roundWith(START + 12 * H, 'T1');
  const first = foldBatch(log.entries);
  assessGrowing(first, SITE, foldSite([]), START + 13 * H);
  roundWith(START + 24 * H, 'T1');
  const second = growByRounds(first, log.entries.slice(-1))!;
  noteGrowth(first, second);
  const checked = foldSite([check(3)]);
  expect(
    assessGrowing(second, SITE, checked, START + 25 * H)?.rules[0]?.assessment.verdict,
  ).toEqual(assessBatch(second, SITE, checked, START + 25 * H)?.rules[0]?.assessment.verdict);
  roundWith(START + 36 * H, 'T2');
  const third = growByRounds(second, log.entries.slice(-1))!;
  noteGrowth(second, third);
  expect(
    assessGrowing(third, SITE, checked, START + 37 * H)?.prepared.evidence.probes,
  ).toHaveLength(2);
});

test('a reading under a known id is not added: the batch is folded anew', () => {
  const log = logOf(START - H);
  log.put('built', {}, { at: START });
  log.round(START + H, 56, 57, 58);
  const state = foldBatch(log.entries);
  const again = { ...log.entries.at(-1)!, seq: 99 } as Entry;
  expect(growByRounds(state, [again])).toBeNull();
  expect(growByRounds(state, [{ ...again, kind: 'note' } as unknown as Entry])).toBeNull();
});
