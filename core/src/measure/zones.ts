import type { Blank } from '../model/blank.ts';
import { isRound, solidOf } from './kinds/kinds.ts';
import type { BlankSize } from './size.ts';

/** Widths of the zones that film keeps clear of, measured on the band, mm. */
export interface BandZones {
  readonly rim: number;
  readonly base: number;
  readonly handle: number;
}

/**
 * How far below the drinking edge the template's rim line lies, mm: the band begins there, or later where it was cut down.
 *
 * @param size corrected sizes; null while there are none
 */
export function rimLineOf(blank: Blank, size: BlankSize | null): number {
  return blank.bandBelowRimMm + (size ? (solidOf(size).curved?.keep[0] ?? 0) : 0);
}

/**
 * The clearances as they fall on the template: the rim's is counted from the drinking edge, which lies above it. Where the
 * band ends before the side does, nothing curves in below it. A face has none of them; it is judged by its own edge.
 *
 * @param size corrected sizes; null while there are none
 */
export function zonesOfBlank(blank: Blank, size: BlankSize | null): BandZones {
  if (!isRound(blank.kind)) return { rim: 0, base: 0, handle: 0 };
  const curved = size && solidOf(size).curved;
  const leftOff = curved ? curved.whole.sideLength - curved.keep[1] : 0;
  return {
    rim: Math.max(0, blank.rimClearanceMm - rimLineOf(blank, size)),
    base: Math.max(0, blank.baseClearanceMm - leftOff),
    handle: blank.handleWidthMm > 0 ? blank.handleClearanceMm : 0,
  };
}
