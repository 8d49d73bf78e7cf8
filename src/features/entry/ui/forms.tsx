'use client';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { CAUTION } from '@/core/words/caution';
import { keysOf, SMELL_WORDS, SQUEEZE_WORDS, type Smell, type Squeeze } from '@/core/words/feel';
import { AmountField, type AmountTyped } from '@/ui/AmountField';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { Effects } from '@/ui/Effects';
import { typed } from '@/core/quantity/typed-number';
import { DangerFirst, KeepBar, WhenAndWho } from './parts';
import { StandingFields, useStanding } from './Standing';
import { submitEntry, useEntry, useEntryPreview, type HeapRef } from './useEntry';

type FormProps = { readonly heap: HeapRef; readonly onDone: () => void };

const SQUEEZE = keysOf(SQUEEZE_WORDS).map((value) => ({
  value,
  label: SQUEEZE_WORDS[value].word,
  hint: SQUEEZE_WORDS[value].means,
}));
const SMELLS = keysOf(SMELL_WORDS).map((value) => ({ value, label: SMELL_WORDS[value] }));

/** The clock of seeds asks a question of its own; 'I don't know' means that there are some. */
type SeedAnswer = 'yes' | 'no' | 'unknown' | '';
const seedsOf = (answer: SeedAnswer): { seeds?: boolean } =>
  answer === '' ? {} : { seeds: answer !== 'no' };
const SeedChoice = ({
  value,
  onChange,
}: {
  value: SeedAnswer;
  onChange: (v: SeedAnswer) => void;
}) => (
  <Choices
    optional
    label="Live seeds in it?"
    value={value}
    onChange={onChange}
    columns={3}
    options={[
      { value: 'yes', label: 'Yes' },
      { value: 'no', label: 'No' },
      { value: 'unknown', label: 'Don’t know' },
    ]}
  />
);

