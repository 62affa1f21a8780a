import { describe, expect, it } from 'vitest';
import type { NameRow } from '../model/names.ts';
import { blanksFor } from './batch-usage.ts';

describe('blanksFor', () => {
  const row = (id: string, count: number, blankId: string | null): NameRow => ({ id, name: id, count, hand: 'right', capMm: null, blankId }); // prettier-ignore
  const names = (...rows: NameRow[]): { itemId: null; widthMm: number; leastCapMm: number; closeMm: number; rows: NameRow[] } => ({ itemId: null, widthMm: 50, leastCapMm: 8, closeMm: 0, rows }); // prettier-ignore

  it('is one of the blank that the project was begun with, or none when that is on no shelf', () => {
    expect(blanksFor({ names: null, shelfBlankId: 'mug' })).toEqual([{ id: 'mug', count: 1 }]);
    expect(blanksFor({ names: null, shelfBlankId: null })).toEqual([]);
  });

  it('counts a list by what each is made on', () => {
    const list = names(row('a', 3, null), row('b', 2, 'glass'), row('c', 1, null), row('d', 0, 'pot'));
    expect(blanksFor({ names: list, shelfBlankId: 'mug' })).toEqual([{ id: 'mug', count: 4 }, { id: 'glass', count: 2 }]); // prettier-ignore
    expect(blanksFor({ names: list, shelfBlankId: null })).toEqual([{ id: 'glass', count: 2 }]);
  });
});
