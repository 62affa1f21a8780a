import { describe, expect, it } from 'vitest';
import { judging, pieceAt } from '../../test/judging.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { giveOfPiece, mostNeeded, neededOf } from './give.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { Piece } from './pieces.ts';
import type { TapeSheet } from './tape-sheets.ts';
import { tapeSheets } from './tape-sheets.ts';

// A ball of 60 mm radius with a patch of 100 mm, laid as it lies on the plane.
const K = 1 / 3600;
const plane = coneDevelopment({ girthRim: 100, girthBase: 100, side: 100 });
const at = (x: number, y: number, w: number, h: number, change: Partial<Piece> = {}): Piece =>
  pieceAt({ minX: x, maxX: x + w, minY: y, maxY: y + h }, { azimuths: [(x * 2 * Math.PI) / 100, ((x + w) * 2 * Math.PI) / 100], ...change }); // prettier-ignore
const sheets = (pieces: Piece[], give = 0.02, frames: object[] = [{ asBand: true }]): TapeSheet[] => {
  const { job, wrap } = judging({
    blank: { kind: 'ball' },
    wrap: { size: { kind: 'ball', side: 100, data: { radius: 60, halfLength: 60 } }, template: { closed: false, flattening: { map: {} } }, surface: plane, meanRadius: 100 / (2 * Math.PI), pieces, frames }, // prettier-ignore
  });
  return tapeSheets(job, wrap, give);
};
const lengthOf = ({ from, to }: TapeSheet['slits'][number]): number => Math.hypot(to.x - from.x, to.y - from.y);

