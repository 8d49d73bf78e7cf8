import './all';
import { languageOf } from './languages';
import { setLanguageSource } from './say';

/** Texts of a worker in the browser: its page names the language as the worker's own name. */
setLanguageSource(() => languageOf((globalThis as { name?: string }).name) ?? 'en');
