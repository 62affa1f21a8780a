import { contours } from 'd3-contour';
import { formatHex } from 'culori';
import type { Picture } from '../raster/foreground.ts';
import { boxHeight, boxOfRings, boxWidth } from '../plane/box.ts';
import { flattenPath } from '../plane/flatten.ts';
import { fitRing } from '../plane/fit.ts';
import type { Ring } from '../polygon/polygon.ts';
import { reverseRing, ringArea } from '../polygon/polygon.ts';
import type { Drawing, DrawingColour, DrawingResult } from './drawing.ts';
import { coloursOf, nearestColour, type Rgb } from './picture-colours.ts';
import type { TraceWish } from './trace-options.ts';

/** px by which the fitted outline may leave the traced one. */
const FIT_PX = 0.35;
/** Most outlines of one trace: a photograph of leaves is no drawing. */
const MOST_RINGS = 5000;

/** A trace, with the threshold that was used. */
export interface Traced {
  readonly result: DrawingResult;
  readonly threshold: number;
  /** How many colours the picture has, without the ground: what noise and blurred edges add to them is none. 0 by lightness. */
  readonly colours: number;
}

/**
 * Outlines of what is in a picture.
 *
 * @param picture its pixels; what is transparent counts as ground
 * @param wish how
 * @returns a drawing in the picture's own colours, mm, or why there is none
 * @source threshold: N. Otsu, "A threshold selection method from gray-level histograms", 1979; outlines: marching squares
 *   with linear interpolation on a field that is 0.5 at the edge, fitted with cubics
 */
export function tracePicture(picture: Picture, wish: TraceWish): Traced {
  const { width, height } = picture;
  const mmPerPx = wish.widthMm / width;
  const lightness = wish.mode === 'dark' || wish.mode === 'light' ? lightnessOf(picture) : null;
  const threshold = lightness ? (wish.threshold ?? otsu(lightness)) : 0;
  const layers: { colour: string; field: Float32Array }[] = [];
  if (lightness) {
    const dark = wish.mode === 'dark';
    // 0.5 at the threshold, so that half-covered pixels put the edge where it is.
    const sign = dark ? -2 / 255 : 2 / 255;
    const field = new Float32Array(lightness.length);
    for (let i = 0; i < field.length; i++) field[i] = clamp(0.5 + sign * (lightness[i]! - threshold));
    layers.push({ colour: colourWhere(picture, field), field });
  } else if (wish.mode === 'ground') {
    const field = standsOut(picture, wish.tolerance);
    layers.push({ colour: colourWhere(picture, field), field });
  } else layers.push(...byColour(picture, wish));
  const found = wish.mode === 'colours' ? layers.length : 0;
  const colours: DrawingColour[] = [];
  let rings = 0;
  for (const { colour, field } of layers) {
    const even = blurred(field, width, height, wish.smooth);
    const outlines = outlinesOf(even, width, height, wish.speckMm2 / mmPerPx ** 2);
    rings += outlines.length;
    if (rings > MOST_RINGS)
      return {
        threshold,
        colours: found,
        result: { ok: false, problem: { code: 'too-much', what: 'outlines', limit: MOST_RINGS } },
      };
    if (outlines.length === 0) continue;
    const placed = outlines.map((ring) =>
      ring.map((v, i) => (i % 2 ? (height / 2 - v) * mmPerPx : (v - width / 2) * mmPerPx)),
    );
    colours.push({ colour, rings: placed, areaMm2: placed.reduce((sum, ring) => sum + ringArea(ring), 0) });
  }
  if (colours.length === 0) return { threshold, colours: found, result: { ok: false, problem: { code: 'empty' } } };
  colours.sort((a, b) => b.areaMm2 - a.areaMm2);
  return {
    threshold,
    colours: found,
    result: {
      ok: true,
      drawing: aboutItsFigure(colours),
      asDrawn: null,
    },
  };
}

/** A drawing as large as its figure, about the middle of that: the paper round it is none of it. */
function aboutItsFigure(colours: readonly DrawingColour[]): Drawing {
  const box = boxOfRings(colours.flatMap(({ rings }) => rings));
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return {
    widthMm: boxWidth(box),
    heightMm: boxHeight(box),
    colours: colours.map((one) => ({
      ...one,
      rings: one.rings.map((ring) => ring.map((value, i) => value - (i % 2 ? cy : cx))),
    })),
    leftOut: [],
    unitSaid: true,
  };
}

