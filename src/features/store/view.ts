import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Amount, OwnMeasure } from '@/core/log/store-shapes';
import { diverted, greensOutrun, stackHeat, stockByRole, suppliersOf } from '@/core/mix/stock';
import { mixOf } from '@/core/mix/mix';
import { contentsOf } from '@/core/mix/contents';
import { answerTo, type StockLoad, type StoreState } from '@/core/mix/store';
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
import { countText, dayText, tempText, whenText, listText } from '@/core/quantity/format';
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

const nameOfLoad = (l: StockLoad): string => l.load.what ?? l.material.name;

function lineOf(l: StockLoad, locale: Locale): LoadLine {
  const { timeZone, now, unit, volume } = locale;
  const heat = stackHeat(l, now);
  const notes: { text: string; urgent: boolean }[] = [];
  if (l.readyFrom !== null && l.readyFrom > l.stateSince)
    notes.push(
      l.readyFrom <= now
        ? { text: `ripe since ${dayText(timeZone, l.readyFrom)}: say so on its page`, urgent: true }
        : {
            text: `${l.becomes ? (ripening(l.becomes)?.doing.toLowerCase() ?? 'ripening') : 'ripening'}, ready from ${dayText(timeZone, l.readyFrom)}`,
            urgent: false,
          },
    );
  if (heat && heat.c !== null)
    notes.push({
      text: `${tempText(heat.c, unit)} in the stack${heat.level === 'none' ? '' : heat.level === 'warn' ? ': read it daily' : heat.level === 'act' ? ': take it apart' : ': danger'}`,
      urgent: heat.level === 'act' || heat.level === 'danger',
    });
  else if (heat?.due != null && heat.due <= now)
    notes.push({ text: 'its stack was not read yet', urgent: true });
  if (l.load.sprayed === 'yes') notes.push({ text: 'sprayed', urgent: true });
  if (l.load.sprayed === 'unknown') notes.push({ text: 'spraying not known', urgent: false });
  if (l.overdrawn) notes.push({ text: 'more went out than came in: count it', urgent: true });
  return {
    id: l.id,
    name: nameOfLoad(l),
    state: STATE_WORDS[l.state],
    left: l.leftLitres === null ? 'not known' : litresText(l.leftLitres, volume),
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
  const { timeZone, now, volume } = locale;
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
        total: `${litresText(s.litres, volume)}${s.kg > 0 ? `, about ${kgText(s.kg)}` : ''}${s.unknown > 0 ? `, and ${s.unknown} not known` : ''}`,
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
        text: `${dayText(timeZone, l.at)}: ${nameOfLoad(l)}, ${amountText(l.load.amount)}${l.load.supplier ? ` from ${l.load.supplier}` : ''}${l.answer === 'accept' ? '' : `, ${ANSWER_WORDS[l.answer].mark}`}${l.gone ? `, ${END_OF_LOAD[l.gone.how]}` : ''}`,
      })),
    warning: short
      ? `Greens outrun browns: ${litresText(short.greenL, volume)} of greens lie there, and ${litresText(short.brownL, volume)} of browns and structure. Two to one they would want ${litresText(short.wantedL, volume)}: ask for chip, straw or leaves before more grass comes.`
      : null,
    diverted: `${kgText(year.kg)} kept from waste in the last year${year.unweighed > 0 ? `, and ${countText(year.unweighed, 'load')} of unknown weight` : ''}`,
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
  readonly density: number | null;
};
const KEPT = { turned: 'turned heaps', static: 'static heaps', vessel: 'closed vessels' } as const;

/** What may be brought, with what the site answers to it. */
export const materialOptions = (store: StoreState): MaterialOption[] =>
  [...store.materials.values()]
    .map((m) => {
      const a = answerTo(m, null, store.acceptance);
      const all = [
        { kept: 'all', answer: a.answer, reason: a.reason },
        ...a.but.map((b) => ({ kept: KEPT[b.kept], answer: b.answer, reason: b.reason })),
      ];
      return {
        id: m.id,
        name: m.name,
        role: ROLE_WORDS[m.role].many,
        caution: m.caution ?? null,
        risks: listText(m.risks.map((r) => RISK_WORDS[r])),
        asksSpray: /grass|hay|straw|manure|litter|weeds|crop|mushroom/.test(m.id),
        answers: all,
        density: m.density?.usual ?? null,
      };
    })
    .sort((a, b) => (a.name < b.name ? -1 : 1));

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
    ? 'not known'
    : r.low === r.high
      ? `${fig(r.usual)}${unit}`
      : `${fig(r.usual)}${unit} (${fig(r.low)} to ${fig(r.high)})`;
