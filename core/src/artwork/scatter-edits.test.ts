import { describe, expect, it } from 'vitest';
import { motifItem, plate } from '../../test/jobs.ts';
import type { ArtworkItem, KeptSpot, Scatter } from '../model/item.ts';
import { leadOfScatter, rearranged, scatteredWith, withSpots } from './scatter-edits.ts';

const repeat = (count: number, scatter: Partial<Scatter> = {}) => ({ mode: 'scattered', count, scatter: { seed: 1, gapMm: 3, films: [], ...scatter } }) as const; // prettier-ignore
const outer = plate('outer', 9, 9, { setId: 'flag', repeat: repeat(6) });
const inner = plate('inner', 4, 4, { setId: 'flag', repeat: repeat(6) });
const star = motifItem('star', { id: 'star', repeat: repeat(3, { with: 'outer' }) });
const alone = motifItem('moon', { id: 'moon', repeat: repeat(5, { with: 'gone' }) });
const items: readonly ArtworkItem[] = [outer, inner, star, alone, motifItem('sun', { id: 'sun' })];
const spot = (itemId: string, more: Partial<KeptSpot> = {}): KeptSpot => ({ itemId, angleDeg: 0, downMm: 20, turnDeg: 0, size: 1, film: null, pinned: false, ...more }); // prettier-ignore
const of = (all: readonly ArtworkItem[], id: string) => all.find((item) => item.id === id)!;

describe('an arrangement', () => {
  it('is led by one item: itself, what it is mixed with, the first colour of its drawing', () => {
    expect([outer, inner, star, alone].map((item) => leadOfScatter(items, item).id)).toEqual(['outer', 'outer', 'outer', 'moon']); // prettier-ignore
    expect(scatteredWith(items, 'outer').map(({ id }) => id)).toEqual(['outer', 'star']);
  });

  it('changed as a whole keeps what is pinned, in all colours of what leads', () => {
    const held = withSpots(items, 'outer', [spot('outer', { pinned: true }), spot('outer'), spot('star')]);
    const again = rearranged(held, 'outer', { gapMm: 5, seed: 9 });
    for (const id of ['outer', 'inner'])
      expect(of(again, id).repeat.scatter).toMatchObject({ seed: 9, gapMm: 5, even: true, kept: [spot('outer', { pinned: true })] }); // prettier-ignore
    expect(of(again, 'star')).toEqual(of(held, 'star'));
    expect(rearranged(items, 'gone', { gapMm: 5 })).toBe(items);
  });

  it('with its copies kept counts what is there, and lets go of a thing of which nothing is left', () => {
    const filled = rearranged(items, 'outer', { fill: true });
    const held = withSpots(filled, 'outer', [spot('outer'), spot('star'), spot('star'), spot('star'), spot('star')]);
    expect(['outer', 'inner', 'star'].map((id) => of(held, id).repeat.count)).toEqual([1, 1, 4]);
    expect(of(held, 'outer').repeat.scatter).toMatchObject({ fill: false, even: true });
    expect(of(held, 'moon')).toBe(alone);
    const swapped = withSpots(held, 'outer', [spot('outer'), spot('outer')]);
    expect(swapped.map(({ id }) => id)).toEqual(['outer', 'inner', 'moon', 'sun']);
    expect(of(swapped, 'inner').repeat.count).toBe(2);
  });
});
