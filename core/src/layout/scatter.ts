import { seeded } from '../numeric/seeded.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
/** A place that something else takes, as a rectangle on the unrolled side: mm round from the front, mm down. */
export interface TakenPlace {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
}

/** Where things are scattered. */
export interface ScatterField {
  /** mm round the blank after which everything comes again; null on a face and beside a handle. */
  readonly period: number | null;
  /** Least room between any two, mm. */
  readonly gap: number;
  readonly taken: readonly TakenPlace[];
}

/** What is scattered: alike things of one size. */
export interface ScatterKind {
  readonly count: number;
  readonly width: number;
  readonly height: number;
  /** Ranges of the middles, mm. */
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  /** Whether a middle may lie there, besides. */
  readonly holds?: (x: number, y: number) => boolean;
}

/** A spot of a scatter, and which kind lies there. */
export interface ScatterSpot {
  readonly x: number;
  readonly y: number;
  readonly kind: number;
}

/** Tries for each spot: more give more even spacing. */
const TRIES = { first: 40, perSpot: 12, most: 900 } as const;

/**
 * Spreads things of one or more kinds evenly but not regularly over a field, mixed, so that none touches another or what
 * is there already.
 *
 * @param field what is in the way
 * @param kinds what is spread, how large and how many of each
 * @param seed the same seed gives the same spots
 * @returns as many spots as found room
 * @source best candidate: D. P. Mitchell, "Spectrally optimal sampling for distribution ray tracing", 1991. The room between
 *   two boxes, the shorter way round, is what is made large
 */
export function scatterSpots(field: ScatterField, kinds: readonly ScatterKind[], seed: number): ScatterSpot[] {
  const random = seeded(seed);
  const spots: ScatterSpot[] = [];
  const between = ([a, b]: readonly [number, number]): number => a + (b - a) * random();
  const full = new Set(kinds.flatMap(({ x, y }, i) => (x[1] >= x[0] && y[1] >= y[0] ? [] : [i])));
  for (const kind of inTurn(
    kinds.map(({ count }) => count),
    random,
  )) {
    if (full.has(kind)) continue;
    const { x, y, holds } = kinds[kind]!;
    let best: ScatterSpot | null = null;
    let most = -Infinity;
    const tries = Math.min(TRIES.most, TRIES.first + TRIES.perSpot * spots.length);
    for (let t = 0; t < tries; t++) {
      const spot = { x: between(x), y: between(y), kind };
      if (holds && !holds(spot.x, spot.y)) continue;
      const room = roomAt(spot, spots, field, kinds, most);
      if (room > most) [best, most] = [spot, room];
    }
    // What does not fit by now will not fit later either.
    if (!best || most < field.gap) full.add(kind);
    else spots.push(best);
  }
  return spots;
}

/** Kinds in the order in which they are laid: one after the other when there is one, otherwise well mixed. */
export function inTurn(counts: readonly number[], random: () => number): number[] {
  const order = counts.flatMap((count, i) => Array.from({ length: count }, () => i));
  if (counts.length > 1)
    for (let i = order.length - 1; i > 0; i--) {
      const k = Math.floor(random() * (i + 1));
      [order[i], order[k]] = [order[k]!, order[i]!];
    }
  return order;
}

/** mm between a box at a spot and the nearest of the others; stops early once it cannot be the best. */
function roomAt(
  spot: ScatterSpot,
  spots: readonly ScatterSpot[],
  { period, taken }: ScatterField,
  kinds: readonly ScatterKind[],
  enough: number,
): number {
  const { width, height } = kinds[spot.kind]!;
  let least = Infinity;
  for (const other of spots) {
    const kind = kinds[other.kind]!;
    const dx = Math.max(0, shortWay(spot.x - other.x, period) - (width + kind.width) / 2);
    const dy = Math.max(0, Math.abs(spot.y - other.y) - (height + kind.height) / 2);
    least = Math.min(least, Math.hypot(dx, dy));
    if (least <= enough) return least;
  }
  for (const { x, y } of taken) {
    const [mx, my] = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2];
    const dx = Math.max(0, shortWay(spot.x - mx, period) - (width + x[1] - x[0]) / 2);
    const dy = Math.max(0, Math.abs(spot.y - my) - (height + y[1] - y[0]) / 2);
    least = Math.min(least, Math.hypot(dx, dy));
    if (least <= enough) return least;
  }
  return least;
}

/** Distance round, the shorter way. */
export function shortWay(dx: number, period: number | null): number {
  return period === null ? Math.abs(dx) : Math.abs(dx - period * Math.round(dx / period));
}

/**
 * Films for scattered things, such that neighbours differ as far as the films allow.
 *
 * @param spots where they lie
 * @param films to choose from, one or more
 * @param period mm round the blank; null where nothing comes again
 * @returns a film for each spot
 */
export function filmsOfSpots(
  spots: readonly Pick<ScatterSpot, 'x' | 'y'>[],
  films: readonly string[],
  period: number | null,
): string[] {
  const apart = (a: Pick<ScatterSpot, 'x' | 'y'>, b: Pick<ScatterSpot, 'x' | 'y'>): number =>
    Math.hypot(shortWay(a.x - b.x, period), a.y - b.y);
  const out: string[] = [];
  const used = new Map(films.map((film) => [film, 0]));
  for (const [i, spot] of spots.entries()) {
    const near = spots
      .slice(0, i)
      .map((other, k) => ({ film: out[k]!, far: apart(spot, other) }))
      .sort((a, b) => a.far - b.far)
      .slice(0, 6);
    // Nearer neighbours count for more; among equals the film that was used least.
    const cost = (film: string): number =>
      near.reduce((sum, n) => sum + (n.film === film ? 1 / Math.max(EPSILON_MM, n.far * n.far) : 0), 0) +
      1e-9 * used.get(film)!;
    const film = films.reduce((a, b) => (cost(b) < cost(a) ? b : a));
    used.set(film, used.get(film)! + 1);
    out.push(film);
  }
  return out;
}