const clamp = (v: number): number => (v < 0 ? 0 : v > 1 ? 1 : v);

/** Lightness of each pixel as one sees it over white, 0 … 255. */
function lightnessOf({ width, height, rgba }: Picture): Float32Array {
  const out = new Float32Array(width * height);
  for (let i = 0; i < out.length; i++) {
    const a = rgba[4 * i + 3]! / 255;
    const grey = 0.2126 * rgba[4 * i]! + 0.7152 * rgba[4 * i + 1]! + 0.0722 * rgba[4 * i + 2]!;
    out[i] = grey * a + 255 * (1 - a);
  }
  return out;
}

function otsu(values: Float32Array): number {
  const counts = new Float64Array(256);
  // Lightness lies within 0 … 255.
  for (let i = 0; i < values.length; i++) counts[(values[i]! + 0.5) | 0]! += 1;
  const total = values.length;
  let sum = 0;
  for (let i = 0; i < 256; i++) sum += i * counts[i]!;
  let [below, belowSum, best, first, last] = [0, 0, -1, 127, 127];
  for (let i = 0; i < 255; i++) {
    below += counts[i]!;
    belowSum += i * counts[i]!;
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (belowSum / below - (sum - belowSum) / above) ** 2;
    // A gap between two tones gives many thresholds that part alike: the middle of them is taken.
    if (between > best * (1 + 1e-12)) [best, first, last] = [between, i, i];
    else if (between >= best * (1 - 1e-12)) last = i;
  }
  return (first + last) / 2 + 0.5;
}

/** How surely each pixel is not ground: what can be reached from the border within the tolerance of its colour is. */
function standsOut({ width, height, rgba }: Picture, tolerance: number): Float32Array {
  const ground = borderColour({ width, height, rgba });
  const away = new Float32Array(width * height);
  for (let i = 0; i < away.length; i++) {
    const a = rgba[4 * i + 3]! / 255;
    let sum = 0;
    for (let c = 0; c < 3; c++) sum += ((rgba[4 * i + c]! - ground[c]!) * a) ** 2;
    away[i] = Math.sqrt(sum);
  }
  const reached = flooded(away, width, height, (v) => v < tolerance);
  const field = new Float32Array(away.length);
  for (let i = 0; i < field.length; i++) {
    // Inside, whatever looks like the ground still belongs to the thing; at the edge the distance says where it is.
    const beside = reached[i] === 1 || touches(reached, i, width, height);
    field[i] = beside ? clamp(0.5 + (away[i]! - tolerance) / Math.max(40, 2 * tolerance)) : 1;
  }
  return field;
}

function borderColour({ width, height, rgba }: Picture): [number, number, number] {
  const list: [number, number, number][] = [];
  const take = (x: number, y: number): void => {
    const i = 4 * (y * width + x);
    if (rgba[i + 3]! > 0) list.push([rgba[i]!, rgba[i + 1]!, rgba[i + 2]!]);
  };
  for (let x = 0; x < width; x++) [0, height - 1].forEach((y) => take(x, y));
  for (let y = 1; y < height - 1; y++) [0, width - 1].forEach((x) => take(x, y));
  const middle = (c: 0 | 1 | 2): number => list.map((p) => p[c]).sort((a, b) => a - b)[list.length >> 1] ?? 255;
  return [middle(0), middle(1), middle(2)];
}

/** 1 where the border reaches over pixels that pass. */
function flooded(values: Float32Array, width: number, height: number, passes: (v: number) => boolean): Uint8Array {
  const out = new Uint8Array(values.length);
  const queue = new Int32Array(values.length);
  let [head, tail] = [0, 0];
  const visit = (i: number): void => {
    if (out[i] === 0 && passes(values[i]!)) {
      out[i] = 1;
      queue[tail++] = i;
    }
  };
  for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(visit);
  for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(visit);
  while (head < tail) {
    const i = queue[head++]!;
    const x = i % width;
    if (x > 0) visit(i - 1);
    if (x < width - 1) visit(i + 1);
    if (i >= width) visit(i - width);
    if (i < values.length - width) visit(i + width);
  }
  return out;
}

function touches(mask: Uint8Array, i: number, width: number, height: number): boolean {
  const [x, y] = [i % width, Math.floor(i / width)];
  for (let dy = -1; dy <= 1; dy++)
    for (let dx = -1; dx <= 1; dx++) {
      const [px, py] = [x + dx, y + dy];
      if (px >= 0 && py >= 0 && px < width && py < height && mask[py * width + px] === 1) return true;
    }
  return false;
}

