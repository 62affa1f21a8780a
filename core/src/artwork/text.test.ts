import { describe, expect, it } from 'vitest';
import { boxOfRings } from '../plane/box.ts';
import type { SetLetter } from '../model/item.ts';
import { testFonts, fontFile } from '../../test/fonts.ts';
import { FontProblem, readFont } from '../io/font/read.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { unionRings } from '../polygon/boolean.ts';
import { polygonArea, ringArea, ringsOf } from '../polygon/polygon.ts';
import { FONT_CHOICES } from './font.ts';
import { MOTIF_IDS, MOTIFS, motifOutlines, motifViewBox } from './motifs/index.ts';
import { textOutlines } from './text.ts';

const boxOf = (text: string, cap: number, gap = 0, font: keyof typeof testFonts = 'condensed') => {
  const rings = textOutlines(text, testFonts[font], cap, { letterGap: gap }).glyphs.flat();
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

  it('says of a letter that it is film as it stands only where its signed areas make its union', () => {
    let clean = 0;
    for (const { id } of FONT_CHOICES)
      for (const letter of 'ABDQRaegkßÅÉfiw8&@') {
        const set = textOutlines(letter, testFonts[id], 20);
        if (!set.clean) continue;
        clean++;
        const rings = set.glyphs.flat();
        const film = unionRings(rings);
        const signed = rings.reduce((sum, ring) => sum + ringArea(ring), 0);
        const covered = film.reduce((sum, polygon) => sum + polygonArea(polygon), 0);
        expect(signed / covered, `${id} ${letter}`).toBeCloseTo(1, 4);
        expect(film.flatMap(ringsOf), `${id} ${letter}`).toHaveLength(rings.length);
      }
    expect(clean).toBeGreaterThan(40);
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

describe('lines and single letters', () => {
  const xs = (setting: Parameters<typeof textOutlines>[3]): number[][] =>
    textOutlines('I\nIIII', testFonts.condensed, 20, setting).glyphs.map((rings) =>
      [...rings[0]!].filter((_, i) => i % 2 === 0),
    );
  const left = (glyph: number[]): number => Math.min(...glyph);

  it('lie flush left, in the middle or flush right', () => {
    // The first letter of the lower line against the single one of the upper, and the last one.
    const [a, b] = [xs({ align: 'left' }), xs({ align: 'right' })];
    expect(left(a[0]!)).toBeCloseTo(left(a[1]!), 6);
    expect(left(b[0]!)).toBeCloseTo(left(b[4]!), 6);
    const middle = xs({});
    expect(left(middle[0]!)).toBeCloseTo((left(middle[1]!) + left(middle[4]!)) / 2, 6);
  });

  it('keep the pitch from line to line in heights of a capital', () => {
    const lowest = (pitch: number): number =>
      Math.min(
        ...textOutlines('I\nI', testFonts.condensed, 20, { linePitch: pitch }).glyphs[1]!.flatMap((r) =>
          [...r].filter((_, i) => i % 2 === 1),
        ),
      );
    expect(lowest(2) - lowest(1.5)).toBeCloseTo(-10, 6);
  });

  it('move all that follows a letter, within its line only', () => {
    const plain = xs({ align: 'left' });
    // Letter 3 is the second of the lower line: the upper letter is 0, the break 1, the first below 2.
    const moved = xs({ align: 'left', pairGaps: [{ after: 3, mm: 2.5 }] });
    const shifts = moved.map((glyph, i) => left(glyph) - left(plain[i]!));
    expect(shifts.map((s) => Math.round(s * 1e6) / 1e6)).toEqual([0, 0, 0, 2.5, 2.5]);
  });
});

describe('a letter by itself', () => {
  const box = (rings: readonly Float64Array[]) => boxOfRings(rings);
  const set = (...letters: SetLetter[]) => textOutlines('IIII', testFonts.condensed, 20, { align: 'left', letters }).glyphs.map(box); // prettier-ignore
  const plain = set();
  const one = { at: 1, turnDeg: 0, raise: 0, size: 1 };

  it('is raised by a share of a capital, turned about its own middle, and the others stay', () => {
    const raised = set({ ...one, raise: 0.25 });
    expect(raised[1]!.minY - plain[1]!.minY).toBeCloseTo(5, 9);
    expect([raised[0], raised[2], raised[3]]).toEqual([plain[0], plain[2], plain[3]]);
    const turned = set({ ...one, turnDeg: 90 });
    const [w, h] = [plain[1]!.maxX - plain[1]!.minX, plain[1]!.maxY - plain[1]!.minY];
    expect(turned[1]!.maxX - turned[1]!.minX).toBeCloseTo(h, 9);
    expect(turned[1]!.maxY - turned[1]!.minY).toBeCloseTo(w, 9);
    expect(turned[1]!.minX + turned[1]!.maxX).toBeCloseTo(plain[1]!.minX + plain[1]!.maxX, 9);
  });

  it('grows from the line that it stands on and pushes the rest along by what it grows', () => {
    const sized = set({ ...one, size: 2 });
    const pitch = plain[1]!.minX - plain[0]!.minX;
    expect(sized[1]!.maxY).toBeCloseTo(2 * plain[1]!.maxY, 9);
    // Where it begins on the line stays; its own room before its stem doubles with it, and so does its advance.
    expect(sized[2]!.minX - plain[2]!.minX).toBeCloseTo(pitch, 9);
    expect(sized[3]!.minX - plain[3]!.minX).toBeCloseTo(pitch, 9);
    expect(sized[0]).toEqual(plain[0]);
    // A line in the middle stays there with it: it is longer by as much, half on either side.
    const middle = (letters: SetLetter[]) => textOutlines('IIII', testFonts.condensed, 20, { letters }).glyphs.map(box)[0]!.minX; // prettier-ignore
    expect(middle([{ ...one, at: 3, size: 2 }]) - middle([])).toBeCloseTo(-pitch / 2, 9);
  });
});

describe('every shipped font', () => {
  const area = (rings: readonly Float64Array[]): number =>
    unionRings(rings).reduce((sum, p) => sum + polygonArea(p), 0);

  it.each(FONT_CHOICES)('$label keeps the counters of its letters', ({ id }) => {
    const face = testFonts[id];
    // By eye: the script draws B and R open, and loops the stem of its d.
    const others =
      id === 'script'
        ? []
        : ([
            ['B', 2],
            ['R', 1],
          ] as const);
    for (const [letter, counters] of [
      ...others,
      ['O', 1],
      ['o', 1],
      ['d', id === 'script' ? 2 : 1],
      ['I', 0],
    ] as const) {
      const [glyph] = textOutlines(letter, face, 20).glyphs;
      const parts = unionRings(glyph!);
      expect([letter, parts.length, parts[0]!.holes.length]).toEqual([letter, 1, counters]);
    }
  });

  it.each(FONT_CHOICES)(
    '$label becomes one piece a word where its letters touch, and no film is lost',
    ({ id, joined }) => {
      for (const name of ['Rowan', 'Marlow', 'Corwen', 'Tansy']) {
        // Not every capital of a script reaches the next letter.
        const word = joined ? name.toLowerCase() : name;
        const { glyphs } = textOutlines(word, testFonts[id], 20);
        const parts = unionRings(glyphs.flat());
        // Letters of a joined script are one; others stand apart, each in one piece.
        expect([word, parts.length]).toEqual([word, joined ? 1 : word.length]);
        const single = glyphs.reduce((sum, rings) => sum + area(rings), 0);
        const fused = parts.reduce((sum, p) => sum + polygonArea(p), 0);
        if (joined) expect(fused).toBeLessThan(single);
        else expect(fused).toBeCloseTo(single, 3);
      }
    },
  );

  it.each(FONT_CHOICES)('$label has its capitals at the height that is asked for', ({ id }) => {
    const ys = textOutlines('H', testFonts[id], 20)
      .glyphs.flat()
      .flatMap((r) => [...r].filter((_, i) => i % 2 === 1));
    if (id !== 'script') expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(20, 0);
    expect(Math.max(...ys)).toBeGreaterThan(17);
  });
});
