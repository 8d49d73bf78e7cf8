import { say } from '../../messages/say';
import { getRequirementDescription } from '../evidence/requirements';
import { spansOf } from '../evidence/spans';
import type { RuleProgress } from '../evidence/rule-progress';
import { heatOf, type Round } from '../evidence/rounds';
import type { BatchState } from '../log/fold';
import { localDays, localParts, zoneOf } from '../quantity/calendar';
import {
  dateText,
  dayText,
  durationText,
  missingText,
  tempBeside,
  tempFigure,
  tempText,
  whenText,
} from '../quantity/format';
import { hoursToMs, MS } from '../quantity/instant';
import { thinToColdest } from '../quantity/thin';
import { clampToBounds } from '../units/bounds';
import { toCelsius } from '../units/units';
import type { Locale, Note } from '../words/note';
import type { BatchAssessment } from './assess-batch';
import { lastOf } from '../quantity/present';

/** The heat chart as data: drawn by the page, by the printed record and by the record that checks itself. */

/** As many rounds are drawn; of more, the coldest of each span. */
const MAX_DRAWN = 400;
/** As many lines beside the coldest, before they hide it. */
const MAX_LINES = 8;

function roundSays(
  r: Round,
  label: (id: string) => string,
  prepared: BatchAssessment['prepared'],
  floorC: number,
  { timeZone, unit, now }: Locale,
): string {
  const values = r.readings.map((x) => ({
    point: label(x.point),
    c: prepared.corrector.correct(x),
  }));
  const coldest = values.reduce((a, b) => (b.c < a.c ? b : a));
  const heat = heatOf(r, floorC);
  const word = {
    hot: say('snapshot.hot'),
    cold: say('snapshot.notHot'),
    over: say('snapshot.tooHot'),
    thin: say('snapshot.hotButPointsNeededDoes', {
      minPoints: prepared.evidence.policy.minPoints,
    }),
  }[heat];
  return say('snapshot.coldestAtHottestOneOther', {
    time: whenText(timeZone, r.time, now),
    c: tempBeside(coldest.c, floorC, unit),
    point: coldest.point,
    peak: tempText(r.peak, unit),
    points: r.points,
    word,
  });
}

const EVENT_MARK = {
  turn: 'turn',
  water: 'water',
  addition: 'add',
  merge: 'move',
  cure: 'cure',
  cover: 'cure',
  screen: 'screen',
  move: 'move',
} as const;
type MarkedKind = keyof typeof EVENT_MARK;

/** The heat chart's data. Null before the first reading. */
export function chartView(state: BatchState, batchAssessment: BatchAssessment, locale: Locale) {
  const { timeZone, unit, now } = locale;
  const { prepared, rules } = batchAssessment;
  const lead = rules[0];
  const floorC = lead?.assessment.progress.scan.floor.floorC ?? 55;
  const { evidence, rounds } = prepared;
  const label = (id: string): string =>
    evidence.points.find((p) => p.id === id)?.label?.split(' ')[0] ?? id;
  const from = Math.min(evidence.builtAt, rounds[0]?.time ?? now) - 8 * MS.hour;
  const proofs = rules.flatMap(({ assessment: { verdict: v } }) =>
    v.earliestProofAt !== null && v.status === 'running' ? [v.earliestProofAt] : [],
  );
  const last = rounds.at(-1)?.time ?? now;
  const live = now - last < 4 * MS.day;
  const until = live ? Math.max(now, ...proofs.map((p) => Math.min(p, now + 16 * MS.day))) : last;
  // A fifth more, so that what stands behind a bar's end has room.
  const end = until + Math.max(MS.day, (until - from) * 0.2);
  const drawn = thinToColdest(
    rounds.map((r) => ({ r, at: r.time, c: clampToBounds('celsius', r.value) })),
    MAX_DRAWN,
  );
  const floor = tempBeside(floorC, floorC, unit);
  let turn = 0;
  return {
    from,
    to: end,
    now: live ? now : last,
    maxGapMs: hoursToMs(evidence.policy.maxGapHours),
    floorC,
    rounds: drawn.map(({ r, at, c }) => ({
      at,
      c,
      heat: heatOf(r, floorC),
      says: roundSays(r, label, prepared, floorC, locale),
    })),
    others: otherLines(prepared),
    struck: evidence.readings
      .filter((r) => r.flag !== undefined && r.at >= from && r.at <= end)
      .slice(0, 60)
      .map((r) => ({ at: r.at, c: clampToBounds('celsius', toCelsius(r.value, r.unit)) })),
    air: evidence.ambient
      .filter((a) => a.at >= from && a.at <= now)
      .map((a) => ({ at: a.at, c: clampToBounds('celsius', toCelsius(a.value, a.unit)) }))
      .sort((a, b) => a.at - b.at),
    events: [
      {
        at: evidence.builtAt,
        mark: 'add' as const,
        label: say('snapshot.built'),
        restart: false,
        title: say('snapshot.lastRawMaterialIn', {
          builtAt: whenText(timeZone, evidence.builtAt, now),
        }),
      },
      ...state.events
        .filter((e) => !state.struck.has(e.id) && e.kind in EVENT_MARK && e.at <= end)
        .map((e) => {
          const raw =
            (e.kind === 'addition' && e.data.raw) ||
            (e.kind === 'water' && !e.data.clean) ||
            (e.kind === 'merge' && !e.data.withProven);
          const text =
            e.kind === 'turn' && e.data.full
              ? String((turn += 1))
              : e.kind === 'turn'
                ? say('snapshot.partialTurn')
                : e.kind === 'addition'
                  ? (e.data.what?.split(/[ ,]/)[0] ??
                    (raw ? say('snapshot.raw') : say('snapshot.added')))
                  : e.kind === 'water'
                    ? ''
                    : e.kind;
          return {
            at: e.at,
            mark: EVENT_MARK[e.kind as MarkedKind],
            label: text,
            restart: raw,
            title: `${e.kind}, ${whenText(timeZone, e.at, now)}`,
          };
        }),
    ].sort((a, b) => a.at - b.at),
    bars: rules.slice(0, 5).map(({ rule, assessment }) => {
      const v = assessment.verdict;
      const running = v.status === 'running' && v.earliestProofAt !== null;
      return {
        name: barName(assessment.progress, rule.clock, unit),
        spans: spansOf(assessment),
        needFrom: running ? assessment.progress.base : null,
        needTo: running ? v.earliestProofAt : null,
        provenAt: v.provenAt,
        label:
          v.provenAt !== null
            ? say('snapshot.met', { provenAt: whenText(timeZone, v.provenAt, now) })
            : running
              ? v.creditedHours >= v.requiredHours
                ? say('snapshot.timeReached')
                : say('snapshot.atTheEarliest', {
                    earliestProofAt: dayText(timeZone, v.earliestProofAt),
                  })
              : say('snapshot.toGo', {
                  requiredHours: missingText(v.requiredHours - v.creditedHours),
                }),
      };
    }),
    // What came after a proof took nothing from it.
    breaks: lead
      ? breaksOf(
          lead.assessment.verdict.notes.filter(
            (n) => n.at <= (lead.assessment.verdict.provenAt ?? Infinity),
          ),
          locale,
        )
      : [],
    unit: `°${unit}`,
    ticks: [20, 40, 55, 65, 70, 77].map((c) => ({
      c,
      label: tempFigure(c, unit),
      strong: c === 55 || c === 70,
    })),
    days: dayTicks(from, end, timeZone, now),
    nowLabel: live && rounds.length > 0 ? tempBeside(lastOf(rounds).value, floorC, unit) : null,
    floorLabel: say('snapshot.andAboveTimeCounts', { floor }),
    hotLabel: say('snapshot.aboveTooHot', { temp: tempText(70, unit) }),
  };
}

