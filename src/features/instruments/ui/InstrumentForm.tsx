'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf } from '@/core/quantity/typed-quantity';
import type { Instrument } from '@/core/log/shapes';
import { fromCelsius, toCelsius, type TempUnit } from '@/core/units/units';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { type InstrumentLine, number, readQuantity } from './instrumentParts';

const KINDS = [
  {
    value: 'dial',
    get label() {
      return say('instruments.dial');
    },
  },
  {
    value: 'digital',
    get label() {
      return say('instruments.digital');
    },
  },
  {
    value: 'wireless',
    get label() {
      return say('instruments.wireless');
    },
  },
  {
    value: 'glass',
    get label() {
      return say('instruments.glass');
    },
  },
] as const;

/** What a thermometer is; its unit is the unit that is typed. */
export function InstrumentForm({
  line,
  names,
  site,
  onDone,
}: {
  line: InstrumentLine | null;
  names: readonly string[];
  site: HeapRef;
  onDone: () => void;
}) {
  const was = line?.known ?? null;
  const [name, setName] = useTyped('name', line?.name ?? '');
  const [kind, setKind] = useTyped<Instrument['kind']>('kind', was?.kind ?? 'dial');
  const [unit, setUnit] = useTyped<TempUnit>('unit', was?.unit ?? site.unit);
  const start = (v: number | undefined): string =>
    v === undefined ? '' : String(Math.round(v * 10) / 10);
  const [stem, setStem] = useTyped(
    'stem',
    was?.stemM === undefined ? '' : shownQuantity('cm', was.stemM * 100),
  );
  const [min, setMin] = useTyped(
    'min',
    start(was?.minC === undefined ? undefined : fromCelsius(was.minC, unit)),
  );
  const [max, setMax] = useTyped(
    'max',
    start(was?.maxC === undefined ? undefined : fromCelsius(was.maxC, unit)),
  );
  const [accuracy, setAccuracy] = useTyped(
    'accuracy',
    start(was?.accuracyK === undefined ? undefined : was.accuracyK * (unit === 'F' ? 1.8 : 1)),
  );
  const [settle, setSettle] = useTyped('settle', start(was?.settleS));
  const [every, setEvery] = useTyped('every', start(was?.checkDays));
  const entry = useEntry(
    'instrument',
    { ...site, id: '', name: name || say('instruments.thermometer') },
    onDone,
  );
  const taken = line === null && names.some((n) => n.toLowerCase() === name.trim().toLowerCase());
  const whole = (v: number | null): number | null => (v === null ? null : Math.round(v));
  const [stemM, minC, maxC, accuracyK, settleS, checkDays] = [
    readQuantity('cm', stem),
    number(min),
    number(max),
    number(accuracy),
    whole(number(settle)),
    whole(number(every)),
  ];
  const bad = [stemM, minC, maxC, accuracyK, settleS, checkDays].some(
    (v) => v !== null && !Number.isFinite(v),
  )
    ? say('instruments.aFigureNotNumber')
    : stemM !== null && (stemM < 5 || stemM > 500)
      ? say('instruments.aStem5500Cm', { least: 5, most: 500 })
      : minC !== null && maxC !== null && maxC <= minC
        ? say('instruments.theTopScaleMustAbove')
        : null;
  const optional = (field: string, v: number | null): object => (v === null ? {} : { [field]: v });
  const instrument = {
    name: name.trim(),
    kind,
    unit,
    ...optional('stemM', stemM === null ? null : stemM / 100),
    ...optional('minC', minC === null ? null : toCelsius(minC, unit)),
    ...optional('maxC', maxC === null ? null : toCelsius(maxC, unit)),
    ...optional('accuracyK', accuracyK === null ? null : accuracyK / (unit === 'F' ? 1.8 : 1)),
    ...optional('settleS', settleS),
    ...optional('checkDays', checkDays),
    ...(was?.out === undefined ? {} : { out: was.out }),
  };
  return (
    <>
      <Field
        label={say('instruments.nameOnIt')}
        value={name}
        readOnly={line !== null}
        maxLength={40}
        onChange={(e) => setName(e.target.value)}
        problem={taken ? say('instruments.thereIsAlreadyA', { name: name.trim() }) : undefined}
        hint={say('instruments.writeOnHandleSuchAs')}
      />
      <Choices
        label={say('instruments.kind')}
        value={kind}
        onChange={(v) => {
          if (v) setKind(v);
        }}
        columns={4}
        options={KINDS}
      />
      <Choices
        label={say('instruments.itShows')}
        value={unit}
        onChange={(v) => {
          if (v) setUnit(v);
        }}
        options={[
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={say('instruments.stemLength')}
          unit={signOf('cm')}
          inputMode="decimal"
          value={stem}
          onChange={(e) => setStem(e.target.value)}
          hint={say('instruments.withoutTheHandle')}
        />
        <Field
          label={say('instruments.settlingTime')}
          unit={say('units.seconds')}
          inputMode="numeric"
          value={settle}
          onChange={(e) => setSettle(e.target.value)}
          hint={say('instruments.n30IfLeftEmpty')}
        />
        <Field
          label={say('instruments.scaleFrom')}
          unit={`°${unit}`}
          inputMode="decimal"
          value={min}
          onChange={(e) => setMin(e.target.value)}
        />
        <Field
          label={say('instruments.endOfScale')}
          unit={`°${unit}`}
          inputMode="decimal"
          value={max}
          onChange={(e) => setMax(e.target.value)}
        />
        <Field
          label={say('instruments.accuracy')}
          unit={`°${unit}`}
          inputMode="decimal"
          value={accuracy}
          onChange={(e) => setAccuracy(e.target.value)}
          hint={say('instruments.accordingToItsMaker')}
        />
        <Field
          label={say('instruments.checkItEvery')}
          unit={say('units.daysUnit')}
          inputMode="numeric"
          value={every}
          onChange={(e) => setEvery(e.target.value)}
          hint={say('instruments.n180IfLeftEmpty')}
        />
      </div>
      {bad && (
        <p role="alert" className="marked font-semibold">
          {bad}
        </p>
      )}
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={line ? say('instruments.save', { name: line.name }) : say('instruments.registerIt')}
        missing={
          name.trim() === ''
            ? say('instruments.giveItAName')
            : taken
              ? say('instruments.thereAlreadyThermometerWithName')
              : bad !== null
                ? say('controls.correctWhatIsMarkedAbove')
                : null
        }
        onKeep={() => entry.save({ instrument })}
      />
    </>
  );
}
