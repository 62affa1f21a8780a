import type { Asked, Blank, TapePlace } from '@mivet/core';
import { KINDS, newBlank, newProject, rowAt, slantAtHeight } from '@mivet/core';
import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { viewModelOf } from '../../../test/view-model-of.ts';
import { demoShelf } from '../../demo/demo-shelf.ts';
import { normalOn, pointOn, reachOf, spotOn, standOf } from './solid-meshes.ts';
import { type BlankShape, shapeOfBlank, solidOfBlank } from './solid-shape.ts';
import { strainColour } from './strain-colour.ts';

const shelf = demoShelf('').map(({ blank }) => blank);
const shapeOf = async (blank: Blank): Promise<BlankShape> =>
  shapeOfBlank(blank, await viewModelOf(newProject('p', 'Test', blank, null, '')));

const tapeFor = async (asked: Asked, blank: Blank): Promise<TapePlace | null> => {
  const viewModel = await viewModelOf(newProject('p', 'Test', blank, null, ''));
  return solidOfBlank(blank, viewModel).tapeFor(asked, blank, shapeOfBlank(blank, viewModel));
};

describe('the solid of a blank', () => {
  it('is as large as its readings say, and each spot of the template is found again on it', async () => {
    for (const blank of shelf) {
      const shape = await shapeOf(blank);
      for (const azimuth of [-0.6, 0, 0.4])
        for (const share of [0.2, 0.5, 0.85]) {
          const spot = { azimuth, slant: share * shape.side };
          const back = spotOn(shape, pointOn(shape, spot));
          expect(back, blank.name).not.toBeNull();
          expect(back!.azimuth, blank.name).toBeCloseTo(azimuth, 4);
          expect(back!.slant, blank.name).toBeCloseTo(spot.slant, 2);
          expect(normalOn(shape, spot).length()).toBeCloseTo(1, 6);
        }
      const { top, bottom, radius } = reachOf(shape);
      expect(top - bottom).toBeGreaterThan(10);
      expect(radius).toBeGreaterThan(5);
      expect(standOf(shape).height).toBeLessThan(top);
    }
  });

  it('has a place for the tape only where there is one, whatever was asked of another kind of blank', () => {
    const asked = [
      ...(['girthRim', 'girthBase', 'side', 'upright', 'acrossRim', 'girth', 'overCrown', 'across', 'hole', 'holeIn', 'width', 'height'] as const), // prettier-ignore
      { station: 0, what: 'girth' } as const,
      { station: 2, what: 'down' } as const,
    ];
    for (const kind of KINDS)
      for (const one of asked) {
        const blank = newBlank('b', kind, 'New');
        const shape = shapeOfBlank(blank, null);
        const place = solidOfBlank(blank, null).tapeFor(one, blank, shape);
        if (place && ['round', 'down', 'upright'].includes(place.lies)) expect(shape.rows.length).toBeGreaterThan(1);
        if (kind === 'lid' || kind === 'flat') expect(place?.lies ?? 'flat').toBe('flat');
      }
  });

  it('keeps lengths: a patch is as broad on the ball as on the flat, near its middle', async () => {
    const ball = await shapeOf(shelf.find((b) => b.kind === 'balloon')!);
    const middle = { azimuth: 0, slant: ball.side / 2 };
    const [right, down] = [1, 2].map((mm) =>
      mm === 1 ? { azimuth: (2 * Math.PI) / ball.width, slant: middle.slant } : { azimuth: 0, slant: middle.slant + 1 },
    );
    const at = pointOn(ball, middle);
    expect(pointOn(ball, right!).distanceTo(at)).toBeCloseTo(1, 3);
    expect(pointOn(ball, down!).distanceTo(at)).toBeCloseTo(1, 3);
  });

  it('stands in for what is not read yet, of every kind', () => {
    for (const kind of ['straight', 'tapered', 'profile', 'ball', 'balloon', 'lid', 'flat'] as const) {
      const shape = shapeOfBlank(newBlank('b', kind, 'New'), null);
      expect(shape.side, kind).toBeGreaterThan(0);
      expect(spotOn(shape, new Vector3(0, 900, 0))).toBeNull();
    }
  });

  it('has rows that fall, and finds heights between them', async () => {
    const goblet = await shapeOf(shelf.find((b) => b.id === 'demo-goblet')!);
    for (let i = 1; i < goblet.rows.length; i++) expect(goblet.rows[i]![2]).toBeLessThan(goblet.rows[i - 1]![2]);
    expect(slantAtHeight(goblet.rows, rowAt(goblet.rows, 33)[2])).toBeCloseTo(33, 6);
    // Widest at 40 mm: 266 less the tape's 0.4π, over 2π.
    expect(rowAt(goblet.rows, 40)[1]).toBeCloseTo((266 - 0.4 * Math.PI) / (2 * Math.PI), 2);
  });
});

describe('the tape', () => {
  it('lies where each reading is taken', async () => {
    const [mug, goblet, lid] = ['demo-crew-mug', 'demo-goblet', 'demo-lid'].map((id) =>
      shelf.find((b) => b.id === id)!,
    );
    expect(await tapeFor('girthRim', mug!)).toMatchObject({ lies: 'round', hang: 'below' });
    expect(await tapeFor({ station: 2, what: 'girth' }, goblet!)).toMatchObject({
      lies: 'round',
      slant: 40,
    });
    expect(await tapeFor({ station: 3, what: 'down' }, goblet!)).toMatchObject({
      lies: 'down',
      from: 0,
      to: 60,
    });
    // 12 mm in from the top edge.
    expect(await tapeFor('holeIn', lid!)).toMatchObject({
      lies: 'flat',
      y: [0, expect.closeTo(-12, 6)],
    });
  });
});

describe('the colour of a strain', () => {
  it('tells pull from squeeze and is hatched past what the film gives', () => {
    const give = { stretch: 0.02, squeeze: 0.005 };
    expect(strainColour(0.01, give).fill).not.toBe(strainColour(-0.01, give).fill);
    expect(strainColour(0.019, give).over).toBe(false);
    expect(strainColour(0.021, give).over).toBe(true);
    expect(strainColour(-0.006, give).over).toBe(true);
    expect(strainColour(0, give).opacity).toBeCloseTo(0, 12);
  });
});
