import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keptList } from './kept-list.ts';

interface Thing {
  readonly id: string;
  readonly says: number;
}
const list = () => keptList<Thing>(({ id }) => id);
/** A read that ends when it is told to. */
function slowly(): { read: () => Promise<{ kept: Thing[] }>; end: (kept: Thing[]) => void } {
  let end = (_: Thing[]): void => undefined;
  const read = (): Promise<{ kept: Thing[] }> => new Promise((done) => (end = (kept) => done({ kept })));
  return { read, end: (kept) => end(kept) };
}

describe('a list that is read while it is changed', () => {
  it('holds what was done here last, whatever was done while it was read', async () => {
    const ids = fc.constantFrom('a', 'b', 'c', 'd');
    const acts = fc.array(fc.record({ id: ids, drop: fc.boolean() }), { maxLength: 12 });
    await fc.assert(
      fc.asyncProperty(fc.uniqueArray(ids), acts, acts, async (there, during, after) => {
        const kept = list();
        const slow = slowly();
        const reading = kept.readIn(slow.read);
        const wanted = new Map(there.map((id) => [id, 0]));
        const act = (all: typeof during, says: number): void => {
          for (const { id, drop } of all) {
            if (drop) kept.drop(id);
            else kept.put([{ id, says }]);
            if (drop) wanted.delete(id);
            else wanted.set(id, says);
          }
        };
        act(during, 1);
        slow.end(there.map((id) => ({ id, says: 0 })));
        await reading;
        act(after, 2);
        expect(new Map(kept.all.value.map(({ id, says }) => [id, says]))).toEqual(wanted);
        expect(kept.all.value).toHaveLength(wanted.size);
      }),
    );
  });

  it('keeps what is shown before it is written through reads that begin meanwhile, and no longer', async () => {
    const kept = list();
    kept.put([{ id: 'new', says: 1 }]);
    const written = kept.hold(['new']);
    await kept.readIn(async () => ({ kept: [] }));
    expect(kept.all.value).toEqual([{ id: 'new', says: 1 }]);
    written();
    await kept.readIn(async () => ({ kept: [] }));
    expect(kept.all.value).toEqual([]);
  });

  it('takes nothing from a read that one begun later, or a whole list, has overtaken; and stays as it is when one fails', async () => {
    const kept = list();
    const [first, second, third] = [slowly(), slowly(), slowly()];
    const one = kept.readIn(first.read);
    const two = kept.readIn(second.read);
    second.end([{ id: 'a', says: 2 }]);
    await two;
    first.end([{ id: 'a', says: 1 }]);
    await one;
    expect(kept.all.value).toEqual([{ id: 'a', says: 2 }]);
    const three = kept.readIn(third.read);
    kept.set([{ id: 'b', says: 3 }]);
    third.end([]);
    await three;
    expect(kept.all.value).toEqual([{ id: 'b', says: 3 }]);
    await expect(kept.readIn(() => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
    expect(kept.all.value).toEqual([{ id: 'b', says: 3 }]);
  });
});
