import { combine, IDENTITY, type Matrix } from '../../../plane/matrix.ts';
import { readLength, type Measure } from './length.ts';

export { combine, IDENTITY, type Matrix };

/** Mean factor by which a matrix enlarges. */
export const scaleOf = ([a, b, c, d]: Matrix): number => Math.sqrt(Math.abs(a * d - b * c));

export const shift = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];

const RAD_PER = new Map([
  ['', Math.PI / 180],
  ['deg', Math.PI / 180],
  ['rad', 1],
  ['grad', Math.PI / 200],
  ['turn', 2 * Math.PI],
]);
const ANGLE = /^([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)([a-z]*)$/i;

/** An angle in rad; a plain number counts degrees. Undefined for what is none. */
export function readAngle(text: string): number | undefined {
  const match = ANGLE.exec(text.trim());
  const per = match ? RAD_PER.get(match[2]!.toLowerCase()) : undefined;
  return per === undefined ? undefined : Number(match![1]) * per;
}

/**
 * A list of transforms, as an attribute or a style gives it, as one matrix; undefined when it cannot be read.
 *
 * @param measure of the viewport, for lengths
 */
export function readTransforms(text: string, measure: Measure): Matrix | undefined {
  const plain = text.trim();
  if (plain === '' || plain === 'none') return IDENTITY;
  if (!/^(?:[a-z0-9]+\s*\([^()]*\)[\s,]*)+$/i.test(plain) || plain.length > 4000) return undefined;
  let out: Matrix = IDENTITY;
  for (const [, name, list] of plain.matchAll(/([a-z0-9]+)\s*\(([^()]*)\)/gi)) {
    const step = oneTransform(name!.toLowerCase(), argumentsOf(list!), measure);
    if (!step?.every(Number.isFinite)) return undefined;
    out = combine(out, step);
  }
  return out;
}

/** Numbers may follow each other without anything between: `1-2` is two. */
const argumentsOf = (list: string): string[] =>
  list.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?(?:[a-z]+|%)?/gi) ?? [];

function oneTransform(name: string, list: readonly string[], measure: Measure): Matrix | undefined {
  const number = (i: number): number | undefined => {
    const text = list[i];
    if (text === undefined) return undefined;
    return text.endsWith('%') ? Number(text.slice(0, -1)) / 100 : Number(text);
  };
  const length = (i: number, along: 'x' | 'y'): number | undefined =>
    list[i] === undefined ? undefined : readLength(list[i], measure, along);
  const angle = (i: number): number | undefined => (list[i] === undefined ? undefined : readAngle(list[i]));
  switch (name) {
    case 'matrix':
      return list.length === 6 ? (list.map(Number) as unknown as Matrix) : undefined;
    case 'translate':
      return shift(length(0, 'x') ?? NaN, list.length > 1 ? (length(1, 'y') ?? NaN) : 0);
    case 'translatex':
      return shift(length(0, 'x') ?? NaN, 0);
    case 'translatey':
      return shift(0, length(0, 'y') ?? NaN);
    case 'scale':
      return [number(0) ?? NaN, 0, 0, number(1) ?? number(0) ?? NaN, 0, 0];
    case 'scalex':
      return [number(0) ?? NaN, 0, 0, 1, 0, 0];
    case 'scaley':
      return [1, 0, 0, number(0) ?? NaN, 0, 0];
    case 'rotate': {
      const [x, y] = [length(1, 'x') ?? 0, length(2, 'y') ?? 0];
      return combine(combine(shift(x, y), turnBy(angle(0) ?? NaN)), shift(-x, -y));
    }
    case 'skew':
      return [1, Math.tan(list.length > 1 ? (angle(1) ?? NaN) : 0), Math.tan(angle(0) ?? NaN), 1, 0, 0];
    case 'skewx':
      return [1, 0, Math.tan(angle(0) ?? NaN), 1, 0, 0];
    case 'skewy':
      return [1, Math.tan(angle(0) ?? NaN), 0, 1, 0, 0];
    default:
      return undefined;
  }
}

/** A turn about the origin, rad. */
export function turnBy(angle: number): Matrix {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [cos, sin, -sin, cos, 0, 0];
}
