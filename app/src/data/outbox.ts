import type { SentLoad } from '@mivet/core';
import type { DBSchema } from 'idb';
import { ownDatabase } from './own-database.ts';

/** A load that could not be sent yet. */
export interface WaitingSend {
  /** Its place among those that wait: the lowest goes first, whatever the clock says. */
  readonly turn: number;
  readonly load: SentLoad;
}

interface Schema extends DBSchema {
  sends: { key: string; value: WaitingSend & { readonly id: string } };
}

// Apart from what people keep: it is nobody's work, and goes as soon as it is sent.
const open = ownDatabase<Schema>('mivet-outbox', (db) => {
  db.createObjectStore('sends', { keyPath: 'id' });
});

/** Those that wait, in the order in which they go. */
export const inTurn = (sends: readonly WaitingSend[]): WaitingSend[] => [...sends].sort((a, b) => a.turn - b.turn);

/** What waits to be sent, in the order in which it goes. */
export async function readSends(): Promise<WaitingSend[]> {
  const rows = await (await open()).getAll('sends');
  return inTurn(rows.map(({ turn = 0, load }) => ({ turn, load })));
}

export async function keepSend(send: WaitingSend): Promise<void> {
  await (await open()).put('sends', { ...send, id: send.load.id });
}

export async function dropSend(id: string): Promise<void> {
  await (await open()).delete('sends', id);
}
