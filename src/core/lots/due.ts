import type { EntryId } from '../log/ids';
import type { TestKind } from '../log/test-shapes';
import { MS, type Instant } from '../quantity/instant';
import type { LotBook } from './book';
import { isTestOf, type LotsState, type LotTest } from './fold';

/** What a lot asks for: looks, readings of tests, water, a cover (common practice). */

export type LotDue = {
  readonly lot: string;
  readonly code: 'look' | 'water' | 'cover' | 'read-reheat' | 'end-test';
  readonly due: Instant;
  readonly test: EntryId | null;
  readonly kind: TestKind | null;
  /** The day of the reheat test, from 1. */ readonly day: number | null;
};

const LOOK_EVERY_MS = 7 * MS.day;
/** Days after which a test has nothing more to show. */
const TEST_DAYS: Readonly<Record<TestKind, number>> = {
  reheat: 5,
  flask: 10,
  germination: 5,
  seedlings: 21,
  sprout: 21,
  bag: 3,
  looks: 0,
  respiration: 0,
};

/** The core is asked for once on each of the five days. */
function readingDue(
  t: LotTest,
  now: Instant,
): { readonly day: number; readonly due: Instant } | null {
  if (!isTestOf(t, 'reheat')) return null;
  const { startedAt, values } = t.test;
  const day = Math.floor((now - startedAt) / MS.day) + 1;
  if (day > TEST_DAYS.reheat) return null;
  const from = startedAt + (day - 1) * MS.day;
  const isRead = values.core.some((r) => r.at > from && r.at <= from + MS.day);
  return isRead ? null : { day, due: from + MS.day / 2 };
}

function testDue(t: LotTest, now: Instant): LotDue[] {
  const { startedAt, endedAt, values } = t.test;
  const days = TEST_DAYS[values.kind];
  if (endedAt !== null || days === 0) return [];
  const of = { lot: t.lot, test: t.id, kind: values.kind };
  const reading = readingDue(t, now);
  if (reading) return [{ ...of, code: 'read-reheat', due: reading.due, day: reading.day }];
  const over = startedAt + days * MS.day;
  // A reheat test is over by itself.
  return values.kind === 'reheat' || now < over
    ? []
    : [{ ...of, code: 'end-test', due: over, day: null }];
}

/** What lots ask for at a moment, the most pressing first. */
export function dueOfLots(state: LotsState, book: LotBook): LotDue[] {
  const { now } = book;
  const plain = { test: null, kind: null, day: null };
  const ofLots = [...state.lots.values()].flatMap((lot): LotDue[] => {
    if (book.isEmpty(lot.id)) return [];
    const looks = state.looks.filter((l) => l.data.lot === lot.id);
    const last = looks.at(-1);
    const squeeze = looks.findLast((l) => l.data.squeeze !== undefined);
    const isDry = squeeze?.data.squeeze === 'crumbles';
    const wasWatered = looks.some((l) => (l.data.waterL ?? 0) > 0 && l.at >= (squeeze?.at ?? 0));
    const cover = looks.findLast((l) => l.data.cover !== undefined);
    return [
      ...(lot.kind === 'curing'
        ? [
            {
              ...plain,
              lot: lot.id,
              code: 'look' as const,
              due: (last?.at ?? lot.at) + LOOK_EVERY_MS,
            },
          ]
        : []),
      ...(squeeze && isDry && !wasWatered && lot.kind === 'curing'
        ? [{ ...plain, lot: lot.id, code: 'water' as const, due: squeeze.at }]
        : []),
      ...(cover?.data.cover === 'off'
        ? [{ ...plain, lot: lot.id, code: 'cover' as const, due: cover.at }]
        : []),
    ];
  });
  const ofTests = state.tests.filter((t) => !book.isEmpty(t.lot)).flatMap((t) => testDue(t, now));
  return [...ofTests, ...ofLots].sort((a, b) => a.due - b.due);
}
