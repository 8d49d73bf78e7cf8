import { libraryText } from '@/messages/library-text';
import { currentUnits, say } from '@/messages/say';
import { type Range as FigureRange } from '@/core/log/store-shapes';
import { signOf } from '@/core/quantity/typed-quantity';
import { fromBase } from '@/core/units/units';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { AcceptLine, Amount, OwnMeasure } from '@/core/log/store-shapes';
import { diverted, greensOutrun, stackHeat, stockByRole, suppliersOf } from '@/core/mix/stock';
import { mixOf } from '@/core/mix/mix';
import { contentsOf } from '@/core/mix/contents';
import {
  answerTo,
  isPermission,
  permissionsFor,
  type StockLoad,
  type StoreState,
} from '@/core/mix/store';
import { estOf, WINDOWS } from '@/core/mix/window';
import {
  ANSWER_WORDS,
  END_OF_LOAD,
  fromText,
  oldText,
  RIPENING,
  type Ripening,
  RISK_WORDS,
  ROLE_MEANS,
  ROLE_WORDS,
  STATE_WORDS,
} from '@/core/mix/words';
import { localParts } from '@/core/quantity/calendar';
import { dateText, dayText, tempText, whenText, listText, joinParts } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { amountText, kgText, litresText } from '@/core/words/amount';
import type { Locale } from '@/core/words/note';

const ripening = (becomes: string | null | undefined) =>
  (RIPENING as Partial<Record<string, (typeof RIPENING)[Ripening]>>)[becomes ?? ''];

export type LoadLine = {
  readonly id: string;
  readonly name: string;
  readonly state: string;
  readonly left: string;
  readonly share: number | null;
  readonly age: string;
  readonly where: string;
  readonly from: string;
  readonly notes: readonly { readonly text: string; readonly urgent: boolean }[];
};
export type StockView = {
  readonly roles: readonly {
    readonly role: string;
    readonly name: string;
    readonly means: string;
    readonly total: string;
    readonly litres: number;
    readonly loads: readonly LoadLine[];
  }[];
  readonly held: readonly LoadLine[];
  readonly lately: readonly { readonly id: string; readonly text: string }[];
  readonly warning: string | null;
  readonly diverted: string;
  readonly empty: boolean;
};

const nameOfLoad = (l: StockLoad): string => l.load.what ?? libraryText(l.material.name);

function lineOf(l: StockLoad, locale: Locale): LoadLine {
  const { timeZone, now, unit } = locale;
  const heat = stackHeat(l, now);
  const notes: { text: string; urgent: boolean }[] = [];
  if (l.readyFrom !== null && l.readyFrom > l.stateSince)
    notes.push(
      l.readyFrom <= now
        ? {
            text: say('store.readySinceConfirmOnPage', {
              readyFrom: dayText(timeZone, l.readyFrom),
            }),
            urgent: true,
          }
        : {
            text: l.becomes
              ? say('store.readyFrom', {
                  toLowerCase: ripening(l.becomes)?.doing.toLowerCase() ?? say('store.aging'),
                  readyFrom: dayText(timeZone, l.readyFrom),
                })
              : say('store.agingReadyFrom', { readyFrom: dayText(timeZone, l.readyFrom) }),
            urgent: false,
          },
    );
  if (heat && heat.c !== null)
    notes.push({
      text: say('store.inStackReaditReadDaily', {
        c: tempText(heat.c, unit),
        level:
          heat.level === 'none'
            ? 'none'
            : heat.level === 'warn'
              ? 'readIt'
              : heat.level === 'act'
                ? 'takeIt'
                : 'other',
      }),
      urgent: heat.level === 'act' || heat.level === 'danger',
    });
  else if (heat?.due != null && heat.due <= now)
    notes.push({ text: say('store.itsStackWasNotRead'), urgent: true });
  if (l.load.sprayed === 'yes') notes.push({ text: say('store.sprayed'), urgent: true });
  if (l.load.sprayed === 'unknown')
    notes.push({ text: say('store.notKnownWhetherSprayed'), urgent: false });
  if (l.overdrawn) notes.push({ text: say('store.moreWentOutThanCame'), urgent: true });
  return {
    id: l.id,
    name: nameOfLoad(l),
    state: STATE_WORDS[l.state],
    left: l.leftLitres === null ? say('store.notKnown') : litresText(l.leftLitres),
    share: l.leftLitres === null || !l.litres ? null : l.leftLitres / l.litres,
    age: oldText(now - l.at),
    where: l.where ?? '',
    from: l.load.supplier ?? '',
    notes,
  };
}

