'use client';
import { b } from '@/messages/marked';
import { Marked } from '@/ui/Marked';
import { currentUnits, say, sayMarked } from '@/messages/say';
import { toBase, unitOf } from '@/core/units/units';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
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
import { figureWithUnit, volumeText } from '@/core/quantity/format';
import { litresText } from '@/core/words/amount';
import { SHAPE_WORDS, SHAPES, type HeapShape } from '@/core/words/shape';
import { Field } from '@/ui/Field';
import type { BenchView } from '../view';

const m = (x: number): string => figureWithUnit('length', Math.round(x * 10) / 10);
/** Over this much surface for its volume a heap loses its heat fast, m² for each m³ (common practice: a cube of one metre has 5). */
const THIN_SURFACE = 5.5;

/** How big the mix will lie, whether it holds its heat, fits its place, and lets the thermometer reach its core. */
export function BenchSize({
  litres,
  shape,
  onShape,
  view: { leastM3, stemM, slots },
}: {
  litres: number;
  shape: HeapShape;
  onShape: (s: HeapShape) => void;
  view: Pick<BenchView, 'leastM3' | 'stemM' | 'slots'>;
}) {
  const [slotName, setSlot] = useState('');
  const [length, setLength] = useState('');
  const [rain, setRain] = useState('');
  const m3 = litres / 1000;
  const least = volumeText(leastM3);
  const row = shape === 'windrow' || shape === 'triangle' || shape === 'trapezoid';
  const slot = slots.find((s) => s.name === slotName) ?? null;
  const long = typedQuantity('length', length, 0.3);
  const walls = slot !== null && (shape === 'bay' || shape === 'cube' || shape === 'tub');
  const size = measuresFor(
    shape,
    Math.max(m3, 0.01),
    typeof long === 'number' ? long : null,
    walls ? slot : null,
  );
  const ratio = surfaceM2(shape, size) / Math.max(1e-6, volumeOf(shape, size));
  const units = currentUnits();
  const thin = {
    surface: figureWithUnit('area', Math.round(ratio * 10 * toBase('volume', 1, units)) / 10),
    volume: unitOf('volume', units).sign,
  };
  const way = coreWayM(shape, size);
  const fit = slot ? fitsForm(size, slot) : null;
  const over = fit
    ? [
        fit.overM.length > 0.005 && say('bench.tooLong', { overM: m(fit.overM.length) }),
        fit.overM.width > 0.005 && say('bench.tooWide', { width: m(fit.overM.width) }),
        fit.overM.height > 0.005 && say('bench.tooHigh', { height: m(fit.overM.height) }),
      ].filter(Boolean)
    : [];
  const mm = typedQuantity('mm', rain);
  return (
    <section className="ruled pt-2 flex flex-col gap-2 text-small" data-testid="size">
      <h3>{say('bench.bigEnoughHoldHeat')}</h3>
      <p data-testid="size-says">
        {m3 < 0.005 ? (
          say('bench.addMaterialsFirst')
        ) : (
          <>
            <Marked
              text={sayMarked('bench.settlesTo', {
                litres: litresText(litres),
                heightM: m(size.heightM),
                lengthM: m(size.lengthM),
                widthM: m(size.widthM),
                b,
              })}
            />{' '}
            {m3 < leastM3 ? (
              <span className="marked">{say('bench.belowRarelyStaysHotAdd', { least })}</span>
            ) : ratio > THIN_SURFACE ? (
              <span className="marked">{say('bench.itHasMSurfaceFor', thin)}</span>
            ) : (
              <>{say('bench.yesMinimumHasMSurface', { least, ...thin })}</>
            )}
          </>
        )}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <label className="label !mb-0">
          {say('bench.shape')}
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
            {say('bench.where')}
            <select
              className="field mt-1"
              value={slotName}
              onChange={(e) => setSlot(e.target.value)}
            >
              <option value="">{say('bench.noPlaceChosen')}</option>
              {slots.map((s) => (
                <option key={s.name} value={s.name}>
                  {s.kind} {s.name}
                </option>
              ))}
            </select>
          </label>
        ) : (
          <p className="hint self-end">{say('bench.drawYourBaysOnMap')}</p>
        )}
      </div>
      {slot && m3 > 0.005 && (
        <p className={fit!.ok ? '' : 'marked'}>
          {fit!.ok
            ? say('bench.itFitsByHigh', {
                kind: slot.kind,
                name: slot.name,
                lengthM: m(slot.lengthM),
                widthM: m(slot.widthM),
                heightM: m(slot.heightM),
              })
            : say('bench.itDoesNotFit', {
                kind: slot.kind,
                name: slot.name,
                over: over.join(', '),
              })}
          {walls && !fit!.ok
            ? say('bench.filledLevelThatHolds', {
                lengthM: volumeText(slot.lengthM * slot.widthM * slot.heightM),
              })
            : ''}
        </p>
      )}
      {row && (
        <Field
          label={say('bench.windrowLength')}
          unit={signOf('length')}
          inputMode="decimal"
          value={length}
          onChange={(e) => setLength(e.target.value)}
          problem={long === null ? say('bench.typeMetersAsNumberOr') : undefined}
          hint={
            slot?.kind === 'row' && m3 > 0
              ? say('bench.atWideHighTakes', {
                  widthM: m(slot.widthM),
                  heightM: m(slot.heightM),
                  shape: m(
                    rowLengthM(shape, m3, {
                      widthM: slot.widthM,
                      heightM: slot.heightM,
                      ...(shape === 'trapezoid' ? { topWidthM: slot.widthM / 3 } : {}),
                    }),
                  ),
                  name: slot.name,
                })
              : say('bench.emptyWorkedOutFromVolume')
          }
        />
      )}
      {m3 > 0.005 && (
        <p>
          {stemM === null ? (
            say('bench.itsCoreDeepNoThermometer', { way: m(way) })
          ) : stemM >= way ? (
            say('bench.itsCoreDeepYourLongest', { way: m(way), stemM: m(stemM) })
          ) : (
            <span className="marked">
              {say('bench.itsCoreDeepYourLongest2', { way: m(way), stemM: m(stemM) })}
            </span>
          )}
        </p>
      )}
      <Field
        label={say('bench.rainOnIfUncovered')}
        unit={say('bench.mmExpected', { unit: signOf('mm') })}
        inputMode="decimal"
        value={rain}
        onChange={(e) => setRain(e.target.value)}
        problem={mm === null ? say('bench.typeRainAsNumberOr') : undefined}
        hint={
          typeof mm === 'number' && m3 > 0.005
            ? say('bench.atMostLFallOn', {
                litres: Math.round(rainLitres(mm, footM2(shape, size))),
                area: Math.round(footM2(shape, size) * 10) / 10,
              })
            : say('bench.n1MmOn1M', { system: units.system })
        }
      />
    </section>
  );
}
