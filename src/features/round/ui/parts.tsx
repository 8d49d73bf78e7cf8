'use client';
import { say } from '@/messages/say';
import { useEffect, useState } from 'react';
import { ToggleGroup } from 'radix-ui';
import { CAUTION } from '@/core/words/caution';
import { pestsOf, type Pest } from '@/core/log/kinds/vocabulary';
import { keysOf, SMELL_WORDS, SQUEEZE_WORDS } from '@/core/words/feel';
import { SKIP_WORDS, type SkipReason } from '@/core/words/skip';
import { celsiusToFahrenheit, toCelsius, type TempUnit } from '@/core/units/units';
import { tempFigure, upperFirst } from '@/core/quantity/format';
import type { ReadingMark } from '@/core/log/shapes';
import { Hand } from '@/charts/Hand';
import type { Feel } from '../round-walk';
import { stopwatch, type ReadingHandle } from './useReading';

/** `57.2 °C` in a unit, and the other unit beside it. */
export const figure = (c: number, unit: TempUnit): string => tempFigure(c, unit, 1);
export const otherUnitText = (value: number, unit: TempUnit): string =>
  unit === 'C'
    ? `${celsiusToFahrenheit(value).toFixed(0)} °F`
    : `${toCelsius(value, 'F').toFixed(1)} °C`;
export const changeText = (by: number, unit: TempUnit): string =>
  `${by > 0 ? '+' : by < 0 ? '−' : '±'}${Math.abs(unit === 'F' ? by * 1.8 : by).toFixed(1)}`;

/** Seconds since the probe came to this place, as a ring that closes when the instrument has had its time. */
export function Settle({ since, seconds }: { since: number; seconds: number }) {
  const [now, setNow] = useState(since);
  useEffect(() => {
    const tick = (): void => setNow(stopwatch());
    tick();
    const timer = setInterval(tick, 500);
    return () => clearInterval(timer);
  }, [since]);
  const gone = Math.max(0, Math.floor((now - since) / 1000));
  const left = Math.max(0, seconds - gone);
  const c = 2 * Math.PI * 23;
  return (
    <div
      className="flex items-center gap-1.5"
      role="timer"
      aria-label={left > 0 ? say('round.secondsToSettle', { left }) : 'settled'}
    >
      <svg width={56} height={56} viewBox="0 0 56 56" aria-hidden="true">
        <circle cx={28} cy={28} r={23} fill="none" stroke="var(--color-rule)" strokeWidth={6} />
        <circle
          cx={28}
          cy={28}
          r={23}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={6}
          strokeDasharray={`${c * Math.min(1, gone / seconds)} ${c}`}
          transform="rotate(-90 28 28)"
        />
        <text
          x={28}
          y={33.5}
          textAnchor="middle"
          className="disp"
          fontSize={15.5}
          fontWeight={700}
          fill="var(--color-ink)"
        >
          {left > 0 ? `${left} s` : 'ok'}
        </text>
      </svg>
      <span className="text-small leading-[1.2] q">
        {left > 0 ? (
          <>
            {say('round.letIt')}
            <br />
            {say('round.settle')}
          </>
        ) : (
          <>
            {say('round.steady')}
            <br />
            {say('round.still')}
          </>
        )}
      </span>
    </div>
  );
}

const MARKS: readonly { readonly mark: ReadingMark; readonly label: string }[] = [
  {
    mark: 'rising',
    get label() {
      return say('round.stillRising');
    },
  },
  {
    mark: 'atLeast',
    get label() {
      return say('round.atLeast');
    },
  },
  {
    mark: 'about',
    get label() {
      return say('round.about');
    },
  },
];
/** What the marks of a value need of it. */
export type MarksHandle = {
  readonly marks: ReadingHandle['marks'];
  readonly mark: ReadingHandle['mark'];
  readonly low: ReadingHandle['low'];
  readonly range: ReadingHandle['range'];
  readonly value: ReadingHandle['value'];
};

/** How sure the value is. Kept as it is said, never made exact. */
export function Marks({ reading, height }: { reading: MarksHandle; height: string }) {
  const button = (
    label: string,
    on: boolean,
    press: () => void,
    disabled = false,
  ): React.ReactNode => (
    <button
      key={label}
      type="button"
      aria-pressed={on}
      disabled={disabled}
      onClick={press}
      className={`border-[1.5px] border-ink rounded-glove px-1 text-body leading-[1.1] font-semibold ${height} ${on ? 'bg-ink text-sheet' : 'bg-paper'} disabled:border-dashed disabled:text-ink-3`}
    >
      {label}
    </button>
  );
  return (
    <div className="grid grid-cols-4 gap-[7px]" role="group" aria-label={say('round.howCertain')}>
      {MARKS.map(({ mark, label }) =>
        button(label, reading.marks.includes(mark), () => reading.mark(mark)),
      )}
      {button(
        say('round.range'),
        reading.low !== null,
        reading.range,
        reading.low === null && reading.value === null,
      )}
    </div>
  );
}