const YEAR_MS = 365 * MS.day;
/** The store as it lies: by role and age, what is held, what was brought lately, what runs short. */
export function stockView(store: StoreState, locale: Locale): StockView {
  const { timeZone, now } = locale;
  const stock = stockByRole(store);
  const short = greensOutrun(stock);
  const year = diverted(store, now - YEAR_MS, now + 1);
  return {
    roles: stock
      .map((s) => ({
        role: s.role,
        name: ROLE_WORDS[s.role].many,
        means: ROLE_MEANS[s.role],
        litres: s.litres,
        total: `${litresText(s.litres)}${s.kg > 0 ? say('store.about', { kg: kgText(s.kg) }) : ''}${s.unknown > 0 ? say('store.andNotKnown', { unknown: s.unknown }) : ''}`,
        loads: s.loads.map((l) => lineOf(l, locale)),
      }))
      .sort((a, b) => b.litres - a.litres),
    held: store.loads
      .filter((l) => l.answer === 'ask' && l.gone === null)
      .map((l) => lineOf(l, locale)),
    lately: [...store.loads]
      .sort((a, b) => b.at - a.at)
      .slice(0, 8)
      .map((l) => ({
        id: l.id,
        text: say('store.atLAmountSupplierAnswer', {
          at: dayText(timeZone, l.at),
          l: nameOfLoad(l),
          amount: amountText(l.load.amount),
          supplier: l.load.supplier ? say('store.from', { supplier: l.load.supplier }) : '',
          answer: l.answer === 'accept' ? '' : `, ${ANSWER_WORDS[l.answer].mark}`,
          gone: l.gone ? `, ${END_OF_LOAD[l.gone.how]}` : '',
        }),
      })),
    warning: short
      ? say('store.moreGreensThanBrownsGreens', {
          greenL: litresText(short.greenL),
          brownL: litresText(short.brownL),
          wantedL: litresText(short.wantedL),
        })
      : null,
    diverted:
      year.unweighed > 0
        ? say('store.keptOutLandfillInLast', {
            kg: kgText(year.kg),
            unweighed: year.unweighed,
          })
        : say('store.keptOutLandfillInLast2', { kg: kgText(year.kg) }),
    empty: store.loads.length === 0,
  };
}

export type MaterialOption = {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  readonly caution: string | null;
  readonly risks: string;
  readonly asksSpray: boolean;
  readonly answers: readonly {
    readonly kept: string;
    readonly answer: 'accept' | 'ask' | 'refuse';
    readonly reason: string | null;
  }[];
  /** Whose of it, or whose until when, is accepted all the same. */
  readonly permissions: readonly {
    readonly supplier?: string | undefined;
    readonly text: string;
  }[];
  readonly density: number | null;
};
const KEPT = {
  get turned() {
    return say('store.turnedBatches');
  },
  get static() {
    return say('store.staticBatches');
  },
  get vessel() {
    return say('store.inVesselBatches');
  },
} as const;

const permissionText = ({ supplier, until, reason }: AcceptLine, timeZone: string): string =>
  say('store.permittedFrom', {
    supplier: supplier ?? '',
    isNamed: supplier === undefined ? 'no' : 'yes',
    until: until === undefined ? '' : dayText(timeZone, until),
    isLasting: until === undefined ? 'yes' : 'no',
    reason,
  });

