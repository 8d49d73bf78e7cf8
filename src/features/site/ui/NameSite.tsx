'use client';
import type { Country } from '@/core/log/kinds/vocabulary';
import { countryOf } from '@/core/rules/country';
import { UNIT_SYSTEMS, type UnitSystem } from '@/core/units/units';
import { LANGUAGE_NAMES, LANGUAGES } from '@/messages/languages';
import { currentLanguage, say } from '@/messages/say';
import { useEffect, useState, useSyncExternalStore } from 'react';

const ZONES = Intl.supportedValuesOf('timeZone');
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

const SYSTEM_UNITS: Readonly<Record<UnitSystem, string>> = {
  get metric() {
    return say('site.metricUnits');
  },
  get us() {
    return say('site.usUnits');
  },
  get uk() {
    return say('site.ukUnits');
  },
};
/** What is usual where a time zone lies. */
const USUAL_UNITS: Partial<Record<Country, UnitSystem>> = {
  'United States': 'us',
  'United Kingdom': 'uk',
};
function usualUnits(timeZone: string): UnitSystem {
  const country = countryOf(timeZone);
  return (country && USUAL_UNITS[country]) ?? 'metric';
}

/** The form's fields, as text. */
export type TypedSite = Partial<Record<'name' | 'timeZone' | 'units' | 'language', string>>;

/** The first page of a new site. */
export function NameSite({ typed, problems }: { typed: TypedSite; problems: TypedSite }) {
  // One press makes one site; whoever comes back to this page may press again.
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    const wake = (): void => setBusy(false);
    window.addEventListener('pageshow', wake);
    return () => window.removeEventListener('pageshow', wake);
  }, []);
  const proposed = useSyncExternalStore(
    () => () => undefined,
    ownZone,
    () => 'UTC',
  );
  return (
    <main className="max-w-[560px] mx-auto px-5 py-10">
      <h1>{say('site.whereIsYourCompost')}</h1>
      <p className="hint mt-3 mb-6">{say('site.daysCountedByThisSites')}</p>
      <form
        method="post"
        action="/api/site/name"
        onSubmit={() => setBusy(true)}
        className="flex flex-col gap-5"
      >
        <div>
          <label className="label" htmlFor="name">
            {say('site.nameOfTheSite')}
          </label>
          <input
            className="field"
            id="name"
            name="name"
            defaultValue={typed.name}
            autoComplete="off"
            aria-describedby="name-p"
          />
          <p id="name-p" role="alert" className="font-semibold">
            {problems.name}
          </p>
        </div>
        <div>
          <label className="label" htmlFor="timeZone">
            {say('site.timeZone')}
          </label>
          <input
            className="field"
            id="timeZone"
            name="timeZone"
            list="zones"
            key={proposed}
            defaultValue={typed.timeZone ?? proposed}
            aria-describedby="zone-p"
          />
          <datalist id="zones">
            {ZONES.map((z) => (
              <option key={z} value={z} />
            ))}
          </datalist>
          <p id="zone-p" role="alert" className="font-semibold">
            {problems.timeZone}
          </p>
        </div>
        <div>
          <label className="label" htmlFor="language">
            {say('site.languageOfSite')}
          </label>
          <select
            className="field"
            id="language"
            name="language"
            defaultValue={typed.language ?? currentLanguage()}
          >
            {LANGUAGES.map((language) => (
              <option key={language} value={language} lang={language}>
                {LANGUAGE_NAMES[language]}
              </option>
            ))}
          </select>
        </div>
        <fieldset>
          <legend className="label">{say('site.measuresIn')}</legend>
          <div className="flex gap-x-5 flex-wrap">
            {UNIT_SYSTEMS.map((system) => (
              <label key={`${system} ${proposed}`} className="flex items-center gap-2 min-h-target">
                <input
                  type="radio"
                  name="units"
                  value={system}
                  defaultChecked={system === (typed.units ?? usualUnits(proposed))}
                  className="size-5"
                />
                {SYSTEM_UNITS[system]}
              </label>
            ))}
          </div>
        </fieldset>
        <button className="btn key" disabled={busy}>
          {busy ? say('site.saving') : say('site.goOn')}
        </button>
      </form>
    </main>
  );
}
