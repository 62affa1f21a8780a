import type { SentLoad } from '@mivet/core';
import type { DBSchema } from 'idb';
import { ownDatabase } from './own-database.ts';

/** A load that could not be sent yet. */
export interface WaitingSend {
  /** Order in which they go. */
  readonly at: string;
  readonly load: SentLoad;
}

interface Schema extends DBSchema {
  sends: { key: string; value: WaitingSend & { readonly id: string } };
}

// Apart from what people keep: it is nobody's work, and goes as soon as it is sent.
const open = ownDatabase<Schema>('mivet-outbox', (db) => {
  db.createObjectStore('sends', { keyPath: 'id' });
});

/** What waits to be sent, the oldest first. */
export async function readSends(): Promise<WaitingSend[]> {
  const rows = await (await open()).getAll('sends');
  return rows.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)).map(({ at, load }) => ({ at, load }));
}

export async function keepSend(send: WaitingSend): Promise<void> {
  await (await open()).put('sends', { ...send, id: send.load.id });
}

export async function dropSend(id: string): Promise<void> {
  await (await open()).delete('sends', id);
}
