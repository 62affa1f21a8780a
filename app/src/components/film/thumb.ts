import type { Box } from '@mivet/core';

const WAYS: { readonly [key: string]: readonly [number, number] } = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/**
 * Where a thumb is after a key, mm on a sheet that lies flat; null for a key that does not move it.
 *
 * @param by mm that it goes
 * @param over what it stays over
 */
export function movedThumb(
  key: string,
  { x, y }: { readonly x: number; readonly y: number },
  by: number,
  over: Box,
): { x: number; y: number } | null {
  const way = WAYS[key];
  if (!way) return null;
  const within = (v: number, least: number, most: number): number => Math.max(least, Math.min(most, v));
  return { x: within(x + way[0] * by, over.minX, over.maxX), y: within(y + way[1] * by, over.minY, over.maxY) };
}