/** Pixels of which a mean colour is taken, at most. */
const COLOUR_SAMPLE = 200_000;

/** Mean colour where a field is sure. */
function colourWhere({ rgba }: Picture, field: Float32Array): string {
  let [r, g, b, count] = [0, 0, 0, 0];
  // A step that no picture's width is a multiple of, so that the sample does not stand in columns.
  const step = Math.max(1, Math.floor(field.length / COLOUR_SAMPLE)) | 1;
  for (let i = 0; i < field.length; i += step)
    if (field[i]! > 0.7) {
      r += rgba[4 * i]!;
      g += rgba[4 * i + 1]!;
      b += rgba[4 * i + 2]!;
      count += 1;
    }
  const n = Math.max(1, count);
  return hex([r / n, g / n, b / n]);
}

const hex = ([r, g, b]: readonly [number, number, number]): string =>
  formatHex({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });

/** Fields of the main colours, each 1 where a pixel is nearest to it. */
function byColour(picture: Picture, wish: TraceWish): { colour: string; field: Float32Array }[] {
  const { width, height, rgba } = picture;
  const ground = wish.dropGround ? borderColour(picture) : null;
  const { centres, labels } = coloursOf(picture, wish.colours, ground);
  settle(labels, width, height);
  const left = ground ? nearestColour(centres, ground, 0) : -2;
  return centres.flatMap((centre, k) => {
    if (k === left) return [];
    const field = new Float32Array(labels.length);
    for (let i = 0; i < field.length; i++) field[i] = labels[i] === k ? 1 : 0;
    soften(field, k, { labels, centres, rgba, width, height });
    return [{ colour: hex(centre), field }];
  });
}

/**
 * Along an edge, the share of a colour that a pixel holds instead of all or nothing, so that the outline runs between
 * the pixels: on the line from one colour to the other it is where the pixel's colour lies.
 */
function soften(
  field: Float32Array,
  k: number,
  at: {
    readonly labels: Int8Array;
    readonly centres: readonly Rgb[];
    readonly rgba: ArrayLike<number>;
    readonly width: number;
    readonly height: number;
  },
): void {
  const { labels, centres, rgba, width, height } = at;
  const own = centres[k]!;
  const away = (i: number, [r, g, b]: Rgb): number =>
    Math.hypot(rgba[4 * i]! - r, rgba[4 * i + 1]! - g, rgba[4 * i + 2]! - b);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      let mine = false;
      let least = Infinity;
      let other: Rgb | null = null;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const label = labels[i + dy * width + dx]!;
          if (label === k) mine = true;
          else if (label >= 0) {
            const d = away(i, centres[label]!);
            if (d < least) [least, other] = [d, centres[label]!];
          }
        }
      if (!mine || !other) continue;
      const between = Math.hypot(own[0] - other[0], own[1] - other[1], own[2] - other[2]);
      if (between > 1) field[i] = clamp(0.5 + (least - away(i, own)) / (2 * between));
    }
}

/** Gives single pixels to what is round them: the blends along an edge would otherwise be slivers of a third colour. */
function settle(labels: Int8Array, width: number, height: number): void {
  for (let pass = 0; pass < 2; pass++) {
    const before = labels.slice();
    for (let y = 1; y < height - 1; y++)
      for (let x = 1; x < width - 1; x++) {
        const i = y * width + x;
        const counts = new Map<number, number>();
        for (let dy = -1; dy <= 1; dy++)
          for (let dx = -1; dx <= 1; dx++) {
            const label = before[i + dy * width + dx]!;
            counts.set(label, (counts.get(label) ?? 0) + 1);
          }
        if (counts.size === 1 || (counts.get(before[i]!) ?? 0) >= 4) continue;
        labels[i] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
      }
  }
}

/** px along the edge of the tiles in which a field is evened out. */
const TILE = 32;

/**
 * The field evened out by a bell of some width, px. Most of a drawing is plain ground or plain film, where there is nothing
 * to even out: it is worked through in tiles, and those that are plain for as far as the bell reaches are copied.
 */
