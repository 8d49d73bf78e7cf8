import { en } from './en';
import { enGB } from './en-GB';
import { es } from './es';
import { enMethodNames } from './library/en';
import { esMethodNames } from './library/es';
import type { Language } from './languages';
import type { Catalogue, Overrides } from './say';

/** A catalogue with some of its texts said otherwise. */
function layOver(base: Catalogue, overrides: Overrides): Catalogue {
  const other: Readonly<Record<string, object | undefined>> = overrides;
  const topics = Object.entries(base).map(([topic, texts]) => [
    topic,
    { ...(texts as object), ...other[topic] },
  ]);
  return Object.fromEntries(topics) as Catalogue;
}

/** The texts of every language. */
export const CATALOGUES: Readonly<Record<Language, Catalogue>> = {
  en,
  'en-GB': layOver(en, enGB),
  es,
};

/** Names of methods, which pages show in forms; those of materials and rules come from the server with what they name. */
export const METHOD_TEXTS: Readonly<Record<Language, Readonly<Record<string, string>>>> = {
  en: enMethodNames,
  'en-GB': {},
  es: esMethodNames,
};
