import { combine, IDENTITY } from '../../../plane/matrix.ts';
import { unionRings } from '../../../polygon/boolean.ts';
import type { Ring } from '../../../polygon/polygon.ts';
import { ringsOf } from '../../../polygon/polygon.ts';
import { cut, filled } from './areas.ts';
import { shift } from './matrix.ts';
import { shapeData, shapePaths, SHAPES, sizeOf } from './shapes.ts';
import { styleOf } from './style.ts';
import { boxOf, transformOf } from './transforms.ts';
import type { Element } from './tree.ts';
import { idOf, isSet } from './value.ts';
import type { Place, Walk } from './walk.ts';

/** Clip paths within clip paths. */
const MOST_CLIP_DEPTH = 6;

/** What is seen of an element: what is seen of its group, cut to its own clip path. */
export function clipped(walk: Walk, element: Element, place: Place): readonly Ring[] | null {
  const said = place.style['clip-path'];
  if (!isSet(said)) return place.clip;
  const id = idOf(said);
  const target = id === null ? undefined : walk.ids.get(id);
  if (target?.name !== 'clipPath') {
    if (id === null) walk.note('clip shapes of a style');
    return place.clip;
  }
  const area = clipArea(walk, target, element, place, 0);
  if (area === null) return place.clip;
  return place.clip ? cut(area, place.clip) : area;
}

function clipArea(walk: Walk, target: Element, element: Element, place: Place, depth: number): readonly Ring[] | null {
  if (depth > MOST_CLIP_DEPTH) return null;
  const style = styleOf(target, {}, walk.rules);
  let { matrix } = place;
  if (target.attributes['clipPathUnits'] === 'objectBoundingBox') {
    const box = boxOf(walk, element, { ...place, matrix: IDENTITY });
    if (!box) return [];
    matrix = combine(matrix, [box[2], 0, 0, box[3], box[0], box[1]]);
  }
  matrix = combine(matrix, transformOf(walk, target, style, place.measure, { ...place, style }));
  const rings = target.children.flatMap((child) => clipShape(walk, child, { ...place, matrix, style }, depth));
  const area = unionRings(rings).flatMap(ringsOf);
  const more = idOf(style['clip-path']);
  const further = more === null ? undefined : walk.ids.get(more);
  const also = further && clipArea(walk, further, element, place, depth + 1);
  return also ? cut(area, also) : area;
}

function clipShape(walk: Walk, child: Element, outer: Place, depth: number): readonly Ring[] {
  const style = styleOf(child, outer.style, walk.rules);
  if (style['display'] === 'none' || style['visibility'] === 'hidden') return [];
  let matrix = combine(outer.matrix, transformOf(walk, child, style, outer.measure, outer));
  let shape = child;
  if (child.name === 'use') {
    const target = walk.ids.get((child.attributes['href'] ?? '').slice(1));
    if (!target || !SHAPES.has(target.name)) {
      if (target) walk.note('clip paths of more than shapes');
      return [];
    }
    const x = sizeOf(child, style, 'x', outer.measure, 'x') ?? 0;
    const y = sizeOf(child, style, 'y', outer.measure, 'y') ?? 0;
    const place = { ...outer, style, matrix: combine(matrix, shift(x, y)) };
    const own = styleOf(target, style, walk.rules);
    matrix = combine(place.matrix, transformOf(walk, target, own, outer.measure, place));
    shape = target;
  } else if (!SHAPES.has(child.name)) {
    if (child.name === 'text') walk.note('clip paths of words');
    return [];
  }
  const own = shape === child ? style : styleOf(shape, style, walk.rules);
  const data = shapeData(shape, own, outer.measure);
  if (!data) return [];
  const rings = walk.flat(shapePaths(data, matrix).paths).map(({ ring }) => ring);
  const area = filled(rings, own['clip-rule']);
  const id = idOf(own['clip-path']);
  const target = id === null ? undefined : walk.ids.get(id);
  const also = target && clipArea(walk, target, shape, { ...outer, matrix, style: own }, depth + 1);
  return also ? cut(area, also) : area;
}
