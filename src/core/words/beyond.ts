import { REGION_OF } from '../../messages/languages';
import { currentLanguage, say } from '../../messages/say';
/** Figures beyond the rules, without false digits. */

/** A dose: two figures below ten, whole tens and hundreds above; `over 1000` where more would say nothing. */
export function doseText(dose: number): string {
  if (dose === 0) return say('terms.none2');
  if (dose < 0.01) return say('terms.under001');
  if (dose > 1000) return say('terms.over1000');
  return String(Number(dose.toPrecision(dose < 1 ? 1 : 2)));
}

/** What can be said of a dose: a figure; none, where every full check came out too cool; or not known, where nothing tells. */
export type DoseFinding =
  | { readonly code: 'dose'; readonly dose: number }
  | { readonly code: 'none' }
  | { readonly code: 'unknown' };

/** A dose that may not be known. */
export function doseFindingText(finding: DoseFinding): string {
  if (finding.code === 'dose') return doseText(finding.dose);
  return finding.code === 'none' ? 'none' : say('terms.notKnown');
}

/** A share of the volume: `about 60 %`; never a round 100 where something is left. */
export function shareText(share: number): string {
  const percent = share * 100;
  if (percent <= 0) return say('terms.none2');
  if (percent < 1) return say('terms.under1');
  if (percent >= 99) return share >= 1 ? say('terms.allOfIt') : say('terms.over99');
  return say('terms.about3', {
    percent:
      Math.round(percent < 10 || percent > 90 ? percent : percent / 5) *
      (percent < 10 || percent > 90 ? 1 : 5),
  });
}

/** One in so many: `1 in 30`, `fewer than 1 in a million`. */
export function oneInText(share: number): string {
  if (share >= 0.5) return say('terms.moreThanHalf');
  if (share < 1e-6) return say('terms.fewerThan1InMillion');
  return say('terms.about1In', {
    share: Number((1 / share).toPrecision(1 / share < 10 ? 1 : 2)).toLocaleString(
      REGION_OF[currentLanguage()],
    ),
  });
}

/** Two bounds in words, once where they read alike: `about 20 %`, `10 % to 45 %`, `none to about 30 %`. */
function rangeText([low, high]: readonly [number, number], textOf: (x: number) => string): string {
  const [a, b] = [textOf(low), textOf(high)];
  return a === b ? a : say('terms.to', { a, b });
}

/** A share of the volume between two bounds. */
export const shareRangeText = (range: readonly [number, number]): string =>
  rangeText(range, shareText);

/** One in so many, between two bounds; the lesser share first. */
export const oneInRangeText = (range: readonly [number, number]): string =>
  rangeText(range, oneInText);
