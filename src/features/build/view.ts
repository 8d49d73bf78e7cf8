import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import type { BatchId, LoadId } from '@/core/log/ids';
import type { Material, OwnMeasure, Slot } from '@/core/log/store-shapes';
import type { Built } from '@/core/mix/build';
import { carriedBy, isRaw, type CarriedRisks } from '@/core/mix/concerns';
import type { PutInSource, Room } from '@/core/mix/put-in';
import { answerTo, inStock, type StockLoad, type StoreState } from '@/core/mix/store';
import { estOf } from '@/core/mix/window';
import {
  ANSWER_WORDS,
  BUILD_CAUTION,
  LAYER_WORDS,
  liftText,
  mixSays,
  stockText,
  windowFigure,
} from '@/core/mix/words';
import { dayText, figureWithUnit, soonText, listText } from '@/core/quantity/format';
import { amountText, kgText, litresText } from '@/core/words/amount';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';

/** Something of the store, or of the library, that may be put in. */
export type Source = {
  readonly key: string;
  readonly material: string;
  readonly load: LoadId | null;
  readonly name: string;
  readonly says: string;
  readonly inStore: boolean;
  /** What goes in with it. */ readonly carries: CarriedRisks;
  /** How much is left of its load; null: it comes from no load. */
  readonly left: PutInSource['left'];
  /** What it still waits for, in words; null: it can be used. */ readonly ripening: string | null;
  /** What the site answers to it for this heap, where it is not a plain yes. */ readonly answer:
    string | null;
};
export type PutRow = {
  readonly source: string;
  readonly n: string;
  readonly unit: string;
  readonly about: boolean;
};
export type LayerView = {
  readonly n: number;
  readonly kind: 'base' | 'brown' | 'green' | 'raw' | 'blanket';
  readonly title: string;
  readonly says: string;
  readonly litres: number;
  /** Its litres, said. */ readonly room: string;
  readonly waterL: number;
  readonly done: boolean;
  readonly put: readonly PutRow[];
};
export type BuildView = {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly since: string;
  readonly closed: string | null;
  readonly recipe: string | null;
  readonly layers: readonly LayerView[];
  readonly next: number | null;
  readonly high: string;
  readonly wide: string;
  readonly went: readonly {
    readonly id: string;
    readonly when: string;
    readonly by: string;
    readonly text: string;
  }[];
  readonly total: string;
  readonly figures: string;
  readonly says: string;
  readonly planned: string | null;
  readonly cautions: readonly string[];
  readonly materialCautions: readonly { readonly name: string; readonly says: string }[];
  readonly sources: readonly Source[];
  readonly measures: readonly OwnMeasure[];
  /** How much its place holds; null: the map does not say. */ readonly room: Room | null;
  readonly wrongUnit: string | null;
};

const litresOf = (m3: number | null): number | null => (m3 === null ? null : m3 * 1000);
const keyOf = (material: string, load: string | null): string =>
  load ? `load:${load}` : `material:${material}`;

/** What a load still waits for. */
function ripeningOf(
  { readyFrom, stateSince }: StockLoad,
  { timeZone, now }: Locale,
): string | null {
  return readyFrom !== null && readyFrom > stateSince && readyFrom > now
    ? say('build.notReadyBefore', { day: dayText(timeZone, readyFrom) })
    : null;
}

/** How much a bay, bin or tub holds, and how much is in it; null: the batch stands in none of the map. */
function roomOf(slot: Slot | undefined, holds: number | null): Room | null {
  if (!slot || !['bay', 'bin', 'tub'].includes(slot.kind)) return null;
  return { litres: slot.lengthM * slot.widthM * slot.heightM * 1000, holds };
}

/** What may be put in: the store first, then the library. */
function sourcesOf(
  store: StoreState,
  { kept, noClaim }: Pick<Heap, 'kept' | 'noClaim'>,
  locale: Locale,
): Source[] {
  const answer = (m: Material): string | null => {
    if (noClaim && m.risks.some((r) => r === 'seeds' || r === 'disease')) return CAUTION.coldHeap;
    const a = answerTo(m, kept, store.acceptance);
    return a.answer === 'accept'
      ? null
      : `${ANSWER_WORDS[a.answer].says}${a.reason ? `: ${a.reason}` : ''}.`;
  };
  return [
    ...inStock(store)
      .filter((l) => l.answer === 'accept')
      .map((l): Source => ({
        key: keyOf(l.material.id, l.id),
        material: l.material.id,
        load: l.id,
        name: l.load.what ?? libraryText(l.material.name),
        inStore: true,
        left: { litres: l.leftLitres, kg: l.leftKg },
        ripening: ripeningOf(l, locale),
        answer: answer(l.material),
        carries: carriedBy(l.material, l.load),
        says: [stockText(l, locale), l.where].filter(Boolean).join(', '),
      })),
    ...[...store.materials.values()]
      .map((m): Source => ({
        key: keyOf(m.id, null),
        material: m.id,
        load: null,
        name: libraryText(m.name),
        says: say('build.notFromStock'),
        inStore: false,
        left: null,
        ripening: null,
        answer: answer(m),
        carries: carriedBy(m, null),
      }))
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
  ];
}

