import { ember } from './ember';
import { foldPath, profile, type MoundFrame } from './mound';

export type SectionPoint = {
  readonly id: string;
  readonly label: string;
  /** Null: not read. */ readonly c: number | null;
  readonly figure: string;
  readonly depth: number;
  readonly coldest: boolean;
};

const FRAME: MoundFrame = { x0: 14, w: 318, base: 150, h: 120, lean: 0.03 };

/** The heap cut open: where each point was read in the latest round, the coldest ringed. A place is drawn by its depth, sides in turn. */
export function Section({ points, says }: { points: readonly SectionPoint[]; says: string }) {
  // The deepest stands in the middle, the others to its sides in turn.
  const byDepth = [...points.slice(0, 9)].sort((a, b) => b.depth - a.depth);
  const shown = byDepth.reduce<SectionPoint[]>(
    (row, p, i) => (i % 2 ? [p, ...row] : [...row, p]),
    [],
  );
  return (
    <svg
      viewBox="0 -14 352 174"
      className="block w-full max-w-[420px]"
      role="img"
      aria-label={says}
    >
      <path
        d={`${foldPath(FRAME, 1)}Z`}
        fill="var(--color-sheet)"
        stroke="var(--color-ink)"
        strokeWidth={1.8}
      />
      {[0.66, 0.33].map((k) => (
        <path
          key={k}
          d={foldPath(
            { ...FRAME, x0: FRAME.x0 + (FRAME.w * (1 - k)) / 2, w: FRAME.w * k, h: FRAME.h * k },
            1,
          )}
          fill="none"
          stroke="var(--color-rule-2)"
          strokeDasharray="3 3"
        />
      ))}
      <rect x={0} y={150} width={352} height={6} fill="var(--color-soil)" />
      <path d="M0 150H352" stroke="var(--color-ink)" strokeWidth={1.8} />
      {shown.map((p, i) => {
        const u = shown.length === 1 ? 0 : -0.78 + (1.56 * i) / (shown.length - 1);
        const x = FRAME.x0 + (FRAME.w * (u * (1 - p.depth * 0.35) + 1)) / 2;
        const surface = FRAME.base - FRAME.h * profile(u, FRAME.lean);
        const y = Math.min(FRAME.base - 14, surface + 14 + p.depth * (FRAME.base - surface) * 0.5);
        const [px, py] = [
          33 + (286 * i) / Math.max(1, shown.length - 1),
          Math.max(0, surface - 24),
        ];
        const half = p.figure.length > 2 ? 31 : 27; // a digit after the point wants room
        return (
          <g key={p.id}>
            <path d={`M${px} ${py + 6}L${x} ${y}`} stroke="var(--color-sheet)" strokeWidth={3.4} />
            <path d={`M${px} ${py + 6}L${x} ${y}`} stroke="var(--color-ink)" strokeWidth={1.5} />
            <circle
              cx={x}
              cy={y}
              r={p.coldest ? 7 : 5}
              style={{ fill: p.c === null ? 'var(--color-sheet)' : ember(p.c) }}
              stroke="var(--color-ink)"
              strokeWidth={p.coldest ? 2.6 : 1.6}
            />
            <rect
              x={px - half}
              y={py - 12}
              width={half * 2}
              height={19}
              rx={2}
              fill={p.coldest ? 'var(--color-ink)' : 'var(--color-sheet)'}
              stroke="var(--color-ink)"
              strokeWidth={1.1}
            />
            <text
              x={px - half + 5}
              y={py + 2}
              fontSize={12.5}
              fill={p.coldest ? 'var(--color-sheet)' : 'var(--color-ink-2)'}
            >
              {p.label}
            </text>
            <text
              x={px + half - 4}
              y={py + 2.5}
              textAnchor="end"
              className="disp"
              fontSize={14}
              fontWeight={700}
              fill={p.coldest ? 'var(--color-sheet)' : 'var(--color-ink)'}
            >
              {p.figure}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
