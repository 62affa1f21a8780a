import type { Point } from '../../plane/point.ts';
import { type Foreground, type Raster } from '../../raster/foreground.ts';
import type { PhotoAxis } from './axis.ts';
import type { EdgeRow } from './rows.ts';

export function directionOf({ top, foot }: PhotoAxis): { dx: number; dy: number } {
  const length = Math.hypot(foot.x - top.x, foot.y - top.y);
  return { dx: (foot.x - top.x) / length, dy: (foot.y - top.y) / length };
}

/** Point of the axis at a height in the picture. */
export function pointAlong({ top, foot }: PhotoAxis, y: number): Point {
  const t = (y - top.y) / (foot.y - top.y);
  return { x: top.x + (foot.x - top.x) * t, y };
}

/**
 * Edges to both sides, across the axis, a px apart along it. `along` counts from the level of the picture's middle, in px
 * along the axis as it stands in the picture's rows.
 */
export function edgesAcross(front: Foreground, axis: PhotoAxis, { width, height }: Raster): EdgeRow[] {
  const { dx, dy } = directionOf(axis);
  const rows: EdgeRow[] = [];
  const at = (x: number, y: number): number => bilinear(front.distance, width, height, x, y);
  const isIn = (x: number, y: number): boolean => {
    const [px, py] = [Math.round(x), Math.round(y)];
    return px >= 0 && py >= 0 && px < width && py < height && front.mask[py * width + px] === 1;
  };
  for (let y = 0; y < height; y++) {
    const foot = pointAlong(axis, y);
    const side = (sign: 1 | -1): number | null => {
      // From outside in: the first pixel of the thing's mask.
      let reach = Math.hypot(width, height) / 2;
      while (reach > 0 && !isIn(foot.x + sign * reach * dy, foot.y - sign * reach * dx)) reach -= 1;
      if (reach <= 1) return null;
      return crossing((r) => at(foot.x + sign * r * dy, foot.y - sign * r * dx), reach);
    };
    const [right, left] = [side(1), side(-1)];
    if (right !== null && left !== null) rows.push({ along: y - height / 2, left, right });
  }
  return rows;
}

/** Where the axis enters and leaves the thing, between pixels. */
export function endsOf(
  front: Foreground,
  axis: PhotoAxis,
  { width, height }: Raster,
  rows: readonly EdgeRow[],
): readonly [number, number] {
  const level = (y: number): number => bilinear(front.distance, width, height, pointAlong(axis, y).x, y);
  const [first, last] = [rows[0]!.along, rows.at(-1)!.along].map((along) => along + height / 2) as [number, number];
  const middle = (first + last) / 2;
  const top = crossing((r) => level(middle - r), middle - first);
  const foot = crossing((r) => level(middle + r), last - middle);
  return [middle - top - height / 2, middle + foot - height / 2];
}

/** Where the step from background to thing is half done, near a distance from the axis. */
function crossing(level: (r: number) => number, near: number): number {
  const inside = (level(near - 5) + level(near - 7) + level(near - 9)) / 3;
  const outside = (level(near + 6) + level(near + 8) + level(near + 10)) / 3;
  const half = (inside + outside) / 2;
  for (let r = near + 5; r > near - 6; r -= 0.5) {
    const [a, b] = [level(r), level(r - 0.5)];
    if (a < half && b >= half) return r - (0.5 * (half - a)) / (b - a);
  }
  return near + 0.5;
}

function bilinear(values: Float32Array, width: number, height: number, x: number, y: number): number {
  const cx = Math.max(0, Math.min(width - 1.001, x));
  const cy = Math.max(0, Math.min(height - 1.001, y));
  const [x0, y0] = [Math.floor(cx), Math.floor(cy)];
  const [fx, fy] = [cx - x0, cy - y0];
  const i = y0 * width + x0;
  return (
    (values[i]! * (1 - fx) + values[i + 1]! * fx) * (1 - fy) +
    (values[i + width]! * (1 - fx) + values[i + width + 1]! * fx) * fy
  );
}
