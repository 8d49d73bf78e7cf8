import { say } from '@/messages/say';
import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import { usualTemplate } from '@/core/advice/templates';
import type { Rule } from '@/core/evidence/rule';
import { proposePlan } from '@/core/heap/plan';
import type { MethodTemplate } from '@/core/log/shapes';
import type { Country } from '@/core/log/kinds/vocabulary';
import { typed } from '@/core/quantity/typed-number';
import { toCelsius, type TempUnit } from '@/core/units/units';
import {
  conditionsOf,
  fitsBatch,
  keepingWith,
  keepingOf,
  orderedLike,
  proposedRules,
  type Input,
  type Keeping,
} from '@/core/rules/propose';
import type { EarlierHeap } from './proposal';

/** A new heap as it is typed, and what follows from it. Pure: the form only shows it. */

type Method = 'turned' | 'static' | 'vessel';
type OpenShape = 'dome' | 'windrow' | 'cube';
const SHAPES: readonly OpenShape[] = ['dome', 'windrow', 'cube'];

/** Every field of the form, as it stands in it; '' where nothing was chosen. */
/** Something that a rule asks for beside temperatures. */
export type ConfirmedCondition = { readonly rule: string; readonly condition: string };

export type OpenDraft = {
  readonly code: string;
  readonly name: string;
  readonly bay: string;
  readonly volume: string;
  readonly shape: OpenShape | '';
  readonly core: string;
  readonly reach: string;
  readonly row: string;
  readonly from: string;
  readonly to: string;
  readonly method: Method | '';
  readonly templateId: string;
  readonly like: string;
  readonly stage: 'building' | 'closed' | 'adopted' | '';
  readonly rawAt: 'known' | 'about' | 'unknown' | '';
  readonly turned: string;
  readonly hottest: string;
  readonly told: string;
  readonly builtAt: string;
  readonly inputs: readonly Input[];
  /** Ticks that a person set or took away stand over what is proposed. */
  readonly byHand: Readonly<Record<string, boolean>>;
  /** What its rules ask for beside temperatures, as far as it was confirmed. */
  readonly confirmed: readonly ConfirmedCondition[];
  readonly leads: string | null;
};

export const newOpenDraft = (
  proposed: Pick<OpenDraft, 'code' | 'name' | 'bay'>,
  nowLocal: string,
): OpenDraft => ({
  ...proposed,
  volume: '',
  shape: 'dome',
  core: '',
  reach: '',
  row: '',
  from: '',
  to: '',
  method: 'turned',
  templateId: '',
  like: '',
  stage: '',
  rawAt: '',
  turned: '',
  hottest: '',
  told: '',
  builtAt: nowLocal,
  inputs: ['garden', 'seeding-weeds'],
  byHand: {},
  confirmed: [],
  leads: null,
});

export const listInputs = (): readonly (readonly [Input, string])[] => [
  ['garden', say('open.yardAndCropWaste')],
  ['seeding-weeds', say('open.seedingWeedsLateHay')],
  ['manure', say('open.manureBedding')],
  ['food-waste', say('open.foodWaste')],
  ['diseased-plants', say('open.diseasedPlants')],
  ['biosolids', say('open.sewageSludge')],
];

/** Everything that does not belong to one heap alone, taken from an earlier one. */
export function copyEarlier(from: EarlierHeap, ruleIds: readonly string[]): Partial<OpenDraft> {
  const shape = SHAPES.find((s) => s === from.shape);
  return {
    like: from.id,
    method: from.template.kept,
    templateId: from.template.id,
    volume: from.volumeM3 === null ? '' : shownQuantity('volume', from.volumeM3, 1),
    ...(shape ? { shape } : {}),
    core: from.coreDepthM === null ? '' : shownQuantity('length', from.coreDepthM, 2),
    inputs: listInputs()
      .map(([input]) => input)
      .filter((i) => from.inputs.includes(i)),
    byHand: Object.fromEntries(ruleIds.map((id) => [id, from.rules.includes(id)])),
  };
}

/** What the form is given beside what is typed. */
export type OpenContext = {
  readonly leastHotM3: number;
  /** Whose rules are proposed. */ readonly country: Country | null;
  readonly unit: TempUnit;
  /** Codes of heaps that are there, in capitals. */
  readonly codes: readonly string[];
  /** Of the site: one set of places for so much row, m. */
  readonly stretchM: number;
  readonly rules: readonly { readonly id: string; readonly rule: Rule }[];
  readonly ownRules: readonly (Pick<Rule, 'id'> & Readonly<Record<string, unknown>>)[];
  readonly siteTerms: {
    readonly version: number;
    readonly rules: readonly string[];
    readonly policy: object;
  } | null;
  readonly templates: readonly MethodTemplate[];
  readonly nowMs: number;
};

