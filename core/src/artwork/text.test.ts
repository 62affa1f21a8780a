import { describe, expect, it } from 'vitest';
import { testFonts, fontFile } from '../../test/fonts.ts';
import { FontProblem, readFont } from '../io/font/read.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { unionRings } from '../polygon/boolean.ts';
import { MOTIF_IDS, MOTIFS, motifOutlines, motifViewBox } from './motifs/index.ts';
import { textOutlines } from './text.ts';

const boxOf = (text: string, cap: number, gap = 0, font: keyof typeof testFonts = 'condensed') => {
  const rings = textOutlines(text, testFonts[font], cap, gap).glyphs.flat();
  return rings.reduce((box, ring) => boxOfCoordinates(ring, box), boxOfCoordinates(rings[0]!));
};

describe('textOutlines', () => {
  it('makes flat capitals as high as was asked, in every shipped font', () => {
    for (const font of ['condensed', 'slab', 'script'] as const) {
      const box = boxOf('H', 20, 0, font);
      expect(box.maxY, font).toBeCloseTo(20, 6);
    }
  });

  it('kerns', () => {
    const apart = boxOf('A', 20).maxX - boxOf('A', 20).minX;
    expect(apart).toBeGreaterThan(0);
    const { width: together } = testFonts.slab.layout('AV');
    expect(together).toBeLessThan(testFonts.slab.layout('A').width + testFonts.slab.layout('V').width);
  });

  it('opens letters by exactly the gap', () => {
    const width = (gap: number): number => boxOf('COX', 20, gap).maxX - boxOf('COX', 20, gap).minX;
    expect(width(3) - width(0)).toBeCloseTo(6, 6);
    expect(width(-1) - width(0)).toBeCloseTo(-2, 6);
  });

  it('sets lines below each other, centred', () => {
    const box = boxOf('BOW\nSTROKE', 10);
    expect(box.minY).toBeLessThan(-17);
    expect(textOutlines('\n \n', testFonts.slab, 10).glyphs).toEqual([]);
  });

  it('keeps the counters of letters', () => {
    const pieces = unionRings(textOutlines('B', testFonts.condensed, 20).glyphs[0]!);
    expect(pieces).toHaveLength(1);
    expect(pieces[0]!.holes).toHaveLength(2);
  });

  it('lists letters that the font lacks and sets the rest', () => {
    const set = textOutlines('a舟b', testFonts.script, 10);
    expect(set.missing).toEqual(['舟']);
    expect(set.glyphs).toHaveLength(2);
  });
});

describe('readFont', () => {
  it('takes letters from the subset that has them', () => {
    const [latin, more] = ['latin', 'latin-ext'].map((s) =>
      fontFile(`zilla-slab/files/zilla-slab-${s}-600-normal.woff`),
    );
    expect(readFont([latin!]).layout('Ł').missing).toEqual(['Ł']);
    const both = readFont([latin!, more!]);
    expect(both.layout('Łodz').missing).toEqual([]);
    expect(both.layout('Łodz').glyphs).toHaveLength(4);
  });

  it('says that a file is no font', () => {
    expect(() => readFont([new Uint8Array([1, 2, 3])])).toThrow(FontProblem);
    expect(() => readFont([])).toThrow(FontProblem);
  });
});

describe('motifs', () => {
  it('are closed outlines that cover something', () => {
    for (const id of MOTIF_IDS) {
      const { rings, box } = motifOutlines(id, 1);
      expect(unionRings(rings).length, id).toBeGreaterThan(0);
      expect(box.maxX).toBeGreaterThan(box.minX);
      expect(motifViewBox(id).split(' ')).toHaveLength(4);
    }
  });

  it('that join have the same heights at both ends', () => {
    for (const id of MOTIF_IDS.filter((m) => MOTIFS[m].joins && !('span' in MOTIFS[m]))) {
      const { rings, box } = motifOutlines(id, 1);
      const heights = (x: number): number[] => {
        const found: number[] = [];
        for (const ring of rings)
          for (let i = 0; i < ring.length; i += 2) if (Math.abs(ring[i]! - x) < 1e-9) found.push(ring[i + 1]!);
        return found.sort((a, b) => a - b);
      };
      expect(heights(box.minX)).toEqual(heights(box.maxX));
      expect(heights(box.minX).length).toBeGreaterThanOrEqual(2);
    }
  });

  it('count the buoy’s ring as a counter', () => {
    const pieces = unionRings(motifOutlines('buoy', 1).rings);
    expect(pieces).toHaveLength(2);
    expect(pieces.flatMap((p) => p.holes)).toHaveLength(1);
  });
});
