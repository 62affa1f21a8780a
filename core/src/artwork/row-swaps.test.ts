import { describe, expect, it } from 'vitest';
import { motifItem, plate, textItem } from '../../test/jobs.ts';
import type { ArtworkItem } from '../model/item.ts';
import type { RowDrawing, RowSwap } from '../model/names.ts';
import { NO_ACTS } from './acts.ts';
import { motifOutlines } from './motifs/index.ts';
import { eachApart, plainRow, severalAlike } from './name-list.ts';
import { columnsFor, drawingsInUse, itemsForRow, swapInRow, withoutColumn } from './row-swaps.ts';

/** 20 × 40 mm, as drawn, in two colours. */
const flag: RowDrawing = {
  id: 'flag', name: 'Flag', source: 'me', rights: 'own', widthMm: 20, heightMm: 40,
  colours: [{ colour: '#112233', pathData: 'M-10 0H10V20H-10Z' }, { colour: '#445566', pathData: 'M-10 -20H10V0H-10Z' }],
}; // prettier-ignore
const board = plate('board', 40, 10, { film: 'shallows' });
const words = textItem('Name', { id: 'words' });
const swapped = (items: readonly ArtworkItem[], ...swaps: RowSwap[]): readonly ArtworkItem[] =>
  itemsForRow({ items, rowDrawings: [flag] }, { swaps });

describe('what a thing of a list has instead', () => {
  it('is nothing where its row says nothing, or names what is gone', () => {
    const items = [board, words];
    expect(itemsForRow({ items }, {})).toBe(items);
    expect(swapped(items, { itemId: 'gone', film: 'ensign' })).toBe(items);
    expect(swapped(items, { itemId: 'board', film: 'shallows' })).toBe(items);
    expect(swapped(items, { itemId: 'board', picture: { by: 'drawing', drawingId: 'gone' } })).toBe(items);
  });

  it('is a film of its own for one item, words too', () => {
    const made = swapped([board, words], { itemId: 'board', film: 'ensign' }, { itemId: 'words', film: 'buoy-red' });
    expect(made).toEqual([
      { ...board, film: 'ensign' },
      { ...words, film: 'buoy-red' },
    ]);
    // Words have no picture in their place.
    expect(swapped([words], { itemId: 'words', picture: { by: 'motif', motif: 'star' } })).toEqual([words]);
  });

  it('is a motif as large as the place takes, in the same place and film', () => {
    const [star] = swapped([board], { itemId: 'board', picture: { by: 'motif', motif: 'star' } });
    const { box } = motifOutlines('star', 1);
    const aspect = (box.maxX - box.minX) / (box.maxY - box.minY);
    expect(star).toMatchObject({ id: 'board', type: 'motif', motif: 'star', film: 'shallows', heightMm: null, placement: board.placement, running: 'level' }); // prettier-ignore
    // 10 mm high is what bounds it: the place is four times as wide.
    expect((star as { widthMm: number }).widthMm).toBeCloseTo(10 * aspect, 9);
    const tall = motifItem('star', { widthMm: 12, heightMm: 90 });
    expect(swapped([tall], { itemId: tall.id, picture: { by: 'motif', motif: 'star' } })[0]).toMatchObject({
      widthMm: 12,
    });
  });

  it('is a drawing with all its colours, kept together, in the films of what it replaces', () => {
    const lower = plate('lower', 40, 10, { film: 'ensign', setId: 'board' });
    const dropped = { ...board, acts: { ...NO_ACTS, dropped: [[0, 0]] as const, specksMm: 2, thickenMm: 0.4 } };
    const hole = motifItem('plate', { id: 'hole', acts: { ...NO_ACTS, cutAway: ['lower'] } });
    const made = swapped([dropped, lower, words, hole], {
      itemId: 'board',
      picture: { by: 'drawing', drawingId: 'flag' },
    });
    expect(made.map(({ id, film, type }) => [id, film, type])).toEqual([
      ['board', 'shallows', 'art'],
      ['board:2', 'ensign', 'art'],
      ['words', words.film, 'text'],
      ['hole', hole.film, 'motif'],
    ]);
    // 10 mm of room for 40 mm of drawing: a quarter.
    for (const colour of made.slice(0, 2)) expect(colour).toMatchObject({ setId: 'board', keepTogether: 'board', widthMm: 5, heightMm: null, name: 'Flag', drawn: { widthMm: 20, heightMm: 40 } }); // prettier-ignore
    expect(made[0]!.acts).toEqual({ ...NO_ACTS, thickenMm: 0.4 });
    // What was cut by one colour of the old drawing is cut by all of the new one.
    expect(made[3]!.acts.cutAway).toEqual(['board', 'board:2']);
    const red = swapped([board], { itemId: 'board', film: 'buoy-red', picture: { by: 'drawing', drawingId: 'flag' } });
    expect(red.map(({ film }) => film)).toEqual(['buoy-red', 'buoy-red']);
  });

  it('joins as the tile that it replaces does: as wide as the pitch and as high', () => {
    const tile = plate('tile', 40, 10, { repeat: { mode: 'joined', count: 5 } });
    const [made] = swapped([tile], { itemId: 'tile', picture: { by: 'motif', motif: 'wave' } });
    expect(made).toMatchObject({ widthMm: 40, heightMm: 10, repeat: { mode: 'joined', count: 5 } });
  });
});

