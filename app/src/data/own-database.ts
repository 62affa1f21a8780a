import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/**
 * A database apart from what people keep, opened when it is first asked for; again where that failed or the browser ended it.
 *
 * @param make the stores of a new one
 */
export function ownDatabase<S extends DBSchema>(
  name: string,
  make: (db: IDBPDatabase<S>) => void,
): () => Promise<IDBPDatabase<S>> {
  let opening: Promise<IDBPDatabase<S>> | null = null;
  return () => {
    opening ??= openDB<S>(name, 1, { upgrade: make, terminated: () => (opening = null) }).catch((problem: unknown) => {
      opening = null;
      throw problem;
    });
    return opening;
  };
}
