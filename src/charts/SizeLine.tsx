import { say } from '@/messages/say';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { firstOf, lastOf } from '@/core/quantity/present';

type SizePoint = {
  readonly at: number;
  readonly m3: number;
  readonly when: string;
  readonly text: string;
};
const [W, H, PAD] = [420, 96, 8];

/** A heap's volume over time: what is known stands as dots, joined straight. */
export function SizeLine({ points }: { points: readonly SizePoint[] }) {
  const x = scaleTime(
    [firstOf(points).at, Math.max(lastOf(points).at, firstOf(points).at + 1)],
    [PAD, W - PAD],
  );
  const y = scaleLinear([0, Math.max(...points.map((p) => p.m3))], [H - 18, PAD + 12]);
  const path =
    line<SizePoint>()
      .x((p) => x(p.at))
      .y((p) => y(p.m3))(points) ?? '';
  const last = lastOf(points);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full max-w-[520px]"
      role="img"
      aria-label={say('charts.volume', {
        points: points.map((p) => `${p.when} ${p.text}`).join(', '),
      })}
    >
      <path d={`M0 ${H - 18}H${W}`} stroke="var(--color-ink)" strokeWidth="1.8" />
      <path d={path} fill="none" stroke="var(--color-ink)" strokeWidth="2" />
      {points.map((p) => (
        <circle key={p.at} cx={x(p.at)} cy={y(p.m3)} r="3.5" fill="var(--color-ink)" />
      ))}
      <text x={PAD} y={H - 4} fontSize="12.5" fill="var(--color-ink-2)">
        {firstOf(points).when}
      </text>
      <text x={W - PAD} y={H - 4} fontSize="12.5" textAnchor="end" fill="var(--color-ink-2)">
        {last.when}
      </text>
      <text
        x={PAD + 6}
        y={y(firstOf(points).m3) - 6}
        fontSize="13"
        fontWeight="600"
        fill="var(--color-ink)"
      >
        {firstOf(points).text}
      </text>
      <text
        x={W - PAD}
        y={y(last.m3) - 6}
        fontSize="13"
        fontWeight="600"
        textAnchor="end"
        fill="var(--color-ink)"
      >
        {last.text}
      </text>
    </svg>
  );
}
