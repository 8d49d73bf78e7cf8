import { say } from '@/messages/say';
import { useState, type ChangeEvent, type DragEvent } from 'react';
import { Patterns } from '@/charts/Patterns';
import { isKeyWord, originProblem } from '@/core/formats/origin';
import { isoOf } from '@/core/quantity/instant';
import { HeatRecord } from '@/features/record/ui/Record';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { sha256InWorker } from '@/workers/sha256';
import { LotsFound } from './LotsFound';
import {
  momentTyped,
  openFile,
  recordOf,
  sameDigest,
  type Opened,
  type OpenedBatch,
} from './open-file';

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
      problems: [say('checker.thisNotTextFileAs')],
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
        {again ? say('checker.openAnotherBatchFile') : say('checker.openALotsFile')}
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(e: ChangeEvent<HTMLInputElement>) => take(e.target.files)}
        />
      </label>
      <span className="ml-3">{say('checker.orDropHereNothingLeaves')}</span>
    </div>
  );
}

/** Whether the file was signed by the key that stands on a record. */
function keyFound(
  { origin }: OpenedBatch,
  typed: string,
): { readonly hint: string } | { readonly problem: string } {
  if (!isKeyWord(typed)) return { hint: say('checker.keyTypeIt') };
  const problem = originProblem(origin, { key: typed }, sha256InWorker);
  return problem === null ? { hint: say('checker.keySame') } : { problem };
}

function Found({ opened }: { opened: OpenedBatch }) {
  const [unit, setUnit] = useState<'C' | 'F'>(opened.file.site.unit ?? 'C');
  const [asOf, setAsOf] = useState(isoOf(opened.latest));
  const [printed, setPrinted] = useState('');
  const [key, setKey] = useState('');
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
          {told
            ? say('checker.theChainLogEntriesIntact')
            : say('checker.nothingShowsWhetherThisFile')}
        </h2>
        <p className="mt-1">
          {told
            ? say('checker.allLogEntriesMatchTheir', { entries: told.entries })
            : say('checker.itContainsNoLogEntries')}
        </p>
        {opened.seal.map((line) => (
          <p key={line} className="mt-1 font-semibold break-all">
            {line}
          </p>
        ))}
        {told?.seal.is === 'whole' && told.seal.key !== null && (
          <p className="hint">{say('checker.compareKey')}</p>
        )}
        <p className="mt-1 break-all">
          <b>{say('checker.sha256ThisFile')}</b> {opened.digest}
        </p>
        <div className="grid sm:grid-cols-2 gap-x-4 mt-2">
          <Field
            label={say('checker.sha256PrintedOnRecord')}
            value={printed}
            onChange={(e) => setPrinted(e.target.value)}
            {...(same === false
              ? {
                  problem: say('checker.notSameRecordWasMade'),
                }
              : {
                  hint: same
                    ? say('checker.theSameRecordWasMade')
                    : say('checker.typeOrPasteCompare'),
                })}
          />
          <Field
            label={say('checker.keyPrinted')}
            value={key}
            onChange={(e) => setKey(e.target.value)}
            {...keyFound(opened, key)}
          />
          <Field
            label={say('checker.judgedAsOf')}
            value={asOf}
            onChange={(e) => setAsOf(e.target.value)}
            {...(at === null
              ? { problem: say('checker.mustTimeSuchAs2026') }
              : { hint: say('checker.theTimeAfterAsOn') })}
          />
        </div>
        <Choices
          label={say('checker.temperaturesIn')}
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
        <h1>{say('checker.checkHeatTreatmentRecord')}</h1>
        <p className="mt-2 max-w-[65ch]">{say('checker.chooseBatchFileCameWith')}</p>
        <Drop onFile={open} again={opened !== null} />
      </div>
      {opened && !opened.found.ok && (
        <div role="alert" className="border-[1.6px] border-ink bg-marker px-4 py-3 mt-4">
          <h2>
            {opened.found.tampered
              ? say('checker.cannotTrustedAs', { name: opened.name })
              : say('checker.cannotReadAsBatchFile', { name: opened.name })}
          </h2>
          <ul className="list-disc pl-5 mt-1">
            {opened.found.problems.slice(0, 20).map((p) => (
              <li key={p}>{p}</li>
            ))}
          </ul>
          {opened.found.problems.length > 20 && (
            <p>{say('checker.andMore', { problems: opened.found.problems.length - 20 })}</p>
          )}
        </div>
      )}
      {opened?.found.ok &&
        (opened.found.lots ? (
          <LotsFound key={opened.n} opened={opened.found} />
        ) : (
          <Found key={opened.n} opened={opened.found} />
        ))}
    </main>
  );
}
