import { say } from '@/messages/say';
import { firstOf, lastOf } from '@/core/quantity/present';
import { BOX, TOO_HOT_C, CHART_WIDTH, type ChartPart } from './heat-chart-data';
import { pathOf, piecesOf } from './heat-geometry';

const DAY_MS = 86_400_000;
/** More rounds than this are a line without dots. */
const MAX_DOTS = 160;

const Air = ({ data: { air }, scales }: ChartPart) => (
  <>
    {piecesOf(air, DAY_MS).map((p) => (
      <path key={firstOf(p).at} d={pathOf(scales, p)} stroke="var(--color-rule-2)" />
    ))}
    {air.length > 0 && (
      <text
        x={scales.x(firstOf(air).at) + 4}
        y={scales.y(firstOf(air).c) - 6}
        fontSize={12.5}
        fill="var(--color-ink-3)"
        stroke="none"
      >
        {say('charts.air')}
      </text>
    )}
  </>
);

/** Other places of the heap, thin behind the coldest one. */
const Others = ({ data, scales }: ChartPart) =>
  data.others.flatMap((o, i) =>
    piecesOf(o, data.maxGapMs).map((p) => (
      <path
        key={`${i}-${firstOf(p).at}`}
        d={pathOf(scales, p)}
        stroke="var(--color-ink-3)"
        opacity={0.8}
      />
    )),
  );

/** A dot for each round: open where it was cold, ringed where too few places were read. */
const Dots = ({ data, scales: { x, y } }: ChartPart) =>
  data.rounds.map((r) => (
    <g key={r.at} stroke="var(--color-ink)">
      <circle
        cx={x(r.at)}
        cy={y(r.c)}
        r={3}
        fill={r.heat === 'cold' ? 'var(--color-sheet)' : 'var(--color-ink)'}
        strokeWidth={1.4}
      />
      {r.heat === 'thin' && (
        <circle cx={x(r.at)} cy={y(r.c)} r={6} strokeDasharray="2 2" strokeWidth={1.1} />
      )}
    </g>
  ));

/** Every reading: air, the places, the coldest of each round as the heavy line, and what was struck. */
export function HeatReadings(part: ChartPart) {
  const { data, scales } = part;
  const { x, y } = scales;
  return (
    <g fill="none">
      <Air {...part} />
      <Others {...part} />
      {piecesOf(data.rounds, data.maxGapMs).map((p) => (
        <g key={firstOf(p).at} strokeLinejoin="round">
          <path d={pathOf(scales, p)} stroke="var(--color-sheet)" strokeWidth={5} />
          <path d={pathOf(scales, p)} stroke="var(--color-ink)" strokeWidth={2.5} />
        </g>
      ))}
      {data.rounds.length <= MAX_DOTS && <Dots {...part} />}
      {data.struck.map((s, i) => (
        <path
          key={i}
          d={`M${x(s.at) - 3} ${y(s.c) - 3}l6 6m0-6l-6 6`}
          stroke="var(--color-ink)"
          strokeWidth={1.3}
        />
      ))}
    </g>
  );
}

/** This moment, and the heat read last. */
export function HeatNow({ data, scales: { x, y }, bottom }: ChartPart & { bottom: number }) {
  const last = lastOf(data.rounds);
  const side = x(last.at) > CHART_WIDTH - 90 ? -62 : 9;
  // Under the point where the words of the line above would be covered.
  const covers =
    x(last.at) + side + 54 > BOX.right - 140 && Math.abs(y(last.c) - y(TOO_HOT_C)) < 28;
  const top = y(last.c) + (covers ? 8 : -25);
  return (
    <g>
      <line
        x1={x(data.now)}
        x2={x(data.now)}
        y1={BOX.top - 12}
        y2={bottom}
        stroke="var(--color-ink)"
      />
      <text
        x={x(data.now) + 6}
        y={BOX.top - 26}
        fontSize={12.5}
        fontWeight={700}
        fill="var(--color-ink)"
      >
        {say('charts.now')}
      </text>
      <rect x={x(last.at) + side} y={top} width={54} height={20} rx={2} fill="var(--color-ink)" />
      <text
        x={x(last.at) + side + 27}
        y={top + 15}
        textAnchor="middle"
        className="disp"
        fontSize={14}
        fontWeight={700}
        fill="var(--color-sheet)"
      >
        {data.nowLabel}
      </text>
    </g>
  );
}