/** A turning: whole, or only stirred; how far the rim went in is a claim worth noting. What was felt, added or watered while at it is logged with it. */
export function TurnForm({ heap, onDone }: FormProps) {
  const standing = useStanding(heap, heap.placed ?? []);
  const inRow = standing.was !== null && 'row' in standing.was;
  const entry = useEntry('turn', heap, onDone);
  const [full, setFull] = useTyped<'full' | 'stir' | ''>('full', 'full');
  const [rim, setRim] = useTyped<'all' | 'most' | 'partly' | 'unsure' | ''>('rim', '');
  const [read, setRead] = useTyped<'yes' | 'no' | ''>('read', heap.readLately ? 'yes' : '');
  const [minutes, setMinutes] = useTyped('minutes', '');
  const [people, setPeople] = useTyped('people', '');
  const [machine, setMachine] = useTyped<'hand' | 'machine' | ''>('machine', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [squeeze, setSqueeze] = useTyped<Squeeze | ''>('squeeze', '');
  const [smell, setSmell] = useTyped<Smell | ''>('smell', '');
  const [ids] = useState(() => ({ water: v7(), felt: v7() }));
  const [mins, hands, water] = [typed(minutes), typed(people, 1), typed(litres, 0.1)];
  const data = {
    full: full === 'full',
    ...(rim ? { rim } : {}),
    ...(read ? { readFirst: read === 'yes' } : {}),
    ...(typeof mins === 'number' ? { minutes: mins } : {}),
    ...(typeof hands === 'number' ? { people: Math.round(hands) } : {}),
    ...(machine ? { machine: machine === 'machine' } : {}),
  };
  const preview = useEntryPreview(entry, full === '' ? null : data);
  // Each turning moves a row along: its flags go with it, and a border is the neighbour's too.
  const after = async (): Promise<void> => {
    const also = [
      ...(typeof water === 'number'
        ? [{ id: ids.water, kind: 'water' as const, data: { clean: true, litres: water } }]
        : []),
      ...(squeeze || smell
        ? [
            {
              id: ids.felt,
              kind: 'observation' as const,
              data: { ...(squeeze ? { squeeze } : {}), ...(smell ? { smell } : {}) },
            },
          ]
        : []),
    ];
    for (const e of also) {
      const kept = await submitEntry(
        { ...e, batch: heap.id, at: entry.at, by: entry.by },
        heap.name,
        e.kind,
      );
      if (!kept.ok) {
        entry.setProblems(kept.problems);
        return;
      }
    }
    const wrong = await standing.keep(entry.by, entry.at);
    if (wrong.length > 0) entry.setProblems(wrong);
    else onDone();
  };
  const wrong = [mins, hands, water].includes(null);
  return (
    <>
      <DangerFirst heap={heap} />
      <p className="caution">
        {CAUTION.steam} {CAUTION.spores}
        {machine === 'machine' ? ` ${CAUTION.machine}` : ''}
      </p>
      <Choices
        label="Was it read before it was opened?"
        value={read}
        onChange={setRead}
        options={[
          {
            value: 'yes',
            label: 'Yes',
            hint: heap.readLately ? 'a round of today is in the log' : 'log that round too',
          },
          { value: 'no', label: 'No', hint: 'then what it did cannot be told' },
        ]}
      />
      <Choices
        label="How"
        value={full}
        onChange={setFull}
        options={[
          { value: 'full', label: 'Full turning', hint: 'rim inside, top to bottom' },
          { value: 'stir', label: 'Only stirred', hint: 'does not count for a rule' },
        ]}
      />
      <Choices
        optional
        label="How far did the rim get in?"
        value={rim}
        onChange={setRim}
        columns={4}
        options={[
          { value: 'all', label: 'All' },
          { value: 'most', label: 'Most' },
          { value: 'partly', label: 'Partly' },
          { value: 'unsure', label: 'Unsure' },
        ]}
      />
      <Choices
        optional
        label="Squeeze a handful from inside"
        value={squeeze}
        onChange={setSqueeze}
        columns={4}
        options={SQUEEZE.map(({ value, label }) => ({ value, label }))}
      />
      <Choices
        optional
        label="Smell"
        value={smell}
        onChange={setSmell}
        columns={4}
        options={SMELLS}
      />
      {smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      <div className="grid grid-cols-3 gap-3">
        <Field
          label="Clean water"
          unit="litres"
          inputMode="decimal"
          value={litres}
          onChange={(e) => setLitres(e.target.value)}
        />
        <Field
          label="Took"
          unit="minutes"
          inputMode="numeric"
          value={minutes}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <Field
          label="People"
          inputMode="numeric"
          value={people}
          onChange={(e) => setPeople(e.target.value)}
        />
      </div>
      {wrong && (
        <p role="alert" className="marked font-semibold">
          Type litres, minutes and people as numbers, or leave them empty.
        </p>
      )}
      <Choices
        optional
        label="By hand or by machine?"
        value={machine}
        onChange={setMachine}
        options={[
          { value: 'hand', label: 'By hand' },
          { value: 'machine', label: 'By machine' },
        ]}
      />
      {inRow ? (
        <>
          <p className="hint">Where do its flags stand now? A row moves with every turning.</p>
          <StandingFields standing={standing} onlyRow />
        </>
      ) : (
        <details>
          <summary className="link min-h-[44px] flex items-center cursor-pointer">
            It stands in another place now
          </summary>
          <StandingFields standing={standing} />
        </details>
      )}
      <WhenAndWho entry={entry} heap={heap} />
      <Effects preview={preview} />
      <p className="hint">
        Something raw went in as well, or water that was not clean? Log it under its own button: it
        starts the clock again. Read it the same afternoon and again the next day: the time between
        a turning and the next hot round earns nothing.
      </p>
      <KeepBar
        entry={entry}
        label="Keep this turning"
        missing={
          wrong
            ? 'Put the figures right first.'
            : inRow && standing.problem !== null
              ? standing.problem
              : inRow && standing.effect.overlaps.length > 0
                ? `It would lie over ${standing.effect.overlaps[0]}.`
                : null
        }
        onKeep={() => entry.save(data, after)}
      />
    </>
  );
}

export function WaterForm({ heap, onDone }: FormProps) {
  const entry = useEntry('water', heap, onDone);
  const [clean, setClean] = useTyped<'clean' | 'unclean' | ''>('clean', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [seeds, setSeeds] = useTyped<SeedAnswer>('seeds', '');
  const amount = typed(litres);
  const problem = amount === null ? 'Type litres as a number, or leave it empty.' : undefined;
  const data =
    clean === ''
      ? null
      : {
          clean: clean === 'clean',
          ...(clean === 'unclean' ? seedsOf(seeds) : {}),
          ...(amount === undefined ? {} : { litres: amount }),
        };
  const preview = useEntryPreview(entry, problem ? null : data);
  return (
    <>
      <DangerFirst heap={heap} />
      <Choices
        label="What water?"
        value={clean}
        onChange={setClean}
        options={[
          { value: 'clean', label: 'Clean', hint: 'tap, rain butt with a lid' },
          {
            value: 'unclean',
            label: 'Not clean, or I don’t know',
            hint: 'pond, leachate, rinsings',
          },
        ]}
      />
      {clean === 'unclean' && <SeedChoice value={seeds} onChange={setSeeds} />}
      <Field
        label="How much"
        unit="litres"
        inputMode="decimal"
        value={litres}
        onChange={(e) => setLitres(e.target.value)}
        problem={problem}
        hint="Leave empty if you did not measure it"
      />
      <WhenAndWho entry={entry} heap={heap} />
      {clean === 'unclean' && <p className="caution">{CAUTION.raw}</p>}
      {data && !problem && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label="Keep this watering"
        missing={clean === '' ? 'Choose what water it was.' : (problem ?? null)}
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

export function AddForm({ heap, onDone }: FormProps) {
  const entry = useEntry('addition', heap, onDone);
  const [rawTyped, setRaw] = useTyped<'raw' | 'clean' | ''>('rawTyped', '');
  const [seedsTyped, setSeeds] = useTyped<SeedAnswer>('seedsTyped', '');
  const [what, setWhat] = useTyped('what', '');
  const [from, setFrom] = useTyped('from', '');
  const [amount, setAmount] = useTyped<AmountTyped>('amount', {
    n: '1',
    unit:
      heap.store?.measures.find((m) => m.id === 'barrow')?.id ?? heap.store?.measures[0]?.id ?? 'L',
    about: false,
  });
  const source = heap.store?.sources.find((s) => s.key === from);
  const risk = source ? heap.store!.risks[source.material] : undefined;
  const isCold = heap.templates?.find((t) => t.id === heap.template)?.noClaim ?? false;
  // What the material carries is proposed; whoever stands there knows better.
  const raw = rawTyped || (risk ? (risk.raw ? 'raw' : 'clean') : '');
  const seeds = seedsTyped || (risk ? (risk.seeds ? 'yes' : 'no') : '');
  const how = source
    ? amountTyped(typed(amount.n), amount.unit, amount.about, heap.store!.measures)
    : null;
  const amountWrong = source
    ? amountProblem(typed(amount.n), amount.unit, heap.store!.measures)
    : undefined;
  const data =
    raw === '' || amountWrong || (source && how === null)
      ? null
      : {
          raw: raw === 'raw',
          ...seedsOf(seeds),
          ...(what.trim() ? { what: what.trim() } : {}),
          ...(source && how
            ? {
                parts: [
                  {
                    material: source.material,
                    ...(source.load ? { load: source.load } : {}),
                    amount: how,
                  },
                ],
              }
            : {}),
        };
  const preview = useEntryPreview(entry, data);
  const costs = preview?.effects?.some((e) => e.costs) ?? false;
  return (
    <>
      {heap.store && (
        <label className="label">
          Out of the store?
          <select className="field mt-1" value={from} onChange={(e) => setFrom(e.target.value)}>
            <option value="">No, or not counted</option>
            {heap.store.sources.some((s) => s.inStore) && (
              <optgroup label="In the store">
                {heap.store.sources
                  .filter((s) => s.inStore)
                  .map((s) => (
                    <option key={s.key} value={s.key}>
                      {s.name}: {s.says}
                    </option>
                  ))}
              </optgroup>
            )}
            <optgroup label="Of the library">
              {heap.store.sources
                .filter((s) => !s.inStore)
                .map((s) => (
                  <option key={s.key} value={s.key}>
                    {s.name}
                  </option>
                ))}
            </optgroup>
          </select>
        </label>
      )}
      {source && (
        <AmountField
          label="How much of it"
          value={amount}
          measures={heap.store!.measures}
          onChange={setAmount}
          problem={amountWrong}
        />
      )}
      <Field
        label="What went in"
        value={what}
        onChange={(e) => setWhat(e.target.value)}
        maxLength={200}
        placeholder="hen-house litter, six barrows"
      />
      <Choices
        label="Is it raw?"
        value={raw}
        onChange={setRaw}
        options={[
          { value: 'raw', label: 'Raw, or I don’t know', hint: 'manure, food, litter, leachate' },
          { value: 'clean', label: 'Clean', hint: 'chip, dry leaves, finished compost' },
        ]}
      />
      <SeedChoice value={seeds} onChange={setSeeds} />
      <WhenAndWho entry={entry} heap={heap} />
      {raw === 'raw' && <p className="caution">{CAUTION.raw}</p>}
      {seeds === 'yes' && isCold && (
        <p role="alert" className="caution" data-testid="cold-heap">
          {CAUTION.coldHeap}
        </p>
      )}
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={costs ? 'Log it, and start the clock again' : 'Keep this addition'}
        missing={
          raw === ''
            ? 'Choose whether it is raw.'
            : (amountWrong ?? (source && how === null ? 'Say how much of it went in.' : null))
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

export function ObserveForm({ heap, onDone }: FormProps) {
  const entry = useEntry('observation', heap, onDone);
  const [squeeze, setSqueeze] = useTyped<(typeof SQUEEZE)[number]['value'] | ''>('squeeze', '');
  const [smell, setSmell] = useTyped<(typeof SMELLS)[number]['value'] | ''>('smell', '');
  const [words, setWords] = useTyped('words', '');
  const data = {
    ...(squeeze ? { squeeze } : {}),
    ...(smell ? { smell } : {}),
    ...(words.trim() ? { words: words.trim() } : {}),
  };
  return (
    <>
      <Choices
        optional
        label="Squeeze a handful from inside, hard"
        value={squeeze}
        onChange={setSqueeze}
        options={SQUEEZE}
      />
      <Choices
        optional
        label="Smell"
        value={smell}
        onChange={setSmell}
        columns={4}
        options={SMELLS}
      />
      {smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      <Field
        label="Anything else"
        value={words}
        onChange={(e) => setWords(e.target.value)}
        maxLength={2000}
      />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep what I saw"
        missing={Object.keys(data).length > 0 ? null : 'Choose one thing, or write it.'}
        onKeep={() => entry.save(data)}
      />
    </>
  );
}

export function NoteForm({ heap, onDone }: FormProps) {
  const entry = useEntry('note', heap, onDone);
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <div>
        <label className="label" htmlFor="note-words">
          Note
        </label>
        <textarea
          id="note-words"
          className="field"
          rows={4}
          maxLength={2000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </div>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep this note"
        missing={words.trim() === '' ? 'Write the note.' : null}
        onKeep={() => entry.save({ words: words.trim() })}
      />
    </>
  );
}

/** The last raw load is in: this starts the clock, and nothing else does. */
export function CloseForm({ heap, onDone }: FormProps) {
  const entry = useEntry('built', heap, onDone);
  return (
    <>
      <p>
        When did the last raw load go in? {heap.name}’s clock starts then. Anything raw after it
        starts the clock again.
      </p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar entry={entry} label="Close the heap" onKeep={() => entry.save({})} />
    </>
  );
}
