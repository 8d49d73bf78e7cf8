'use client';
import { localParts } from '@/core/quantity/calendar';
import { say } from '@/messages/say';
import { typedQuantity, type FieldQuantity } from '@/core/quantity/typed-quantity';
import { figureWithUnit } from '@/core/quantity/format';
import type { DriftPoint } from '@/core/evidence/drift';
import type { Instrument } from '@/core/log/shapes';
import { fromCelsius, type TempUnit } from '@/core/units/units';
import { type HeapRef } from '@/entry/ui/useEntry';

export type InstrumentLine = {
  readonly name: string;
  readonly known: Instrument | null;
  readonly due: { readonly text: string; readonly late: boolean } | null;
  readonly drift: readonly DriftPoint[];
  readonly checks: readonly {
    readonly entry: string;
    readonly when: string;
    readonly referenceC: number;
    readonly readC: number;
    readonly off: boolean;
  }[];
};

export type Props = {
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

/** What a field of a quantity says; null: nothing; NaN: no number. */
export function readQuantity(quantity: FieldQuantity, text: string): number | null {
  const value = typedQuantity(quantity, text, -Infinity);
  return value === undefined ? null : (value ?? NaN);
}

export const number = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.replace(',', '.'));

const KIND_WORD = {
  get dial() {
    return say('instruments.dial2');
  },
  get digital() {
    return say('instruments.digital2');
  },
  get wireless() {
    return say('instruments.wirelessProbe');
  },
  get glass() {
    return say('instruments.glass2');
  },
} as const;

export const temp = (c: number, unit: TempUnit): string =>
  `${fromCelsius(c, unit).toFixed(1)} °${unit}`;

export const day = (at: number): string => {
  const { day: of, month } = localParts('UTC', at);
  return `${of} ${month}`;
};

/** What a thermometer is, in a line. */
export const facts = (i: Instrument | null): string =>
  i === null
    ? say('instruments.notDescribedYet')
    : [
        KIND_WORD[i.kind],
        i.stemM !== undefined && figureWithUnit('length', i.stemM),
        say('instruments.reads', { unit: i.unit }),
        i.minC !== undefined &&
          i.maxC !== undefined &&
          say('instruments.scaleTo', { minC: temp(i.minC, i.unit), maxC: temp(i.maxC, i.unit) }),
        i.accuracyK !== undefined && `± ${figureWithUnit('kelvin', i.accuracyK)}`,
        i.settleS && say('instruments.settlingTimeS', { settleS: i.settleS }),
      ]
        .filter(Boolean)
        .join(' · ');
