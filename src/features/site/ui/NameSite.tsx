'use client';
import { LANGUAGE_NAMES, LANGUAGES } from '@/messages/languages';
import { currentLanguage, say } from '@/messages/say';
import { useActionState, useSyncExternalStore } from 'react';
import { nameSite } from '../server/actions';

const ZONES = Intl.supportedValuesOf('timeZone');
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The first page of a new site. */
export function NameSite() {
  const [answer, act, busy] = useActionState(nameSite, { problems: {}, typed: {} });
  const proposed = useSyncExternalStore(
    () => () => undefined,
    ownZone,
    () => 'UTC',
  );
  return (
    <main className="max-w-[560px] mx-auto px-5 py-10">
      <h1>{say('site.whereIsYourCompost')}</h1>
      <p className="hint mt-3 mb-6">{say('site.daysCountedByThisSites')}</p>
      <form action={act} className="flex flex-col gap-5">
        <div>
          <label className="label" htmlFor="name">
            {say('site.nameOfTheSite')}
          </label>
          <input
            className="field"
            id="name"
            name="name"
            defaultValue={answer.typed.name}
            autoComplete="off"
            aria-describedby="name-p"
          />
          <p id="name-p" role="alert" className="font-semibold">
            {answer.problems.name}
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
            defaultValue={answer.typed.timeZone ?? proposed}
            aria-describedby="zone-p"
          />
          <datalist id="zones">
            {ZONES.map((z) => (
              <option key={z} value={z} />
            ))}
          </datalist>
          <p id="zone-p" role="alert" className="font-semibold">
            {answer.problems.timeZone}
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
            defaultValue={answer.typed.language ?? currentLanguage()}
          >
            {LANGUAGES.map((language) => (
              <option key={language} value={language} lang={language}>
                {LANGUAGE_NAMES[language]}
              </option>
            ))}
          </select>
        </div>
        <fieldset>
          <legend className="label">{say('site.thermometersReadIn')}</legend>
          <div className="flex gap-5">
            {(['C', 'F'] as const).map((u) => (
              <label key={u} className="flex items-center gap-2 min-h-target">
                <input
                  type="radio"
                  name="unit"
                  value={u}
                  defaultChecked={u === (answer.typed.unit ?? 'C')}
                  className="size-5"
                />
                °{u}
              </label>
            ))}
          </div>
        </fieldset>
        <button className="btn key" disabled={busy}>
          {busy ? say('site.saving') : say('site.goToBatches')}
        </button>
      </form>
    </main>
  );
}
