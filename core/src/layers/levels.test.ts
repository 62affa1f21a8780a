import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filmOfLayer, laidAs, layerName, layerOf, levelOfLayer } from './layer.ts';
import { levelsByDrawing } from './levels.ts';
import type { DrawnFilm, DrawnOverlaps } from './overlaps.ts';

/** Things by the letter of their film, each an item of its own, and which lies over which. */
const drawnOf = (films: string): DrawnFilm[] => [...films].map((layer, i) => ({ itemId: `${i}`, group: 0, layer, rings: [] })); // prettier-ignore
const over = (...pairs: [lower: number, upper: number, mm2?: number][]): DrawnOverlaps => ({
  areas: new Float64Array(),
  pairs: pairs.map(([lower, upper, areaMm2 = 9]) => ({ lower, upper, areaMm2 })),
});

describe('films at levels', () => {
  it('stand twice where one lies under another and over it, each thing as low as it may', () => {
    // White, red on it, white on the red; a white thing that meets nothing stays with the lower.
    const found = levelsByDrawing(drawnOf('wrww'), over([0, 1], [1, 2]));
    expect(found).toEqual({ layers: ['w', 'r', 'w/2'], levels: [0, 0, 1, 0] });
    // A target: white, red, white, red, white.
    const rings = levelsByDrawing(drawnOf('wrwrw'), over([0, 1], [1, 2], [2, 3], [3, 4]));
    expect(rings).toEqual({ layers: ['w', 'r', 'w/2', 'r/2', 'w/3'], levels: [0, 0, 1, 1, 2] });
  });

  it('stand twice in a circle of three, the one that costs one layer more, not two', () => {
    // Red over white, blue over red, white over blue.
    expect(levelsByDrawing(drawnOf('wrbw'), over([0, 1], [1, 2], [2, 3])).layers).toEqual(['w', 'r', 'b', 'w/2']);
    // Two pairs that ask for opposite orders: one film stands twice, not both.
    const opposite = levelsByDrawing(drawnOf('wrrw'), over([0, 1], [2, 3]));
    expect(opposite.layers).toHaveLength(3);
  });

  it('keep what an item has of one film together, and take no heed of edges that meet', () => {
    const copies: DrawnFilm[] = [...drawnOf('wr'), { itemId: 'word', group: 0, layer: 'w', rings: [] }, { itemId: 'word', group: 1, layer: 'w', rings: [] }]; // prettier-ignore
    expect(levelsByDrawing(copies, over([0, 1], [1, 3])).levels).toEqual([0, 0, 1, 1]);
    expect(levelsByDrawing(drawnOf('wrw'), over([0, 1], [1, 2, 0.5])).layers).toEqual(['w', 'r']);
    expect(levelsByDrawing(drawnOf('wrw'), over([0, 1], [1, 2, 0.51])).layers).toEqual(['w', 'r', 'w/2']);
    // Things of an item of several films lie each for themselves: they may lie over each other.
    const mixed = drawnOf('wrw').map((one) => ({ ...one, itemId: 'scatter' }));
    expect(levelsByDrawing(mixed, over([0, 1], [1, 2])).levels).toEqual([0, 0, 1]);
  });

  it('lay everything over what it was drawn over, in no more layers than any order needs', () => {
    const films = fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 2, maxLength: 6 });
    fc.assert(
      fc.property(films, fc.array(fc.boolean(), { minLength: 15, maxLength: 15 }), (list, meets) => {
        const drawn = drawnOf(list.join(''));
        const pairs: [number, number][] = [];
        for (let a = 0; a < list.length; a++) for (let b = a + 1; b < list.length; b++) if (meets[(a * 5 + b) % 15]) pairs.push([a, b]); // prettier-ignore
        const { layers, levels } = levelsByDrawing(drawn, over(...pairs));
        const at = (i: number): number => layers.indexOf(layerOf({ film: list[i]!, level: levels[i]! }));
        for (const [a, b] of pairs) if (list[a] !== list[b]) expect(at(b)).toBeGreaterThan(at(a));
        // By force: every sequence of films that is shorter leaves something over.
        const fits = (sequence: readonly string[]): boolean => {
          const laid = new Set<number>();
          for (const film of sequence)
            list.forEach((own, i) => {
              if (own === film && pairs.every(([a, b]) => b !== i || list[a] === own || laid.has(a))) laid.add(i);
            });
          return laid.size === list.length;
        };
        let sequences: string[][] = [[]];
        for (let length = 1; length < layers.length; length++) {
          sequences = sequences.flatMap((one) => ['a', 'b', 'c'].map((film) => [...one, film]));
          expect(sequences.some(fits)).toBe(false);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('a layer', () => {
  it('is called by its film, and which of its layers it is', () => {
    const name = (layer: string, ...layers: string[]): string => layerName(layer, layers, (film) => film.toUpperCase());
    expect(name('chalk', 'chalk', 'ensign')).toBe('CHALK');
    expect([name('chalk', 'chalk', 'chalk/2'), name('chalk/2', 'chalk', 'chalk/2')]).toEqual(['CHALK, lower', 'CHALK, upper']); // prettier-ignore
    expect(name('chalk/3', 'chalk', 'chalk/2', 'chalk/3')).toBe('CHALK, upper 2');
    expect([filmOfLayer('chalk/2'), levelOfLayer('chalk/2'), filmOfLayer('chalk'), levelOfLayer('chalk')]).toEqual(['chalk', 1, 'chalk', 0]); // prettier-ignore
    expect([{ part: '' }, { part: 'tansy', level: 1 }, { part: '', level: 2 }].map(laidAs)).toEqual(['', 'tansy-upper', 'upper-2']); // prettier-ignore
  });
});
