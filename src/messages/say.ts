import { _createCache, _createIntlFormatters, createTranslator } from 'use-intl/core';
import { quantityText, type TextQuantity } from '../core/units/text';
import { METRIC, SCALED_QUANTITIES, unitsOfCode, type Units } from '../core/units/units';
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
/** How somebody is spoken to: in which language, and in which units. */
export type Speech = { readonly language: Language; readonly units: Units };
/** What bundles of one program share: a server has several copies of this module, and one language for each request. */
type Shared = {
  readonly catalogues: Map<Language, Catalogue>;
  readonly translators: Map<Language, Translator>;
  /** The language of the moment. */
  asked: () => Language;
  /** The units of the moment; absent: those that the page was made in, metric where there is none. */
  units?: () => Units;
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

/** Sets how the language of the moment is found, and the units: a page's own, a request's, a thread's. */
export function setSpeechSource(source: () => Speech): void {
  shared.asked = () => source().language;
  shared.units = () => source().units;
}

/** The language that texts are given in now. */
export const currentLanguage = (): Language => shared.asked();

/** What a page has, and a server has not. */
type PageGlobal = {
  document?: { documentElement: { dataset: { readonly units?: string } } };
};
/** A page bears its units, so that its scripts say what the server said. */
const unitsOfPage = (): Units =>
  unitsOfCode((globalThis as PageGlobal).document?.documentElement.dataset.units) ?? METRIC;
/** The units that quantities are shown and typed in now. */
export const currentUnits = (): Units => (shared.units ?? unitsOfPage)();
/** The language and the units of now. */
export const currentSpeech = (): Speech => ({
  language: currentLanguage(),
  units: currentUnits(),
});

/** What a text asks for with `{depthM, number, length}`: the figure in the units of the moment, with its unit. */
const QUANTITIES: readonly TextQuantity[] = [...SCALED_QUANTITIES, 'celsius', 'kelvin'];
/** Formats of numbers that bear the name of a quantity besides what Intl knows. */
const QUANTITY_FORMATS: Record<string, object> = Object.fromEntries(
  QUANTITIES.map((quantity) => [quantity, { quantity }]),
);

/** The formatters of ICU, where a number may also be a quantity. */
function createFormatters(): ReturnType<typeof _createIntlFormatters> {
  const formatters = _createIntlFormatters(_createCache());
  return {
    ...formatters,
    getNumberFormat: (locale, options) => {
      const { quantity } = (options ?? {}) as { quantity?: TextQuantity };
      if (quantity === undefined) return formatters.getNumberFormat(locale, options);
      // What a text asks of a format is to be told the figure.
      const format = (value: number): string =>
        quantityText(quantity, value, currentUnits(), String(locale));
      return { format } as Intl.NumberFormat;
    },
  };
}

function translatorOf(language: Language): Translator {
  const known = shared.translators.get(language);
  if (known) return known;
  const messages = shared.catalogues.get(language);
  if (!messages) throw new Error(`No texts were provided for the language ${language}.`);
  const made = createTranslator({
    locale: REGION_OF[language],
    messages: messages as typeof en,
    timeZone: 'UTC',
    formats: { number: QUANTITY_FORMATS },
    _formatters: createFormatters(),
    onError: (error) => {
      throw error;
    },
  });
  shared.translators.set(language, made);
  return made;
}

/** A text with its marked parts, `<b>55 °C</b>`, handed to functions by the name of the mark. */
export const sayMarked = ((key: never, values: never) =>
  translatorOf(shared.asked()).markup(key, values)) as unknown as Translator['markup'];

/**
 * The text of a key in the language of the moment, such as `say('yard.airNow', { celsius: '12 °C' })`. Keys and the values
 * that a text asks for are types: a missing one does not compile.
 */
export const say = ((key: never, values: never) =>
  translatorOf(shared.asked())(key, values)) as unknown as Translator;
