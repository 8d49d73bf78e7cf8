import { say } from '../../messages/say';
/** A bay, or a stretch of a row, m. */
type Position =
  { readonly bay: string } | { readonly row: string; readonly fromM: number; readonly toM: number };

/** `bay 5`, `row South, 4–11.5 m`, or nothing. */
export const positionText = (p: Position | null): string =>
  p === null
    ? ''
    : 'row' in p
      ? say('terms.rowM', { row: p.row, fromM: p.fromM, toM: p.toM })
      : say('terms.bay', { bay: p.bay });

/** The same where there is room for a word or two: `row South`. */
export const positionShort = (p: Position | null): string =>
  p !== null && 'row' in p ? say('terms.row', { row: p.row }) : positionText(p);
