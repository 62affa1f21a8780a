import { flattenPath } from '../../../plane/flatten.ts';
import type { Matrix } from '../../../plane/matrix.ts';
import type { Path } from '../../../plane/path.ts';
import { intersectRings, unionRings } from '../../../polygon/boolean.ts';
import type { Ring } from '../../../polygon/polygon.ts';
import { ringsOf } from '../../../polygon/polygon.ts';
import { throughMatrix } from './shapes.ts';

/** What of an area lies within another. */
export const cut = (rings: readonly Ring[], to: readonly Ring[]): Ring[] => intersectRings(rings, to).flatMap(ringsOf);

/** What outlines enclose, by a rule of filling. */
export const filled = (rings: readonly Ring[], rule: string | undefined): Ring[] =>
  unionRings(
    rings.filter((ring) => ring.length >= 6),
    rule === 'evenodd' ? 'evenodd' : 'nonzero',
  ).flatMap(ringsOf);

/** A frame through a matrix, as a ring that counts y upwards. */
export function frameRing([x, y, w, h]: readonly [number, number, number, number], matrix: Matrix): Ring {
  const to = (px: number, py: number): { kind: 'line'; to: { x: number; y: number } } => ({
    kind: 'line',
    to: { x: px, y: -py },
  });
  const path: Path = { start: { x, y: -y }, closed: true, segments: [to(x + w, y), to(x + w, y + h), to(x, y + h)] };
  return flattenPath(throughMatrix([path], matrix)[0]!, 1);
}
