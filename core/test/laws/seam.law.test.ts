import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flattenPath } from '../../src/plane/flatten.ts';
import { deriveWrap } from '../../src/pieces/wrap.ts';
import { testFonts } from '../fonts.ts';
import { makeBlank, makeJob, motifItem, wave } from '../jobs.ts';

const cup = fc
  .record({
    girth: fc.double({ min: 150, max: 420, noNaN: true }),
    side: fc.double({ min: 70, max: 200, noNaN: true }),
    halfAngle: fc.double({ min: -25, max: 25, noNaN: true }),
  })
  .map(({ girth, side, halfAngle }) => {
    const drop = 2 * Math.PI * side * Math.sin((halfAngle * Math.PI) / 180);
    return makeBlank({ girthRim: girth + Math.max(0, drop), girthBase: girth + Math.max(0, -drop), side });
  });

describe('laws of artwork round the blank', () => {
  it('joined waves close at the seam on any cup, whatever their number', () => {
    fc.assert(
      fc.property(
        cup,
        fc.integer({ min: 2, max: 14 }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (blank, count, angleDeg) => {
          const item = wave(count, { placement: { facing: 'angle', angleDeg, from: 'middle', mm: 0, turnDeg: 0 } });
          const derived = deriveWrap(makeJob(blank, [item]), testFonts);
          if (!derived.ok) throw new Error(derived.problem.code);
          const { wrap } = derived;
          expect(wrap.pieces.every((p) => p.cutAt !== null)).toBe(true);
          const ends = { left: [] as number[], right: [] as number[] };
          for (const piece of wrap.pieces)
            for (const path of piece.paths) {
              const points = flattenPath(path, 0.002);
              for (let i = 0; i < points.length; i += 2) {
                const spot = wrap.surface.inverse(points[i]!, points[i + 1]!, 1.1 * Math.PI)!;
                if (Math.abs(spot.azimuth - Math.PI) < 2e-5) ends.right.push(spot.slant);
                if (Math.abs(spot.azimuth + Math.PI) < 2e-5) ends.left.push(spot.slant);
              }
            }
          for (const pick of [Math.min, Math.max])
            expect(Math.abs(pick(...ends.left) - pick(...ends.right))).toBeLessThan(0.05);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('film neither grows nor shrinks: a rigid motif keeps its area on any cup', () => {
    fc.assert(
      fc.property(cup, fc.double({ min: -100, max: 100, noNaN: true }), (blank, angleDeg) => {
        const item = motifItem('heron', {
          running: 'rigid',
          placement: { facing: 'angle', angleDeg, from: 'middle', mm: 0, turnDeg: 20 },
        });
        const flat = deriveWrap(
          makeJob(makeBlank({ girthRim: 300, side: 120 }), [
            { ...item, placement: { ...item.placement, angleDeg: 0 } },
          ]),
          testFonts,
        );
        const bent = deriveWrap(makeJob(blank, [item]), testFonts);
        if (!flat.ok || !bent.ok) throw new Error('not flattened');
        const area = (w: typeof flat.wrap): number => w.pieces.reduce((sum, p) => sum + p.areaMm2, 0);
        // Chords of the 0.005 mm resampling over an outline of about 250 mm.
        expect(Math.abs(area(bent.wrap) - area(flat.wrap))).toBeLessThan(1.5);
      }),
      { numRuns: 25 },
    );
  });
});
