'use client';
import { useEffect } from 'react';

const OFF = 'zh_keys_off';
/** Whether single letters are switched off on this device, for those whom they get in the way of. */
export const keysOff = (): boolean => localStorage.getItem(OFF) === '1';
export const switchKeys = (off: boolean): void => localStorage.setItem(OFF, off ? '1' : '0');

/** How long G waits for the letter of a place. */
const WAIT_MS = 1500;
/** Until when the next letter names a place; other keys rest meanwhile. */
let placeUntil = -Infinity;

function useKeydown(onKey: (key: string, event: KeyboardEvent) => void): void {
  useEffect(() => {
    const listen = (e: KeyboardEvent): void => {
      const busy =
        e.target instanceof HTMLElement &&
        e.target.closest('input,textarea,select,[role=dialog]') !== null;
      if (!busy && !e.metaKey && !e.ctrlKey && !e.altKey && !keysOff())
        onKey(e.key.toLowerCase(), e);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  });
}

/** Single keys. They rest while a field or a sheet has the focus, with a modifier held, and when they are switched off. */
export const useKeys = (onKey: (key: string, event: KeyboardEvent) => void): void =>
  useKeydown((key, event) => {
    if (event.timeStamp > placeUntil) onKey(key, event);
  });

/** The letter behind G. */
export const usePlaceKeys = (onKey: (key: string) => void): void =>
  useKeydown((key, { timeStamp }) => {
    if (timeStamp > placeUntil) {
      if (key === 'g') placeUntil = timeStamp + WAIT_MS;
      return;
    }
    // The others that hear the same key must still find it taken.
    placeUntil = timeStamp;
    onKey(key);
  });
