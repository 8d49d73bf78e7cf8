import { createTranslator } from 'use-intl/core';
import type { en } from './en';
import { REGION_OF, type Language } from './languages';

/** The texts of one language: those of English, each in its words. */
export type Catalogue = {
  readonly [Topic in keyof typeof en]: { readonly [Key in keyof (typeof en)[Topic]]: string };
};
/** Texts that a language says otherwise than the one it is laid over. */
export type Overrides = {
  readonly [Topic in keyof Catalogue]?: { readonly [Key in keyof Catalogue[Topic]]?: string };
};

/** What a text asks for is read off the English one. */
type Translator = ReturnType<typeof createTranslator<typeof en>>;
/** What bundles of one program share: a server has several copies of this module, and one language for each request. */
type Shared = {
  readonly catalogues: Map<Language, Catalogue>;
  readonly translators: Map<Language, Translator>;
  asked: () => Language;
};
const SHARED = Symbol.for('zealous-heap.messages');
const shared: Shared = ((globalThis as { [SHARED]?: Shared })[SHARED] ??= {
  catalogues: new Map(),
  translators: new Map(),
  asked: () => 'en',
});

/** Gives the texts of a language. A program gives every language that it may be asked for, before its first text. */
export function provideMessages(language: Language, messages: Catalogue): void {
  shared.catalogues.set(language, messages);
  shared.translators.delete(language);
}

/** Sets how the language of the moment is found: a page's own, a request's, a thread's. */
export function setLanguageSource(asked: () => Language): void {
  shared.asked = asked;
}

/** The language that texts are given in now. */
export const currentLanguage = (): Language => shared.asked();

function translatorOf(language: Language): Translator {
  const known = shared.translators.get(language);
  if (known) return known;
  const messages = shared.catalogues.get(language);
  if (!messages) throw new Error(`No texts were provided for the language ${language}.`);
  const made = createTranslator({
    locale: REGION_OF[language],
    messages: messages as typeof en,
    timeZone: 'UTC',
    onError: (error) => {
      throw error;
    },
  });
  shared.translators.set(language, made);
  return made;
}

/**
 * The text of a key in the language of the moment, such as `say('yard.airNow', { celsius: '12 °C' })`. Keys and the values
 * that a text asks for are types: a missing one does not compile.
 */
export const say = ((key: never, values: never) =>
  translatorOf(shared.asked())(key, values)) as unknown as Translator;
