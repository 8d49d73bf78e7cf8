import { scaleLinear } from 'd3-scale';

const [W, H, GROUND, DEEP] = [412, 72, 48, 20];

/** A window as a trench in the soil: it is dug where a figure is wanted; a staked flag shows where the mix stands, a dashed one where a change would put it. The pale bar is how far the figure may be off. */
export function Trench({
  scale,
  preferred,
  reasonable,
  value,
  band,
  then,
  text,
  label,
}: {
  scale: readonly [number, number];
  preferred: readonly [number, number];
  /** Beyond these it no longer works: pegs in the ground. */ reasonable: readonly [number, number];
  value: number | null;
  band: readonly [number, number] | null;
  then: number | null;
  text: (v: number) => string;
  label: string;
}) {
  const x = scaleLinear()
    .domain([...scale])
    .range([4, W - 4])
    .clamp(true);
  const [a, b] = [x(preferred[0]), x(preferred[1])];
  const soil = `M0 ${GROUND}H${a}l5 ${DEEP - 2}H${b - 5}L${b} ${GROUND}H${W}V${H}H0z`;
  const foot = (v: number): number =>
    v >= preferred[0] && v <= preferred[1] ? GROUND + DEEP - 2 : GROUND + 6;
  const side = value !== null && then !== null && then < value ? 1 : -1;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full h-auto overflow-visible"
      role="img"
      aria-label={label}
    >
      <path d={soil} fill="var(--color-soil)" />
      <path d={soil} fill="url(#stones)" />
      <path
        d={`M0 ${GROUND}H${a}l5 ${DEEP - 2}H${b - 5}L${b} ${GROUND}H${W}`}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.8"
      />
      <text
        x={a - 8}
        y={GROUND + 16}
        textAnchor="end"
        fontSize="14"
        fontWeight="650"
        fill="var(--color-soil-text)"
        className="disp"
      >
        {text(preferred[0])}
      </text>
      <text
        x={b + 8}
        y={GROUND + 16}
        fontSize="14"
        fontWeight="650"
        fill="var(--color-soil-text)"
        className="disp"
      >
        {text(preferred[1])}
      </text>
      {reasonable.map((v, i) => (
        <g key={i}>
          <path d={`M${x(v)} ${GROUND - 7}v11`} stroke="var(--color-ink)" strokeWidth="2.4" />
          <text
            x={x(v)}
            y={GROUND + 16}
            textAnchor="middle"
            fontSize="12"
            fill="var(--color-soil-dim)"
          >
            {Math.abs(x(v) - (i === 0 ? a - 18 : b + 18)) < 12 + 7 * text(v).length ? '' : text(v)}
          </text>
        </g>
      ))}
      {band && (
        <path
          d={`M${x(band[0])} ${GROUND - 4}H${Math.max(x(band[1]), x(band[0]) + 2)}`}
          stroke="var(--color-ink-3)"
          strokeWidth="5"
          opacity="0.55"
        />
      )}
      {value !== null && (
        <Flag
          x={x(value)}
          foot={foot(value)}
          side={then === null ? (x(value) > W - 60 ? -1 : 1) : side}
          text={text(value)}
          solid
        />
      )}
      {then !== null && (
        <Flag
          x={x(then)}
          foot={foot(then)}
          side={x(then) > W - 60 ? -1 : x(then) < 60 ? 1 : (-side as 1 | -1)}
          text={text(then)}
        />
      )}
    </svg>
  );
}

function Flag({
  x,
  foot,
  side,
  text,
  solid = false,
}: {
  x: number;
  foot: number;
  side: 1 | -1;
  text: string;
  solid?: boolean;
}) {
  const dash = solid ? {} : { strokeDasharray: '3 2.5' };
  return (
    <g>
      <path
        d={`M${x} 8V${foot}`}
        stroke="var(--color-ink)"
        strokeWidth={solid ? 2.4 : 1.6}
        {...dash}
      />
      <path
        d={`M${x} 8h${side * 50}l${-side * 6} 10l${side * 6} 10h${-side * 50}z`}
        fill={solid ? 'var(--color-ink)' : 'var(--color-sheet)'}
        stroke="var(--color-ink)"
        strokeWidth="1.4"
        {...dash}
      />
      <text
        x={x + side * 22}
        y="23.5"
        textAnchor="middle"
        fontWeight="700"
        fontSize="15"
        fill={solid ? 'var(--color-sheet)' : 'var(--color-ink)'}
        className="disp"
      >
        {text}
      </text>
    </g>
  );
}
