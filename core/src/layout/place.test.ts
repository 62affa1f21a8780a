import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeJob, motifItem, textItem, tumbler, wave } from '../../test/jobs.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { cylinderDevelopment } from '../surface/cylinder.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { azimuthOfFacing, placeItem, slantOfPlacement } from './place.ts';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';
import { seamView } from '../present/seam-view.ts';

const cone = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
const at = { facing: 'front', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 } as const;

describe('azimuthOfFacing', () => {
  it('puts the drinker a quarter turn from the front, on the side of the hand', () => {
    expect(azimuthOfFacing('front', 40, 'right')).toBe(0);
    expect(azimuthOfFacing('drinker', 0, 'right')).toBe(Math.PI / 2);
    expect(azimuthOfFacing('room', 0, 'right')).toBe(-Math.PI / 2);
    expect(azimuthOfFacing('drinker', 0, 'left')).toBe(-Math.PI / 2);
  });
  it('brings any angle to within half a turn', () => {
    for (const [deg, expected] of [
      [190, -170],
      [-190, 170],
      [720, 0],
      [180, 180],
      [-540, 180],
    ] as const)
      expect((azimuthOfFacing('angle', deg, 'right') * 180) / Math.PI).toBeCloseTo(expected, 9);
  });
});

describe('slantOfPlacement', () => {
  it('counts from the rim to the top, from the base to the bottom, and from middle to middle', () => {
    expect(slantOfPlacement({ ...at, from: 'rim', mm: 30 }, 20, 168)).toBe(40);
    expect(slantOfPlacement({ ...at, from: 'base', mm: 12 }, 40, 168)).toBe(136);
    expect(slantOfPlacement({ ...at, mm: -4 }, 40, 168)).toBe(80);
  });
});

describe('placeItem', () => {
  const placed = (item: Parameters<typeof placeItem>[0], surface = cone) =>
    placeItem(item, surface, testFonts, 'right');

  it('keeps level widths at every height and lets round widths shrink with the girth', () => {
    // A tall dash-like motif: an oar laid across the taper, 100 mm high; shaft widths at its top and bottom.
    const widthNear = (running: 'round' | 'level', part: 'top' | 'bottom'): number => {
      const p = placed(motifItem('buoy', { running, widthMm: 60 }));
      const [top, bottom] = p.slants!;
      const limit = part === 'top' ? top + 8 : bottom - 8;
      let low = Infinity;
      let high = -Infinity;
      for (const ring of p.groups.flat())
        for (let i = 0; i < ring.length; i += 2)
          if (part === 'top' ? ring[i + 1]! < limit : ring[i + 1]! > limit) {
            const mm = ring[i]! * cone.radiusAt(ring[i + 1]!);
            low = Math.min(low, mm);
            high = Math.max(high, mm);
          }
      return high - low;
    };
    expect(widthNear('level', 'bottom')).toBeCloseTo(60, 0);
    expect(widthNear('round', 'bottom')).toBeLessThan(57);
  });

  it('spaces copies evenly and stretches joined tiles to the pitch', () => {
    const spaced = placed(motifItem('heron', { repeat: { mode: 'spaced', count: 5 } }));
    expect(spaced.copies.map((a) => (a / (2 * Math.PI)) * 5)).toEqual([0, 1, 2, 3, 4].map((n) => expect.closeTo(n, 9)));
    const joined = placed(wave(9));
    const radius = cone.radiusAt(joined.slant);
    expect(joined.box.maxX - joined.box.minX).toBeCloseTo((2 * Math.PI * radius) / 9 + 0.01, 6);
    expect(joined.box.maxY - joined.box.minY).toBeCloseTo(40, 6);
  });

  it('makes text as wide as was asked, whatever the gaps', () => {
    for (const letterGapMm of [-0.5, 0, 4]) {
      const p = placed(textItem('REGATTA', { size: { by: 'width', mm: 70 }, letterGapMm }));
      expect(p.box.maxX - p.box.minX, `gap ${letterGapMm}`).toBeCloseTo(70, 1);
    }
  });

  it('places the top of turned ink where it was said to be', () => {
    const p = placed(
      motifItem('oar', { widthMm: 6, running: 'level', placement: { ...at, from: 'rim', mm: 30, turnDeg: 90 } }),
    );
    expect(p.slants![0]).toBeCloseTo(30, 2);
    expect(p.box.maxX - p.box.minX).toBeGreaterThan(p.box.maxY - p.box.minY);
  });

  it('tells how far a rigid line leaves the level, and nothing on a straight side', () => {
    const long = textItem('WILLOWMERE', { running: 'rigid', size: { by: 'width', mm: 100 } });
    // 50 mm to each side on an apex radius of 245/(62/168) = 663.9 mm: √(663.9² + 50²) − 663.9 = 1.88.
    expect(placed(long).rigidSag).toBeCloseTo(1.88, 1);
    expect(placed(long, cylinderDevelopment(260, 90)).rigidSag).toBeCloseTo(0, 9);
  });

  it('mirrors without moving', () => {
    const [a, b] = [false, true].map((mirrored) => placed(motifItem('heron', { mirrored })));
    expect(a!.slants).toEqual(b!.slants);
    expect(a!.groups[0]![0]![0]).not.toBeCloseTo(b!.groups[0]![0]![0]!, 3);
  });

  it('puts nothing down for empty words', () => expect(placed(textItem(' ')).slants).toBeNull());
});

