'use client';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core';
import Link from 'next/link';
import { useState } from 'react';
import { Knot } from '@/charts/Knot';
import { Mark } from '@/charts/marks';
import { Ridge } from '@/charts/Ridge';
import { submitOrQueue } from '@/outbox/keep';
import { Field, Problems } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { useSubmit } from '@/ui/useSubmit';
import type { PlanJob, PlanView } from '../view';
import { itemAt } from '@/core/quantity/present';

const [LEFT, WIDTH, ROW, TOP, PIT] = [132, 1240, 40, 46, 22];

/** Fourteen days: each heap a ridge of expected heat, its turnings on it, and the hours of work as pits under the ground. */
export function Plan({ view, by, feed }: { view: PlanView; by: string; feed: string }) {
  const [moving, setMoving] = useState<PlanJob | null>(null);
  const [over, setOver] = useState<{ job: PlanJob; day: number } | null>(null);
  const [chosen, setChosen] = useState<{ job: PlanJob; day: number } | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const n = view.days.length;
  const cw = (WIDTH - LEFT) / n;
  const x = (day: number): number => LEFT + day * cw;
  const bottom = TOP + view.rows.length * ROW + 6;
  const deepest = Math.max(4, ...view.days.map((d) => Math.max(d.hoursNumber, d.capHours)));
  const pit = (hours: number): number => (hours / deepest) * 92;
  const height = bottom + PIT + 118;
  const at = (e: DragOverEvent | DragEndEvent): { job: PlanJob; day: number } | null => {
    const job = view.jobs.find((j) => j.key === e.active.id);
    return job && e.over ? { job, day: Number(e.over.id) } : null;
  };
  const shown = over ?? chosen;
  const effect = shown?.job.effects[shown.day];
  return (
    <DndContext
      id="plan"
      sensors={sensors}
      onDragOver={(e) => setOver(at(e))}
      onDragCancel={() => setOver(null)}
      onDragEnd={(e) => {
        const to = at(e);
        setOver(null);
        if (to && to.day !== to.job.day && to.job.effects[to.day]) setChosen(to);
      }}
    >
      <div className="px-4 pt-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="!text-[23px]">{view.title}</h1>
        <p className="text-[14px]" data-testid="plan-summary">
          {view.summary}
        </p>
      </div>
      <p className="px-4 min-h-[26px] text-[14px]" role="status" data-testid="plan-effect">
        {shown ? (
          <>
            <b>
              {shown.job.name}, turned {itemAt(view.days, shown.day).long}:
            </b>{' '}
            {effect ? (
              <span className={effect.costs ? 'marked' : ''}>{effect.text}</span>
            ) : (
              'not possible there: its turnings keep their order.'
            )}
          </>
        ) : (
          <span className="q">
            <span className="max-md:hidden">
              Drag a turning to another day, or press it. What it does to the proof is said here
              before it is dropped.
            </span>
            <span className="md:hidden">Press a turning to move it to another day.</span>
          </span>
        )}
      </p>
      {chosen && (
        <Confirm
          key={`${chosen.job.key}${chosen.day}`}
          job={chosen.job}
          day={itemAt(view.days, chosen.day)}
          costs={chosen.job.effects[chosen.day]?.costs ?? false}
          by={by}
          onDone={() => setChosen(null)}
        />
      )}
      <div className="relative max-md:hidden" style={{ aspectRatio: `${WIDTH} / ${height}` }}>
        <svg
          viewBox={`0 0 ${WIDTH} ${height}`}
          className="absolute inset-0 w-full h-full"
          role="img"
          aria-label={`${view.title}. ${view.rows.map((r) => `${r.name}: ${[r.note, r.proofText].filter(Boolean).join(', ') || 'running'}`).join('; ')}`}
        >
          {view.days.map((d, i) => (
            <g key={i}>
              {d.weekend && (
                <rect
                  x={x(i)}
                  y="0"
                  width={cw}
                  height={bottom}
                  fill="var(--color-sunk)"
                  opacity=".75"
                />
              )}
              <text
                x={x(i) + cw / 2}
                y="18"
                textAnchor="middle"
                fontSize="17"
                fontWeight={i === 0 ? 750 : 600}
                className="disp"
                fill="var(--color-ink)"
              >
                {d.figure}
              </text>
              <text
                x={x(i) + cw / 2}
                y="34"
                textAnchor="middle"
                fontSize="12.5"
                fill="var(--color-ink-2)"
              >
                {d.weekday}
              </text>
            </g>
          ))}
          {view.rows.map((r, i) => {
            const base = TOP + (i + 1) * ROW - 3;
            return (
              <g key={r.batch}>
                <Ridge of={r} days={n} x={x} base={base} height={30} now={view.nowShare} />
                <path d={`M0 ${base}H${WIDTH}`} stroke="var(--color-ink)" strokeWidth="1.3" />
                <text
                  x="12"
                  y={base - 18}
                  fontSize="14.5"
                  fontWeight="650"
                  className="disp"
                  fill="var(--color-ink)"
                >
                  {r.name.length > 15 ? `${r.name.slice(0, 14)}…` : r.name}
                </text>
                <text x="12" y={base - 5} fontSize="12.5" fill="var(--color-ink-2)">
                  {r.place || 'no bay'}
                </text>
                {r.lostAt !== null && r.lostAt < n && (
                  <path
                    d={`M${x(r.lostAt)} ${base - 34}l5 9 -8 8 6 9 -3 8`}
                    fill="none"
                    stroke="var(--color-ink)"
                    strokeWidth="2"
                  />
                )}
                {r.note && r.turns.length === 0 && (
                  <text
                    x={x(view.nowShare) + 12}
                    y={base - 5}
                    fontSize="12.5"
                    fontWeight="500"
                    fill="var(--color-ink)"
                    paintOrder="stroke"
                    stroke="var(--color-paper)"
                    strokeWidth="3"
                  >
                    {r.note}
                  </text>
                )}
                {r.proofAt !== null && r.proofAt < n && (
                  <g>
                    <rect
                      x={x(r.proofAt) - 15}
                      y={base - 25}
                      width="30"
                      height="19"
                      rx="9"
                      fill="var(--color-sheet)"
                      stroke="var(--color-stamp)"
                      strokeWidth="1.2"
                    />
                    <Knot cx={x(r.proofAt)} cy={base - 15.5} r={7} />
                  </g>
                )}
                {r.bayBy !== null && r.bayBy < n && (
                  <g>
                    <path
                      d={`M${x(r.bayBy)} ${base - 34}V${base}`}
                      stroke="var(--color-ink)"
                      strokeWidth="1.4"
                      strokeDasharray="3 3"
                    />
                    <text x={x(r.bayBy) + 4} y={base - 24} fontSize="12.5" fill="var(--color-ink)">
                      bay wanted
                    </text>
                  </g>
                )}
              </g>
            );
          })}
          <rect x="0" y={bottom} width={WIDTH} height={height - bottom} fill="var(--color-soil)" />
          <rect x="0" y={bottom} width={WIDTH} height={height - bottom} fill="url(#stones)" />
          {view.days.map((d, i) => {
            const [a, b, depth] = [x(i) + 6, x(i + 1) - 6, PIT + pit(d.hoursNumber)];
            return (
              <g key={i}>
                <path
                  d={`M${a} ${bottom}L${a + 4} ${bottom + depth}H${b - 4}L${b} ${bottom}z`}
                  fill="var(--color-paper)"
                />
                <text
                  x={(a + b) / 2}
                  y={bottom + 15}
                  textAnchor="middle"
                  fontSize="14"
                  fontWeight="700"
                  className="disp"
                  fill="var(--color-ink)"
                >
                  {d.hours} h
                </text>
                {d.capHours > 0 && (
                  <path
                    d={`M${x(i)} ${bottom + PIT + pit(d.capHours)}H${x(i + 1)}`}
                    stroke={
                      d.capHours > d.hoursNumber ? 'var(--color-soil-text)' : 'var(--color-ink)'
                    }
                    strokeWidth="1.4"
                    strokeDasharray="5 4"
                  />
                )}
                <text
                  x={(a + b) / 2}
                  y={bottom + depth + 15}
                  textAnchor="middle"
                  fontSize="12.5"
                  fill="var(--color-soil-text)"
                  stroke="var(--color-soil)"
                  strokeWidth="4"
                  paintOrder="stroke"
                >
                  {d.over ?? (d.turns > 0 ? `${d.turns} ${d.turns === 1 ? 'turn' : 'turns'}` : '')}
                </text>
              </g>
            );
          })}
          <text x="12" y={bottom + 20} fontSize="14" fontWeight="650" fill="var(--color-soil-text)">
            Work, hours
          </text>
          <text x="12" y={bottom + 38} fontSize="12.5" fill="var(--color-soil-dim)">
            dashed: what
          </text>
          <text x="12" y={bottom + 53} fontSize="12.5" fill="var(--color-soil-dim)">
            the crew has
          </text>
          <path d={`M0 ${bottom}H${WIDTH}`} stroke="var(--color-ink)" strokeWidth="1.8" />
          <path
            d={`M${x(view.nowShare)} 38V${bottom}`}
            stroke="var(--color-ink)"
            strokeWidth="1.6"
          />
        </svg>
        {view.days.map((_, i) => (
          <DayColumn
            key={i}
            day={i}
            style={{
              left: `${(x(i) / WIDTH) * 100}%`,
              width: `${(cw / WIDTH) * 100}%`,
              top: `${(TOP / height) * 100}%`,
              height: `${((bottom - TOP) / height) * 100}%`,
            }}
            on={over !== null && over.day === i}
            bad={over !== null && over.day === i && !over.job.effects[i]}
          />
        ))}
        {view.jobs.map((j) => {
          const row = view.rows.findIndex((r) => r.batch === j.batch);
          return (
            <Turning
              key={j.key}
              job={j}
              style={{
                left: `${((x(j.day) + cw * 0.42) / WIDTH) * 100}%`,
                top: `${((TOP + (row + 1) * ROW - 17) / height) * 100}%`,
              }}
              onPress={() => setMoving(j)}
            />
          );
        })}
      </div>
      <ul className="md:hidden px-4 pb-4">
        {view.days.map((d, i) => {
          const own = view.jobs.filter((j) => j.day === i);
          return (
            <li key={i} className="border-t-[1.6px] border-ink py-2">
              <h2 className="!text-[16px] flex justify-between">
                <span>{d.long}</span>
                <span className="q font-text text-[14px] font-normal">{d.hours} h of work</span>
              </h2>
              {d.over && <p className="marked font-semibold">{d.over}</p>}
              <ul>
                {own.map((j) => (
                  <li key={j.key}>
                    <button
                      type="button"
                      className="btn !min-h-[56px] w-full !justify-start mt-1"
                      onClick={() => setMoving(j)}
                    >
                      <Mark name="turn" />
                      {j.name}: turn it<span className="q font-normal ml-auto">{j.minutes}</span>
                    </button>
                  </li>
                ))}
              </ul>
              {view.rows
                .filter((r) => r.proofAt !== null && Math.floor(r.proofAt) === i)
                .map((r) => (
                  <p key={r.batch} className="text-stamp text-[14px] font-semibold">
                    {r.name} could be proven, as planned
                  </p>
                ))}
            </li>
          );
        })}
      </ul>
      <p className="px-4 py-3 text-[13.5px] flex flex-wrap gap-x-6 gap-y-1">
        <span className="q">{view.solvedText}</span>
        <Link prefetch={false} className="link" href="/crew">
          Crew, machine and hours
        </Link>
        <a className="link" href={feed}>
          Calendar for phones
        </a>
      </p>
      {moving && (
        <Sheet
          open
          onOpenChange={(o) => {
            if (!o) setMoving(null);
          }}
          title={`${moving.name}: turn it on another day`}
          note={moving.says}
        >
          <ul className="flex flex-col">
            {view.days.map((d, i) => {
              const e = moving.effects[i];
              return (
                e && (
                  <li key={i} className="border-b border-rule">
                    <button
                      type="button"
                      disabled={i === moving.day}
                      className="w-full text-left min-h-[56px] py-1.5 grid grid-cols-[100px_1fr] gap-3 items-center"
                      onClick={() => {
                        setChosen({ job: moving, day: i });
                        setMoving(null);
                      }}
                    >
                      <b className="font-semibold">{d.long}</b>
                      <span className={`text-[14px] ${e.costs ? 'marked' : ''}`}>
                        {i === moving.day ? 'planned' : e.text}
                      </span>
                    </button>
                  </li>
                )
              );
            })}
          </ul>
        </Sheet>
      )}
    </DndContext>
  );
}

