'use client';
import { say } from '@/messages/say';
import { listText, lowerFirst, upperFirst } from '@/core/quantity/format';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { Mark } from '@/charts/marks';
import type { TodayTask, TodayView } from '../view';
import { ChoreDone } from './ChoreDone';
import { PutOff } from './PutOff';

/** The day's work beside the yard: in order, with who, how long, and what does not fit. */
export function Today({
  view,
  by,
  questions,
}: {
  view: TodayView;
  by: string;
  /** What is to be cleared up on the site. */ questions?: ReactNode;
}) {
  const [off, setOff] = useState<TodayTask | null>(null);
  const [done, setDone] = useState<TodayTask | null>(null);
  return (
    <section
      aria-labelledby="today"
      className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-b-[1.6px] max-lg:order-first px-5 pt-3.5 pb-4 flex flex-col"
    >
      <header className="flex justify-between items-baseline">
        <h2 id="today" className="!text-title">
          {view.day}
        </h2>
        <span className="text-ink-3">{view.clock}</span>
      </header>
      <p className="text-control mt-0.5">
        {view.urgent.length > 0 ? (
          <b>
            {say('day.urgentAre', {
              names: listText(
                view.moreUrgent > 0
                  ? [...view.urgent, say('day.more', { moreUrgent: view.moreUrgent })]
                  : view.urgent,
              ),
            })}
          </b>
        ) : (
          say('day.nothingUrgent')
        )}
      </p>
      {view.load && (
        <p className="q text-hint mb-1" data-testid="load">
          {view.load}{' '}
          {view.askCrew && (
            <Link prefetch={false} className="link" href="/crew">
              {say('day.sayWhoWorksHere')}
            </Link>
          )}
        </p>
      )}
      {view.groups.map((g) => {
        const rows = (
          <>
            <ol>
              {g.tasks.map((t) => (
                <TaskRow
                  key={t.key}
                  task={t}
                  onPutOff={() => setOff(t)}
                  onDone={() => setDone(t)}
                />
              ))}
            </ol>
            {g.more > 0 && (
              <Link
                prefetch={false}
                href="/?day=all"
                className="link text-small min-h-target inline-flex items-center"
              >
                {say('day.more2', { more: g.more, toLowerCase: g.title.toLowerCase() })}
              </Link>
            )}
          </>
        );
        const head = 'text-small font-semibold text-ink-2 border-b-[1.6px] border-ink pb-0.5 mt-2';
        return g.later ? (
          <details key={g.title}>
            <summary className={`${head} min-h-target flex items-end cursor-pointer`}>
              {g.title}: {say('day.taskTasks', { tasks: g.tasks.length + g.more })}
            </summary>
            {rows}
          </details>
        ) : (
          <div key={g.title}>
            <h3 className={`!font-semibold font-text ${head} !text-small`}>{g.title}</h3>
            {rows}
          </div>
        );
      })}
      {view.groups.length === 0 && <p className="q mt-2">{say('day.nothingDueBeforeTomorrow')}</p>}
      <div className="mt-3 empty:hidden">{questions}</div>
      <p className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-small">
        <Link prefetch={false} className="link" href="/plan">
          {say('day.theNextFourteenDays')}
        </Link>
        <Link prefetch={false} className="link" href="/fire">
          {view.fireCard ? say('day.firePlan') : say('day.firePlanNobodyNamedYet')}
        </Link>
      </p>
      {done && <ChoreDone key={done.key} task={done} by={by} onDone={() => setDone(null)} />}
      {off && (
        <PutOff key={off.key} task={off} by={by} crew={view.crew} onDone={() => setOff(null)} />
      )}
    </section>
  );
}

function TaskRow({
  task: t,
  onPutOff,
  onDone,
}: {
  task: TodayTask;
  onPutOff: () => void;
  onDone: () => void;
}) {
  const small = 'link text-hint min-h-[32px] pointer-coarse:min-h-choice inline-flex items-center';
  return (
    <li
      className="grid grid-cols-[92px_22px_1fr] gap-x-1.5 py-1.5 border-b border-rule last:border-b-0"
      data-testid="task"
      data-task={t.key}
      data-says={t.says}
    >
      <span className="disp font-semibold text-small leading-[1.3]">
        <span className={t.words.danger ? 'alarm' : t.urgent ? 'marked' : ''}>{t.when}</span>
      </span>
      <Mark name={t.words.mark} size={20} />
      <div>
        {t.chore ? (
          <span className="font-[650] leading-tight inline-block">{t.words.act}</span>
        ) : (
          <Link prefetch={false} href={t.href} className="font-[650] leading-tight inline-block">
            {t.batch ? `${t.name}: ${lowerFirst(t.words.act)}` : t.words.act}
          </Link>
        )}
        <p className="q text-note leading-[1.3]">{t.words.why}</p>
        {t.putOff && <p className="text-note leading-[1.3] font-semibold">{t.putOff}</p>}
        {t.lacks && (
          <p className="text-note leading-[1.3]">
            <b>{upperFirst(t.lacks)}.</b> {t.cost}
          </p>
        )}
        <p className="text-note text-ink-2 flex flex-wrap items-center gap-x-3">
          <span>{[t.who, t.minutes, t.machine].filter(Boolean).join(' · ')}</span>
          {t.chore && (
            <button type="button" className={small} onClick={onDone}>
              {say('day.done2')}
              <span className="sr-only">: {t.words.act}</span>
            </button>
          )}
          {t.mayWait && (
            <button type="button" className={small} onClick={onPutOff}>
              {say('day.postponeAssign')}
              <span className="sr-only">
                {' '}
                {t.name}: {t.words.act}
              </span>
            </button>
          )}
        </p>
      </div>
    </li>
  );
}
