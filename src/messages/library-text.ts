import { currentLanguage } from './say';
import type { Language } from './languages';

/** Texts of the library's data in one language, by the texts that the data hold. */
type LibraryTexts = Readonly<Record<string, string>>;
const SHARED = Symbol.for('zealous-heap.library-texts');
const texts = ((globalThis as { [SHARED]?: Map<Language, LibraryTexts> })[SHARED] ??= new Map<
  Language,
  LibraryTexts
>());

/** Gives the texts of a language; a program that is given none says them as the data hold them. */
export function provideLibraryTexts(language: Language, own: LibraryTexts): void {
  texts.set(language, own);
}

/** Behind the full stop of a sentence that another follows. */
const SENTENCE_END = /(?<=\.) /;

/**
 * The name, or a sentence, of a material, a method or a rule in the language of the moment. What a site wrote itself stays as it
 * was written. Only to be shown: what is kept, hashed or compared is the text of the data.
 */
export function libraryText(text: string): string {
  const own = texts.get(currentLanguage());
  if (!own) return text;
  // A caution may be put together of sentences that several materials share.
  return (
    own[text] ??
    text
      .split(SENTENCE_END)
      .map((sentence) => own[sentence] ?? sentence)
      .join(' ')
  );
}
