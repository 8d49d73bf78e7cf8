import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** From this score on a password takes more than a hundred million guesses (zxcvbn, Wheeler 2016: 0 to 4). */
const LEAST_SCORE = 3;
const checker = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/**
 * Whether a password is among those that are tried first: common ones, their usual changes, rows of keys, one's own name.
 * @param own what is known of the person: their name, their user name
 */
export const isEasyToGuess = (password: string, own: readonly string[]): boolean =>
  checker.check(password, [...own]).score < LEAST_SCORE;
