import { vi } from 'vitest';

/** ms. Shorter than a test may take, and no judgement of speed: what is never so fails with its own words. */
const LONGEST = { timeout: 100_000 };

/** Waits until something is so, however slow the machine is. */
export const until = <T>(so: () => T | Promise<T>): Promise<T> => vi.waitUntil(so, LONGEST) as Promise<T>;

/** Waits until nothing in it fails any more, however slow the machine is. */
export const eventually = <T>(holds: () => T | Promise<T>): Promise<T> => vi.waitFor(holds, LONGEST);
