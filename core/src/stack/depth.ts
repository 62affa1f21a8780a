import { boxesTouch, boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import { intersectRings } from '../polygon/boolean.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';

/** All film of one colour, as it lies on the side. */
export interface Layer {
  readonly film: string;
  readonly thicknessMm: number;
  /** Clean film: outer rings counter-clockwise, holes clockwise, mm. */
  readonly rings: readonly Ring[];
}

/** The place where the film is thickest. */
export interface Deepest {
  /** Films that lie on each other there, from the blank outwards. */
  readonly films: readonly string[];
  readonly thicknessMm: number;
  /** A spot of it, mm. */
  readonly x: number;
  readonly y: number;
  readonly areaMm2: number;
}

/** mm². Less is where edges meet, not where film lies on film. */
const LEAST_MM2 = 0.5;
/** Combinations of films that are followed at once, the thickest. */
const MOST_STACKS = 200;

/**
 * The deepest place of a stack, by laying every film over all that lies below it.
 *
 * @param layers from the blank outwards
 * @returns null without film
 */
export function deepestOf(layers: readonly Layer[]): Deepest | null {
  let stacks: { films: readonly number[]; thickness: number; regions: readonly Polygon[] }[] = [];
  layers.forEach(({ rings, thicknessMm }, i) => {
    if (rings.length === 0) return;
    const box = rings.reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
    const over = stacks.flatMap((stack) => {
      const near = stack.regions.filter(({ outer }) => boxesTouch(boxOfCoordinates(outer), box));
      const regions = near.length === 0 ? [] : intersectRings(near.flatMap(ringsOf), rings).filter((p) => polygonArea(p) >= LEAST_MM2); // prettier-ignore
      return regions.length > 0
        ? [{ films: [...stack.films, i], thickness: stack.thickness + thicknessMm, regions }]
        : [];
    });
    const alone = { films: [i], thickness: thicknessMm, regions: intersectRings(rings, rings) };
    stacks = [...stacks, ...over, alone]
      .sort((a, b) => b.thickness - a.thickness || b.films.length - a.films.length)
      .slice(0, MOST_STACKS);
  });
  const [deepest] = stacks;
  if (!deepest) return null;
  const region = deepest.regions.reduce((a, b) => (polygonArea(b) > polygonArea(a) ? b : a));
  const films = deepest.films.map((i) => layers[i]!.film);
  const areaMm2 = deepest.regions.reduce((sum, p) => sum + polygonArea(p), 0);
  return { films, thicknessMm: deepest.thickness, ...spotInside(region), areaMm2 };
}

/** Where a straight line across the stack meets each film, at some height of the side. */
export interface SectionLayer {
  readonly film: string;
  readonly thicknessMm: number;
  /** From–to along the line, mm. */
  readonly spans: readonly (readonly [number, number])[];
}

/**
 * A section through the stack along a line round the side.
 *
 * @param layers from the blank outwards
 * @param y height of the line, mm
 */
export const sectionOf = (layers: readonly Layer[], y: number): SectionLayer[] =>
  layers.map(({ film, thicknessMm, rings }) => ({ film, thicknessMm, spans: spansAt(rings, y) }));

/** Heights that are looked at for the one at which most films are met. */
const HEIGHTS = 60;

/** The height at which a line round the side meets most films. */
export function tellingHeight(layers: readonly Layer[]): number {
  const { minY, maxY } = layers.flatMap(({ rings }) => rings).reduce((box, ring) => boxOfCoordinates(ring, box), EMPTY_BOX); // prettier-ignore
  let best = { y: (minY + maxY) / 2, films: -1 };
  for (let k = 1; k < HEIGHTS; k++) {
    const y = minY + ((maxY - minY) * k) / HEIGHTS + 1e-7;
    const films = sectionOf(layers, y).filter(({ spans }) => spans.length > 0).length;
    if (films > best.films) best = { y, films };
  }
  return best.y;
}

/** What of a horizontal line lies inside of clean rings. */
function spansAt(rings: readonly Ring[], y: number): [number, number][] {
  // A film is the sum of its pieces, which may lap: what is covered by any of them counts.
  const crossings: { x: number; in: number }[] = [];
  for (const ring of rings)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      if (ay > y === by > y) continue;
      crossings.push({ x: ax + ((bx - ax) * (y - ay)) / (by - ay), in: ay > y ? 1 : -1 });
    }
  crossings.sort((a, b) => a.x - b.x);
  const spans: [number, number][] = [];
  let depth = 0;
  for (const { x, in: step } of crossings) {
    if (depth === 0) spans.push([x, x]);
    depth += step;
    if (depth === 0) spans.at(-1)![1] = x;
  }
  return spans.filter(([a, b]) => b - a > 1e-6);
}

/** A spot well inside a shape: the middle of the widest stretch on a few lines across it. */
function spotInside(polygon: Polygon): { x: number; y: number } {
  const { minY, maxY } = boxOfCoordinates(polygon.outer);
  let best = { x: polygon.outer[0]!, y: polygon.outer[1]!, wide: -1 };
  for (let k = 1; k < 12; k++) {
    const y = minY + ((maxY - minY) * k) / 12 + 1e-7;
    for (const [a, b] of spansAt(ringsOf(polygon), y)) if (b - a > best.wide) best = { x: (a + b) / 2, y, wide: b - a };
  }
  return { x: best.x, y: best.y };
}
