import type { DrawnSolid } from './drawn.ts';
import { NOTHING_DRAWN } from './drawn.ts';
import { EXACT } from './flattening.ts';
import type { Face, Solid } from './solid.ts';
import { unrolledFace } from './solid.ts';
import type { Asked, TapePlace } from './tape-place.ts';

/** What is kept of a lid, mm; its hole lies `holeUp` above its middle. */
export interface DiskData {
  readonly across: number;
  readonly hole: number;
  readonly holeUp: number;
}

/** A lid or coaster. */
export function diskSolid({ across, hole, holeUp }: DiskData): Solid {
  const face = { round: true, hole: hole > 0 ? { across: hole, up: holeUp } : null, patch: false };
  const drawn = { ...NOTHING_DRAWN, body: 'slab', side: across, width: across, round: true, hole: [hole, holeUp] } as const; // prettier-ignore
  return faceSolid(face, drawn, (asked) => {
    if (asked === 'across') return level([-across / 2, across / 2], -across / 2);
    if (asked === 'hole') return level([-hole / 2, hole / 2], holeUp - across / 2);
    if (asked === 'holeIn') return { lies: 'flat', x: [0, 0], y: [0, holeUp + hole / 2 - across / 2] };
    return null;
  });
}

/** What is kept of a flat side, mm. */
export interface PlaneData {
  readonly width: number;
  readonly height: number;
}

/** A side of a box, a tag. */
export function planeSolid({ width, height }: PlaneData): Solid {
  const drawn = { ...NOTHING_DRAWN, body: 'slab', side: height, width } as const;
  return faceSolid({ round: false, hole: null, patch: false }, drawn, (asked) => {
    if (asked === 'width') return level([-width / 2, width / 2], -height * 0.2);
    if (asked === 'height') return { lies: 'flat', x: [-width * 0.28, -width * 0.28], y: [-height, 0] };
    return null;
  });
}

const level = (x: readonly [number, number], y: number): TapePlace => ({ lies: 'flat', x, y: [y, y] });

/** What is flat already. */
function faceSolid(face: Face, drawn: DrawnSolid, tapeFor: (asked: Asked) => TapePlace | null): Solid {
  return {
    curved: null,
    gores: null,
    face,
    spheroid: null,
    flatten: ({ give }) => ({ ...EXACT, give }),
    unroll: () => unrolledFace(drawn.width, drawn.side),
    gaussianAt: () => null,
    drawn: () => drawn,
    tapeFor,
  };
}
