import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { SnapBox, SnapSide } from './snap.ts';
import { snapLines, snapTo } from './snap.ts';

const mug: SnapSide = {
  side: 90,
  radiusAt: () => 40,
  closed: true,
  hasHandle: true,
  hand: 'left',
  rim: 10,
  base: 5,
  glance: 0.9,
};
const box = (more: Partial<SnapBox> = {}): SnapBox => ({ azimuth: 0.4, slant: 50, widthMm: 20, heightMm: 12, ...more });
const rest = (at: SnapBox, reach = 2, others: Parameters<typeof snapLines>[1] = []) =>
  snapTo(at, snapLines(mug, others), mug, reach);

describe('snapTo', () => {
  it('brings the top to the rim line and the middle to the front, and says so', () => {
    // The top is 1.5 mm below the line at 10, the middle 1.2 mm right of the front.
    const { azimuth, slant, held } = rest(box({ azimuth: 1.2 / 40, slant: 17.5 }));
    expect([azimuth, slant]).toEqual([0, 16]);
    expect(held.map(({ line, part }) => `${part}: ${line.name}`)).toEqual([
      'middle: opposite the handle',
      'top: rim line',
    ]);
    expect(held[0]!.line.facing).toBe('front');
  });

  it('knows both faces by the hand, also the other way round', () => {
    // Held in the left hand, the drinker looks a quarter turn to the left; 1 mm past it, and a whole turn on.
    const { azimuth, held } = rest(box({ azimuth: (3 * Math.PI) / 2 + 1 / 40 }));
    expect(azimuth).toBeCloseTo((3 * Math.PI) / 2, 12);
    expect(held[0]!.line).toMatchObject({ facing: 'drinker', name: 'facing the drinker' });
  });

  it('faces the front rather than filling a glance, when either is within reach', () => {
    // As wide as two glances less 1 mm: 1.3 mm off the front its left edge is 0.8 mm off the glance's.
    const wide = { widthMm: 2 * 0.9 * 40 - 1, slant: 30 };
    expect(rest(box({ ...wide, azimuth: -1.3 / 40 })).held[0]).toMatchObject({ part: 'middle', line: { facing: 'front' } }); // prettier-ignore
  });

  it('puts edges to the glance and to other items, beside and in line', () => {
    // The right edge, 10 mm right of the middle, comes to 0.9 rad.
    expect(rest(box({ azimuth: 0.9 - 10 / 40 - 0.02 })).held[0]).toMatchObject({ part: 'right', line: { at: 0.9 } });
    const oar = { ...box({ azimuth: 2, slant: 40, widthMm: 8, heightMm: 30 }), name: 'the oar', allRound: false };
    const beside = rest(box({ azimuth: 2 + 14.7 / 40, slant: 48.2 }), 2, [oar]);
    expect(beside.held.map(({ line, part }) => `${part}: ${line.name}`)).toEqual([
      'left: right of the oar',
      'bottom: bottom of the oar',
    ]);
    expect([beside.azimuth, beside.slant]).toEqual([expect.closeTo(2 + 14 / 40, 12), 49]);
  });

  it('knows the thirds of the side, and what is half-way between two things', () => {
    const name = ({ held }: ReturnType<typeof rest>, axis: 'round' | 'down'): string | undefined =>
      held.find(({ line }) => line.axis === axis)?.line.name;
    // A third of 90 mm from the top, two thirds.
    expect([rest(box({ slant: 30.8 })).slant, name(rest(box({ slant: 30.8 })), 'down')]).toEqual([30, 'upper third']);
    expect([rest(box({ slant: 59.4 })).slant, name(rest(box({ slant: 59.4 })), 'down')]).toEqual([60, 'lower third']);
    // Edges at 1 + 10/40 and 2.4 − 4/40 rad: half-way is 1.775.
    const oar = { ...box({ azimuth: 2.4, slant: 20, widthMm: 8, heightMm: 6 }), name: 'the oar', allRound: false };
    const star = { ...box({ azimuth: 1, slant: 20, heightMm: 6 }), name: 'the star', allRound: false };
    const between = rest(box({ azimuth: 1.775 + 0.7 / 40, slant: 71 }), 2, [oar, star]);
    expect([between.azimuth, name(between, 'round')]).toEqual([expect.closeTo(1.775, 12), 'same distance to the star and the oar']); // prettier-ignore
    // From the star's foot at 23 to the base line at 85 it is half-way at 54.
    const low = rest(box({ azimuth: -2, slant: 54.5 }), 2, [star]);
    expect([low.slant, name(low, 'down')]).toEqual([54, 'same distance to the star and the base line']);
    // The back is half-way from 2 round to −2, unless a handle is there.
    const ends = [
      { ...star, azimuth: 2 },
      { ...star, azimuth: -2 },
    ];
    const back = box({ azimuth: Math.PI - 0.02, slant: 71 });
    const bare = { ...mug, hasHandle: false, glance: null };
    expect(snapTo(back, snapLines(bare, ends), bare, 2).held.map(({ line }) => Math.abs(line.at))).toEqual([expect.closeTo(Math.PI, 9)]); // prettier-ignore
    expect(rest(back, 2, ends).held).toEqual([]);
  });

  it('prefers a line of the blank to one of another item, and finds no sides on a band all round', () => {
    const band = { ...box({ azimuth: 0.01, slant: 64 }), name: 'the wave', allRound: true };
    const star = { ...box({ azimuth: 0.02, slant: 64 }), name: 'the star', allRound: false };
    // 1 mm from the front, 0.2 mm from the star's middle.
    const near = box({ azimuth: 1 / 40, slant: 65 });
    expect(rest(near, 2, [star]).held.map(({ line }) => line.name)).toEqual([
      'opposite the handle',
      'middle of the star',
    ]);
    expect(rest(box({ azimuth: 0.51 + 0.005, slant: 65 }), 2, [band]).held.map(({ line }) => line.name)).toEqual(['middle of the wave']); // prettier-ignore
  });

  it('never moves by more than its reach, and not at all when nothing is near', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(-3, 3), number(0, 90), number(1, 60), number(0, 5), (azimuth, slant, widthMm, reach) => {
        const at = box({ azimuth, slant, widthMm });
        const to = rest(at, reach, [{ ...box({ azimuth: 1, slant: 30 }), name: 'x', allRound: false }]);
        expect(Math.abs(to.azimuth - azimuth) * 40).toBeLessThanOrEqual(reach + 1e-9);
        expect(Math.abs(to.slant - slant)).toBeLessThanOrEqual(reach + 1e-9);
        // What rests stays: a second time changes nothing.
        const again = rest({ ...at, azimuth: to.azimuth, slant: to.slant }, reach, [
          { ...box({ azimuth: 1, slant: 30 }), name: 'x', allRound: false },
        ]);
        expect(again.azimuth).toBeCloseTo(to.azimuth, 9);
        if (to.held.length === 0) expect([to.azimuth, to.slant]).toEqual([azimuth, slant]);
      }),
    );
  });
});
