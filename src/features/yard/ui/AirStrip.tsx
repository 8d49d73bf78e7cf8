import { say } from '@/messages/say';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { firstOf, lastOf } from '@/core/quantity/present';

/** Longer than a night without a reading, and the line is left open. */
const GAP_MS = 18 * 3_600_000;

type Air = { readonly at: number; readonly celsius: number };

/** The air of the last two days over the ground line: as read, broken where it was not read for longer than a night. */
export function AirStrip({
  air,
  from,
  to,
  label,
}: {
  air: readonly Air[];
  from: number;
  to: number;
  label: (celsius: number) => string;
}) {
  const shown = air.filter((a) => a.at >= from);
  if (shown.length < 2) return null;
  const x = scaleTime().domain([from, to]).range([8, 560]);
  const y = scaleLinear()
    .domain([
      Math.min(...shown.map((a) => a.celsius)) - 3,
      Math.max(...shown.map((a) => a.celsius)) + 4,
    ])
    .range([92, 26]);
  const path = line<Air>()
    .x((a) => x(a.at))
    .y((a) => y(a.celsius));
  const pieces: Air[][] = [];
  for (const a of shown) {
    const last = pieces.at(-1);
    if (last && a.at - lastOf(last).at < GAP_MS) last.push(a);
    else pieces.push([a]);
  }
  const [low, high] = [
    shown.reduce((a, b) => (b.celsius < a.celsius ? b : a)),
    shown.reduce((a, b) => (b.celsius > a.celsius ? b : a)),
  ];
  const now = lastOf(shown);
  return (
    <svg
      viewBox="0 0 700 96"
      className="block w-full max-w-[700px] h-24"
      role="img"
      aria-label={say('yard.airInLastTwoDays', {
        celsius: label(low.celsius),
        celsius2: label(high.celsius),
        celsius3: label(now.celsius),
      })}
    >
      {pieces.map((p) => (
        <path
          key={firstOf(p).at}
          d={path(p) ?? ''}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={2}
        />
      ))}
      <circle cx={x(now.at)} cy={y(now.celsius)} r={4} fill="var(--color-ink)" />
      {[low, high]
        .filter((a) => a !== now)
        .map((a) => (
          <text
            key={a.at}
            x={x(a.at)}
            y={y(a.celsius) - 7}
            textAnchor="middle"
            fontSize={13}
            fill="var(--color-ink)"
          >
            {label(a.celsius)}
          </text>
        ))}
      <text
        x={x(now.at) + 12}
        y={y(now.celsius) + 4}
        fontSize={13}
        fontWeight={650}
        fill="var(--color-ink)"
      >
        {say('yard.air', { celsius: label(now.celsius) })}
      </text>
    </svg>
  );
}
