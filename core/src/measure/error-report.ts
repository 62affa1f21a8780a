import type { ReadingName } from '../model/blank.ts';

/** What the reading errors do to the wrap, all 1 σ in mm. */
export interface ErrorReport {
  /** Gap (or overlap) at the seam, rim end. */
  readonly gapRim: number;
  /** Gap (or overlap) at the seam, base end. */
  readonly gapBase: number;
  /** How far the template's rim edge ends up above or below the band's rim line in front. */
  readonly driftFront: number;
  /** How far the rim edge climbs or sinks more at the back than in front. */
  readonly driftBack: number;
  /** The reading that contributes most to the seam; taking it again helps first. */
  readonly weakest: ReadingName;
  /** Of a profile: the height whose girth is the weakest, from 1; null when all are read alike. */
  readonly weakestStation: number | null;
}
