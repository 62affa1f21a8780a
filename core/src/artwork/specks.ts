import { boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import { flattenPath } from '../plane/flatten.ts';
import { parsePathData } from '../plane/path-data.ts';
import { pathData } from '../plane/path-text.ts';
import { ringContains } from '../polygon/polygon.ts';
import type { ArtItem } from './item.ts';

/**
 * A colour of a drawing without its specks.
 *
 * @param item as it is placed
 * @param leastMm mm across, both ways, on the blank; what is smaller goes, with what is inside it
 * @returns the same item when it has none, or nothing but specks
 */
export function withoutSpecksOf(item: ArtItem, leastMm: number): ArtItem {
  const paths = parsePathData(item.pathData);
  const rings = paths.map((path) => flattenPath(path));
  const scaleX = item.widthMm / item.drawn.widthMm;
  const scaleY = item.heightMm === null ? scaleX : item.heightMm / item.drawn.heightMm;
  const small = rings.map((ring) => {
    const box = boxOfCoordinates(ring);
    return Math.max(boxWidth(box) * scaleX, boxHeight(box) * scaleY) < leastMm;
  });
  // Outlines lie apart or one inside another: a small one inside a larger one is a counter, and stays.
  const round = (i: number): number[] =>
    rings.flatMap((other, k) => (k !== i && ringContains(other, rings[i]![0]!, rings[i]![1]!) ? [k] : []));
  const kept = paths.filter((_, i) => {
    const outside = round(i);
    return !(small[i]! && outside.length % 2 === 0) && !outside.some((k) => small[k]!);
  });
  if (kept.length === 0 || kept.length === paths.length) return item;
  return { ...item, pathData: kept.map((path) => pathData(path)).join('') };
}
