import { say } from '@/messages/say';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { firstOf } from '@/core/quantity/present';

export type DriftDot = {
  readonly at: number;
  readonly atIceK: number;
  readonly atHotK: number;
  readonly single: boolean;
};

/** How a thermometer's error has moved: what is added to its readings, in ice water and in a hot heap, between the lines that its maker promises. */
export function Drift({
  dots,
  accuracyK,
  from,
  to,
  unit,
  label,
}: {
  dots: readonly DriftDot[];
  accuracyK: number;
  from: number;
  to: number;
  unit: 'C' | 'F';
  label: (at: number) => string;
}) {
  if (dots.length === 0) return null;
  const k = unit === 'F' ? 1.8 : 1;
  const most =
    Math.max(accuracyK * 1.6, ...dots.flatMap((d) => [Math.abs(d.atIceK), Math.abs(d.atHotK)])) *
    1.25;
  const x = scaleTime()
    .domain([Math.min(from, firstOf(dots).at), to])
    .range([44, 384]);
  const y = scaleLinear().domain([-most, most]).range([112, 8]);
  const path = line<DriftDot>().x((d) => x(d.at));
  const signed = (v: number): string =>
    `${v > 0 ? '+' : v < 0 ? '−' : ''}${Math.abs(v * k).toFixed(1)}`;
  return (
    <svg
      viewBox="0 0 400 138"
      className="block w-full max-w-[460px]"
      role="img"
      aria-label={say('charts.addedToItsReadings', {
        dots: dots
          .map((d) =>
            say('charts.kInIceWaterK', {
              at: label(d.at),
              atIce: signed(d.atIceK),
              atHot: signed(d.atHotK),
              hot: 60,
            }),
          )
          .join('; '),
      })}
    >
      <rect
        x={44}
        y={y(accuracyK)}
        width={340}
        height={y(-accuracyK) - y(accuracyK)}
        fill="var(--color-sunk)"
      />
      <path d={`M44 ${y(0)}H384`} stroke="var(--color-rule-2)" />
      {[accuracyK, 0, -accuracyK].map((v) => (
        <text
          key={v}
          x={38}
          y={y(v) + 4.5}
          textAnchor="end"
          fontSize={13}
          fill="var(--color-ink-2)"
        >
          {signed(v)}
        </text>
      ))}
      <path
        d={path.y((d) => y(d.atIceK))(dots) ?? ''}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth={1.4}
        strokeDasharray="2 4"
      />
      {dots.some((d) => !d.single) && (
        <path
          d={path.y((d) => y(d.atHotK))(dots) ?? ''}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={2.2}
        />
      )}
      {dots.map((d) => (
        <g key={d.at}>
          <circle
            cx={x(d.at)}
            cy={y(d.atIceK)}
            r={4}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={1.6}
          />
          {!d.single && (
            <rect
              x={x(d.at) - 4}
              y={y(d.atHotK) - 4}
              width={8}
              height={8}
              fill="var(--color-ink)"
            />
          )}
        </g>
      ))}
      <text x={44} y={133} fontSize={13} fill="var(--color-ink-2)">
        {label(Math.min(from, firstOf(dots).at))}
      </text>
      <text x={384} y={133} fontSize={13} textAnchor="end" fill="var(--color-ink-2)">
        {say('charts.now')}
      </text>
    </svg>
  );
}
