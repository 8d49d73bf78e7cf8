'use client';
import { say } from '@/messages/say';
import {
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
  type DragStartEvent,
} from '@dnd-kit/core';
import Link from 'next/link';
import { useState } from 'react';
import { itemAt } from '@/core/quantity/present';
import { useOnPage } from '@/ui/useOnPage';
import { planGeometry, PLAN_WIDTH } from '../plan-geometry';
import type { DayEffects, PlanJob, PlanView } from '../view';
import { ConfirmMove, MoveSheet } from './MoveTurning';
import { PlanChart } from './PlanChart';
import { PlanDays } from './PlanDays';
import { PlanLegend } from './PlanLegend';
import { PlanHandles } from './PlanHandles';
import { useDayEffects, type KnownEffects } from './useDayEffects';

/** A turning on the day that it would be moved to, and what that does; null: not known yet. */
type Move = { readonly job: PlanJob; readonly day: number; readonly effects: KnownEffects | null };

/** What a move does to the proof, in words. */
function MoveEffect({ effects, day }: Move) {
  if (effects === 'failed') return say('plan.theServerDidNotAnswer2');
  if (effects === null || effects === 'asked') return say('plan.oneMoment');
  const effect = effects[day];
  return effect ? (
    <span className={effect.costs ? 'marked' : ''}>{effect.text}</span>
  ) : (
    say('plan.notPossibleThereTurningsKeep')
  );
}

/** What a move does to the proof, said before it is dropped; or how to begin one. */
function EffectLine({ move, days }: { move: Move | null; days: PlanView['days'] }) {
  if (!move)
    return (
      <span className="q">
        <span className="max-md:hidden">{say('plan.dragTurningAnotherDayOr')}</span>
        <span className="md:hidden">{say('plan.pressTurningMoveAnotherDay')}</span>
      </span>
    );
  return (
    <>
      <b>{say('plan.turned', { name: move.job.name, long: itemAt(days, move.day).long })}</b>{' '}
      <MoveEffect {...move} />
    </>
  );
}

type Chosen = {
  readonly job: PlanJob;
  readonly day: number;
  readonly effect: NonNullable<DayEffects[number]>;
};

/** What is dragged or pressed, and the move that waits for its confirmation. */
function useMoves(view: PlanView) {
  const effects = useDayEffects();
  const [moving, setMoving] = useState<PlanJob | null>(null);
  const [over, setOver] = useState<Pick<Move, 'job' | 'day'> | null>(null);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const jobOf = (e: DragStartEvent): PlanJob | undefined =>
    view.jobs.find((j) => j.key === e.active.id);
  const moveOf = (e: DragOverEvent | DragEndEvent): Pick<Move, 'job' | 'day'> | null => {
    const job = jobOf(e);
    return job && e.over ? { job, day: Number(e.over.id) } : null;
  };
  const choose = async ({ job, day }: Pick<Move, 'job' | 'day'>): Promise<void> => {
    const effect = (await effects.ask(job))?.[day];
    if (effect) setChosen({ job, day, effect });
  };
  const press = (job: PlanJob): void => {
    setMoving(job);
    void effects.ask(job);
  };
  const drag = {
    onDragStart: (e: DragStartEvent) => {
      const job = jobOf(e);
      if (job) void effects.ask(job);
    },
    onDragOver: (e: DragOverEvent) => setOver(moveOf(e)),
    onDragCancel: () => setOver(null),
    onDragEnd: (e: DragEndEvent) => {
      const to = moveOf(e);
      setOver(null);
      if (to && to.day !== to.job.day) void choose(to);
    },
  };
  const shown: Pick<Move, 'job' | 'day'> | null = over ?? chosen;
  const move: Move | null = shown && { ...shown, effects: effects.of(shown.job) };
  return { effects, moving, setMoving, press, over, chosen, setChosen, choose, move, drag };
}

/** Fourteen days: each heap a ridge of expected heat, its turnings on it, and the hours of work as pits under the ground. */
export function Plan({
  view,
  fits,
  by,
  feed,
}: {
  view: PlanView;
  /** Whether every day fits. */ fits: string;
  by: string;
  feed: string;
}) {
  const onPage = useOnPage();
  const moves = useMoves(view);
  const { moving, setMoving, press, over, chosen, setChosen, choose, move, drag } = moves;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const g = planGeometry(view);
  return (
    <DndContext id="plan" sensors={sensors} {...drag}>
      <div className="px-4 pt-3 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="!text-title">{view.title}</h1>
        <p className="text-small" data-testid="plan-summary">
          {[view.summary, fits].filter(Boolean).join(' ')}
        </p>
      </div>
      <p className="px-4 min-h-[26px] text-small" role="status" data-testid="plan-effect">
        <EffectLine move={move} days={view.days} />
      </p>
      {chosen && (
        <ConfirmMove
          key={`${chosen.job.key}${chosen.day}`}
          job={chosen.job}
          day={itemAt(view.days, chosen.day)}
          costs={chosen.effect.costs}
          by={by}
          onDone={() => setChosen(null)}
        />
      )}
      <div
        className="relative max-md:hidden"
        style={{ aspectRatio: `${PLAN_WIDTH} / ${g.height}` }}
      >
        {onPage && <PlanChart view={view} g={g} />}
        <PlanHandles view={view} g={g} over={over ? move : null} onPress={press} />
      </div>
      <PlanLegend />
      <PlanDays view={view} onPress={press} />
      <p className="px-4 py-3 text-hint flex flex-wrap gap-x-6 gap-y-1">
        <span className="q">{view.solvedText}</span>
        <Link prefetch={false} className="link" href="/crew">
          {say('plan.crewMachineAndHours')}
        </Link>
        <a className="link" href={feed}>
          {say('terms.calendarForPhones')}
        </a>
      </p>
      {moving && (
        <MoveSheet
          job={moving}
          effects={moves.effects.of(moving)}
          days={view.days}
          onClose={() => setMoving(null)}
          onChoose={(day) => {
            void choose({ job: moving, day });
            setMoving(null);
          }}
        />
      )}
    </DndContext>
  );
}
