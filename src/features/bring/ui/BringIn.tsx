'use client';
import Papa from 'papaparse';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, type DragEvent } from 'react';
import { v7 } from 'uuid';
import type { Brought, BroughtPreview } from '@/core/formats/bring';
import { guessShape, type CsvOptions } from '@/core/formats/csv-readings';
import { countText, whenText } from '@/core/quantity/format';
import { keepingOf, orderedLike, proposedRules } from '@/core/rules/propose';
import { Choices } from '@/ui/Choices';
import { Field, Problems } from '@/ui/Field';
import { LeadSelect, withLead } from '@/ui/LeadSelect';
import { SaveButton } from '@/ui/SaveButton';
import { remember } from '@/ui/remember';
import { Mark } from '@/charts/marks';
import type { BringResult, BringTask } from '@/workers/bring.worker';

type Dropped = { readonly name: string } & (
  | { readonly kind: 'file'; readonly text: string }
  | { readonly kind: 'csv'; readonly rows: string[][] }
);
type Props = {
  readonly by: string;
  readonly unit: 'C' | 'F';
  readonly timeZone: string;
  readonly zones: readonly string[];
  readonly proposed: { code: string; name: string; bay: string };
  readonly nowLocal: string;
  readonly siteName: string;
  /** Rules that the site works to, the leading one first; and its time zone's country decides where it has none. */ readonly siteRules: readonly string[];
};

/** Rules that are ticked at first, each with the reason: those the file names, else those of the site, else of its country. */
function proposedFor(
  preview: Extract<BroughtPreview, { ok: true }>,
  siteRules: readonly string[],
  timeZone: string,
): Map<string, string> {
  if (preview.named.length > 0)
    return new Map(preview.named.map((id) => [id, 'the file names it']));
  // What went in is not in the file: any of the usual inputs may have.
  const keeping = keepingOf(preview.method, { aerated: preview.method !== 'turned' });
  return new Map(
    proposedRules({ keeping, inputs: ['garden', 'seeding-weeds'], siteRules, timeZone }).map(
      (r) => [r.id, r.from],
    ),
  );
}

const ROWS_SHOWN = 6;
const BAD_SHOWN = 12;

/** Asks the worker for a preview a moment after the last change; the newest answer wins. */
function usePreview(
  brought: Brought | null,
  unit: 'C' | 'F',
): { preview: BroughtPreview | null; busy: boolean } {
  const worker = useRef<Worker | null>(null);
  const [answer, setAnswer] = useState<{ of: Brought; preview: BroughtPreview } | null>(null);
  const asked = useRef({ id: 0, of: null as Brought | null });
  useEffect(() => {
    const w = new Worker(new URL('../../../workers/bring.worker.ts', import.meta.url), {
      type: 'module',
    });
    w.onmessage = ({ data }: MessageEvent<BringResult>) => {
      if (data.id === asked.current.id && asked.current.of)
        setAnswer({ of: asked.current.of, preview: data.preview });
    };
    worker.current = w;
    return () => w.terminate();
  }, []);
  useEffect(() => {
    if (!brought) return;
    const timer = setTimeout(() => {
      asked.current = { id: asked.current.id + 1, of: brought };
      worker.current?.postMessage({ id: asked.current.id, brought, unit } satisfies BringTask);
    }, 200);
    return () => clearTimeout(timer);
  }, [brought, unit]);
  return {
    preview: brought && answer?.of === brought ? answer.preview : null,
    busy: brought !== null && answer?.of !== brought,
  };
}

async function readDropped(file: File): Promise<Dropped | string> {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    return `${file.name} is not UTF-8 text. Save it as a batch file or as CSV in UTF-8 and drop it again.`;
  }
  if (/^\s*[{[]/.test(text.replace(/^\uFEFF/, ''))) return { kind: 'file', name: file.name, text };
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: false });
  if (data.length < 2 || (data[0]?.length ?? 0) < 2)
    return `${file.name} holds neither a batch file nor a table with a time and a temperature.`;
  return { kind: 'csv', name: file.name, rows: data };
}

