/** A leftover that is worth keeping: a rectangle, or what lies inside a ring. */
export interface Leftover {
  readonly film: string;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly outline: readonly number[] | null;
  /** Film on the shelf, or offcut, that it was cut from; null when that is not known. */
  readonly of: string | null;
}

/** mm and mm². Smaller leftovers are not worth their place in the box. */
export const [SMALLEST_SIDE_MM, SMALLEST_MM2] = [30, 2500];

/** Whether a leftover is worth its place in the box. */
export const isWorthKeeping = (length: number, width: number): boolean =>
  Math.min(length, width) >= SMALLEST_SIDE_MM && length * width >= SMALLEST_MM2;

/** What stays of a rectangle when another is cut from its corner by straight cuts: the way that leaves the largest. */
export function restsOf(length: number, width: number, l: number, w: number): [number, number][] {
  const ways: [number, number][][] = [
    [[length - l, width], [l, width - w]], // prettier-ignore
    [[length, width - w], [length - l, w]], // prettier-ignore
  ];
  const largest = (way: [number, number][]): number => Math.max(...way.map(([a, b]) => a * b));
  return largest(ways[0]!) >= largest(ways[1]!) ? ways[0]! : ways[1]!;
}
