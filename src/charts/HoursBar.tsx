import { say } from '@/messages/say';
const [W, H] = [200, 22];
/** So many are drawn one by one; of more, each stands for several. */
const EACH = [1, 2, 5, 10, 20, 50, 100] as const;

/** Barrows, or smaller pails for measures under 40 L. */
const shape = (x: number, w: number, small: boolean): string =>
  small
    ? `M${x + 1} 6h${w - 4}l-${w * 0.12} 12h-${w * 0.5}z`
    : `M${x} 5h${w - 3}l-${w * 0.16} 11h-${(w - 3) * 0.62}z`;

/** An amount as it is carried: so many barrows or buckets, dashed for what is advised on top. A slider lies over it, so that it is set by drawing along it. */
export function HoursBar({
  n,
  small,
  then = 0,
  most,
}: {
  n: number;
  small: boolean;
  /** That many more. */ then?: number;
  /** What the whole width stands for. */ most: number;
}) {
  const each = EACH.find((e) => most / e <= 12) ?? 100;
  const w = W / Math.max(8, Math.ceil(most / each));
  const full = n / each;
  const all = (n + then) / each;
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="block w-full h-auto" aria-hidden="true">
      {Array.from({ length: Math.min(14, Math.ceil(all - 1e-9)) }, (_, i) => {
        const part = Math.max(0, Math.min(1, full - i));
        const x = i * w + 1;
        return (
          <g key={i}>
            {part > 0 && (
              <path
                d={shape(x, w, small)}
                fill="var(--color-humus)"
                stroke="var(--color-ink)"
                strokeWidth="1.2"
                opacity={part < 1 ? 0.45 : 1}
              />
            )}
            {part === 0 && (
              <path
                d={shape(x, w, small)}
                fill="none"
                stroke="var(--color-ink)"
                strokeWidth="1.2"
                strokeDasharray="2.5 2"
              />
            )}
          </g>
        );
      })}
      {n === 0 && then === 0 && (
        <path
          d={`M1 16H${W}`}
          stroke="var(--color-rule-2)"
          strokeWidth="1.4"
          strokeDasharray="2 4"
        />
      )}
      {each > 1 && (
        <text x={W} y="20" textAnchor="end" fontSize="10" fill="var(--color-ink-2)">
          {say('charts.each', { each })}
        </text>
      )}
    </svg>
  );
}