describe('copies that alternate', () => {
  it('are mirrored every other one, with the film of all alike', () => {
    const heron = (alternate: boolean) =>
      placeItem(
        motifItem('heron', { widthMm: 20, repeat: { mode: 'spaced', count: 4, alternate } }),
        cone,
        testFonts,
        'right',
      );
    const [plain, turned] = [heron(false), heron(true)];
    const centreOf = (p: typeof plain, copy: number): number => {
      const ring = p.groups[(copy * p.groups.length) / 4]![0]!;
      const xs = [...ring].filter((_, i) => i % 2 === 0).map((x) => x - p.copies[copy]!);
      return (Math.max(...xs) + Math.min(...xs)) / 2;
    };
    expect(centreOf(turned, 0)).toBeCloseTo(centreOf(plain, 0), 9);
    expect(centreOf(turned, 1)).toBeCloseTo(-centreOf(plain, 1), 9);
    expect(centreOf(turned, 2)).toBeCloseTo(centreOf(plain, 2), 9);
  });
});

describe('seamView', () => {
  it('shades what the readings may miss by as wide as it is, shared among panels', () => {
    for (const panels of [1, 3]) {
      const derived = deriveWrap(makeJob(tumbler(), [textItem('COX')], { seam: { ...PLAIN_SEAM, panels } }), testFonts);
      if (!derived.ok) throw new Error(derived.problem.code);
      const { errors } = derived.wrap;
      const { spread } = seamView(derived.wrap, panels - 1, 40);
      const apart = (a: number, b: number): number => Math.hypot(spread.at(a)!.x - spread.at(b)!.x, spread.at(a)!.y - spread.at(b)!.y); // prettier-ignore
      expect(errors.gapRim).toBeGreaterThan(0.1);
      expect(apart(0, -1)).toBeCloseTo(errors.gapRim / panels, 4);
      expect(apart(spread.length / 2 - 1, spread.length / 2)).toBeCloseTo(errors.gapBase / panels, 4);
    }
  });

  it('brings both ends of a band together into one picture without a step', () => {
    const derived = deriveWrap(makeJob(tumbler(), [wave(9)]), testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    const view = seamView(derived.wrap, 0, 40).pieces;
    expect(view).toHaveLength(2);
    const touching = view.map((p) => p.rings[0]!.filter((_, i, ring) => i % 2 === 1 && Math.abs(ring[i - 1]!) < 1e-3));
    for (const pick of [Math.min, Math.max]) expect(pick(...touching[0]!)).toBeCloseTo(pick(...touching[1]!), 1);
  });

  it('marks the template with the way up', () => {
    const words = (blank: ReturnType<typeof tumbler>): string => {
      const derived = deriveWrap(makeJob(blank, []), testFonts);
      return derived.ok ? derived.wrap.panels[0]!.words[0]!.text : '';
    };
    expect(words(tumbler())).toBe('rim this way (the longer arc)');
  });
});
