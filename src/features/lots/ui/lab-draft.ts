import Papa from 'papaparse';
import type { Basis, LabResult } from '@/core/release/limits';

/** Laboratory results as they are typed or pasted. */

export type LabLine = {
  readonly analyte: string;
  /** As on the sheet: `12.5`, `< 5`, `> 1000`, `absent`. */ readonly value: string;
  readonly unit: string;
  readonly basis: Basis | '';
};

/** Words for what was looked for and not found, and for what was, as laboratories write them. */
const ABSENT = /^(absent|not detected|nd|ausente|no detectado)$/i;
const PRESENT = /^(present|detected|presente|detectado)$/i;

function valueOf(text: string): LabResult['value'] | null {
  const tidy = text.trim();
  if (ABSENT.test(tidy)) return { is: 'found', present: false };
  if (PRESENT.test(tidy)) return { is: 'found', present: true };
  const m = /^([<>])?\s*(\d+(?:[.,]\d+)?)$/.exec(tidy);
  if (!m?.[2]) return null;
  return {
    is: 'figure',
    n: Number(m[2].replace(',', '.')),
    mark: (m[1] as '<' | '>' | undefined) ?? null,
  };
}

/** The result that a line stands for; null: something is missing, or the value cannot be read. */
export function resultOf({ analyte, value, unit, basis }: LabLine): LabResult | null {
  const read = valueOf(value);
  if (analyte.trim() === '' || unit.trim() === '' || read === null) return null;
  return {
    analyte: analyte.trim(),
    value: read,
    unit: unit.trim(),
    basis: basis === '' ? null : basis,
  };
}

/** Lines of a table with a header that names analyte, value, unit and basis; columns that are not there stay empty. */
export function readLabCsv(text: string): LabLine[] {
  const { data } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  return data.flatMap((row) => {
    const basis = (row.basis ?? '').trim().toLowerCase();
    return row.analyte && row.value
      ? [
          {
            analyte: row.analyte.trim(),
            value: row.value.trim(),
            unit: (row.unit ?? '').trim(),
            basis: basis === 'dry' || basis === 'fresh' ? basis : ('' as const),
          },
        ]
      : [];
  });
}
