/** A place that something else takes, as a rectangle on the unrolled side: mm round from the front, mm down. */
export interface TakenPlace {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
}

/** Where things are scattered. */
export interface ScatterField {
  /** mm round the blank after which everything comes again; null on a face and beside a handle. */
  readonly period: number | null;
  /** Ranges of the middles, mm. */
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  /** Whether a middle may lie there, besides. */
  readonly holds?: (x: number, y: number) => boolean;
  /** Size of what is scattered, and least room between two of them, mm. */
  readonly width: number;
  readonly height: number;
  readonly gap: number;
  readonly taken: readonly TakenPlace[];
}

/** A spot of a scatter. */
export interface ScatterSpot {
  readonly x: number;
  readonly y: number;
}

/** Tries for each spot: more give more even spacing. */
const TRIES = { first: 40, perSpot: 12, most: 900 } as const;

/**
 * Spreads spots evenly but not regularly over a field, so that none touches another or what is there already.
 *
 * @param field where, how large and what is in the way
 * @param count how many are wanted
 * @param seed the same seed gives the same spots
 * @returns as many spots as found room
 * @source best candidate: D. P. Mitchell, "Spectrally optimal sampling for distribution ray tracing", 1991. The room between
 *   two boxes, the shorter way round, is what is made large
 */
export function scatterSpots(field: ScatterField, count: number, seed: number): ScatterSpot[] {
  const random = seeded(seed);
  const spots: ScatterSpot[] = [];
  const between = ([a, b]: readonly [number, number]): number => a + (b - a) * random();
  if (!(field.x[1] >= field.x[0] && field.y[1] >= field.y[0])) return [];
  for (let k = 0; k < count; k++) {
    let best: ScatterSpot | null = null;
    let most = -Infinity;
    const tries = Math.min(TRIES.most, TRIES.first + TRIES.perSpot * k);
    for (let t = 0; t < tries; t++) {
      const spot = { x: between(field.x), y: between(field.y) };
      if (field.holds && !field.holds(spot.x, spot.y)) continue;
      const room = roomAt(spot, spots, field, most);
      if (room > most) [best, most] = [spot, room];
    }
    // What does not fit by now will not fit later either.
    if (!best || most < field.gap) break;
    spots.push(best);
  }
  return spots;
}

/** mm between a box at a spot and the nearest of the others; stops early once it cannot be the best. */
function roomAt(spot: ScatterSpot, spots: readonly ScatterSpot[], field: ScatterField, enough: number): number {
  const { width, height, taken } = field;
  let least = Infinity;
  for (const other of spots) {
    const dx = Math.max(0, shortWay(spot.x - other.x, field.period) - width);
    const dy = Math.max(0, Math.abs(spot.y - other.y) - height);
    least = Math.min(least, Math.hypot(dx, dy));
    if (least <= enough) return least;
  }
  for (const { x, y } of taken) {
    const [mx, my] = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2];
    const dx = Math.max(0, shortWay(spot.x - mx, field.period) - (width + x[1] - x[0]) / 2);
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
export function filmsOfSpots(spots: readonly ScatterSpot[], films: readonly string[], period: number | null): string[] {
  const apart = (a: ScatterSpot, b: ScatterSpot): number => Math.hypot(shortWay(a.x - b.x, period), a.y - b.y);
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
      near.reduce((sum, n) => sum + (n.film === film ? 1 / Math.max(1e-6, n.far * n.far) : 0), 0) +
      1e-9 * used.get(film)!;
    const film = films.reduce((a, b) => (cost(b) < cost(a) ? b : a));
    used.set(film, used.get(film)! + 1);
    out.push(film);
  }
  return out;
}

/** Seeded numbers in 0 … 1 (mulberry32). */
function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
