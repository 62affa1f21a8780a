/** Numbers drawn from a seed, the same every time. */
export interface Draw {
  (from: number, to: number): number;
}

export function drawFrom(seed: number): Draw {
  let state = (seed * 2654435761 + 97) >>> 0;
  return (from, to) => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return from + ((to - from) * ((t ^ (t >>> 14)) >>> 0)) / 2 ** 32;
  };
}
