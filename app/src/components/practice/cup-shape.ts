import { coneDevelopment, taperOf } from '@mivet/core';

type Cone = Parameters<typeof coneDevelopment>[0];

/** A cup seen level from its front and a little from above, in mm: x right, y down, its axis at 0 and its rim at 0. */
export interface CupShape {
  readonly body: string;
  readonly rim: { readonly rx: number; readonly ry: number };
  readonly foot: { readonly y: number; readonly rx: number; readonly ry: number };
  /** mm down from rim to foot. */
  readonly height: number;
  /** Radius at a distance along the side. */
  radiusAt(slant: number): number;
  /** Where a spot is drawn. @param azimuth rad to the right of what faces one */
  at(azimuth: number, slant: number): readonly [x: number, y: number];
}

/** How flat a round looks. */
export const FLAT = 0.16;

/** A straight or tapered cup as it is drawn. */
export function cupShape(cone: Cone): CupShape {
  const { radiusAt } = coneDevelopment(cone);
  const down = Math.sqrt(1 - taperOf(cone) ** 2);
  const height = cone.side * down;
  const [top, base] = [radiusAt(0), radiusAt(cone.side)];
  return {
    body: `M${-top} 0L${-base} ${height}A${base} ${base * FLAT} 0 0 0 ${base} ${height}L${top} 0A${top} ${top * FLAT} 0 0 1 ${-top} 0Z`,
    rim: { rx: top, ry: top * FLAT },
    foot: { y: height, rx: base, ry: base * FLAT },
    height,
    radiusAt,
    at: (azimuth, slant) => {
      const r = radiusAt(slant);
      return [r * Math.sin(azimuth), slant * down + r * FLAT * Math.cos(azimuth)];
    },
  };
}
