import type { DBSchema } from 'idb';
import { ownDatabase } from './own-database.ts';

/** A picture of a list, as it is kept. */
interface StoredPicture<P> {
  readonly id: string;
  /** All that it was worked out from, and what worked it out: with another it is another picture. */
  readonly signature: string;
  /** ms since 1970 that it was made. */
  readonly at: number;
  readonly picture: P;
}

interface Schema extends DBSchema {
  pictures: { key: string; value: StoredPicture<unknown>; indexes: { at: number } };
}

/** Pictures that are kept; the oldest beyond them go. */
const MOST = 400;

// All of it can be worked out again.
const open = ownDatabase<Schema>('mivet-pictures', (db) => {
  db.createObjectStore('pictures', { keyPath: 'id' }).createIndex('at', 'at');
});

/** A picture that was kept, if it is of the same; null where there is none, or nothing is kept. */
export async function readPicture<P>(id: string, signature: string): Promise<P | null> {
  try {
    const row = await (await open()).get('pictures', id);
    return row?.signature === signature ? (row.picture as P) : null;
  } catch {
    return null;
  }
}

/** Keeps a picture in the place of an older one; where it cannot be kept it is worked out again the next time. */
export async function keepPicture(id: string, signature: string, picture: unknown): Promise<void> {
  try {
    const tx = (await open()).transaction('pictures', 'readwrite');
    await tx.store.put({ id, signature, at: Date.now(), picture });
    let over = (await tx.store.count()) - MOST;
    for (let cursor = await tx.store.index('at').openCursor(); cursor && over > 0; cursor = await cursor.continue()) {
      await cursor.delete();
      over -= 1;
    }
    await tx.done;
  } catch {
    // Nothing is lost by it.
  }
}