function blurred(field: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma < 0.05) return field;
  const reach = Math.min(12, Math.ceil(3 * sigma));
  const bell = Float64Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-((k - reach) ** 2) / (2 * sigma * sigma)),
  );
  const total = bell.reduce((a, b) => a + b, 0);
  for (let k = 0; k < bell.length; k++) bell[k]! /= total;
  const out = new Float32Array(field.length);
  const along = new Float64Array((TILE + 2 * reach) ** 2);
  const near = new Float64Array((TILE + 2 * reach) ** 2);
  const held = (v: number, size: number): number => (v < 0 ? 0 : v >= size ? size - 1 : v);
  for (let y0 = 0; y0 < height; y0 += TILE)
    for (let x0 = 0; x0 < width; x0 += TILE) {
      const [x1, y1] = [Math.min(width, x0 + TILE), Math.min(height, y0 + TILE)];
      const plain = plainValue(field, width, {
        x: [held(x0 - reach, width), held(x1 + reach - 1, width)],
        y: [held(y0 - reach, height), held(y1 + reach - 1, height)],
      });
      if (plain !== null) {
        for (let y = y0; y < y1; y++) out.fill(plain, y * width + x0, y * width + x1);
        continue;
      }
      // Copied with its surroundings first, so that the bell never looks past an edge.
      const [w, h] = [x1 - x0 + 2 * reach, y1 - y0 + 2 * reach];
      for (let r = 0; r < h; r++) {
        const row = held(y0 - reach + r, height) * width;
        for (let c = 0; c < w; c++) near[r * w + c] = field[row + held(x0 - reach + c, width)]!;
      }
      evenOut(near, w, h, bell, along);
      for (let y = y0; y < y1; y++)
        for (let x = x0; x < x1; x++) out[y * width + x] = near[(y - y0 + reach) * w + x - x0 + reach]!;
    }
  return out;
}

/** Evens out the middle of a small field, by rows and then by columns; what is nearer to its edge than the bell is stays rough. */
function evenOut(near: Float64Array, w: number, h: number, bell: Float64Array, along: Float64Array): void {
  const reach = (bell.length - 1) / 2;
  for (let r = 0; r < h; r++)
    for (let i = r * w + reach, end = r * w + w - reach; i < end; i++) {
      let sum = 0;
      for (let k = 0, at = i - reach; k < bell.length; k++, at++) sum += bell[k]! * near[at]!;
      along[i] = sum;
    }
  for (let r = reach; r < h - reach; r++)
    for (let i = r * w + reach, end = r * w + w - reach; i < end; i++) {
      let sum = 0;
      for (let k = 0, at = i - reach * w; k < bell.length; k++, at += w) sum += bell[k]! * along[at]!;
      near[i] = sum;
    }
}

/** The value of a field all over a rectangle, ends included; null where it is not the same. */
function plainValue(
  field: Float32Array,
  width: number,
  { x, y }: { readonly x: readonly [number, number]; readonly y: readonly [number, number] },
): number | null {
  const value = field[y[0] * width + x[0]]!;
  for (let row = y[0]; row <= y[1]; row++)
    for (let i = row * width + x[0], end = row * width + x[1]; i <= end; i++) if (field[i] !== value) return null;
  return value;
}

/** Outlines of a field at one half, px, y down; outer ones clockwise there, so that they turn right once y is up. */
function outlinesOf(field: Float32Array, width: number, height: number, speckPx2: number): Ring[] {
  const found = contours()
    .size([width, height])
    .smooth(true)
    .contour(field as unknown as number[], 0.5);
  const rings: Ring[] = [];
  for (const polygon of found.coordinates)
    polygon.forEach((points, k) => {
      const raw = Float64Array.from(points.slice(0, -1).flat());
      if (raw.length < 6 || Math.abs(ringArea(raw)) < Math.max(speckPx2, 1)) return;
      const ring = flattenPath(fitRing(sharpened(raw), FIT_PX), 0.05);
      // Outer rings counter-clockwise with y up is clockwise with y down, and the other way round for holes.
      const outwards = ringArea(ring) < 0;
      rings.push(outwards === (k === 0) ? ring : reverseRing(ring));
    });
  return rings;
}

/** Points looked at on each side of a corner, from and to, about a pixel apart: the sharper it is, the more of it is rounded. */
const WINDOWS = [
  [2, 5],
  [3, 7],
  [4, 9],
] as const;
const WIDEST = 9;
/** Points to either side whose chords tell whether there may be a corner. */
const SPAN = 4;
/** Sharpest turn that is no corner, and what the raster cuts off a right-angled one, px; sharper ones lose more. */
const [LEAST_CORNER, TIP_CUT] = [0.6, 0.55];

