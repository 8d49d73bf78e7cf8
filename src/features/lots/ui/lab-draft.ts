import Papa from 'papaparse';
import type { Basis, LabResult } from '@/core/release/limits';

/** Laboratory results as they are typed or pasted. */

export type LabLine = {
  readonly analyte: string;
  /** As on the sheet: `12.5`, `< 5`, `> 1000`, `absent`. */ readonly value: string;
  readonly unit: string;
  /** `not-understood`: the sheet says something that is not understood. */ readonly basis:
    Basis | '' | 'not-understood';
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

/** Whether a value is one as laboratories write them. */
export const isReadable = (value: string): boolean => valueOf(value) !== null;

/** The result that a line stands for; null: something is missing, or the value cannot be read. */
export function resultOf({ analyte, value, unit, basis }: LabLine): LabResult | null {
  const read = valueOf(value);
  if (analyte.trim() === '' || unit.trim() === '' || read === null || basis === 'not-understood')
    return null;
  return {
    analyte: analyte.trim(),
    value: read,
    unit: unit.trim(),
    basis: basis === '' ? null : basis,
  };
}

/** What laboratories write of dry and of fresh matter (common practice). */
const DRY = /^(dry|dry matter|dry weight|dry basis|d\.?m\.?|d\.?w\.?|seco|materia seca|m\.?s\.?)$/i;
const FRESH =
  /^(fresh|fresh matter|fresh weight|wet|wet weight|as received|as is|f\.?m\.?|f\.?w\.?|fresco|materia fresca|m\.?f\.?)$/i;

/** What a value is a share of; `''`: nothing is said. @returns `not-understood` where something is said that is not understood */
function basisOf(text: string): LabLine['basis'] {
  const tidy = text.trim();
  if (tidy === '') return '';
  return DRY.test(tidy) ? 'dry' : FRESH.test(tidy) ? 'fresh' : 'not-understood';
}

/** Lines of a table with a header that names analyte, value, unit and basis; columns that are not there stay empty. */
export function readLabCsv(text: string): LabLine[] {
  const { data } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  return data.flatMap((row) => {
    return row.analyte && row.value
      ? [
          {
            analyte: row.analyte.trim(),
            value: row.value.trim(),
            unit: (row.unit ?? '').trim(),
            basis: basisOf(row.basis ?? ''),
          },
        ]
      : [];
  });
}
