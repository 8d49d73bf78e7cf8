'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import { findMaterials } from '@/core/mix/find';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { ANSWER_WORDS, RIPENING, STATE_WORDS, type Ripening } from '@/core/mix/words';
import { LOAD_STATES, type LoadState, type OwnMeasure } from '@/core/log/store-shapes';
import { keysOf } from '@/core/words/feel';
import { submitOrQueue } from '@/outbox/keep';
import { readyPhoto } from '@/outbox/photo';
import { AmountField, type AmountTyped } from '@/ui/AmountField';
import { Choices } from '@/ui/Choices';
import { Field, Problems } from '@/ui/Field';
import { typed } from '@/core/quantity/typed-number';
import { SaveButton } from '@/ui/SaveButton';
import { PhotoKey } from '@/ui/PhotoKey';
import { useSubmit } from '@/ui/useSubmit';
import type { MaterialOption } from '../view';

const DAY_MS = 86_400_000;
type Answer = 'accept' | 'ask' | 'refuse';

/** What was brought to the gate: what the site answers to it stands above what is typed. */
export function TakeIn({
  materials,
  measures,
  suppliers,
  places,
  by: device,
  nowLocal,
  nowMs,
}: {
  materials: readonly MaterialOption[];
  measures: readonly OwnMeasure[];
  suppliers: readonly string[];
  places: readonly string[];
  by: string;
  nowLocal: string;
  nowMs: number;
}) {
  const router = useRouter();
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [find, setFind] = useTyped('find', '');
  const [materialId, setMaterial] = useTyped('materialId', '');
  const [what, setWhat] = useTyped('what', '');
  const [amount, setAmount] = useTyped<AmountTyped>('amount', {
    n: '',
    unit: measures.find((m) => m.id === 'barrow')?.id ?? measures[0]?.id ?? 'L',
    about: false,
  });
  const [state, setState] = useTyped<LoadState | ''>('state', 'fresh');
  const [supplier, setSupplier] = useTyped('supplier', '');
  const [sprayed, setSprayed] = useTyped<'no' | 'yes' | 'unknown' | ''>('sprayed', '');
  const [seeds, setSeeds] = useTyped<'yes' | 'no' | ''>('seeds', '');
  const [certificate, setCertificate] = useTyped('certificate', '');
  const [cost, setCost] = useTyped('cost', '');
  const [where, setWhere] = useTyped('where', '');
  const [waste, setWaste] = useTyped('waste', true);
  const [answer, setAnswer] = useTyped<Answer | ''>('answer', '');
  const [asked, setAsked] = useTyped('asked', '');
  const [done, setDone] = useTyped('done', '');
  const [ripening, setRipening] = useTyped<Ripening | ''>('ripening', '');
  const [days, setDays] = useTyped('days', '');
  const [words, setWords] = useTyped('words', '');
  const [at, setAt] = useTyped<string | null>('at', null);
  const [photos, setPhotos] = useState<readonly Blob[]>([]);
  const material = materials.find((m) => m.id === materialId) ?? null;
  const wanted = find.trim();
  const shown = wanted === '' ? [] : findMaterials(materials, wanted, (m) => m).slice(0, 12);
  const site = material?.answers ?? [];
  const strictest = site.some((a) => a.answer === 'refuse')
    ? site.every((a) => a.answer === 'refuse')
      ? 'refuse'
      : 'ask'
    : site.some((a) => a.answer === 'ask')
      ? 'ask'
      : 'accept';
  const given: Answer | '' = answer || (material ? strictest : '');
  const n = typed(amount.n);
  const how = amountTyped(n, amount.unit, amount.about, measures);
  const money = typed(cost, -1_000_000);
  const ripeDays = typed(days, 0);
  const amountWrong = amountProblem(n, amount.unit, measures);
  const wrong = !material
    ? 'Choose what it is.'
    : how === null
      ? 'Say how much, or that it is not known.'
      : (amountWrong ??
        (money === null || ripeDays === null
          ? 'Type cost and days as numbers, or leave them empty.'
          : given === 'refuse' && done.trim() === ''
            ? 'Say what was done with the refused load.'
            : material.asksSpray && sprayed === ''
              ? 'Say whether it was sprayed, or that it is not known.'
              : !by.trim()
                ? 'Say who took it in.'
                : null));
  // What ripens ripens from when it came, not from when somebody wrote it down.
  const arrivedMs =
    at === null ? nowMs : nowMs - (Date.parse(`${nowLocal}Z`) - Date.parse(`${at}Z`));
  const choose = (m: MaterialOption): void => {
    setMaterial(m.id);
    setFind('');
    setAnswer('');
  };
  const addPhoto = async (file: File): Promise<string> => {
    const { blob } = await readyPhoto(file);
    setPhotos((p) => [...p, blob]);
    return `Taken (${Math.round(blob.size / 1000)} kB).`;
  };
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'load',
            at,
            by,
            data: {
              material: material!.id,
              ...(what.trim() ? { what: what.trim() } : {}),
              ...(supplier.trim() ? { supplier: supplier.trim() } : {}),
              amount: how!,
              state: state || 'fresh',
              sprayed: sprayed || 'unknown',
              ...(seeds ? { seeds: seeds === 'yes' } : {}),
              ...(certificate.trim() ? { certificate: certificate.trim() } : {}),
              ...(typeof money === 'number' ? { cost: money } : {}),
              ...(where.trim() ? { where: where.trim() } : {}),
              answer: given,
              ...(asked.trim() ? { asked: asked.trim() } : {}),
              ...(given === 'refuse' ? { done: done.trim() } : {}),
              waste,
              ...(ripening
                ? {
                    becomes: ripening,
                    readyFrom: Math.round(
                      arrivedMs + (ripeDays ?? RIPENING[ripening].days) * DAY_MS,
                    ),
                  }
                : {}),
              ...(words.trim() ? { words: words.trim() } : {}),
            },
          },
          `load: ${material!.name}`,
          photos.map((photo) => ({
            form: { id: v7(), batch: null, kind: 'load-change', at: null, by, data: { load: id } },
            what: `load: ${material!.name}, photo`,
            photo,
          })),
        ),
      () => router.push('/store'),
    );
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[760px] flex flex-col gap-5">
      <h1>Take in a load</h1>
      <section className="flex flex-col gap-2">
        {material ? (
          <p className="flex flex-wrap gap-3 items-center text-[18px]">
            <b>{material.name}</b>
            <button type="button" className="btn" onClick={() => setMaterial('')}>
              Another one
            </button>
          </p>
        ) : (
          <>
            <Field
              label="What is it?"
              value={find}
              onChange={(e) => setFind(e.target.value)}
              placeholder="straw, horse manure, peelings…"
              autoComplete="off"
              hint={`${materials.length} materials; type what you call it`}
            />
            {wanted !== '' && (
              <ul className="border-t-[1.6px] border-ink">
                {shown.map((m) => (
                  <li key={m.id}>
                    <button
                      type="button"
                      className="w-full text-left border-b border-rule min-h-[48px] pointer-coarse:min-h-[60px] flex justify-between items-center gap-3 cursor-pointer"
                      onClick={() => choose(m)}
                    >
                      <b className="font-[650]">{m.name}</b>
                      <span className="q text-[13.5px]">{m.role}</span>
                    </button>
                  </li>
                ))}
                {shown.length === 0 && (
                  <li className="py-2">No material is called so. Add it under Materials first.</li>
                )}
              </ul>
            )}
          </>
        )}
        {material &&
          site.map((a) => (
            <p
              key={a.kept}
              className={a.answer === 'accept' ? 'font-semibold' : 'marked font-semibold'}
              data-testid="answer"
            >
              {ANSWER_WORDS[a.answer].says}
              {a.kept === 'all' ? '' : ` for ${a.kept}`}
              {a.reason ? `: ${a.reason}` : ''}.
            </p>
          ))}
        {material?.caution && <p className="caution">{material.caution}</p>}
        {material && (
          <Field
            label="What you call it"
            value={what}
            maxLength={80}
            onChange={(e) => setWhat(e.target.value)}
            hint="Leave empty to call it by its material"
            placeholder="grass from the cricket field"
          />
        )}
      </section>
      <AmountField
        label="How much"
        value={amount}
        measures={measures}
        onChange={setAmount}
        problem={amountWrong}
      />
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label="From whom"
          value={supplier}
          maxLength={80}
          list="suppliers"
          onChange={(e) => setSupplier(e.target.value)}
        />
        <Field
          label="Where it lies"
          value={where}
          maxLength={60}
          list="places"
          onChange={(e) => setWhere(e.target.value)}
        />
      </div>
      <datalist id="suppliers">
        {suppliers.map((s) => (
          <option key={s} value={s} />
        ))}
      </datalist>
      <datalist id="places">
        {places.map((s) => (
          <option key={s} value={s} />
        ))}
      </datalist>
      <label className="label max-w-[340px]">
        Its state
        <select
          className="field mt-1"
          value={state}
          onChange={(e) => setState(e.target.value as LoadState)}
        >
          {LOAD_STATES.map((s) => (
            <option key={s} value={s}>
              {STATE_WORDS[s]}
            </option>
          ))}
        </select>
      </label>
      <Choices
        label="Sprayed with weedkiller?"
        value={sprayed}
        onChange={setSprayed}
        columns={3}
        options={[
          { value: 'no', label: 'No', hint: 'they say so' },
          { value: 'yes', label: 'Yes' },
          { value: 'unknown', label: 'Not known' },
        ]}
      />
      <Choices
        label="What do you do with it?"
        value={given}
        onChange={(v) => setAnswer(v)}
        columns={3}
        options={[
          { value: 'accept', label: 'Take it in' },
          { value: 'ask', label: 'Hold it', hint: 'until it is asked' },
          { value: 'refuse', label: 'Refuse it' },
        ]}
      />
      {given === 'ask' && (
        <Field
          label="What is to be asked, and whom"
          value={asked}
          maxLength={300}
          onChange={(e) => setAsked(e.target.value)}
        />
      )}
      {given === 'refuse' && (
        <>
          <Field
            label="Why"
            value={asked}
            maxLength={300}
            onChange={(e) => setAsked(e.target.value)}
          />
          <Field
            label="What was done with it"
            value={done}
            maxLength={300}
            onChange={(e) => setDone(e.target.value)}
            placeholder="sent back on the same trailer"
          />
        </>
      )}
      <details>
        <summary className="link min-h-[48px] flex items-center cursor-pointer">
          Seeds, certificate, cost, ripening, photos, note
        </summary>
        <div className="flex flex-col gap-4 mt-2">
          <Choices
            optional
            label="Live seeds or roots in it?"
            value={seeds}
            onChange={setSeeds}
            options={[
              { value: 'yes', label: 'Yes' },
              { value: 'no', label: 'No, I looked' },
            ]}
          />
          <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
            <Field
              label="Certificate or delivery note"
              value={certificate}
              maxLength={120}
              onChange={(e) => setCertificate(e.target.value)}
            />
            <Field
              label="Cost"
              unit="minus: you were paid"
              inputMode="text"
              value={cost}
              onChange={(e) => setCost(e.target.value)}
            />
          </div>
          <label className="flex gap-3 items-center min-h-[48px]">
            <input
              type="checkbox"
              className="size-5"
              checked={waste}
              onChange={(e) => setWaste(e.target.checked)}
            />
            It would else have gone to waste
          </label>
          <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
            <label className="label">
              Does it ripen first?
              <select
                className="field mt-1"
                value={ripening}
                onChange={(e) => setRipening(e.target.value as Ripening | '')}
              >
                <option value="">No, it can be used</option>
                {keysOf(RIPENING).map((r) => (
                  <option key={r} value={r}>
                    {RIPENING[r].doing}
                  </option>
                ))}
              </select>
            </label>
            {ripening && (
              <Field
                label="Ready in"
                unit="days"
                inputMode="decimal"
                value={days}
                placeholder={String(RIPENING[ripening].days)}
                onChange={(e) => setDays(e.target.value)}
                hint={`${RIPENING[ripening].days} is usual; it then stands in today’s list`}
              />
            )}
          </div>
          <PhotoKey of="the load" take={addPhoto} className="max-w-[340px]" />
          {photos.length > 0 && (
            <p className="flex flex-wrap gap-3 items-center -mt-2">
              <span>
                {photos.length === 1 ? 'One photo goes' : `${photos.length} photos go`} with the
                load.
              </span>
              <button type="button" className="btn" onClick={() => setPhotos([])}>
                Leave {photos.length === 1 ? 'it' : 'them'} out
              </button>
            </p>
          )}
          <Field
            label="Note"
            value={words}
            maxLength={300}
            onChange={(e) => setWords(e.target.value)}
          />
          <Field
            label="When, if not now"
            type="datetime-local"
            max={nowLocal}
            value={at ?? ''}
            onChange={(e) => setAt(e.target.value || null)}
          />
        </div>
      </details>
      <Field
        label="Who"
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label={
          given === 'refuse'
            ? 'Log that it was refused'
            : given === 'ask'
              ? 'Hold it, and log it'
              : 'Log this load'
        }
        busy={busy}
        missing={wrong}
        onSave={save}
        className="btn key !min-h-[64px]"
      />
    </div>
  );
}
