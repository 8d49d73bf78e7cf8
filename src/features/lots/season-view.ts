import { currentUnits, say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import { toBase } from '@/core/units/units';
import type { BatchTotals } from '@/core/lots/batch-totals';
import type { PartnerShare } from '@/core/lots/partners';
import type { SeasonTotals } from '@/core/lots/season';
import { figureWithUnit, volumeText } from '@/core/quantity/format';

/** A table of the year: what each row is about, and its figures. */
export type SeasonTable = {
  readonly title: string;
  readonly note: string;
  readonly head: readonly string[];
  readonly rows: readonly {
    readonly id: string;
    readonly name: string;
    readonly href: string | null;
    readonly cells: readonly string[];
  }[];
};

/** A year's totals as a page and a table show them. */
export type SeasonView = {
  readonly year: number;
  /** Years that can be chosen. */ readonly years: readonly number[];
  readonly groups: readonly {
    readonly title: string;
    readonly lines: readonly { readonly name: string; readonly value: string }[];
  }[];
  /** Rows with several figures each: batches, partners. */ readonly tables: readonly SeasonTable[];
  readonly missing: readonly string[];
  readonly months: SeasonTotals['months'];
  readonly empty: boolean;
};

/** Nothing is told as nothing, and not as the least that there could be. */
const volume = (litres: number): string =>
  litres === 0 ? figureWithUnit('litres', 0) : volumeText(litres / 1000);
const money = (amount: number): string =>
  say('lots.money', { amount: Math.round(amount * 100) / 100 });

/** `12 m³ or more`, where some of it is not known; nothing known at all: not logged. */
const atLeast = (sum: number, text: string, unknown: number): string => {
  if (unknown === 0) return text;
  return sum === 0 ? say('lots.notLogged') : say('lots.orMore', { least: text });
};

const hoursOf = (hours: number): string =>
  say('lots.hoursText', { hours: Math.round(hours * 10) / 10 });

type Group = SeasonView['groups'][number];
const takenGroup = (t: SeasonTotals): Group => ({
  title: say('lots.takenIn'),
  lines: [
    ...t.taken.map((x) => ({
      name: say('lots.loadsFrom', {
        supplier: x.supplier ?? say('lots.noSupplier'),
        loads: x.loads,
      }),
      value: volume(x.litres),
    })),
    ...(t.divertedKg > 0
      ? [{ name: say('lots.keptFromWaste'), value: figureWithUnit('kg', Math.round(t.divertedKg)) }]
      : []),
  ],
});
const outGroup = (t: SeasonTotals): Group => ({
  title: say('lots.wentOutTitle'),
  lines: t.out.map((o) => ({
    name: say('lots.outTimes', { how: o.how, times: o.times }),
    value: volume(o.litres),
  })),
});
function screeningGroup({ screened }: SeasonTotals): Group {
  const ratio = screened.oversL > 0 ? screened.finesL / screened.oversL : null;
  return {
    title: say('lots.screeningTitle'),
    lines: [
      { name: say('lots.runs'), value: String(screened.runs) },
      { name: say('lots.finesOut'), value: volume(screened.finesL) },
      { name: say('lots.oversOut'), value: volume(screened.oversL) },
      ...(ratio === null
        ? []
        : [
            {
              name: say('lots.finesToOvers'),
              value: say('lots.toOne', { ratio: Math.round(ratio * 10) / 10 }),
            },
          ]),
    ],
  };
}
const workGroup = (t: SeasonTotals): Group => ({
  title: say('lots.workAndMoney'),
  lines: [
    {
      name: say('lots.hoursTurning'),
      value: atLeast(t.hours.turning, hoursOf(t.hours.turning), t.hours.untimed),
    },
    {
      name: say('lots.hoursScreening'),
      value: hoursOf(t.hours.screening),
    },
    { name: say('lots.water'), value: volume(t.waterL) },
    { name: say('lots.costOfLoads'), value: money(t.cost) },
    { name: say('lots.income'), value: money(t.income) },
    ...(t.costPerM3 === null
      ? []
      : [{ name: say('lots.costPerVolume'), value: costPerVolume(t.costPerM3) }]),
    ...(t.productPerM3 === null
      ? []
      : [
          {
            name: say('lots.productPerVolume'),
            value: say('flow.percent', { percent: Math.round(t.productPerM3 / 10) }),
          },
        ]),
  ],
});
/** Cost by the volume unit of the moment. */
const costPerVolume = (perM3: number): string =>
  say('lots.moneyPer', {
    amount: Math.round(toBase('volume', 1, currentUnits()) * perM3 * 100) / 100,
    unit: signOf('volume'),
  });

const productText = ({ productL: [lo, hi], unknownOut }: BatchTotals): string =>
  atLeast(
    hi,
    hi - lo < 1 ? volume(hi) : say('units.fromTo', { low: volume(lo), high: volume(hi) }),
    unknownOut,
  );

/** What each batch took in and gave. @param nameOf what a batch is called */
export const batchTable = (
  totals: readonly BatchTotals[],
  nameOf: (batch: string) => string,
): SeasonTable => ({
  title: say('lots.byBatch'),
  note: say('lots.batchesHow'),
  head: [
    say('lots.batchTook'),
    say('lots.batchGave'),
    say('lots.hoursTurning'),
    say('lots.water'),
    say('lots.costIn'),
  ],
  rows: totals.map((t) => ({
    id: t.batch,
    name: nameOf(t.batch),
    href: `/batch/${t.batch}`,
    cells: [
      atLeast(t.tookInL, volume(t.tookInL), t.unknownIn),
      productText(t),
      atLeast(t.turningHours, hoursOf(t.turningHours), t.unknownHours),
      volume(t.waterL),
      atLeast(t.cost, money(t.cost), t.unknownCost),
    ],
  })),
});

/** What partners brought, and what they may take out for it. */
export const partnersTable = (shares: readonly PartnerShare[]): SeasonTable => ({
  title: say('lots.partnersTitle'),
  note: say('lots.partnersHow'),
  head: [say('lots.brought'), say('lots.share'), say('lots.mayTake'), say('lots.took')],
  rows: shares.map((p) => ({
    id: p.partner,
    name: p.partner,
    href: null,
    cells: [
      atLeast(p.broughtL, volume(p.broughtL), p.unknownLoads),
      say('flow.percent', { percent: Math.round(p.share * 100) }),
      volume(p.mayTakeL),
      atLeast(p.tookL, volume(p.tookL), p.unknownTaken),
    ],
  })),
});

/** What a partner sees of a year: their share, and what they brought. */
export type OwnShareView = {
  readonly year: number;
  readonly lines: readonly { readonly name: string; readonly value: string }[];
  readonly loads: readonly string[];
};

/** @param share null: nothing of theirs was logged */
export function ownShareView(
  year: number,
  share: PartnerShare | null,
  loads: readonly { readonly day: string; readonly name: string; readonly litres: number | null }[],
): OwnShareView {
  const { head, rows } = partnersTable(share ? [share] : []);
  const cells = rows[0]?.cells ?? [];
  return {
    year,
    lines: head.flatMap((name, i) => {
      const value = cells[i];
      return value === undefined ? [] : [{ name, value }];
    }),
    loads: loads.map(({ day, name, litres }) =>
      say('lots.ownLoad', {
        ...{ day, name },
        amount: litres === null ? say('lots.notLogged') : volume(litres),
      }),
    ),
  };
}

/** A year's totals in words. */
export const seasonView = (
  t: SeasonTotals,
  tables: readonly SeasonTable[],
  { year, first, last }: { readonly year: number; readonly first: number; readonly last: number },
): SeasonView => ({
  year,
  years: Array.from({ length: last - first + 1 }, (_, i) => last - i),
  groups: [takenGroup(t), outGroup(t), screeningGroup(t), workGroup(t)].filter(
    (g) => g.lines.length > 0,
  ),
  tables: tables.filter((table) => table.rows.length > 0),
  missing: t.missing.map(({ what, n }) => say('lots.missingOf', { what, n })),
  months: t.months,
  empty: t.taken.length === 0 && t.out.length === 0,
});
