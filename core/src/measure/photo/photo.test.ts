import { describe, expect, it } from 'vitest';
import { photograph, type Shot, type Thing } from '../../../test/photo.ts';
import { type PhotoReading, readPhotoProfile } from './photo-profile.ts';
import { findSilhouette, type Silhouette } from './silhouette.ts';

const shot: Shot = {
  width: 330,
  height: 420,
  pxPerMm: 2.4,
  tilt: (2 * Math.PI) / 180,
  blur: 1.4,
  noise: 7,
  cameraMm: null,
  seed: 1,
};
/** Twenty things of different make: bellies, waists, flares and shoulders. */
const things = Array.from({ length: 20 }, (_, i): Thing => {
  const height = 100 + 2.2 * i;
  const [base, swell, waves] = [30 + (i % 5) * 3, 4 + (i % 7), 0.5 + (i % 4) * 0.35];
  return {
    height,
    radiusAt: (down) =>
      base + swell * Math.sin(Math.PI * waves * (down / height) + i) + ((i % 3) - 1) * 6 * (down / height),
  };
});
const read = (
  raster: ReturnType<typeof photograph>,
  far?: NonNullable<Parameters<typeof findSilhouette>[1]['far']>,
): Silhouette => {
  const found = findSilhouette(raster, { axis: null, far: far ?? null });
  if (!found.ok) throw new Error(found.code);
  return found.silhouette;
};
const reading = (thing: Thing, more: Partial<PhotoReading> = {}): PhotoReading => ({
  scale: { by: 'girth', mm: 2 * Math.PI * thing.radiusAt(thing.height / 2), at: 0.5 },
  cameraMm: null,
  band: [0.06, 0.94],
  count: 9,
  ...more,
});
/** Errors of the girths, as shares, with heights taken from the thing's own top. */
function errors(thing: Thing, silhouette: Silhouette, how: PhotoReading): number[] {
  const stations = readPhotoProfile(silhouette, how)!;
  return stations.map(({ at, girth }) => Math.abs(girth / (2 * Math.PI * thing.radiusAt(at * thing.height)) - 1));
}

