import { describe, expect, it } from 'vitest';
import type { Raster } from '../../raster/foreground.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { ringArea, ringContains } from '../../polygon/polygon.ts';
import type { MotifId } from '../../model/item.ts';
import { MOTIF_IDS, motifOutlines } from '../motifs/index.ts';
import { traceRaster } from './trace.ts';
import { FIRST_TRACE, type TraceOptions } from './options.ts';

type Colour = readonly [number, number, number];
const [PAPER, INK]: [Colour, Colour] = [
  [244, 241, 232],
  [20, 40, 60],
];
const FINE = 4;

/** Rings drawn on paper, each pixel mixed by how much of it is covered: sixteen samples. px, y down. */
function drawn(width: number, height: number, layers: readonly { rings: readonly Ring[]; colour: Colour }[]): Raster {
  const sums = new Float64Array(3 * width * height);
  const top = new Int8Array(width * FINE);
  for (let row = 0; row < height * FINE; row++) {
    top.fill(-1);
    for (const [k, { rings }] of layers.entries()) {
      // Samples lie within where a row of them has crossed the outlines an odd number of times.
      const crossings = rings.flatMap((ring) => crossingsAt(ring, (row + 0.5) / FINE)).sort((a, b) => a - b);
      for (let i = 0; i + 1 < crossings.length; i += 2)
        top.fill(k, Math.max(0, Math.ceil(crossings[i]! * FINE - 0.5)), Math.ceil(crossings[i + 1]! * FINE - 0.5));
    }
    for (let at = 0; at < top.length; at++) {
      const pixel = 3 * (Math.floor(row / FINE) * width + Math.floor(at / FINE));
      const colour = layers[top[at]!]?.colour ?? PAPER;
      for (let c = 0; c < 3; c++) sums[pixel + c]! += colour[c]! / (FINE * FINE);
    }
  }
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let i = 0; i < width * height; i++) for (let c = 0; c < 3; c++) rgba[4 * i + c] = sums[3 * i + c]!;
  return { width, height, rgba };
}

/** Where an outline crosses a height. */
function crossingsAt(ring: Ring, y: number): number[] {
  const found: number[] = [];
  for (let i = 0, n = ring.length; i < n; i += 2) {
    const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
    if (ay > y !== by > y) found.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
  }
  return found;
}

/** A motif in the middle of a picture, px, y down, its rings clean film. */
function motifRings(id: MotifId, size: number): Ring[] {
  const { rings, box } = motifOutlines(id, 0.1);
  const scale = (0.8 * size) / Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return rings.map((ring) => ring.map((v, i) => size / 2 + (i % 2 ? cy - v : v - cx) * scale));
}

/** Furthest that any point of the first rings is from the outline of the second. */
function furthest(from: readonly Ring[], to: readonly Ring[]): number {
  let most = 0;
  for (const ring of from)
    for (let i = 0; i < ring.length; i += 2) {
      let least = Infinity;
      for (const other of to)
        for (let k = 0, n = other.length; k < n; k += 2) {
          const [ax, ay, bx, by] = [other[k]!, other[k + 1]!, other[(k + 2) % n]!, other[(k + 3) % n]!];
          const [dx, dy] = [bx - ax, by - ay];
          const t = Math.max(
            0,
            Math.min(1, ((ring[i]! - ax) * dx + (ring[i + 1]! - ay) * dy) / (dx * dx + dy * dy || 1)),
          );
          least = Math.min(least, Math.hypot(ring[i]! - ax - t * dx, ring[i + 1]! - ay - t * dy));
        }
      most = Math.max(most, least);
    }
  return most;
}

/** The traced rings in px, y down again; the picture is as many mm wide as it has px. */
function traced(raster: Raster, options: Partial<TraceOptions> = {}): { rings: Ring[]; colour: string }[] {
  const { result } = traceRaster(raster, {
    ...FIRST_TRACE,
    widthMm: raster.width,
    speckMm2: 4,
    smooth: 0.4,
    ...options,
  });
  if (!result.ok) throw new Error(result.problem.code);
  return result.drawing.colours.map(({ rings, colour }) => ({
    colour,
    rings: rings.map((ring) => ring.map((v, i) => (i % 2 ? raster.height / 2 - v : v + raster.width / 2))),
  }));
}

