'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { isShape, volumeOf } from '@/core/heap/size';
import { SHAPE_WORDS } from '@/core/words/shape';
import { volumeText } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { typed } from '@/core/quantity/typed-number';
import { useEntry } from '@/entry/ui/useEntry';

/** How big it is now, by tape or by eye. */
export function SizeForm({ heap, onDone }: FormProps) {
  const entry = useEntry('size', heap, onDone);
  const [length, setLength] = useTyped('length', '');
  const [width, setWidth] = useTyped('width', '');
  const [height, setHeight] = useTyped('height', '');
  const [volume, setVolume] = useTyped('volume', '');
  const form = isShape(heap.shape) ? heap.shape : 'dome';
  const [l, w, h, v] = [length, width, height, volume].map((t) => typed(t, 0.01));
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
          unit="m"
          inputMode="decimal"
          value={length}
          onChange={(e) => setLength(e.target.value)}
        />
        <Field
          label={say('log.width')}
          unit="m"
          inputMode="decimal"
          value={width}
          onChange={(e) => setWidth(e.target.value)}
        />
        <Field
          label={say('log.height')}
          unit="m"
          inputMode="decimal"
          value={height}
          onChange={(e) => setHeight(e.target.value)}
        />
      </div>
      {!measures && (
        <Field
          label={say('log.orItsVolume')}
          unit="m³"
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
          {measures ? say('log.thatMakes') : say('log.estimatedByEye')}{' '}
          <b>{volumeText(m3, 'm3')}</b>.{m3 < 1 ? say('log.belowAboutOneCubicMeter') : ''}
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
