/** Languages of the product: American English is the base, British English says some things otherwise, Spanish is complete. */
export const LOCALES = ['en', 'en-GB', 'es'] as const;
export type Locale = (typeof LOCALES)[number];

/** The language of that name; null: none of ours. */
export const localeOf = (name: string | null | undefined): Locale | null =>
  LOCALES.find((locale) => locale === name) ?? null;
