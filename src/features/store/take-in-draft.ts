import { say } from '@/messages/say';
import type { CropFamily } from '@/core/log/kinds/vocabulary';
import type { Amount, LoadState, OwnMeasure } from '@/core/log/store-shapes';
import type { AcceptReason } from '@/core/log/store-shapes';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { permissionOf, strictestAnswer } from '@/core/mix/store';
import { RIPENING, type Ripening } from '@/core/mix/words';
import { MS } from '@/core/quantity/instant';
import { typed } from '@/core/quantity/typed-number';
import type { MaterialOption } from './view';

/** A load as it is typed at the gate, and what follows from it. Pure: the form only shows it. */

export type LoadAnswer = 'accept' | 'ask' | 'refuse';
export type TakeInDraft = {
  readonly find: string;
  readonly materialId: string;
  readonly what: string;
  readonly amount: { readonly n: string; readonly unit: string; readonly about: boolean };
  readonly state: LoadState | '';
  readonly supplier: string;
  readonly sprayed: 'no' | 'yes' | 'unknown' | '';
  readonly seeds: 'yes' | 'no' | 'unknown' | '';
  /** Family of crops of which diseased plants are in it. */
  readonly diseased: CropFamily | '';
  readonly certificate: string;
  readonly cost: string;
  readonly where: string;
  readonly waste: boolean;
  /** '': as the site's list answers. */
  readonly answer: LoadAnswer | '';
  /** Why it is accepted though the site asks about it or refuses it. */
  readonly because: AcceptReason | '';
  readonly asked: string;
  readonly done: string;
  readonly ripening: Ripening | '';
  readonly days: string;
  readonly words: string;
  /** Local time it came; null: now. */
  readonly at: string | null;
};

export const newTakeInDraft = (measures: readonly Pick<OwnMeasure, 'id'>[]): TakeInDraft => ({
  find: '',
  materialId: '',
  what: '',
  amount: {
    n: '',
    unit: measures.find((m) => m.id === 'barrow')?.id ?? measures[0]?.id ?? 'L',
    about: false,
  },
  state: 'fresh',
  supplier: '',
  sprayed: '',
  seeds: '',
  diseased: '',
  certificate: '',
  cost: '',
  where: '',
  waste: true,
  answer: '',
  because: '',
  asked: '',
  done: '',
  ripening: '',
  days: '',
  words: '',
  at: null,
});

/** What follows from a draft. */
export type TakeInReading = {
  readonly material: MaterialOption | null;
  readonly given: LoadAnswer | '';
  /** A permission that covers it, in words; null: none does. */ readonly permitted: string | null;
  /** Accepted though the site asks about it or refuses it: that needs a reason, and somebody who keeps records. */
  readonly isException: boolean;
  readonly amount: Amount | null;
  readonly amountProblem: string | undefined;
  /** Why it cannot be logged yet; null: it can. */
  readonly missing: string | null;
};

type Gatekeeper = {
  /** Who takes it in, as typed. */ readonly by: string;
  /** Whether they may accept what the site asks about or refuses. */ readonly mayAccept: boolean;
};

/** Reads a draft. */
export function readTakeIn(
  d: TakeInDraft,
  materials: readonly MaterialOption[],
  measures: readonly OwnMeasure[],
  keeper: Gatekeeper,
): TakeInReading {
  const material = materials.find((m) => m.id === d.materialId) ?? null;
  const n = typed(d.amount.n);
  const permitted = material ? permissionOf(material.permissions, d.supplier.trim()) : undefined;
  const listed = material ? (permitted ? 'accept' : strictestAnswer(material.answers)) : '';
  const given: LoadAnswer | '' = d.answer || listed;
  const reading = {
    material,
    given,
    permitted: permitted?.text ?? null,
    isException: given === 'accept' && listed !== 'accept' && listed !== '',
    amount: amountTyped(n, d.amount.unit, d.amount.about, measures),
    amountProblem: amountProblem(n, d.amount.unit, measures),
  };
  return { ...reading, missing: missingOf(d, reading, keeper) };
}

function missingOf(
  d: TakeInDraft,
  { material, given, isException, amount, amountProblem: wrong }: Omit<TakeInReading, 'missing'>,
  { by, mayAccept }: Gatekeeper,
): string | null {
  if (!material) return say('store.chooseWhatItIs');
  if (amount === null) return say('store.sayHowMuchOrNot');
  if (wrong !== undefined) return wrong;
  if (typed(d.cost, -1_000_000) === null || typed(d.days) === null)
    return say('store.typeCostDaysAsNumbers');
  if (isException && !mayAccept) return say('store.putAsideForSomebody');
  if (isException && d.because === '') return say('store.sayWhyItIsAccepted');
  if (given === 'refuse' && d.done.trim() === '') return say('store.sayWhatWasDoneWith');
  if (material.asksSpray && d.sprayed === '') return say('store.sayWhetherWasSprayedOr');
  return by.trim() ? null : say('store.sayWhoReceivedIt');
}

type TextField = 'what' | 'supplier' | 'certificate' | 'where' | 'asked' | 'words';
/** Texts that say something, under their names; what was left empty is left out. */
const said = (d: TakeInDraft, ...names: readonly TextField[]): Partial<Record<TextField, string>> =>
  Object.fromEntries(
    names.filter((name) => d[name].trim() !== '').map((name) => [name, d[name].trim()]),
  );

/** When it is ready, of what ripens first: from when it came, not from when somebody wrote it down. @param arrivedMs when it came */
function ripeningData(d: TakeInDraft, arrivedMs: number): object {
  if (!d.ripening) return {};
  const days = typed(d.days) ?? RIPENING[d.ripening].days;
  return { becomes: d.ripening, readyFrom: Math.round(arrivedMs + days * MS.day) };
}

/** The data of the load's entry. @param clock now, ms, and the same by the site's clock */
export function loadData(
  d: TakeInDraft,
  { material, given, isException, amount }: TakeInReading,
  clock: { readonly nowMs: number; readonly nowLocal: string },
): Record<string, unknown> {
  const agoMs = d.at === null ? 0 : Date.parse(`${clock.nowLocal}Z`) - Date.parse(`${d.at}Z`);
  const cost = typed(d.cost, -1_000_000);
  return {
    material: material?.id,
    ...said(d, 'what', 'supplier'),
    amount,
    state: d.state || 'fresh',
    sprayed: d.sprayed || 'unknown',
    ...(d.seeds ? { seeds: d.seeds === 'unknown' ? d.seeds : d.seeds === 'yes' } : {}),
    ...(d.diseased ? { diseased: d.diseased } : {}),
    ...said(d, 'certificate'),
    ...(typeof cost === 'number' ? { cost } : {}),
    ...said(d, 'where'),
    answer: given,
    ...(isException && d.because ? { because: d.because } : {}),
    ...said(d, 'asked'),
    ...(given === 'refuse' ? { done: d.done.trim() } : {}),
    waste: d.waste,
    ...ripeningData(d, clock.nowMs - agoMs),
    ...said(d, 'words'),
  };
}
