import { formatLength, type Units } from '../measure/length.ts';
import type { Ring } from '../polygon/polygon.ts';
import { findSeams } from '../seam/finder.ts';
import { type FoundSeam, measureSeam, type SeamField } from '../seam/measure-seam.ts';
import { seamAt, type SeamPath } from '../seam/path.ts';
import { type Draw, drawFor, inSteps, type Judged } from './judged.ts';

/** A round piece of the pattern: where its middle lies, and its radius, mm. */
export interface Dot {
  readonly azimuth: number;
  readonly slant: number;
  readonly radius: number;
}

/** A band full of pieces. */
export interface SeamTask {
  readonly seed: number;
  /** mm round, and down. */
  readonly girth: number;
  readonly side: number;
  readonly dots: readonly Dot[];
  /** mm from the rim at which the line is led. */
  readonly heights: readonly number[];
}

/** How many places the line is led by. */
const LED_BY = 5;
/** mm that the way through keeps from every piece. */
const CLEAR_MM = 3;
/** mm between pieces. */
const APART_MM = 2;
const CORNERS = 48;
/** How often a piece is tried to be put down. */
const GOES = 2500;

/** A pattern with a way through that no straight line finds. */
export function makeFindSeam(seed: number): SeamTask {
  const draw = drawFor('find-seam', seed);
  for (;;) {
    const task = patternOf(draw, seed);
    if (isShut(task)) return task;
  }
}

function patternOf(draw: Draw, seed: number): SeamTask {
  const girth = inSteps(draw.between(230, 280), 1);
  const side = inSteps(draw.between(80, 100), 1);
  const heights = Array.from({ length: LED_BY }, (_, i) => (side * i) / (LED_BY - 1));
  const radius = girth / (2 * Math.PI);
  let x = draw.between(-girth / 2, girth / 2);
  const way = heights.map(() => (x += draw.either(8, 15)) / radius);
  const free = { slants: heights, azimuths: way };
  const dots: Dot[] = [];
  for (let go = 0; go < GOES; go++) {
    const dot = { azimuth: draw.between(-Math.PI, Math.PI), slant: draw.between(2, side - 2), radius: draw.between(3.5, 8) }; // prettier-ignore
    const far = (azimuth: number, slant: number): number => Math.hypot(roundBy(dot.azimuth - azimuth) * radius, dot.slant - slant); // prettier-ignore
    if (dots.some((other) => far(other.azimuth, other.slant) < dot.radius + other.radius + APART_MM)) continue;
    const fromWay = Math.min(
      ...Array.from({ length: 81 }, (_, i) => (side * i) / 80).map((v) => far(seamAt(free, v), v)),
    );
    if (fromWay >= dot.radius + CLEAR_MM) dots.push(dot);
  }
  return { seed, girth, side, dots, heights };
}

/** Whether every line straight down goes through something: the pieces, seen from above, cover the whole way round. */
function isShut({ dots, girth }: SeamTask): boolean {
  const round = girth / (2 * Math.PI);
  const covers = dots
    .flatMap(({ azimuth, radius }) =>
      [-1, 0, 1].map(
        (turn) =>
          [azimuth + 2 * Math.PI * turn - radius / round, azimuth + 2 * Math.PI * turn + radius / round] as const,
      ),
    ) // prettier-ignore
    .sort((a, b) => a[0] - b[0]);
  let to = -Math.PI;
  for (const [from, end] of covers) if (from < to) to = Math.max(to, end);
  return to > Math.PI;
}

/** An angle within half a turn. */
const roundBy = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));

/** The band as the seam finder has it. */
export function fieldOf({ girth, side, dots }: SeamTask): SeamField {
  const round = girth / (2 * Math.PI);
  return {
    side,
    radiusAt: () => round,
    groups: dots.map(({ azimuth, slant, radius }): Ring[] => [
      Float64Array.from({ length: 2 * CORNERS }, (_, i) => {
        const turn = (2 * Math.PI * (i >> 1)) / CORNERS;
        return i % 2 === 0 ? azimuth + (radius * Math.cos(turn)) / round : slant + radius * Math.sin(turn);
      }),
    ]),
  };
}

/** The best way there is. */
export const bestSeam = (task: SeamTask): FoundSeam => findSeams(fieldOf(task), { clearance: CLEAR_MM - 1, count: 1, home: Math.PI })[0]!; // prettier-ignore

/** How many pieces a line goes through. */
function cutThrough({ dots, girth }: SeamTask, path: SeamPath): number {
  const field = (dot: Dot): SeamField => fieldOf({ seed: 0, girth, side: path.slants.at(-1)!, dots: [dot], heights: [] }); // prettier-ignore
  return dots.filter((dot) => measureSeam(field(dot), path).cutMm > 0).length;
}

/** Judges a line, led by its azimuths at `heights`. */
export function judgeFindSeam(task: SeamTask, azimuths: readonly number[], units: Units): Judged {
  const path = { slants: task.heights, azimuths };
  const mine = measureSeam(fieldOf(task), path);
  const best = bestSeam(task);
  const through = cutThrough(task, path);
  const came = [
    { says: 'Film cut by your seam', value: formatLength(mine.cutMm, units), bad: mine.cutMm > best.cutMm },
    { says: 'Pieces that it goes through', value: `${through}`, bad: through > 0 },
    { says: 'Longer than the side by', value: formatLength(mine.wanderMm, units), bad: false },
    { says: 'The finder’s own cuts', value: formatLength(best.cutMm, units), bad: false },
  ];
  if (mine.cutMm <= best.cutMm)
    return { score: 100, came, why: ['Nothing is cut', 'A seam may wander as it likes: both ends are cut along the same line, so they meet again.'], tryThis: null }; // prettier-ignore
  const score = Math.max(0, Math.round(75 - (75 * (mine.cutMm - best.cutMm)) / task.side));
  return {
    score,
    came,
    why: [
      `It goes through ${through} ${through === 1 ? 'piece' : 'pieces'}`,
      'Every piece that a seam cuts has to meet itself again on the cup, to a hair, or it shows.',
    ],
    tryThis: 'Look for a channel of bare ground that runs from the rim to the base, and lead the line down its middle.',
  };
}