/** Permissions of the site that hold now, in words. */
export const permissionLines = (
  { materials, acceptance }: Pick<StoreState, 'materials' | 'acceptance'>,
  { timeZone, now }: Pick<Locale, 'timeZone' | 'now'>,
) =>
  acceptance.flatMap((l, place) =>
    isPermission(l) && (l.until === undefined || now <= l.until)
      ? [
          {
            /** Its place in the list. */ place,
            material:
              l.risk === undefined
                ? libraryText(materials.get(l.material ?? '')?.name ?? l.material ?? '')
                : RISK_WORDS[l.risk],
            text: permissionText(l, timeZone),
          },
        ]
      : [],
  );

/** What may be brought, with what the site answers to it. */
export const materialOptions = (
  store: StoreState,
  { timeZone, now }: Pick<Locale, 'timeZone' | 'now'>,
): MaterialOption[] =>
  [...store.materials.values()]
    .map((m) => {
      const a = answerTo(m, null, store.acceptance);
      const all = [
        { kept: 'all', answer: a.answer, reason: a.reason },
        ...a.but.map((b) => ({ kept: KEPT[b.kept], answer: b.answer, reason: b.reason })),
      ];
      return {
        id: m.id,
        name: libraryText(m.name),
        role: ROLE_WORDS[m.role].many,
        caution: m.caution === undefined ? null : libraryText(m.caution),
        risks: listText(m.risks.map((r) => RISK_WORDS[r])),
        asksSpray: /grass|hay|straw|manure|litter|weeds|crop|mushroom/.test(m.id),
        answers: all,
        permissions: permissionsFor(m, store.acceptance, now).map((line) => ({
          ...(line.supplier === undefined ? {} : { supplier: line.supplier }),
          text: permissionText(line, timeZone),
        })),
        density: m.density?.usual ?? null,
      };
    })
    .sort((a, b) => (a.name < b.name ? -1 : 1));

/** What was noted of a load, each thing in a few words. */
function loadChangeText(
  data: StockLoad['changes'][number]['data'],
  timeZone: string,
  said: (amount: NonNullable<typeof data.left>) => string,
): string {
  const photos = data.photos?.length ?? 0;
  return (
    joinParts(
      data.state && say('store.now', { statewords: STATE_WORDS[data.state] }),
      data.answer && ANSWER_WORDS[data.answer].mark,
      data.where && say('store.movedTo', { where: data.where }),
      data.left && say('store.countedLeft', { left: said(data.left) }),
      data.gone && END_OF_LOAD[data.gone],
      data.test && say('store.tested'),
      photos > 0 && (photos === 1 ? say('store.aPhoto') : say('store.photos', { photos })),
      data.readyFrom != null &&
        say('store.readyFrom2', { readyFrom: dayText(timeZone, data.readyFrom) }),
      data.done,
      data.words,
    ) || say('store.changedOnly')
  );
}

export type LoadPage = {
  readonly id: string;
  readonly name: string;
  readonly head: string;
  readonly facts: readonly { readonly name: string; readonly says: string }[];
  readonly figures: readonly {
    readonly name: string;
    readonly says: string;
    readonly from: string;
  }[];
  readonly caution: string | null;
  readonly risks: string;
  readonly went: readonly { readonly batch: string; readonly text: string }[];
  readonly heats: readonly { readonly when: string; readonly text: string; readonly by: string }[];
  readonly changes: readonly { readonly id: string; readonly text: string }[];
  readonly photos: readonly string[];
  readonly answer: 'accept' | 'ask' | 'refuse';
  readonly ripe: { readonly state: string; readonly text: string } | null;
  readonly gone: string | null;
  readonly stack: string | null;
  readonly test: readonly string[];
  /** Heaps that are building, and what they are like for it. */ readonly couldGo: readonly {
    readonly id: string;
    readonly text: string;
  }[];
  readonly measures: readonly OwnMeasure[];
};

const range = (r: { low: number; usual: number; high: number } | null, unit: string): string =>
  r === null
    ? say('store.notKnown')
    : r.low === r.high
      ? `${fig(r.usual)}${unit}`
      : say('store.to', { usual: fig(r.usual), unit, low: fig(r.low), high: fig(r.high) });
