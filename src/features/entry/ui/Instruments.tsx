'use client';
import { useEffect, useState } from 'react';
import type { DriftPoint } from '@/core/evidence/drift';
import type { Instrument } from '@/core/log/shapes';
import { fromCelsius, toCelsius, type TempUnit } from '@/core/quantity/units';
import { boilingPointC } from '@/core/quantity/water';
import { Drift } from '@/charts/Drift';
import { Choices } from '@/ui/Choices';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { previewCheck } from '../server/actions';
import type { CheckEffect, CheckPreview } from '../server/actions';
import { KeepBar, WhenAndWho } from './parts';
import { useEntry, type HeapRef } from './useEntry';

export type InstrumentLine = {
  readonly name: string;
  readonly known: Instrument | null;
  readonly due: { readonly text: string; readonly late: boolean } | null;
  readonly drift: readonly DriftPoint[];
  readonly checks: readonly {
    readonly when: string;
    readonly referenceC: number;
    readonly readC: number;
    readonly off: boolean;
  }[];
};
type Props = {
  readonly list: readonly InstrumentLine[];
  readonly altitudeM: number;
  readonly settings: {
    readonly stretchM: number;
    readonly borderM: number;
    readonly altitudeM: number;
  };
  readonly site: HeapRef;
  readonly now: number;
};

const number = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.replace(',', '.'));
const KIND_WORD = {
  dial: 'dial',
  digital: 'digital',
  wireless: 'wireless probe',
  glass: 'glass',
} as const;
const temp = (c: number, unit: TempUnit): string => `${fromCelsius(c, unit).toFixed(1)} °${unit}`;
const day = (at: number): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(at);

/** What a thermometer is, in a line. */
const facts = (i: Instrument | null): string =>
  i === null
    ? 'not described yet'
    : [
        KIND_WORD[i.kind],
        i.stemM && `${i.stemM} m`,
        `reads °${i.unit}`,
        i.minC !== undefined &&
          i.maxC !== undefined &&
          `scale ${temp(i.minC, i.unit)} to ${temp(i.maxC, i.unit)}`,
        i.accuracyK !== undefined && `± ${i.accuracyK} K`,
        i.settleS && `settles in ${i.settleS} s`,
      ]
        .filter(Boolean)
        .join(' · ');

