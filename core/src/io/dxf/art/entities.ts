import { EPSILON_MM } from '../../../numeric/tolerances.ts';
import { bulgedLine, circleArc, ellipseArc, type Line, smoothLine, splineLine, sweepTo } from './curves.ts';
import { type DxfRecord, numberOf, numbersOf, textOf } from './groups.ts';

/** One entity with the vertices that belong to it. */
export interface Entity extends DxfRecord {
  readonly vertices: readonly DxfRecord[];
}

/** What an entity is, drawing units, in its own plane turned into the page's. */
export interface Outline {
  readonly line: Line;
  readonly closed: boolean;
}

const rad = (degrees: number): number => ((degrees % 360) * Math.PI) / 180;

/** Pairs of values of two codes, as points. */
const pointsOf = (record: DxfRecord, x: number, y: number): [number, number][] => {
  const ys = numbersOf(record, y);
  return numbersOf(record, x).map((value, i) => [value, ys[i] ?? 0]);
};

/** Outlines of one entity; null for what is none. */
export function outlinesOf(entity: Entity): Outline[] | null {
  const made = ownOutlines(entity);
  if (made === null) return null;
  return isTurnedOver(entity) ? made.map(({ line, closed }) => ({ line: mirrored(line), closed })) : made;
}

/** Entities whose points count in the page's own frame, whatever their plane. */
const IN_WORLD = new Set(['LINE', 'SPLINE', 'ELLIPSE', '3DFACE', 'MESH', 'POINT']);

/** Whether an entity lies in a plane that looks down: x then counts the other way. */
export const isTurnedOver = (entity: DxfRecord): boolean =>
  !IN_WORLD.has(entity.type) && Math.abs(numberOf(entity, 210)) < EPSILON_MM && numberOf(entity, 230, 1) < 0;

/** Whether an entity lies in a plane that is neither the page nor its back. */
export const isTilted = (entity: DxfRecord): boolean =>
  Math.abs(numberOf(entity, 210)) > EPSILON_MM || Math.abs(numberOf(entity, 220)) > EPSILON_MM;

/** Whether a polyline is drawn with a width. */
export const isBroad = (entity: DxfRecord): boolean =>
  (entity.type === 'LWPOLYLINE' && [43, 40, 41].some((code) => numberOf(entity, code) > 0)) ||
  (entity.type === 'POLYLINE' && [40, 41].some((code) => numberOf(entity, code) > 0));

const mirrored = (line: Line): Line => line.map((v, i) => (i % 2 ? v : -v));

function ownOutlines(entity: Entity): Outline[] | null {
  const one = (line: Line, closed = false): Outline[] => [{ line, closed }];
  const centre = [numberOf(entity, 10), numberOf(entity, 20)] as const;
  switch (entity.type) {
    case 'LINE':
      return one([...centre, numberOf(entity, 11), numberOf(entity, 21)]);
    case 'CIRCLE':
      return one(circleArc(centre, numberOf(entity, 40), 0, 2 * Math.PI).slice(0, -2), true);
    case 'ARC': {
      const from = rad(numberOf(entity, 50));
      return one(circleArc(centre, numberOf(entity, 40), from, sweepTo(from, rad(numberOf(entity, 51, 360)))));
    }
    case 'ELLIPSE': {
      const [ax, ay] = [numberOf(entity, 11), numberOf(entity, 21)];
      const by = numberOf(entity, 40, 1) * (numberOf(entity, 230, 1) < 0 ? -1 : 1);
      const [from, to] = [numberOf(entity, 41), numberOf(entity, 42, 2 * Math.PI)];
      const sweep = sweepTo(from, to);
      const line = ellipseArc(centre, [ax, ay], [-ay * by, ax * by], from % (2 * Math.PI), sweep);
      return sweep > 2 * Math.PI - EPSILON_MM ? one(line.slice(0, -2), true) : one(line);
    }
    case 'LWPOLYLINE':
      return lightPolyline(entity);
    case 'POLYLINE':
      return polyline(entity);
    case 'SPLINE':
      return spline(entity);
    case 'SOLID':
    case 'TRACE': {
      // The third and the fourth corner stand crosswise.
      const corners = [10, 11, 13, 12].filter((code) => textOf(entity, code) !== undefined);
      return one(
        corners.flatMap((code) => [numberOf(entity, code), numberOf(entity, code + 10)]),
        true,
      );
    }
    case '3DFACE': {
      const corners = [10, 11, 12, 13].filter((code) => textOf(entity, code) !== undefined);
      return one(
        corners.flatMap((code) => [numberOf(entity, code), numberOf(entity, code + 10)]),
        true,
      );
    }
    default:
      return null;
  }
}

function lightPolyline(entity: Entity): Outline[] | null {
  const vertices: { x: number; y: number; bulge: number }[] = [];
  for (const [code, text] of entity.groups) {
    const value = Number(text);
    const last = vertices.at(-1);
    if (code === 10) vertices.push({ x: value, y: 0, bulge: 0 });
    else if (last && code === 20) last.y = value;
    else if (last && code === 42) last.bulge = value;
  }
  const closed = (numberOf(entity, 70) & 1) === 1;
  return vertices.length < 2 ? null : [{ line: bulgedLine(vertices, closed), closed }];
}

/** Of a smoothed line its smooth vertices count; meshes are none. */
function polyline(entity: Entity): Outline[] | null {
  const flags = numberOf(entity, 70);
  if ((flags & (16 | 64)) !== 0) return null;
  const vertices = entity.vertices
    .filter((vertex) => (numberOf(vertex, 70) & 16) === 0)
    .map((vertex) => ({ x: numberOf(vertex, 10), y: numberOf(vertex, 20), bulge: numberOf(vertex, 42) }));
  const closed = (flags & 1) === 1;
  return vertices.length < 2 ? null : [{ line: bulgedLine(vertices, closed), closed }];
}

function spline(entity: Entity): Outline[] | null {
  const control = pointsOf(entity, 10, 20);
  const fit = pointsOf(entity, 11, 21);
  const degree = numberOf(entity, 71, 3);
  const line =
    control.length > 0
      ? splineLine({ degree, control, knots: numbersOf(entity, 40), weights: numbersOf(entity, 41) })
      : null;
  if (line) return [{ line, closed: (numberOf(entity, 70) & 1) === 1 && closesItself(line) }];
  return fit.length > 1 ? [{ line: smoothLine(fit), closed: false }] : null;
}

const closesItself = (line: Line): boolean =>
  Math.hypot(line[0]! - line.at(-2)!, line[1]! - line.at(-1)!) < EPSILON_MM * (1 + Math.abs(line[0]!));
