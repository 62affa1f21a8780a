import { OFF_CORNERS_MM } from '../numeric/tolerances.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import { boxOfRings } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';

/** Something that is drawn: clean film in the working plane of the side, mm. What comes later is drawn over what came before. */
export interface DrawnFilm {
  /** Which item it is of, and which of its groups. */
  readonly itemId: string;
  readonly group: number;
  /** Its film; where that stands at several levels, the layer; see `layerOf`. */
  readonly layer: string;
  readonly rings: readonly Ring[];
}

/** How much of what is drawn lies on what, mm². */
export interface DrawnOverlaps {
  /** mm² of each thing that is drawn, by its place in the list. */
  readonly areas: Float64Array;
  /** Pairs that share area: the later one lies over the earlier one in the picture. */
  readonly pairs: readonly { readonly lower: number; readonly upper: number; readonly areaMm2: number }[];
}

/** mm between the lines along which overlaps are measured, and how many there may be. */
const [LINE_MM, MOST_LINES] = [0.3, 1500];
/** mm. Narrower overlaps are edges that meet. */
const LEAST_MM = 0.02;

/**
 * Measures which things lie on which, along lines close to each other: exactly along each, to a third of a millimetre across.
 *
 * @param drawn in the order in which they are drawn
 */
export function overlapsOf(drawn: readonly DrawnFilm[]): DrawnOverlaps {
  const areas = new Float64Array(drawn.length);
  const shared = new Map<number, number>();
  const boxes = drawn.map(({ rings }) => boxOfRings(rings));
  const [low, high] = boxes.reduce(
    ([from, to], box) => [Math.min(from, box.minY), Math.max(to, box.maxY)],
    [Infinity, -Infinity],
  );
  if (!(high > low)) return { areas, pairs: [] };
  const lines = Math.min(MOST_LINES, Math.max(1, Math.ceil((high - low) / LINE_MM)));
  const pitch = (high - low) / lines;
  /** Crossings line by line: x, which thing, and whether film begins or ends there. */
  const events: { x: number; of: number; step: 1 | -1 }[][] = Array.from({ length: lines }, () => []);
  drawn.forEach(({ rings }, of) => {
    for (const ring of rings)
      for (let i = 0, n = ring.length; i < n; i += 2) {
        const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
        const from = Math.max(0, Math.ceil((Math.min(ay, by) - low) / pitch - 0.5 - EPSILON));
        const to = Math.min(lines - 1, Math.floor((Math.max(ay, by) - low) / pitch - 0.5 + EPSILON));
        for (let k = from; k <= to; k++) {
          const y = low + (k + 0.5) * pitch + OFF_CORNERS_MM;
          if (ay > y !== by > y)
            events[k]!.push({ x: ax + ((bx - ax) * (y - ay)) / (by - ay), of, step: ay > y ? 1 : -1 });
        }
      }
  });
  const depth = new Int32Array(drawn.length);
  for (const line of events) {
    line.sort((a, b) => a.x - b.x);
    const lying: number[] = [];
    line.forEach(({ x, of, step }, i) => {
      const before = depth[of]!;
      depth[of] = before + step;
      if (before === 0) lying.push(of);
      else if (before + step === 0) lying.splice(lying.indexOf(of), 1);
      const wide = (line[i + 1]?.x ?? x) - x;
      if (wide <= 0) return;
      for (const one of lying) areas[one]! += wide * pitch;
      if (lying.length < 2 || wide < LEAST_MM) return;
      for (let a = 0; a < lying.length; a++)
        for (let b = a + 1; b < lying.length; b++) {
          const [lower, upper] = lying[a]! < lying[b]! ? [lying[a]!, lying[b]!] : [lying[b]!, lying[a]!];
          const key = lower * drawn.length + upper;
          shared.set(key, (shared.get(key) ?? 0) + wide * pitch);
        }
    });
    for (const { of } of line) depth[of] = 0;
  }
  const pairs = [...shared].map(([key, areaMm2]) => ({
    lower: Math.floor(key / drawn.length),
    upper: key % drawn.length,
    areaMm2,
  }));
  return { areas, pairs };
}

/** mm². Less of an overlap than this asks for no order. */
export const LEAST_OVERLAP_MM2 = 0.5;

/** Films in the order that the picture asks for, and where it asks for two at once. */
export interface DrawnOrder {
  /** From the blank outwards. */
  readonly films: readonly string[];
  /** Pairs of films of which each lies over the other somewhere, or that stand in a circle: one of them is needed twice. */
  readonly twice: readonly (readonly [film: string, other: string])[];
}

/**
 * Orders films so that what is drawn over lies over: by how much of each lies on each. Films that do not meet keep the order
 * in which they are first used.
 *
 * @param drawn in the order in which they are drawn
 * @param overlaps of these
 */
export function orderByDrawing(drawn: readonly DrawnFilm[], { pairs }: DrawnOverlaps): DrawnOrder {
  const films = [...new Set(drawn.map(({ layer }) => layer))];
  const over = new Map<string, number>();
  for (const { lower, upper, areaMm2 } of pairs) {
    const [below, above] = [drawn[lower]!.layer, drawn[upper]!.layer];
    if (below === above) continue;
    const key = JSON.stringify([below, above]);
    over.set(key, (over.get(key) ?? 0) + areaMm2);
  }
  const asked = (below: string, above: string): number => over.get(JSON.stringify([below, above])) ?? 0;
  const twice: [string, string][] = [];
  const edges: { below: string; above: string; weight: number }[] = [];
  films.forEach((a, i) =>
    films.slice(i + 1).forEach((b) => {
      const [up, down] = [asked(a, b), asked(b, a)];
      if (up > LEAST_OVERLAP_MM2 && down > LEAST_OVERLAP_MM2) twice.push([a, b]);
      if (Math.max(up, down) > LEAST_OVERLAP_MM2)
        edges.push(up >= down ? { below: a, above: b, weight: up - down } : { below: b, above: a, weight: down - up });
    }),
  );
  // The weightiest first; one that would close a circle is left, and told.
  edges.sort((a, b) => b.weight - a.weight);
  const above = new Map<string, Set<string>>(films.map((film) => [film, new Set<string>()]));
  const reaches = (from: string, to: string): boolean =>
    from === to || [...above.get(from)!].some((next) => reaches(next, to));
  for (const edge of edges) {
    if (reaches(edge.above, edge.below)) {
      if (!twice.some(([a, b]) => [a, b].includes(edge.below) && [a, b].includes(edge.above)))
        twice.push([edge.below, edge.above]);
    } else above.get(edge.below)!.add(edge.above);
  }
  const order: string[] = [];
  const left = new Set(films);
  while (left.size > 0) {
    // The one used first of those with nothing left that has to lie below.
    const next = [...left].find((film) => ![...left].some((other) => other !== film && above.get(other)!.has(film)))!;
    order.push(next);
    left.delete(next);
  }
  return { films: order, twice };
}
