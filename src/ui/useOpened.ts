'use client';
import { useCallback, useSyncExternalStore } from 'react';

const KEY = 'zh_open';
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
/** What was opened or closed by hand on this device, by name. */
const remembered = (): Readonly<Record<string, boolean>> => {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Readonly<Record<string, boolean>>;
  } catch {
    return {};
  }
};

/**
 * Whether something to open is open: as it was left on this device, under its name, on whichever page it stands.
 * @param initially where nobody has opened or closed it yet
 */
export function useOpened(
  name: string,
  initially = false,
): readonly [open: boolean, setOpen: (open: boolean) => void] {
  const open = useSyncExternalStore(
    subscribe,
    () => remembered()[name] ?? initially,
    () => initially,
  );
  const setOpen = useCallback(
    (now: boolean) => {
      if ((remembered()[name] ?? initially) === now) return;
      localStorage.setItem(KEY, JSON.stringify({ ...remembered(), [name]: now }));
      for (const listener of listeners) listener();
    },
    [name, initially],
  );
  return [open, setOpen];
}
