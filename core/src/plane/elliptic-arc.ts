import type { Segment } from './path.ts';
import type { Point } from './point.ts';

/** rad. Parts of an arc that one cubic stands for: off by less than 1e-7 of the radius. */
const PART = Math.PI / 8;

/**
 * An elliptical arc as cubics.
 *
 * @param from where it starts
 * @param radii both half-axes; taken as positive, enlarged when they do not reach
 * @param turn of the first half-axis from x, rad
 * @param large whether it is the longer way round
 * @param sweep whether the angle grows on the way
 * @param to where it ends
 * @returns cubics from `from` to `to`; a line when a half-axis is nothing, none when the ends are one
 * @source "Conversion from endpoint to center parameterization" of the SVG standard, implementation notes; cubics with
 *   handles of 4/3·tan(part/4)
 */
export function arcToCubics(
  from: Point,
  [rx, ry]: readonly [number, number],
  turn: number,
  large: boolean,
  sweep: boolean,
  to: Point,
): Segment[] {
  if (from.x === to.x && from.y === to.y) return [];
  let [a, b] = [Math.abs(rx), Math.abs(ry)];
  if (!(a > 0 && b > 0)) return [{ kind: 'line', to }];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [dx, dy] = [(from.x - to.x) / 2, (from.y - to.y) / 2];
  // The chord in the ellipse's own axes.
  const [u, v] = [cos * dx + sin * dy, cos * dy - sin * dx];
  const reach = Math.hypot(u / a, v / b);
  if (reach > 1) [a, b] = [a * reach, b * reach];
  const across = (u / a) ** 2 + (v / b) ** 2;
  const out = Math.sqrt(Math.max(0, 1 / across - 1)) * (large === sweep ? -1 : 1);
  const [cu, cv] = [(out * a * v) / b, (-out * b * u) / a];
  const centre = { x: cos * cu - sin * cv + (from.x + to.x) / 2, y: sin * cu + cos * cv + (from.y + to.y) / 2 };
  const first = Math.atan2((v - cv) / b, (u - cu) / a);
  const last = Math.atan2((-v - cv) / b, (-u - cu) / a);
  let angle = last - first;
  if (sweep && angle < 0) angle += 2 * Math.PI;
  if (!sweep && angle > 0) angle -= 2 * Math.PI;
  const parts = Math.max(1, Math.ceil(Math.abs(angle) / PART));
  const step = angle / parts;
  const handle = (4 / 3) * Math.tan(step / 4);
  const at = (t: number, along: number): Point => {
    // A place on the ellipse, and from there along its tangent.
    const [p, q] = [a * (Math.cos(t) - along * Math.sin(t)), b * (Math.sin(t) + along * Math.cos(t))];
    return { x: centre.x + cos * p - sin * q, y: centre.y + sin * p + cos * q };
  };
  return Array.from({ length: parts }, (_, i) => {
    const [start, end] = [first + i * step, first + (i + 1) * step];
    return {
      kind: 'cubic',
      c1: at(start, handle),
      c2: at(end, -handle),
      to: i === parts - 1 ? to : at(end, 0),
    };
  });
}