/** Thermometers with their checks and how their error moves, and the air: what belongs to the site and not to one heap. */
export function Instruments({ list, altitudeM, settings, site, now }: Props) {
  const [sheet, setSheet] = useState<{
    kind: 'check' | 'edit' | 'out';
    line: InstrumentLine | null;
  } | null>(null);
  const close = (): void => setSheet(null);
  const title =
    sheet?.kind === 'check'
      ? `Check ${sheet.line!.name}`
      : sheet?.kind === 'out'
        ? `${sheet.line!.name} out of service`
        : sheet?.line
          ? `What ${sheet.line.name} is`
          : 'A new thermometer';
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section className="px-5 max-sm:px-4 py-4 min-w-0" aria-labelledby="probes-title">
        <div className="flex justify-between items-start gap-3 flex-wrap">
          <h1 id="probes-title">Thermometers</h1>
          <button
            type="button"
            className="btn key"
            onClick={() => setSheet({ kind: 'edit', line: null })}
          >
            New thermometer
          </button>
        </div>
        <p className="q mt-2 max-w-[640px]">
          What a check finds is taken off every reading from the check on. Check each in ice water
          and, for the hot end, in boiling water.
        </p>
        {list.length === 0 && (
          <p className="mt-5">None yet. Register the one that you read with.</p>
        )}
        <ul className="mt-4">
          {list.map((line) => (
            <li key={line.name} className="border-t-[1.6px] border-ink py-3 flex flex-col gap-2">
              <div className="flex justify-between gap-3 flex-wrap">
                <div>
                  <h2>{line.name}</h2>
                  <p className="q text-[13.5px]">{facts(line.known)}</p>
                </div>
                <div className="flex gap-2 flex-wrap">
                  <button
                    type="button"
                    className="btn"
                    onClick={() => setSheet({ kind: 'check', line })}
                  >
                    Check it
                  </button>
                  <button
                    type="button"
                    className="btn"
                    onClick={() => setSheet({ kind: 'edit', line })}
                  >
                    {line.known ? 'Change' : 'Describe'}
                  </button>
                  {line.known &&
                    (line.known.out === undefined ? (
                      <button
                        type="button"
                        className="btn"
                        onClick={() => setSheet({ kind: 'out', line })}
                      >
                        Out of service
                      </button>
                    ) : (
                      <BackButton line={line} site={site} />
                    ))}
                </div>
              </div>
              {line.known?.out !== undefined && (
                <p>
                  <b className="marked">Out of service: {line.known.out}.</b>
                </p>
              )}
              <p>
                {line.due === null ? (
                  <b className="marked">Never checked.</b>
                ) : line.due.late ? (
                  <b className="marked">Check it again: it was due on {line.due.text}.</b>
                ) : (
                  <>Next check by {line.due.text}.</>
                )}
                {line.checks[0]?.off && (
                  <>
                    {' '}
                    <b className="marked">The last check was out of its range.</b>
                  </>
                )}
              </p>
              {line.drift.length > 0 && (
                <div>
                  <p className="q text-[13px]">
                    Added to what it reads, {site.unit === 'F' ? '°F' : 'K'}: ○ in ice water
                    {line.drift.some((d) => !d.single) ? ', ■ at 60 °C' : ''}; the band is what its
                    maker promises
                  </p>
                  <Drift
                    dots={line.drift}
                    accuracyK={line.known?.accuracyK ?? 1}
                    from={now - 120 * 86_400_000}
                    to={now}
                    unit={site.unit}
                    label={day}
                  />
                </div>
              )}
              {line.checks.length > 0 && (
                <details>
                  <summary className="link text-[14px] min-h-[36px] flex items-center">
                    {line.checks.length} checks
                  </summary>
                  <ul className="q text-[13.5px]">
                    {line.checks.map((c, i) => (
                      <li key={i}>
                        {c.when}: read {temp(c.readC, line.known?.unit ?? site.unit)} at{' '}
                        {temp(c.referenceC, line.known?.unit ?? site.unit)}
                        {c.off ? ', out of its range' : ''}
                      </li>
                    ))}
                  </ul>
                </details>
              )}
            </li>
          ))}
        </ul>
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-7"
        aria-label="Altitude and air"
      >
        <AltitudeForm key={altitudeM} settings={settings} site={site} />
        <AirForm site={site} />
      </aside>
      <Sheet
        open={sheet !== null}
        onOpenChange={(o) => {
          if (!o) close();
        }}
        title={title}
      >
        {sheet && (
          <DraftScope name={`thermometer ${sheet.line?.name ?? 'new'} ${sheet.kind}`}>
            {sheet.kind === 'check' && (
              <CheckForm line={sheet.line!} altitudeM={altitudeM} site={site} onDone={close} />
            )}
            {sheet.kind === 'edit' && (
              <InstrumentForm
                line={sheet.line}
                names={list.map((l) => l.name)}
                site={site}
                onDone={close}
              />
            )}
            {sheet.kind === 'out' && <OutForm line={sheet.line!} site={site} onDone={close} />}
          </DraftScope>
        )}
      </Sheet>
    </div>
  );
}

const STEPS = {
  ice: [
    'Fill a cup with crushed ice, then with clean water to its rim.',
    'Stir, wait two minutes, and put the probe in the middle, not against the cup.',
    'Wait until it stands still, and read.',
  ],
  boil: [
    'Bring clean water to a rolling boil in a deep pot.',
    'Hold the probe in the water by its handle, not against the pot, with a glove: steam burns.',
    'Wait until it stands still, and read.',
  ],
  reference: [
    'Tie it to a thermometer that you trust, probe beside probe.',
    'Put both into warm water or the heap, and wait until both stand still.',
    'Read both.',
  ],
} as const;

