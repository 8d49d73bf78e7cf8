import { v5, v7 } from 'uuid';

/** A fresh UUID v7: in the order of time, made by the writer. */
export const newId = (): string => v7();
/** A UUID v7 of a given moment, for entries that are written on behalf of that moment. */
export const idAt = (at: number): string => v7({ msecs: at });
/** An id made from another one: the same role of the same act has always the same. */
export const idFrom = (id: string, role: string): string => v5(role, id);
