/** Whether what waits on this device may be thrown away by the browser, and how much room is left for it. */
export type DeviceRoom = {
  /** The browser throws nothing away by itself; null: it does not say. */ readonly isKept:
    boolean | null;
  /** Room that is left, bytes; null: it does not say. */ readonly freeBytes: number | null;
};

/** A browser has none where the page came without https, and an older one has a part of it. */
const storageOf = (): Partial<StorageManager> =>
  (navigator as { storage?: Partial<StorageManager> }).storage ?? {};

let isAsked = false;
/** Asks the browser once to throw nothing away by itself: from the first entry on that waits, somebody's work lies here. */
export async function askToKeep(): Promise<void> {
  if (isAsked) return;
  isAsked = true;
  await storageOf()
    .persist?.()
    .catch(() => false);
}

export async function readDeviceRoom(): Promise<DeviceRoom> {
  const storage = storageOf();
  const [isKept, estimate] = await Promise.all([
    storage.persisted?.().catch(() => null) ?? null,
    storage.estimate?.().catch(() => null) ?? null,
  ]);
  const { quota, usage } = estimate ?? {};
  return {
    isKept,
    freeBytes: quota === undefined || usage === undefined ? null : Math.max(0, quota - usage),
  };
}
