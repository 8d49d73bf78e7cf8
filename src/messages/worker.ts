import './all';
import { speechOfCode } from './speech-code';
import { setSpeechSource } from './say';

/** Texts of a worker in the browser: its page gives it the language and the units as its name. */
const speech = speechOfCode((globalThis as { name?: string }).name ?? '');
setSpeechSource(() => speech);
