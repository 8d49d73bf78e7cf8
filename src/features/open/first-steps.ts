import { say } from '@/messages/say';
import { usualTemplate } from '@/core/advice/templates';
import { resolvePolicy } from '@/core/evidence/policy';
import { typed } from '@/core/quantity/typed-number';
import type { Country } from '@/core/log/kinds/vocabulary';
import { keepingOf, type Input } from '@/core/rules/propose';
import { policyForPurpose, rulesForPurpose, type Purpose } from '@/core/rules/purpose';
import type { TempUnit } from '@/core/units/units';

/** The short way from a new site to a first verdict. Pure: the forms only show it. */

export const STEPS = ['purpose', 'thermometer', 'batch', 'temperatures'] as const;
export type Step = (typeof STEPS)[number];
/** The step of that name; the first where there is none such. */
export const stepOf = (name: string | undefined): Step =>
  STEPS.find((step) => step === name) ?? 'purpose';

/** What the first step asks. */
export type AimDraft = {
  readonly purpose: Purpose | '';
  readonly method: 'turned' | 'static' | 'vessel';
  readonly inputs: readonly Input[];
  /** Where the site lies, where its time zone does not tell. */
  readonly country: Country | 'other' | '';
};
export const NEW_AIM: AimDraft = { purpose: '', method: 'turned', inputs: ['garden'], country: '' };

/** What a site works to after the first step: the data of its entry. */
export function termsOfAim(
  { method, inputs, country: said }: AimDraft,
  purpose: Purpose,
  proposed: Country | null,
): {
  readonly policy: object;
  readonly rules: readonly string[];
  readonly country?: Country | null;
} {
  const country = said === '' ? proposed : said === 'other' ? null : said;
  const keeping = keepingOf(method, usualTemplate(method));
  return {
    policy: resolvePolicy(policyForPurpose(purpose)),
    rules: rulesForPurpose(purpose, { keeping, inputs, country }),
    ...(said === '' ? {} : { country }),
  };
}

/** A point of the first check, with what was typed there. */
export type FirstPoint = { readonly id: string; readonly label: string };
/** What is wrong with a temperature as typed; null: nothing, or nothing typed. */
export const firstReadingProblem = (text: string): string | null =>
  typed(text, -100) === null ? say('instruments.typeTemperatureAsNumber') : null;

/** The data of the entry of a first check; null: nothing was typed. @param checkId of the entry */
export function firstCheckOf(
  checkId: string,
  points: readonly FirstPoint[],
  cells: Readonly<Record<string, string>>,
  unit: TempUnit,
  probe: string | null,
): object | null {
  const readings = points.flatMap(({ id }) => {
    const value = typed(cells[id] ?? '', -100);
    return typeof value === 'number'
      ? [{ id: `${checkId}-${id}`, point: id, value, unit, ...(probe ? { probe } : {}) }]
      : [];
  });
  return readings.length > 0 ? { source: 'hand', readings } : null;
}
