import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { en } from '@/messages/en';
import { es } from '@/messages/es';

/**
 * How hard the sentences are that a crew reads at the pile: the Flesch–Kincaid grade (Kincaid and others, 1975, for the United
 * States Navy), by the packages flesch-kincaid and syllable. A grade is a school year of the United States.
 */
const CREW = [
  'yard',
  'round',
  'log',
  'day',
  'fire',
  'help',
  'glossary',
  'open',
  'waiting',
] as const;
/** A text as somebody would read it: values stand for one short word, of a choice the last is taken. */
const readable = (text: string): string => {
  let plain = text;
  for (let before = ''; before !== plain;) {
    before = plain;
    plain = plain
      .replace(
        /\{\w+, (?:plural|select),(?:[^{}]*\{[^{}]*\})*?[^{}]*\bother \{([^{}]*)\}\s*\}/g,
        '$1',
      )
      .replace(/\{\w+(?:, number(?:, \w+)?)?\}/g, 'ten')
      .replace(/#/g, 'ten');
  }
  return plain;
};
const sentencesOf = (text: string): string[] =>
  readable(text)
    .split(/(?<=[.!?])\s+/)
    .filter((s) => /[a-zñáéíóú]{2}/i.test(s));
const wordsOf = (sentence: string): string[] => sentence.match(/[\p{L}’']+/gu) ?? [];

const all = (catalogue: typeof en | typeof es): string[] =>
  CREW.flatMap((topic) => Object.values<string>(catalogue[topic])).flatMap(sentencesOf);

const gradeOf = (sentences: readonly string[]): number =>
  fleschKincaid({
    sentence: sentences.length,
    word: sentences.flatMap(wordsOf).length,
    syllable: sentences.reduce((n, s) => n + syllable(s), 0),
  });

test('what a crew reads in English is for the sixth grade at most, taken together', () => {
  const sentences = all(en).filter((s) => wordsOf(s).length >= 4);
  expect(sentences.length).toBeGreaterThan(300);
  expect(gradeOf(sentences)).toBeLessThan(6);
});

test('no sentence of a crew’s screens is longer than it can be read with gloves on', () => {
  for (const catalogue of [en, es]) {
    const long = all(catalogue).filter((s) => wordsOf(s).length > 32);
    expect(long).toEqual([]);
  }
});
