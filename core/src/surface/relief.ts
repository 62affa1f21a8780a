import type { LyingShape } from './film-strain.ts';
import { neededGive } from './film-strain.ts';

/** Relief slits in a sheet: how many, and how wide the part between or inside them stays whole. */
export interface ReliefSlits {
  readonly count: number;
  /** mm. Radius of the whole core of a round sheet, or width of the whole middle of a long one. */
  readonly core: number;
  /** What the sheet then asks for, as a fraction. */
  readonly needed: number;
  /** mm by which each slit laps at the edge of the sheet. */
  readonly lap: number;
}

/** Share of what the sheet gives that is planned with; the rest is kept in hand. */
const IN_USE = 0.9;
/** Fewest and most slits in a round sheet that anyone cuts. */
const [FEWEST, MOST] = [5, 24];
/** How wide a flap may be against its length. */
const FLAP_BREADTH = 1.6;
/** rad. Farthest from the middle of a sheet that the formulas reach: beyond, it wraps round the ball. */
const FARTHEST = 1.2;
/** How finely cores are tried, as shares of the sheet. */
const STEPS = 24;

/**
 * The fewest slits, and with them the largest core, with which a round sheet lies on a side that curves both ways.
 *
 * @param gaussian 1/mm²
 * @param radius of the sheet, mm along the side
 * @param give what the sheet takes, as a fraction
 * @returns null when no number of slits is enough
 * @source needed = √((K·b²/6)² + flap²), flap by `neededGive` with ℓ = a − b, w̄ = π(a + b)/n, W = min(ℓ, w̄) and the area
 *   ℓ·w̄; lap at the edge 0.93·(2π/n)(a − R sin(a/R))
 */
export function slitsInRound(gaussian: number, radius: number, give: number): ReliefSlits | null {
  const k = Math.abs(gaussian);
  const bend = 1 / Math.sqrt(k);
  if (radius > FARTHEST * bend) return null;
  for (let count = FEWEST; count <= MOST; count++)
    for (let step = STEPS - 1; step >= 1; step--) {
      const relief = roundWithSlits(k, radius, count, (radius * step) / STEPS);
      if (relief && relief.needed <= IN_USE * give) return relief;
    }
  return null;
}

/**
 * What a round sheet asks for with these very slits.
 *
 * @param gaussian 1/mm²
 * @param radius of the sheet, mm along the side
 * @param core mm, radius of what stays whole in its middle
 * @returns null where a flap is broader than long: it is no flap then, and the formula does not hold
 * @source as `slitsInRound`
 */
export function roundWithSlits(gaussian: number, radius: number, count: number, core: number): ReliefSlits | null {
  const k = Math.abs(gaussian);
  const bend = 1 / Math.sqrt(k);
  const long = radius - core;
  const broad = (Math.PI * (radius + core)) / count;
  if (broad > FLAP_BREADTH * long) return null;
  const needed = Math.hypot((k * core * core) / 6, neededGive(k, flap(long, broad)));
  return { count, core, needed, lap: 0.93 * ((2 * Math.PI) / count) * (radius - bend * Math.sin(radius / bend)) };
}

/**
 * The same for a long sheet, slit from both of its long edges.
 *
 * @param gaussian 1/mm²
 * @param width across the sheet, mm
 * @param length along it, mm
 * @returns `count` is that of one edge; `lap` that of a flap at the edge, where a strip of width w has too much by its
 *   share of the pitch
 * @source the core is a strip, K·b²/8; flaps and their sum as in a round sheet; the edge of a strip is longer than what it
 *   lies on by K·(w² − b²)/8 of its length
 */
export function slitsInStrip(gaussian: number, width: number, length: number, give: number): ReliefSlits | null {
  const k = Math.abs(gaussian);
  for (let step = STEPS - 1; step >= 1; step--) {
    const core = (width * step) / STEPS;
    const long = (width - core) / 2;
    const count = Math.ceil(length / (FLAP_BREADTH * long));
    const broad = length / (count + 1);
    const needed = Math.hypot((k * core * core) / 8, neededGive(k, flap(long, broad)));
    if (needed > IN_USE * give) continue;
    return { count, core, needed, lap: ((k * (width * width - core * core)) / 8) * broad };
  }
  return null;
}

/** A flap between two slits, by its length and breadth, mm. */
function flap(long: number, broad: number): LyingShape {
  const width = Math.min(long, broad);
  return { width, fill: Math.min(1, (Math.PI * width * width) / (4 * long * broad)) };
}
