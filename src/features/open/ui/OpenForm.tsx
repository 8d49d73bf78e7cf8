'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { Field } from '@/ui/Field';
import { remember } from '@/ui/remember';
import { useDraftSaved, useTypedFields } from '@/ui/draft';
import {
  closedAt,
  copyEarlier,
  newOpenDraft,
  openedData,
  readOpenDraft,
  type OpenContext,
  type OpenDraft,
  type OpenReading,
} from '../open-draft';
import type { EarlierHeap } from '../proposal';
import {
  EarlierSelect,
  InputFields,
  MethodFields,
  NameFields,
  SizeFields,
  StageFields,
} from './OpenFields';
import { KeepBar } from '@/entry/ui/parts';
import { RulesToProve, type RuleOffer } from './RulesToProve';
import { submitEntry, useEntry, type EntryHandle, type HeapRef } from '@/entry/ui/useEntry';

type Props = Omit<OpenContext, 'unit' | 'rules'> & {
  readonly site: HeapRef;
  readonly proposed: { readonly code: string; readonly name: string; readonly bay: string };
  readonly rules: readonly RuleOffer[];
  readonly earlier: readonly EarlierHeap[];
  /** A mix waits on the bench for this heap. */ readonly forBench?: boolean;
};

/** Sends a new heap: the entry that opens it, where it lies in a row, and when it was closed; each waits where there is no signal. */
function useSendOpening(entry: EntryHandle) {
  const [builtId] = useState(() => v7());
  const [placedId] = useState(() => v7());
  return async (draft: OpenDraft, reading: OpenReading, context: OpenContext) => {
    const heapName = draft.name.trim() || draft.code.trim();
    const closed = closedAt(draft);
    const opened = await submitEntry(
      {
        ...entry.form(openedData(draft, reading, context)),
        at: draft.stage === 'closed' ? draft.builtAt : null,
      },
      heapName,
      'opened',
    );
    if (!opened.ok) return opened;
    const next = { batch: entry.id, by: entry.by };
    if (reading.stretch) {
      const data = { position: reading.stretch };
      const form = { ...next, id: placedId, kind: 'position' as const, at: null, data };
      const placed = await submitEntry(form, heapName, 'position');
      if (!placed.ok) return placed;
    }
    if (closed !== undefined) {
      const form = { ...next, id: builtId, kind: 'built' as const, at: closed, data: {} };
      const built = await submitEntry(form, heapName, 'built');
      if (!built.ok) return built;
    }
    return opened;
  };
}

/** The same, and where to go from there. */
function useOpening(entry: EntryHandle, forBench: boolean) {
  const router = useRouter();
  const saved = useDraftSaved();
  const send = useSendOpening(entry);
  return async (draft: OpenDraft, reading: OpenReading, context: OpenContext): Promise<void> => {
    const opened = await send(draft, reading, context);
    if (!opened.ok) {
      entry.setProblems(opened.problems);
      return;
    }
    remember('zh_by', entry.by);
    saved();
    // Its page is made by the server: without a signal there is none yet.
    if (opened.waiting) {
      router.push('/waiting');
      return;
    }
    router.push(forBench ? `/bench?lay=${entry.id}` : `/batch/${entry.id}`);
    router.refresh();
  };
}

/** A new heap: code and name proposed, method, bay, and when the last raw load went in, if it is in. */
export function OpenForm({ site, proposed, rules, earlier, forBench = false, ...given }: Props) {
  const [draft, set] = useTypedFields(newOpenDraft(proposed, site.nowLocal));
  const entry = useEntry('opened', site, () => undefined);
  const keep = useOpening(entry, forBench);
  const context: OpenContext = { ...given, rules, unit: site.unit };
  const reading = readOpenDraft(draft, context);
  const copy = (id: string): void => {
    const from = earlier.find((h) => h.id === id);
    const ids = rules.map((r) => r.id);
    set(from ? copyEarlier(from, ids) : { like: '' });
  };
  const section = { draft, reading, set };
  return (
    <div className="px-5 py-5 max-w-[760px] flex flex-col gap-5">
      <h1>{say('terms.startABatch')}</h1>
      <EarlierSelect earlier={earlier} like={draft.like} onChoose={copy} />
      <NameFields {...section} />
      <SizeFields {...section} />
      <MethodFields {...section} />
      <StageFields {...section} unit={site.unit} nowLocal={site.nowLocal} />
      <InputFields {...section} />
      <RulesToProve
        offered={rules.filter((r) => reading.offered.includes(r.id))}
        chosen={reading.chosen}
        why={reading.proposedFor}
        keeping={reading.keeping}
        inputs={draft.inputs}
        country={given.country}
        template={reading.template ?? null}
        siteVersion={given.siteTerms?.version ?? null}
        onTick={(id, on) => set({ byHand: { ...draft.byHand, [id]: on } })}
        onLead={(id) => set({ leads: id })}
        confirmed={draft.confirmed}
        onConfirm={(confirmed) => set({ confirmed })}
      />
      <Field
        label={say('open.who')}
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
        autoComplete="name"
      />
      <KeepBar
        entry={entry}
        label={say('open.start', {
          name: draft.name.trim() || draft.code.trim() || say('open.theBatch'),
        })}
        missing={reading.missing}
        onKeep={() => void keep(draft, reading, context)}
      />
    </div>
  );
}
