'use client';
import {
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core';
import Link from 'next/link';
import { useState } from 'react';
import { itemAt } from '@/core/quantity/present';
import { planGeometry, PLAN_WIDTH } from '../plan-geometry';
import type { PlanJob, PlanView } from '../view';
import { ConfirmMove, MoveSheet } from './MoveTurning';
import { PlanChart } from './PlanChart';
import { PlanDays } from './PlanDays';
import { PlanHandles } from './PlanHandles';

/** A turning on the day that it would be moved to. */
type Move = { readonly job: PlanJob; readonly day: number };

/** What a move does to the proof, said before it is dropped; or how to begin one. */
function EffectLine({ move, days }: { move: Move | null; days: PlanView['days'] }) {
  if (!move)
    return (
      <span className="q">
        <span className="max-md:hidden">
          Drag a turning to another day, or press it. What it does to the proof is said here before
          it is dropped.
        </span>
        <span className="md:hidden">Press a turning to move it to another day.</span>
      </span>
    );
  const effect = move.job.effects[move.day];
  return (
    <>
      <b>
        {move.job.name}, turned {itemAt(days, move.day).long}:
      </b>{' '}
      {effect ? (
        <span className={effect.costs ? 'marked' : ''}>{effect.text}</span>
      ) : (
        'not possible there: its turnings keep their order.'
      )}
    </>
  );
}

/** What is dragged or pressed, and the move that waits for its confirmation. */
function useMoves(view: PlanView) {
  const [moving, setMoving] = useState<PlanJob | null>(null);
  const [over, setOver] = useState<Move | null>(null);
  const [chosen, setChosen] = useState<Move | null>(null);
  const moveOf = (e: DragOverEvent | DragEndEvent): Move | null => {
    const job = view.jobs.find((j) => j.key === e.active.id);
    return job && e.over ? { job, day: Number(e.over.id) } : null;
  };
  const onDragEnd = (e: DragEndEvent): void => {
    const to = moveOf(e);
    setOver(null);
    if (to && to.day !== to.job.day && to.job.effects[to.day]) setChosen(to);
  };
  const drag = {
    onDragOver: (e: DragOverEvent) => setOver(moveOf(e)),
    onDragCancel: () => setOver(null),
    onDragEnd,
  };
  return { moving, setMoving, over, chosen, setChosen, drag };
}

/** Fourteen days: each heap a ridge of expected heat, its turnings on it, and the hours of work as pits under the ground. */
export function Plan({ view, by, feed }: { view: PlanView; by: string; feed: string }) {
  const { moving, setMoving, over, chosen, setChosen, drag } = useMoves(view);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const g = planGeometry(view);
  return (
    <DndContext id="plan" sensors={sensors} {...drag}>
      <div className="px-4 pt-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="!text-title">{view.title}</h1>
        <p className="text-small" data-testid="plan-summary">
          {view.summary}
        </p>
      </div>
      <p className="px-4 min-h-[26px] text-small" role="status" data-testid="plan-effect">
        <EffectLine move={over ?? chosen} days={view.days} />
      </p>
      {chosen && (
        <ConfirmMove
          key={`${chosen.job.key}${chosen.day}`}
          job={chosen.job}
          day={itemAt(view.days, chosen.day)}
          costs={chosen.job.effects[chosen.day]?.costs ?? false}
          by={by}
          onDone={() => setChosen(null)}
        />
      )}
      <div
        className="relative max-md:hidden"
        style={{ aspectRatio: `${PLAN_WIDTH} / ${g.height}` }}
      >
        <PlanChart view={view} g={g} />
        <PlanHandles view={view} g={g} over={over} onPress={setMoving} />
      </div>
      <PlanDays view={view} onPress={setMoving} />
      <p className="px-4 py-3 text-hint flex flex-wrap gap-x-6 gap-y-1">
        <span className="q">{view.solvedText}</span>
        <Link prefetch={false} className="link" href="/crew">
          Crew, machine and hours
        </Link>
        <a className="link" href={feed}>
          Calendar for phones
        </a>
      </p>
      {moving && (
        <MoveSheet
          job={moving}
          days={view.days}
          onClose={() => setMoving(null)}
          onChoose={(day) => {
            setChosen({ job: moving, day });
            setMoving(null);
          }}
        />
      )}
    </DndContext>
  );
}
