import { resampleRing } from '../plane/resample.ts';
import { intersectRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { Wrap } from './derive.ts';

/** A piece near the seam as it will look on the blank: rings in mm about the seam, x right, y up. */
export interface SeamViewPiece {
  readonly pieceId: string;
  readonly film: string;
  readonly rings: readonly Ring[];
}

/**
 * Both ends of the wrap brought together, as they will meet on the blank.
 *
 * @param wrap the pieces
 * @param halfWidth how much to show on each side of the seam, mm at the mean radius
 * @returns pieces in a flat frame whose front meridian (x = 0) is the seam
 */
export function seamView(wrap: Wrap, halfWidth: number): SeamViewPiece[] {
  const { meanRadius: radius, surface } = wrap;
  const half = Math.PI * radius;
  const tall = 4 * surface.slantLength;
  const out: SeamViewPiece[] = [];
  for (const piece of wrap.pieces) {
    for (const shift of [-half, half]) {
      // Ends at azimuth +π move left by half a turn, those at −π move right; each shows only its own side.
      const low = shift < 0 ? half - halfWidth : -half;
      const high = shift < 0 ? half + wrap.template.lap : -half + halfWidth;
      if (piece.azimuths[1] * radius < low || piece.azimuths[0] * radius > high) continue;
      const clip = Float64Array.from([low, -tall, high, -tall, high, tall, low, tall]);
      for (const polygon of intersectRings(ringsOf(piece.unrolled), [clip])) {
        const rings = ringsOf(polygon).map((ring) =>
          resampleRing(ring, (x, y, to) => surface.forwardInto((x + shift) / radius, -y, to), 0.05),
        );
        out.push({ pieceId: piece.id, film: piece.film, rings });
      }
    }
  }
  return out;
}
