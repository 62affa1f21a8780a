import type { Box } from '../../plane/box.ts';
import { boxHeight, boxOfRings, boxWidth, EMPTY_BOX, joinBoxes } from '../../plane/box.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { cellShape, cellWithin } from '../../raster/cells.ts';

/** mm. Side of a registration mark, and how far it keeps from all film. */
export const [MARK_MM, MARK_CLEAR_MM] = [6, 2];
/** mm between places that are looked at. */
const STEP_MM = 2;
/** Share of the longest side of the design that marks are apart at least, so that they also hold its turn. */
const APART_SHARE = 0.45;
/** Places that are compared with each other, the cheapest. */
const MOST_PLACES = 160;

/** Film of one layer on the flat that is marked. */
export interface MarkedLayer {
  readonly layer: string;
  /** Box round its pieces, mm. */
  readonly box: Box;
}

/** Squares that are cut beside every layer, at the same two places; on the rim edge a third stands between them. */
export interface Marks {
  /** Lower left corners, mm. */
  readonly at: readonly (readonly [number, number])[];
  /** mm² that strips of film grow by, layer by layer, as boxes. */
  readonly extra: { readonly [layer: string]: number };
}

/**
 * Places two marks where they cost the layers least film together, clear of everything that is kept free.
 *
 * A layer's strip is as large as the box round its pieces and marks: a notch that every layer has costs nothing, a place
 * beside them all the width of a mark for each.
 *
 * @param layers that are marked
 * @param keepFree all film, and the outline of the wrap where marks have to be outside of it, mm
 * @param along places are only looked for whose middle lies near this line, if given: ticks on the rim edge
 * @returns null when there is no layer
 */
export function placeMarks(
  layers: readonly MarkedLayer[],
  keepFree: readonly Ring[],
  along: { readonly y: (x: number) => number | null } | null = null,
): Marks | null {
  if (layers.length === 0) return null;
  const all = layers.reduce((box, layer) => joinBoxes(box, layer.box), EMPTY_BOX);
  const reach = joinBoxes(all, boxOfRings(keepFree));
  const free = freeSpots(keepFree, reach);
  const cost = (marks: readonly (readonly [number, number])[]): number =>
    layers.reduce((sum, { box }) => sum + growth(box, marks), 0);
  const places: (readonly [number, number])[] = [];
  const margin = MARK_MM + MARK_CLEAR_MM + STEP_MM;
  // Places are lower left corners: beside the film on the right and above it as well as on the left and below.
  for (let x = reach.minX - margin; x <= reach.maxX + margin; x += STEP_MM) {
    if (along) {
      const y = along.y(x + MARK_MM / 2);
      if (y !== null && free(x, y)) places.push([x, y]);
      continue;
    }
    for (let y = reach.minY - margin; y <= reach.maxY + margin; y += STEP_MM) if (free(x, y)) places.push([x, y]);
  }
  const cheap = spread(places, cost);
  const apart = APART_SHARE * Math.max(boxWidth(all), boxHeight(all), 3 * MARK_MM);
  let best: { at: Marks['at']; key: number } | null = null;
  for (let i = 0; i < cheap.length; i++)
    for (let k = i + 1; k < cheap.length; k++) {
      const far = Math.hypot(cheap[i]![0] - cheap[k]![0], cheap[i]![1] - cheap[k]![1]);
      if (far < apart) continue;
      // Of places that cost the same, those further apart hold better.
      const key = cost([cheap[i]!, cheap[k]!]) - 0.01 * far;
      if (!best || key < best.key) best = { at: [cheap[i]!, cheap[k]!], key };
    }
  if (!best) return null;
  // On the rim edge one stands at the middle of the design as well, to put in line with the front.
  const middle = (all.minX + all.maxX - MARK_MM) / 2;
  const centre = along?.y(middle + MARK_MM / 2) ?? null;
  const at = centre !== null && free(middle, centre) ? [...best.at, [middle, centre] as const] : best.at;
  return { at, extra: Object.fromEntries(layers.map(({ layer, box }) => [layer, growth(box, at)])) };
}

/** mm² that a box grows by when marks are to lie in it. */
function growth(box: Box, marks: readonly (readonly [number, number])[]): number {
  const grown = marks.reduce(
    (b, [x, y]) => joinBoxes(b, { minX: x, minY: y, maxX: x + MARK_MM, maxY: y + MARK_MM }),
    box,
  );
  return boxWidth(grown) * boxHeight(grown) - boxWidth(box) * boxHeight(box);
}

/** The cheapest places, but of every part of the design some: the cheapest pair may be of two that lie far apart. */
function spread(
  places: readonly (readonly [number, number])[],
  cost: (marks: [readonly [number, number]]) => number,
): (readonly [number, number])[] {
  const sorted = places.map((place) => ({ place, cost: cost([place]) })).sort((a, b) => a.cost - b.cost);
  const cell = 12;
  const seen = new Set<string>();
  const out: (readonly [number, number])[] = [];
  for (const { place } of sorted) {
    const key = `${Math.floor(place[0] / cell)} ${Math.floor(place[1] / cell)}`;
    if (seen.has(key)) continue;
    seen.add(key);
    out.push(place);
    if (out.length >= MOST_PLACES) break;
  }
  return out;
}

/** Whether a mark with its clearance fits at a place without touching any film; what lies inside a ring is no such place. */
function freeSpots(keepFree: readonly Ring[], reach: Box): (x: number, y: number) => boolean {
  const cell = cellWithin(reach, 1);
  const [columns, rows] = [Math.ceil(boxWidth(reach) / cell) + 2, Math.ceil(boxHeight(reach) / cell) + 2];
  const taken = new Uint8Array(columns * rows);
  // Each by itself: film on film is film.
  for (const ring of keepFree) {
    const shape = cellShape([ring], cell);
    const [x0, y0] = [Math.floor((shape.fromX - reach.minX) / cell), Math.floor((shape.fromY - reach.minY) / cell)];
    for (let c = 0; c < shape.columns; c++)
      for (let k = shape.byColumn[c]!; k < shape.byColumn[c + 1]!; k++)
        // A cell of its own grid lies in two of this one.
        for (const column of [x0 + c, x0 + c + 1])
          taken.fill(1, column * rows + y0 + shape.spans[2 * k]!, column * rows + y0 + shape.spans[2 * k + 1]! + 1);
  }
  const wide = (MARK_MM + 2 * MARK_CLEAR_MM) / cell;
  return (x, y) => {
    const [left, low] = [(x - MARK_CLEAR_MM - reach.minX) / cell, (y - MARK_CLEAR_MM - reach.minY) / cell];
    for (let c = Math.max(0, Math.floor(left)); c < Math.min(columns, Math.ceil(left + wide)); c++)
      for (let r = Math.max(0, Math.floor(low)); r < Math.min(rows, Math.ceil(low + wide)); r++)
        if (taken[c * rows + r]) return false;
    return true;
  };
}
