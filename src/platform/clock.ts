/** The only place that asks what time it is. */
export const now = (): number => Date.now();
