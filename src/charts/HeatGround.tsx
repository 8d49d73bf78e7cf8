import { ember } from './ember';
import { BOX, DANGER_C, TOO_HOT_C, words, type ChartPart } from './heat-chart-data';

/** The heat as a column of colour from cold to danger, beside the figures. */
function EmberColumn({ scales: { y } }: ChartPart) {
  const [low, high] = y.domain() as [number, number];
  const steps = Array.from({ length: Math.ceil(high - low) }, (_, i) => low + i);
  const column = { x: BOX.left - 12, width: 10 };
  return (
    <>
      {steps.map((c) => (
        <rect
          key={c}
          {...column}
          y={y(Math.min(c + 1, high))}
          height={y(c) - y(Math.min(c + 1, high)) + 0.4}
          style={{ fill: ember(c + 0.5) }}
        />
      ))}
      <rect {...column} y={y(high)} height={y(DANGER_C) - y(high)} fill="url(#danger-small)" />
      <rect
        {...column}
        y={y(high)}
        height={y(low) - y(high)}
        fill="none"
        stroke="var(--color-ink)"
      />
    </>
  );
}

/** The figures of the heat and their lines. */
const Ticks = ({ data, scales: { y } }: ChartPart) =>
  data.ticks.map((t) => (
    <g key={t.c}>
      <text
        x={BOX.left - 17}
        y={y(t.c) + 4.5}
        textAnchor="end"
        className="disp"
        fontSize={13}
        fontWeight={t.strong ? 700 : 500}
        fill="var(--color-ink)"
      >
        {t.label}
      </text>
      <line
        x1={BOX.left}
        x2={BOX.right}
        y1={y(t.c)}
        y2={y(t.c)}
        stroke={t.c === data.floorC ? 'var(--color-ink)' : 'var(--color-rule)'}
        strokeWidth={t.c === data.floorC ? 1.3 : 1}
      />
    </g>
  ));

/** Days are named at their noon. */
const HALF_DAY_MS = 43_200_000;
/** Half of the widest name of a day, in units of the drawing. */
const LABEL_HALF = 20;
const Days = ({ data, scales: { x } }: ChartPart) =>
  data.days.map((d) => {
    // The last name is drawn in from the edge, where it would be cut.
    const middle = Math.min(x(d.at + HALF_DAY_MS), BOX.right - LABEL_HALF);
    return (
      <g key={d.at}>
        <line
          x1={x(d.at)}
          x2={x(d.at)}
          y1={BOX.bottom}
          y2={BOX.bottom + 4}
          stroke="var(--color-rule-2)"
        />
        <text
          x={middle}
          y={BOX.bottom + 16}
          textAnchor="middle"
          {...words}
          fontWeight={d.today ? 700 : 400}
          fill={d.today ? 'var(--color-ink)' : words.fill}
        >
          {d.label}
        </text>
      </g>
    );
  });

/** What the readings are drawn on: the band that counts, figures, days. */
export function HeatGround(part: ChartPart) {
  const { data, scales } = part;
  const { y } = scales;
  return (
    <g>
      <rect
        x={BOX.left}
        y={y(TOO_HOT_C)}
        width={BOX.right - BOX.left}
        height={y(data.floorC) - y(TOO_HOT_C)}
        fill="var(--color-prove-wash)"
      />
      <EmberColumn {...part} />
      <Ticks {...part} />
      <text x={BOX.left - 17} y={BOX.top - 4} textAnchor="end" {...words}>
        {data.unit}
      </text>
      <text x={BOX.right} y={y(TOO_HOT_C) - 5} textAnchor="end" {...words}>
        {data.hotLabel}
      </text>
      <line
        x1={BOX.left}
        x2={BOX.right}
        y1={BOX.bottom}
        y2={BOX.bottom}
        stroke="var(--color-ink)"
        strokeWidth={1.4}
      />
      <Days {...part} />
    </g>
  );
}
