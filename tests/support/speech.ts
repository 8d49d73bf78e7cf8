import { METRIC, tempUnitOf, type UnitSystem } from '@/core/units/units';
import type { Language } from '@/messages/languages';
import { currentSpeech, setSpeechSource } from '@/messages/say';

/** Does work as somebody sees it who reads this language and measures in this system. */
export function asSpeaker<T>(
  { language = 'en', system }: { language?: Language; system?: UnitSystem },
  work: () => T,
): T {
  const was = currentSpeech();
  const units = system ? { system, temp: tempUnitOf(system) } : METRIC;
  setSpeechSource(() => ({ language, units }));
  try {
    return work();
  } finally {
    setSpeechSource(() => was);
  }
}
