import type { Path } from './path.ts';
import { splitArcs } from './path.ts';
import type { Point } from './point.ts';

/** mm. Places after the point in written files: a tenth of a micrometre. */
const DIGITS = 4;

/** A number as files carry it: fixed places, no trailing noughts, never −0 and never an exponent. */
export function writeNumber(value: number, digits = DIGITS): string {
  if (!Number.isFinite(value)) throw new RangeError(`a file cannot carry ${value}`);
  const text = value.toFixed(digits).replace(/\.?0+$/, '');
  return text === '-0' || text === '' ? '0' : text;
}

/** rad. Longest arc that is written as one: past a quarter its middle strays by more than its numbers are rounded. */
const LONGEST_ARC = Math.PI / 2;

/**
 * SVG path data of a path. SVG counts y downwards, so y is mirrored about `height`.
 *
 * @param path mm, y up
 * @param height of the drawing, mm; y' = height − y
 * @param shiftX added to x, mm
 * @param longestArc rad; arcs that turn further are written as several
 */
export function pathData(path: Path, height = 0, shiftX = 0, longestArc = LONGEST_ARC): string {
  const at = (p: Point): string => `${writeNumber(p.x + shiftX)} ${writeNumber(height - p.y)}`;
  const parts = [`M${at(path.start)}`];
  for (const s of splitArcs(path, longestArc).segments) {
    if (s.kind === 'line') parts.push(`L${at(s.to)}`);
    else if (s.kind === 'cubic') parts.push(`C${at(s.c1)} ${at(s.c2)} ${at(s.to)}`);
    else {
      const radius = writeNumber(s.radius);
      // Counter-clockwise with y up is sweep 0 with y down.
      parts.push(`A${radius} ${radius} 0 ${s.large ? 1 : 0} ${s.ccw ? 0 : 1} ${at(s.to)}`);
    }
  }
  return parts.join('') + (path.closed ? 'Z' : '');
}
