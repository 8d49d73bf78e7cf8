import { en } from './en';
import type { Language } from './languages';
import type { Catalogue } from './say';

/** The texts of every language. */
export const CATALOGUES: Readonly<Record<Language, Catalogue>> = { en, 'en-GB': en, es: en };
