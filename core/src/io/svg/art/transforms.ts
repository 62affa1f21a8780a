import type { Box } from '../../../plane/box.ts';
import { boxOfCoordinates, EMPTY_BOX, isEmptyBox, joinBoxes } from '../../../plane/box.ts';
import { flattenPath } from '../../../plane/flatten.ts';
import type { Matrix } from '../../../plane/matrix.ts';
import { combine, IDENTITY } from '../../../plane/matrix.ts';
import type { Measure } from './length.ts';
import { readLength } from './length.ts';
import { readTransforms, shift } from './matrix.ts';
import { shapeData, shapePaths, SHAPES, sizeOf } from './shapes.ts';
import type { Style } from './style.ts';
import { styleOf } from './style.ts';
import type { Element } from './tree.ts';
import { isSet } from './value.ts';
import type { Place, Walk } from './walk.ts';
import { SILENT } from './walk.ts';

/** From an element's units to those of what it stands in. */
export function transformOf(walk: Walk, element: Element, style: Style, measure: Measure, outer: Place): Matrix {
  const list = [element.attributes['transform'], style['transform']];
  const written = style['transform'] === undefined ? list[0] : list[1];
  const alone = ['translate', 'rotate', 'scale'].filter((name) => isSet(style[name]));
  if (written === undefined && alone.length === 0) return IDENTITY;
  const read = (text: string): Matrix => {
    const matrix = readTransforms(text, measure);
    if (!matrix) walk.note('turns and shifts that cannot be read');
    return matrix ?? IDENTITY;
  };
  let steps = IDENTITY;
  for (const name of alone) steps = combine(steps, read(`${name}(${style[name]!.trim().split(/\s+/).join(',')})`));
  if (written !== undefined) steps = combine(steps, read(written));
  const [x, y] = originOf(walk, element, style, measure, outer);
  return x === 0 && y === 0 ? steps : combine(combine(shift(x, y), steps), shift(-x, -y));
}

/** What a transform turns about, in the units of what the element stands in. */
function originOf(
  walk: Walk,
  element: Element,
  style: Style,
  measure: Measure,
  outer: Place,
): readonly [number, number] {
  const ofBox = /^(fill|stroke|content|border)-box$/.test(style['transform-box'] ?? '');
  const words = style['transform-origin']?.trim().split(/[\s,]+/) ?? (ofBox ? ['50%', '50%'] : []);
  if (words.length === 0) return [0, 0];
  const box = ofBox ? boxOf(walk, element, { ...outer, style, measure, matrix: IDENTITY }) : null;
  const [left, top, width, height] = box ?? [0, 0, measure.width, measure.height];
  const upright = new Set(['top', 'bottom']);
  if (upright.has(words[0]!) || words[1] === 'left' || words[1] === 'right') words.reverse();
  const at = (word: string | undefined, whole: number, along: 'x' | 'y'): number => {
    if (word === undefined || word === 'center') return whole / 2;
    if (word === 'left' || word === 'top') return 0;
    if (word === 'right' || word === 'bottom') return whole;
    return readLength(word, { width: whole, height: whole, fontSize: measure.fontSize }, along) ?? 0;
  };
  return [left + at(words[0], width, 'x'), top + at(words[1], height, 'y')];
}

/** Box of an element's own outlines, [x, y, width, height] in its units as `place` has them; null for none. */
export function boxOf(walk: Walk, element: Element, place: Place): readonly [number, number, number, number] | null {
  let seen = 0;
  const of = (one: Element, at: Place, depth: number): Box => {
    if (depth > 30 || (seen += 1) > 5000) return EMPTY_BOX;
    const data = SHAPES.has(one.name) ? shapeData(one, at.style, at.measure) : null;
    if (data)
      return shapePaths(data, at.matrix).paths.reduce(
        (box, path) => boxOfCoordinates(flattenPath(path, 1e-4 * walk.span), box),
        EMPTY_BOX,
      );
    const within = (child: Element, moved: Matrix): Box => {
      const style = styleOf(child, at.style, walk.rules);
      if (style['display'] === 'none' || SILENT.has(child.name)) return EMPTY_BOX;
      const matrix = combine(moved, transformOf(walk, child, style, at.measure, at));
      return of(child, { ...at, style, matrix }, depth + 1);
    };
    if (one.name === 'use') {
      const target = walk.ids.get((one.attributes['href'] ?? '').slice(1));
      const x = sizeOf(one, at.style, 'x', at.measure, 'x') ?? 0;
      const y = sizeOf(one, at.style, 'y', at.measure, 'y') ?? 0;
      return target ? within(target, combine(at.matrix, shift(x, y))) : EMPTY_BOX;
    }
    return one.children.map((child) => within(child, at.matrix)).reduce(joinBoxes, EMPTY_BOX);
  };
  const box = of(element, place, 0);
  // Outlines count y upwards.
  return isEmptyBox(box) ? null : [box.minX, -box.maxY, box.maxX - box.minX, box.maxY - box.minY];
}