interface Corner {
  readonly turn: number;
  readonly tip: readonly [number, number];
  /** Points on each side that the raster has rounded. */
  readonly rounded: number;
}

/**
 * Puts corners back that the raster has cut off: where two straight runs meet within a few points, they are drawn on to
 * where they cross.
 */
function sharpened(ring: Ring): Ring {
  const n = ring.length / 2;
  if (n < 4 * WIDEST) return ring;
  const corners = Array.from({ length: n }, (_, i) => cornerAt(ring, i));
  const out: number[] = [];
  const skip = new Uint8Array(n);
  const tips = new Map<number, readonly [number, number]>();
  corners.forEach((corner, i) => {
    if (!corner) return;
    for (let k = -WINDOWS[0][1]; k <= WINDOWS[0][1]; k++) {
      const other = corners[(i + k + n) % n];
      if (other && (other.turn > corner.turn || (other.turn === corner.turn && k < 0))) return;
    }
    tips.set(i, corner.tip);
    for (let k = -corner.rounded; k <= corner.rounded; k++) if (k !== 0) skip[(i + k + n) % n] = 1;
  });
  for (let i = 0; i < n; i++) {
    const tip = tips.get(i);
    if (tip) out.push(...tip);
    else if (skip[i] === 0) out.push(ring[2 * i]!, ring[2 * i + 1]!);
  }
  return Float64Array.from(out);
}

/** The corner at a point of a ring, as the straightest runs beside it have it; null where there is none. */
function cornerAt(ring: Ring, i: number): Corner | null {
  if (bend(ring, i) < LEAST_CORNER / 2) return null;
  let best: Corner | null = null;
  for (const [from, to] of WINDOWS) {
    const before = lineThrough(ring, i, -to, -from);
    const after = before && lineThrough(ring, i, from, to);
    if (!before || !after) continue;
    const cross = before.ux * after.uy - before.uy * after.ux;
    const turn = Math.abs(Math.atan2(cross, before.ux * after.ux + before.uy * after.uy));
    if (turn < LEAST_CORNER || Math.abs(cross) < 0.1 || (best && turn < best.turn + 0.05)) continue;
    const t = ((after.x - before.x) * after.uy - (after.y - before.y) * after.ux) / cross;
    const tip = [before.x + t * before.ux, before.y + t * before.uy] as const;
    if (Math.hypot(tip[0] - ring[2 * i]!, tip[1] - ring[2 * i + 1]!) > TIP_CUT / Math.cos(turn / 2)) continue;
    best = { turn, tip, rounded: from - 1 };
  }
  return best;
}

/** How far the chords to the points beside one turn, rad: quickly told, and little where there is no corner. */
function bend(ring: Ring, i: number): number {
  const n = ring.length / 2;
  const [a, b] = [(i - SPAN + n) % n, (i + SPAN) % n];
  const [x, y] = [ring[2 * i]!, ring[2 * i + 1]!];
  const [ux, uy, vx, vy] = [x - ring[2 * a]!, y - ring[2 * a + 1]!, ring[2 * b]! - x, ring[2 * b + 1]! - y];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}

/** The line through some points beside one of a ring, by least squares; null where they do not lie straight. */
function lineThrough(
  ring: Ring,
  i: number,
  from: number,
  to: number,
): { x: number; y: number; ux: number; uy: number } | null {
  const n = ring.length / 2;
  const count = to - from + 1;
  let [x, y, xx, xy, yy] = [0, 0, 0, 0, 0];
  const at = (k: number): [number, number] => {
    const j = (i + k + n) % n;
    return [ring[2 * j]!, ring[2 * j + 1]!];
  };
  for (let k = from; k <= to; k++) {
    const [px, py] = at(k);
    x += px / count;
    y += py / count;
  }
  for (let k = from; k <= to; k++) {
    const [px, py] = at(k);
    xx += (px - x) ** 2;
    xy += (px - x) * (py - y);
    yy += (py - y) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  let [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const [first, last] = [at(from), at(to)];
  if ((last[0] - first[0]) * ux + (last[1] - first[1]) * uy < 0) [ux, uy] = [-ux, -uy];
  const off = (xx + yy - Math.hypot(xx - yy, 2 * xy)) / 2;
  return off / count > 0.02 ? null : { x, y, ux, uy };
}