function barName(
  { part, turningsRequired: turns }: RuleProgress,
  clock: string,
  unit: 'C' | 'F',
): string {
  const seeds = clock === 'seeds';
  const { barText } = getRequirementDescription(part.of.kind);
  return `${seeds ? say('snapshot.weedSeeds') : ''}${barText(part.of, { part, turns, unit, roomy: !seeds })}`;
}

function otherLines({ rounds, corrector, evidence }: BatchAssessment['prepared']) {
  return evidence.points
    .slice(0, MAX_LINES)
    .map((p) =>
      thinToColdest(
        rounds.flatMap((r) => {
          const values = r.readings
            .filter((x) => x.point === p.id)
            .map((x) => corrector.correct(x));
          return values.length > 0
            ? [{ at: r.time, c: clampToBounds('celsius', Math.min(...values)) }]
            : [];
        }),
        MAX_DRAWN,
      ),
    )
    .filter((line) => line.length > 0);
}

function dayTicks(from: number, to: number, timeZone: string, now: number) {
  const days = localDays(zoneOf(timeZone), from, to).filter((d) => d.start >= from);
  const every = Math.max(1, Math.ceil(days.length / 14));
  return days
    .filter((_, i) => i % every === 0)
    .map((d, i) => {
      const p = localParts(timeZone, d.start + 12 * MS.hour);
      return {
        at: d.start,
        label: i === 0 || p.day <= every ? dateText(p) : String(p.day),
        today: now >= d.start && now < d.end,
      };
    });
}

/** What stands under the bars: why a run was lost, paused or a round set aside, in a few words. */
function breaksOf(notes: readonly Note[], { unit }: Locale) {
  const lost = (ms: number): string =>
    ms > 0
      ? say('snapshot.lost', { ms: durationText(ms / MS.hour) })
      : say('snapshot.countedTimeEnds');
  return notes.flatMap(({ fact: f, at }): { at: number; text: string }[] => {
    switch (f.code) {
      case 'RESTART':
        return [{ at, text: say('snapshot.clockStartsOver') }];
      case 'COLD':
        return f.lostMs > 0
          ? [{ at, text: `${lost(f.lostMs)}: ${tempBeside(f.valueC, f.floorC, unit)}` }]
          : [];
      case 'OVER_CEILING':
        return [{ at, text: `${lost(f.lostMs)}: ${tempText(f.peakC, unit)}` }];
      case 'GAP':
      case 'STALE':
      case 'SLOW_RECOVERY':
        return f.lostMs > 0
          ? [{ at, text: say('snapshot.noHotReadingInTime', { lostMs: lost(f.lostMs) }) }]
          : [];
      case 'THIN_ROUND':
        return [
          {
            at,
            text: say('snapshot.readAtPointsDoesNot', {
              points: f.points,
              minPoints: f.minPoints,
            }),
          },
        ];
      default:
        return [];
    }
  });
}

export type ChartView = ReturnType<typeof chartView>;
