/** mm. Of spots that are as near, the first counts, whatever the last digit says. */
const AS_NEAR = 1e-6;

/** The spot of a closed ring that is nearest to a point. @param ring x and y by turns */
export function nearestOnRing(
  ring: ArrayLike<number>,
  x: number,
  y: number,
): { readonly x: number; readonly y: number } {
  let best = Infinity;
  let found = { x, y };
  for (let i = 0, n = ring.length; i < n; i += 2) {
    const [ax, ay] = [ring[i]! - x, ring[i + 1]! - y];
    const [ex, ey] = [ring[(i + 2) % n]! - x - ax, ring[(i + 3) % n]! - y - ay];
    const along = Math.max(0, Math.min(1, -(ax * ex + ay * ey) / Math.max(1e-12, ex * ex + ey * ey)));
    const [dx, dy] = [ax + along * ex, ay + along * ey];
    if (Math.hypot(dx, dy) < best - AS_NEAR) [best, found] = [Math.hypot(dx, dy), { x: x + dx, y: y + dy }];
  }
  return found;
}
