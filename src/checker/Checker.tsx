import { useState, type ChangeEvent, type DragEvent } from 'react';
import { Patterns } from '@/charts/Patterns';
import { isoOf } from '@/core/quantity/instant';
import { HeatRecord } from '@/features/record/ui/Record';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { sha256InWorker } from '@/workers/sha256';
import { momentTyped, openFile, recordOf, sameDigest, type Opened } from './open-file';

async function readAll(file: File): Promise<Opened> {
  try {
    return openFile(
      new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer()),
      sha256InWorker,
    );
  } catch {
    return {
      ok: false,
      tampered: false,
      problems: [
        'It is not a text, as a PDF or a picture is not. Choose the batch file, whose name ends with .zealous-heap.json; it lies beside the record in a ZIP, and inside the PDF as an attachment.',
      ],
    };
  }
}

function Drop({ onFile, again }: { onFile: (file: File) => void; again: boolean }) {
  const take = (list: FileList | null): void => {
    const file = list?.[0];
    if (file) onFile(file);
  };
  return (
    <div
      className="border-[1.6px] border-dashed border-ink bg-sheet px-4 py-5 mt-4"
      onDragOver={(e: DragEvent) => e.preventDefault()}
      onDrop={(e: DragEvent) => {
        e.preventDefault();
        take(e.dataTransfer.files);
      }}
    >
      <label className="btn key">
        {again ? 'Open another batch file' : 'Open a batch file'}
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(e: ChangeEvent<HTMLInputElement>) => take(e.target.files)}
        />
      </label>
      <span className="ml-3">or drop it here. Nothing leaves this computer.</span>
    </div>
  );
}

function Found({ opened }: { opened: Extract<Opened, { ok: true }> }) {
  const [unit, setUnit] = useState<'C' | 'F'>(opened.file.site.unit ?? 'C');
  const [asOf, setAsOf] = useState(isoOf(opened.latest));
  const [printed, setPrinted] = useState('');
  const at = momentTyped(asOf);
  const same = sameDigest(printed, opened.digest);
  const { told } = opened;
  return (
    <>
      <section
        className="border-[1.6px] border-ink px-4 py-3 mt-4 print:hidden"
        aria-live="polite"
        data-testid="chain"
      >
        <h2>
          {told ? 'The chain of log entries holds' : 'Nothing shows whether this file was changed'}
        </h2>
        <p className="mt-1">
          {told
            ? `All ${told.entries} log entries fit their hashes, and the readings and works in the file are what the entries say. It shows that nothing was changed after it was logged; it cannot show that what was logged is true.`
            : 'It carries no log entries. Its verdicts are reckoned from what it says, all the same.'}
        </p>
        <p className="mt-1 break-all">
          <b>SHA-256 of this file:</b> {opened.digest}
        </p>
        <div className="grid sm:grid-cols-2 gap-x-4 mt-2">
          <Field
            label="SHA-256 printed on the record"
            value={printed}
            onChange={(e) => setPrinted(e.target.value)}
            {...(same === false
              ? {
                  problem:
                    'Not the same: the record was made from another file, or at another moment.',
                }
              : {
                  hint: same
                    ? 'The same: the record was made from this very file.'
                    : 'Type or paste it to compare',
                })}
          />
          <Field
            label="Judged as of"
            value={asOf}
            onChange={(e) => setAsOf(e.target.value)}
            {...(at === null
              ? { problem: 'Must be a time such as 2026-05-01T07:30:00Z.' }
              : { hint: 'The moment after --as-of on the record' })}
          />
        </div>
        <Choices
          label="Temperatures in"
          value={unit}
          onChange={(v) => {
            if (v) setUnit(v);
          }}
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
        />
      </section>
      {at !== null && (
        <div className="mt-6">
          <HeatRecord record={recordOf(opened, at, unit)} />
        </div>
      )}
    </>
  );
}

/** The record that checks itself: one page, no network, no account. */
export function Checker() {
  const [opened, setOpened] = useState<{ n: number; name: string; found: Opened } | null>(null);
  const open = (file: File): void =>
    void readAll(file).then((found) =>
      setOpened((before) => ({ n: (before?.n ?? 0) + 1, name: file.name, found })),
    );
  return (
    <main className="px-5 py-6 max-w-[980px] mx-auto">
      <Patterns />
      <div className="print:hidden">
        <h1>Check a heat-treatment record</h1>
        <p className="mt-2 max-w-[65ch]">
          Give it the batch file that came with a record. It checks that no log entry was changed,
          and reckons every verdict anew from the readings. It is part of Zealous Heap, works with
          no network, and keeps nothing.
        </p>
        <Drop onFile={open} again={opened !== null} />
      </div>
      {opened && !opened.found.ok && (
        <div role="alert" className="border-[1.6px] border-ink bg-marker px-4 py-3 mt-4">
          <h2>
            {opened.found.tampered
              ? `${opened.name} cannot be trusted as it is`
              : `${opened.name} cannot be read as a batch file`}
          </h2>
          <ul className="list-disc pl-5 mt-1">
            {opened.found.problems.slice(0, 20).map((p) => (
              <li key={p}>{p}</li>
            ))}
          </ul>
          {opened.found.problems.length > 20 && (
            <p>and {opened.found.problems.length - 20} more.</p>
          )}
        </div>
      )}
      {opened?.found.ok && <Found key={opened.n} opened={opened.found} />}
    </main>
  );
}
