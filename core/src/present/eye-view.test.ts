import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contextOf, jobOf } from '../../test/findings.ts';
import { makeBlank, makeProfile, mug, plate, textItem, tumbler } from '../../test/jobs.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { halfAngleSeen } from '../surface/foreshortening.ts';
import type { EyeView } from './eye-view.ts';
import { eyeView } from './eye-view.ts';

// A can of radius 40 mm, 100 mm high.
const can = makeBlank({ girthRim: 80 * Math.PI, side: 100 });
const dotAt = (deg: number, mm: number, blank = can) =>
  contextOf(jobOf(blank, plate('dot', 1, 1, { placement: { facing: 'angle', angleDeg: deg, from: 'middle', mm, turnDeg: 0 } }))); // prettier-ignore
const seenFrom = (deg: number, mm: number, distance: number, blank = can): EyeView => {
  const { job, wrap } = dotAt(deg, mm, blank);
  return eyeView(job, wrap, { azimuth: 0, distance })!;
};
const middleOf = (view: EyeView): [number, number] => {
  const box = boxOfCoordinates(view.pieces[0]!.rings[0]!);
  return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
};

describe('eyeView of a cylinder', () => {
  it('shows what a straight line from the eye reaches, where it would pierce a pane at the axis', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -179, max: 179, noNaN: true }),
        fc.integer({ min: -45, max: 45 }),
        fc.constantFrom(120, 300, 500),
        (deg, mm, distance) => {
          // prettier-ignore
          const phi = (deg * Math.PI) / 180;
          // Analytic: a spot is seen where its outward normal leans to the eye, cos φ > r/D. Half a millimetre of dot is 0.0125 rad.
          const limit = Math.acos(40 / distance);
          if (Math.abs(Math.abs(phi) - limit) < 0.02) return;
          const view = seenFrom(deg, mm, distance);
          expect(view.pieces.length > 0).toBe(Math.abs(phi) < limit);
          if (view.pieces.length === 0) return;
          const scale = distance / (distance - 40 * Math.cos(phi));
          const [x, y] = middleOf(view);
          // The dot spans 0.025 rad: its middle in the picture is that of its ends.
          expect(Math.abs(x - 40 * Math.sin(phi) * scale)).toBeLessThan(0.05);
          expect(Math.abs(y + mm * scale)).toBeLessThan(0.05);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has as its outline the tangents from the eye', () => {
    const { body } = seenFrom(0, 0, 200);
    // Half-width of the picture of a cylinder at the axis: D·r/√(D² − r²).
    expect(boxOfCoordinates(body).maxX).toBeCloseTo((200 * 40) / Math.sqrt(200 ** 2 - 40 ** 2), 2);
  });

  it('tells which part of the edge looks narrower than a share', () => {
    const { job, wrap } = dotAt(0, 0);
    const [shade] = eyeView(job, wrap, { azimuth: 0, distance: 500 }, [0.6])!.narrow;
    const half = halfAngleSeen(40, 500, 0.6);
    const from = (40 * Math.sin(half) * 500) / (500 - 40 * Math.cos(half));
    expect(boxOfCoordinates(shade!.rings[1]!).minX).toBeCloseTo(from, 2);
    expect(boxOfCoordinates(shade!.rings[0]!).maxX).toBeCloseTo(-from, 2);
  });

  it('looks from any side, and finds what lies across the back', () => {
    const { job, wrap } = dotAt(180, 0);
    // The seam cuts the dot in two.
    expect(eyeView(job, wrap, { azimuth: Math.PI, distance: 500 })!.pieces).toHaveLength(2);
    expect(eyeView(job, wrap, { azimuth: -Math.PI, distance: 500 })!.pieces).toHaveLength(2);
    expect(eyeView(job, wrap, { azimuth: 0, distance: 500 })!.pieces).toHaveLength(0);
    expect(eyeView(job, wrap, { azimuth: 0, distance: 40 })).toBeNull();
  });
});

describe('eyeView of other blanks', () => {
  it('sees further round where a taper leans towards the eye, as rays against the cone tell', () => {
    const { job, wrap } = contextOf(jobOf(tumbler()));
    const view = eyeView(job, wrap, { azimuth: 0, distance: 300 })!;
    // Rim: r = 276/2π over half the band's height; dr/dz = 62/2π over the height √(168² − (62/2π)²).
    const height = Math.sqrt(168 ** 2 - (62 / (2 * Math.PI)) ** 2);
    const lean = 62 / (2 * Math.PI) / height;
    const [r, z] = [276 / (2 * Math.PI), height / 2];
    const phi = Math.acos((r - lean * z) / 300);
    const scale = 300 / (300 - r * Math.cos(phi));
    const rim = boxOfCoordinates(view.lines[0]!);
    expect(rim.maxX).toBeGreaterThanOrEqual(r * Math.sin(phi) * scale - 0.05);
    const last = view.lines[0]!.slice(-2);
    expect(last[0]).toBeCloseTo(r * Math.sin(phi) * scale, 1);
    expect(last[1]).toBeCloseTo(z * scale, 1);
  });
  it('shows a handle at the side that it stands on, and none from the front', () => {
    const { job, wrap } = contextOf(jobOf(mug(), textItem('COX')));
    const from = (azimuth: number): EyeView => eyeView(job, wrap, { azimuth, distance: 500 })!;
    expect(from(0).handle).toBeNull();
    expect(boxOfCoordinates(from(Math.PI / 2).handle!).maxX).toBeGreaterThan(50);
    expect(boxOfCoordinates(from(-Math.PI / 2).handle!).minX).toBeLessThan(-50);
  });
  it('draws balls, lids and profiles', () => {
    const ball = contextOf(
      jobOf(makeBlank({ girth: 80 * Math.PI }, { kind: 'ball' }), plate('a', 10, 8, { running: 'rigid' })),
    );
    const view = eyeView(ball.job, ball.wrap, { azimuth: 0, distance: 500 })!;
    // Seen straight on: half the girth's circle by its tangent cone, and 5 mm along the skin from the middle.
    expect(boxOfCoordinates(view.body).maxX).toBeCloseTo((500 * 40) / Math.sqrt(500 ** 2 - 40 ** 2), 1);
    expect(boxOfCoordinates(view.pieces[0]!.rings[0]!).maxX).toBeCloseTo(
      (40 * Math.sin(5 / 40) * 500) / (500 - 40 * Math.cos(5 / 40)),
      1,
    );
    const lid = contextOf(jobOf(makeBlank({ across: 88 }, { kind: 'lid' }), plate('a', 10, 8, { running: 'rigid' })));
    expect(
      boxOfCoordinates(eyeView(lid.job, lid.wrap, { azimuth: 0, distance: 500 })!.pieces[0]!.rings[0]!),
    ).toMatchObject({ maxX: expect.closeTo(5, 2), maxY: expect.closeTo(4, 2) });
    const goblet = contextOf(jobOf(makeProfile([[0, 251], [20, 262], [40, 266], [60, 262], [80, 249]]), textItem('COX'))); // prettier-ignore
    expect(eyeView(goblet.job, goblet.wrap, { azimuth: 0, distance: 500 })!.pieces).toHaveLength(3);
  });
});
