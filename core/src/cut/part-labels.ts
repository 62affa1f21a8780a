import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import type { CutPiece } from './order.ts';

/** What a part is called where it lies on the board. */
export interface PartLabel {
  readonly text: string;
  /** Lower left corner of the part, mm on the board. */
  readonly x: number;
  readonly y: number;
}

/** A part's name as one reads it: "tansy-side-1" is "Tansy side 1"; empty where a job is one part. */
export const partTitle = (part: string): string => {
  const words = part.replace(/-/g, ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/**
 * Where the parts of a strip lie, so that whoever weeds them knows which is which.
 *
 * @param cuts what is cut of a strip, in board millimetres
 * @returns a label for each part that has a name, in the order in which they are cut
 */
export function partLabels(cuts: readonly CutPiece[]): PartLabel[] {
  const boxes = new Map<string, typeof EMPTY_BOX>();
  for (const { part, paths } of cuts) {
    if (!part) continue;
    const points = paths.flatMap(({ start, segments }) => [start, ...segments.map(({ to }) => to)]);
    const flat = points.flatMap(({ x, y }) => [x, y]);
    boxes.set(part, boxOfCoordinates(flat, boxes.get(part) ?? EMPTY_BOX));
  }
  return [...boxes].map(([part, { minX, minY }]) => ({ text: partTitle(part), x: minX, y: minY }));
}