/** A bulk density in the unit of the moment. */
const inUnit = (r: FigureRange): FigureRange => {
  const shown = (x: number): number => fromBase('density', x, currentUnits());
  return { low: shown(r.low), usual: shown(r.usual), high: shown(r.high) };
};
const fig = (x: number): string => String(x >= 100 ? Math.round(x) : Math.round(x * 100) / 100);

/** One load: what it is, what became of it, where it went. */
export function loadPage(
  l: StockLoad,
  store: StoreState,
  board: readonly BatchSnapshot[],
  locale: Locale,
): LoadPage {
  const { timeZone, now, unit } = locale;
  const when = (at: number): string => whenText(timeZone, at, now);
  const heapName = (batch: string): string => {
    const d = board.find((b) => b.id === batch);
    return d ? (d.name ?? d.code) : say('store.aBatch');
  };
  const fact = (name: string, says: string | null | undefined) => (says ? [{ name, says }] : []);
  const heat = stackHeat(l, now);
  const { cn, moisture, density, from } = l.stuff;
  const said = (a: Amount): string => amountText(a);
  return {
    id: l.id,
    name: nameOfLoad(l),
    head: l.gone
      ? `${ROLE_WORDS[l.stuff.role].one}, ${STATE_WORDS[l.state]}, ${END_OF_LOAD[l.gone.how]}`
      : l.leftLitres === null
        ? say('store.amountLeftNotKnown', {
            one: ROLE_WORDS[l.stuff.role].one,
            statewords: STATE_WORDS[l.state],
          })
        : say('store.left', {
            one: ROLE_WORDS[l.stuff.role].one,
            statewords: STATE_WORDS[l.state],
            leftLitres: litresText(l.leftLitres),
          }),
    facts: [
      ...fact(
        say('store.received'),
        l.kg !== null && l.load.amount.in !== 'kg'
          ? say('store.aboutLoggedBy', {
              at: when(l.at),
              amount: said(l.load.amount),
              kg: kgText(l.kg),
              by: l.by,
            })
          : say('store.loggedBy', { at: when(l.at), amount: said(l.load.amount), by: l.by }),
      ),
      ...fact(say('store.from2'), l.load.supplier),
      ...fact(say('store.material'), l.load.what ? libraryText(l.material.name) : null),
      ...fact(say('store.storedAt'), l.where),
      ...fact(
        say('store.answer'),
        l.answer === 'accept'
          ? null
          : `${ANSWER_WORDS[l.answer].mark}${l.load.asked ? `: ${l.load.asked}` : ''}`,
      ),
      ...fact(say('store.whatWasDone'), l.load.done),
      ...fact(
        say('store.weedkiller'),
        {
          no: say('store.notSprayedAccordingSupplier'),
          yes: say('store.sprayed'),
          unknown: say('store.notKnown'),
        }[l.load.sprayed],
      ),
      ...fact(say('store.certificate'), l.load.certificate),
      ...fact(
        say('store.cost'),
        l.load.cost === undefined
          ? null
          : `${l.load.cost.toFixed(2)}${l.price !== null ? say('store.perKg', { price: l.price.toFixed(3) }) : ''}`,
      ),
      ...fact(say('store.keptOutOfLandfill'), l.load.waste ? 'yes' : 'no'),
      ...fact(say('store.note'), l.load.words),
    ],
    figures: [
      { name: 'C:N', says: range(cn, ''), from: from.cn ? fromText(from.cn) : '' },
      {
        name: say('store.moistureContent'),
        says: range(moisture, ' %'),
        from: from.moisture ? fromText(from.moisture) : '',
      },
      {
        name: say('store.bulkDensity'),
        says: range(density && inUnit(density), ` ${signOf('density')}`),
        from: from.density ? fromText(from.density) : '',
      },
      ...(l.stuff.airPct === null
        ? []
        : [
            {
              name: say('store.airSpace'),
              says: `${fig(l.stuff.airPct)} %`,
              from: say('store.measuredBucketTest'),
            },
          ]),
    ],
    caution: l.material.caution === undefined ? null : libraryText(l.material.caution),
    risks: listText(l.material.risks.map((r) => RISK_WORDS[r])),
    went: l.went.map((w) => ({
      batch: w.batch,
      text:
        w.litres === null
          ? say('store.amountNotKnown', { batch: heapName(w.batch), at: when(w.at) })
          : `${heapName(w.batch)}: ${litresText(w.litres)}, ${when(w.at)}`,
    })),
    heats: [...l.heats]
      .reverse()
      .map((h) => ({ when: when(h.at), text: tempText(h.c, unit), by: h.by })),
    changes: [...l.changes].reverse().map((c) => ({
      id: c.id,
      text: `${when(c.at)}, ${c.by}: ${loadChangeText(c.data, timeZone, said)}`,
    })),
    photos: l.photos,
    answer: l.answer,
    gone: l.gone ? END_OF_LOAD[l.gone.how] : null,
    ripe:
      l.becomes && l.readyFrom !== null && l.readyFrom > l.stateSince && l.gone === null
        ? {
            state: l.becomes,
            text:
              l.readyFrom <= now
                ? say('store.itShouldByNow', { statewords: STATE_WORDS[l.becomes] })
                : say('store.readyFrom3', {
                    doing: ripening(l.becomes)?.doing ?? say('store.aging'),
                    readyFrom: dayText(timeZone, l.readyFrom),
                  }),
          }
        : null,
    stack:
      heat === null
        ? null
        : heat.c === null
          ? say('store.freshStacksThisKindHeat')
          : {
              none: say('store.theStackCoolEnoughTake'),
              warn: say('store.itWarmingUpTakeTemperature'),
              act: say('store.takeApartInSmallPortions'),
              danger: say('store.keepPeopleBackDoNot'),
            }[heat.level],
    test: workingsOf(l),
    couldGo:
      l.gone || l.answer === 'refuse'
        ? []
        : board
            .filter((d) => d.builtAt === null)
            .map((d) => ({ id: d.id, text: receiverText(l, d, store) })),
    measures: store.measures,
  };
}

