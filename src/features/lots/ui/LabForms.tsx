'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { listAnalytes } from '@/core/release/limit-sets';
import { typed } from '@/core/quantity/typed-number';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { isReadable, readLabCsv, resultOf, type LabLine } from './lab-draft';
import { BasisSelect, NoteField, refOf, useLotEntry, wordsIn, type LotFormProps } from './parts';

/** A sample for a laboratory: drawn from several places, mixed, cooled. */
export function SampleForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('lab-sample', lot, onDone);
  const [laboratory, setLaboratory] = useTyped('laboratory', '');
  const [composite, setComposite] = useTyped('composite', '12');
  const [places, setPlaces] = useTyped('places', '');
  const [words, setWords] = useTyped('words', '');
  const n = typed(composite, 1);
  return (
    <>
      <p className="hint">{say('lots.howToSample')}</p>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label={say('store.laboratory2')}
          value={laboratory}
          maxLength={60}
          onChange={(e) => setLaboratory(e.target.value)}
        />
        <Field
          label={say('lots.composite')}
          inputMode="numeric"
          value={composite}
          onChange={(e) => setComposite(e.target.value)}
          problem={n === null ? say('lots.typeNumbers') : undefined}
        />
      </div>
      <Field
        label={say('lots.fromWhere')}
        value={places}
        maxLength={200}
        onChange={(e) => setPlaces(e.target.value)}
      />
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveSample')}
        missing={n === null ? say('lots.typeNumbers') : null}
        onKeep={() =>
          entry.save({
            lot: lot.id,
            ...(laboratory.trim() ? { laboratory: laboratory.trim() } : {}),
            ...(typeof n === 'number' ? { composite: Math.round(n) } : {}),
            ...(places.trim() ? { places: places.trim() } : {}),
            ...wordsIn(words),
          })
        }
      />
    </>
  );
}

/** The header that a pasted table has, in the words that it is read by. */
const CSV_HEADER = 'analyte,value,unit,basis';
const EMPTY: LabLine = { analyte: '', value: '', unit: '', basis: '' };

/** One result: typed as the sheet has it, `< 5` and `absent` too. */
function ResultLine({ line, onChange }: { line: LabLine; onChange: (l: LabLine) => void }) {
  const known = listAnalytes();
  const choose = (analyte: string): void => {
    const found = known.find((k) => k.analyte === analyte);
    onChange({
      ...line,
      analyte,
      ...(found && line.unit === '' ? { unit: found.unit, basis: found.basis ?? '' } : {}),
    });
  };
  return (
    <div className="grid grid-cols-[2fr_1fr_1fr_1fr] gap-2 max-sm:grid-cols-2">
      <Field
        label={say('lots.analyte')}
        list="analytes"
        value={line.analyte}
        onChange={(e) => choose(e.target.value)}
      />
      <Field
        label={say('lots.value')}
        value={line.value}
        onChange={(e) => onChange({ ...line, value: e.target.value })}
        problem={
          line.value.trim() !== '' && !isReadable(line.value) ? say('lots.typeAsSheet') : undefined
        }
      />
      <Field
        label={say('lots.unit')}
        value={line.unit}
        onChange={(e) => onChange({ ...line, unit: e.target.value })}
      />
      <BasisSelect value={line.basis} onChange={(basis) => onChange({ ...line, basis })} />
    </div>
  );
}

/** Names of what laboratories measure, offered while one is typed. */
const AnalyteNames = () => (
  <datalist id="analytes">
    {listAnalytes().map((a) => (
      <option key={`${a.analyte} ${a.unit}`} value={a.analyte} />
    ))}
  </datalist>
);

/** What a laboratory reported: typed line by line, or pasted as CSV. */
export function ReportForm({ lot, sample, onDone }: LotFormProps & { sample: string }) {
  const entry = useLotEntry('lab-report', lot, onDone);
  const [lines, setLines] = useTyped<readonly LabLine[]>('lines', [EMPTY]);
  const [solids, setSolids] = useTyped('solids', '');
  const [pasted, setPasted] = useState('');
  const used = lines.filter((l) => l.analyte.trim() !== '' || l.value.trim() !== '');
  const results = used.map(resultOf);
  const solidsPct = typed(solids);
  const isWhole = used.length > 0 && results.every((r) => r !== null);
  const setLine = (i: number, line: LabLine): void => {
    const next = lines.map((l, k) => (k === i ? line : l));
    setLines(i === lines.length - 1 && line.analyte !== '' ? [...next, EMPTY] : next);
  };
  return (
    <>
      <AnalyteNames />
      {lines.map((line, i) => (
        // Lines have nothing of their own but their place.
        <ResultLine key={String(i)} line={line} onChange={(l) => setLine(i, l)} />
      ))}
      <label className="label">
        {say('lots.pasteCsv')}
        <textarea
          className="field mt-1 font-mono text-note"
          rows={2}
          value={pasted}
          placeholder={CSV_HEADER}
          onChange={(e) => {
            setPasted(e.target.value);
            const read = readLabCsv(e.target.value);
            if (read.length > 0) setLines([...read, EMPTY]);
          }}
        />
      </label>
      <Field
        label={say('lots.solids')}
        unit="%"
        inputMode="decimal"
        value={solids}
        onChange={(e) => setSolids(e.target.value)}
        hint={say('lots.solidsHint')}
        problem={solidsPct === null ? say('lots.typeNumbers') : undefined}
      />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveResults')}
        missing={isWhole ? null : say('lots.resultsNeed')}
        onKeep={() =>
          entry.save({
            sample,
            results,
            ...(typeof solidsPct === 'number' && solidsPct > 0 ? { solidsPct } : {}),
          })
        }
      />
    </>
  );
}