describe('tracePicture', () => {
  // Those whose points are no finer than the pixels they are drawn in.
  const motifs = (['buoy', 'oar', 'heron', 'heart', 'star'] as const).filter((id) =>
    (MOTIF_IDS as string[]).includes(id),
  );

  it.each(motifs)('gives back the outline of the %s within a pixel, with its holes', (id) => {
    const truth = motifRings(id, 200);
    const [found] = traced(drawn(200, 200, [{ rings: truth, colour: INK }]), { smooth: 0 });
    expect(furthest(found!.rings, truth)).toBeLessThan(1);
    expect(furthest(truth, found!.rings)).toBeLessThan(1);
    const holes = (rings: readonly Ring[]): number =>
      rings.filter((ring) => rings.filter((o) => o !== ring && ringContains(o, ring[0]!, ring[1]!)).length % 2 === 1)
        .length;
    expect([found!.rings.length, holes(found!.rings)]).toEqual([truth.length, holes(truth)]);
    // y is down here: film turns clockwise, holes the other way.
    const area = found!.rings.reduce((sum, ring) => sum - ringArea(ring), 0);
    expect(area).toBeGreaterThan(0);
  });

  const disk = (x: number, y: number, r: number): Ring =>
    Float64Array.from(
      Array.from({ length: 180 }, (_, i) => (i * Math.PI) / 90).flatMap((a) => [
        x + r * Math.cos(a),
        y + r * Math.sin(a),
      ]),
    );

  it('finds the threshold between two tones by itself, and takes light on dark as well', () => {
    const rings = [disk(60, 60, 40)];
    const dark = drawn(120, 120, [{ rings, colour: INK }]);
    const light = drawn(120, 120, [
      { rings: [Float64Array.from([-1, -1, 121, -1, 121, 121, -1, 121])], colour: INK },
      { rings, colour: PAPER },
    ]);
    for (const [raster, mode] of [
      [dark, 'dark'],
      [light, 'light'],
    ] as const) {
      const [found] = traced(raster, { mode });
      expect(-ringArea(found!.rings[0]!)).toBeCloseTo(Math.PI * 1600, -2);
      expect(furthest(found!.rings, rings)).toBeLessThan(0.5);
    }
  });

  it('keeps what looks like the ground inside a thing, and drops the ground', () => {
    const rings = [disk(60, 60, 45)];
    // A patch of the ground's own colour in the middle of the thing, reached from nowhere.
    const raster = drawn(120, 120, [
      { rings, colour: INK },
      { rings: [disk(60, 60, 12)], colour: PAPER },
    ]);
    const [found] = traced(raster, { mode: 'ground' });
    expect(found!.rings).toHaveLength(1);
    expect(furthest(found!.rings, rings)).toBeLessThan(1);
  });

  it('parts colours that meet without a third between them, and leaves specks out', () => {
    const [red, blue]: [Colour, Colour] = [
      [190, 50, 40],
      [30, 70, 160],
    ];
    const left = Float64Array.from([20, 20, 60, 20, 60, 100, 20, 100]);
    const right = Float64Array.from([60, 20, 100, 20, 100, 100, 60, 100]);
    const raster = drawn(120, 120, [
      { rings: [left], colour: red },
      { rings: [right, disk(110, 10, 1)], colour: blue },
    ]);
    const found = traced(raster, { mode: 'colours', colours: 2 });
    expect(found).toHaveLength(2);
    for (const { rings } of found) {
      expect(rings).toHaveLength(1);
      expect(Math.abs(ringArea(rings[0]!))).toBeGreaterThan(3120);
      expect(Math.abs(ringArea(rings[0]!))).toBeLessThan(3280);
    }
  });

  /** The picture blurred a little and with noise in every channel, as a photograph has it; the same every time. */
  function photographed({ width, height, rgba }: Raster, noise: number): Raster {
    let seed = 7;
    const random = (): number => {
      seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
      return seed / 2 ** 32;
    };
    const out = new Uint8ClampedArray(rgba.length).fill(255);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (let c = 0; c < 3; c++) {
          let sum = 0;
          for (const [dx, dy] of [[0, 0], [1, 0], [-1, 0], [0, 1], [0, -1]] as const) // prettier-ignore
            sum += rgba[4 * (Math.min(height - 1, Math.max(0, y + dy)) * width + Math.min(width - 1, Math.max(0, x + dx))) + c]!; // prettier-ignore
          const bell = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
          out[4 * (y * width + x) + c] = sum / 5 + noise * bell;
        }
    return { width, height, rgba: out };
  }

  it.each([null, 2, 4, 9])('finds one colour in one letter on noisy paper, whatever it is asked for: %s', (colours) => {
    const letter = Float64Array.from([
      30, 20, 90, 20, 90, 36, 50, 36, 50, 52, 80, 52, 80, 68, 50, 68, 50, 100, 30, 100,
    ]);
    for (const noise of [0, 5, 12]) {
      const raster = photographed(drawn(120, 120, [{ rings: [letter], colour: INK }]), noise);
      const { result, colours: found } = traceRaster(raster, { ...FIRST_TRACE, mode: 'colours', colours, widthMm: 120 }); // prettier-ignore
      if (!result.ok) throw new Error(result.problem.code);
      expect([found, result.drawing.colours.length]).toEqual([1, 1]);
      expect(result.drawing.colours[0]!.rings).toHaveLength(1);
      // 60·16 + 20·64 + 30·16 px.
      expect(result.drawing.colours[0]!.areaMm2 / 2720).toBeCloseTo(1, 1);
    }
  });

  it('takes two tones for one when the eye does', () => {
    const seen = (apart: number): number => {
      const colour: Colour = [PAPER[0] - apart, PAPER[1], PAPER[2]];
      const raster = drawn(80, 80, [{ rings: [disk(40, 40, 25)], colour }]);
      return traceRaster(raster, { ...FIRST_TRACE, mode: 'colours', dropGround: false, widthMm: 80 }).colours;
    };
    expect([10, 14].map(seen)).toEqual([1, 2]);
  });

  it('keeps colours that are no noise, and takes the fewer that are asked for', () => {
    const spots = (['#b82c28', '#1e50a0', '#e0b020', '#2f7d4f'] as const).map((hex, i) => ({
      rings: [disk(35 + 60 * (i % 2), 35 + 60 * Math.floor(i / 2), 20)],
      colour: [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as unknown as Colour,
    }));
    const raster = photographed(drawn(130, 130, spots), 9);
    const seen = (colours: number | null) => traceRaster(raster, { ...FIRST_TRACE, mode: 'colours', colours, widthMm: 130 }).colours; // prettier-ignore
    expect([null, 3, 2, 1, 12].map(seen)).toEqual([4, 3, 2, 1, 4]);
  });

  it('says so when there is nothing, and refuses what is no drawing', () => {
    const blank = drawn(40, 40, []);
    expect(traceRaster(blank, { ...FIRST_TRACE, mode: 'ground' }).result).toEqual({
      ok: false,
      problem: { code: 'empty' },
    });
    const rgba = new Uint8ClampedArray(4 * 400 * 400);
    for (let i = 0; i < 160_000; i++) {
      const on = (i % 400) % 4 < 2 && Math.floor(i / 400) % 4 < 2;
      rgba.set(on ? [0, 0, 0, 255] : [255, 255, 255, 255], 4 * i);
    }
    const noise = traceRaster({ width: 400, height: 400, rgba }, { ...FIRST_TRACE, speckMm2: 0, smooth: 0 }).result;
    expect(noise).toMatchObject({ ok: false, problem: { code: 'too-much' } });
  });
});