describe('a sheet of tape on a ball', () => {
  it('is five millimetres larger than its film, and asks what a shape of its breadth does', () => {
    const [sheet, ...others] = sheets([at(-20, 30, 40, 40)]);
    expect(others).toEqual([]);
    expect(sheet).toMatchObject({ width: 50, height: 50, slants: [30, 70] });
    // K·50²/8 over 1 + 1.6·fill + 0.4·fill³, with the fill of a square: π/4.
    const fill = Math.PI / 4;
    expect(sheet!.needed).toBeCloseTo((K * 2500) / 8 / (1 + 1.6 * fill + 0.4 * fill ** 3), 12);
    // A long one is as a strip, by how little of it is as long as it is wide.
    const [long] = sheets([at(-45, 45, 90, 10)]);
    const full = (Math.PI * 400) / (4 * 20 * 100);
    expect(long!.needed).toBeCloseTo((K * 400) / 8 / (1 + 1.6 * full + 0.4 * full ** 3), 12);
  });

  it('lies in one where tape gives as much, else is slit evenly from its edge to its core', () => {
    const [flat] = sheets([at(-20, 30, 40, 40)], 0.04);
    expect(flat).toMatchObject({ relief: null, slits: [], wanted: 0, short: 0 });
    // A dot in the middle is in the way of none.
    const [sheet] = sheets([at(-20, 30, 1, 1), at(19, 69, 1, 1), at(-1, 49, 2, 2)]);
    const { relief, slits, wanted, short } = sheet!;
    expect([slits.length, wanted]).toEqual([relief!.count, relief!.count]);
    expect(short).toBe(0);
    for (const slit of slits) {
      expect(Math.hypot(slit.to.x, slit.to.y + 50)).toBeCloseTo(relief!.core, 6);
      // It begins at the edge of the sheet, 25 mm to either side.
      expect(Math.max(Math.abs(slit.from.x), Math.abs(slit.from.y + 50))).toBeCloseTo(25, 6);
    }
    // Each may be turned aside by a third of the room between two, to where it gets furthest.
    const pitch = (2 * Math.PI) / relief!.count;
    slits.forEach(({ from }, i) => {
      const off = Math.atan2(from.y + 50, from.x) - (Math.PI / 2 + i * pitch);
      expect(Math.abs(off - 2 * Math.PI * Math.round(off / (2 * Math.PI)))).toBeLessThan(0.34 * pitch);
    });
  });

  it('stops a slit a millimetre short of film, turns it aside where it gets further, and counts those that end early', () => {
    const corners = [at(-20, 30, 1, 1), at(19, 69, 1, 1), at(-1, 49, 2, 2)];
    const plain = sheets(corners)[0]!;
    // A bar across the upper slit, 6 mm wide: aside of it the slit gets through.
    const beside = sheets([...corners, at(-3, 32, 6, 2)])[0]!;
    expect(beside.slits).toHaveLength(plain.slits.length);
    expect(beside.short).toBe(0);
    for (const { from, to } of beside.slits) {
      const steps = Array.from({ length: 101 }, (_, k) => k / 100);
      const nearest = Math.min(...steps.map((t) => Math.hypot(Math.max(0, Math.abs(from.x + (to.x - from.x) * t) - 3), Math.max(0, Math.abs(from.y + (to.y - from.y) * t + 33) - 1)))); // prettier-ignore
      expect(nearest).toBeGreaterThan(0.99);
    }
    // A bar that spans all the room between two slits leaves what is above it.
    const blocked = sheets([...corners, at(-20, 34, 40, 2)])[0]!;
    expect(blocked.short).toBeGreaterThan(0);
    const [upper] = blocked.slits;
    expect(upper!.to.y).toBeGreaterThanOrEqual(-33 - 1e-6);
    expect(lengthOf(upper!)).toBeGreaterThan(2);
    // Film along two edges leaves what lies outside of it: five millimetres less one, more where a slit runs aslant.
    const short = sheets([at(-20, 30, 40, 2), at(-20, 68, 40, 2)])[0]!;
    expect(short.short).toBeGreaterThanOrEqual(1);
    expect(Math.min(...short.slits.map(lengthOf))).toBeGreaterThanOrEqual(4 - 1e-6);
    expect(Math.min(...short.slits.map(lengthOf))).toBeLessThan(6);
  });

  it('of a strip is slit from both long edges towards its middle', () => {
    const dots = [-25, -5, 15, 35].map((x) => at(x, 49, 2, 2));
    const [sheet] = sheets([at(-45, 36, 2, 28), ...dots, at(43, 36, 2, 28)], 0.01);
    const { relief, slits, wanted } = sheet!;
    expect([wanted, slits.length]).toEqual([2 * relief!.count, 2 * relief!.count]);
    for (const { from, to } of slits) {
      expect(from.x).toBeCloseTo(to.x, 6);
      expect(Math.abs(from.y + 50)).toBeCloseTo(19, 6);
      expect(Math.abs(to.y + 50)).toBeCloseTo(relief!.core / 2, 6);
    }
    const upright = sheets([at(-14, 5, 28, 2), at(-14, 93, 28, 2)], 0.01)[0]!;
    expect(upright.slits.length).toBeGreaterThan(3);
    for (const { from, to } of upright.slits) expect(from.y).toBeCloseTo(to.y, 6);
  });

  it('of a strip has its slits evenly along it, wherever it lies, from one edge and from the other', () => {
    // Film from −40 to 44 mm and 41 to 69 down: tape from −45 to 49 and from 36 to 74.
    const lying = sheets(
      [at(-40, 41, 2, 28), ...[-20, 0, 20].map((x) => at(x, 54, 2, 2)), at(42, 41, 2, 28)],
      0.01,
    )[0]!;
    const along = 94 / (lying.relief!.count + 1);
    lying.slits.forEach(({ from, to }, k) => {
      expect(Math.abs(from.x - (-45 + (Math.floor(k / 2) + 1) * along))).toBeLessThan(0.35 * along);
      expect(from.y).toBeCloseTo(k % 2 === 0 ? -36 : -74, 6);
      expect(to.y).toBeCloseTo(-55 + ((k % 2 === 0 ? 1 : -1) * lying.relief!.core) / 2, 6);
    });
    // The same stood up: from −10 to 28 mm, and from 3 to 97 down.
    const upright = sheets([at(-5, 8, 28, 2), at(-5, 90, 28, 2)], 0.01)[0]!;
    const down = 94 / (upright.relief!.count + 1);
    upright.slits.forEach(({ from, to }, k) => {
      expect(Math.abs(-from.y - (3 + (Math.floor(k / 2) + 1) * down))).toBeLessThan(0.35 * down);
      expect(from.x).toBeCloseTo(k % 2 === 0 ? -10 : 28, 6);
      expect(to.x).toBeCloseTo(9 + ((k % 2 === 0 ? -1 : 1) * upright.relief!.core) / 2, 6);
    });
    expect([lying.slits.length, upright.slits.length]).toEqual([2 * lying.relief!.count, 2 * upright.relief!.count]);
    // What only just is twice as long as broad is none: 50 × 100.
    const round = sheets([at(-20, 5, 40, 1), at(-20, 94, 40, 1)], 0.01)[0]!;
    expect([round.width, round.height, round.wanted]).toEqual([50, 100, round.relief!.count]);
  });

  it('is none where no slits help, none is drawn where film is laid in parts, and spares have no tape', () => {
    const huge = sheets([at(-49, 1, 98, 98)], 0.001)[0]!;
    expect(huge).toMatchObject({ relief: null, slits: [] });
    const parts = sheets([at(-20, 30, 40, 40)], 0.02, [{ asBand: true }, { asBand: true }])[0]!;
    expect(parts.relief).not.toBeNull();
    expect(parts.slits).toEqual([]);
    expect(sheets([at(-20, 30, 40, 40)], 0.02, [{ asBand: false }])[0]!.slits).toEqual([]);
    expect(sheets([at(-20, 30, 40, 40, { spare: true })])).toEqual([]);
  });

  it('is one for all that lies within 25 mm', () => {
    const two = (gap: number) => sheets([at(-30, 40, 10, 10), at(-20 + gap, 40, 10, 10)]).length;
    expect([two(24.9), two(25.1)]).toEqual([1, 2]);
  });
});