describe('a photographed profile', () => {
  it('reads girths to 1.5 % with noise, blur and 2° of tilt, half of them to 0.7 %', () => {
    const all = things.flatMap((thing, i) =>
      errors(thing, read(photograph(thing, { ...shot, seed: i + 1 })), reading(thing)),
    );
    expect(Math.max(...all)).toBeLessThan(0.015);
    expect(all.sort((a, b) => a - b)[all.length >> 1]).toBeLessThan(0.007);
  });

  it('finds how far the thing leans, and takes a marked axis as it is', () => {
    const raster = photograph(things[3]!, shot);
    const silhouette = read(raster);
    expect(Math.abs(Math.abs(silhouette.tilt) - (2 * Math.PI) / 180)).toBeLessThan(0.006);
    const marked = findSilhouette(raster, { axis: silhouette.axis });
    expect(marked.ok && marked.silhouette.axis).toEqual(silhouette.axis);
    expect(silhouette.disagree).toBeLessThan(0.6);
  });

  it('takes perspective out when the camera’s distance is known, which matters near by', () => {
    const near = things.slice(0, 4).map((thing, i) => {
      const near = { by: 'height', times: 320 / thing.height } as const;
      const silhouette = read(photograph(thing, { ...shot, tilt: 0, cameraMm: 320, pxPerMm: 2.1, seed: i + 50 }), near);
      const scale = { by: 'height', mm: thing.height } as const;
      // Lips and feet look longer near by, so that the height is the harder scale.
      return [null, 320].map((cameraMm) => Math.max(...errors(thing, silhouette, reading(thing, { scale, cameraMm }))));
    });
    for (const [without, taken] of near) {
      expect(taken).toBeLessThan(0.015);
      // What lip and foot sag is measured; what is left of perspective is the height's own.
      expect(without!).toBeLessThan(0.02);
    }
  });

  it('scales by a height, or by the girth where it is widest', () => {
    const thing: Thing = { height: 110, radiusAt: (down) => 40 - ((down - 55) / 20) ** 2 };
    const silhouette = read(photograph(thing, { ...shot, tilt: 0 }));
    const widest = readPhotoProfile(
      silhouette,
      reading(thing, { scale: { by: 'girth', mm: 80 * Math.PI, at: 'widest' } }),
    )!;
    expect(widest[4]!.girth).toBeCloseTo(80 * Math.PI, 0);
    const tall = readPhotoProfile(silhouette, reading(thing, { scale: { by: 'height', mm: 110 }, band: [0, 1] }))!;
    expect(Math.abs(tall.at(-1)!.down - 110)).toBeLessThan(0.6);
    expect(Math.abs(tall[4]!.girth / (80 * Math.PI) - 1)).toBeLessThan(0.015);
  });

  it('says when nothing stands out, the thing is cut off or the picture is a stamp', () => {
    const even = { width: 120, height: 120, rgba: new Uint8ClampedArray(4 * 120 * 120).fill(180) };
    expect(findSilhouette(even, { axis: null })).toEqual({ ok: false, code: 'nothing-stands-out' });
    const wide = photograph({ height: 80, radiusAt: () => 90 }, { ...shot, tilt: 0 });
    expect(findSilhouette(wide, { axis: null })).toMatchObject({ ok: false });
    expect(findSilhouette({ ...even, width: 12, height: 12 }, { axis: null })).toEqual({
      ok: false,
      code: 'too-small',
    });
    expect(readPhotoProfile(read(photograph(things[0]!, shot)), reading(things[0]!, { band: [0.5, 0.5] }))).toBeNull();
  });

  /** A plain dark shape on a light ground, px. */
  const painted = (inside: (x: number, y: number) => boolean) => {
    const [width, height] = [240, 300];
    const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) rgba.fill(inside(x, y) ? 60 : 215, 4 * (y * width + x), 4 * (y * width + x) + 3);
    return { width, height, rgba };
  };
  const upright = (y: number): boolean => y >= 50 && y < 250;
  const widthAt = (raster: ReturnType<typeof painted>): number => {
    const { rows } = read(raster);
    const { left, right } = rows[rows.length >> 1]!;
    return left + right;
  };

  it('joins what a stripe as light as the ground has cut in two, and leaves what stands further off', () => {
    const bars = (gap: number) => painted((x, y) => upright(y) && x >= 50 && x < 190 && !(x >= 90 && x < 90 + gap));
    expect(widthAt(bars(0))).toBeCloseTo(140, 0);
    // Up to three tenths of what they are across together.
    expect(widthAt(bars(41))).toBeCloseTo(140, 0);
    expect(widthAt(bars(45))).toBeCloseTo(190 - 135, 0);
  });

  it('takes the clean side where something stands out on the other, and says how much of it that is', () => {
    // A bow from 120 to 180, 30 px out to the right, on a thing 100 wide.
    const bow = painted((x, y) => upright(y) && x >= 70 && x < (y >= 120 && y < 180 ? 200 : 170));
    const silhouette = read(bow);
    for (const { left, right } of silhouette.rows) expect(left + right).toBeLessThan(102);
    expect(silhouette.oneSided).toBeCloseTo(60 / 200, 1);
    // A nick in an edge, as shine on it leaves: the whole side is further out, and smoother.
    const nick = painted((x, y) => upright(y) && x >= (y >= 120 && y < 140 ? 90 : 70) && x < 170);
    expect(read(nick).rows.every(({ left, right }) => left + right > 98)).toBe(true);
  });

  it('refuses a thing whose sides have no middle', () => {
    const wavy = painted((x, y) => upright(y) && x >= 70 && x < 170 + 25 * Math.sin(y / 25));
    expect(findSilhouette(wavy, { axis: null })).toEqual({ ok: false, code: 'sides-differ' });
  });

  it('refuses a foot that sags by more than a level camera sees, unless it stood so near', () => {
    const sagging = (ratio: number) =>
      painted((x, y) => {
        const deep = 1 - ((x - 120) / 50) ** 2;
        const sag = 50 * ratio * Math.sqrt(Math.max(0, deep));
        return deep > 0 && y >= 50 && y < 230 + sag;
      });
    const seen = (ratio: number, times: number | null) => {
      const found = findSilhouette(sagging(ratio), {
        axis: null,
        far: times === null ? null : { by: 'height', times },
      });
      return found.ok ? 'fine' : found.code;
    };
    expect([0.12, 0.2].map((ratio) => seen(ratio, null))).toEqual(['fine', 'from-above']);
    // Three heights off, a sixth of its half width is seen by right, and four degrees more are let pass.
    expect([0.2, 0.28].map((ratio) => seen(ratio, 3))).toEqual(['fine', 'from-above']);
  });
});
