/** What is to be made small: its value at a place, and its gradient into `out`. */
export type Sloped = (at: Float64Array, out: Float64Array) => number;

/** How a minimum was come by. */
export interface Minimised {
  readonly value: number;
  readonly rounds: number;
  /** Whether the slope became as small as was asked. */
  readonly converged: boolean;
}

/** Steps and slopes that are remembered. */
const MEMORY = 12;
/** Share of what the slope promises that a step has to keep (Armijo), and most halvings until it does. */
const [KEPT, HALVINGS] = [1e-4, 40];

/**
 * Goes down to a minimum from where one is; the value never rises.
 *
 * @param sloped what is made small
 * @param at where one is; moved
 * @param tolerance largest part of the slope at which one is there
 * @param mostRounds after which one stops all the same
 * @param onRound called after each step; says whether to go on
 * @source D. C. Liu and J. Nocedal, "On the limited memory BFGS method for large scale optimization", 1989
 */
export function minimise(
  sloped: Sloped,
  at: Float64Array,
  tolerance: number,
  mostRounds = 400,
  onRound?: (value: number) => boolean,
): Minimised {
  const n = at.length;
  const [slope, next, nextSlope, way] = [new Float64Array(n), new Float64Array(n), new Float64Array(n), new Float64Array(n)]; // prettier-ignore
  const steps = Array.from({ length: MEMORY }, () => new Float64Array(n));
  const turns = Array.from({ length: MEMORY }, () => new Float64Array(n));
  const [inverse, share] = [new Float64Array(MEMORY), new Float64Array(MEMORY)];
  let [held, newest] = [0, -1];
  let value = sloped(at, slope);
  let rounds = 0;
  for (; rounds < mostRounds; rounds++) {
    if (largest(slope) <= tolerance) return { value, rounds, converged: true };
    for (let i = 0; i < n; i++) way[i] = -slope[i]!;
    for (let k = 0; k < held; k++) {
      const at = (newest - k + MEMORY) % MEMORY;
      share[at] = inverse[at]! * dot(steps[at]!, way);
      add(way, turns[at]!, -share[at]);
    }
    if (held > 0) {
      const scale = 1 / (inverse[newest]! * dot(turns[newest]!, turns[newest]!));
      for (let i = 0; i < n; i++) way[i]! *= scale;
    }
    for (let k = held - 1; k >= 0; k--) {
      const at = (newest - k + MEMORY) % MEMORY;
      add(way, steps[at]!, share[at]! - inverse[at]! * dot(turns[at]!, way));
    }
    let promised = dot(way, slope);
    if (!(promised < 0)) {
      for (let i = 0; i < n; i++) way[i] = -slope[i]!;
      promised = -dot(slope, slope);
      held = 0;
    }
    // The first way is only a direction: no step in it is longer than the largest part of a millimetre.
    let length = held > 0 ? 1 : Math.min(1, 0.1 / Math.max(1e-300, largest(way)));
    let found = false;
    for (let halved = 0; halved < HALVINGS; halved++, length /= 2) {
      for (let i = 0; i < n; i++) next[i] = at[i]! + length * way[i]!;
      const there = sloped(next, nextSlope);
      if (there <= value + KEPT * length * promised) {
        value = there;
        found = true;
        break;
      }
    }
    if (!found) {
      if (held === 0) return { value, rounds, converged: false };
      held = 0;
      continue;
    }
    const spare = (newest + 1) % MEMORY;
    const step = steps[spare]!;
    const turn = turns[spare]!;
    let bend = 0;
    for (let i = 0; i < n; i++) {
      step[i] = next[i]! - at[i]!;
      turn[i] = nextSlope[i]! - slope[i]!;
      bend += step[i]! * turn[i]!;
      at[i] = next[i]!;
      slope[i] = nextSlope[i]!;
    }
    if (bend > 1e-300) {
      inverse[spare] = 1 / bend;
      newest = spare;
      held = Math.min(MEMORY, held + 1);
    }
    if (onRound && !onRound(value)) return { value, rounds: rounds + 1, converged: false };
  }
  return { value, rounds, converged: false };
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

function add(to: Float64Array, what: Float64Array, times: number): void {
  for (let i = 0; i < to.length; i++) to[i]! += times * what[i]!;
}

function largest(of: Float64Array): number {
  let most = 0;
  for (let i = 0; i < of.length; i++) most = Math.max(most, Math.abs(of[i]!));
  return most;
}
