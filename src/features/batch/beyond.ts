import { say } from '@/messages/say';
import type { BatchAssessment } from '@/core/snapshot/assess-batch';
import { doseFinding, HARD_SEED_LINE, PATHOGEN_LINE, type DeathLine } from '@/core/evidence/doses';
import {
  HOT_SHARE_FLOOR_C,
  hotDepths,
  hotShareOf,
  isTooWide,
  mostTellingDepth,
  profileOf,
  temperatureAt,
  type Profile,
  type ShareRange,
} from '@/core/evidence/hot-share';
import { logsOfStages, neverHot, overShare, survivors } from '@/core/evidence/mixing';
import { drySpans } from '@/core/evidence/moisture';
import { SPECIES } from '@/core/evidence/species';
import { lengthText, soonText, tempText } from '@/core/quantity/format';
import type { TempUnit } from '@/core/units/units';
import { doseFindingText, oneInRangeText, shareRangeText } from '@/core/words/beyond';
import type { Locale } from '@/core/words/note';
import { firstOf } from '@/core/quantity/present';

const STEPS = 28;

function sectionOf(profile: Profile, share: ShareRange, coreM: number, unit: TempUnit) {
  const steps = Array.from({ length: STEPS }, (_, i) => ({
    lambda: i / STEPS,
    c: temperatureAt(profile, (i + 0.5) / STEPS, 'low'),
  }));
  const labels = [
    { lambda: 0, figure: tempText(profile.airC, unit), name: say('batch.airSurface') },
    ...profile.depths
      .filter((d) => d.lambda > 0)
      .map((d) => ({
        lambda: d.lambda,
        figure: tempText(d.c, unit),
        name: say('batch.mDeep', { lambda: Math.round(d.lambda * coreM * 100) / 100 }),
      })),
  ];
  const said = isTooWide(share)
    ? say('batch.nobodyKnowsHowMuchHot')
    : say('batch.atOrMore', {
        share: shareRangeText(share),
        hotsharefloorc: tempText(HOT_SHARE_FLOOR_C, unit),
      });
  return {
    steps,
    hot: hotDepths(profile, 'low'),
    unreadTo: firstOf(profile.depths).lambda,
    labels,
    says: say('batch.crossSectionNothingWasRead', {
      labels: labels.map((l) => say('batch.at', { figure: l.figure, name: l.name })).join(', '),
      said,
    }),
  };
}

/** What can be said of the hot part of the heap: bounds, why it cannot be told, or what is missing. */
function hotPart(
  profile: Profile | null,
  coreM: number | undefined,
  logsOf: (line: DeathLine, clock: 'germs' | 'seeds') => readonly number[],
  turnings: number,
) {
  if (!profile || coreM === undefined) return { code: 'unknown' as const };
  const share = hotShareOf(profile);
  if (isTooWide(share)) {
    return {
      code: 'wide' as const,
      shallowest: lengthText(firstOf(profile.depths).lambda * coreM),
      tryAt: lengthText(mostTellingDepth(profile) * coreM),
      share: shareRangeText(share),
    };
  }
  const left = (line: DeathLine, clock: 'germs' | 'seeds'): string =>
    oneInRangeText(overShare(share, (s) => survivors(s, logsOf(line, clock))));
  return {
    code: 'told' as const,
    share: shareRangeText(share),
    never: shareRangeText(overShare(share, (s) => neverHot(s, turnings))),
    germsLeft: left(PATHOGEN_LINE, 'germs'),
    seedsLeft: left(HARD_SEED_LINE, 'seeds'),
  };
}

/** What goes beyond the rules: how far, and for how much of the heap. Null before anything is reckoned. */
export function beyondView(
  { prepared, rules: accounts }: BatchAssessment,
  { timeZone, unit, now }: Locale,
) {
  const lead = accounts[0];
  if (!lead || prepared.rounds.length === 0) return null;
  const findings = {
    germs: doseFinding(prepared, PATHOGEN_LINE, 'germs'),
    seeds: doseFinding(prepared, HARD_SEED_LINE, 'seeds'),
  };
  // After a proof a heap cools: what its hot part was, the last hot round of the run tells.
  const until = lead.assessment.verdict.provenAt ?? Infinity;
  const hot = lead.assessment.progress.reported?.rounds.findLast((r) => r.time <= until);
  const profile = profileOf(prepared, hot?.time);
  const turnings = lead.assessment.verdict.turningsCounted;
  const { events, coreDepthM } = prepared.evidence;
  const logsOf = (line: DeathLine, clock: 'germs' | 'seeds'): readonly number[] =>
    logsOfStages(prepared, lead.assessment, line, clock);
  return {
    pathogen: doseFindingText(findings.germs),
    seed: doseFindingText(findings.seeds),
    unknown: findings.germs.code === 'unknown' || findings.seeds.code === 'unknown',
    moisture: !events.some((e) => e.type === 'moisture')
      ? say('batch.noSqueezeTestWasLogged')
      : drySpans(events, now).length > 0
        ? say('batch.nothingCountsWhileWasLogged')
        : say('batch.itWasLoggedAsMoist'),
    species: SPECIES.map((s) => ({
      id: s.id,
      name: s.name,
      latin: s.latin ?? null,
      dose: doseFindingText(doseFinding(prepared, s.line, 'seeds')),
      source: s.source,
    })),
    section:
      profile && coreDepthM ? sectionOf(profile, hotShareOf(profile), coreDepthM, unit) : null,
    sectionWhen: profile ? soonText(timeZone, profile.at, now) : null,
    hot: hotPart(profile, coreDepthM, logsOf, turnings),
    floor: tempText(HOT_SHARE_FLOOR_C, unit),
    turnings: say('batch.turningCountsTurningsCount', { turnings }),
  };
}
export type BeyondView = NonNullable<ReturnType<typeof beyondView>>;