describe('what rows may be asked for', () => {
  const row = plainRow('a', 'Tansy');
  const star = { by: 'motif', motif: 'star' } as const;

  it('is a picture for each motif and drawing, and a film for everything', () => {
    const lower = plate('lower', 40, 10, { setId: 'board' });
    expect(columnsFor([board, lower, words]).map(({ itemId, what }) => `${itemId} ${what}`)).toEqual([
      'board picture',
      'board film',
      'lower film',
      'words film',
    ]);
  });

  it('is kept item by item, and gone when it is taken back', () => {
    const both = swapInRow(swapInRow(row, 'board', { film: 'ensign' }), 'board', { picture: star });
    expect(both.swaps).toEqual([{ itemId: 'board', film: 'ensign', picture: star }]);
    const two = swapInRow(both, 'words', { film: 'night' });
    expect(swapInRow(two, 'board', { film: null }).swaps).toEqual([
      { itemId: 'words', film: 'night' },
      { itemId: 'board', picture: star },
    ]);
    const list = { itemId: null, widthMm: 60, leastCapMm: 5, closeMm: 0, rows: [two], columns: columnsFor([board]) };
    const after = withoutColumn(list, { itemId: 'board', what: 'picture' });
    expect(after.columns).toEqual([{ itemId: 'board', what: 'film' }]);
    expect(after.rows[0]!.swaps).toContainEqual({ itemId: 'board', film: 'ensign' });
  });

  it('leaves the job the drawings that some row still has', () => {
    const list = eachApart(null, 'Mug', () => 'x');
    const [first, ...rest] = list.rows;
    const rows = [swapInRow(first!, 'board', { picture: { by: 'drawing', drawingId: 'flag' } }), ...rest];
    expect(drawingsInUse({ ...list, rows }, [flag, { ...flag, id: 'other' }])).toEqual([flag]);
    expect(drawingsInUse(null, [flag])).toEqual([]);
  });

  it('is asked of as many rows as were made alike, and of two where it was one', () => {
    let next = 0;
    const id = (): string => `r${(next += 1)}`;
    expect(eachApart(severalAlike(3, 'Mug', id), 'Mug', id).rows.map(({ name, count }) => [name, count])).toEqual([
      ['Mug 1', 1],
      ['Mug 2', 1],
      ['Mug 3', 1],
    ]);
    expect(eachApart(null, 'Mug', id).rows).toHaveLength(2);
  });
});
