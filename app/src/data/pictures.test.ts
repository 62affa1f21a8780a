import 'fake-indexeddb/auto';
import { describe, expect, it, vi } from 'vitest';
import { keepPicture, readPicture } from './pictures.ts';

describe('pictures of lists', () => {
  it('are kept by what they are of: of another state there is none', async () => {
    await keepPicture('mug', 'as it is', { rings: [Float64Array.from([1, 2])] });
    expect(await readPicture('mug', 'as it is')).toEqual({ rings: [Float64Array.from([1, 2])] });
    expect(await readPicture('mug', 'as it was')).toBeNull();
    await keepPicture('mug', 'as it will be', { rings: [] });
    expect(await readPicture('mug', 'as it is')).toBeNull();
    expect(await readPicture('cup', 'as it is')).toBeNull();
  });

  it('are 400 at most: the oldest go', async () => {
    const now = vi.spyOn(Date, 'now');
    for (let i = 0; i < 403; i++) {
      now.mockReturnValue(1000 + ((7 * i) % 403));
      await keepPicture(`p${i}`, 's', i);
    }
    now.mockRestore();
    const left = await Promise.all(Array.from({ length: 403 }, (_, i) => readPicture<number>(`p${i}`, 's')));
    // Moments 0, 1 and 2: 7 × 0, 7 × 288 = 5 × 403 + 1 and 7 × 173 = 3 × 403 + 2. The mug of before is newer than all.
    expect(left.flatMap((one, i) => (one === null ? [i] : []))).toEqual(expect.arrayContaining([0, 173, 288]));
    expect(left.filter((one) => one === null).length).toBeLessThanOrEqual(4);
  });

  it('are done without where nothing can be kept', async () => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    await keepPicture('new', 's', 1);
    IDBObjectStore.prototype.put = put;
    expect(await readPicture('new', 's')).toBeNull();
  });
});
