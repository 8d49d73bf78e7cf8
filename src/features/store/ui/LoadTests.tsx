'use client';
import { bucketTest, dryingTest, SQUEEZE_PCT, type Tested } from '@/core/mix/measured';
import { keysOf, SQUEEZE_WORDS, type Squeeze } from '@/core/words/feel';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { typed } from '@/core/quantity/typed-number';
import { type FormOf, useChange, Foot } from './loadParts';

/** The arithmetic of a test, step by step. */
const Steps = ({ tested }: { tested: Tested }) =>
  tested.ok ? (
    <ol className="ruled pt-2" data-testid="steps">
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

export function BucketForm({ load, by, onDone }: FormOf) {
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

export function DryingForm({ load, by, onDone }: FormOf) {
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

export function SqueezeForm({ load, by, onDone }: FormOf) {
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
