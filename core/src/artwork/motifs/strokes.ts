/** Pieces of path data that several motifs are drawn from; y down. Outer outlines run clockwise, holes the other way. */

const n = (value: number): string => String(Number(value.toFixed(3)));

/** A full circle; a hole when `hole`. */
export function circle(cx: number, cy: number, r: number, hole = false): string {
  const sweep = hole ? 0 : 1;
  return `M${n(cx - r)} ${n(cy)}A${n(r)} ${n(r)} 0 1 ${sweep} ${n(cx + r)} ${n(cy)}A${n(r)} ${n(r)} 0 1 ${sweep} ${n(cx - r)} ${n(cy)}Z`;
}

/** Straight from point to point and back. */
export function polygon(...points: readonly (readonly [number, number])[]): string {
  return `M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`;
}

/** Points round a middle: `radii` are taken in turn, the first straight up. */
export function rays(count: number, radii: readonly number[], cx = 0, cy = 0): string {
  const total = count * radii.length;
  return polygon(
    ...Array.from({ length: total }, (_, i): [number, number] => {
      const angle = (2 * Math.PI * i) / total;
      const r = radii[i % radii.length]!;
      return [cx + r * Math.sin(angle), cy - r * Math.cos(angle)];
    }),
  );
}

/** A leaf from one point to another, `bulge` of its length broad on each side. */
export function leafBetween(from: readonly [number, number], to: readonly [number, number], bulge: number): string {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const [ox, oy] = [-dy * bulge * 1.34, dx * bulge * 1.34];
  const side = (sign: 1 | -1, a: readonly [number, number], b: readonly [number, number]): string =>
    `C${n(a[0] + (b[0] - a[0]) * 0.3 + sign * ox)} ${n(a[1] + (b[1] - a[1]) * 0.3 + sign * oy)} ${n(a[0] + (b[0] - a[0]) * 0.7 + sign * ox)} ${n(a[1] + (b[1] - a[1]) * 0.7 + sign * oy)} ${n(b[0])} ${n(b[1])}`;
  return `M${n(from[0])} ${n(from[1])}${side(-1, from, to)}${side(1, to, from)}Z`;
}

/** A bar from one point to another with straight ends. */
export function bar(from: readonly [number, number], to: readonly [number, number], width: number): string {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  const [ox, oy] = [(-dy / length) * (width / 2), (dx / length) * (width / 2)];
  return polygon(
    [from[0] - ox, from[1] - oy],
    [to[0] - ox, to[1] - oy],
    [to[0] + ox, to[1] + oy],
    [from[0] + ox, from[1] + oy],
  );
}
