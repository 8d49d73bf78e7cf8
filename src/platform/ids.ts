import { v7 } from 'uuid';

/** A fresh UUID v7: in the order of time, made by the writer. */
export const newId = (): string => v7();
/** A UUID v7 of a given moment, for entries that are written on behalf of that moment. */
export const idAt = (at: number): string => v7({ msecs: at });