/** Why something is left out, one tap each. */
export function SkipChoice({
  title,
  onChoose,
  onBack,
}: {
  title: string;
  onChoose: (reason: SkipReason) => void;
  onBack: () => void;
}) {
  return (
    <div className="flex flex-col gap-2.5">
      <h2>{title}</h2>
      <div className="grid grid-cols-2 gap-2">
        {keysOf(SKIP_WORDS).map((r) => (
          <button key={r} type="button" className="btn !min-h-row" onClick={() => onChoose(r)}>
            {upperFirst(SKIP_WORDS[r])}
          </button>
        ))}
      </div>
      <button type="button" className="btn !min-h-glove" onClick={onBack}>
        {say('round.back')}
      </button>
    </div>
  );
}

const listSmells = () => keysOf(SMELL_WORDS).map((v) => [v, SMELL_WORDS[v]] as const);
const listColours = () =>
  [
    ['as-built', say('round.asBuilt')],
    ['browning', say('round.turningBrown')],
    ['dark', say('round.darkBrown')],
    ['ashy', say('round.grayAshy')],
  ] as const;

type Pick<T extends string> = readonly (readonly [T, string])[];
function Pick<T extends string>({
  label,
  value,
  options,
  columns,
  onChange,
}: {
  label: string;
  value: T | undefined;
  options: Pick<T>;
  columns: string;
  onChange: (v: T | undefined) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      value={value ?? ''}
      onValueChange={(v) => onChange(v === '' ? undefined : (v as T))}
      aria-label={label}
      className={`grid gap-2 ${columns}`}
    >
      {options.map(([v, words]) => (
        <ToggleGroup.Item
          key={v}
          value={v}
          className="choice !min-h-glove !px-1 !text-[15.5px] !rounded-glove"
        >
          {words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

const without = (feel: Feel, key: keyof Feel): Feel =>
  Object.fromEntries(Object.entries(feel).filter(([k]) => k !== key));
const put = <K extends keyof Feel>(feel: Feel, key: K, value: Feel[K] | undefined): Feel =>
  value === undefined ? without(feel, key) : { ...feel, [key]: value };

type Seen = {
  readonly label: string;
  readonly on: (f: Feel) => boolean;
  readonly flip: (f: Feel) => Feel;
};
const chip = <K extends keyof Feel>(label: string, key: K, value: NonNullable<Feel[K]>): Seen => ({
  label,
  on: (f) => f[key] === value,
  flip: (f) => put(f, key, f[key] === value ? undefined : value),
});
/** Flies and rats may both be there. */
const pestChip = (label: string, pest: Pest): Seen => {
  const seen = (f: Feel): readonly Pest[] => (f.pests === undefined ? [] : pestsOf(f.pests));
  return {
    label,
    on: (f) => seen(f).includes(pest),
    flip: (f) => {
      const now = seen(f).includes(pest) ? seen(f).filter((p) => p !== pest) : [...seen(f), pest];
      return put(f, 'pests', now.length === 0 ? undefined : [...now]);
    },
  };
};
const LOOKED = ['growth', 'steam', 'pests', 'seepage'] as const;
const listSeen = (): readonly Seen[] => [
  {
    get label() {
      return say('round.noneOfThese');
    },
    on: (f) => LOOKED.every((k) => f[k] === 'none'),
    flip: (f) =>
      LOOKED.reduce<Feel>(
        (a, k) => put(a, k, LOOKED.every((x) => f[x] === 'none') ? undefined : 'none'),
        f,
      ),
  },
  chip(say('round.whiteMold'), 'growth', 'white'),
  chip(say('round.grayMold'), 'growth', 'grey'),
  chip(say('round.steam'), 'steam', 'some'),
  pestChip(say('round.flies'), 'flies'),
  pestChip(say('round.rats'), 'rats'),
  chip(say('round.seepage'), 'seepage', 'some'),
  chip(say('round.coverOn'), 'cover', 'on'),
  chip(say('round.coverOff'), 'cover', 'off'),
];

/** Squeeze, smell, colour, and what is seen: one tap each, and none of them asked for. */
export function FeelFields({
  feel,
  places,
  coldest,
  onChange,
}: {
  feel: Feel;
  places: readonly string[];
  coldest: string | null;
  onChange: (feel: Feel) => void;
}) {
  const section = 'flex flex-col gap-2';
  return (
    <>
      <section className={section} aria-labelledby="squeeze-title">
        <h2 id="squeeze-title">{say('round.squeezeTestSqueezeHandfulHard')}</h2>
        <ToggleGroup.Root
          type="single"
          value={feel.squeeze ?? ''}
          onValueChange={(v) =>
            onChange(
              v === ''
                ? without(without(feel, 'squeeze'), 'sample')
                : {
                    ...put(feel, 'squeeze', v as NonNullable<Feel['squeeze']>),
                    ...(feel.sample === undefined && coldest !== null ? { sample: coldest } : {}),
                  },
            )
          }
          aria-labelledby="squeeze-title"
          className="grid grid-cols-2 gap-2"
        >
          {keysOf(SQUEEZE_WORDS).map((v) => (
            <ToggleGroup.Item
              key={v}
              value={v}
              className="choice !min-h-[74px] !px-2 gap-2 !justify-start !text-left !rounded-glove"
            >
              <Hand state={v} chosen={feel.squeeze === v} />
              <span className="leading-[1.2]">
                <b className="block text-lead font-[650]">{SQUEEZE_WORDS[v].word}</b>
                <span className="font-normal text-small">{SQUEEZE_WORDS[v].means}</span>
              </span>
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <div className="flex items-center gap-2 text-body">
          <label htmlFor="sample" className="q whitespace-nowrap">
            {say('round.anArmsDepthInsideAt')}
          </label>
          <select
            id="sample"
            className="field !min-h-choice"
            value={feel.sample ?? coldest ?? ''}
            onChange={(e) => onChange(put(feel, 'sample', e.target.value))}
          >
            {places.map((p) => (
              <option key={p} value={p}>
                {p}
                {p === coldest ? say('round.coldest') : ''}
              </option>
            ))}
          </select>
        </div>
      </section>
      <section className={section} aria-labelledby="smell-title">
        <h2 id="smell-title">{say('round.smell')}</h2>
        <Pick
          label={say('round.smell')}
          value={feel.smell}
          options={listSmells()}
          columns="grid-cols-4"
          onChange={(v) => onChange(put(feel, 'smell', v))}
        />
        {feel.smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      </section>
      <section className={section} aria-labelledby="seen-title">
        <h2 id="seen-title">{say('round.whatYouSee')}</h2>
        <div className="grid grid-cols-3 gap-2" role="group" aria-labelledby="seen-title">
          {listSeen().map((s) => (
            <button
              key={s.label}
              type="button"
              aria-pressed={s.on(feel)}
              onClick={() => onChange(s.flip(feel))}
              className={`choice !min-h-glove !px-1 !text-control !rounded-glove ${s.on(feel) ? '!bg-ink !text-sheet' : ''}`}
            >
              {s.label}
            </button>
          ))}
        </div>
        {feel.growth === 'grey' && (
          <p className="caution">{say('round.grayDustyMoldThrowsSpores')}</p>
        )}
      </section>
      <section className={section} aria-labelledby="colour-title">
        <h2 id="colour-title">{say('round.colorInside')}</h2>
        <Pick
          label={say('round.colorInside')}
          value={feel.colour}
          options={listColours()}
          columns="grid-cols-2 sm:grid-cols-4"
          onChange={(v) => onChange(put(feel, 'colour', v))}
        />
      </section>
      <section className={section} aria-labelledby="level-title">
        <h2 id="level-title">{say('round.levelBelowFirstMark')}</h2>
        <div className="grid grid-cols-[72px_1fr_72px] gap-2 items-center">
          <button
            type="button"
            className="btn !min-h-glove !text-number"
            aria-label={say('round.n5CmHigher', { step: 5 })}
            onClick={() => onChange(put(feel, 'sunkCm', Math.max(0, (feel.sunkCm ?? 0) - 5)))}
          >
            −
          </button>
          <output className="disp text-number font-bold text-center">
            {feel.sunkCm === undefined
              ? say('round.notMeasured')
              : say('round.cm', { sunkCm: feel.sunkCm })}
          </output>
          <button
            type="button"
            className="btn !min-h-glove !text-number"
            aria-label={say('round.n5CmLower', { step: 5 })}
            onClick={() => onChange(put(feel, 'sunkCm', (feel.sunkCm ?? 0) + 5))}
          >
            +
          </button>
        </div>
      </section>
    </>
  );
}
