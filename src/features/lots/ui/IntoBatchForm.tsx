'use client';
import { say } from '@/messages/say';
import { CAUTION } from '@/core/words/caution';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';
import { useTyped } from '@/ui/draft';
import { Effects } from '@/ui/Effects';
import { typedQuantity } from '@/core/quantity/typed-quantity';
import { LitresField, NoteField, refOf, wordsIn, type LotFormProps } from './parts';

/** What is typed, and the part of a batch that it stands for. */
function usePart(lot: LotFormProps['lot']) {
  const [batch, setBatch] = useTyped('batch', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [words, setWords] = useTyped('words', '');
  const chosen = lot.batches.find((b) => b.id === batch);
  const value = typedQuantity('litres', litres);
  const isWrong = value === null || value === 0;
  const amount = value ? { in: 'litres', n: value } : { in: 'unknown' };
  return {
    ...{ batch, setBatch, litres, setLitres, words, setWords, chosen },
    part: { material: lot.material, lot: lot.id, amount },
    problem: isWrong ? say('lots.typeAmount') : undefined,
  };
}

/** Overs or finished compost go into a batch, with the share of it that was never heated. */
export function IntoBatchForm({ lot, onDone }: LotFormProps) {
  const p = usePart(lot);
  const ref = refOf(lot, p.batch);
  const isBuilding = p.chosen?.building === true;
  const isAdded = p.chosen?.building === false;
  const entry = useEntry(isBuilding ? 'charge' : 'addition', ref, onDone);
  const isRaw = !lot.heated;
  const added = { parts: [p.part], raw: isRaw, seeds: isRaw, what: p.words.trim() || lot.name };
  const data = isBuilding ? { parts: [p.part], ...wordsIn(p.words.trim() || lot.name) } : added;
  const preview = useEntryPreview(entry, isAdded ? data : null);
  return (
    <>
      {isRaw && <p className="caution">{CAUTION.raw}</p>}
      <label className="label">
        {say('lots.intoWhichBatch')}
        <select className="field mt-1" value={p.batch} onChange={(e) => p.setBatch(e.target.value)}>
          <option value="">{say('lots.choose')}</option>
          {lot.batches.map((b) => (
            <option key={b.id} value={b.id}>
              {b.building ? say('lots.beingBuilt', { name: b.name }) : b.name}
            </option>
          ))}
        </select>
      </label>
      <LitresField
        label={say('day.howMuch')}
        value={p.litres}
        onChange={p.setLitres}
        problem={p.problem}
      />
      <p className="hint">{isRaw ? say('lots.unheatedGoesIn') : say('lots.heatedGoesIn')}</p>
      {isAdded && <Effects preview={preview} />}
      <NoteField value={p.words} onChange={p.setWords} />
      <WhenAndWho entry={entry} heap={ref} />
      <KeepBar
        entry={entry}
        label={say('lots.saveIntoBatch')}
        missing={p.chosen ? (p.problem ?? null) : say('lots.chooseABatch')}
        onKeep={() => entry.save(data)}
      />
    </>
  );
}