describe('what a piece asks of its film', () => {
  const square = at(-10, 40, 20, 20);
  const ring: Piece = { ...square, areaMm2: 300, flat: { ...square.flat, holes: [Float64Array.from([-5, -55, -5, -45, 5, -45, 5, -55])] } }; // prettier-ignore

  it('is at most that of a strip as wide as its box, and of a loop as large as its box', () => {
    expect(mostNeeded(square, () => K)).toBeCloseTo((K * 400) / 8, 12);
    expect(mostNeeded(at(-10, 40, 20, 6), () => K)).toBeCloseTo((K * 36) / 8, 12);
    // K·A/8π · (4/3 + 0.6·√(hole/(area + hole))), with the box for the hole.
    const loop = ((K * 300) / (8 * Math.PI)) * (4 / 3 + 0.6 * Math.sqrt(400 / 700));
    expect(mostNeeded(ring, () => K)).toBeCloseTo(Math.max((K * 400) / 8, loop), 12);
    expect(neededOf(square, () => K)).toBeLessThan(mostNeeded(square, () => K));
    expect(neededOf(ring, () => K)).toBeGreaterThanOrEqual(((K * 300) / (8 * Math.PI)) * (4 / 3 + 0.6 * Math.sqrt(100 / 400)) - 1e-12); // prettier-ignore
    // It is taken where the middle of the piece lies.
    expect(mostNeeded(square, (slant) => (slant === 50 ? K : 0))).toBeGreaterThan(0);
  });

  it('is measured against pull and push of its own film, laid warm or cold', () => {
    const gives = (film: string, warm = false, blank = judging({}).job.blank) => giveOfPiece({ films: judging({}).job.films, warm, blank }, { ...square, film }, STARTING_MATERIALS); // prettier-ignore
    expect([gives('deep-water'), gives('brass'), gives('hull'), gives('hull', true)].map((v) => Number(v.toFixed(6)))).toEqual([0.02, 0.01, 0.03, 0.06]); // prettier-ignore
    expect(gives('deep-water', false, judging({ blank: { surface: 'latex' } }).job.blank)).toBeCloseTo(0.06, 12);
    expect(gives('gone')).toBeCloseTo(0.02, 12);
  });
});
