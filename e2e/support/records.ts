import type { Page } from '@playwright/test';

/** What stands in a store of the browser's database, as it stands there. */
export const recordsOf = <T>(page: Page, store: string): Promise<T[]> =>
  page.evaluate(async (name) => {
    const open = indexedDB.open('mivet');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const all = db.transaction(name).objectStore(name).getAll();
    const rows = await new Promise<unknown[]>((done) => (all.onsuccess = () => done(all.result)));
    db.close();
    return rows;
  }, store) as Promise<T[]>;
