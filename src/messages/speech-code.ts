import { METRIC, unitsCode, unitsOfCode } from '../core/units/units';
import { languageOf } from './languages';
import type { Speech } from './say';

/** A language and units as one text, such as `es us-F`: the name that a page gives a worker of its own. */
export const speechCode = ({ language, units }: Speech): string =>
  `${language} ${unitsCode(units)}`;
/** What such a text says; English and metric where it says nothing. */
export function speechOfCode(code: string): Speech {
  const [language, units] = code.split(' ');
  return { language: languageOf(language) ?? 'en', units: unitsOfCode(units) ?? METRIC };
}
