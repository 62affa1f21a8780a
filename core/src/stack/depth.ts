import { OFF_CORNERS_MM } from '../numeric/tolerances.ts';
import { EPSILON, EPSILON_MM } from '../numeric/tolerances.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';

/** All film of one layer, as it lies on the side. */
export interface Layer {
  readonly layer: string;
  readonly thicknessMm: number;
  /** Clean film: outer rings counter-clockwise, holes clockwise, mm. */
  readonly rings: readonly Ring[];
}

/** The place where the film is thickest. */
export interface Deepest {
  /** Layers that lie on each other there, from the blank outwards. */
  readonly layers: readonly string[];
  readonly thicknessMm: number;
  /** A spot of it, mm. */
  readonly x: number;
  readonly y: number;
  /** How far these films lie on each other, about. */
  readonly areaMm2: number;
}

interface Best {
  readonly key: string;
  readonly films: readonly number[];
  readonly thickness: number;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}

/** mm between the lines that a stack is looked at along. */
const LINE_MM = 0.25;
/** mm. Narrower is where edges meet, not where film lies on film. */
const LEAST_MM = 0.1;

/** From–to along a line, mm. */
type Span = readonly [number, number];

/**
 * The deepest place of a stack, found along lines close to each other: exactly along each, to a quarter of a millimetre
 * across.
 *
 * @param layers from the blank outwards
 * @returns null without film
 */
export function deepestOf(layers: readonly Layer[]): Deepest | null {
  let best = null as Best | null;
  const areas = new Map<string, number>();
  for (const { y, spans } of linesAcross(layers))
    for (const { from, to, films } of piecesOfLine(spans)) {
      if (to - from < LEAST_MM) continue;
      const thickness = films.reduce((sum, i) => sum + layers[i]!.thicknessMm, 0);
      const key = films.join();
      areas.set(key, (areas.get(key) ?? 0) + (to - from) * LINE_MM);
      const more = best === null ? 1 : thickness - best.thickness || films.length - best.films.length;
      if (more > EPSILON || (more > -EPSILON && key === best?.key && to - from > best.wide))
        best = { key, films, thickness, x: (from + to) / 2, y, wide: to - from };
    }
  if (!best) return null;
  const { films, thickness, x, y, key } = best;
  return { layers: films.map((i) => layers[i]!.layer), thicknessMm: thickness, x, y, areaMm2: areas.get(key)! };
}

/** Where a straight line across the stack meets each film, at some height of the side. */
export interface SectionLayer {
  readonly layer: string;
  readonly thicknessMm: number;
  /** From–to along the line, mm. */
  readonly spans: readonly Span[];
}

/**
 * A section through the stack along a line round the side.
 *
 * @param layers from the blank outwards
 * @param y height of the line, mm
 */
export const sectionOf = (layers: readonly Layer[], y: number): SectionLayer[] =>
  layers.map(({ layer, thicknessMm, rings }) => ({ layer, thicknessMm, spans: spansOf(crossingsAt(rings, [y])[0]!) }));

/** The height at which a line round the side meets most films, and of those the one at which it meets most of them. */
export function tellingHeight(layers: readonly Layer[]): number {
  let best = { y: 0, worth: -1 };
  for (const { y, spans } of linesAcross(layers)) {
    const films = spans.filter((own) => own.length > 0).length;
    const long = Math.min(
      ...spans.filter((own) => own.length > 0).map((own) => own.reduce((s, [a, b]) => s + b - a, 0)),
    );
    const worth = films === 0 ? -1 : 1e6 * films + long;
    if (worth > best.worth) best = { y, worth };
  }
  return best.y;
}

/** Lines round the side, each with where it meets every layer. */
function linesAcross(layers: readonly Layer[]): { y: number; spans: Span[][] }[] {
  const { minY, maxY } = layers.flatMap(({ rings }) => rings).reduce((box, ring) => boxOfCoordinates(ring, box), EMPTY_BOX); // prettier-ignore
  if (!(maxY > minY)) return [];
  // Half a line in from the edges, and a hair off whole numbers, where corners lie.
  const count = Math.max(1, Math.floor((maxY - minY) / LINE_MM));
  const ys = Array.from({ length: count }, (_, i) => minY + ((i + 0.5) * (maxY - minY)) / count + OFF_CORNERS_MM);
  const perLayer = layers.map(({ rings }) => crossingsAt(rings, ys));
  return ys.map((y, k) => ({ y, spans: perLayer.map((lines) => spansOf(lines[k]!)) }));
}

interface Crossing {
  readonly x: number;
  /** +1 where film begins by this edge, −1 where it ends. */
  readonly step: number;
}

/** Where edges cross horizontal lines. */
function crossingsAt(rings: readonly Ring[], ys: readonly number[]): Crossing[][] {
  const out: Crossing[][] = ys.map(() => []);
  const [first, pitch] = [ys[0]!, ys.length > 1 ? ys[1]! - ys[0]! : 1];
  for (const ring of rings)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      const from = Math.max(0, Math.ceil((Math.min(ay, by) - first) / pitch - EPSILON));
      const to = Math.min(ys.length - 1, Math.floor((Math.max(ay, by) - first) / pitch + EPSILON));
      for (let k = from; k <= to; k++) {
        const y = ys[k]!;
        if (ay > y !== by > y) out[k]!.push({ x: ax + ((bx - ax) * (y - ay)) / (by - ay), step: ay > y ? 1 : -1 });
      }
    }
  return out;
}

/** What of a line is film: pieces of one film may lap, and what is covered by any of them counts. */
function spansOf(crossings: Crossing[]): Span[] {
  crossings.sort((a, b) => a.x - b.x);
  const spans: [number, number][] = [];
  let depth = 0;
  for (const { x, step } of crossings) {
    if (depth === 0) spans.push([x, x]);
    depth += step;
    if (depth === 0) spans.at(-1)![1] = x;
  }
  return spans.filter(([a, b]) => b - a > EPSILON_MM);
}

/** A line cut where any film begins or ends, each piece with the films that lie there. */
function piecesOfLine(spans: readonly (readonly Span[])[]): { from: number; to: number; films: number[] }[] {
  const events = spans.flatMap((own, film) => own.flatMap(([a, b]) => [{ x: a, film, on: true }, { x: b, film, on: false }])); // prettier-ignore
  events.sort((a, b) => a.x - b.x);
  const out: { from: number; to: number; films: number[] }[] = [];
  const lying = new Set<number>();
  events.forEach(({ x, film, on }, i) => {
    if (on) lying.add(film);
    else lying.delete(film);
    const to = events[i + 1]?.x ?? x;
    if (to > x && lying.size > 0) out.push({ from: x, to, films: [...lying].sort((a, b) => a - b) });
  });
  return out;
}
