import { TEMPLATES } from '@/core/advice/templates';
import { METHODS } from '@/core/evidence/types';
import { COUNTRIES } from '@/core/log/kinds/vocabulary';
import { MATERIAL_LIBRARY } from '@/core/mix/library';
import { conditionsOf } from '@/core/rules/propose';
import { RULE_LIBRARY } from '@/core/rules/library';
import { enLibrary } from '@/messages/library/en';
import { esLibrary } from '@/messages/library/es';
import { libraryText } from '@/messages/library-text';
import { asSpeaker } from '../support/speech';

const sentencesOf = (text: string | undefined): string[] => text?.split(/(?<=\.) /) ?? [];
/** What the library's data say to people: names, and the sentences beside them. */
const said = (): string[] => [
  ...MATERIAL_LIBRARY.flatMap((m) => [m.name, ...sentencesOf(m.caution)]),
  ...TEMPLATES.flatMap((t) => [t.name, ...sentencesOf(t.words)]),
  ...RULE_LIBRARY.flatMap((r) => [
    r.short ?? r.title,
    ...METHODS.flatMap((method) => conditionsOf(r, method)),
  ]),
  ...COUNTRIES,
];
/** Names that are the same in every language: those of a law, or of a standard alone. */
const SAME = /^(EU |Regulation|Followed by|Covered by)/;

test('everything in the library is said in Spanish', () => {
  const missing = [...new Set(said())].filter((text) => !(text in esLibrary) && !SAME.test(text));
  expect(missing).toEqual([]);
});

test('no text is translated that the library does not hold', () => {
  const known = new Set([...said(), ...RULE_LIBRARY.map((r) => r.title)]);
  for (const texts of [enLibrary, esLibrary])
    expect(Object.keys(texts).filter((text) => !known.has(text))).toEqual([]);
});

test('a name follows the reader; what a site named itself stays as it was written', () => {
  const names = () => ['Straw', 'Maize stalks', 'Our own mix'].map(libraryText);
  expect(asSpeaker({ language: 'es' }, names)).toEqual(['Paja', 'Cañas de maíz', 'Our own mix']);
  expect(asSpeaker({ language: 'en' }, names)).toEqual(['Straw', 'Corn stalks', 'Our own mix']);
  expect(asSpeaker({ language: 'en-GB' }, names)).toEqual(['Straw', 'Maize stalks', 'Our own mix']);
});
