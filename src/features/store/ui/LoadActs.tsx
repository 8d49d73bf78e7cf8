'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { STATE_WORDS } from '@/core/mix/words';
import { LOAD_STATES, type LoadState } from '@/core/log/store-shapes';
import { enqueue, submitOrQueue } from '@/outbox/keep';
import { readyPhoto } from '@/outbox/photo';
import { sendWaiting } from '@/outbox/store';
import { AmountField, type AmountTyped } from '@/ui/AmountField';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { typed } from '@/core/quantity/typed-number';
import { PhotoKey } from '@/ui/PhotoKey';
import { useSubmit, type SubmitResult } from '@/ui/useSubmit';
import { type FormOf, useChange, Foot } from './loadParts';

export function HeatForm({ load, by, unit, onDone }: FormOf) {
  const kept = useSubmit(by);
  const [value, setValue] = useTyped('value', '');
  const [words, setWords] = useTyped('words', '');
  const c = typed(value, -60);
  const slip = typeof c === 'number' && c > (unit === 'C' ? 95 : 203);
  return (
    <>
      <Field
        label="Deep in the stack"
        unit={`°${unit}`}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
        problem={c === null ? 'Type the temperature as a number.' : undefined}
        hint={
          slip
            ? 'Is that the unit of this thermometer? If it is true, keep people back and call the fire service.'
            : 'As far in as the thermometer reaches'
        }
      />
      <Field
        label="Note"
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Foot
        kept={kept}
        label="Keep it"
        missing={typeof c === 'number' ? null : 'Type the temperature as a number.'}
        onKeep={() =>
          kept.keep(
            () =>
              submitOrQueue(
                {
                  id: kept.id,
                  batch: null,
                  kind: 'load-heat',
                  at: null,
                  by: kept.by,
                  data: {
                    load: load.id,
                    value: c!,
                    unit,
                    ...(words.trim() ? { words: words.trim() } : {}),
                  },
                },
                `${load.name}: ${value} °${unit}`,
              ),
            onDone,
          )
        }
      />
    </>
  );
}

export function ChangeForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [state, setState] = useTyped<LoadState | ''>(
    'state',
    load.ripe ? (load.ripe.state as LoadState) : '',
  );
  const [answer, setAnswer] = useTyped<'accept' | 'ask' | 'refuse' | ''>('answer', '');
  const [where, setWhere] = useTyped('where', '');
  const [words, setWords] = useTyped('words', '');
  const [done, setDone] = useTyped('done', '');
  const data = {
    ...(state ? { state } : {}),
    ...(answer ? { answer } : {}),
    ...(where.trim() ? { where: where.trim() } : {}),
    ...(words.trim() ? { words: words.trim() } : {}),
    ...(answer === 'refuse' && done.trim() ? { done: done.trim() } : {}),
  };
  return (
    <>
      {load.answer !== 'accept' && (
        <Choices
          label="What came of asking?"
          value={answer}
          onChange={setAnswer}
          options={[
            { value: 'accept', label: 'Take it in' },
            { value: 'refuse', label: 'Refuse it' },
          ]}
        />
      )}
      {answer === 'refuse' && (
        <Field
          label="What was done with it"
          value={done}
          maxLength={300}
          onChange={(e) => setDone(e.target.value)}
        />
      )}
      <label className="label">
        Its state now
        <select
          className="field mt-1"
          value={state}
          onChange={(e) => setState(e.target.value as LoadState | '')}
        >
          <option value="">as it was</option>
          {LOAD_STATES.map((s) => (
            <option key={s} value={s}>
              {STATE_WORDS[s]}
            </option>
          ))}
        </select>
      </label>
      <Field
        label="Moved to"
        value={where}
        maxLength={60}
        onChange={(e) => setWhere(e.target.value)}
      />
      <Field
        label="Note"
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Foot
        kept={kept}
        label="Keep it"
        missing={
          Object.keys(data).length === 0
            ? 'Say what is new of it.'
            : answer === 'refuse' && done.trim() === ''
              ? 'Say what was done with it.'
              : null
        }
        onKeep={() => kept.save(data)}
      />
    </>
  );
}

