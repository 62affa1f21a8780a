import { describe, expect, it } from 'vitest';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';
import { makeJob, motifItem, mug, textItem, tumbler, wave } from '../../test/jobs.ts';
import { testFonts } from '../../test/fonts.ts';
import { deriveWrap } from './wrap.ts';
import type { Job } from '../model/job.ts';
import type { Piece } from './pieces.ts';

function piecesOf(job: Job): readonly Piece[] {
  const derived = deriveWrap(job, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap.pieces;
}
const area = (pieces: readonly Piece[]): number => pieces.reduce((sum, p) => sum + p.areaMm2, 0);
const facing = (angleDeg: number) => ({ facing: 'angle', angleDeg, from: 'middle', mm: 0, turnDeg: 0 }) as const;
const straight = () => mug({ handleWidthMm: 0 });

describe('makePieces', () => {
  it('cuts at the seam without losing film', () => {
    const whole = piecesOf(makeJob(tumbler(), [textItem('OAR', { placement: facing(0) })]));
    const cut = piecesOf(makeJob(tumbler(), [textItem('OAR', { placement: facing(180) })]));
    expect(whole.map((p) => p.cutAt)).toEqual([null, null, null]);
    expect(cut).toHaveLength(4);
    expect(
      cut
        .map((p) => p.cutAt)
        .filter(Boolean)
        .sort(),
    ).toEqual(['left', 'right']);
    expect(area(cut)).toBeCloseTo(area(whole), 1);
  });

  it('counts pieces and counters as the letters have them', () => {
    const [o, b, i] = piecesOf(makeJob(tumbler(), [textItem('OBI', { fuse: false })]));
    expect([o, b, i].map((p) => p!.paths.length)).toEqual([2, 3, 1]);
    expect(o!.paths.every((path) => path.closed)).toBe(true);
    // The outline holds the counter: its area is what is left between them.
    expect(o!.areaMm2).toBeLessThan((o!.flatBox.maxX - o!.flatBox.minX) * (o!.flatBox.maxY - o!.flatBox.minY));
  });

  it('makes one piece of a joined script word, and single letters of it when they are not to be fused', () => {
    const word = textItem('oar', { font: 'script' });
    const fused = piecesOf(makeJob(tumbler(), [word]));
    const loose = piecesOf(makeJob(tumbler(), [{ ...word, fuse: false }]));
    expect(fused).toHaveLength(1);
    expect(loose).toHaveLength(3);
    // Where letters overlap, film is counted once.
    expect(area(fused)).toBeLessThan(area(loose));
  });

  it('fuses items that are kept together, but only in one film', () => {
    const a = motifItem('buoy', { id: 'a', keepTogether: 'pair', placement: facing(0) });
    const b = motifItem('buoy', { id: 'b', keepTogether: 'pair', placement: facing(4) });
    const together = piecesOf(makeJob(straight(), [a, b]));
    const apart = piecesOf(makeJob(straight(), [{ ...a, keepTogether: null }, b]));
    const films = piecesOf(makeJob(straight(), [a, { ...b, film: 'ensign' }]));
    expect(together.every((p) => p.itemIds.join() === 'a,b')).toBe(true);
    expect(area(together)).toBeLessThan(area(apart) - 1);
    expect(area(films)).toBeCloseTo(area(apart), 3);
  });

  it('lays copies all round, each once, wherever the first one faces', () => {
    for (const angle of [0, 45, 130, 180]) {
      const pieces = piecesOf(
        makeJob(straight(), [
          motifItem('heron', { widthMm: 20, placement: facing(angle), repeat: { mode: 'spaced', count: 4 } }),
        ]),
      );
      const one = area(piecesOf(makeJob(straight(), [motifItem('heron', { widthMm: 20 })])));
      expect(area(pieces), `first one at ${angle}°`).toBeCloseTo(4 * one, 1);
    }
  });

  it('develops without changing area: on the flat as on the unrolled side of a straight blank', () => {
    for (const piece of piecesOf(makeJob(straight(), [textItem('HERON'), wave(5)]))) {
      const across = (piece.azimuths[1] - piece.azimuths[0]) * (258 / (2 * Math.PI));
      expect(piece.flatBox.maxX - piece.flatBox.minX).toBeCloseTo(across, 6);
      expect(piece.flatBox.maxY - piece.flatBox.minY).toBeCloseTo(piece.slants[1] - piece.slants[0], 6);
    }
  });

  it('keeps a rigid item on a cone as it was drawn', () => {
    const flat = piecesOf(makeJob(straight(), [motifItem('oar', { running: 'rigid', widthMm: 80 })]));
    const cone = piecesOf(makeJob(tumbler(), [motifItem('oar', { running: 'rigid', widthMm: 80 })]));
    expect(cone[0]!.flatBox.maxX - cone[0]!.flatBox.minX).toBeCloseTo(80, 2);
    expect(area(cone)).toBeCloseTo(area(flat), 1);
  });

  it('mirrors in place', () => {
    const [plain] = piecesOf(makeJob(straight(), [motifItem('heron')]));
    const [mirrored] = piecesOf(makeJob(straight(), [motifItem('heron', { mirrored: true })]));
    expect(mirrored!.areaMm2).toBeCloseTo(plain!.areaMm2, 2);
    const far = (piece: Piece, sign: 1 | -1): number => {
      let [x, best] = [0, -Infinity];
      const ring = piece.flat.outer;
      for (let i = 0; i < ring.length; i += 2) if (ring[i + 1]! > best) [x, best] = [sign * ring[i]!, ring[i + 1]!];
      return x;
    };
    expect(far(mirrored!, -1)).toBeCloseTo(far(plain!, 1), 2);
  });

  it('leaves out what would lie under the handle', () => {
    const item = motifItem('buoy', { widthMm: 60, placement: facing(180) });
    const free = area(piecesOf(makeJob(straight(), [item])));
    const handled = piecesOf(makeJob(mug(), [item]));
    expect(area(handled)).toBeLessThan(free - 24 * 10);
    for (const piece of handled)
      expect(Math.max(...piece.azimuths.map(Math.abs)) * 41.06).toBeLessThan(129 - 12 + 0.01);
  });

  it('gives the lap to the right-hand end only', () => {
    const pieces = piecesOf(makeJob(straight(), [wave(6)], { seam: { ...PLAIN_SEAM, lapMm: 3 } }));
    const [min, max] = [Math.min(...pieces.map((p) => p.flatBox.minX)), Math.max(...pieces.map((p) => p.flatBox.maxX))];
    expect(min).toBeCloseTo(-129, 6);
    expect(max).toBeCloseTo(132, 6);
  });
});
