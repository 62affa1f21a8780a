/** Prints one line of the table of targets: the work, its target and what was measured here. */
export type Row = (work: string, target: string, measured: string) => void;

/** Median time of several runs after a warm-up, ms. */
export function median(run: () => void, times = 9): number {
  run();
  const taken = Array.from({ length: times }, () => {
    const from = performance.now();
    run();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return taken[Math.floor(times / 2)]!;
}