function DayColumn({
  day,
  style,
  on,
  bad,
}: {
  day: number;
  style: React.CSSProperties;
  on: boolean;
  bad: boolean;
}) {
  const { setNodeRef } = useDroppable({ id: day });
  return (
    <div
      ref={setNodeRef}
      aria-hidden="true"
      className={`absolute pointer-events-none ${on ? `border-x-2 border-ink ${bad ? 'border-dotted' : ''}` : ''}`}
      style={style}
    />
  );
}

function Turning({
  job,
  style,
  onPress,
}: {
  job: PlanJob;
  style: React.CSSProperties;
  onPress: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: job.key,
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      role="button"
      aria-roledescription="turning"
      aria-label={job.says}
      onClick={onPress}
      data-testid="turning"
      data-job={job.key}
      data-day={job.day}
      className={`absolute size-[34px] -ml-[17px] -mt-[17px] grid place-items-center touch-none ${isDragging ? 'z-20 cursor-grabbing' : 'cursor-grab'}`}
      style={{
        ...style,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <span
        className={`size-[22px] rounded-full grid place-items-center bg-sheet text-ink border-[1.3px] border-ink ${job.pinned ? 'border-[2.6px]' : ''}`}
      >
        <Mark name="turn" size={14} />
      </span>
    </button>
  );
}

function Confirm({
  job,
  day,
  costs,
  by: device,
  onDone,
}: {
  job: PlanJob;
  day: PlanView['days'][number];
  costs: boolean;
  by: string;
  onDone: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: job.batch,
            kind: 'assign',
            at: null,
            by,
            data: { task: job.task, day: day.noon },
          },
          `${job.name}: turning moved`,
        ),
      onDone,
    );
  return (
    <div className="px-4 pb-2 flex flex-wrap items-end gap-3" data-testid="confirm-move">
      <div className="w-[200px]">
        <Field
          label="Who"
          value={by}
          maxLength={60}
          autoComplete="name"
          onChange={(e) => setBy(e.target.value)}
        />
      </div>
      <button type="button" className="btn key !min-h-[44px] mb-5" disabled={busy} onClick={save}>
        {costs ? `Move it to ${day.long} all the same` : `Move it to ${day.long}`}
      </button>
      <button type="button" className="btn mb-5" onClick={onDone}>
        Leave it
      </button>
      <Problems list={problems} />
    </div>
  );
}
