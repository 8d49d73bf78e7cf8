import { say } from '@/messages/say';
import type { BatchAssessment } from '@/core/snapshot/assess-batch';
import { soonText, tempBeside, tempFigure, tempText, whenText } from '@/core/quantity/format';
import { deepestOf, depthOf } from '@/core/heap/places';
import type { BatchState } from '@/core/log/fold';
import { surenessText } from '@/core/words/reading';
import type { Locale } from '@/core/words/note';
import { firstOf } from '@/core/quantity/present';

/** The latest round, place by place. */
export function sectionView({ prepared }: BatchAssessment, { timeZone, unit, now }: Locale) {
  const round = prepared.rounds.at(-1);
  if (!round) return null;
  const { evidence, corrector } = prepared;
  const latest = evidence.points.flatMap((p) => {
    const values = round.readings.filter((r) => r.point === p.id).map((r) => corrector.correct(r));
    return values.length === 0 ? [] : [{ p, c: Math.min(...values) }];
  });
  const coldest = latest.reduce((a, b) => (b.c < a.c ? b : a));
  const deepest = deepestOf(evidence.points);
  return {
    when: soonText(timeZone, round.time, now),
    unread: evidence.points
      .filter((p) => !latest.some((l) => l.p.id === p.id))
      .map((p) => p.label ?? p.id),
    coldest: say('batch.at2', {
      c: tempText(coldest.c, unit, 1),
      label: coldest.p.label ?? coldest.p.id,
    }),
    points: latest.map(({ p, c }) => ({
      id: p.id,
      label: firstOf((p.label ?? p.id).split(' ')).slice(0, 4),
      name: p.label ?? p.id,
      c,
      figure: tempFigure(c, unit),
      coldest: p === coldest.p,
      depth: depthOf(p, deepest),
    })),
  };
}

/** The readings of each round as a table, newest first: what stands behind the picture. */
export function tableView(
  { prepared, rules: accounts }: BatchAssessment,
  readings: BatchState['readings'],
  { timeZone, unit, now }: Locale,
) {
  const unsure = new Map(
    readings.flatMap((r) => {
      const words = surenessText(r, unit);
      return words === '' ? [] : [[r.id, words] as const];
    }),
  );
  const { evidence, corrector, rounds } = prepared;
  const points = evidence.points.slice(0, 12);
  const floorC = accounts[0]?.assessment.progress.scan.floor.floorC ?? 55;
  return {
    points: points.map((p) => p.label ?? p.id),
    rows: rounds
      .slice(-120)
      .reverse()
      .map((r) => ({
        when: whenText(timeZone, r.time, now),
        value: tempBeside(r.value, floorC, unit, 1),
        cells: points.map((p) => {
          const x = r.readings.find((y) => y.point === p.id);
          return x
            ? [tempFigure(corrector.correct(x), unit, 1), unsure.get(x.id)]
                .filter(Boolean)
                .join(' ')
            : '–';
        }),
      })),
    more: Math.max(0, rounds.length - 120),
  };
}
