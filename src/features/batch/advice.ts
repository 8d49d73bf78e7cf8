import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { partnersFor, tooSmall } from '@/core/advice/partners';
import type { HeapFacts } from '@/core/advice/situation';
import type { TurnAdvice } from '@/core/advice/turn';
import { detailOfBatch } from '@/core/status/batch-detail';
import { actOf, actOfAdvice, statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import { reboundsOf } from '@/core/advice/trend';
import { adviceWords } from '@/telling/status/advice';
import {
  CAUSE_WORDS,
  FIX_WORDS,
  signText,
  SYMPTOM_WORDS,
  trialText,
} from '@/telling/status/diagnosis';
import { hotWords } from '@/telling/status/hot';
import { courseText, stageText } from '@/telling/status/stage';
import { saysOf } from '@/telling/status/says';
import { actText } from '@/telling/status/tasks';
import {
  countText,
  reasonText,
  SCHOOL_WORDS,
  turnHeading,
  voiceText,
  windowText,
} from '@/telling/status/turn';
import { waterWords } from '@/telling/status/water';
import { FIXED_WORDS } from '@/core/words/acts';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { BatchAssessment } from '@/core/snapshot/assess-batch';
import { changesOf, heatsOf } from '@/core/snapshot/situation';
import { sizesOfHeap } from '@/core/heap/sizes';
import { isShape } from '@/core/heap/size';
import type { BatchState } from '@/core/log/fold';
import { dayText, durationText, tempText, volumeText, whenText } from '@/core/quantity/format';
import type { Locale } from '@/core/words/note';

function turnView(advised: TurnAdvice, status: BatchStatus, locale: Locale) {
  const s = status.situation;
  // The day that a person moved it to is the one that every page shows.
  const a = { ...advised, due: actOf(status, 'turn')?.by ?? advised.due };
  return {
    heading: turnHeading(a, locale),
    window: windowText(a, locale),
    reasons: a.reasons.map((r) => reasonText(r, locale)),
    by: a.by === null ? null : SCHOOL_WORDS[a.by],
    waiting:
      a.waiting && !a.reasons.some((r) => r.code === a.waiting!.code)
        ? reasonText(a.waiting, locale)
        : null,
    voices: a.voices
      .filter(
        (v) => v.strategy !== s.template.trigger && (v.strategy !== 'never' || s.kept === 'static'),
      )
      .map((v) => ({ school: SCHOOL_WORDS[v.strategy], says: v.says, text: voiceText(v, locale) })),
    trigger: s.template.trigger === 'never' ? null : SCHOOL_WORDS[s.template.trigger],
  };
}

/** Everything that is advised about a heap, in words. */
export function adviceView(
  snapshot: BatchSnapshot,
  state: BatchState,
  assessment: BatchAssessment | null,
  board: readonly BatchSnapshot[],
  locale: Locale,
) {
  const status = statusOfBatch(snapshot, locale.now);
  const { situation: s, next, acts, danger } = status;
  const heats = assessment ? heatsOf(assessment, snapshot.latest?.peakC ?? null) : [];
  const detail = detailOfBatch(status, heats, changesOf(state));
  const act = actOfAdvice(status, next);
  const order = act?.order ?? null;
  const { timeZone, unit, now } = locale;
  return {
    next: adviceWords(next, locale),
    nextSays: saysOf(status, 'danger', ...(act ? [`act:${act.kind}` as const] : [])),
    /** Everything else that is to be done, each with its moment. */
    others: acts
      .filter((x) => x !== act && !(act?.kind === 'hot' && x.kind === 'read'))
      .map((x) => ({
        kind: x.kind,
        text: actText(x, locale),
        says: saysOf(status, `act:${x.kind}`),
      })),
    task: act === null || act.kind === 'hot' ? null : `${snapshot.id}:${act.kind}`,
    order:
      order?.defer && order.defer.until > now
        ? say('batch.postponedByUntil', {
            by: order.defer.by,
            until: whenText(timeZone, order.defer.until, now),
          })
        : null,
    method: libraryText(s.template.name),
    stage: stageText(status.stage, locale, s.rounds.length > 0),
    stageSays: saysOf(status, 'stage'),
    course:
      danger.level === 'fire'
        ? null
        : courseText(status.course, libraryText(s.template.name), locale, detail.reheat),
    courseSays: saysOf(status, 'course'),
    hot: danger.hot && hotWords(danger.hot, locale),
    turn: detail.turn && turnView(detail.turn, status, locale),
    water: detail.water && waterWords(detail.water, locale),
    // Dryness that is the likeliest cause of another symptom is not told a second time.
    diagnoses: detail.diagnoses
      .filter(
        (d, _, all) =>
          d.symptom !== 'DRY' || !all.some((o) => o !== d && o.causes[0]?.cause === 'TOO_DRY'),
      )
      .map((d) => ({
        symptom: SYMPTOM_WORDS[d.symptom],
        code: d.symptom,
        causes: d.causes.slice(0, 5).map((c) => ({
          cause: CAUSE_WORDS[c.cause],
          code: c.cause,
          fix: FIX_WORDS[c.fix],
          fixCode: c.fix,
          for: c.for.map((x) => signText(x, locale)),
          against: c.against.map((x) => signText(x, locale)),
          unknown: c.unknown.map((x) => signText(x, locale)),
        })),
      })),
    trials: (detail.diagnoses.length === 0 && !state.own.some((e) => e.kind === 'fix')
      ? []
      : detail.trials
    )
      .slice(-5)
      .reverse()
      .map((t) => ({
        when: whenText(timeZone, t.at, now),
        what: [
          ...new Set(
            t.changes.map((c) =>
              c.said === undefined ? FIXED_WORDS[c.what] : say('batch.added', { said: c.said }),
            ),
          ),
        ].join(', '),
        text: trialText(t, locale),
        unknown: t.causeUnknown && t.outcome !== 'open',
      })),
    rebounds: reboundsOf(heats, s.turns).map((r, i) => ({
      n: i + 1,
      when: whenText(timeZone, r.turnedAt, now),
      before: r.beforeC === null ? say('batch.notReadBefore') : tempText(r.beforeC, unit),
      low: r.lowC === null ? '–' : tempText(r.lowC, unit),
      high: r.highC === null ? say('batch.noFullCheckSince') : tempText(r.highC, unit),
      took: r.hours === null ? '–' : durationText(r.hours),
      counts: countText(status.turnings, r.turnedAt),
    })),
    size: sizeView(snapshot.situation, state, snapshot, board, locale),
  };
}
export type AdviceView = ReturnType<typeof adviceView>;

const HOW = {
  get built() {
    return say('batch.whenItWasBuilt');
  },
  measured: 'measured',
  get judged() {
    return say('batch.estimatedByEye');
  },
  get level() {
    return say('batch.fromLevelAssumingBaseStayed');
  },
  get joined() {
    return say('batch.anotherBatchJoined');
  },
  get 'carried-off'() {
    return say('batch.aPartWasSplitOff');
  },
} as const;

/** How big it is and was, whether that is enough, and which heap it might be joined with. */
function sizeView(
  facts: HeapFacts,
  state: BatchState,
  snapshot: BatchSnapshot,
  board: readonly BatchSnapshot[],
  { timeZone, now }: Locale,
) {
  const { isGone, danger } = statusOfBatch(snapshot, now);
  const sizes = sizesOfHeap(state).filter((x) => x.at <= now);
  const small = tooSmall(facts);
  const card = (d: BatchSnapshot) => ({ id: d.id, name: d.name ?? d.code, facts: d.situation });
  const partners =
    isGone || danger.level !== 'none' || !(small || facts.stage.code === 'curing')
      ? []
      : partnersFor(card(snapshot), board.map(card)).slice(0, 3);
  const [first, last] = [sizes[0], sizes.at(-1)];
  const sunk = state.own.findLast(
    (e) => e.kind === 'observation' && e.data.sunkCm !== undefined && e.at <= now,
  );
  const sunkCm =
    sunk?.kind === 'observation' && sunk.at > (last?.at ?? -Infinity) ? sunk.data.sunkCm! : null;
  return {
    now: last ? volumeText(last.m3) : null,
    isSince: sunkCm !== null && last ? dayText(timeZone, last.at) : null,
    assumed: [
      ...(sunkCm !== null ? [say('batch.itSankCmButHeight', { sunkCm })] : []),
      ...(state.opened.measures !== undefined && !isShape(state.opened.shape)
        ? [say('batch.itsShapeWasNotGiven')]
        : []),
    ],
    shrunk:
      first && last && last !== first && last.m3 < first.m3
        ? say('batch.lessThanWhenWasBuilt', {
            m3: Math.round((1 - last.m3 / first.m3) * 100),
            m32: volumeText(first.m3),
          })
        : null,
    small: small
      ? say('batch.belowPileRarelyStaysHot', { minhotm3: volumeText(facts.leastHotM3) })
      : null,
    partners: partners.map((x) => ({
      id: x.id,
      text: say('batch.joinWithTogetherBayFree', {
        name: x.name,
        m3: volumeText(x.m3),
        totalM3: volumeText(x.totalM3),
        why: x.why === 'both-proven' ? 'bothAre' : 'other',
      }),
    })),
    points: sizes.map((x) => ({
      at: x.at,
      m3: x.m3,
      how: HOW[x.how],
      when: dayText(timeZone, x.at),
      text: volumeText(x.m3),
    })),
  };
}
