'use client';
import { currentUnits, say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import type { Measures } from '@/core/log/shapes';
import { useTyped, useTypedFields } from '@/ui/draft';
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

const ShapeSelect = ({
  value,
  onChange,
}: {
  value: HeapShape;
  onChange: (shape: HeapShape) => void;
}) => (
  <label className="label">
    {say('log.itsShape')}
    <select
      className="field mt-1"
      value={value}
      onChange={(e) => onChange(e.target.value as HeapShape)}
    >
      {SHAPES.map((shape) => (
        <option key={shape} value={shape}>
          {SHAPE_WORDS[shape]}
        </option>
      ))}
    </select>
    <span className="hint block mt-1 font-normal">
      {say('log.longestWidestHighestMeasuredFrom')}
    </span>
  </label>
);

const SIDES = ['length', 'width', 'height'] as const;
type Side = (typeof SIDES)[number];
const sideText = (side: Side): string =>
  ({ length: say('log.length'), width: say('log.width'), height: say('log.height') })[side];

/** Measures by tape, where all three are typed. */
const measuresOf = (metres: readonly (number | null | undefined)[]): Measures | null => {
  const [lengthM, widthM, heightM] = metres;
  return lengthM && widthM && heightM ? { lengthM, widthM, heightM } : null;
};

/** What is typed of a size, what it comes to, and what is odd about it. */
function useSize({ shape, leastHotM3 = MIN_HOT_M3 }: FormProps['heap']) {
  const [sides, setSides] = useTypedFields<Record<Side, string>>({
    ...{ length: '', width: '', height: '' },
  });
  const [volume, setVolume] = useTyped('volume', '');
  const [form, setForm] = useTyped<HeapShape>('shape', isShape(shape) ? shape : 'dome');
  const [known, setKnown] = useState<SizeDoubt | null>(null);
  const metres = SIDES.map((side) => typedQuantity('length', sides[side], 0.01));
  const judgedM3 = typedQuantity('volume', volume, 0.01);
  const measures = measuresOf(metres);
  const m3 = measures ? volumeOf(form, measures) : (judgedM3 ?? null);
  const isWrong = [...metres, judgedM3].includes(null);
  const doubt = m3 === null ? null : sizeDoubt(measures, m3, leastHotM3);
  const missing = (): string | null => {
    if (isWrong) return say('log.correctTheFiguresFirst');
    if (m3 === null) return say('log.typeLengthWidthHeightOr');
    return doubt === known ? null : say('entry.tickToPutIn');
  };
  return {
    ...{ sides, setSides, volume, setVolume, form, setForm, known, setKnown },
    ...{ measures, m3, isWrong, doubt, leastM3: leastHotM3, missing: missing() },
  };
}
type Size = ReturnType<typeof useSize>;

const SizeFields = ({ size }: { size: Size }) => (
  <>
    <ShapeSelect value={size.form} onChange={size.setForm} />
    <div className="grid grid-cols-3 gap-3">
      {SIDES.map((side) => (
        <Field
          key={side}
          label={sideText(side)}
          unit={signOf('length')}
          inputMode="decimal"
          value={size.sides[side]}
          onChange={(e) => size.setSides({ [side]: e.target.value })}
        />
      ))}
    </div>
    {!size.measures && (
      <Field
        label={say('log.orItsVolume')}
        unit={signOf('volume')}
        inputMode="decimal"
        value={size.volume}
        onChange={(e) => size.setVolume(e.target.value)}
      />
    )}
    {size.isWrong && (
      <p role="alert" className="marked font-semibold">
        {say('log.typeEachAsNumberAbove')}
      </p>
    )}
  </>
);

/** What the measures come to, and what is odd about that. */
const SizeReading = ({
  size: { measures, m3, leastM3, doubt, known, setKnown },
}: {
  size: Size;
}) => (
  <>
    {m3 !== null && (
      <p className="text-subhead">
        {measures ? say('log.thatMakes') : say('log.estimatedByEye')} <b>{volumeText(m3)}</b>.
        {m3 < leastM3 ? say('log.belowLeastSize', { least: volumeText(leastM3) }) : ''}
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
  </>
);

/** How big it is now, by tape or by eye. */
export function SizeForm({ heap, onDone }: FormProps) {
  const entry = useEntry('size', heap, onDone);
  const size = useSize(heap);
  const { measures, form, m3 } = size;
  return (
    <>
      <SizeFields size={size} />
      <SizeReading size={size} />
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.saveThisSize')}
        missing={size.missing}
        onKeep={() =>
          entry.save(measures ? { measures, shape: form, volumeM3: m3 } : { volumeM3: m3 })
        }
      />
    </>
  );
}