/** The arithmetic of the tests whose figures hold: of each figure the latest. */
const workingsOf = ({ tests }: StockLoad): string[] => {
  const held = new Set(
    (['moisturePct', 'density', 'airPct'] as const).flatMap(
      (k) => tests.findLast((t) => t[k] !== undefined) ?? [],
    ),
  );
  return tests.filter((t) => held.has(t)).flatMap((t) => t.working ?? []);
};

/** What speaks for and against putting a load into a heap: what its place is kept for, and how moist it is so far. */
function receiverText(l: StockLoad, d: BatchSnapshot, store: StoreState): string {
  const slot = store.map?.map.slots.find(
    (s) =>
      d.position !== null && s.name === ('row' in d.position ? d.position.row : d.position.bay),
  );
  const { ingredients, waterL } = contentsOf(store, d.id);
  const wet = ingredients.length > 0 ? estOf(mixOf(ingredients, waterL, false).moisture) : null;
  const stranger = slot?.only && !l.material.risks.some((r) => slot.only!.includes(r));
  const room =
    wet === null
      ? say('store.nothingInYetOrMoisture')
      : say('store.moistureSoFarBettersomethingBetter', {
          wet: Math.round(wet.value),
          wet2: wet.value > WINDOWS.moisture.preferred[1] ? 'betterSomething' : 'other',
        });
  return stranger
    ? say('store.reservedFor', {
        name: d.name ?? d.code,
        words: slot.words ?? listText(slot.only!.map((r) => RISK_WORDS[r])),
      })
    : `${d.name ?? d.code}, ${room}`;
}