/** Metres that were typed; null: nothing, or no such number. */
const metres = (text: string): number | null => typedQuantity('length', text) ?? null;
/** Metres that can be meant; null where nothing, or no such number, was typed. */
const soundMetres = (text: string): number | null => {
  const m = metres(text);
  return m !== null && m > 0 && m < 20 ? m : null;
};
const depthProblem = (text: string): string | undefined =>
  text.trim() !== '' && soundMetres(text) === null ? say('open.typeMetersAsNumberOr') : undefined;

/** Where it lies along a row that it shares; null: it lies alone. */
function stretchOf(d: OpenDraft): { row: string; fromM: number; toM: number } | 'wrong' | null {
  if (d.shape !== 'windrow' || d.row.trim() === '') return null;
  const [fromM, toM] = [metres(d.from), metres(d.to)];
  return fromM !== null && toM !== null && fromM >= 0 && toM > fromM
    ? { row: d.row.trim(), fromM, toM }
    : 'wrong';
}

/** What is wrong with each field. */
type OpenProblems = {
  readonly code: string | undefined;
  readonly volume: string | undefined;
  readonly core: string | undefined;
  readonly reach: string | undefined;
  readonly row: string | undefined;
  readonly adopted: string | undefined;
};

function codeProblem(code: string, codes: readonly string[]): string | undefined {
  if (code.trim() === '') return say('open.aBatchNeedsCodeFor');
  return codes.includes(code.trim().toUpperCase())
    ? say('open.thereAlreadyBatchChooseAnother', { code: code.trim() })
    : undefined;
}

function problemsOf(d: OpenDraft, codes: readonly string[]): OpenProblems {
  const volume = typedQuantity('volume', d.volume);
  const mistold = typed(d.turned) === null || typed(d.hottest, -30) === null;
  return {
    code: codeProblem(d.code, codes),
    volume: volume === null || volume === 0 ? say('open.typeVolumeAsNumberOr') : undefined,
    core: depthProblem(d.core),
    reach: depthProblem(d.reach),
    row: stretchOf(d) === 'wrong' ? say('open.typeWhereStartsEndsAlong') : undefined,
    adopted:
      d.stage === 'adopted' && mistold ? say('open.typeTurningsHottestReadingAs') : undefined,
  };
}

/** Why it cannot be opened yet; null: it can. */
function missingOf(d: OpenDraft, problems: OpenProblems): string | null {
  const wrong = Object.values(problems).find((p) => p !== undefined);
  if (wrong) return wrong;
  if (d.stage === '') return say('open.sayWhetherLastRawMaterial');
  if (d.stage === 'adopted' && d.rawAt === '') return say('open.sayWhenLastRawMaterial');
  return d.shape === '' || d.method === '' ? say('open.chooseShapeMethod') : null;
}

/** Which rules are offered, proposed and chosen, the leading one first. */
type ChosenRules = {
  readonly keeping: Keeping;
  readonly offered: readonly string[];
  /** Why a rule is proposed, by its id. */
  readonly proposedFor: ReadonlyMap<string, string>;
  readonly chosen: readonly string[];
};

function chooseRules(
  d: OpenDraft,
  template: MethodTemplate | undefined,
  context: OpenContext,
): ChosenRules {
  const { rules, siteTerms, country, ownRules } = context;
  const keeping = keepingOf(d.method || 'turned', template ?? null);
  const asKept = keepingWith(keeping, d.inputs);
  const offered = rules.filter((r) => fitsBatch(r.rule, asKept)).map((r) => r.id);
  const siteRules = siteTerms?.rules ?? [];
  const own = ownRules as unknown as Rule[];
  const proposedFor = new Map(
    proposedRules({ keeping, inputs: d.inputs, siteRules, country, own }).map((p) => [
      p.id,
      `${p.input}; ${p.from}`,
    ]),
  );
  // In the site's own order, so that the rule it lets lead comes first.
  const ticked = orderedLike(
    offered.filter((id) => d.byHand[id] ?? proposedFor.has(id)),
    siteRules,
  );
  const lead = ticked.find((id) => id === d.leads);
  const chosen = lead === undefined ? ticked : [lead, ...ticked.filter((id) => id !== lead)];
  return { keeping, offered, proposedFor, chosen };
}

