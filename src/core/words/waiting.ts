/** What an entry is called while it waits on a device. */
export type ItemName = {
  /** What it is, in words: `Egret: round of 5`. */
  readonly what: string;
  /** The same on the heap's own page: `round of 5`. */
  readonly short?: string;
};

/** The name of an entry of a heap. */
export const nameForHeap = (heap: string, act: string): ItemName => ({
  what: `${heap}: ${act}`,
  short: act,
});
