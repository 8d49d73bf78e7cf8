'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { STATE_WORDS } from '@/core/mix/words';
import { LOAD_STATES, type AcceptReason, type LoadState } from '@/core/log/store-shapes';
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
import { AcceptReasonChoices } from './AcceptReasonChoices';
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
        label={say('store.deepInTheStack')}
        unit={`°${unit}`}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
        problem={c === null ? say('instruments.typeTemperatureAsNumber') : undefined}
        hint={slip ? say('store.isUnitThisThermometerIf') : say('store.asFarInAsThermometer')}
      />
      <Field
        label={say('store.note')}
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Foot
        kept={kept}
        label={say('store.save')}
        missing={typeof c === 'number' ? null : say('instruments.typeTemperatureAsNumber')}
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

export function ChangeForm({ load, by, mayAccept, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [state, setState] = useTyped<LoadState | ''>(
    'state',
    load.ripe ? (load.ripe.state as LoadState) : '',
  );
  const [answer, setAnswer] = useTyped<'accept' | 'ask' | 'refuse' | ''>('answer', '');
  const [because, setBecause] = useTyped<AcceptReason | ''>('because', '');
  const [where, setWhere] = useTyped('where', '');
  const [words, setWords] = useTyped('words', '');
  const [done, setDone] = useTyped('done', '');
  const data = {
    ...(state ? { state } : {}),
    ...(answer ? { answer } : {}),
    ...(answer === 'accept' && because ? { because } : {}),
    ...(where.trim() ? { where: where.trim() } : {}),
    ...(words.trim() ? { words: words.trim() } : {}),
    ...(answer === 'refuse' && done.trim() ? { done: done.trim() } : {}),
  };
  return (
    <>
      {load.answer !== 'accept' && !mayAccept && <p>{say('store.putAsideForSomebody')}</p>}
      {load.answer !== 'accept' && mayAccept && (
        <Choices
          label={say('store.whatWasTheAnswer')}
          value={answer}
          onChange={setAnswer}
          options={[
            { value: 'accept', label: say('store.acceptIt') },
            { value: 'refuse', label: say('store.refuseIt') },
          ]}
        />
      )}
      {answer === 'accept' && <AcceptReasonChoices value={because} onChange={setBecause} />}
      {answer === 'refuse' && (
        <Field
          label={say('store.whatWasDoneWith')}
          value={done}
          maxLength={300}
          onChange={(e) => setDone(e.target.value)}
        />
      )}
      <label className="label">
        {say('store.itsStateNow')}
        <select
          className="field mt-1"
          value={state}
          onChange={(e) => setState(e.target.value as LoadState | '')}
        >
          <option value="">{say('store.unchanged')}</option>
          {LOAD_STATES.map((s) => (
            <option key={s} value={s}>
              {STATE_WORDS[s]}
            </option>
          ))}
        </select>
      </label>
      <Field
        label={say('store.movedTo2')}
        value={where}
        maxLength={60}
        onChange={(e) => setWhere(e.target.value)}
      />
      <Field
        label={say('store.note')}
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Foot
        kept={kept}
        label={say('store.save')}
        missing={
          Object.keys(data).length === 0
            ? say('store.sayWhatChanged')
            : answer === 'accept' && because === ''
              ? say('store.sayWhyItIsAccepted')
              : answer === 'refuse' && done.trim() === ''
                ? say('store.sayWhatWasDoneWith2')
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
      ? say('store.typeNumberAbove0If')
      : amountProblem(n, amount.unit, load.measures);
  return (
    <>
      <AmountField
        label={say('store.amountLeft')}
        value={amount}
        measures={load.measures}
        onChange={setAmount}
        problem={amount.unit === 'unknown' ? undefined : wrong}
      />
      <Foot
        kept={kept}
        label={say('store.saveTheCount')}
        missing={
          amount.unit !== 'unknown' && wrong
            ? wrong
            : how === null
              ? say('store.typeHowMuchLeft')
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
        label={say('store.whatHappenedToIt')}
        value={gone}
        onChange={setGone}
        options={[
          { value: 'counted-out', label: say('store.usedUp') },
          { value: 'spread', label: say('store.spreadOnLand') },
          { value: 'discarded', label: say('store.thrownAway') },
          { value: 'returned', label: say('store.sentBack') },
          { value: 'sold', label: say('store.sold') },
        ]}
      />
      <Field
        label={say('store.note')}
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Foot
        kept={kept}
        label={say('store.allGone')}
        missing={gone === '' ? say('store.chooseWhatHappened') : null}
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
    return say('store.photoTakenKbSaveOr', { size: Math.round(blob.size / 1000) });
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
        what: say('store.photo', { name: load.name }),
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
        label={say('store.saveThePhoto')}
        missing={photo === null ? say('store.takeAPhotoFirst') : null}
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
        {say('store.itRemovedFromStockEntry', {
          went: load.went.length > 0 ? 'whatWent' : 'other',
        })}
      </p>
      <Field
        label={say('store.why')}
        value={reason}
        maxLength={300}
        onChange={(e) => setReason(e.target.value)}
        placeholder={say('store.loggedTwice')}
      />
      <Foot
        kept={kept}
        label={say('store.voidThisLoad')}
        missing={reason.trim().length >= 3 ? null : say('store.sayWhyInWordOr')}
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
                say('store.voided', { name: load.name }),
              ),
            () => router.push('/store'),
          )
        }
      />
    </>
  );
}
