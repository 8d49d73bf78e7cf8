import type { Reckoning } from '@/core/digest/reckon';
import { doseAlong, dosesOf, drySpans, HARD_SEED_LINE, PATHOGEN_LINE } from '@/core/evidence/doses';
import { HOT_SHARE_FLOOR_C, hotDepths, hotShareOf, profileOf, temperatureAt, type Profile } from '@/core/evidence/hot-share';
import { logsOfStages, neverHot, survivors } from '@/core/evidence/mixing';
import { SPECIES } from '@/core/evidence/species';
import { countText, soonText, tempText } from '@/core/quantity/format';
import type { TempUnit } from '@/core/quantity/units';
import { doseText, oneInText, shareText } from '@/core/words/beyond';
import type { Locale } from '@/core/words/note';

const STEPS = 28;

function sectionOf(profile: Profile, coreM: number, unit: TempUnit) {
  const steps = Array.from({ length: STEPS }, (_, i) => ({ lambda: i / STEPS, c: temperatureAt(profile, (i + 0.5) / STEPS) }));
  const labels = [{ lambda: 0, figure: tempText(profile.airC, unit), name: 'air, surface' }, ...profile.depths.filter((d) => d.lambda > 0).map((d) => ({ lambda: Math.min(d.lambda, 1), figure: tempText(d.c, unit), name: `${Math.round(d.lambda * coreM * 100) / 100} m deep` }))];
  return { steps, hot: hotDepths(profile), labels, says: `Cut open: ${labels.map((l) => `${l.figure} at ${l.name}`).join(', ')}; ${shareText(hotShareOf(profile))} at ${tempText(HOT_SHARE_FLOOR_C, unit)} or more` };
}

/** What goes beyond the rules: how far, and for how much of the heap. Null before anything is reckoned. */
export function beyondView({ prepared, accounts }: Reckoning, { timeZone, unit, now }: Locale) {
  const lead = accounts[0];
  if (!lead || prepared.rounds.length === 0) return null;
  const doses = dosesOf(prepared);
  // After a proof a heap cools: what its hot part was, the last hot round of the run tells.
  const until = lead.account.verdict.provenAt ?? Infinity;
  const hot = lead.account.standing.reported?.rounds.findLast((r) => r.time <= until);
  const profile = profileOf(prepared, hot?.time);
  const share = profile && hotShareOf(profile);
  const turnings = lead.account.verdict.turningsCounted;
  const { events, coreDepthM } = prepared.evidence;
  const left = (line: typeof PATHOGEN_LINE, clock: 'germs' | 'seeds'): string | null => (share === null ? null : oneInText(survivors(share, logsOfStages(prepared, lead.account, line, clock))));
  return {
    pathogen: doseText(doses.pathogen), seed: doseText(doses.weedSeed),
    moisture: !events.some((e) => e.type === 'moisture') ? 'No squeeze test was logged, so it is taken as moist: dry seeds survive heat that kills moist ones.'
      : drySpans(events, now).length > 0 ? 'While it was logged as dry, nothing is counted.' : 'It was logged as moist.',
    species: SPECIES.map((s) => ({ id: s.id, name: s.name, latin: s.latin ?? null, dose: doseText(doseAlong(prepared, s.line, 'seeds')), source: s.source })),
    section: profile && coreDepthM ? sectionOf(profile, coreDepthM, unit) : null,
    sectionWhen: profile ? soonText(timeZone, profile.at, now) : null,
    share: share === null ? null : shareText(share), floor: tempText(HOT_SHARE_FLOOR_C, unit),
    turnings: countText(turnings, 'counted turning'),
    never: share === null ? null : shareText(neverHot(share, turnings)),
    germsLeft: left(PATHOGEN_LINE, 'germs'), seedsLeft: left(HARD_SEED_LINE, 'seeds'),
  };
}
export type BeyondView = NonNullable<ReturnType<typeof beyondView>>;
