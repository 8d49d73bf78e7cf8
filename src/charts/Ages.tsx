import { say } from '@/messages/say';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Mark } from './marks';
import { itemAt } from '@/core/quantity/present';

type AgeCurve = {
  readonly id: string;
  readonly name: string;
  readonly points: readonly { readonly day: number; readonly c: number }[];
  readonly marks: readonly {
    readonly day: number;
    readonly kind: 'turn' | 'water' | 'add' | 'proven';
    readonly says: string;
  }[];
};
const [W, LEFT, TOP, CHART] = [900, 40, 14, 300];
/** Lines are told apart by their dashes and by the name at their end, not by colour. */
const DASH = ['', '7 4', '2 4', '10 3 2 3', '1 3', '14 5'];
const WIDTHS = [2.6, 1.8, 1.8, 1.6, 2.2, 1.6];

/** Heaps on one chart by their age; what was done to each stands in a row of its own under it. */
export function Ages({
  curves,
  days,
  ticks,
  unit,
}: {
  curves: readonly AgeCurve[];
  days: number;
  ticks: readonly { readonly c: number; readonly label: string; readonly strong: boolean }[];
  unit: string;
}) {
  const x = scaleLinear([0, days], [LEFT, W - 110]);
  const y = scaleLinear([0, 80], [CHART, TOP]);
  const rows = CHART + 34;
  const height = rows + curves.length * 26 + 6;
  const path = line<{ day: number; c: number }>()
    .x((p) => x(p.day))
    .y((p) => y(p.c));
  // Names at the ends are pushed apart so that none covers another.
  const ends = curves
    .map((c, i) => ({ i, x: x(c.points.at(-1)?.day ?? 0), y: y(c.points.at(-1)?.c ?? 0) }))
    .sort((a, b) => a.y - b.y);
  ends.forEach((e, k) => {
    for (const above of ends.slice(0, k))
      if (Math.abs(e.x - above.x) < 90 && e.y - above.y < 16) e.y = above.y + 16;
  });
  return (
    <div
      className="relative overflow-x-auto"
      tabIndex={0}
      role="group"
      aria-label={say('charts.chartByAgeScrollsSideways')}
    >
      <svg
        viewBox={`0 0 ${W} ${height}`}
        className="w-full min-w-[720px]"
        role="img"
        aria-label={say('charts.hottestPointByAge', {
          curves: curves.map((c) => c.name).join(', '),
        })}
      >
        <rect
          x={LEFT}
          y={y(70)}
          width={W - 110 - LEFT}
          height={y(55) - y(70)}
          fill="var(--color-prove-wash)"
        />
        {ticks.map((t) => (
          <g key={t.c}>
            <path
              d={`M${LEFT} ${y(t.c)}H${W - 110}`}
              stroke={t.strong ? 'var(--color-ink)' : 'var(--color-rule-2)'}
              strokeWidth={t.strong ? 1.4 : 0.8}
            />
            <text
              x={LEFT - 6}
              y={y(t.c) + 4.5}
              fontSize="13"
              textAnchor="end"
              fontWeight={t.strong ? 650 : 400}
              fill="var(--color-ink-2)"
            >
              {t.label}
            </text>
          </g>
        ))}
        <text x="2" y="12" fontSize="12.5" fill="var(--color-ink-2)">
          {unit}
        </text>
        <path d={`M${LEFT} ${CHART}H${W - 110}`} stroke="var(--color-ink)" strokeWidth="1.8" />
        {x
          .ticks(10)
          .filter((d) => Number.isInteger(d))
          .map((d) => (
            <text
              key={d}
              x={x(d)}
              y={CHART + 17}
              fontSize="12.5"
              textAnchor="middle"
              fill="var(--color-ink-2)"
            >
              {d === 0 ? say('charts.day0') : d}
            </text>
          ))}
        {curves.map((c, i) => (
          <path
            key={c.id}
            d={path([...c.points]) ?? ''}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth={WIDTHS[i % 6]}
            strokeDasharray={DASH[i % 6]}
            strokeLinejoin="round"
          />
        ))}
        {ends.map(({ i, y: ey }) => {
          const c = itemAt(curves, i);
          const last = c.points.at(-1);
          return (
            last && (
              <text
                key={c.id}
                x={x(last.day) + 6}
                y={ey + 4}
                fontSize="13.5"
                fontWeight="650"
                fill="var(--color-ink)"
                stroke="var(--color-paper)"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {c.name}
              </text>
            )
          );
        })}
        {curves.map((c, i) => (
          <g key={c.id} transform={`translate(0 ${rows + i * 26})`}>
            <path
              d={`M${LEFT} 13H${W - 110}`}
              stroke="var(--color-rule-2)"
              strokeWidth="1"
              strokeDasharray={DASH[i % 6]}
            />
            <text x={W - 104} y="18" fontSize="13" fill="var(--color-ink)">
              {c.name}
            </text>
            {c.marks.map((m, k) => (
              <g key={k} transform={`translate(${x(m.day) - 9} 4)`}>
                <title>{say('charts.day', { says: m.says, day: Math.floor(m.day) + 1 })}</title>
                <rect width="18" height="18" fill="var(--color-paper)" />
                <Mark name={m.kind === 'proven' ? 'check' : m.kind} size={18} />
              </g>
            ))}
          </g>
        ))}
      </svg>
    </div>
  );
}
