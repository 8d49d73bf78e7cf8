'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState, type DragEvent } from 'react';
import type { Country } from '@/core/log/kinds/vocabulary';
import { Mark } from '@/charts/marks';
import { Problems } from '@/ui/Field';
import { remember } from '@/ui/remember';
import { NO_CHOICES } from '../rules-to-keep';
import { BadRows, BroughtForm, type BroughtDraft } from './BroughtForm';
import { TableFields } from './TableFields';
import { useBrought, type BroughtHandle } from './useBrought';
import type { Dropped } from './read-dropped';
import { useBroughtPreview } from './usePreview';

type Props = {
  readonly by: string;
  readonly unit: 'C' | 'F';
  readonly timeZone: string;
  readonly zones: readonly string[];
  readonly proposed: { code: string; name: string; bay: string };
  readonly country: Country | null;
  readonly nowLocal: string;
  readonly siteName: string;
  /** Rules that the site works to, the leading one first; and its country decides where it has none. */ readonly siteRules: readonly string[];
};

type Problem = { path: string; message: string };
type Answer = { ok: boolean; problems?: Problem[] };
const NO_ANSWER: Answer = {
  ok: false,
  problems: [
    {
      path: '(form)',
      get message() {
        return say('bring.theServerDidNotAnswer');
      },
    },
  ],
};

/** Sends what was brought; it stays busy until the heap's page is there. */
function useKeepBrought({ openedId, brought }: Pick<BroughtHandle, 'openedId' | 'brought'>) {
  const router = useRouter();
  const [sending, setSending] = useState(false);
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const keep = async ({ by, bay }: BroughtDraft, rules: readonly string[]): Promise<void> => {
    setSending(true);
    const answer = await fetch('/api/bring', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ openedId, by, ...(bay ? { bay } : {}), rules, brought }),
    })
      .then((r) => r.json() as Promise<Answer>)
      .catch(() => NO_ANSWER);
    if (!answer.ok) {
      setSending(false);
      setRefused(answer.problems ?? []);
      return;
    }
    remember('zh_by', by);
    router.push(`/batch/${openedId}`);
    router.refresh();
  };
  return { sending, refused, keep, forget: () => setRefused([]) };
}

function DropArea({
  dropped,
  onFile,
}: {
  dropped: Dropped | null;
  onFile: (file: File | undefined) => void;
}) {
  const [over, setOver] = useState(false);
  const drop = (e: DragEvent): void => {
    e.preventDefault();
    setOver(false);
    onFile(e.dataTransfer.files[0]);
  };
  return (
    <label
      className={`border-[1.6px] border-dashed border-ink px-5 py-8 flex flex-col items-center gap-2 text-center cursor-pointer focus-within:outline-3 focus-within:outline-ink ${over ? 'bg-marker' : 'bg-sheet'}`}
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <Mark name="move" size={30} />
      <b className="text-lead">{dropped ? dropped.name : say('bring.dropFileHereOrChoose')}</b>
      <span className="hint">{say('bring.aBatchFileJsonOr')}</span>
      <input
        type="file"
        className="sr-only"
        accept=".json,.csv,.txt,application/json,text/csv"
        onChange={(e) => onFile(e.target.files?.[0])}
      />
    </label>
  );
}

/** A batch that was kept elsewhere: drop, look at every row and verdict, then keep it whole or not at all. */
export function BringIn(p: Props) {
  const file = useBrought(p);
  const [draft, setDraft] = useState<BroughtDraft>({ by: p.by, bay: '', choices: NO_CHOICES });
  const { dropped, brought } = file;
  const { preview, busy } = useBroughtPreview(brought, p.unit);
  const { sending, refused, keep, forget } = useKeepBrought(file);
  const take = (chosen: File | undefined): void => {
    if (!chosen) return;
    forget();
    void file.take(chosen);
  };
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,430px)]">
      <section className="px-5 py-5 flex flex-col gap-5 min-w-0" aria-labelledby="bring-title">
        <h1 id="bring-title">{say('bring.importBatchLoggedElsewhere')}</h1>
        <DropArea dropped={dropped} onFile={take} />
        {file.problem && <Problems list={[{ path: '(file)', message: file.problem }]} />}
        {dropped?.kind === 'csv' && (
          <TableFields
            options={file.options}
            setOptions={file.setOptions}
            batch={file.batch}
            setBatch={file.setBatch}
            rows={dropped.rows}
            zones={p.zones}
          />
        )}
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-5 flex flex-col gap-4"
        aria-label={say('bring.result')}
        aria-live="polite"
      >
        <h2>{say('bring.result')}</h2>
        {!dropped && <p className="q">{say('bring.theVerdictEachRuleShown')}</p>}
        {dropped && !brought && <p className="q">{say('bring.sayWhenLastRawMaterial')}</p>}
        {busy && (
          <p className="q" role="status">
            {say('bring.readingAndJudging')}
          </p>
        )}
        {preview && !preview.ok && <BadRows problems={preview.problems} />}
        {preview?.ok && (
          <BroughtForm
            preview={preview}
            site={p}
            draft={draft}
            set={(change) => setDraft((d) => ({ ...d, ...change }))}
            refused={refused}
            sending={sending}
            onKeep={(rules) => void keep(draft, rules)}
          />
        )}
      </aside>
    </div>
  );
}
