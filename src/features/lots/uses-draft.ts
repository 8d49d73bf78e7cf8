import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import { typed } from '@/core/quantity/typed-number';
import type { TestKind } from '@/core/log/test-shapes';
import { listLimits, type LimitSet } from '@/core/release/limit-sets';
import type { LabLimit } from '@/core/release/limits';
import type { Force, ReleaseItem, Use } from '@/core/release/uses';

/** What is typed of a use and of limits of one's own, and what it stands for. */

export type UseDraft = {
  readonly asks: Readonly<Partial<Record<ReleaseItem, Force>>>;
  readonly leastDays: string;
  readonly atLeast: string;
  readonly tests: readonly TestKind[];
  readonly germinationPct: string;
  readonly flaskClass: string;
  readonly mesh: string;
  readonly limitSets: readonly string[];
};

/** A use as it is, to be changed. */
export const draftOfUse = (use: Use): UseDraft => ({
  asks: use.asks,
  leastDays: String(use.leastDays),
  atLeast: String(use.maturity.atLeast),
  tests: use.maturity.of,
  germinationPct: String(use.germinationPct),
  flaskClass: String(use.flaskClass),
  mesh: use.meshMm === null ? '' : shownQuantity('mm', use.meshMm, 2),
  limitSets: use.limitSets,
});

/** What a draft stands for; null: a number in it cannot be read. */
export function useDataOf(d: UseDraft): Record<string, unknown> | null {
  const [days, atLeast, germinationPct] = [d.leastDays, d.atLeast, d.germinationPct].map((t) =>
    typed(t),
  );
  const mesh = typedQuantity('mm', d.mesh);
  if (![days, atLeast, germinationPct].every((n) => typeof n === 'number')) return null;
  if (mesh === null) return null;
  return {
    asks: d.asks,
    leastDays: Math.round(Number(days)),
    maturity: { atLeast: Math.round(Number(atLeast)), of: d.tests },
    germinationPct,
    flaskClass: Number(d.flaskClass),
    limitSets: d.limitSets,
    meshMm: mesh ?? null,
  };
}

export const LIMIT_KINDS = ['max', 'below', 'min', 'absent'] as const;
export type LimitKind = (typeof LIMIT_KINDS)[number];
export type LimitDraft = {
  readonly analyte: string;
  readonly unit: string;
  readonly basis: 'dry' | 'fresh' | '';
  readonly kind: LimitKind;
  readonly limit: string;
};
export const EMPTY_LIMIT: LimitDraft = { analyte: '', unit: '', basis: '', kind: 'max', limit: '' };

const kindOfAsk = (ask: LabLimit['ask']): LimitKind =>
  ask.kind === 'max' ? (ask.below ? 'below' : 'max') : ask.kind === 'min' ? 'min' : 'absent';

/** A set of one's own as it is, to be changed. */
export const draftOfLimits = (set: LimitSet): LimitDraft[] =>
  listLimits(set.limits).map(({ analyte, unit, basis, ask }) => ({
    ...{ analyte, unit, basis: basis ?? '', kind: kindOfAsk(ask) },
    limit: ask.kind === 'max' || ask.kind === 'min' ? String(ask.limit) : '',
  }));

/** The limit that a line stands for; null: something is missing in it. */
export function limitOf(line: LimitDraft): LabLimit | null {
  const limit = typed(line.limit);
  const [analyte, unit] = [line.analyte.trim(), line.unit.trim()];
  if (analyte === '' || unit === '') return null;
  const of = { analyte, unit, basis: line.basis === '' ? null : line.basis };
  if (line.kind === 'absent') return { ...of, ask: { kind: 'absent' } };
  if (typeof limit !== 'number') return null;
  if (line.kind === 'min') return { ...of, ask: { kind: 'min', limit } };
  const below = line.kind === 'below' ? { below: true } : {};
  return { ...of, ask: { kind: 'max', limit, ...below } };
}
