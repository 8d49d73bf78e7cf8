import { keysOf, SMELL_WORDS, SQUEEZE_WORDS } from '@/core/words/feel';

/** What a handful does after a hard squeeze, to choose from. */
export const squeezeOptions = () =>
  keysOf(SQUEEZE_WORDS).map((value) => ({
    value,
    label: SQUEEZE_WORDS[value].word,
    hint: SQUEEZE_WORDS[value].means,
  }));

/** What a heap may smell of. */
export const smellOptions = () =>
  keysOf(SMELL_WORDS).map((value) => ({
    value,
    label: SMELL_WORDS[value],
  }));
