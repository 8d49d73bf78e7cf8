/**
 * Values that the code before has made sure of. Where one is missing after all it is a fault of the program, and is said as one
 * where it happens, instead of being worked with.
 */

/**
 * The item at a place of a list.
 * @throws {RangeError} where the list does not reach so far.
 */
export function itemAt<T>(list: ArrayLike<T>, index: number): T {
  if (!(index >= 0 && index < list.length))
    throw new RangeError(`no item ${index} in a list of ${list.length}`);
  return list[index] as T;
}

/** The first item of a list. @throws {RangeError} where it is empty. */
export const firstOf = <T>(list: ArrayLike<T>): T => itemAt(list, 0);

/** The last item of a list. @throws {RangeError} where it is empty. */
export const lastOf = <T>(list: ArrayLike<T>): T => itemAt(list, list.length - 1);

/** What a map holds under a key. @throws {RangeError} where it holds nothing there. */
export function valueAt<K, V>(map: ReadonlyMap<K, V>, key: K): V {
  const value = map.get(key);
  if (value === undefined) throw new RangeError(`nothing is held under ${String(key)}`);
  return value;
}

/** A value that is there by what was checked before. @throws {RangeError} naming it, where it is not. */
export function present<T>(value: T | null | undefined, name: string): T {
  if (value === null || value === undefined) throw new RangeError(`${name} is missing`);
  return value;
}
