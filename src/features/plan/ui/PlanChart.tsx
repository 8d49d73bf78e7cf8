import { say } from '@/messages/say';
import { Knot } from '@/charts/Knot';
import { Ridge } from '@/charts/Ridge';
import { PLAN_WIDTH, type PlanGeometry } from '../plan-geometry';
import type { PlanView } from '../view';

type Row = PlanView['rows'][number];
type Day = PlanView['days'][number];
type Part<T> = T & { readonly g: PlanGeometry };

const INK = 'var(--color-ink)';
const SMALL = 12.5;

function DayHead({ day: d, i, g }: Part<{ day: Day; i: number }>) {
  const middle = { x: g.x(i) + g.dayWidth / 2, textAnchor: 'middle' } as const;
  return (
    <g>
      {d.weekend && (
        <rect
          x={g.x(i)}
          y="0"
          width={g.dayWidth}
          height={g.bottom}
          fill="var(--color-sunk)"
          opacity=".75"
        />
      )}
      <text
        {...middle}
        y="18"
        fontSize="17"
        fontWeight={i === 0 ? 750 : 600}
        className="disp"
        fill={INK}
      >
        {d.figure}
      </text>
      <text {...middle} y="34" fontSize={SMALL} fill="var(--color-ink-2)">
        {d.weekday}
      </text>
    </g>
  );
}

/** A heap’s name and where it stands. */
const RowName = ({ row: r, base }: { row: Row; base: number }) => (
  <>
    <text x="12" y={base - 18} fontSize="14.5" fontWeight="650" className="disp" fill={INK}>
      {r.name.length > 15 ? `${r.name.slice(0, 14)}…` : r.name}
    </text>
    <text x="12" y={base - 5} fontSize={SMALL} fill="var(--color-ink-2)">
      {r.place || say('plan.noBay')}
    </text>
  </>
);

const ProofMark = ({ x, base }: { x: number; base: number }) => (
  <g>
    <rect
      x={x - 15}
      y={base - 25}
      width="30"
      height="19"
      rx="9"
      fill="var(--color-sheet)"
      stroke="var(--color-stamp)"
      strokeWidth="1.2"
    />
    <Knot cx={x} cy={base - 15.5} r={7} />
  </g>
);

const BayMark = ({ x, base }: { x: number; base: number }) => (
  <g>
    <path d={`M${x} ${base - 34}V${base}`} stroke={INK} strokeWidth="1.4" strokeDasharray="3 3" />
    <text x={x + 4} y={base - 24} fontSize={SMALL} fill={INK}>
      {say('plan.bayNeeded')}
    </text>
  </g>
);

/** One heap: its expected heat as a ridge, and what befalls it on the days ahead. */
function HeapRow({ row: r, i, now, g }: Part<{ row: Row; i: number; now: number }>) {
  const base = g.base(i);
  const isAhead = (day: number | null): day is number => day !== null && day < g.days;
  return (
    <g>
      <Ridge of={r} days={g.days} x={g.x} base={base} height={30} now={now} />
      <path d={`M0 ${base}H${PLAN_WIDTH}`} stroke={INK} strokeWidth="1.3" />
      <g data-says={r.says}>
        <RowName row={r} base={base} />
      </g>
      {isAhead(r.lostAt) && (
        <path
          d={`M${g.x(r.lostAt)} ${base - 34}l5 9 -8 8 6 9 -3 8`}
          fill="none"
          stroke={INK}
          strokeWidth="2"
        />
      )}
      {r.note && r.turns.length === 0 && (
        <text
          x={g.x(now) + 12}
          y={base - 5}
          fontSize={SMALL}
          fontWeight="500"
          fill={INK}
          paintOrder="stroke"
          stroke="var(--color-paper)"
          strokeWidth="3"
        >
          {r.note}
        </text>
      )}
      {isAhead(r.proofAt) && <ProofMark x={g.x(r.proofAt)} base={base} />}
      {isAhead(r.bayBy) && <BayMark x={g.x(r.bayBy)} base={base} />}
    </g>
  );
}

const turnsText = (n: number): string => (n > 0 ? say('plan.oneOther', { n }) : '');

/** The hours of a day as a pit in the ground; dashed what the crew has. */
function DayPit({ day: d, i, g }: Part<{ day: Day; i: number }>) {
  const [a, b, depth] = [g.x(i) + 6, g.x(i + 1) - 6, g.pit(d.hoursNumber)];
  const middle = { x: (a + b) / 2, textAnchor: 'middle' } as const;
  return (
    <g>
      <path
        d={`M${a} ${g.bottom}L${a + 4} ${g.bottom + depth}H${b - 4}L${b} ${g.bottom}z`}
        fill="var(--color-paper)"
      />
      <text
        {...middle}
        y={g.bottom + 15}
        fontSize="14"
        fontWeight="700"
        className="disp"
        fill={INK}
      >
        {d.hours} h
      </text>
      {d.capHours > 0 && (
        <path
          d={`M${g.x(i)} ${g.bottom + g.pit(d.capHours)}H${g.x(i + 1)}`}
          stroke={d.capHours > d.hoursNumber ? 'var(--color-soil-text)' : INK}
          strokeWidth="1.4"
          strokeDasharray="5 4"
        />
      )}
      <text
        {...middle}
        y={g.bottom + depth + 15}
        fontSize={SMALL}
        fill="var(--color-soil-text)"
        stroke="var(--color-soil)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {d.over ?? turnsText(d.turns)}
      </text>
    </g>
  );
}

const SoilWords = ({ g: { bottom } }: Part<object>) => (
  <>
    <text x="12" y={bottom + 20} fontSize="14" fontWeight="650" fill="var(--color-soil-text)">
      {say('plan.workHours')}
    </text>
    <text x="12" y={bottom + 38} fontSize={SMALL} fill="var(--color-soil-dim)">
      {say('plan.dashedHours')}
    </text>
    <text x="12" y={bottom + 53} fontSize={SMALL} fill="var(--color-soil-dim)">
      {say('plan.theCrewHas')}
    </text>
  </>
);

/** The drawing of the plan in words, for who cannot see it. */
function planInWords({ title, rows }: PlanView): string {
  const told = rows.map(
    (r) => `${r.name}: ${[r.note, r.proofText].filter(Boolean).join(', ') || 'running'}`,
  );
  return `${title}. ${told.join('; ')}`;
}

/** Each heap a ridge of expected heat, and the hours of work as pits under the ground. */
export function PlanChart({ view, g }: Part<{ view: PlanView }>) {
  const soil = { x: 0, y: g.bottom, width: PLAN_WIDTH, height: g.height - g.bottom };
  const now = view.nowShare;
  return (
    <svg
      viewBox={`0 0 ${PLAN_WIDTH} ${g.height}`}
      className="absolute inset-0 w-full h-full"
      role="img"
      aria-label={planInWords(view)}
    >
      {view.days.map((d, i) => (
        <DayHead key={i} day={d} i={i} g={g} />
      ))}
      {view.rows.map((r, i) => (
        <HeapRow key={r.batch} row={r} i={i} now={now} g={g} />
      ))}
      <rect {...soil} fill="var(--color-soil)" />
      <rect {...soil} fill="url(#stones)" />
      {view.days.map((d, i) => (
        <DayPit key={i} day={d} i={i} g={g} />
      ))}
      <SoilWords g={g} />
      <path d={`M0 ${g.bottom}H${PLAN_WIDTH}`} stroke={INK} strokeWidth="1.8" />
      <path d={`M${g.x(now)} 38V${g.bottom}`} stroke={INK} strokeWidth="1.6" />
    </svg>
  );
}
