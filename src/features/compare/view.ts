import { say } from '@/messages/say';
import { findSimilarBatches, type ComparableBatch } from '@/core/advice/similarity';
import { heatsOf } from '@/core/snapshot/situation';
import type { BatchAssessment } from '@/core/snapshot/assess-batch';
import { figureWithUnit, tempFigure, tempText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { BatchState } from '@/core/log/fold';
import type { Locale } from '@/core/words/note';

export type ComparedBatch = {
  readonly state: BatchState;
  readonly assessment: BatchAssessment | null;
};

type Curve = {
  readonly id: string;
  readonly name: string;
  readonly points: readonly { readonly day: number; readonly c: number }[];
  readonly marks: readonly {
    readonly day: number;
    readonly kind: 'turn' | 'water' | 'add' | 'proven';
    readonly says: string;
  }[];
};
export type CompareView = {
  readonly curves: readonly Curve[];
  readonly days: number;
  readonly ticks: readonly {
    readonly c: number;
    readonly label: string;
    readonly strong: boolean;
  }[];
  readonly alike: readonly { readonly id: string; readonly name: string; readonly text: string }[];
  readonly table: readonly { readonly day: number; readonly cells: readonly string[] }[];
};

/** What was done to a heap, by its age. */
function marksOf({ state, assessment }: ComparedBatch, builtAt: number): Curve['marks'] {
  const day = (at: number): number => (at - builtAt) / MS.day;
  const provenAt = assessment?.rules[0]?.assessment.verdict.provenAt ?? null;
  const done = state.events
    .filter((e) => !state.struck.has(e.id) && e.at >= builtAt)
    .flatMap((e): Curve['marks'][number][] =>
      e.kind === 'turn' && e.data.full
        ? [{ day: day(e.at), kind: 'turn', says: say('compare.turned') }]
        : e.kind === 'water'
          ? [
              {
                day: day(e.at),
                kind: 'water',
                says: e.data.litres
                  ? figureWithUnit('litres', e.data.litres)
                  : say('compare.watered'),
              },
            ]
          : e.kind === 'addition' || e.kind === 'merge'
            ? [{ day: day(e.at), kind: 'add', says: e.data.what ?? say('compare.added') }]
            : [],
    );
  return [
    ...done,
    ...(provenAt === null
      ? []
      : [{ day: day(provenAt), kind: 'proven' as const, says: say('compare.met') }]),
  ].sort((a, b) => a.day - b.day);
}

function curveOf(batch: ComparedBatch): Curve | null {
  const { state, assessment } = batch;
  const { builtAt } = state;
  if (builtAt === null) return null;
  return {
    id: state.id,
    name: state.opened.name ?? state.opened.code,
    points: (assessment ? heatsOf(assessment, null) : [])
      .map((r) => ({ day: (r.at - builtAt) / MS.day, c: r.peakC }))
      .filter((p) => p.day >= 0),
    marks: marksOf(batch, builtAt),
  };
}

/** The chosen heaps by age, and what may be learned for the first of them. @param first that one as it is compared with the others */
export function compareView(
  chosen: readonly ComparedBatch[],
  first: ComparableBatch | undefined,
  all: readonly ComparableBatch[],
  { now, unit }: Locale,
): CompareView {
  const curves = chosen.flatMap((batch) => curveOf(batch) ?? []);
  const days = Math.max(7, ...curves.map((c) => c.points.at(-1)?.day ?? 0));
  return {
    curves,
    days,
    ticks: [20, 40, 55, 70].map((c) => ({ c, label: tempFigure(c, unit), strong: c === 55 })),
    alike: first
      ? findSimilarBatches(first, all, now)
          .slice(0, 3)
          .map((a) => ({
            id: a.id,
            name: a.name,
            text: say('compare.apartOverDayDays', {
              apartK: (a.apartK * (unit === 'F' ? 1.8 : 1)).toFixed(1),
              unit,
              days: a.days,
              provenDay:
                a.provenDay === null
                  ? say('compare.itDidNotMeetRule')
                  : a.provenDay > a.ageDays
                    ? say('compare.itMetRuleOnDay', {
                        provenDay: Math.floor(a.provenDay) + 1,
                        provenDay2: Math.max(1, Math.round(a.provenDay - a.ageDays)),
                        name: first.name,
                        turnsAfter: a.turnsAfter,
                      })
                    : say('compare.itMetRuleOnDay2', { provenDay: Math.floor(a.provenDay) + 1 }),
              weekLaterC:
                a.weekLaterC === null
                  ? ''
                  : say('compare.aWeekLaterWasAt', { weekLaterC: tempText(a.weekLaterC, unit) }),
            }),
          }))
      : [],
    table: Array.from({ length: Math.min(120, Math.ceil(days) + 1) }, (_, day) => ({
      day,
      cells: curves.map((c) => {
        const own = c.points.filter((p) => Math.floor(p.day) === day).map((p) => p.c);
        return own.length > 0 ? tempText(Math.max(...own), unit) : '–';
      }),
    })),
  };
}
