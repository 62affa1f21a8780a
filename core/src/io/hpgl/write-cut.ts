import type { CutPiece } from '../../cut/order.ts';
import { flattenPath } from '../../plane/flatten.ts';

/** Plotter units in a millimetre. */
export const HPGL_PER_MM = 40;
/** mm. Chord error of curves: under half of a plotter unit, so that it does not show beside rounding. */
const CURVE_ERROR_MM = 0.01;

/**
 * What is cut of one film in one load, as pen movements for a cutter that reads HPGL: 40 units to a millimetre, from the
 * load corner, x along the feed and y across it.
 *
 * @param pieces in board millimetres, in cutting order
 * @param pen of the film, from 1
 * @returns commands; each outline is one lift
 */
export function writeCutHpgl(pieces: readonly CutPiece[], pen: number): string {
  const commands = ['IN', `SP${pen}`];
  for (const path of pieces.flatMap((piece) => piece.paths)) {
    const points = flattenPath(path, CURVE_ERROR_MM);
    const at = (i: number): string => `${unit(points[i]!)},${unit(points[i + 1]!)}`;
    const drawn: string[] = [];
    let last = at(0);
    for (let i = 2; i < points.length; i += 2) {
      const next = at(i);
      if (next !== last) drawn.push(next);
      last = next;
    }
    if (path.closed && last !== at(0)) drawn.push(at(0));
    if (drawn.length > 0) commands.push(`PU${at(0)}`, `PD${drawn.join(',')}`);
  }
  commands.push('PU0,0', 'SP0');
  return `${commands.join(';\n')};\n`;
}

const unit = (mm: number): number => Math.round(mm * HPGL_PER_MM) + 0;
