'use client';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { Mark } from '@/charts/marks';
import { ROW_HEIGHT, PLAN_WIDTH, type PlanGeometry } from '../plan-geometry';
import type { PlanJob, PlanView } from '../view';
import type { KnownEffects } from './useDayEffects';

const percent = (part: number, whole: number): string => `${(part / whole) * 100}%`;

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

/** What is over the drawing under the finger: a column to drop on for each day, and each turning to be dragged or pressed. */
export function PlanHandles({
  view,
  g,
  over,
  onPress,
}: {
  view: PlanView;
  g: PlanGeometry;
  /** Where a turning is held over, and what it would do there. */ over: {
    readonly day: number;
    readonly effects: KnownEffects | null;
  } | null;
  onPress: (job: PlanJob) => void;
}) {
  const columnTop = percent(g.top, g.height);
  const columnHeight = percent(g.bottom - g.top, g.height);
  const rowOf = (j: PlanJob): number => view.rows.findIndex((r) => r.batch === j.batch);
  return (
    <>
      {view.days.map((_, i) => (
        <DayColumn
          key={i}
          day={i}
          style={{
            left: percent(g.x(i), PLAN_WIDTH),
            width: percent(g.dayWidth, PLAN_WIDTH),
            top: columnTop,
            height: columnHeight,
          }}
          on={over?.day === i}
          bad={over?.day === i && Array.isArray(over.effects) && !over.effects[i]}
        />
      ))}
      {view.jobs.map((j) => (
        <Turning
          key={j.key}
          job={j}
          style={{
            left: percent(g.x(j.day) + g.dayWidth * 0.42, PLAN_WIDTH),
            top: percent(g.top + (rowOf(j) + 1) * ROW_HEIGHT - 17, g.height),
          }}
          onPress={() => onPress(j)}
        />
      ))}
    </>
  );
}
