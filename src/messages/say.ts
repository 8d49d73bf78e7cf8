import { createTranslator } from 'use-intl/core';
import type { en } from './en';
import type { Locale } from './locales';

type Catalogue = typeof en;
type Translator = ReturnType<typeof createTranslator<Catalogue>>;
/** What bundles of one program share: a server has several copies of this module, and one language for each request. */
type Shared = {
  readonly catalogues: Map<Locale, Catalogue>;
  readonly translators: Map<Locale, Translator>;
  asked: () => Locale;
};
const SHARED = Symbol.for('zealous-heap.messages');
const shared: Shared = ((globalThis as { [SHARED]?: Shared })[SHARED] ??= {
  catalogues: new Map(),
  translators: new Map(),
  asked: () => 'en',
});

/** Gives the texts of a language. A program gives every language that it may be asked for, before its first text. */
export function provideMessages(locale: Locale, messages: Catalogue): void {
  shared.catalogues.set(locale, messages);
  shared.translators.delete(locale);
}

/** Sets how the language of the moment is found: a page's own, a request's, a thread's. */
export function setLocaleSource(asked: () => Locale): void {
  shared.asked = asked;
}

/** The language that texts are given in now. */
export const currentLocale = (): Locale => shared.asked();

function translatorOf(locale: Locale): Translator {
  const known = shared.translators.get(locale);
  if (known) return known;
  const messages = shared.catalogues.get(locale);
  if (!messages) throw new Error(`No texts were provided for the language ${locale}.`);
  const made = createTranslator({
    locale,
    messages,
    timeZone: 'UTC',
    onError: (error) => {
      throw error;
    },
  });
  shared.translators.set(locale, made);
  return made;
}

/**
 * The text of a key in the language of the moment, such as `say('yard.airNow', { celsius: '12 °C' })`. Keys and the values
 * that a text asks for are types: a missing one does not compile.
 */
export const say = ((key: never, values: never) =>
  translatorOf(shared.asked())(key, values)) as unknown as Translator;