export type SuppliersView = {
  readonly from: string;
  readonly lines: readonly {
    readonly name: string;
    readonly says: string;
    readonly heaps: readonly { readonly id: string; readonly text: string }[];
    readonly loads: readonly { readonly id: string; readonly text: string }[];
  }[];
  readonly diverted: {
    readonly total: string;
    readonly by: readonly { readonly name: string; readonly kg: string; readonly loads: number }[];
    readonly months: readonly {
      readonly name: string;
      readonly kg: string;
      readonly share: number;
    }[];
  };
};
const sinceText = (timeZone: string, at: number): string => {
  const p = localParts(timeZone, at);
  return dateText(p, true);
};
/** Kilograms of loads by the month in which they came, the earliest first. */
function kgByMonth(
  loads: readonly { readonly at: number; readonly kg: number | null }[],
  timeZone: string,
): ReadonlyMap<string, number> {
  const months = new Map<string, number>();
  for (const l of [...loads].sort((a, b) => a.at - b.at)) {
    const p = localParts(timeZone, l.at);
    const key = `${p.month} ${p.year}`;
    months.set(key, (months.get(key) ?? 0) + (l.kg ?? 0));
  }
  return months;
}
/** Who brought what in a span, and what came of it. */
export function suppliersView(
  store: StoreState,
  board: readonly BatchSnapshot[],
  from: number,
  to: number,
  locale: Locale,
): SuppliersView {
  const d = diverted(store, from, to);
  const months = kgByMonth(d.loads, locale.timeZone);
  const most = Math.max(1, ...months.values());
  return {
    from: sinceText(locale.timeZone, from),
    lines: suppliersOf(store, from, to).map((s) => ({
      name: s.name || say('store.noSupplierNamed'),
      says: [
        say('store.loadLoads', { loads: s.loads.length }),
        s.refused > 0 && say('store.refused', { refused: s.refused }),
        s.held > 0 && say('store.onHold', { held: s.held }),
        s.kg > 0 &&
          `${kgText(s.kg)}${s.divertedKg > 0 && s.divertedKg < s.kg - 0.5 ? say('store.ofKeptOutLandfill', { divertedKg: kgText(s.divertedKg) }) : s.divertedKg > 0 ? say('store.keptOutOfLandfill2') : ''}`,
        s.unweighed > 0 && say('store.ofUnknownWeight', { unweighed: s.unweighed }),
        s.cost !== null && say('store.cost2', { cost: s.cost.toFixed(2) }),
      ]
        .filter(Boolean)
        .join(', '),
      heaps: s.heaps.flatMap((id) => {
        const h = board.find((b) => b.id === id);
        const lead = h?.rules[0];
        return h
          ? [
              {
                id,
                text: `${h.name ?? h.code}${lead?.provenAt ? say('store.ruleMet') : h.builtAt === null ? say('store.stillBeingBuilt') : say('store.ruleNotMetYet')}`,
              },
            ]
          : [];
      }),
      loads: s.loads.map((l) => ({
        id: l.id,
        text: joinParts(
          `${dayText(locale.timeZone, l.at)} ${nameOfLoad(l)}`,
          amountText(l.load.amount),
          l.answer !== 'accept' && ANSWER_WORDS[l.answer].mark,
        ),
      })),
    })),
    diverted: {
      total: `${kgText(d.kg)}${d.unweighed > 0 ? say('store.andLoadLoadsUnknownWeight', { unweighed: d.unweighed }) : ''}`,
      by: d.byMaterial.map((m) => ({
        name: libraryText(m.name),
        kg: kgText(m.kg),
        loads: m.loads,
      })),
      months: [...months]
        .slice(-24)
        .map(([name, kg]) => ({ name, kg: kgText(kg), share: kg / most })),
    },
  };
}

/** Every load of the site, for the table of all loads. */
export const loadRows = (store: StoreState, { timeZone }: Locale) =>
  store.loads.map((l) => ({
    id: l.id,
    at: l.at,
    day: dayText(timeZone, l.at),
    season: String(localParts(timeZone, l.at).year),
    name: l.load.what ?? libraryText(l.material.name),
    supplier: l.load.supplier ?? '',
    amount: amountText(l.load.amount),
    litres: l.litres ?? -1,
    left: l.leftLitres === null ? say('store.notKnown') : litresText(l.leftLitres),
    leftLitres: l.leftLitres ?? -1,
    where: l.where ?? '',
  }));
export type LoadRow = ReturnType<typeof loadRows>[number];
