'use client';
import { REGION_OF } from '@/messages/languages';
import { currentLanguage } from '@/messages/say';

/** How a device confirms that a reading is kept, for eyes that are on the thermometer: each is switched on by its user. */
export const CONFIRMATIONS = ['vibrate', 'speak'] as const;
export type Confirmation = (typeof CONFIRMATIONS)[number];

const keyOf = (by: Confirmation): string => `zh_confirm_${by}`;
export const isConfirmedBy = (by: Confirmation): boolean => localStorage.getItem(keyOf(by)) === '1';
export const setConfirmedBy = (by: Confirmation, on: boolean): void =>
  localStorage.setItem(keyOf(by), on ? '1' : '0');

const BUZZ_MS = 80;

/** Confirms a kept reading as this device was told to. @param words what is spoken, such as the point and its value */
export function confirmKept(words: string): void {
  // Not every device can: one without a motor or a voice stays still.
  if (isConfirmedBy('vibrate') && 'vibrate' in navigator) navigator.vibrate(BUZZ_MS);
  if (!isConfirmedBy('speak') || !('speechSynthesis' in window)) return;
  const said = new SpeechSynthesisUtterance(words);
  said.lang = REGION_OF[currentLanguage()];
  // The last word is what counts where readings come fast.
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(said);
}
