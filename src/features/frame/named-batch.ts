/** A batch as a list of commands names it. */
export type NamedBatch = { readonly id: string; readonly name: string; readonly place: string };
