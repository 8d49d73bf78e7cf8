'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { useOnPage } from '@/ui/useOnPage';
import {
  CONFIRMATIONS,
  confirmKept,
  isConfirmedBy,
  setConfirmedBy,
  type Confirmation,
} from './confirm';

const WORDS: Readonly<Record<Confirmation, () => string>> = {
  vibrate: () => say('round.vibrateWhenSaved'),
  speak: () => say('round.speakWhenSaved'),
};

/** Whether this device vibrates or speaks when a reading is kept; switching one on tries it. */
export function ConfirmSwitches() {
  // What the device keeps is known once the page stands.
  return useOnPage() ? <Switches /> : null;
}

function Switches() {
  const [on, setOn] = useState<ReadonlySet<Confirmation>>(
    () => new Set(CONFIRMATIONS.filter(isConfirmedBy)),
  );
  const change = (by: Confirmation, isOn: boolean): void => {
    setConfirmedBy(by, isOn);
    setOn(new Set(CONFIRMATIONS.filter(isConfirmedBy)));
    if (isOn) confirmKept(say('round.soundsLikeThis'));
  };
  return (
    <fieldset className="px-4 sm:px-5 pb-3">
      <legend className="label">{say('round.whenAReadingIsSaved')}</legend>
      {CONFIRMATIONS.map((by) => (
        <label key={by} className="flex gap-3 items-center min-h-choice">
          <input
            type="checkbox"
            className="size-6"
            checked={on.has(by)}
            onChange={(e) => change(by, e.target.checked)}
          />
          {WORDS[by]()}
        </label>
      ))}
    </fieldset>
  );
}
