import { line } from 'd3-shape';
import { firstOf } from '@/core/quantity/present';
import { ember } from './ember';

/** One bay of the plan: expected heat as a ridge with a dip at each turning, solid up to now, pale after it. */
export type RidgeOf = {
  readonly kind: 'live' | 'building' | 'proven' | 'curing' | 'waiting';
  readonly turns: readonly number[];
  readonly meanC: number;
  readonly proofAt: number | null;
  readonly lostAt: number | null;
};

/** Height of the heat in [0, 1] at a day; a drawing of what is expected, not a forecast of degrees. */
function ridgeAt({ kind, turns, proofAt, lostAt }: RidgeOf, day: number, now: number): number {
  if (kind === 'building') return 0.3;
  const cool = (since: number, from: number): number =>
    0.22 + (from - 0.22) * Math.exp(-Math.max(0, day - since) / 4);
  if (kind === 'curing') return cool(now - 12, 0.5);
  if (kind === 'proven') return cool(now, 0.6);
  const end = Math.min(proofAt ?? Infinity, lostAt ?? Infinity);
  const hot = (d: number): number => {
    const turned = turns.findLast((t) => t <= d) ?? now - 2;
    const since = d - turned;
    const rise = kind === 'waiting' ? Math.min(1, 0.4 + Math.max(0, d - now) * 0.2) : 1;
    return (
      rise *
      (0.98 - 0.035 * Math.max(0, since - 0.8)) *
      (1 - 0.5 * Math.exp(-((Math.max(0, since) / 0.32) ** 1.3)))
    );
  };
  return day <= end ? hot(day) : cool(end, hot(end));
}

/** Drawn every three hours: a turning’s dip is a quarter of a day wide. */
const STEPS_A_DAY = 8;

export function Ridge({
  of,
  days,
  x,
  base,
  height,
  now,
}: {
  of: RidgeOf;
  days: number;
  x: (day: number) => number;
  base: number;
  height: number;
  now: number;
}) {
  const steps = Array.from({ length: days * STEPS_A_DAY + 1 }, (_, i) => i / STEPS_A_DAY);
  const [past, future] = [
    steps.filter((d) => d <= now + 1 / STEPS_A_DAY),
    steps.filter((d) => d >= now),
  ];
  const y = (d: number): number => base - height * ridgeAt(of, d, now);
  const outline = line<number>().x(x).y(y).digits(0);
  // Down to the ground at both ends, and not along it: a page holds hundreds of these.
  const fill = (part: readonly number[]): string =>
    part.length > 1 ? `${outline(part) ?? ''}V${base}H${Math.round(x(firstOf(part)))}Z` : '';
  const cured = of.kind === 'curing' || of.kind === 'proven';
  const end = Math.min(of.proofAt ?? Infinity, days);
  const hot = future.filter((d) => d <= end);
  const after = future.filter((d) => d >= end - 1 / STEPS_A_DAY);
  const pale = cured
    ? 'var(--color-cured)'
    : of.kind === 'live'
      ? 'var(--color-prove-wash)'
      : 'var(--color-sheet)';
  return (
    <g>
      <path d={fill(hot)} fill={pale} />
      {end < days && <path d={fill(after)} fill="var(--color-cured)" />}
      <path
        d={fill(past)}
        style={{
          fill:
            of.kind === 'curing'
              ? 'var(--color-humus)'
              : of.kind === 'building'
                ? 'var(--color-sheet)'
                : ember(of.meanC),
        }}
      />
      <path
        d={outline(steps) ?? ''}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.4"
        strokeLinejoin="round"
      />
    </g>
  );
}
