/** The browser's storage of this device; tests put another in its place. */
export type OwnStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** A browser that allows no storage keeps nothing; the pages work as before. */
export function ownStorage(): OwnStorage {
  try {
    return localStorage;
  } catch {
    return { length: 0, key: () => null, getItem: () => null, setItem: () => undefined, removeItem: () => undefined };
  }
}
