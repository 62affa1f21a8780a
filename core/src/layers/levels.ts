import { layerOf } from './layer.ts';
import type { DrawnFilm, DrawnOverlaps } from './overlaps.ts';
import { LEAST_OVERLAP_MM2 } from './overlaps.ts';

/** Layers in the order in which they are laid, and at which level of its film each thing that is drawn stands. */
export interface Levels {
  /** Layers from the blank outwards; see `layerOf`. */
  readonly layers: readonly string[];
  /** By the places of what is drawn: 0 for a film's lowest layer. */
  readonly levels: readonly number[];
}

/** Ways that are looked at; past them the layer that takes most is laid next. */
const MOST_WAYS = 4000;

/**
 * Puts what is drawn on as few layers as let everything lie over what it is drawn over. A film that lies under another and
 * over it stands twice. What an item has of one film stays on one layer; each thing lies as low as it may.
 *
 * @param drawn in the order in which they are drawn
 * @param overlaps of these
 * @source the fewest layers of a partial order whose nodes have films: a shortest common supersequence, searched best first
 *   with the number of films that are left as the bound (Hart, Nilsson and Raphael, 1968)
 */
export function levelsByDrawing(drawn: readonly DrawnFilm[], { pairs }: DrawnOverlaps): Levels {
  const { nodeOf, films } = nodesOf(drawn);
  const below = films.map(() => new Set<number>());
  for (const { lower, upper, areaMm2 } of pairs) {
    const [a, b] = [nodeOf[lower]!, nodeOf[upper]!];
    if (a !== b && films[a] !== films[b] && areaMm2 > LEAST_OVERLAP_MM2) below[b]!.add(a);
  }
  const used = [...new Set(films)];
  const sequence = fewest(used, films, below);
  const levelOf = new Map<number, number>();
  const times = new Map<string, number>();
  const placed = new Set<number>();
  const layers = sequence.map((film) => {
    const level = times.get(film) ?? 0;
    times.set(film, level + 1);
    for (const node of ready(film, placed, films, below)) {
      levelOf.set(node, level);
      placed.add(node);
    }
    return layerOf({ film, level });
  });
  return { layers, levels: nodeOf.map((node) => levelOf.get(node) ?? 0) };
}

/** What stays on one layer: all of an item that is of one film; of an item of several films each thing by itself. */
function nodesOf(drawn: readonly DrawnFilm[]): { nodeOf: number[]; films: string[] } {
  const several = new Map<string, Set<string>>();
  for (const { itemId, layer } of drawn) several.set(itemId, (several.get(itemId) ?? new Set()).add(layer));
  const numbers = new Map<string, number>();
  const films: string[] = [];
  const nodeOf = drawn.map(({ itemId, layer }, i) => {
    const key = several.get(itemId)!.size > 1 ? `${i}` : `item:${itemId}`;
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, films.length);
    return films.push(layer) - 1;
  });
  return { nodeOf, films };
}

/** Nodes of a film that may be laid now: everything that they lie on is there. */
const ready = (
  film: string,
  placed: ReadonlySet<number>,
  films: readonly string[],
  below: readonly ReadonlySet<number>[],
): number[] =>
  films.flatMap((own, node) =>
    own === film && !placed.has(node) && [...below[node]!].every((other) => placed.has(other)) ? [node] : [],
  );

/** The shortest sequence of films that everything can be laid in. */
function fewest(
  used: readonly string[],
  films: readonly string[],
  below: readonly ReadonlySet<number>[],
): readonly string[] {
  interface Way {
    readonly sequence: readonly string[];
    readonly placed: ReadonlySet<number>;
  }
  const left = ({ placed }: Way): number => new Set(films.filter((_, node) => !placed.has(node))).size;
  let waiting: (Way & { readonly bound: number })[] = [{ sequence: [], placed: new Set(), bound: used.length }];
  const seen = new Set<string>();
  for (let looked = 0; waiting.length > 0; looked++) {
    // The least bound first, of these the one that has come furthest; past the most ways only that one.
    waiting.sort((a, b) => a.bound - b.bound || b.placed.size - a.placed.size);
    const way = waiting.shift()!;
    if (way.placed.size === films.length) return way.sequence;
    if (looked > MOST_WAYS) waiting = [];
    for (const film of used) {
      const more = ready(film, way.placed, films, below);
      if (more.length === 0) continue;
      const placed = new Set([...way.placed, ...more]);
      const key = [...placed].sort((a, b) => a - b).join(',');
      if (seen.has(key)) continue;
      seen.add(key);
      const next = { sequence: [...way.sequence, film], placed };
      waiting.push({ ...next, bound: next.sequence.length + left(next) });
    }
  }
  return used;
}
