/**
 * Does something while a browser has no room to keep anything more.
 *
 * @param room how many records still find a place before that
 */
export async function onFullDisk(work: () => Promise<void>, room = 0): Promise<void> {
  const real = IDBObjectStore.prototype.put;
  let left = room;
  IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given: Parameters<typeof real>) {
    if (left-- > 0) return real.apply(this, given);
    throw new DOMException('no room', 'QuotaExceededError');
  };
  try {
    await work();
  } finally {
    IDBObjectStore.prototype.put = real;
  }
}