/** A batch that was kept elsewhere: drop, look at every row and verdict, then keep it whole or not at all. */
export function BringIn(p: Props) {
  const router = useRouter();
  const [dropped, setDropped] = useState<Dropped | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [openedId, setOpenedId] = useState(() => v7());
  const [by, setBy] = useState(p.by);
  const [bay, setBay] = useState('');
  const [options, setOptions] = useState<CsvOptions>({
    shape: 'long',
    unit: p.unit,
    timeZone: p.timeZone,
    dateOrder: 'dmy',
  });
  const [batch, setBatch] = useState({
    code: p.proposed.code,
    name: p.proposed.name,
    method: 'turned' as 'turned' | 'static' | 'vessel',
    builtLocal: '',
  });
  const [sending, setSending] = useState(false);
  const [refused, setRefused] = useState<readonly { path: string; message: string }[]>([]);
  const brought = useMemo<Brought | null>(() => {
    if (!dropped) return null;
    if (dropped.kind === 'file') return { kind: 'file', text: dropped.text };
    return batch.builtLocal
      ? { kind: 'csv', rows: dropped.rows, options, batch: { ...batch, siteName: p.siteName } }
      : null;
  }, [dropped, options, batch, p.siteName]);
  const { preview, busy } = usePreview(brought, p.unit);
  // Ticks that a person set stand over what the file names, the site works to, or the country's rules propose.
  const [byHand, setByHand] = useState<Readonly<Record<string, boolean>>>({});
  const [leads, setLeads] = useState<string | null>(null);
  const proposed = useMemo(
    () => (preview?.ok ? proposedFor(preview, p.siteRules, p.timeZone) : new Map<string, string>()),
    [preview, p.siteRules, p.timeZone],
  );
  const ticked = preview?.ok
    ? orderedLike(
        preview.verdicts.map((v) => v.id).filter((id) => byHand[id] ?? proposed.has(id)),
        preview.named.length > 0 ? preview.named : p.siteRules,
      )
    : [];
  const chosen = leads !== null && ticked.includes(leads) ? withLead(ticked, leads) : ticked;
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = await readDropped(file);
    setRefused([]);
    setOpenedId(v7());
    if (typeof read === 'string') {
      setProblem(read);
      setDropped(null);
      return;
    }
    setProblem(null);
    if (read.kind === 'csv') setOptions((o) => ({ ...o, shape: guessShape(read.rows[0] ?? []) }));
    setDropped(read);
  };
  const drop = (e: DragEvent): void => {
    e.preventDefault();
    setOver(false);
    void take(e.dataTransfer.files[0]);
  };
  const keep = async (): Promise<void> => {
    setSending(true);
    const answer = await fetch('/api/bring', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ openedId, by, ...(bay ? { bay } : {}), rules: chosen, brought }),
    })
      .then(
        (r) => r.json() as Promise<{ ok: boolean; problems?: { path: string; message: string }[] }>,
      )
      .catch(() => ({
        ok: false,
        problems: [
          {
            path: '(form)',
            message:
              'The hub did not answer, so it may be in or not. Press again: it is kept once, however often it is sent.',
          },
        ],
      }));
    if (!answer.ok) {
      setSending(false);
      setRefused(answer.problems ?? []);
      return;
    } // else it stays busy until the heap's page is there
    remember('zh_by', by);
    router.push(`/batch/${openedId}`);
    router.refresh();
  };
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,430px)]">
      <section className="px-5 py-5 flex flex-col gap-5 min-w-0" aria-labelledby="bring-title">
        <h1 id="bring-title">Bring in a batch kept elsewhere</h1>
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
          <b className="text-lead">{dropped ? dropped.name : 'Drop a file here, or choose one'}</b>
          <span className="hint">
            A batch file (.json), or temperatures as .csv: time, point, value in rows, or a time and
            one column for each point.
          </span>
          <input
            type="file"
            className="sr-only"
            accept=".json,.csv,.txt,application/json,text/csv"
            onChange={(e) => void take(e.target.files?.[0])}
          />
        </label>
        {problem && <Problems list={[{ path: '(file)', message: problem }]} />}
        {dropped?.kind === 'csv' && (
          <>
            <div className="grid sm:grid-cols-2 gap-4">
              <Choices
                label="How is the table laid out?"
                value={options.shape}
                onChange={(v) => v && setOptions({ ...options, shape: v })}
                options={[
                  { value: 'long', label: 'A reading a row', hint: 'time, point, value' },
                  { value: 'wide', label: 'A round a row', hint: 'time, then each point' },
                ]}
              />
              <Choices
                label="Temperatures in"
                value={options.unit}
                onChange={(v) => v && setOptions({ ...options, unit: v })}
                options={[
                  { value: 'C', label: '°C' },
                  { value: 'F', label: '°F' },
                ]}
              />
              <div>
                <Field
                  label="Time zone of its clock"
                  list="zones"
                  value={options.timeZone}
                  onChange={(e) => setOptions({ ...options, timeZone: e.target.value })}
                  hint="Used where a time names no offset"
                  problem={
                    p.zones.includes(options.timeZone) || options.timeZone === 'UTC'
                      ? undefined
                      : 'Choose a zone such as Europe/London.'
                  }
                />
                <datalist id="zones">
                  {p.zones.map((z) => (
                    <option key={z} value={z} />
                  ))}
                </datalist>
              </div>
              <Choices
                label="If a date is not year first"
                value={options.dateOrder}
                onChange={(v) => v && setOptions({ ...options, dateOrder: v })}
                options={[
                  { value: 'dmy', label: 'Day, month' },
                  { value: 'mdy', label: 'Month, day' },
                ]}
              />
              <Field
                label="Code"
                value={batch.code}
                maxLength={24}
                onChange={(e) => setBatch({ ...batch, code: e.target.value })}
              />
              <Field
                label="Name"
                value={batch.name}
                maxLength={60}
                onChange={(e) => setBatch({ ...batch, name: e.target.value })}
              />
              <Field
                label="When the last raw load went in"
                type="datetime-local"
                value={batch.builtLocal}
                onChange={(e) => setBatch({ ...batch, builtLocal: e.target.value })}
                hint="By the same clock; nothing before it counts"
                problem={batch.builtLocal ? undefined : 'Needed: the clock starts here.'}
              />
              <Choices
                label="How was it kept?"
                value={batch.method}
                onChange={(v) => v && setBatch({ ...batch, method: v })}
                columns={3}
                options={[
                  { value: 'turned', label: 'Turned' },
                  { value: 'static', label: 'Static' },
                  { value: 'vessel', label: 'Vessel' },
                ]}
              />
            </div>
            <div
              className="overflow-x-auto"
              tabIndex={0}
              role="group"
              aria-label="First rows of the file"
            >
              <table className="text-hint border-collapse">
                <caption className="text-left label">
                  First rows of {dropped.rows.length - 1}
                </caption>
                <tbody>
                  {dropped.rows.slice(0, ROWS_SHOWN).map((row, i) => (
                    <tr key={i} className="border-b border-rule">
                      <th className="pr-3 q font-normal text-right">{i + 1}</th>
                      {row.slice(0, 10).map((cell, k) => (
                        <td
                          key={k}
                          className={`pr-4 py-1 whitespace-nowrap ${i === 0 ? 'font-semibold' : ''}`}
                        >
                          {cell}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </>
        )}
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-5 flex flex-col gap-4"
        aria-label="What it would say"
        aria-live="polite"
      >
        <h2>What it would say</h2>
        {!dropped && (
          <p className="q">The verdict of each rule stands here before anything is kept.</p>
        )}
        {dropped && !brought && <p className="q">Say when the last raw load went in.</p>}
        {busy && (
          <p className="q" role="status">
            Reading and judging…
          </p>
        )}
        {preview && !preview.ok && (
          <div data-testid="bad-rows">
            <p className="font-semibold marked">
              Nothing is brought in: {preview.problems.length}{' '}
              {preview.problems.length === 1 ? 'place is' : 'places are'} wrong.
            </p>
            <ul className="mt-1.5 text-small list-disc pl-5">
              {preview.problems.slice(0, BAD_SHOWN).map((b, i) => (
                <li key={i}>
                  {b.line !== undefined || b.path === 'builtAt'
                    ? b.message
                    : `${b.path}: ${b.message}`}
                </li>
              ))}
            </ul>
            {preview.problems.length > BAD_SHOWN && (
              <p className="q">and {preview.problems.length - BAD_SHOWN} more.</p>
            )}
            <p className="mt-1.5">Mend the file and drop it again.</p>
          </div>
        )}
        {preview?.ok && (
          <>
            <p>
              {preview.name ? `${preview.name} (${preview.code})` : preview.code} of {preview.site}:{' '}
              <b>
                {preview.readings.toLocaleString('en')}{' '}
                {preview.readings === 1 ? 'reading' : 'readings'}
              </b>{' '}
              at {countText(preview.points, 'place')}, {countText(preview.events, 'act')},{' '}
              {whenText(preview.timeZone, preview.from)} to {whenText(preview.timeZone, preview.to)}
              .
            </p>
            <fieldset>
              <legend className="label">Keep it under which rules?</legend>
              <ul data-testid="preview-verdicts">
                {preview.verdicts.map((v) => (
                  <li
                    key={v.id}
                    data-rule={v.id}
                    data-status={v.status}
                    className="border-t border-rule py-1"
                  >
                    <label className="flex gap-3 items-start py-1.5 min-h-target">
                      <input
                        type="checkbox"
                        className="size-5 mt-0.5 flex-none"
                        checked={ticked.includes(v.id)}
                        onChange={(e) => setByHand((h) => ({ ...h, [v.id]: e.target.checked }))}
                      />
                      <span>
                        <b className="font-[650]">{v.title}</b>
                        <span className="hint block">
                          {v.source}
                          {proposed.has(v.id) ? ` · proposed: ${proposed.get(v.id)}` : ''}
                        </span>
                        {v.text}
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
              <LeadSelect
                label="Which rule does the head of the heap tell?"
                chosen={chosen}
                named={preview.verdicts}
                onLead={setLeads}
              />
              <p className="hint mt-1">
                {chosen.length === 0
                  ? 'None is ticked: it is kept without a claim.'
                  : `It would meet ${preview.verdicts.filter((v) => ticked.includes(v.id) && v.status === 'proven').length} of ${chosen.length}.`}{' '}
                Which rule holds for you: check with your local authority.
              </p>
            </fieldset>
            <p className="hint">{preview.policy}</p>
            <Field
              label="Who brings it in"
              value={by}
              onChange={(e) => setBy(e.target.value)}
              maxLength={60}
            />
            <Field
              label="Bay"
              value={bay}
              onChange={(e) => setBay(e.target.value)}
              maxLength={40}
              hint="If it stands on this site"
            />
            <Problems list={refused} />
            <SaveButton
              className="btn key !min-h-glove"
              label="Bring it in"
              busy={sending}
              missing={by.trim() === '' ? 'Say who brings it in.' : null}
              onSave={() => void keep()}
            />
          </>
        )}
      </aside>
    </div>
  );
}
