'use client';
import { b } from '@/messages/marked';
import { Marked } from '@/ui/Marked';
import { say, sayMarked } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
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
          <b>{s.text}</b>
        </li>
      ))}
    </ol>
  ) : (
    <p role="alert" className="marked font-semibold">
      {tested.wrong}
    </p>
  );

const working = (t: Tested): string[] => (t.ok ? t.steps.map((s) => `${s.says}: ${s.text}`) : []);

export function BucketForm({ load, by, onDone }: FormOf) {
  const kept = useChange(load, by, onDone);
  const [v, setV] = useTyped('v', { bucketL: '', emptyKg: '', fullKg: '', waterKg: '' });
  const [bucketL, emptyKg, fullKg, water] = [
    typedQuantity('litres', v.bucketL),
    typedQuantity('kg', v.emptyKg),
    typedQuantity('kg', v.fullKg),
    typedQuantity('litres', v.waterKg),
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
      <p>{say('store.fillBucketInThirdsDrop')}</p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={say('store.theBucketHolds')}
          unit={signOf('litres')}
          inputMode="decimal"
          value={v.bucketL}
          onChange={set('bucketL')}
        />
        <Field
          label={say('store.emptyBucket')}
          unit={signOf('kg')}
          inputMode="decimal"
          value={v.emptyKg}
          onChange={set('emptyKg')}
        />
        <Field
          label={say('store.fullBucket')}
          unit={signOf('kg')}
          inputMode="decimal"
          value={v.fullKg}
          onChange={set('fullKg')}
        />
        <Field
          label={say('store.waterToTheBrim')}
          unit={signOf('litres')}
          inputMode="decimal"
          value={v.waterKg}
          onChange={set('waterKg')}
          hint={say('store.leaveEmptyForDensityOnly')}
        />
      </div>
      {tested && <Steps tested={tested} />}
      <Foot
        kept={kept}
        label={say('store.useInsteadTable')}
        missing={tested?.ok ? null : say('store.typeBucketsLitersWhatWeighs')}
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
      <p>{say('store.weighAbout100GWet')}</p>
      <p className="caution">{say('store.itSmellsCanCatchFire')}</p>
      <Field
        label={say('store.dishAlone')}
        unit="g"
        inputMode="decimal"
        value={dish}
        onChange={(e) => setDish(e.target.value)}
      />
      {weights.map((w, i) => (
        <Field
          key={i}
          label={i === 0 ? say('store.dishWithWetSample') : say('store.afterDryingWeighing', { i })}
          unit="g"
          inputMode="decimal"
          value={w}
          onChange={(e) => setWeights(weights.map((x, k) => (k === i ? e.target.value : x)))}
        />
      ))}
      {weights.length < 8 && (
        <p>
          <button type="button" className="btn" onClick={() => setWeights([...weights, ''])}>
            {say('store.anotherWeighing')}
          </button>
        </p>
      )}
      {tested && <Steps tested={tested} />}
      {tested?.ok && tested.still && (
        <p className="marked font-semibold w-fit">{say('store.itStillLosingWaterKeep')}</p>
      )}
      <Foot
        kept={kept}
        label={say('store.useInsteadTable')}
        missing={tested?.ok ? null : say('store.typeDishAtLeastTwo')}
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
        label={say('log.squeezeHandfulFromInsideHard')}
        value={squeeze}
        onChange={setSqueeze}
        options={keysOf(SQUEEZE_WORDS).map((value) => ({
          value,
          label: SQUEEZE_WORDS[value].word,
          hint: SQUEEZE_WORDS[value].means,
        }))}
      />
      {band && pct !== null && (
        <p>
          <Marked
            text={sayMarked('store.thatMeansAbout', {
              pct,
              lowPct: band.lowPct,
              highPct: band.highPct,
              b,
            })}
          />
        </p>
      )}
      <Foot
        kept={kept}
        label={say('store.useInsteadTable')}
        missing={pct === null ? say('store.chooseWhatHandfulDid') : null}
        onKeep={() =>
          pct !== null &&
          kept.save({
            test: {
              how: 'squeeze',
              moisturePct: pct,
              working: [say('store.about2', { word: SQUEEZE_WORDS[squeeze as Squeeze].word, pct })],
            },
          })
        }
      />
    </>
  );
}
