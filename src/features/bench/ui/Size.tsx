'use client';
import { useState } from 'react';
import {
  coreWayM,
  fitsForm,
  footM2,
  measuresFor,
  rainLitres,
  rowLengthM,
  surfaceM2,
} from '@/core/heap/form';
import { volumeOf } from '@/core/heap/size';
import { volumeText } from '@/core/quantity/format';
import { litresText } from '@/core/words/amount';
import { SHAPE_WORDS, SHAPES, type HeapShape } from '@/core/words/shape';
import { Field } from '@/ui/Field';
import { typed } from '@/core/quantity/typed-number';
import type { BenchView } from '../view';

const m = (x: number): string => `${x.toFixed(1)} m`;
/** Over this much surface for its volume a heap loses its heat fast, m² for each m³ (common practice: a cube of one metre has 5). */
const THIN_SURFACE = 5.5;

/** How big the mix will lie, whether it holds its heat, fits its place, and lets the thermometer reach its core. */
export function BenchSize({
  litres,
  shape,
  onShape,
  view: { leastM3, stemM, slots, volume },
}: {
  litres: number;
  shape: HeapShape;
  onShape: (s: HeapShape) => void;
  view: Pick<BenchView, 'leastM3' | 'stemM' | 'slots' | 'volume'>;
}) {
  const [slotName, setSlot] = useState('');
  const [length, setLength] = useState('');
  const [rain, setRain] = useState('');
  const m3 = litres / 1000;
  const least = volumeText(leastM3, volume);
  const row = shape === 'windrow' || shape === 'triangle' || shape === 'trapezoid';
  const slot = slots.find((s) => s.name === slotName) ?? null;
  const long = typed(length, 0.3);
  const walls = slot !== null && (shape === 'bay' || shape === 'cube' || shape === 'tub');
  const size = measuresFor(
    shape,
    Math.max(m3, 0.01),
    typeof long === 'number' ? long : null,
    walls ? slot : null,
  );
  const surface = surfaceM2(shape, size);
  const ratio = surface / Math.max(1e-6, volumeOf(shape, size));
  const way = coreWayM(shape, size);
  const fit = slot ? fitsForm(size, slot) : null;
  const over = fit
    ? [
        fit.overM.length > 0.005 && `${m(fit.overM.length)} too long`,
        fit.overM.width > 0.005 && `${m(fit.overM.width)} too wide`,
        fit.overM.height > 0.005 && `${m(fit.overM.height)} too high`,
      ].filter(Boolean)
    : [];
  const mm = typed(rain);
  return (
    <section className="ruled pt-2 flex flex-col gap-2 text-small" data-testid="size">
      <h3>Big enough to hold its heat?</h3>
      <p data-testid="size-says">
        {m3 < 0.005 ? (
          'Nothing lies on the bench yet.'
        ) : (
          <>
            Settles to <b>{litresText(litres, volume)}</b>, {m(size.heightM)} high,{' '}
            {m(size.lengthM)} by {m(size.widthM)}.{' '}
            {m3 < leastM3 ? (
              <span className="marked">
                Under {least} it rarely stays hot: add more, or pack straw round it.
              </span>
            ) : ratio > THIN_SURFACE ? (
              <span className="marked">
                It has {ratio.toFixed(1)} m² of surface for each m³: flat and long, it cools. Make
                it higher, or cover it.
              </span>
            ) : (
              <>
                Yes: {least} is the least, and it has {ratio.toFixed(1)} m² of surface for each m³.
              </>
            )}
          </>
        )}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <label className="label !mb-0">
          Shape
          <select
            className="field mt-1"
            value={shape}
            onChange={(e) => onShape(e.target.value as HeapShape)}
          >
            {SHAPES.map((s) => (
              <option key={s} value={s}>
                {SHAPE_WORDS[s]}
              </option>
            ))}
          </select>
        </label>
        {slots.length > 0 ? (
          <label className="label !mb-0">
            Into
            <select
              className="field mt-1"
              value={slotName}
              onChange={(e) => setSlot(e.target.value)}
            >
              <option value="">no place chosen</option>
              {slots.map((s) => (
                <option key={s.name} value={s.name}>
                  {s.kind} {s.name}
                </option>
              ))}
            </select>
          </label>
        ) : (
          <p className="hint self-end">Draw your bays on the map to see whether it fits.</p>
        )}
      </div>
      {slot && m3 > 0.005 && (
        <p className={fit!.ok ? '' : 'marked'}>
          {fit!.ok
            ? `It fits ${slot.kind} ${slot.name} (${m(slot.lengthM)} by ${m(slot.widthM)}, ${m(slot.heightM)} high).`
            : `It does not fit ${slot.kind} ${slot.name}: ${over.join(', ')}.`}
          {walls && !fit!.ok
            ? ` Level, it holds ${volumeText(slot.lengthM * slot.widthM * slot.heightM, volume)}.`
            : ''}
        </p>
      )}
      {row && (
        <Field
          label="Row length"
          unit="m"
          inputMode="decimal"
          value={length}
          onChange={(e) => setLength(e.target.value)}
          problem={long === null ? 'Type metres as a number, or leave it empty.' : undefined}
          hint={
            slot?.kind === 'row' && m3 > 0
              ? `At ${m(slot.widthM)} wide and ${m(slot.heightM)} high it takes ${m(rowLengthM(shape, m3, { widthM: slot.widthM, heightM: slot.heightM, ...(shape === 'trapezoid' ? { topWidthM: slot.widthM / 3 } : {}) }))} of ${slot.name}.`
              : 'empty: as it falls'
          }
        />
      )}
      {m3 > 0.005 && (
        <p>
          {stemM === null ? (
            `Its core lies ${m(way)} in; no thermometer has its length noted under Instruments.`
          ) : stemM >= way ? (
            `Its core lies ${m(way)} in: your longest thermometer, ${m(stemM)}, reaches it.`
          ) : (
            <span className="marked">
              Its core lies {m(way)} in, and your longest thermometer is {m(stemM)}: the core would
              not be read.
            </span>
          )}
        </p>
      )}
      <Field
        label="Rain on it if it lies open"
        unit="mm expected"
        inputMode="decimal"
        value={rain}
        onChange={(e) => setRain(e.target.value)}
        problem={mm === null ? 'Type millimetres as a number, or leave it empty.' : undefined}
        hint={
          typeof mm === 'number' && m3 > 0.005
            ? `At most ${Math.round(rainLitres(mm, footM2(shape, size)))} L fall on its ${footM2(shape, size).toFixed(1)} m². Covered, none of it.`
            : '1 mm on 1 m² is 1 L'
        }
      />
    </section>
  );
}
