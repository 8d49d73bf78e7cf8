import { say } from '@/messages/say';
import { getRequirementDescription } from '@/core/evidence/requirements';
import type { FormInput, TypedRequirement } from '@/core/evidence/requirements/description';
import type { Leaf, Requirement } from '@/core/evidence/rule';
import { fromCelsius, toCelsius, type TempUnit } from '@/core/units/units';
import { ruleIdFor, type RuleDraft } from './input';
import { firstOf } from '@/core/quantity/present';

/** A rule as it is typed: texts, in the unit of whoever types. */

export type RequirementDraft = { kind: Leaf['kind']; row: 'yes' | 'no'; moist: boolean } & Record<
  FormInput['key'],
  string
>;
export type TypedRule = {
  id: string | null;
  title: string;
  document: string;
  join: 'anyOf' | 'allOf';
  clock: 'germs' | 'seeds';
  methods: readonly ('turned' | 'static' | 'vessel')[];
  parts: readonly RequirementDraft[];
};

const figure = (n: number): string => String(Number(n.toPrecision(12)));
const degrees = (celsius: number | undefined, unit: TempUnit): string =>
  celsius === undefined ? '' : figure(fromCelsius(celsius, unit));

export const emptyPart = (unit: TempUnit): RequirementDraft => ({
  kind: 'hold',
  row: 'yes',
  moist: false,
  floor: degrees(55, unit),
  ceiling: '',
  days: '3',
  turnings: '0',
  innerFloor: degrees(55, unit),
  innerHours: '4',
  mean: degrees(45, unit),
});
export const newDraft = (unit: TempUnit): TypedRule => ({
  id: null,
  title: '',
  document: '',
  join: 'anyOf',
  clock: 'germs',
  methods: ['turned', 'static', 'vessel'],
  parts: [emptyPart(unit)],
});

const num = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));

/** Whether what stands in a field is no number, where one is asked for. */
export const isMistyped = (part: RequirementDraft, { key, empty }: FormInput): boolean =>
  part[key].trim() === '' ? empty === undefined : !Number.isFinite(num(part[key]));

/** A part turned into another kind: it keeps what was typed, and asks for the turnings that the kind cannot be without. */
export function withKind(part: RequirementDraft, kind: RequirementDraft['kind']): RequirementDraft {
  const { minTurnings } = getRequirementDescription(kind).form;
  return {
    ...part,
    kind,
    ...(num(part.turnings) < minTurnings ? { turnings: '3' } : {}),
  };
}

function typedOf(p: RequirementDraft, unit: TempUnit): TypedRequirement {
  const celsius = (text: string): number => toCelsius(num(text), unit);
  return {
    floor: celsius(p.floor),
    ceiling: p.ceiling.trim() === '' ? undefined : celsius(p.ceiling),
    days: num(p.days),
    turnings: num(p.turnings),
    innerFloor: celsius(p.innerFloor),
    innerHours: num(p.innerHours),
    mean: celsius(p.mean),
    inARow: p.row === 'yes',
    moist: p.moist,
  };
}

const requirementOf = (p: RequirementDraft, unit: TempUnit): Leaf =>
  getRequirementDescription(p.kind).form.read(typedOf(p, unit));

const TEMPERATURES = ['floor', 'ceiling', 'innerFloor', 'mean'] as const;
const COUNTS = ['days', 'turnings', 'innerHours'] as const;

function partOf(r: Requirement, unit: TempUnit): RequirementDraft {
  const empty = emptyPart(unit);
  if ('of' in r) return empty;
  const written = getRequirementDescription(r.kind).form.write(r);
  const texts = Object.fromEntries([
    ...TEMPERATURES.filter((key) => key in written).map((key) => [
      key,
      degrees(written[key], unit),
    ]),
    ...COUNTS.flatMap((key) => {
      const value = written[key];
      return value === undefined ? [] : [[key, figure(value)]];
    }),
  ]) as Partial<RequirementDraft>;
  return {
    ...empty,
    ...texts,
    kind: r.kind,
    ...(written.inARow === undefined ? {} : { row: written.inARow ? 'yes' : 'no' }),
    ...(written.moist === undefined ? {} : { moist: written.moist }),
  };
}

export const draftFrom = (rule: RuleDraft, unit: TempUnit): TypedRule => ({
  id: rule.id,
  title: rule.title,
  document: rule.document ?? '',
  clock: rule.clock ?? 'germs',
  methods: rule.methods ?? ['turned', 'static', 'vessel'],
  join: rule.requirement.kind === 'allOf' ? 'allOf' : 'anyOf',
  parts: ('of' in rule.requirement ? rule.requirement.of : [rule.requirement]).map((r) =>
    partOf(r, unit),
  ),
});

export function ruleOf(d: TypedRule, unit: TempUnit, taken: readonly string[]): RuleDraft {
  const parts = d.parts.map((p) => requirementOf(p, unit));
  return {
    id: d.id ?? ruleIdFor(d.title, taken),
    title: d.title.trim(),
    jurisdiction: say('rules.thisSite'),
    document: d.document.trim() || say('formats.theSitesOwnRule'),
    fromMemory: false,
    clock: d.clock,
    methods: [...d.methods],
    conditions: [],
    requirement: parts.length === 1 ? firstOf(parts) : { kind: d.join, of: parts },
  };
}