const fig = (x: number): string => String(x >= 100 ? Math.round(x) : Math.round(x * 100) / 100);

/** One load: what it is, what became of it, where it went. */
export function loadPage(
  l: StockLoad,
  store: StoreState,
  board: readonly BatchSnapshot[],
  locale: Locale,
): LoadPage {
  const { timeZone, now, unit, volume } = locale;
  const when = (at: number): string => whenText(timeZone, at, now);
  const heapName = (batch: string): string => {
    const d = board.find((b) => b.id === batch);
    return d ? (d.name ?? d.code) : 'a heap';
  };
  const fact = (name: string, says: string | null | undefined) => (says ? [{ name, says }] : []);
  const heat = stackHeat(l, now);
  const { cn, moisture, density, from } = l.stuff;
  const said = (a: Amount): string => amountText(a);
  return {
    id: l.id,
    name: nameOfLoad(l),
    head: `${ROLE_WORDS[l.stuff.role].one}, ${STATE_WORDS[l.state]}, ${l.gone ? END_OF_LOAD[l.gone.how] : l.leftLitres === null ? 'how much is left is not known' : `${litresText(l.leftLitres, volume)} left`}`,
    facts: [
      ...fact(
        'Came',
        `${when(l.at)}, ${said(l.load.amount)}${l.kg !== null && l.load.amount.in !== 'kg' ? `, about ${kgText(l.kg)}` : ''}, written by ${l.by}`,
      ),
      ...fact('From', l.load.supplier),
      ...fact('Material', l.load.what ? l.material.name : null),
      ...fact('Lies', l.where),
      ...fact(
        'Answer',
        l.answer === 'accept'
          ? null
          : `${ANSWER_WORDS[l.answer].mark}${l.load.asked ? `: ${l.load.asked}` : ''}`,
      ),
      ...fact('What was done', l.load.done),
      ...fact(
        'Weedkiller',
        { no: 'not sprayed, as they say', yes: 'sprayed', unknown: 'not known' }[l.load.sprayed],
      ),
      ...fact('Certificate', l.load.certificate),
      ...fact(
        'Cost',
        l.load.cost === undefined
          ? null
          : `${l.load.cost.toFixed(2)}${l.price !== null ? `, ${l.price.toFixed(3)} a kg` : ''}`,
      ),
      ...fact('Kept from waste', l.load.waste ? 'yes' : 'no'),
      ...fact('Note', l.load.words),
    ],
    figures: [
      { name: 'C:N', says: range(cn, ''), from: from.cn ? fromText(from.cn) : '' },
      {
        name: 'Moisture',
        says: range(moisture, ' %'),
        from: from.moisture ? fromText(from.moisture) : '',
      },
      {
        name: 'Bulk density',
        says: range(density, ' kg/m³'),
        from: from.density ? fromText(from.density) : '',
      },
      ...(l.stuff.airPct === null
        ? []
        : [{ name: 'Air space', says: `${fig(l.stuff.airPct)} %`, from: 'measured: bucket test' }]),
    ],
    caution: l.material.caution ?? null,
    risks: listText(l.material.risks.map((r) => RISK_WORDS[r])),
    went: l.went.map((w) => ({
      batch: w.batch,
      text: `${heapName(w.batch)}: ${w.litres === null ? 'how much is not known' : litresText(w.litres, volume)}, ${when(w.at)}`,
    })),
    heats: [...l.heats]
      .reverse()
      .map((h) => ({ when: when(h.at), text: tempText(h.c, unit), by: h.by })),
    changes: [...l.changes].reverse().map((c) => ({
      id: c.id,
      text: `${when(c.at)}, ${c.by}: ${[c.data.state && `now ${STATE_WORDS[c.data.state]}`, c.data.answer && ANSWER_WORDS[c.data.answer].mark, c.data.where && `moved to ${c.data.where}`, c.data.left && `counted: ${said(c.data.left)} left`, c.data.gone && END_OF_LOAD[c.data.gone], c.data.test && 'tested', c.data.photos && (c.data.photos.length === 1 ? 'a photo' : `${c.data.photos.length} photos`), c.data.readyFrom != null && `ready from ${dayText(timeZone, c.data.readyFrom)}`, c.data.done, c.data.words].filter(Boolean).join(', ') || 'changed'}`,
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
                ? `It should be ${STATE_WORDS[l.becomes]} by now.`
                : `${ripening(l.becomes)?.doing ?? 'Ripening'}: ready from ${dayText(timeZone, l.readyFrom)}.`,
          }
        : null,
    stack:
      heat === null
        ? null
        : heat.c === null
          ? 'Fresh stacks of this kind heat up on their own. Read it once a week, deep inside.'
          : {
              none: 'The stack is cool enough. Read it once a week while it is fresh.',
              warn: 'It is warming up: read it every day, and keep it from getting bigger.',
              act: 'Take it apart in small portions, with water at hand. Opening it feeds air to a smoulder.',
              danger:
                'Keep people back, do not open it blindly, and call the fire service. The fire card says whom.',
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
      ? 'nothing in it yet, or its moisture is not known'
      : `${Math.round(wet.value)} % moist so far: ${wet.value > WINDOWS.moisture.preferred[1] ? 'better something dry' : 'room for moisture'}`;
  return `${d.name ?? d.code}, ${stranger ? `kept for ${slot.words ?? listText(slot.only!.map((r) => RISK_WORDS[r]))}` : room}`;
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
  return `${p.day} ${p.month} ${p.year}`;
};
/** Who brought what in a span, and what came of it. */
export function suppliersView(
  store: StoreState,
  board: readonly BatchSnapshot[],
  from: number,
  to: number,
  locale: Locale,
): SuppliersView {
  const d = diverted(store, from, to);
  const months = new Map<string, number>();
  for (const l of [...d.loads].sort((a, b) => a.at - b.at)) {
    const p = localParts(locale.timeZone, l.at);
    const key = `${p.month} ${p.year}`;
    months.set(key, (months.get(key) ?? 0) + (l.kg ?? 0));
  }
  const most = Math.max(1, ...months.values());
  return {
    from: sinceText(locale.timeZone, from),
    lines: suppliersOf(store, from, to).map((s) => ({
      name: s.name || 'Nobody named',
      says: [
        countText(s.loads.length, 'load'),
        s.refused > 0 && `${s.refused} refused`,
        s.held > 0 && `${s.held} held`,
        s.kg > 0 &&
          `${kgText(s.kg)}${s.divertedKg > 0 && s.divertedKg < s.kg - 0.5 ? `, ${kgText(s.divertedKg)} of it kept from waste` : s.divertedKg > 0 ? ' kept from waste' : ''}`,
        s.unweighed > 0 && `${s.unweighed} of unknown weight`,
        s.cost !== null && `cost ${s.cost.toFixed(2)}`,
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
                text: `${h.name ?? h.code}${lead?.provenAt ? ', proven' : h.builtAt === null ? ', still building' : ', not proven yet'}`,
              },
            ]
          : [];
      }),
      loads: s.loads.map((l) => ({
        id: l.id,
        text: `${dayText(locale.timeZone, l.at)} ${nameOfLoad(l)}, ${amountText(l.load.amount)}${l.answer === 'accept' ? '' : `, ${ANSWER_WORDS[l.answer].mark}`}`,
      })),
    })),
    diverted: {
      total: `${kgText(d.kg)}${d.unweighed > 0 ? `, and ${countText(d.unweighed, 'load')} of unknown weight beside it` : ''}`,
      by: d.byMaterial.map((m) => ({ name: m.name, kg: kgText(m.kg), loads: m.loads })),
      months: [...months]
        .slice(-24)
        .map(([name, kg]) => ({ name, kg: kgText(kg), share: kg / most })),
    },
  };
}
