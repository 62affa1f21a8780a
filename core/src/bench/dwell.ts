import { MINUTE_MS, msOf } from '../numeric/time.ts';
import type { BenchRun } from '../model/bench-run.ts';
import type { Blank } from '../model/blank.ts';

/** How long a coat took until it lifted. */
export interface Dwell {
  readonly colour: string;
  readonly minutes: number;
}

interface RunOn {
  readonly blank: Pick<Blank, 'surface' | 'colour'>;
  readonly bench: BenchRun;
}

/** Dwells that were recorded: from the start of a wait at the stripper to the answer that it lifts. */
export const dwellsOf = (projects: readonly RunOn[]): Dwell[] =>
  projects.flatMap(({ blank, bench }) => {
    const from = msOf(bench.waitsFrom['strip'] ?? '');
    const lifted = bench.answers.find(({ step, yes }) => step === 'strip' && yes);
    const minutes = lifted ? (msOf(lifted.at) - from) / MINUTE_MS : NaN;
    return minutes > 0 ? [{ colour: blank.colour.toLowerCase(), minutes }] : [];
  });

/** What earlier dwells say of the next one: how many, from how long to how long, and when to look first, minutes. */
export interface DwellForecast {
  readonly n: number;
  readonly from: number;
  readonly to: number;
  readonly lookAt: number;
  /** Whether all of them had this coat's colour. */
  readonly sameColour: boolean;
}

/**
 * When to look first: at the shortest dwell so far, of coats of the same colour where there are any. One looks rather early
 * than late; a check costs a minute, a dwell too long nothing but gel.
 *
 * @returns null without any
 */
export function forecastDwell(dwells: readonly Dwell[], colour: string): DwellForecast | null {
  const same = dwells.filter((one) => one.colour === colour.toLowerCase());
  const used = (same.length > 0 ? same : dwells).map(({ minutes }) => minutes);
  if (used.length === 0) return null;
  const [from, to] = [Math.min(...used), Math.max(...used)];
  return { n: used.length, from, to, lookAt: Math.max(MINUTES, MINUTES * Math.floor(from / MINUTES)), sameColour: same.length > 0 }; // prettier-ignore
}

/** Minutes; one looks at times that are multiples of it. */
const MINUTES = 15;
