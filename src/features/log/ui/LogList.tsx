'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { Mark, type MarkName } from '@/charts/marks';
import { useOutbox } from '@/outbox/useOutbox';
import { Sheet } from '@/ui/Sheet';
import { useLoaded } from '@/ui/LoadedDisclosure';
import { DraftScope } from '@/ui/draft';
import type { CorrectableParts } from '../view';
import { CheckEntry } from './CheckEntry';
import { CorrectForm } from './CorrectForm';
import type { ReadingRef } from './CorrectForm';
import type { HeapRef } from '@/entry/ui/useEntry';

export type LogLine = {
  readonly id: string;
  readonly mark: MarkName;
  readonly title: string;
  readonly detail: string;
  readonly when: string;
  readonly by: string;
  readonly toCheck: string | null;
  readonly late: string | null;
  readonly clock: string | null;
  readonly photo: string | null;
  /** Why the whole entry was struck. */
  readonly struck: string | null;
  readonly readings: readonly (ReadingRef & { readonly struck: string | null })[];
  readonly correctable: boolean;
  readonly parts: CorrectableParts | null;
};

/** The heap's log, newest first. Struck entries and readings stay, crossed through, with their reason. */
export function LogList({
  lines,
  total,
  version,
  heap,
  checkLabel,
}: {
  /** The newest ones. */ lines: readonly LogLine[];
  total: number;
  /** Changes when the log does. */ version: string;
  heap: HeapRef;
  /** Of the button by which somebody checks what a trainee logged; null: for whoever may not. */
  checkLabel: string | null;
}) {
  const [line, setLine] = useState<LogLine | null>(null);
  const [asked, setAsked] = useState(0);
  const earlier = useLoaded(
    `/api/batch/${heap.id}/log?from=${lines.length}&count=${asked}`,
    version,
    asked > 0,
    (answer) => answer as readonly LogLine[],
  );
  // What has just come in moves the others on by one.
  const known = new Set(lines.map((l) => l.id));
  const shown = [...lines, ...(earlier.data ?? []).filter((l) => !known.has(l.id))];
  const waits = useOutbox().items.filter((i) => i.form.batch === heap.id);
  return (
    <section aria-labelledby="log-title">
      <h2 id="log-title" className="!text-lead pt-1.5 ruled">
        {say('log.log')}{' '}
        <span className="font-text font-normal text-hint text-ink-2">
          {say('log.entriesNoneEverDeleted', { total })}
        </span>
      </h2>
      <ol data-testid="log">
        {waits.map((i) => (
          <li key={i.id} className="border-b border-rule py-1.5 flex gap-2 items-start text-small">
            <Mark name="flag" size={20} />
            <span className="flex-1">
              <b className="font-[650]">{i.short ?? i.what}</b>{' '}
              {i.state === 'waiting' ? (
                <span className="q">{say('log.waitingToSend')}</span>
              ) : (
                <b className="marked">{say('log.refused')}</b>
              )}
            </span>
            <a className="link text-note" href="/waiting">
              {say('log.seeWhy')}
            </a>
          </li>
        ))}
        {shown.map((l) => (
          <li key={l.id} className="border-b border-rule py-1.5">
            <div className="flex gap-2 items-start">
              <Mark name={l.mark} size={20} />
              <div className="min-w-0 flex-1 text-small leading-[1.3]">
                <span className={l.struck ? 'line-through' : ''}>
                  <b className="font-[650]">{l.title}</b> <span className="q">{l.detail}</span>
                </span>
                {l.struck && (
                  <span className="block">{say('log.voided', { struck: l.struck })}</span>
                )}
                {l.readings
                  .filter((r) => r.struck)
                  .map((r) => (
                    <span key={r.id} className="block text-hint">
                      <s>
                        {r.place} {r.value}
                      </s>{' '}
                      {r.struck}
                    </span>
                  ))}
                {l.toCheck && <b className="block text-hint">{l.toCheck}</b>}
                {l.toCheck && checkLabel !== null && (
                  <CheckEntry heap={heap} entry={l.id} label={checkLabel} />
                )}
                {l.late && <span className="block q text-note">{l.late}</span>}
                {l.clock && <span className="block q text-note">{l.clock}</span>}
                {l.photo && (
                  <a href={`/api/photo/${l.photo}`} className="block mt-1">
                    <img
                      src={`/api/photo/${l.photo}?small`}
                      alt={say('log.photo2', { when: l.when })}
                      loading="lazy"
                      className="max-h-40 border border-ink"
                    />
                  </a>
                )}
              </div>
              <div className="text-note q text-right whitespace-nowrap">
                {l.when} {l.by}
                {l.correctable && (
                  <>
                    {' '}
                    <button
                      type="button"
                      className="link text-note min-h-target min-w-target inline-flex items-center justify-end"
                      onClick={() => setLine(l)}
                      aria-label={say('log.correct', { title: l.title, when: l.when })}
                    >
                      {say('log.correct2')}
                    </button>
                  </>
                )}
              </div>
            </div>
          </li>
        ))}
      </ol>
      {earlier.failed && (
        <p className="text-small mt-2" role="alert">
          {say('log.theServerDidNotAnswer')}
        </p>
      )}
      {shown.length < total && (
        <button type="button" className="btn mt-2 w-full" onClick={() => setAsked(asked + 50)}>
          {say('log.showEarlierEntries')}
        </button>
      )}
      <Sheet
        open={line !== null}
        onOpenChange={(o) => {
          if (!o) setLine(null);
        }}
        title={say('log.correctAnEntry')}
        note={say('log.theOldEntryStaysIn')}
      >
        {line && (
          <DraftScope name={`${heap.id}:${line.id}`}>
            <CorrectForm
              heap={heap}
              onDone={() => setLine(null)}
              entryId={line.id}
              title={`${line.title} ${line.detail}, ${line.when}`}
              readings={line.readings.filter((r) => !r.struck)}
              parts={line.parts}
            />
          </DraftScope>
        )}
      </Sheet>
    </section>
  );
}
