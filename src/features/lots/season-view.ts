import { currentUnits, say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import { toBase } from '@/core/units/units';
import type { SeasonTotals } from '@/core/lots/season';
import { figureWithUnit, volumeText } from '@/core/quantity/format';

/** A year's totals as a page and a table show them. */
export type SeasonView = {
  readonly year: number;
  /** Years that can be chosen. */ readonly years: readonly number[];
  readonly groups: readonly {
    readonly title: string;
    readonly lines: readonly { readonly name: string; readonly value: string }[];
  }[];
  readonly missing: readonly string[];
  readonly months: SeasonTotals['months'];
  readonly empty: boolean;
};

const volume = (litres: number): string => volumeText(litres / 1000);
const money = (amount: number): string =>
  say('lots.money', { amount: Math.round(amount * 100) / 100 });

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
      name: say('lots.hoursScreening'),
      value: say('lots.hoursText', { hours: Math.round(t.hours.screening * 10) / 10 }),
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

/** A year's totals in words. */
export const seasonView = (
  t: SeasonTotals,
  { year, first, last }: { readonly year: number; readonly first: number; readonly last: number },
): SeasonView => ({
  year,
  years: Array.from({ length: last - first + 1 }, (_, i) => last - i),
  groups: [takenGroup(t), outGroup(t), screeningGroup(t), workGroup(t)].filter(
    (g) => g.lines.length > 0,
  ),
  missing: t.missing.map(({ what, n }) => say('lots.missingOf', { what, n })),
  months: t.months,
  empty: t.taken.length === 0 && t.out.length === 0,
});
