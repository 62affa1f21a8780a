import type { Ring } from '../../../polygon/polygon.ts';
import { ringLength } from '../../../polygon/polygon.ts';
import type { StrokeShape } from '../../../polygon/stroke.ts';
import { dashesOf } from './dashes.ts';
import { readLength, readLengths, type Measure } from './length.ts';
import type { Style } from './style.ts';
import type { Element } from './tree.ts';
import { isSet, readShare } from './value.ts';

/** A line before it is made broad. */
export interface DrawnPath {
  readonly ring: Ring;
  readonly closed: boolean;
}

/** How the corners and ends of an element's line look. */
export function strokeShapeOf(style: Style): StrokeShape {
  const join = style['stroke-linejoin'];
  const cap = style['stroke-linecap'];
  const limit = readShare(style['stroke-miterlimit'], 4);
  return {
    join: join === 'round' || join === 'bevel' ? join : 'miter',
    cap: cap === 'round' || cap === 'square' ? cap : 'butt',
    miterLimit: limit >= 1 ? limit : 4,
  };
}

/**
 * The dashes of an element's lines; the lines themselves where they are whole.
 *
 * @param width of the line, and all lines with it, mm
 * @param scale mm in a unit of the element
 * @param note says what is not taken as drawn
 */
export function dashedLines(
  element: Element,
  lines: readonly DrawnPath[],
  width: number,
  style: Style,
  measure: Measure,
  scale: number,
  note: (what: string) => void,
): readonly DrawnPath[] {
  const said = style['stroke-dasharray'];
  const list = isSet(said) ? readLengths(said, measure, 'both') : undefined;
  if (isSet(said) && !list) note('dashes that cannot be read, taken as whole lines');
  if (!list || list.some((v) => v < 0) || list.every((v) => v === 0)) return lines;
  const total = readShare(element.attributes['pathLength'], 0);
  const by = total > 0 ? lines.reduce((sum, { ring, closed }) => sum + ringLength(ring, closed), 0) / total : scale;
  const pattern = list.map((v) => v * by);
  const offset = (readLength(style['stroke-dashoffset'] ?? '0', measure, 'both') ?? 0) * by;
  const made = lines.map(({ ring, closed }) => dashesOf(ring, closed, pattern, offset, width));
  if (made.some((one) => one === null)) {
    note('dashes finer than can be counted, taken as whole lines');
    return lines;
  }
  return made.flatMap((one) => (one ?? []).map((ring) => ({ ring, closed: false })));
}