/** What follows from a draft: its numbers, places, method and rules, and what stands in the way. */
export type OpenReading = ChosenRules & {
  readonly m3: number | null;
  /** Below this a pile rarely stays hot here, m³. */ readonly leastHotM3: number;
  readonly coreM: number | null;
  readonly reachM: number | null;
  readonly stretch: { readonly row: string; readonly fromM: number; readonly toM: number } | null;
  readonly places: ReturnType<typeof proposePlan>;
  readonly templates: readonly MethodTemplate[];
  readonly template: MethodTemplate | undefined;
  readonly problems: OpenProblems;
  readonly missing: string | null;
};

/** Reads a draft. @param context of the site and the device */
export function readOpenDraft(d: OpenDraft, context: OpenContext): OpenReading {
  const templates = context.templates.filter((t) => t.kept === d.method);
  const template =
    templates.find((t) => t.id === d.templateId) ??
    templates.find((t) => t.id === usualTemplate(d.method || 'turned').id) ??
    templates[0];
  const problems = problemsOf(d, context.codes);
  const stretch = stretchOf(d);
  const lies = stretch === 'wrong' ? null : stretch;
  return {
    ...chooseRules(d, template, context),
    m3: typedQuantity('volume', d.volume) ?? null,
    leastHotM3: context.leastHotM3,
    coreM: soundMetres(d.core),
    reachM: soundMetres(d.reach),
    stretch: lies,
    places: proposePlan(
      {
        shape: d.shape || null,
        coreDepthM: soundMetres(d.core),
        lengthM: lies && lies.toM - lies.fromM,
      },
      context.stretchM,
      soundMetres(d.reach),
    ),
    templates,
    template,
    problems,
    missing: missingOf(d, problems),
  };
}

/** What people tell of a heap that was under way; {}: it was not. */
function adoptedData(d: OpenDraft, { nowMs, unit }: OpenContext): object {
  if (d.stage !== 'adopted' || d.rawAt === '') return {};
  const [turned, hottest] = [typed(d.turned), typed(d.hottest, -30)];
  return {
    adopted: {
      from: nowMs,
      rawAt: d.rawAt,
      ...(typeof turned === 'number' ? { turnings: Math.round(turned) } : {}),
      ...(typeof hottest === 'number' ? { highestC: toCelsius(hottest, unit) } : {}),
      ...(d.told.trim() ? { words: d.told.trim() } : {}),
    },
  };
}

/** What was confirmed of the rules that are ticked; {}: nothing. */
function confirmedData(d: OpenDraft, reading: OpenReading, { rules }: OpenContext): object {
  const confirmed = d.confirmed.filter(({ rule, condition }) => {
    const known = rules.find((r) => r.id === rule)?.rule;
    return (
      known !== undefined &&
      reading.chosen.includes(rule) &&
      conditionsOf(known, reading.keeping.method).includes(condition)
    );
  });
  return confirmed.length > 0 ? { confirmed } : {};
}

/** The data of the entry that opens it. */
export const openedData = (d: OpenDraft, reading: OpenReading, context: OpenContext): object => ({
  code: d.code.trim(),
  method: d.method,
  ...(d.name.trim() ? { name: d.name.trim() } : {}),
  ...(d.bay.trim() ? { bay: d.bay.trim() } : {}),
  ...(reading.m3 === null ? {} : { volumeM3: reading.m3 }),
  shape: d.shape,
  ...(reading.coreM === null ? {} : { coreDepthM: reading.coreM }),
  points: reading.places,
  rules: reading.chosen,
  inputs: d.inputs,
  ...confirmedData(d, reading, context),
  ...(reading.template ? { template: reading.template } : {}),
  ownRules: context.ownRules.filter((r) => reading.chosen.includes(r.id)),
  ...(context.siteTerms
    ? { policy: context.siteTerms.policy, siteVersion: context.siteTerms.version }
    : {}),
  ...adoptedData(d, context),
});

/**
 * When its clock starts: a local time, null for now, undefined where it is still building. Of a heap whose last raw load nobody
 * knows, the clock runs from when it was taken over: it cannot have been later.
 */
export function closedAt(d: OpenDraft): string | null | undefined {
  if (d.stage === 'closed') return d.builtAt;
  if (d.stage !== 'adopted') return undefined;
  return d.rawAt === 'unknown' ? null : d.builtAt;
}