/** Held against a reference, step by step; what it does to verdicts is said before it is kept. */
function CheckForm({
  line,
  altitudeM,
  site,
  onDone,
}: {
  line: InstrumentLine;
  altitudeM: number;
  site: HeapRef;
  onDone: () => void;
}) {
  const unit = line.known?.unit ?? site.unit;
  const [how, setHow] = useTyped<'ice' | 'boil' | 'reference'>('how', 'ice');
  const [reference, setReference] = useTyped('reference', '');
  const [read, setRead] = useTyped('read', '');
  const referenceC =
    how === 'ice'
      ? 0
      : how === 'boil'
        ? boilingPointC(altitudeM)
        : (() => {
            const v = number(reference);
            return v === null ? null : toCelsius(v, unit);
          })();
  const value = number(read);
  const readC = value === null || !Number.isFinite(value) ? null : toCelsius(value, unit);
  const entry = useEntry('probe-check', { ...site, id: '', name: line.name }, onDone);
  const ready = referenceC !== null && Number.isFinite(referenceC) && readC !== null;
  const data = ready
    ? { probe: line.name, referenceC, readC, how, ...(how === 'boil' ? { altitudeM } : {}) }
    : null;
  const preview = useCheckPreview(data, entry.at);
  const off = ready ? readC - referenceC : 0;
  const accuracy = line.known?.accuracyK ?? 1;
  return (
    <>
      <Choices
        label="Held against"
        value={how}
        onChange={(v) => {
          if (v) setHow(v);
        }}
        columns={3}
        options={[
          { value: 'ice', label: 'Ice water', hint: temp(0, unit) },
          {
            value: 'boil',
            label: 'Boiling water',
            hint: `${temp(boilingPointC(altitudeM), unit)} at ${altitudeM} m`,
          },
          { value: 'reference', label: 'Another one' },
        ]}
      />
      <ol className="list-decimal pl-5 text-[15px] leading-[1.4]">
        {STEPS[how].map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ol>
      <div className="grid grid-cols-2 gap-3">
        {how === 'reference' ? (
          <Field
            label="The trusted one read"
            unit={`°${unit}`}
            inputMode="decimal"
            value={reference}
            onChange={(e) => setReference(e.target.value)}
          />
        ) : (
          <div>
            <span className="label">It should read</span>
            <p className="disp text-[22px] font-bold min-h-[44px] flex items-center">
              {temp(referenceC!, unit)}
            </p>
          </div>
        )}
        <Field
          label="It read"
          unit={`°${unit}`}
          inputMode="decimal"
          value={read}
          onChange={(e) => setRead(e.target.value)}
          problem={read !== '' && readC === null ? 'Type the temperature as a number.' : undefined}
        />
      </div>
      {ready && (
        <p role="status" className={Math.abs(off) > accuracy + 1e-9 ? 'marked font-semibold' : ''}>
          {Math.abs(off) < 0.05
            ? 'It reads right.'
            : `It reads ${Math.abs(unit === 'F' ? off * 1.8 : off).toFixed(1)} ${unit === 'F' ? '°F' : 'K'} too ${off > 0 ? 'high' : 'low'}`}
          {Math.abs(off) >= 0.05
            ? Math.abs(off) > accuracy + 1e-9
              ? `, more than the ± ${accuracy} K that it may. Check it once more, and take it out of service if it stays.`
              : `, within its ± ${accuracy} K.`
            : ''}
          {Math.abs(off) > 15 ? ' So far off, is it the right unit?' : ''}
        </p>
      )}
      <WhenAndWho entry={entry} heap={site} />
      {data && <CheckEffects preview={preview} />}
      <KeepBar
        entry={entry}
        label="Keep this check"
        missing={ready ? null : 'Type what it read and what it was held against.'}
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}

const PAUSE_MS = 350;
function useCheckPreview(
  data: { probe: string; referenceC: number; readC: number } | null,
  at: string | null,
): CheckPreview | 'asking' | null {
  const text =
    data === null
      ? null
      : JSON.stringify({ probe: data.probe, referenceC: data.referenceC, readC: data.readC, at });
  const [held, setHeld] = useState<{ text: string | null; answer: CheckPreview | null }>({
    text: null,
    answer: null,
  });
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (text !== null)
        previewCheck(JSON.parse(text) as Parameters<typeof previewCheck>[0]).then(
          (answer) => {
            if (current) setHeld({ text, answer });
          },
          () => {
            if (current) setHeld({ text, answer: null });
          },
        );
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text]);
  return held.text === text ? held.answer : 'asking';
}

const EffectList = ({ list }: { list: readonly CheckEffect[] }) => (
  <ul>
    {list.map((h) => (
      <li key={h.heap} className="text-[14px] leading-[1.35]">
        <b className="font-semibold">{h.heap}</b>:{' '}
        {h.effects.map((e) => `${e.rule}: ${e.text}`).join(' ')}
      </li>
    ))}
  </ul>
);

