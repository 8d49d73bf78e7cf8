import { findSimilarBatches, type ComparableBatch } from '@/core/advice/similarity';
import { heatsOf } from '@/core/snapshot/situation';
import type { BatchAssessment } from '@/core/snapshot/assess-batch';
import { countText, tempFigure, tempText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { BatchState } from '@/core/log/fold';
import { sizesOfHeap } from '@/core/heap/sizes';
import type { Locale } from '@/core/words/note';

export type ComparedBatch = {
  readonly state: BatchState;
  readonly reckoning: BatchAssessment | null;
};

/** A heap's life as far as it is compared. */
function toComparableBatch({ state, reckoning: assessment }: ComparedBatch): ComparableBatch {
  return {
    id: state.id,
    name: state.opened.name ?? state.opened.code,
    builtAt: state.builtAt,
    kept: state.opened.method,
    m3: sizesOfHeap(state)[0]?.m3 ?? null,
    inputs: state.opened.inputs ?? null,
    rounds: assessment ? heatsOf(assessment, null) : [],
    turns: state.events
      .filter((e) => e.kind === 'turn' && e.data.full && !state.struck.has(e.id))
      .map((e) => e.at)
      .sort((a, b) => a - b),
    provenAt: assessment?.rules[0]?.assessment.verdict.provenAt ?? null,
  };
}

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
function marksOf({ state }: ComparedBatch, life: ComparableBatch): Curve['marks'] {
  const day = (at: number): number => (at - life.builtAt!) / MS.day;
  const done = state.events
    .filter((e) => !state.struck.has(e.id) && e.at >= life.builtAt!)
    .flatMap((e): Curve['marks'][number][] =>
      e.kind === 'turn' && e.data.full
        ? [{ day: day(e.at), kind: 'turn', says: 'turned' }]
        : e.kind === 'water'
          ? [
              {
                day: day(e.at),
                kind: 'water',
                says: e.data.litres ? `${e.data.litres} L` : 'watered',
              },
            ]
          : e.kind === 'addition' || e.kind === 'merge'
            ? [{ day: day(e.at), kind: 'add', says: e.data.what ?? 'added' }]
            : [],
    );
  return [
    ...done,
    ...(life.provenAt === null
      ? []
      : [{ day: day(life.provenAt), kind: 'proven' as const, says: 'proven' }]),
  ].sort((a, b) => a.day - b.day);
}

/** The chosen heaps by age, and what may be learned for the first of them. */
export function compareView(
  chosen: readonly ComparedBatch[],
  all: readonly ComparedBatch[],
  { now, unit }: Locale,
): CompareView {
  const lives = all.map(toComparableBatch);
  const curves = chosen.flatMap((t): Curve[] => {
    const life = toComparableBatch(t);
    return life.builtAt === null
      ? []
      : [
          {
            id: life.id,
            name: life.name,
            points: life.rounds
              .map((r) => ({ day: (r.at - life.builtAt!) / MS.day, c: r.peakC }))
              .filter((p) => p.day >= 0),
            marks: marksOf(t, life),
          },
        ];
  });
  const first = chosen[0] && toComparableBatch(chosen[0]);
  const days = Math.max(7, ...curves.map((c) => c.points.at(-1)?.day ?? 0));
  return {
    curves,
    days,
    ticks: [20, 40, 55, 70].map((c) => ({ c, label: tempFigure(c, unit), strong: c === 55 })),
    alike: first
      ? findSimilarBatches(first, lives, now)
          .slice(0, 3)
          .map((a) => ({
            id: a.id,
            name: a.name,
            text: `${(a.apartK * (unit === 'F' ? 1.8 : 1)).toFixed(1)} °${unit} apart over ${countText(a.days, 'day')}. ${a.provenDay === null ? 'It was not proven.' : `It was proven on day ${Math.floor(a.provenDay) + 1}${a.provenDay > a.ageDays ? `, ${countText(Math.max(1, Math.round(a.provenDay - a.ageDays)), 'day')} after the age that ${first.name} has now, with ${countText(a.turnsAfter, 'more turning')}` : ''}.`}${a.weekLaterC === null ? '' : ` A week on it stood at ${tempText(a.weekLaterC, unit)}.`}`,
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
