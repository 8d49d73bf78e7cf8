'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { bucketTest, dryingTest, SQUEEZE_PCT, type Tested } from '@/core/mix/measured';
import { STATE_WORDS } from '@/core/mix/words';
import { LOAD_STATES, type LoadState } from '@/core/log/store-shapes';
import { keysOf, SQUEEZE_WORDS, type Squeeze } from '@/core/words/feel';
import { enqueue, submitOrQueue } from '@/outbox/keep';
import { readyPhoto } from '@/outbox/photo';
import { sendWaiting } from '@/outbox/store';
import { AmountField, type AmountTyped } from '@/ui/AmountField';
import { Choices } from '@/ui/Choices';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { typed } from '@/core/quantity/typed-number';
import { PhotoKey } from '@/ui/PhotoKey';
import { Sheet } from '@/ui/Sheet';
import { useSubmit, type SubmitResult } from '@/ui/useSubmit';
import type { LoadPage } from '../view';

type Act =
  | 'photo'
  | 'heat'
  | 'bucket'
  | 'drying'
  | 'squeeze'
  | 'change'
  | 'count'
  | 'gone'
  | 'strike'
  | null;
type FormOf = { load: LoadPage; by: string; unit: 'C' | 'F'; onDone: () => void };

function useChange(load: LoadPage, device: string, onDone: () => void) {
  const kept = useSubmit(device);
  const save = (data: object): void =>
    kept.keep(
      () =>
        submitOrQueue(
          {
            id: kept.id,
            batch: null,
            kind: 'load-change',
            at: null,
            by: kept.by,
            data: { load: load.id, ...data },
          },
          `${load.name}: changed`,
        ),
      onDone,
    );
  return { ...kept, save };
}
const Foot = ({
  kept,
  label,
  missing,
  onKeep,
}: {
  kept: ReturnType<typeof useSubmit>;
  label: string;
  missing: string | null;
  onKeep: () => void;
}) => (
  <>
    <Field
      label="Who"
      value={kept.by}
      maxLength={60}
      autoComplete="name"
      onChange={(e) => kept.setBy(e.target.value)}
    />
    <Problems list={kept.problems} />
    <SaveButton
      label={label}
      busy={kept.busy}
      missing={missing ?? whoIsMissing(kept.by)}
      onSave={onKeep}
    />
  </>
);

function HeatForm({ load, by, unit, onDone }: FormOf) {
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

/** The arithmetic of a test, step by step. */
const Steps = ({ tested }: { tested: Tested }) =>
  tested.ok ? (
    <ol className="border-t-[1.6px] border-ink pt-2" data-testid="steps">
      {tested.steps.map((s, i) => (
        <li key={i} className="flex justify-between gap-3 border-b border-rule py-1">
          <span>{s.says}</span>
          <b>
            {Math.round(s.value * 100) / 100} {s.unit}
          </b>
        </li>
      ))}
    </ol>
  ) : (
    <p role="alert" className="marked font-semibold">
      {tested.wrong}
    </p>
  );
const working = (t: Tested): string[] =>
  t.ok ? t.steps.map((s) => `${s.says}: ${Math.round(s.value * 100) / 100} ${s.unit}`) : [];

function BucketForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [v, setV] = useTyped('v', { bucketL: '', emptyKg: '', fullKg: '', waterKg: '' });
  const [bucketL, emptyKg, fullKg, water] = [
    typed(v.bucketL),
    typed(v.emptyKg),
    typed(v.fullKg),
    typed(v.waterKg),
  ];
  const all =
    typeof bucketL === 'number' &&
    typeof emptyKg === 'number' &&
    typeof fullKg === 'number' &&
    water !== null;
  const tested = all ? bucketTest({ bucketL, emptyKg, fullKg, waterKg: water ?? null }) : null;
  const set = (k: keyof typeof v) => (e: { target: { value: string } }) =>
    setV({ ...v, [k]: e.target.value });
  return (
    <>
      <p>
        Fill a bucket in thirds; drop it ten times from a hand’s height after each; fill it up
        level, and weigh it. Then pour water in to the brim, and weigh or count what goes in.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="The bucket holds"
          unit="L"
          inputMode="decimal"
          value={v.bucketL}
          onChange={set('bucketL')}
        />
        <Field
          label="Empty bucket"
          unit="kg"
          inputMode="decimal"
          value={v.emptyKg}
          onChange={set('emptyKg')}
        />
        <Field
          label="Full bucket"
          unit="kg"
          inputMode="decimal"
          value={v.fullKg}
          onChange={set('fullKg')}
        />
        <Field
          label="Water to the brim"
          unit="L"
          inputMode="decimal"
          value={v.waterKg}
          onChange={set('waterKg')}
          hint="leave empty for the density alone"
        />
      </div>
      {tested && <Steps tested={tested} />}
      <Foot
        kept={kept}
        label="Use it instead of the table"
        missing={tested?.ok ? null : 'Type the bucket’s litres, and what it weighs empty and full.'}
        onKeep={() =>
          tested?.ok &&
          kept.save({
            test: {
              how: 'bucket',
              ...(tested.density === undefined ? {} : { density: tested.density }),
              ...(tested.airPct === undefined ? {} : { airPct: tested.airPct }),
              working: working(tested),
            },
          })
        }
      />
    </>
  );
}

function DryingForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [dish, setDish] = useTyped('dish', '');
  const [weights, setWeights] = useTyped('weights', ['', '', '']);
  const d = typed(dish);
  const list = weights.filter((w) => w.trim() !== '').map((w) => typed(w));
  const all = typeof d === 'number' && list.length >= 2 && list.every((w) => typeof w === 'number');
  const tested = all ? dryingTest(d, list) : null;
  return (
    <>
      <p>
        Weigh about 100 g wet on a dish. Dry it in an oven at 105 °C over night, or in a microwave
        by short turns with a cup of water beside it. Weigh, dry a little more, weigh again, until
        it stays the same.
      </p>
      <p className="caution">
        It smells and can catch fire in a microwave: stay beside it, window open, and not in a
        kitchen’s oven.
      </p>
      <Field
        label="The dish alone"
        unit="g"
        inputMode="decimal"
        value={dish}
        onChange={(e) => setDish(e.target.value)}
      />
      {weights.map((w, i) => (
        <Field
          key={i}
          label={i === 0 ? 'Dish and sample, wet' : `After drying, weighing ${i}`}
          unit="g"
          inputMode="decimal"
          value={w}
          onChange={(e) => setWeights(weights.map((x, k) => (k === i ? e.target.value : x)))}
        />
      ))}
      {weights.length < 8 && (
        <p>
          <button type="button" className="btn" onClick={() => setWeights([...weights, ''])}>
            Another weighing
          </button>
        </p>
      )}
      {tested && <Steps tested={tested} />}
      {tested?.ok && tested.still && (
        <p className="marked font-semibold w-fit">
          It is still losing water: dry on and weigh again. Kept now, it would be told too dry.
        </p>
      )}
      <Foot
        kept={kept}
        label="Use it instead of the table"
        missing={tested?.ok ? null : 'Type the dish and two weighings at least.'}
        onKeep={() =>
          tested?.ok &&
          kept.save({
            test: { how: 'drying', moisturePct: tested.moisturePct, working: working(tested) },
          })
        }
      />
    </>
  );
}

function SqueezeForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [squeeze, setSqueeze] = useTyped<Squeeze | ''>('squeeze', '');
  const band = squeeze ? SQUEEZE_PCT[squeeze] : null;
  const pct = band && (band.lowPct + band.highPct) / 2;
  return (
    <>
      <Choices
        label="Squeeze a handful from inside, hard"
        value={squeeze}
        onChange={setSqueeze}
        options={keysOf(SQUEEZE_WORDS).map((value) => ({
          value,
          label: SQUEEZE_WORDS[value].word,
          hint: SQUEEZE_WORDS[value].means,
        }))}
      />
      {band && (
        <p>
          That stands for about <b>{pct} %</b>, between {band.lowPct} and {band.highPct}: a hand is
          no scale (common practice).
        </p>
      )}
      <Foot
        kept={kept}
        label="Use it instead of the table"
        missing={pct === null ? 'Choose what came out of the hand.' : null}
        onKeep={() =>
          pct !== null &&
          kept.save({
            test: {
              how: 'squeeze',
              moisturePct: pct,
              working: [`${SQUEEZE_WORDS[squeeze as Squeeze].word}: about ${pct} %`],
            },
          })
        }
      />
    </>
  );
}

function ChangeForm({ load, by, onDone }: FormOf) {
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

function CountForm({ load, by, onDone }: FormOf) {
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

function GoneForm({ load, by, onDone }: FormOf) {
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

function PhotoForm({ load, by, onDone }: FormOf) {
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
function StrikeForm({ load, by }: FormOf) {
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

const FORMS: Record<Exclude<Act, null>, { title: string; form: (p: FormOf) => ReactNode }> = {
  heat: { title: 'How hot is the stack?', form: HeatForm },
  bucket: { title: 'Bucket test', form: BucketForm },
  drying: { title: 'Drying test', form: DryingForm },
  squeeze: { title: 'Squeeze test', form: SqueezeForm },
  change: { title: 'State, place, answer', form: ChangeForm },
  count: { title: 'Count it again', form: CountForm },
  photo: { title: 'Photo', form: PhotoForm },
  gone: { title: 'It is gone', form: GoneForm },
  strike: { title: 'Logged wrongly', form: StrikeForm },
};

/** One load of the store: what it is, its figures and where they come from, what became of it. */
export function LoadScreen({ load, by, unit }: { load: LoadPage; by: string; unit: 'C' | 'F' }) {
  const [act, setAct] = useState<Act>(null);
  const sheet = act && FORMS[act];
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[1080px] flex flex-col gap-4">
      <p>
        <Link prefetch={false} className="link" href="/store">
          Store
        </Link>
      </p>
      <div>
        <h1>{load.name}</h1>
        <p className="q mt-1">
          {load.head}
          {load.risks ? `; may carry ${load.risks}` : ''}
        </p>
      </div>
      {load.caution && <p className="caution max-w-[720px]">{load.caution}</p>}
      {load.answer === 'ask' && !load.gone && (
        <p className="marked font-semibold w-fit">It is held until it is asked.</p>
      )}
      {load.ripe && (
        <p className="flex flex-wrap gap-3 items-center">
          <span className="font-semibold">{load.ripe.text}</span>
          <button type="button" className="btn" onClick={() => setAct('change')}>
            It is {STATE_WORDS[load.ripe.state as LoadState]} now
          </button>
        </p>
      )}
      {load.stack && (
        <p className="flex flex-wrap gap-3 items-center" data-testid="stack">
          <span className="max-w-[620px]">{load.stack}</span>
          <button type="button" className="btn" onClick={() => setAct('heat')}>
            Log its heat
          </button>
        </p>
      )}
      <div className="grid md:grid-cols-2 gap-x-10 gap-y-5">
        <section>
          <h2 className="!text-[18px] border-b-[1.6px] border-ink pb-1">What it is</h2>
          <dl>
            {load.facts.map((f) => (
              <div
                key={f.name}
                className="grid grid-cols-[130px_1fr] gap-2 border-b border-rule py-1"
              >
                <dt className="font-semibold">{f.name}</dt>
                <dd>{f.says}</dd>
              </div>
            ))}
          </dl>
        </section>
        <section id="test">
          <h2 className="!text-[18px] border-b-[1.6px] border-ink pb-1">Its figures</h2>
          <dl>
            {load.figures.map((f) => (
              <div key={f.name} className="border-b border-rule py-1">
                <dt className="font-semibold inline">{f.name}: </dt>
                <dd className="inline">
                  {f.says} <span className="q text-[13px]">{f.from}</span>
                </dd>
              </div>
            ))}
          </dl>
          {load.test.length > 0 && (
            <ul className="q text-[13.5px] mt-1">
              {load.test.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
          )}
          {!load.gone && (
            <p className="flex flex-wrap gap-2 mt-2">
              <button type="button" className="btn" onClick={() => setAct('bucket')}>
                Bucket test
              </button>
              <button type="button" className="btn" onClick={() => setAct('drying')}>
                Drying test
              </button>
              <button type="button" className="btn" onClick={() => setAct('squeeze')}>
                Squeeze
              </button>
            </p>
          )}
        </section>
        <section>
          <h2 className="!text-[18px] border-b-[1.6px] border-ink pb-1">Where it went</h2>
          {load.went.length === 0 ? (
            <p className="q py-1">Into no heap yet.</p>
          ) : (
            <ul>
              {load.went.map((w, i) => (
                <li key={i} className="border-b border-rule py-1">
                  <Link prefetch={false} className="link" href={`/batch/${w.batch}`}>
                    {w.text}
                  </Link>
                </li>
              ))}
            </ul>
          )}
          {load.couldGo.length > 0 && (
            <p className="text-[14px] mt-1">
              {load.answer === 'ask'
                ? 'Once it is asked and taken in, it could go into'
                : 'Could go into'}
              :{' '}
              {load.couldGo.map((c, i) => (
                <span key={c.id}>
                  {i > 0 ? '; ' : ''}
                  <Link prefetch={false} className="underline" href={`/batch/${c.id}/build`}>
                    {c.text}
                  </Link>
                </span>
              ))}
              .
            </p>
          )}
          {load.gone && <p className="font-semibold mt-1">It is gone: {load.gone}.</p>}
        </section>
        <section>
          <h2 className="!text-[18px] border-b-[1.6px] border-ink pb-1">What became of it</h2>
          {load.changes.length + load.heats.length === 0 ? (
            <p className="q py-1">Nothing was noted since it came.</p>
          ) : (
            <ul>
              {load.changes.map((c) => (
                <li key={c.id} className="border-b border-rule py-1">
                  {c.text}
                </li>
              ))}
              {load.heats.map((h) => (
                <li key={h.when} className="border-b border-rule py-1">
                  {h.when}, {h.by}: <b>{h.text}</b> in the stack
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
      {load.photos.length > 0 && (
        <ul className="flex flex-wrap gap-3">
          {load.photos.map((p) => (
            <li key={p}>
              <a href={`/api/photo/${p}`}>
                <img
                  src={`/api/photo/${p}?small`}
                  alt={`Photo of ${load.name}`}
                  className="border-[1.5px] border-ink max-h-[180px]"
                />
              </a>
            </li>
          ))}
        </ul>
      )}
      {!load.gone && (
        <p className="flex flex-wrap gap-2 border-t-[1.6px] border-ink pt-3">
          <button type="button" className="btn" onClick={() => setAct('change')}>
            State, place, answer…
          </button>
          <button type="button" className="btn" onClick={() => setAct('count')}>
            Count it again…
          </button>
          <button type="button" className="btn" onClick={() => setAct('photo')}>
            Photo…
          </button>
          {!load.stack && (
            <button type="button" className="btn" onClick={() => setAct('heat')}>
              Log its heat…
            </button>
          )}
          <button type="button" className="btn" onClick={() => setAct('gone')}>
            It is gone…
          </button>
          <button type="button" className="btn" onClick={() => setAct('strike')}>
            Logged wrongly…
          </button>
        </p>
      )}
      <Sheet
        open={sheet !== null}
        onOpenChange={(o) => {
          if (!o) setAct(null);
        }}
        title={sheet ? `${sheet.title}: ${load.name}` : ''}
      >
        {sheet && (
          <DraftScope name={`load ${load.id} ${act}`}>
            <sheet.form load={load} by={by} unit={unit} onDone={() => setAct(null)} />
          </DraftScope>
        )}
      </Sheet>
    </div>
  );
}