/** What the check does from now on, and what it puts in doubt behind. */
function CheckEffects({ preview }: { preview: CheckPreview | 'asking' | null }) {
  if (preview === 'asking')
    return (
      <p className="hint" aria-live="polite">
        Working out what it does to every heap that was read with it…
      </p>
    );
  if (preview === null)
    return (
      <p className="hint" aria-live="polite">
        The hub does not answer, so what it does to each heap cannot be said now.
      </p>
    );
  const { counts, doubts, since, heaps } = preview;
  return (
    <div
      aria-live="polite"
      data-testid="check-effects"
      className={`border-[1.6px] border-ink px-3 py-2 flex flex-col gap-2 ${counts.some((h) => h.effects.some((e) => e.costs)) ? 'bg-marker' : 'bg-paper'}`}
    >
      {counts.length === 0 ? (
        <p>
          Kept as it is, it corrects readings from now on; no verdict so far changes
          {heaps === 0 ? ': no heap was read with it' : ''}.
        </p>
      ) : (
        <>
          <p className="font-semibold">Kept as it is, it changes:</p>
          <EffectList list={counts} />
        </>
      )}
      {doubts.length > 0 && (
        <>
          <p className="font-semibold">
            If it was as far off ever since {since ?? 'it was first used'}, these would not stand as
            they do:
          </p>
          <EffectList list={doubts} />
          <p className="text-[13.5px]">
            Nothing is changed by that. Read these heaps again with one that you trust.
          </p>
        </>
      )}
      {doubts.length === 0 && heaps > 0 && (
        <p className="text-[13.5px]">
          Had it been as far off ever since {since ?? 'it was first used'}, every verdict of its{' '}
          {heaps} {heaps === 1 ? 'heap' : 'heaps'} would stand all the same.
        </p>
      )}
    </div>
  );
}

const KINDS = [
  { value: 'dial', label: 'Dial' },
  { value: 'digital', label: 'Digital' },
  { value: 'wireless', label: 'Wireless' },
  { value: 'glass', label: 'Glass' },
] as const;

/** What a thermometer is; its unit is the unit that is typed. */
function InstrumentForm({
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
    start(was?.stemM === undefined ? undefined : was.stemM * 100),
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
  const entry = useEntry('instrument', { ...site, id: '', name: name || 'Thermometer' }, onDone);
  const taken = line === null && names.some((n) => n.toLowerCase() === name.trim().toLowerCase());
  const whole = (v: number | null): number | null => (v === null ? null : Math.round(v));
  const [stemM, minC, maxC, accuracyK, settleS, checkDays] = [
    number(stem),
    number(min),
    number(max),
    number(accuracy),
    whole(number(settle)),
    whole(number(every)),
  ];
  const bad = [stemM, minC, maxC, accuracyK, settleS, checkDays].some(
    (v) => v !== null && !Number.isFinite(v),
  )
    ? 'A figure is not a number.'
    : stemM !== null && (stemM < 5 || stemM > 500)
      ? 'A stem is 5 to 500 cm long.'
      : minC !== null && maxC !== null && maxC <= minC
        ? 'The top of the scale must lie above its bottom.'
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
        label="Name on it"
        value={name}
        readOnly={line !== null}
        maxLength={40}
        onChange={(e) => setName(e.target.value)}
        problem={taken ? `There is a ${name.trim()} already.` : undefined}
        hint="Write it on the handle, such as T1"
      />
      <Choices
        label="Kind"
        value={kind}
        onChange={(v) => {
          if (v) setKind(v);
        }}
        columns={4}
        options={KINDS}
      />
      <Choices
        label="It shows"
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
          label="Stem"
          unit="cm"
          inputMode="decimal"
          value={stem}
          onChange={(e) => setStem(e.target.value)}
          hint="Without the handle"
        />
        <Field
          label="Stands still after"
          unit="seconds"
          inputMode="numeric"
          value={settle}
          onChange={(e) => setSettle(e.target.value)}
          hint="30 unless you say"
        />
        <Field
          label="Scale from"
          unit={`°${unit}`}
          inputMode="decimal"
          value={min}
          onChange={(e) => setMin(e.target.value)}
        />
        <Field
          label="to"
          unit={`°${unit}`}
          inputMode="decimal"
          value={max}
          onChange={(e) => setMax(e.target.value)}
        />
        <Field
          label="Right to within ±"
          unit={unit === 'F' ? '°F' : 'K'}
          inputMode="decimal"
          value={accuracy}
          onChange={(e) => setAccuracy(e.target.value)}
          hint="As its maker says"
        />
        <Field
          label="Check it every"
          unit="days"
          inputMode="numeric"
          value={every}
          onChange={(e) => setEvery(e.target.value)}
          hint="180 unless you say"
        />
      </div>
      {bad && (
        <p role="alert" className="marked font-semibold">
          {bad}
        </p>
      )}
      <Field
        label="Who"
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
        autoComplete="name"
      />
      <KeepBar
        entry={entry}
        label={line ? `Keep what ${line.name} is` : 'Register it'}
        missing={
          name.trim() === ''
            ? 'Give it a name.'
            : taken
              ? 'There is a thermometer of that name already.'
              : bad !== null
                ? 'Put right what is marked above.'
                : null
        }
        onKeep={() => entry.save({ instrument })}
      />
    </>
  );
}

