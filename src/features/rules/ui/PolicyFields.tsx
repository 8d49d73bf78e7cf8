'use client';
import type { Policy } from '@/core/evidence/types';
import { policyText } from '@/core/words/policy';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';

/** A policy while it is typed: numbers stay as typed until they are whole. */
export type PolicyDraft = { combine: Policy['combine']; counting: Policy['counting']; zones: readonly string[] } & Record<NumberKey, string>;
type NumberKey = 'minPoints' | 'maxGapHours' | 'turnGraceHours' | 'guardBandC' | 'roundMinutes' | 'maxBlankDays' | 'calibrationDays';

type NumberField = { key: NumberKey; label: string; unit: string; hint: string; least: number; above?: boolean; whole?: boolean; empty?: boolean };
const NUMBERS: readonly NumberField[] = [
  { key: 'minPoints', label: 'A full round has at least', unit: 'points', hint: 'A round with fewer is set aside', least: 1, whole: true },
  { key: 'maxGapHours', label: 'Longest credited time between rounds', unit: 'h', hint: 'Beyond it the run breaks', least: 0, above: true },
  { key: 'turnGraceHours', label: 'Grace after a full turning', unit: 'h', hint: 'A cold round in it pauses the run', least: 0 },
  { key: 'guardBandC', label: 'Guard band', unit: 'K', hint: 'Taken off every value, for the thermometer; 1 K is 1.8 °F', least: 0 },
  { key: 'roundMinutes', label: 'Readings that belong together', unit: 'min', hint: 'For readings without a round of their own', least: 0 },
  { key: 'maxBlankDays', label: 'Blank days in a row', unit: 'days', hint: 'Counting days only', least: 0, whole: true },
  { key: 'calibrationDays', label: 'A thermometer’s check is fresh for', unit: 'days', hint: 'Leave empty to note nothing', least: 0, above: true, empty: true },
];

export const draftOf = (p: Policy): PolicyDraft => ({
  combine: p.combine, counting: p.counting, zones: p.zones, minPoints: String(p.minPoints), maxGapHours: String(p.maxGapHours), turnGraceHours: String(p.turnGraceHours),
  guardBandC: String(p.guardBandC), roundMinutes: String(p.roundMinutes), maxBlankDays: String(p.maxBlankDays), calibrationDays: p.calibrationDays === null ? '' : String(p.calibrationDays),
});

const numberOf = (text: string): number => Number(text.trim().replace(',', '.'));

function problemOf(f: NumberField, d: PolicyDraft): string | undefined {
  const text = d[f.key].trim();
  if (text === '') return f.empty ? undefined : 'Type a number.';
  const n = numberOf(text);
  if (!Number.isFinite(n) || (f.whole && !Number.isInteger(n))) return f.whole ? 'Type a whole number.' : 'Type a number.';
  if (n < f.least || (f.above && n === f.least)) return f.above ? `Must be above ${f.least}.` : `Must be ${f.least} or more.`;
  if (f.key === 'turnGraceHours' && n > numberOf(d.maxGapHours)) return 'Must not be longer than the longest time between rounds.';
  return undefined;
}

/** The policy that a draft stands for; null while something in it is wrong. */
export function policyOf(d: PolicyDraft): Policy | null {
  if (NUMBERS.some((f) => problemOf(f, d) !== undefined)) return null;
  const n = (key: NumberKey): number => numberOf(d[key]);
  return {
    combine: d.combine, counting: d.counting, zones: d.zones as Policy['zones'], minPoints: n('minPoints'), maxGapHours: n('maxGapHours'), turnGraceHours: n('turnGraceHours'),
    guardBandC: n('guardBandC'), roundMinutes: n('roundMinutes'), maxBlankDays: n('maxBlankDays'), calibrationDays: d.calibrationDays.trim() === '' ? null : n('calibrationDays'),
  };
}

/** The evidence policy, field by field, with the sentence that it will print beside every verdict. */
export function PolicyFields({ draft, onChange, unit }: { draft: PolicyDraft; onChange: (d: PolicyDraft) => void; unit: 'C' | 'F' }) {
  const set = (change: Partial<PolicyDraft>): void => onChange({ ...draft, ...change });
  const policy = policyOf(draft);
  return (
    <div className="flex flex-col gap-4">
      <Choices label="A round is worth" value={draft.combine} columns={3} onChange={(v) => { if (v) set({ combine: v }); }} options={[{ value: 'coldest', label: 'Coldest point', hint: 'the careful one' }, { value: 'median', label: 'Median' }, { value: 'mean', label: 'Mean', hint: 'hides a cold side' }]} />
      <Choices label="Time is counted in" value={draft.counting} onChange={(v) => { if (v) set({ counting: v }); }} options={[{ value: 'hours', label: 'Hours', hint: 'as they pass' }, { value: 'days', label: 'Calendar days', hint: 'each day read hot' }]} />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(215px,1fr))] gap-x-4 gap-y-2 items-start">
        {NUMBERS.filter((f) => f.key !== 'maxBlankDays' || draft.counting === 'days').map((f) => (
          <Field key={f.key} label={f.label} unit={f.unit} inputMode="decimal" value={draft[f.key]} hint={f.hint} problem={problemOf(f, draft)} onChange={(e) => set({ [f.key]: e.target.value } as Partial<PolicyDraft>)} />
        ))}
      </div>
      <fieldset><legend className="label">Places that take part</legend>
        <div className="flex gap-5 flex-wrap">{(['core', 'middle', 'edge'] as const).map((z) => (
          <label key={z} className="flex gap-2 items-center min-h-[44px]"><input type="checkbox" className="size-5" checked={draft.zones.includes(z)} onChange={(e) => set({ zones: e.target.checked ? [...draft.zones, z] : draft.zones.filter((x) => x !== z) })} />{z}</label>
        ))}</div>
        <p className="hint">A place that names no zone always takes part. The others are recorded and shown.</p>
      </fieldset>
      <p className="border-l-4 border-ink pl-3" aria-live="polite">{policy ? policyText(policy, unit) : 'Put the marked figures right, and this says how a heap is judged.'}</p>
    </div>
  );
}
