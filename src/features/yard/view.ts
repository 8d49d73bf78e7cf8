import type { Digest } from '@/core/digest/digest';
import { nextAdvice } from '@/core/advice/next';
import { positionShort } from '@/core/heap/row';
import { heapPicture } from '@/core/digest/picture';
import { ageText, durationText, spanText, tempBeside, tempFigure, tempText, volumeText, whenText, dayText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { VolumeUnit } from '@/core/quantity/units';
import { adviceWords, type AdviceWords } from '@/core/advice/words';
import type { Locale } from '@/core/words/note';
import { progressText } from '@/core/words/verdict';

/** A plot of the yard: what stands in a bay, how far it is, what to do. */
export type Plot = {
  readonly id: string; readonly name: string; readonly place: string; readonly volume: string; readonly foot: string;
  readonly head: string; readonly sub: string; readonly advice: AdviceWords;
};

function headOf(d: Digest, { timeZone, now }: Locale): { head: string; sub: string } {
  const lead = d.rules[0];
  const turned = lead && lead.turningsRequired > 0 ? `${lead.turningsCounted} of ${lead.turningsRequired} turned` : '';
  const age = d.builtAt === null ? '' : `day ${Math.floor((now - d.builtAt) / MS.day) + 1}`;
  const proof = lead?.provenAt ? `Proven ${dayText(timeZone, lead.provenAt)}` : '';
  switch (d.state) {
    case 'building': return { head: 'Still building', sub: `opened ${whenText(timeZone, d.openedAt, now)}` };
    case 'released': return { head: 'Gone out', sub: proof };
    case 'curing': return { head: d.situation.stage.code === 'ready' ? 'Ready' : 'Curing', sub: [proof, age].filter(Boolean).join(' · ') };
    case 'proven': return { head: proof, sub: lead ? `${spanText(lead.requiredHours)}${turned ? ` · ${lead.turningsCounted} turnings` : ''}` : '' };
    case 'waiting': return { head: 'Not yet hot', sub: age };
    default: {
      if (!lead) return { head: 'No rule chosen', sub: age };
      const progress = progressText(lead);
      if (lead.status === 'recovering') return { head: `${durationText(lead.creditedHours)}, paused`, sub: turned };
      if (d.state === 'broken') return { head: `${progress}, again`, sub: d.lostHours > 0 ? `${durationText(d.lostHours)} lost` : turned };
      return { head: lead.status === 'broken' ? 'Not hot enough' : progress, sub: turned || age };
    }
  }
}

/** Age of the last reading once it is over half the gap that the policy allows; before that its value alone. */
function footOf(d: Digest, { unit, now }: Locale): string {
  if (!d.latest) return 'not read yet';
  const hours = (now - d.latest.at) / MS.hour;
  if (d.state === 'released' || d.state === 'curing') return tempText(d.latest.valueC, unit);
  return hours > d.maxGapHours / 2 ? `${ageText(hours)} unread` : `coldest ${tempBeside(d.latest.valueC, d.situation.proof.floorC, unit)}`;
}

export const plotOf = (d: Digest, locale: Locale, volume: VolumeUnit): Plot => ({
  id: d.id, name: d.name ?? d.code, place: positionShort(d.position) || 'no bay', volume: d.volumeM3 === null ? '' : volumeText(d.volumeM3, volume),
  foot: footOf(d, locale), ...headOf(d, locale), advice: adviceWords(nextAdvice({ ...d.situation, now: locale.now }), locale),
});

/** Everything the yard shows. */
export function yardScreen(board: readonly Digest[], locale: Locale, volume: VolumeUnit) {
  return {
    heaps: board.filter((d) => d.situation.stage.code !== 'ended').map((d) => ({ plot: plotOf(d, locale, volume), picture: heapPicture(d, locale.now, locale.unit, volume) })),
    figures: [25, 40, 55, 65, 70, 77].map((c) => tempFigure(c, locale.unit)),
  };
}
