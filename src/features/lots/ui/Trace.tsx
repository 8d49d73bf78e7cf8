'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { LinkedName } from '@/ui/LinkedName';
import { useState } from 'react';
import { submitOrQueue } from '@/outbox/keep';
import { v7 } from 'uuid';
import type { EntryForm } from '@/entry/input';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit, type SubmitResult } from '@/ui/useSubmit';
import type { OriginView, TraceChoices, TraceRow, TraceView } from '../trace-view';
import type { FlowDrawing } from '../flow-drawing';
import { FlowChart } from './FlowChart';

/** Rows as a table that is heard as well as seen. */
function Rows({ rows, title, note }: { rows: readonly TraceRow[]; title: string; note?: string }) {
  return (
    <section>
      <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{title}</h2>
      {note && <p className="hint mt-1">{note}</p>}
      {rows.length === 0 ? (
        <p className="mt-1">{say('lots.nothingThere')}</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead>
              <tr className="border-b border-ink text-hint">
                <th className="py-1 pr-3">{say('record.lot')}</th>
                <th className="py-1 pr-3">{say('lots.whereTo')}</th>
                <th className="py-1 pr-3 text-right">{say('lots.inAll')}</th>
                <th className="py-1 pr-3 text-right">{say('lots.ofIt')}</th>
                <th className="py-1 pr-3 text-right">{say('lots.share')}</th>
                <th className="py-1 text-right">{say('lots.unheated')}</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.id} className="border-b border-rule">
                  <td className="py-1 pr-3">
                    <LinkedName href={r.href} name={r.name} />
                  </td>
                  <td className="py-1 pr-3">
                    {[r.to, r.when].filter(Boolean).join(', ') || say('lots.stillHere')}
                    {r.unclear && <b className="block text-hint">{say('lots.cannotBeTold')}</b>}
                  </td>
                  <td className="py-1 pr-3 text-right whitespace-nowrap">{r.amount}</td>
                  <td className="py-1 pr-3 text-right whitespace-nowrap font-semibold">
                    {r.tagged}
                  </td>
                  <td className="py-1 pr-3 text-right whitespace-nowrap">{r.share}</td>
                  <td className="py-1 text-right whitespace-nowrap">{r.raw}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

type RecallOf = {
  readonly ids: readonly string[];
  readonly view: TraceView;
  readonly by: string;
  /** When the question was asked, ms. */ readonly askedAt: number;
  /** The decision that stands of each lot. */
  readonly holds: Readonly<Record<string, string | null>>;
};

/** The recall, real or rehearsed, with how long its answer took. */
const recallForm = (
  { ids, view, by, askedAt }: RecallOf,
  id: string,
  rehearsal: boolean,
): EntryForm => ({
  ...{ id, batch: null, kind: 'recall', at: null, by },
  data: {
    ...{ lots: ids, rehearsal, outs: view.out.length, reason: view.title },
    ...{ taggedL: view.recall.cameIn, hereL: view.recall.isHere, outL: view.recall.wentOut },
    tookS: Math.max(0, Math.round((Date.now() - askedAt) / 1000)),
  },
});
/** A hold on one lot that a recall asks for; what is in stock still is not to be used before somebody asks. */
function holdForm({ view, by, holds }: RecallOf, recall: string, row: TraceRow): EntryForm {
  const entry = { id: v7(), batch: null, at: null, by };
  const words = say('lots.heldByRecall', { title: view.title });
  const { id: lot } = row;
  return row.isLoad
    ? { ...entry, kind: 'load-change', data: { load: lot, answer: 'ask', words } }
    : {
        ...{ ...entry, kind: 'lot-decision' },
        data: {
          ...{ lot, decision: 'hold', uses: [], reasons: [], recall, from: holds[lot] ?? null },
          words,
        },
      };
}

/** Writes a recall down; a real one puts all that is here on hold. */
async function logRecall(of: RecallOf, id: string, rehearsal: boolean): Promise<SubmitResult> {
  const answer = await submitOrQueue(recallForm(of, id, rehearsal), say('lots.recalled'));
  if (!answer.ok || rehearsal) return answer;
  for (const row of of.view.here) {
    const held = await submitOrQueue(holdForm(of, id, row), row.name);
    if (!held.ok) return held;
  }
  return answer;
}

/** What a recall leads to: holds on all that is here, and the recall itself in the log, real or rehearsed. */
function RecallActs(of: RecallOf) {
  const kept = useSubmit(of.by);
  const [done, setDone] = useState<'recall' | 'rehearsal' | null>(null);
  const { view } = of;
  const log = (rehearsal: boolean): void =>
    kept.keep(
      () => logRecall({ ...of, by: kept.by }, kept.id, rehearsal),
      () => setDone(rehearsal ? 'rehearsal' : 'recall'),
    );
  const nobody = whoIsMissing(kept.by);
  if (done)
    return (
      <p role="status" className="font-semibold">
        {say('lots.recallLogged', { kind: done })}
      </p>
    );
  return (
    <div className="flex flex-col gap-2 print:hidden max-w-[560px]">
      <Problems list={kept.problems} />
      <Field
        label={say('day.who')}
        value={kept.by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => kept.setBy(e.target.value)}
      />
      <div className="flex flex-wrap gap-2">
        <SaveButton
          className="btn key !min-h-glove"
          label={say('lots.holdAll', { n: view.here.length })}
          busy={kept.busy}
          missing={nobody ?? (view.here.length === 0 ? say('lots.nothingToHold') : null)}
          onSave={() => log(false)}
        />
        <button
          type="button"
          className="btn !min-h-glove"
          disabled={kept.busy || nobody !== null}
          onClick={() => log(true)}
        >
          {say('lots.logRehearsal')}
        </button>
      </div>
    </div>
  );
}

/** Where it went: still here, already out in the order of calling, lost; the drawing, and what may be done about it. */
export function WentTo({
  view,
  drawing,
  ids,
  by,
  askedAt,
  holds,
  csvHref,
}: {
  view: TraceView;
  drawing: FlowDrawing;
  ids: readonly string[];
  by: string;
  askedAt: number;
  holds: Readonly<Record<string, string | null>>;
  csvHref: string;
}) {
  return (
    <div className="flex flex-col gap-4" data-testid="went-to">
      <h2>{say('lots.whereWent', { title: view.title })}</h2>
      <RecallActs ids={ids} view={view} by={by} askedAt={askedAt} holds={holds} />
      <Rows rows={view.here} title={say('lots.stillHereTitle')} />
      <Rows rows={view.out} title={say('lots.alreadyOut')} note={say('lots.callInThisOrder')} />
      {view.lost.length > 0 && <Rows rows={view.lost} title={say('lots.lostOrDiscarded')} />}
      <p>
        {say('lots.accountedFor', { accounted: view.accounted })}{' '}
        <a className="link pointer-coarse:py-2.5 inline-block print:hidden" href={csvHref}>
          {say('lots.asCsv')}
        </a>{' '}
        <button
          type="button"
          className="link pointer-coarse:py-2.5 print:hidden"
          onClick={() => window.print()}
        >
          {say('labels.print')}
        </button>
      </p>
      <FlowChart drawing={drawing} label={say('lots.chartOf', { title: view.title })} />
      <p className="hint">{say('record.sharesByVolume')}</p>
    </div>
  );
}

/** Where it came from: loads and batches with their shares. */
export function CameFrom({ view, drawing }: { view: OriginView; drawing: FlowDrawing }) {
  return (
    <div className="flex flex-col gap-3" data-testid="came-from">
      <h2>{say('lots.whereFrom', { title: view.title })}</h2>
      <table className="w-full text-left max-w-[720px]">
        <thead>
          <tr className="border-b border-ink text-hint">
            <th className="py-1">{say('rules.source')}</th>
            <th className="py-1">{say('store.supplier')}</th>
            <th className="py-1 text-right">{say('lots.share')}</th>
          </tr>
        </thead>
        <tbody>
          {view.sources.map((s) => (
            <tr key={s.href} className="border-b border-rule">
              <td className="py-1">
                <Link
                  prefetch={false}
                  href={s.href}
                  className="link pointer-coarse:py-2.5 inline-block"
                >
                  {s.name}
                </Link>
              </td>
              <td className="py-1">{s.from}</td>
              <td className="py-1 text-right font-semibold">{s.share}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <FlowChart drawing={drawing} label={say('lots.chartOf', { title: view.title })} />
      <p className="hint">{say('record.sharesByVolume')}</p>
    </div>
  );
}

/** What to ask about: a lot to see where it came from, or loads and lots to see where they went. */
export function TraceForm({
  choices,
  chosen,
  least,
}: {
  choices: TraceChoices;
  chosen: readonly string[];
  /** %; entries with less of it are left out. */ least: number;
}) {
  const list = (title: string, of: TraceChoices['loads']) => (
    <fieldset className="max-h-[260px] overflow-y-auto border border-rule p-2">
      <legend className="label">{title}</legend>
      {of.map((c) => (
        <label key={c.id} className="flex items-center gap-2 min-h-target">
          <input
            type="checkbox"
            name="from"
            value={c.id}
            defaultChecked={chosen.includes(c.id)}
            className="size-6"
          />
          <span>
            {c.name} <span className="q text-hint">{c.says}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
  return (
    <form
      method="get"
      action="/lots/trace"
      className="flex flex-col gap-3 print:hidden"
      data-testid="trace-form"
    >
      <div className="grid md:grid-cols-2 gap-3">
        {list(say('lots.loads'), choices.loads)}
        {list(say('lots.batchesAndLots'), choices.lots)}
      </div>
      <div className="flex flex-wrap gap-3 items-end">
        <label className="label">
          {say('lots.leastShare')}
          <input
            className="field mt-1 max-w-[140px]"
            name="least"
            type="number"
            min={0}
            max={100}
            step="any"
            defaultValue={least === 0 ? '' : least}
          />
        </label>
        <button type="submit" className="btn key !min-h-glove">
          {say('lots.showWhereWent')}
        </button>
      </div>
    </form>
  );
}
