import { AsyncLocalStorage } from 'node:async_hooks';
import diagnostics from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';
import { languageAsked, type Language } from '@/messages/languages';
import { setLanguageSource } from '@/messages/say';

/** The language of one request; null: its device asks for none, and gets that of the site. */
type Asked = { readonly language: Language | null };

/** One for all bundles of the server: each has a copy of this module. */
const STORE = Symbol.for('zealous-heap.request-language');
const requests = ((globalThis as { [STORE]?: AsyncLocalStorage<Asked> })[STORE] ??=
  new AsyncLocalStorage<Asked>());

/** The language of the site, for devices that ask for none. */
const FALLBACK = Symbol.for('zealous-heap.site-language');
const fallback = ((globalThis as { [FALLBACK]?: { language: Language } })[FALLBACK] ??= {
  language: 'en',
});

/** Every request that this process answers from now on is answered in the language that its device asks for. */
export function followRequestLanguages(): void {
  setLanguageSource(() => requests.getStore()?.language ?? fallback.language);
  // Published before the request is handed to its handler, in the same turn: what the handler awaits keeps the store.
  diagnostics.subscribe('http.server.request.start', (message) => {
    const { request } = message as { request: IncomingMessage };
    const { cookie, 'accept-language': languages } = request.headers;
    requests.enterWith({ language: languageAsked(cookie, languages) });
  });
}

/** Tells which language the site speaks, as soon as the site is known. */
export function setSiteLanguage(language: Language): void {
  fallback.language = language;
}

/** Does work in a language, as a thread of the server does for a request. */
export const inLanguage = <T>(language: Language, work: () => T): T =>
  requests.run({ language }, work);
