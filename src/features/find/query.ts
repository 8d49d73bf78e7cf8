/** Words that are spelled otherwise on the other side of the ocean: whoever types one finds both. */
const SPELLINGS: readonly (readonly [british: string, american: string])[] = [
  ['mould', 'mold'],
  ['colour', 'color'],
  ['odour', 'odor'],
  ['fibre', 'fiber'],
  ['litre', 'liter'],
  ['metre', 'meter'],
  ['grey', 'gray'],
  ['neighbour', 'neighbor'],
  ['smoulder', 'smolder'],
  ['ageing', 'aging'],
  ['plough', 'plow'],
];

/** A word as it is compared: small, without accents and without marks. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The words that were typed. */
export const wordsTyped = (typed: string): string[] => plain(typed).split(' ').filter(Boolean);

/** A word in its spellings; the first is as it was typed. */
const spellingsOf = (word: string): string[] => {
  const other = SPELLINGS.flatMap(([british, american]) => [
    ...(word.includes(british) ? [word.replace(british, american)] : []),
    ...(word.includes(american) && !word.includes(british)
      ? [word.replace(american, british)]
      : []),
  ]);
  return [word, ...other];
};

/** What was typed as a query of the database: every word, each as the beginning of one, in any of its spellings. */
export const textQueryOf = (typed: string): string =>
  wordsTyped(typed)
    .map((word) =>
      spellingsOf(word)
        .map((spelling) => `${spelling}:*`)
        .join(' | '),
    )
    .map((word) => `(${word})`)
    .join(' & ');

/** Whether every word that was typed begins a word of a text, in any of its spellings. */
export function answersTo(
  typed: string,
  ...texts: readonly (string | null | undefined)[]
): boolean {
  const words = texts.flatMap((text) => wordsTyped(text ?? ''));
  const asked = wordsTyped(typed);
  return (
    asked.length > 0 &&
    asked.every((word) => spellingsOf(word).some((s) => words.some((w) => w.startsWith(s))))
  );
}
