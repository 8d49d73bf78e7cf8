import { ember } from './ember';
import { Knot } from './Knot';
import type { MoundProps } from './Mound';

/** Contours of a pile from its foot up, as shares of the way to its crest. */
const CONTOURS = [0, 0.24, 0.48, 0.72] as const;
const W = 100;
const H = 60;

/** A contour as a rounded rectangle, drawn in to the crest by a share. */
const contour = (share: number) => ({
  x: 2 + share * (W / 2 - 8),
  y: 2 + share * (H / 2 - 6),
  width: W - 4 - share * (W - 16),
  height: H - 4 - share * (H - 12),
  rx: 16 * (1 - share) + 4,
});

/** How far the leading rule is, 0 to 1. */
function countedShare({ strata, requiredHours, met }: MoundProps): number {
  if (met) return 1;
  const hours = strata.reduce((sum, s) => sum + s.hours, 0);
  return requiredHours > 0 ? Math.min(1, hours / requiredHours) : 0;
}

/** What fills the ground plan: the heat of the last counted stretch; what is curing is dark, what is built is empty. */
function fillOf(heap: MoundProps): string {
  if (heap.state === 'curing' || heap.state === 'released') return 'var(--color-humus)';
  const last = heap.strata.at(-1);
  return last ? ember(last.meanC) : 'var(--color-sheet)';
}

/** One batch from above: contours of its pile, filled from the middle as far as its rule is; the danger of a hot heart is hatched. */
export function FromAbove({ heap }: { heap: MoundProps }) {
  const share = countedShare(heap);
  const isDark = heap.state === 'curing' || heap.state === 'released';
  const line = {
    fill: 'none',
    stroke: isDark ? 'var(--color-paper)' : 'var(--color-ink)',
    vectorEffect: 'non-scaling-stroke' as const,
  };
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      preserveAspectRatio="none"
      className="block w-full h-full overflow-visible"
      aria-hidden="true"
    >
      <rect {...contour(0)} fill={isDark ? 'var(--color-humus)' : 'var(--color-sheet)'} />
      {share > 0 && <rect {...contour(1 - share)} fill={fillOf(heap)} />}
      {heap.heartC !== undefined && <rect {...contour(0.66)} fill="url(#danger-small)" />}
      {CONTOURS.map((c) => (
        <rect
          key={c}
          {...contour(c)}
          {...line}
          strokeWidth={c === 0 ? 1.8 : 0.9}
          strokeDasharray={c === 0 && heap.state !== 'building' ? undefined : '3 3'}
        />
      ))}
      <rect
        {...contour(0)}
        {...line}
        stroke="var(--color-ink)"
        strokeWidth={1.8}
        strokeDasharray={heap.state === 'building' ? '3 3' : undefined}
      />
    </svg>
  );
}

/** The letter of a batch, with the knot where its rule is met; drawn beside the plan so that it is not stretched with it. */
export const PlanBadge = ({ heap }: { heap: MoundProps }) => (
  <span className="absolute inset-0 flex flex-wrap gap-1 items-center justify-center pointer-events-none">
    <b className="disp bg-ink text-sheet px-1.5 leading-[1.3] text-small">{heap.code}</b>
    {heap.met && (
      <svg width="40" height="18" className="bg-sheet rounded-[3px]" aria-hidden="true">
        <Knot cx={20} cy={9} r={8} />
      </svg>
    )}
  </span>
);
