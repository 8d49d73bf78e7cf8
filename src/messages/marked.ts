/** A part of a text; strong ones are what the eye looks for: quantities, dates, names of buttons. */
export type MarkedPart = { readonly text: string; readonly strong?: true };

/** Ends of a strong part: no text holds them. */
const [OPEN, CLOSE] = ['\u0002', '\u0003'];
/** Marks a strong part of a text: the value of `b` in `sayMarked`. */
export const b = (words: string): string => `${OPEN}${words}${CLOSE}`;
/** A text whose strong parts were marked, in its parts. */
export const markedParts = (text: string): MarkedPart[] =>
  text
    .split(OPEN)
    .flatMap((part, i): MarkedPart[] => {
      const [words = '', after = ''] = i === 0 ? ['', part] : part.split(CLOSE);
      return [{ text: words, strong: true }, { text: after }];
    })
    .filter((piece) => piece.text !== '');
