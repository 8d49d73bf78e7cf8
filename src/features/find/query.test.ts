import { answersTo, textQueryOf, wordsTyped } from './query';

test('words are compared small, without accents and marks', () =>
  expect(wordsTyped('  Volteó la PILA, “Rápida”; y? ')).toEqual([
    'volteo',
    'la',
    'pila',
    'rapida',
    'y',
  ]));

test.each([
  ['', ''],
  ['!&|:*()', ''],
  ['egret', '(egret:*)'],
  ['grey mould', '(grey:* | gray:*) & (mould:* | mold:*)'],
  ['liters', '(liters:* | litres:*)'],
])('%j asks the database for %j', (typed, query) => expect(textQueryOf(typed)).toBe(query));

test.each([
  ['mold', ['White mould on it'], true],
  ['odour', ['odor of ammonia'], true],
  ['north row', ['Row 2', 'north side'], true],
  ['north row', ['Row 2'], false],
  ['gret', ['Egret'], false],
  ['', ['Egret'], false],
  ['egr', [null, undefined, 'Egret'], true],
])('%j in %j: %j', (typed, texts, found) => expect(answersTo(typed, ...texts)).toBe(found));
