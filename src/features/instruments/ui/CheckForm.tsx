'use client';
import { useEffect, useState } from 'react';
import { toCelsius } from '@/core/quantity/units';
import { boilingPointC } from '@/core/quantity/water';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { previewCheck } from '../server/actions';
import type { CheckEffect, CheckPreview } from '../server/actions';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { type InstrumentLine, number, temp } from './instrumentParts';

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
export function CheckForm({
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
      <ol className="list-decimal pl-5 text-control leading-[1.4]">
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
            <p className="disp text-number font-bold min-h-target flex items-center">
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
      <li key={h.heap} className="text-small leading-[1.35]">
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
          <p className="text-hint">
            Nothing is changed by that. Read these heaps again with one that you trust.
          </p>
        </>
      )}
      {doubts.length === 0 && heaps > 0 && (
        <p className="text-hint">
          Had it been as far off ever since {since ?? 'it was first used'}, every verdict of its{' '}
          {heaps} {heaps === 1 ? 'heap' : 'heaps'} would stand all the same.
        </p>
      )}
    </div>
  );
}