type Heap = {
  readonly id: BatchId;
  readonly kept: 'turned' | 'static' | 'vessel';
  /** It does not get hot enough to kill anything, by its method. */ readonly noClaim: boolean;
  readonly name: string;
  readonly place: string;
  readonly openedAt: number;
  readonly builtAt: number | null;
  readonly volumeM3: number | null;
  readonly slot: string | null;
};
/** The building of a heap as it stands. */
export function buildView(heap: Heap, built: Built, store: StoreState, locale: Locale): BuildView {
  const { timeZone, now } = locale;
  const { guide, mix, went } = built;
  const [cn, wet] = [estOf(mix.cn), estOf(mix.moisture)];
  const all = [...built.parts, ...(guide?.planParts ?? [])];
  const dusty = all.some((p) => /spores|[Dd]usty/.test(p.caution ?? ''));
  const raw = all.some((p) => isRaw(p.risks));
  const kg = guide?.plan.massKg ?? mix.massKg;
  const slot = store.map?.map.slots.find((s) => s.name === heap.slot || s.id === heap.slot);
  const strangers = slot?.only
    ? [
        ...new Set(
          all
            .filter((p) => p.risks.every((r) => !slot.only!.includes(r)) && p.role === 'green')
            .map((p) => p.name),
        ),
      ]
    : [];
  return {
    id: heap.id,
    name: heap.name,
    place: heap.place,
    since: soonText(timeZone, built.since ?? heap.openedAt, now),
    closed: heap.builtAt === null ? null : soonText(timeZone, heap.builtAt, now),
    recipe: store.layUps.get(heap.id)?.recipe.name ?? null,
    layers: (guide?.layers ?? []).map((l) => ({
      n: l.n,
      kind: l.kind,
      title: l.put.map((p) => `${p.name}, ${amountText(p.amount)}`).join('; '),
      says: LAYER_WORDS[l.kind],
      litres: l.litres,
      room: litresText(l.litres),
      waterL: Math.round(l.waterL / 5) * 5,
      done: l.done,
      put: l.put.map((p) => ({
        source: keyOf(p.material, p.load),
        n: String((p.amount as { n: number }).n),
        unit: p.amount.in === 'measure' ? p.amount.measure : 'L',
        about: false,
      })),
    })),
    next: guide?.next ?? null,
    high: guide ? figureWithUnit('length', Math.round(guide.heightM * 10) / 10) : '',
    wide: guide ? say('build.mWide', { widthM: Math.round(guide.widthM * 10) / 10 }) : '',
    went: [...went].reverse().map((w) => ({
      id: w.entry,
      when: soonText(timeZone, w.at, now),
      by: w.by,
      text: [
        w.charge.layer !== undefined && say('build.layer', { layer: w.charge.layer }),
        ...w.charge.parts.map(
          (p) => `${nameOf(store, p.load, p.material)}, ${amountText(p.amount)}`,
        ),
        w.charge.waterL !== undefined && say('build.lOfWater', { waterL: w.charge.waterL }),
        w.charge.base && say('build.base', { base: w.charge.base }),
        w.charge.activator && say('build.activator', { activator: w.charge.activator }),
        w.charge.cover && say('build.coverLayer', { cover: w.charge.cover }),
        w.charge.words,
        w.kind === 'addition' && say('build.afterAddingWasFinished'),
      ]
        .filter(Boolean)
        .join('; '),
    })),
    total:
      went.length === 0
        ? heap.builtAt === null
          ? say('build.nothingInYet')
          : say('build.whatWentInWasNot')
        : say('build.addedOneTimes', {
            went: went.length,
            people: built.people > 1 ? say('build.byPeople', { people: built.people }) : '',
            litresLoose:
              mix.litresLoose === null
                ? say('build.totalNotKnown')
                : say('build.loose', { litresLoose: litresText(mix.litresLoose) }),
            massKg: mix.massKg === null ? '' : say('build.about', { massKg: kgText(mix.massKg) }),
          }),
    figures:
      cn && wet
        ? say('build.sofarSoFarWhenWas', {
            builtAt: heap.builtAt === null ? 'soFar' : 'other',
            cn: windowFigure('cn', cn.value),
            wet: windowFigure('moisture', wet.value),
          })
        : '',
    says: went.length === 0 ? '' : mixSays(mix),
    planned:
      guide && estOf(guide.plan.cn)
        ? say('build.whenAllInCN', {
            cn: windowFigure('cn', estOf(guide.plan.cn)!.value),
            moisture: estOf(guide.plan.moisture)
              ? say('build.moisture', {
                  moisture: windowFigure('moisture', estOf(guide.plan.moisture)!.value),
                })
              : '',
            litresMixed: guide.plan.litresMixed
              ? say('build.about2', { litresMixed: litresText(guide.plan.litresMixed) })
              : '',
          })
        : null,
    cautions: [
      ...(raw ? [BUILD_CAUTION.raw] : []),
      ...(dusty ? [BUILD_CAUTION.dust] : []),
      ...(kg !== null && kg > 300 ? [liftText(kg, 2)] : [BUILD_CAUTION.lifting]),
    ],
    materialCautions: [
      ...new Map(
        all.flatMap((p) =>
          p.caution ? [[p.material, { name: p.name, says: libraryText(p.caution) }] as const] : [],
        ),
      ).values(),
    ],
    sources: sourcesOf(store, heap, locale),
    measures: store.measures,
    room: roomOf(slot, heap.builtAt === null ? mix.litresLoose : litresOf(heap.volumeM3)),
    wrongUnit:
      slot?.only && strangers.length > 0
        ? say('build.isReservedForCouldGo', {
            name: slot.name,
            words: slot.words ?? listText(slot.only),
            strangers: listText(strangers),
          })
        : null,
  };
}

const nameOf = (store: StoreState, load: LoadId | undefined, material: string): string => {
  const l = load === undefined ? undefined : store.loadOf.get(load);
  return l?.load.what ?? store.materials.get(material)?.name ?? material;
};
