import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { statusOfBatch } from '@/core/status/batch-status';
import { templatesOf } from '@/core/advice/templates';
import { adviceWords, type AdviceWords } from '@/telling/status/advice';
import { hotWords } from '@/telling/status/hot';
import { stageText } from '@/telling/status/stage';
import type { Rule } from '@/core/evidence/rule';
import type { Method } from '@/core/evidence/types';
import type { SiteState } from '@/core/log/fold';
import type { MethodTemplate } from '@/core/log/shapes';
import { soonText, tempText, upperFirst } from '@/core/quantity/format';
import type { TempUnit } from '@/core/units/units';
import { findRule } from '@/core/rules/library';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { heapPicture, standingText, type HeapPicture } from '@/telling/status/picture';
import type { Locale } from '@/core/words/note';
import { positionText } from '@/core/words/position';
import { placedHeaps, type PlacedHeap } from '@/entry/placed';
import { dangerText } from './danger';

/** A heap as a device keeps it: how it stands, what to do, what each place read last, and what its forms ask for. */
export type OfflineHeap = {
  readonly id: string;
  readonly picture: HeapPicture;
  readonly place: string;
  /** How far it is and how warm, in a line. */ readonly standing: string;
  readonly stage: string;
  readonly method: string;
  readonly building: boolean;
  readonly advice: AdviceWords;
  /** Too hot: what to do, in words. */ readonly hot: ReturnType<typeof hotWords> | null;
  /** From where on its heat is watched, cooled, a danger. */ readonly limits: string;
  readonly places: readonly { readonly name: string; readonly last: string }[];
  /** When it was last read. */ readonly readAt: number | null;
  /** When something was last logged of it. */ readonly loggedAt: number;
  readonly kept: Method;
  readonly template: string;
  /** Ids of its rules that the library knows. */ readonly rules: readonly string[];
  readonly onHold: boolean;
  readonly shape: string | null;
  readonly danger: string | null;
};

/** All heaps of a site on a device, in one document; what they have in common stands in it once. */
export type OfflineHeaps = {
  /** The hub's time when it was made, ms. */ readonly now: number;
  readonly timeZone: string;
  readonly unit: TempUnit;
  readonly by: string;
  readonly templates: readonly MethodTemplate[];
  readonly placed: readonly PlacedHeap[];
  readonly rules: readonly Rule[];
  readonly heaps: readonly OfflineHeap[];
};

function offlineHeap(d: BatchSnapshot, locale: Locale): OfflineHeap {
  const { timeZone, unit, now } = locale;
  const status = statusOfBatch(d, now);
  const { hot } = status.danger;
  const { warnC, actC, dangerC } = d.situation.limits;
  return {
    id: d.id,
    picture: heapPicture(d, locale),
    place: positionText(d.position),
    standing: upperFirst(standingText(d, locale)),
    stage: stageText(status.stage, locale, d.situation.rounds.length > 0),
    method: libraryText(d.situation.template.name),
    building: d.builtAt === null,
    advice: adviceWords(status.next, locale),
    hot: hot && hotWords(hot, locale),
    limits: say('log.watchFromCoolFromFrom', {
      warnC: tempText(warnC, unit),
      actC: tempText(actC, unit),
      dangerC: tempText(dangerC, unit),
    }),
    places: d.field.places.map((p) => ({
      name: p.label ?? p.id,
      last: p.last
        ? `${tempText(p.last.c, unit, 1)}, ${soonText(timeZone, p.last.at, now)}`
        : say('log.noTemperaturesYet'),
    })),
    readAt: d.latest?.at ?? null,
    loggedAt: d.lastLogged.at,
    kept: d.method,
    template: d.situation.template.id,
    rules: d.rules.map((r) => r.rule).filter((id) => findRule(id) !== undefined),
    onHold: status.stage.held !== null,
    shape: d.field.shape,
    danger: dangerText(d, locale),
  };
}

/** What a device keeps of the heaps that stand. @param board by bay */
export function createOfflineHeaps(
  board: readonly BatchSnapshot[],
  siteState: SiteState,
  by: string,
  locale: Locale,
): OfflineHeaps {
  const heaps = board
    .filter((d) => !statusOfBatch(d, locale.now).isGone)
    .map((d) => offlineHeap(d, locale));
  const ruleIds = [...new Set(heaps.flatMap((h) => h.rules))];
  return {
    now: locale.now,
    timeZone: locale.timeZone,
    unit: locale.unit,
    by,
    templates: templatesOf(siteState.templates),
    placed: placedHeaps(board),
    rules: ruleIds.flatMap((id) => findRule(id) ?? []),
    heaps,
  };
}
