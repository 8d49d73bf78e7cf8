'use client';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import type { Brought } from '@/core/formats/bring';
import { readDropped, type Dropped } from './read-dropped';
import { guessShape, type CsvOptions } from '@/core/formats/csv-readings';

/** What a table of readings does not say of its batch. */
export type BroughtBatch = {
  readonly code: string;
  readonly name: string;
  readonly method: 'turned' | 'static' | 'vessel';
  readonly builtLocal: string;
};

/** What was dropped, with what is said of it; each file has an id of its own, so that it is kept once. */
export function useBrought(start: {
  readonly unit: 'C' | 'F';
  readonly timeZone: string;
  readonly proposed: { readonly code: string; readonly name: string };
  readonly siteName: string;
}) {
  const { siteName } = start;
  const [dropped, setDropped] = useState<Dropped | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [openedId, setOpenedId] = useState(() => v7());
  const [options, setOptions] = useState<CsvOptions>({
    shape: 'long',
    unit: start.unit,
    timeZone: start.timeZone,
    dateOrder: 'dmy',
  });
  const [batch, setBatch] = useState<BroughtBatch>({
    code: start.proposed.code,
    name: start.proposed.name,
    method: 'turned',
    builtLocal: '',
  });
  const brought = useMemo<Brought | null>(() => {
    if (!dropped) return null;
    if (dropped.kind === 'file') return { kind: 'file', text: dropped.text };
    return batch.builtLocal
      ? { kind: 'csv', rows: dropped.rows, options, batch: { ...batch, siteName } }
      : null;
  }, [dropped, options, batch, siteName]);
  const take = async (file: File): Promise<void> => {
    const read = await readDropped(file);
    const isRefused = typeof read === 'string';
    setOpenedId(v7());
    setProblem(isRefused ? read : null);
    setDropped(isRefused ? null : read);
    if (!isRefused && read.kind === 'csv')
      setOptions((o) => ({ ...o, shape: guessShape(read.rows[0] ?? []) }));
  };
  return { dropped, problem, openedId, options, setOptions, batch, setBatch, brought, take };
}
export type BroughtHandle = ReturnType<typeof useBrought>;
