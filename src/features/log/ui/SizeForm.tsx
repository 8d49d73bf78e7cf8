'use client';
import { currentUnits, say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useTyped } from '@/ui/draft';
import { isShape, volumeOf } from '@/core/heap/size';
import { SHAPE_WORDS } from '@/core/words/shape';
import { volumeText } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';

/** How big it is now, by tape or by eye. */
export function SizeForm({ heap, onDone }: FormProps) {
  const entry = useEntry('size', heap, onDone);
  const [length, setLength] = useTyped('length', '');
  const [width, setWidth] = useTyped('width', '');
  const [height, setHeight] = useTyped('height', '');
  const [volume, setVolume] = useTyped('volume', '');
  const form = isShape(heap.shape) ? heap.shape : 'dome';
  const [l, w, h] = [length, width, height].map((t) => typedQuantity('length', t, 0.01));
  const v = typedQuantity('volume', volume, 0.01);
  const measures =
    typeof l === 'number' && typeof w === 'number' && typeof h === 'number'
      ? { lengthM: l, widthM: w, heightM: h }
      : null;
  const m3 = measures ? volumeOf(form, measures) : typeof v === 'number' ? v : null;
  const wrong = [l, w, h, v].includes(null);
  return (
    <>
      <p className="hint">
        {isShape(heap.shape)
          ? SHAPE_WORDS[form]
          : say('log.itsShapeWasNotGiven', { toLowerCase: SHAPE_WORDS[form].toLowerCase() })}
        {say('log.longestWidestHighestMeasuredFrom')}
      </p>
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
          {m3 < 1 ? say('log.belowAboutOneCubicMeter', { system: currentUnits().system }) : ''}
        </p>
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
              : null
        }
        onKeep={() => entry.save(measures ? { measures } : { volumeM3: m3 })}
      />
    </>
  );
}
