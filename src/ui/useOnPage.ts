'use client';
import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/**
 * Whether this is drawn on the page already, and not by the server. What is made of data that crosses the wire anyway, and stands
 * beside its words (the drawing of a heap, rows by the hundred), is made there: sent as markup too it would weigh every page down.
 */
export const useOnPage = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
