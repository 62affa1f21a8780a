import type { Polygon } from '../../src/polygon/polygon.ts';

/** A shape whose strain on a ball is kept. */
export interface RelaxedShape {
  readonly name: string;
  /** Whether it has sharp inner corners, which the forecast does not see. */
  readonly corners: boolean;
  readonly polygon: () => Polygon;
}

const ring = (radius: number, turn: 1 | -1, n = 240): Float64Array =>
  Float64Array.from({ length: 2 * n }, (_, i) => {
    const angle = (turn * 2 * Math.PI * Math.floor(i / 2)) / n;
    return radius * (i % 2 ? Math.sin(angle) : Math.cos(angle));
  });
const plain = (outer: readonly number[] | Float64Array): Polygon => ({ outer: Float64Array.from(outer), holes: [] });
const rect = (w: number, h: number): number[] => [-w / 2, -h / 2, w / 2, -h / 2, w / 2, h / 2, -w / 2, h / 2];
const star = (points: number, far: number, near: number): number[] =>
  Array.from({ length: 2 * points }, (_, i) => {
    const [r, angle] = [i % 2 ? near : far, (Math.PI * i) / points];
    return [r * Math.cos(angle), r * Math.sin(angle)];
  }).flat();
const cross = (a: number, w: number): number[] => [w, -a, w, -w, a, -w, a, w, w, w, w, a, -w, a, -w, w, -a, w, -a, -w, -w, -w, -w, -a]; // prettier-ignore

export const SHAPES_RELAXED: readonly RelaxedShape[] = [
  { name: 'disk', corners: false, polygon: () => plain(ring(15, 1)) },
  { name: 'square', corners: false, polygon: () => plain(rect(26, 26)) },
  { name: 'oblong', corners: false, polygon: () => plain(rect(36, 20)) },
  { name: 'bar', corners: false, polygon: () => plain(rect(60, 8)) },
  { name: 'hexagon', corners: false, polygon: () => plain(star(3, 16, 16)) },
  { name: 'broad ring', corners: false, polygon: () => ({ outer: ring(16, 1), holes: [ring(5, -1)] }) },
  { name: 'ring', corners: false, polygon: () => ({ outer: ring(16, 1), holes: [ring(8, -1)] }) },
  { name: 'star of five', corners: true, polygon: () => plain(star(5, 22, 22 * 0.382)) },
  { name: 'blunt star of five', corners: true, polygon: () => plain(star(5, 20, 10)) },
  { name: 'long cross', corners: true, polygon: () => plain(cross(30, 5)) },
  { name: 'short cross', corners: true, polygon: () => plain(cross(15, 5)) },
];
