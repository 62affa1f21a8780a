import { FIRST_HEADING, holderPath } from '../../cut/blade-offset.ts';
import type { CutPiece } from '../../cut/order.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Path } from '../../plane/path.ts';

/** Plotter units in a millimetre. */
export const HPGL_PER_MM = 40;
/** mm. Chord error of curves: under half of a plotter unit, so that it does not show beside rounding. */
const CURVE_ERROR_MM = 0.01;

/** What is cut with one pen. */
export interface PenCuts {
  /** From 1; a film has a pen of its own. */
  readonly pen: number;
  /** In board millimetres, in cutting order. */
  readonly pieces: readonly CutPiece[];
}

/**
 * What is cut in a load, or of one film of it, as pen movements for a cutter that reads HPGL: 40 units to a millimetre, from
 * the load corner, x along the feed and y across it.
 *
 * @param cuts pen by pen, in the order in which they are cut
 * @param bladeOffsetMm mm from the holder to the tip of a drag knife that the movements allow for; 0 where the cutter does
 * @returns commands; each outline is one lift
 */
export function writeCutHpgl(cuts: readonly PenCuts[], bladeOffsetMm = 0): string {
  const commands = ['IN'];
  let heading = FIRST_HEADING;
  for (const { pen, pieces } of cuts) {
    commands.push(`SP${pen}`);
    for (const path of pieces.flatMap((piece) => piece.paths)) {
      const way = closed(path);
      const holder = bladeOffsetMm > 0 ? holderPath(way, bladeOffsetMm, heading) : { points: way, heading };
      heading = holder.heading;
      commands.push(...lift(holder.points));
    }
  }
  commands.push('PU0,0', 'SP0');
  return `${commands.join(';\n')};\n`;
}

/** Points of a path, its end back on its start where it is closed. */
function closed(path: Path): ArrayLike<number> {
  const points = flattenPath(path, CURVE_ERROR_MM);
  return path.closed ? [...points, points[0]!, points[1]!] : points;
}

/** There with the pen up, and along with it down; nothing where all of it is one point. */
function lift(points: ArrayLike<number>): string[] {
  const at = (i: number): string => `${unit(points[i]!)},${unit(points[i + 1]!)}`;
  const drawn: string[] = [];
  let last = points.length > 0 ? at(0) : '';
  for (let i = 2; i < points.length; i += 2) {
    const next = at(i);
    if (next !== last) drawn.push(next);
    last = next;
  }
  return drawn.length > 0 ? [`PU${at(0)}`, `PD${drawn.join(',')}`] : [];
}

const unit = (mm: number): number => Math.round(mm * HPGL_PER_MM) + 0;
