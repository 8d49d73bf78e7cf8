import { say } from '@/messages/say';
import { figureWithUnit } from '@/core/quantity/format';
import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { lastOf } from '@/core/quantity/present';

type Band = { readonly day: number; readonly lowC: number; readonly highC: number };
const [W, H, LEFT, BOTTOM] = [440, 92, 34, 16];

/** The lines at a cool day and at the floor of most rules. */
const FloorLines = ({ y }: { y: (celsius: number) => number }) =>
  [20, 55].map((c) => (
    <g key={c}>
      <path
        d={`M${LEFT} ${y(c)}H${W}`}
        stroke={c === 55 ? 'var(--color-ink)' : 'var(--color-rule-2)'}
        strokeWidth={c === 55 ? 1.2 : 0.8}
      />
      <text x={LEFT - 4} y={y(c) + 4} fontSize="12.5" textAnchor="end" fill="var(--color-ink-2)">
        {figureWithUnit('celsius', c)}
      </text>
    </g>
  ));

/** The heat that a method expects of a core by age: a band, with the floor of most rules and where it is too hot. */
export function ExpectBand({
  expect,
  limits,
}: {
  expect: readonly Band[];
  limits: { readonly actC: number };
}) {
  const last = lastOf(expect).day;
  const x = scaleLinear([0, Math.max(last, 1)], [LEFT, W - 14]);
  const y = scaleLinear([0, 80], [H - BOTTOM, 4]);
  const band =
    area<Band>()
      .x((e) => x(e.day))
      .y0((e) => y(e.lowC))
      .y1((e) => y(e.highC))([...expect]) ?? '';
  const days = x.ticks(6).filter((d) => Number.isInteger(d));
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full max-w-[520px]"
      role="img"
      aria-label={say('charts.expectedTemperature', {
        expect: expect
          .map((e) => say('charts.dayToC', { day: e.day, lowC: e.lowC, highC: e.highC }))
          .join(', '),
      })}
    >
      <path d={band} fill="var(--color-prove-wash)" stroke="var(--color-ink)" strokeWidth="1.2" />
      <FloorLines y={y} />
      <path d={`M${LEFT} ${y(limits.actC)}H${W}`} stroke="var(--color-ink)" strokeDasharray="2 3" />
      <path d={`M${LEFT} ${H - BOTTOM}H${W}`} stroke="var(--color-ink)" strokeWidth="1.8" />
      {days.map((d) => (
        <text
          key={d}
          x={x(d)}
          y={H - 3}
          fontSize="12.5"
          textAnchor={d === 0 ? 'start' : 'middle'}
          fill="var(--color-ink-2)"
        >
          {d === 0 ? say('charts.day0') : d}
        </text>
      ))}
    </svg>
  );
}
