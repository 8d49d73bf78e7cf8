import { say } from '@/messages/say';
import type { BroughtPreview } from '@/core/formats/bring';
import type { Country } from '@/core/log/kinds/vocabulary';
import { keepingOf, orderedLike, proposedRules } from '@/core/rules/propose';

/** Under which rules a batch from elsewhere is to be kept. Pure: the page only shows it. */

type Preview = Extract<BroughtPreview, { ok: true }>;

/** The rules that the site works to, the leading one first; and its country decides where it has none. */
export type SiteContext = {
  readonly siteRules: readonly string[];
  readonly country: Country | null;
};

/** What a person ticked or took away, and which rule is to lead; it stands over what is proposed. */
export type RuleChoices = {
  readonly byHand: Readonly<Record<string, boolean>>;
  readonly leads: string | null;
};
export const NO_CHOICES: RuleChoices = { byHand: {}, leads: null };

/** Rules that are ticked at first, each with the reason: those the file names, else those of the site, else of its country. */
export function proposeRules(
  preview: Pick<Preview, 'named' | 'method'>,
  { siteRules, country }: SiteContext,
): ReadonlyMap<string, string> {
  if (preview.named.length > 0)
    return new Map(preview.named.map((id) => [id, say('bring.namedInTheFile')]));
  // What went in is not in the file: any of the usual inputs may have.
  const keeping = keepingOf(preview.method, { aerated: preview.method !== 'turned' });
  return new Map(
    proposedRules({ keeping, inputs: ['garden', 'seeding-weeds'], siteRules, country }).map((r) => [
      r.id,
      r.from,
    ]),
  );
}

/** The rules that it will be kept under, the leading one first. */
export function rulesToKeep(
  preview: Pick<Preview, 'named' | 'method'> & {
    readonly verdicts: readonly { readonly id: string }[];
  },
  site: SiteContext,
  { byHand, leads }: RuleChoices,
): string[] {
  const proposed = proposeRules(preview, site);
  const ticked = orderedLike(
    preview.verdicts.map((v) => v.id).filter((id) => byHand[id] ?? proposed.has(id)),
    preview.named.length > 0 ? preview.named : site.siteRules,
  );
  return leads !== null && ticked.includes(leads)
    ? [leads, ...ticked.filter((id) => id !== leads)]
    : ticked;
}
