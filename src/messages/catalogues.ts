import { en } from './en';
import { enGB } from './en-GB';
import { es } from './es';
import type { Language } from './languages';
import type { Catalogue } from './say';

/** Texts that a language says otherwise than the one it is laid over. */
export type Overrides = {
  readonly [Topic in keyof Catalogue]?: { readonly [Key in keyof Catalogue[Topic]]?: string };
};

/** A catalogue with some of its texts said otherwise. */
function layOver(base: Catalogue, overrides: Overrides): Catalogue {
  const topics = Object.entries(base).map(([topic, texts]) => [
    topic,
    { ...texts, ...overrides[topic as keyof Catalogue] },
  ]);
  return Object.fromEntries(topics) as Catalogue;
}

/** The texts of every language. */
export const CATALOGUES: Readonly<Record<Language, Catalogue>> = {
  en,
  'en-GB': layOver(en, enGB),
  es,
};
