import { foldPath } from './mound';
import { itemAt } from '@/core/quantity/present';

const [W, BASE, TALL] = [346, 182, 158];
const FRAME = { x0: 8, w: 330, base: BASE, h: TALL, lean: 0.03 };
/** Stuff as it looks: pale wood, leaf, dung. The texture and the number tell them apart, not the tint. */
const FILL = {
  base: 'var(--color-lay-wood)',
  brown: 'var(--color-lay-wood)',
  blanket: 'var(--color-lay-wood)',
  green: 'var(--color-lay-leaf)',
  raw: 'var(--color-lay-dung)',
} as const;
const TEXTURE = {
  base: 'url(#lay-chip)',
  brown: 'url(#lay-chip)',
  blanket: 'url(#lay-chip)',
  green: 'url(#lay-fibre)',
  raw: 'url(#lay-crumb)',
} as const;
export type DrawnLayer = { readonly kind: keyof typeof FILL; readonly litres: number };

/** A heap cut open: its layers from the ground up, each as thick as its volume makes it, numbered. */
export function LayeredHeap({
  layers,
  high,
  wide,
  label,
  done = 0,
}: {
  layers: readonly DrawnLayer[];
  high: string;
  wide: string;
  label: string;
  /** So many from below are in already. */ done?: number;
}) {
  const sum = layers.reduce((s, l) => s + l.litres, 0) || 1;
  // A mound narrows upward: the share of its volume below a height decides where a layer ends.
  const heightAt = (share: number): number => 1 - (1 - share) ** 0.62;
  const tops = layers.map((_, i) =>
    heightAt(Math.min(1, layers.slice(0, i + 1).reduce((s, l) => s + l.litres, 0) / sum)),
  );
  return (
    <svg viewBox={`0 12 ${W} 178`} className="block w-full h-auto" role="img" aria-label={label}>
      <defs>
        <clipPath id="lay-heap">
          <path d={`${foldPath(FRAME, 1)}Z`} />
        </clipPath>
        <pattern id="lay-chip" width="12" height="8" patternUnits="userSpaceOnUse">
          <path d="M1 2l4 1M7 6l4-1.4" stroke="var(--color-ink)" strokeWidth="1.3" opacity=".5" />
        </pattern>
        <pattern id="lay-fibre" width="16" height="7" patternUnits="userSpaceOnUse">
          <path
            d="M0 3q4-3 8 0t8 0"
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth="1"
            opacity=".45"
          />
        </pattern>
        <pattern id="lay-crumb" width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="1" fill="var(--color-ink)" opacity=".5" />
          <circle cx="5.4" cy="5.4" r=".8" fill="var(--color-ink)" opacity=".5" />
        </pattern>
      </defs>
      <g clipPath="url(#lay-heap)">
        {layers.map((l, i) => {
          const [from, to] = [BASE - TALL * (tops[i - 1] ?? 0), BASE - TALL * itemAt(tops, i)];
          const d = `M0 ${from}Q${W / 2} ${from - (i > 0 ? 10 : 0)} ${W} ${from}V${to}Q${W / 2} ${to - 10} 0 ${to}Z`;
          const pale = done > 0 && i >= done;
          return (
            <g key={i} opacity={pale ? 0.35 : 1}>
              <path d={d} fill={FILL[l.kind]} />
              <path d={d} fill={TEXTURE[l.kind]} />
              <path
                d={`M0 ${to}Q${W / 2} ${to - 10} ${W} ${to}`}
                fill="none"
                stroke="var(--color-sheet)"
                strokeWidth="2"
              />
            </g>
          );
        })}
      </g>
      <path
        d={foldPath(FRAME, 1)}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.8"
        strokeDasharray={done > 0 && done < layers.length ? '3 3' : undefined}
      />
      <rect x="0" y={BASE} width={W} height="6" fill="var(--color-soil)" />
      <path d={`M0 ${BASE}H${W}`} stroke="var(--color-ink)" strokeWidth="1.8" />
      {layers.map((_, i) => {
        const y = BASE - (TALL * ((tops[i - 1] ?? 0) + itemAt(tops, i))) / 2 - (i > 0 ? 8 : 4);
        const thin = TALL * (itemAt(tops, i) - (tops[i - 1] ?? 0)) < 12;
        const x = W / 2 + (thin ? (i % 2 ? 26 : -26) : 0);
        return (
          <g key={i}>
            <circle
              cx={x}
              cy={y + 1}
              r="8.5"
              fill="var(--color-sheet)"
              stroke="var(--color-ink)"
              strokeWidth="1.2"
            />
            <text
              x={x}
              y={y + 5.4}
              textAnchor="middle"
              fontSize="12"
              fontWeight="700"
              fill="var(--color-ink)"
              className="disp"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
      <path d={`M2 ${BASE - TALL}v${TALL}M-1 ${BASE - TALL}h7`} stroke="var(--color-ink)" />
      <text x="8" y={BASE - TALL + 12} fontSize="13" fontWeight="650" fill="var(--color-ink)">
        {high}
      </text>
      <text
        x={W}
        y={BASE - TALL + 12}
        textAnchor="end"
        fontSize="13"
        fontWeight="650"
        fill="var(--color-ink)"
      >
        {wide}
      </text>
    </svg>
  );
}
