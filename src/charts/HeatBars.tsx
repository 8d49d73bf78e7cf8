import { firstOf, itemAt } from '@/core/quantity/present';
import { BOX, CHART_WIDTH, type ChartPart, type HeatBar } from './heat-chart-data';
import { rowsFor, type Scales } from './heat-geometry';
import { Knot } from './Knot';

/** What a rule credits, and what it still needs, dashed. */
function Spans({ bar, y, scales: { x } }: { bar: HeatBar; y: number; scales: Scales }) {
  return (
    <>
      {bar.spans.map((s) => (
        <rect
          key={`${s.from}`}
          x={x(s.from)}
          y={y}
          width={Math.max(x(s.to) - x(s.from), 0.8)}
          height={13}
          fill={s.kind === 'credited' ? 'var(--color-ink)' : 'url(#hatch-small)'}
          stroke="var(--color-ink)"
          strokeWidth={s.kind === 'credited' ? 0 : 0.9}
        />
      ))}
      {bar.needFrom !== null && bar.needTo !== null && (
        <rect
          x={x(bar.needFrom)}
          y={y + 0.5}
          width={Math.max(Math.min(x(bar.needTo), BOX.right) - x(bar.needFrom), 1)}
          height={12}
          fill="none"
          stroke="var(--color-ink)"
          strokeDasharray="2.5 2.5"
        />
      )}
    </>
  );
}

/** Where the words of a bar stand: behind its end, or before it where they would run out of the picture. */
function labelPlace(bar: HeatBar, x: Scales['x']) {
  const ends = [...bar.spans.map((s) => s.to), bar.needTo ?? 0, bar.provenAt ?? 0];
  const end = x(Math.max(...ends, firstOf(x.domain()).getTime()));
  const clear = Math.min(end, BOX.right);
  const knot = bar.provenAt !== null;
  const gap = knot ? 33 : 6;
  const before = clear + bar.label.length * 6.7 + gap > CHART_WIDTH;
  return before
    ? { before, knotX: clear - 150, textX: clear - (knot ? 132 : 6) }
    : { before, knotX: end + 17, textX: end + gap };
}

/** One rule’s bar with its name and how far it is. */
export function RuleBar({ bar, y, scales }: { bar: HeatBar; y: number; scales: Scales }) {
  const knot = bar.provenAt !== null;
  const { before, knotX, textX } = labelPlace(bar, scales.x);
  const halo = { stroke: 'var(--color-paper)', paintOrder: 'stroke', fontSize: 12.5 } as const;
  return (
    <g>
      <Spans bar={bar} y={y} scales={scales} />
      {knot && <Knot cx={knotX} cy={y + 6.5} r={7.5} />}
      <text x={0} y={y + 11} fontWeight={600} fill="var(--color-ink)" strokeWidth={4} {...halo}>
        {bar.name}
      </text>
      <text
        x={textX}
        y={y + 11}
        textAnchor={before && !knot ? 'end' : 'start'}
        fontWeight={650}
        fill={knot ? 'var(--color-stamp)' : 'var(--color-ink)'}
        strokeWidth={before ? 4 : 0}
        {...halo}
      >
        {bar.label}
      </text>
    </g>
  );
}

/** Where a run broke, and on what. */
export function Breaks({ data, scales: { x }, y }: ChartPart & { y: number }) {
  const placed = data.breaks.map((b) => {
    const width = b.text.length * 5.9 + 12;
    return { ...b, width, x: Math.max(0, Math.min(x(b.at) - width / 2, CHART_WIDTH - width)) };
  });
  const rows = rowsFor(placed, 2);
  return (
    <g>
      {placed.map((b, i) =>
        itemAt(rows, i) < 0 ? null : (
          <g key={i}>
            <line
              x1={x(b.at)}
              x2={x(b.at)}
              y1={y - 6}
              y2={y + itemAt(rows, i) * 16}
              stroke="var(--color-ink)"
            />
            <text
              x={b.x}
              y={y + 12 + itemAt(rows, i) * 16}
              fontSize={12.5}
              fill="var(--color-ink)"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {b.text}
            </text>
          </g>
        ),
      )}
    </g>
  );
}
