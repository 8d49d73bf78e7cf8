import fs from 'node:fs';
import path from 'node:path';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { CATALOGUES } from '@/messages/catalogues';
import { en } from '@/messages/en';
import { enGB } from '@/messages/en-GB';
import {
  languageAsked,
  languageOfTerminal,
  LANGUAGES,
  REGION_OF,
  type Language,
} from '@/messages/languages';
import { say } from '@/messages/say';
import { asSpeaker } from '../support/speech';
import { RULE_LIBRARY } from '@/core/rules/library';

/** The catalogues hold together, speak the words of the trade, and are all in use. */
const SRC = path.resolve(__dirname, '../../src');
type Text = { readonly key: string; readonly text: string };
const textsOf = (language: Language): Text[] =>
  Object.entries(CATALOGUES[language]).flatMap(([topic, texts]) =>
    Object.entries(texts as Record<string, string>).map(([key, text]) => ({
      key: `${topic}.${key}`,
      text,
    })),
  );

function sources(dir: string): string[] {
  return fs.readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(dir, entry.name);
    if (entry.isDirectory()) return sources(at);
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name) ? [at] : [];
  });
}

/** Every part of a message with what is nested in it. */
const partsOf = (elements: readonly MessageFormatElement[]): MessageFormatElement[] =>
  elements.flatMap((e) => [
    e,
    ...('options' in e ? Object.values(e.options).flatMap((o) => partsOf(o.value)) : []),
    ...('children' in e ? partsOf(e.children) : []),
  ]);
/** What a message asks for: names of its arguments, and how each is used. */
const argumentsOf = (text: string): string[] =>
  [
    ...new Set(
      partsOf(parse(text)).flatMap((e) =>
        e.type === TYPE.literal || e.type === TYPE.pound || e.type === TYPE.tag ? [] : [e.value],
      ),
    ),
  ].sort();

test.each(LANGUAGES)(
  'every text of %s is a message, asking for what the English one asks for',
  (language) => {
    const english = new Map(textsOf('en').map(({ key, text }) => [key, text]));
    const other = textsOf(language).filter(
      ({ key, text }) => String(argumentsOf(text)) !== String(argumentsOf(english.get(key)!)),
    );
    expect(other).toEqual([]);
    expect(
      textsOf(language)
        .map(({ key }) => key)
        .sort(),
    ).toEqual([...english.keys()].sort());
  },
);

test.each(LANGUAGES)('every plural of %s has a form for any number', (language) => {
  const forms = new Intl.PluralRules(REGION_OF[language]).resolvedOptions().pluralCategories;
  const lacking = textsOf(language).filter(({ text }) =>
    partsOf(parse(text)).some(
      (e) =>
        e.type === TYPE.plural &&
        !('other' in e.options && forms.includes('one') && 'one' in e.options),
    ),
  );
  expect(lacking).toEqual([]);
});

test('what is said otherwise in Britain is otherwise, and of a text that there is', () => {
  const base: Record<string, Record<string, string>> = en;
  const alike = Object.entries(enGB).flatMap(([topic, texts]) =>
    Object.entries(texts as Record<string, string>).filter(
      ([key, text]) => base[topic]?.[key] === undefined || base[topic][key] === text,
    ),
  );
  expect(alike).toEqual([]);
});

test('every text is said somewhere, and keys are written out so that it can be seen', () => {
  const said = new Set<string>();
  const hidden: string[] = [];
  for (const file of sources(SRC).filter((f) => !f.includes('/messages/'))) {
    const source = fs.readFileSync(file, 'utf8');
    for (const [, key] of source.matchAll(/\bsay(?:Marked)?\(\s*'([a-z]+\.\w+)'/g)) said.add(key!);
    if (/[^.\w]say\(\s*[^'\s)]/.test(source)) hidden.push(path.relative(SRC, file));
  }
  expect(hidden).toEqual([]);
  expect(textsOf('en').filter(({ key }) => !said.has(key))).toEqual([]);
});

/** What a message says itself, without the names of its arguments. */
const saidBy = (text: string): string =>
  partsOf(parse(text))
    .flatMap((e) => (e.type === TYPE.literal ? [e.value] : []))
    .join(' ');

/** Words of the product's own that stood for words of the trade. */
const PRIVATE =
  /\b(reckon\w*|lay(s|ing)? (it |them )?up|laid up|held against|put(s|ting)? away|likened|rubbed out|hangs on|bring(s|ing)? in|brought in|told|said so|owed|owes|credit(ed|s)?|earn(s|ed)?|germs?|strike|struck|put right|put off|toe|crown|bench|hub|yard|heaps?|flags?|fire card|chores?|take(n)? out|takes it out|K in|shed)\b/i;
/** Where such a word says what it says in the trade. */
const MEANT =
  /cubic yard|yard and crop|Yard and crop|taken into|[Tt]ake .*out of service|Zealous Heap|zealous-heap|heap\.example|told to the driver|neither superseded nor rejected/;

test('no private word is left in American English', () => {
  const found = textsOf('en').filter(
    ({ text }) => PRIVATE.test(saidBy(text)) && !MEANT.test(text) && text !== 'Heap',
  );
  expect(found).toEqual([]);
});

test('no two rules of the library share a name', () => {
  for (const name of ['title', 'short'] as const) {
    const names = RULE_LIBRARY.map((rule) => rule[name]);
    expect(new Set(names).size).toBe(names.length);
  }
});

test('Spanish is Spanish: hardly a text is the English one', () => {
  const english = new Map(textsOf('en').map(({ key, text }) => [key, text]));
  const words = (text: string): number =>
    text.replace(/\{[^}]*\}?/g, '').match(/[a-z]{3,}/gi)?.length ?? 0;
  const same = textsOf('es').filter(
    ({ key, text }) => text === english.get(key) && words(text) > 2,
  );
  expect(same).toEqual([]);
});

test.each([
  ['es_MX.UTF-8', 'es'],
  ['en_GB.UTF-8', 'en-GB'],
  ['en_US', 'en'],
  ['C.UTF-8', 'en'],
  ['de_DE', 'en'],
  [undefined, 'en'],
])('a terminal in %s is answered in %s', (name, language) =>
  expect(languageOfTerminal(name)).toBe(language),
);

describe('the language of a device', () => {
  test.each([
    ['zh_language=es; zh_unit=F', 'en-US', 'es'],
    ['zh_language=klingon', 'es-MX,es;q=0.9,en;q=0.8', 'es'],
    [undefined, 'en-GB,en;q=0.9', 'en-GB'],
    [undefined, 'en;q=0.5, es;q=0.9', 'es'],
    [undefined, 'en-US,en;q=0.9,es;q=0.8', null],
    [undefined, 'cy', null],
    [undefined, undefined, null],
  ])('cookies %s and languages %s: %s', (cookies, languages, asked) =>
    expect(languageAsked(cookies, languages)).toBe(asked),
  );

  test('texts follow it, with plurals and figures of their own', () => {
    const texts = LANGUAGES.map((language) =>
      asSpeaker({ language }, () => say('day.taskTasks', { tasks: 1 })),
    );
    expect(texts).toEqual(['1 task', '1 task', '1 tarea']);
  });
});