export function CountForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [amount, setAmount] = useTyped<AmountTyped>('amount', {
    n: '',
    unit: load.measures.find((m) => m.id === 'barrow')?.id ?? 'L',
    about: true,
  });
  const n = typed(amount.n);
  const how = amountTyped(n, amount.unit, amount.about, load.measures);
  const wrong =
    n === null || n === 0
      ? 'Type a number above 0. If nothing is left, say so under ‘Gone’.'
      : amountProblem(n, amount.unit, load.measures);
  return (
    <>
      <AmountField
        label="So much is left"
        value={amount}
        measures={load.measures}
        onChange={setAmount}
        problem={amount.unit === 'unknown' ? undefined : wrong}
      />
      <Foot
        kept={kept}
        label="Keep the count"
        missing={
          amount.unit !== 'unknown' && wrong
            ? wrong
            : how === null
              ? 'Type how much is left.'
              : null
        }
        onKeep={() => kept.save({ left: how })}
      />
    </>
  );
}

export function GoneForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [gone, setGone] = useTyped<
    'discarded' | 'spread' | 'sold' | 'returned' | 'counted-out' | ''
  >('gone', '');
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <Choices
        label="What became of it?"
        value={gone}
        onChange={setGone}
        options={[
          { value: 'counted-out', label: 'Used up' },
          { value: 'spread', label: 'Spread on land' },
          { value: 'discarded', label: 'Thrown away' },
          { value: 'returned', label: 'Sent back' },
          { value: 'sold', label: 'Sold' },
        ]}
      />
      <Field
        label="Note"
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Foot
        kept={kept}
        label="It is gone"
        missing={gone === '' ? 'Choose what became of it.' : null}
        onKeep={() => kept.save({ gone, ...(words.trim() ? { words: words.trim() } : {}) })}
      />
    </>
  );
}

export function PhotoForm({ load, by, onDone }: FormOf) {
  const kept = useSubmit(by);
  const [photo, setPhoto] = useState<Blob | null>(null);
  const take = async (file: File): Promise<string> => {
    const { blob } = await readyPhoto(file);
    setPhoto(blob);
    return `Taken (${Math.round(blob.size / 1000)} kB). Keep it, or take another in its place.`;
  };
  const send = async (): Promise<SubmitResult> => {
    await enqueue([
      {
        form: {
          id: kept.id,
          batch: null,
          kind: 'load-change',
          at: null,
          by: kept.by,
          data: { load: load.id },
        },
        what: `${load.name}: photo`,
        photo: photo!,
      },
    ]);
    return { ok: true, already: false, waiting: !(await sendWaiting()).reached };
  };
  return (
    <>
      <PhotoKey of="the load" take={take} />
      <Foot
        kept={kept}
        label="Keep the photo"
        missing={photo === null ? 'Take a photo first.' : null}
        onKeep={() => kept.keep(send, onDone)}
      />
    </>
  );
}

/** It never came, or was logged twice: struck with a reason, and left readable in the log. */
export function StrikeForm({ load, by }: FormOf) {
  const router = useRouter();
  const kept = useSubmit(by);
  const [reason, setReason] = useTyped('reason', '');
  return (
    <>
      <p>
        It is taken out of the store; the entry stays readable in the log.{' '}
        {load.went.length > 0
          ? 'What went out of it into heaps stays there, by the figures of its material.'
          : ''}
      </p>
      <Field
        label="Why"
        value={reason}
        maxLength={300}
        onChange={(e) => setReason(e.target.value)}
        placeholder="logged twice"
      />
      <Foot
        kept={kept}
        label="Strike this load"
        missing={reason.trim().length >= 3 ? null : 'Say why, in a word or two.'}
        onKeep={() =>
          kept.keep(
            () =>
              submitOrQueue(
                {
                  id: kept.id,
                  batch: null,
                  kind: 'correction',
                  at: null,
                  by: kept.by,
                  data: { target: load.id, reason: reason.trim() },
                },
                `${load.name}: struck`,
              ),
            () => router.push('/store'),
          )
        }
      />
    </>
  );
}
