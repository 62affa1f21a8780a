import type { Polygon } from '../src/polygon/polygon.ts';

/** mm. What shapes are laid on bends so; shallow under every one of them. */
export const REFERENCE_RADIUS = 80;
/** mm. Radius of the window over which a peak is taken: at an inner corner there is no other. */
export const WINDOW_MM = 1.5;

const round = (radius: number, n = 64): Float64Array => Float64Array.from({ length: 2 * n }, (_, i) => radius * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / n)); // prettier-ignore
const box = (width: number, height: number): number[] => [-width / 2, -height / 2, width / 2, -height / 2, width / 2, height / 2, -width / 2, height / 2]; // prettier-ignore
const solid = (outer: readonly number[] | Float64Array): Polygon => ({ outer: Float64Array.from(outer), holes: [] });
const starAt = (i: number, out: number, inner: number): number => (i % 4 < 2 ? out : inner) * (i % 2 ? Math.sin : Math.cos)(Math.PI / 2 + (Math.PI * (i >> 1)) / 5); // prettier-ignore
const [arm, half] = [11, 3];

/** Shapes that are laid by computation and by the reference. */
export const REFERENCE_SHAPES: readonly { readonly name: string; readonly piece: Polygon }[] = [
  { name: 'disk', piece: solid(round(11)) },
  { name: 'strip', piece: solid(box(40, 12)) },
  { name: 'square', piece: solid(box(20, 20)) },
  {
    name: 'ring',
    piece: {
      outer: round(12),
      holes: [
        round(7)
          .reverse()
          .map((_, i, all) => all[i % 2 ? i - 1 : i + 1]!),
      ],
    },
  },
  { name: 'star', piece: solid(Array.from({ length: 20 }, (_, i) => starAt(i, 14, 6))) },
  { name: 'cross', piece: solid([-half, -arm, half, -arm, half, -half, arm, -half, arm, half, half, half, half, arm, -half, arm, -half, half, -arm, half, -arm, -half, -half, -half]) }, // prettier-ignore
];