function OutForm({
  line,
  site,
  onDone,
}: {
  line: InstrumentLine;
  site: HeapRef;
  onDone: () => void;
}) {
  const [why, setWhy] = useTyped('why', '');
  const entry = useEntry('instrument', { ...site, id: '', name: line.name }, onDone);
  return (
    <>
      <Field
        label="Why"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        maxLength={200}
        hint="Rounds no longer offer it; what was read with it stays as it is"
      />
      <Field
        label="Who"
        value={entry.by}
        onChange={(e) => entry.setBy(e.target.value)}
        maxLength={60}
        autoComplete="name"
      />
      <KeepBar
        entry={entry}
        label={`Take ${line.name} out of service`}
        missing={why.trim() === '' ? 'Say why.' : null}
        onKeep={() => entry.save({ instrument: { ...line.known, out: why.trim() } })}
      />
    </>
  );
}

function BackButton({ line, site }: { line: InstrumentLine; site: HeapRef }) {
  const entry = useEntry('instrument', { ...site, id: '', name: line.name }, () => undefined);
  return (
    <button
      type="button"
      className="btn"
      disabled={entry.busy}
      onClick={() => {
        const { out: _out, ...rest } = line.known!;
        entry.save({ instrument: rest });
      }}
    >
      Back in service
    </button>
  );
}

function AltitudeForm({ settings, site }: { settings: Props['settings']; site: HeapRef }) {
  const [text, setText] = useState(String(settings.altitudeM));
  const entry = useEntry('round-settings', { ...site, id: '', name: 'Altitude' }, () => undefined);
  const metres = number(text);
  const ok = metres !== null && metres >= -430 && metres <= 6000;
  return (
    <section className="flex flex-col gap-3" aria-labelledby="altitude-title">
      <h2 id="altitude-title">Where water boils here</h2>
      <Field
        label="Altitude of the site"
        unit="m"
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        problem={ok ? undefined : 'Metres above the sea, −430 to 6000.'}
        hint={
          ok
            ? `Water boils at ${temp(boilingPointC(metres), site.unit)} there, give or take 1 K with the weather`
            : undefined
        }
      />
      <KeepBar
        entry={entry}
        label="Keep the altitude"
        missing={
          !ok
            ? 'Type metres as a number.'
            : metres === settings.altitudeM
              ? 'That is the altitude it has.'
              : null
        }
        onKeep={() => entry.save({ ...settings, altitudeM: metres })}
      />
    </section>
  );
}

function AirForm({ site }: { site: HeapRef }) {
  const [value, setValue] = useState('');
  const [done, setDone] = useState('');
  const entry = useEntry('ambient', { ...site, id: '', name: 'Air' }, () => {
    setDone('The air is noted.');
    setValue('');
  });
  const read = number(value);
  return (
    <section
      className="flex flex-col gap-3 border-t-[1.6px] border-ink pt-3"
      aria-labelledby="air-title"
    >
      <h2 id="air-title">Read the air</h2>
      <Field
        label="In the shade"
        unit={`°${site.unit}`}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
      />
      <p role="status" className="hint">
        {done}
      </p>
      <KeepBar
        entry={entry}
        label="Keep the air"
        missing={
          read !== null && Number.isFinite(read) ? null : 'Type the temperature as a number.'
        }
        onKeep={() => entry.save({ value: read, unit: site.unit })}
      />
    </section>
  );
}
