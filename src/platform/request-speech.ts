import { AsyncLocalStorage } from 'node:async_hooks';
import diagnostics from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';
import { METRIC, tempUnitOf, type TempUnit, type Units, type UnitSystem } from '@/core/units/units';
import { languageAsked, type Language } from '@/messages/languages';
import { setSpeechSource, type Speech } from '@/messages/say';
import { systemAsked, tempUnitAsked } from '@/messages/speech-cookies';

/** What one request asks for; null: its device asks for none, and gets that of the site. */
type Asked = {
  readonly language: Language | null;
  readonly system: UnitSystem | null;
  readonly temp: TempUnit | null;
};

/** One for all bundles of the server: each has a copy of this module. */
const STORE = Symbol.for('zealous-heap.request-speech');
const requests = ((globalThis as { [STORE]?: AsyncLocalStorage<Asked> })[STORE] ??=
  new AsyncLocalStorage<Asked>());

/** What the site speaks, for devices that ask for nothing. */
const FALLBACK = Symbol.for('zealous-heap.site-speech');
const fallback = ((globalThis as { [FALLBACK]?: { site: Speech } })[FALLBACK] ??= {
  site: { language: 'en', units: METRIC },
});

/** The units of a device, of what was chosen on it; the site's where nothing was. */
function unitsAsked({ system, temp }: Asked, site: Units): Units {
  const own = system === null ? site : { system, temp: tempUnitOf(system) };
  return { ...own, ...(temp ? { temp } : {}) };
}

function speechOfRequest(): Speech {
  const asked = requests.getStore();
  if (!asked) return fallback.site;
  const { language, units } = fallback.site;
  return { language: asked.language ?? language, units: unitsAsked(asked, units) };
}

/** Every request that this process answers from now on is answered in the language and the units that its device asks for. */
export function followRequestSpeech(): void {
  setSpeechSource(speechOfRequest);
  // Published before the request is handed to its handler, in the same turn: what the handler awaits keeps the store.
  diagnostics.subscribe('http.server.request.start', (message) => {
    const { request } = message as { request: IncomingMessage };
    const { cookie, 'accept-language': languages } = request.headers;
    requests.enterWith({
      language: languageAsked(cookie, languages),
      system: systemAsked(cookie),
      temp: tempUnitAsked(cookie),
    });
  });
}

/** Tells what the site speaks, as soon as the site is known. */
export function setSiteSpeech(site: Speech): void {
  fallback.site = site;
}

/** Does work in a language and units, as a thread of the server does for a request. */
export const inSpeech = <T>({ language, units }: Speech, work: () => T): T =>
  requests.run({ language, ...units }, work);
