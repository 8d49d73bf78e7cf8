'use client';
import { currentUnits, say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import {
  isShape,
  MIN_HOT_M3,
  SHAPES,
  sizeDoubt,
  volumeOf,
  type HeapShape,
  type SizeDoubt,
} from '@/core/heap/size';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { SHAPE_WORDS } from '@/core/words/shape';
import { volumeText } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** Why figures may be in another unit than the field's. */
const sizeDoubtText = (doubt: SizeDoubt): string =>
  say('log.sizeDoubt', {
    doubt,
    unit: signOf('length'),
    volume: signOf('volume'),
    system: currentUnits().system === 'us' ? 'us' : 'metric',
  });

/** How big it is now, by tape or by eye. */
export function SizeForm({ heap, onDone }: FormProps) {
  const entry = useEntry('size', heap, onDone);
  const [length, setLength] = useTyped('length', '');
  const [width, setWidth] = useTyped('width', '');
  const [height, setHeight] = useTyped('height', '');
  const [volume, setVolume] = useTyped('volume', '');
  const [form, setForm] = useTyped<HeapShape>('shape', isShape(heap.shape) ? heap.shape : 'dome');
  const [l, w, h] = [length, width, height].map((t) => typedQuantity('length', t, 0.01));
  const v = typedQuantity('volume', volume, 0.01);
  const measures =
    typeof l === 'number' && typeof w === 'number' && typeof h === 'number'
      ? { lengthM: l, widthM: w, heightM: h }
      : null;
  const m3 = measures ? volumeOf(form, measures) : typeof v === 'number' ? v : null;
  const wrong = [l, w, h, v].includes(null);
  const least = heap.leastHotM3 ?? MIN_HOT_M3;
  const doubt = m3 === null ? null : sizeDoubt(measures, m3, least);
  const [known, setKnown] = useState<SizeDoubt | null>(null);
  return (
    <>
      <label className="label">
        {say('log.itsShape')}
        <select
          className="field mt-1"
          value={form}
          onChange={(e) => setForm(e.target.value as HeapShape)}
        >
          {SHAPES.map((shape) => (
            <option key={shape} value={shape}>
              {SHAPE_WORDS[shape]}
            </option>
          ))}
        </select>
        <span className="hint block mt-1">{say('log.longestWidestHighestMeasuredFrom')}</span>
      </label>
      <div className="grid grid-cols-3 gap-3">
        <Field
          label={say('log.length')}
          unit={signOf('length')}
          inputMode="decimal"
          value={length}
          onChange={(e) => setLength(e.target.value)}
        />
        <Field
          label={say('log.width')}
          unit={signOf('length')}
          inputMode="decimal"
          value={width}
          onChange={(e) => setWidth(e.target.value)}
        />
        <Field
          label={say('log.height')}
          unit={signOf('length')}
          inputMode="decimal"
          value={height}
          onChange={(e) => setHeight(e.target.value)}
        />
      </div>
      {!measures && (
        <Field
          label={say('log.orItsVolume')}
          unit={signOf('volume')}
          inputMode="decimal"
          value={volume}
          onChange={(e) => setVolume(e.target.value)}
        />
      )}
      {wrong && (
        <p role="alert" className="marked font-semibold">
          {say('log.typeEachAsNumberAbove')}
        </p>
      )}
      {m3 !== null && (
        <p className="text-subhead">
          {measures ? say('log.thatMakes') : say('log.estimatedByEye')} <b>{volumeText(m3)}</b>.
          {m3 < least ? say('log.belowLeastSize', { least: volumeText(least) }) : ''}
        </p>
      )}
      {doubt && (
        <ConfirmBox
          legend={say('log.whichUnit')}
          text={sizeDoubtText(doubt)}
          confirm={say('log.sizeIsRight')}
          checked={known === doubt}
          onChange={(checked) => setKnown(checked ? doubt : null)}
          testId="size-doubt"
        />
      )}
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.saveThisSize')}
        missing={
          wrong
            ? say('log.correctTheFiguresFirst')
            : m3 === null
              ? say('log.typeLengthWidthHeightOr')
              : doubt !== known
                ? say('entry.tickToPutIn')
                : null
        }
        onKeep={() =>
          entry.save(measures ? { measures, shape: form, volumeM3: m3 } : { volumeM3: m3 })
        }
      />
    </>
  );
}
