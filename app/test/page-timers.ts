/** ms. What comes sooner belongs to what a test waits for. */
const LATER = 1000;

const pending = new Set<ReturnType<typeof setTimeout>>();

/** Notes what pages put off for seconds; once, however many files of tests one worker goes through. */
export function watchTimers(): void {
  const real = globalThis.setTimeout;
  if ('watched' in real) return;
  const watched = (act: (...given: unknown[]) => void, ms?: number, ...given: unknown[]): ReturnType<typeof real> => {
    const timer = real(() => {
      pending.delete(timer);
      act(...given);
    }, ms);
    if ((ms ?? 0) >= LATER) pending.add(timer);
    return timer;
  };
  globalThis.setTimeout = Object.assign(watched, real, { watched: true }) as unknown as typeof real;
}

/** A page that is left does nothing later: what its stores put off does not come up in the middle of another test. */
export function dropTimers(): void {
  for (const timer of pending) clearTimeout(timer);
  pending.clear();
}
