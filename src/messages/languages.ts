/** Languages of the product: American English is the base, British English says some things otherwise, Spanish is complete. */
export const LANGUAGES = ['en', 'en-GB', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];

/** Each language by the name that its speakers give it. */
export const LANGUAGE_NAMES: Readonly<Record<Language, string>> = {
  en: 'English (US)',
  'en-GB': 'English (UK)',
  es: 'Español',
};

/** Whose figures and names of days a language uses: Spanish is that of crews in America, with a decimal point. */
export const REGION_OF: Readonly<Record<Language, string>> = {
  en: 'en-US',
  'en-GB': 'en-GB',
  es: 'es-US',
};

/** Where a device keeps the language that was chosen on it. */
const LANGUAGE_COOKIE = 'zh_language';

/** The language of that name; null: none of ours. */
export const languageOf = (name: string | null | undefined): Language | null =>
  LANGUAGES.find((language) => language === name) ?? null;

/** Languages of an Accept-Language header (RFC 9110, 12.5.4), the most wanted first. */
function listLanguages(header: string): string[] {
  return header
    .split(',')
    .map((part) => {
      const [tag = '', ...rest] = part.trim().split(';');
      const weight = rest.map((p) => /^\s*q=([\d.]+)$/.exec(p)?.[1]).find((q) => q !== undefined);
      return { tag: tag.toLowerCase(), weight: Number(weight ?? 1) };
    })
    .filter(({ weight }) => weight > 0)
    .sort((a, b) => b.weight - a.weight)
    .map(({ tag }) => tag);
}

/** The language that a browser speaks; null: none of ours, or English of no country, for which the site's own English may stand. */
function languageSpoken(header: string): Language | null {
  for (const tag of listLanguages(header)) {
    if (tag.split('-')[0] === 'es') return 'es';
    if (tag === 'en-gb' || tag === 'en-ie') return 'en-GB';
    if (tag.split('-')[0] === 'en') return null;
  }
  return null;
}

/**
 * The language that a device asks for: what was chosen on it, else what its browser speaks; null: the site's own.
 * @param cookies the Cookie header
 * @param languages the Accept-Language header
 */
export function languageAsked(
  cookies: string | undefined,
  languages: string | undefined,
): Language | null {
  const chosen = new RegExp(`(?:^|;\\s*)${LANGUAGE_COOKIE}=([\\w-]+)`).exec(cookies ?? '')?.[1];
  return languageOf(chosen) ?? languageSpoken(languages ?? '');
}

/** The language of a terminal, as its environment names it (`es_MX.UTF-8`); English where it names none of ours. */
export function languageOfTerminal(name: string | undefined): Language {
  const [language, region] = (name ?? '').split(/[_.@]/);
  if (language === 'es') return 'es';
  return language === 'en' && (region === 'GB' || region === 'IE') ? 'en-GB' : 'en';
}
