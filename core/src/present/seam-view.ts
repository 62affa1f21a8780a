import type { Wrap } from '../pieces/wrap.ts';
import type { Point } from '../plane/point.ts';
import { resampleRing } from '../plane/resample.ts';
import { intersectRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { seamOnFlat } from '../seam/panel-frame.ts';
import { seamAt, turnSeam } from '../seam/path.ts';

/** A piece near a seam as it will look on the blank: rings in mm about the seam, x right, y up. */
export interface SeamViewPiece {
  readonly pieceId: string;
  readonly film: string;
  readonly rings: readonly Ring[];
}

/** Both sides of a seam brought together. */
export interface SeamView {
  /** Azimuth of its middle, rad: what the picture is centred on. */
  readonly azimuth: number;
  /** The seam itself, mm. */
  readonly line: readonly Point[];
  /** What the readings may miss by at this seam, one sigma, to scale: as wide as the gap, or the overlap, that they let one expect. */
  readonly spread: readonly Point[];
  readonly pieces: readonly SeamViewPiece[];
}

/**
 * Both ends that meet at a seam brought together, as they will meet on the blank.
 *
 * @param wrap pieces and seams
 * @param index which of the seams
 * @param halfWidth how much to show on each side of the seam, mm at the mean radius
 * @returns a flat picture whose front meridian (x = 0) is the middle of the seam
 */
export function seamView(wrap: Wrap, index: number, halfWidth: number): SeamView {
  const { meanRadius: radius, surface, seams } = wrap;
  const { path } = seams[index]!;
  const azimuth = seamAt(path, surface.slantLength / 2);
  const tall = 4 * surface.slantLength;
  const clip = Float64Array.from([-halfWidth, -tall, halfWidth, -tall, halfWidth, tall, -halfWidth, tall]);
  const pieces: SeamViewPiece[] = [];
  for (const piece of wrap.pieces)
    // What ends at the seam at the back lies a whole turn on.
    for (const centre of [azimuth, azimuth + 2 * Math.PI]) {
      const shift = centre * radius;
      if (
        piece.spare ||
        piece.azimuths[1] * radius < shift - halfWidth ||
        piece.azimuths[0] * radius > shift + halfWidth
      )
        continue;
      const moved = ringsOf(piece.unrolled).map((ring) => ring.map((value, i) => (i % 2 ? value : value - shift)));
      for (const polygon of intersectRings(moved, [clip])) {
        const rings = ringsOf(polygon).map((ring) =>
          resampleRing(ring, (x, y, to) => surface.forwardInto(x / radius, -y, to), 0.05),
        );
        pieces.push({ pieceId: piece.id, film: piece.film, rings });
      }
    }
  const home = turnSeam(path, -azimuth);
  // Panels share what the whole way round may miss by.
  const { gapRim, gapBase } = wrap.errors;
  const half = (slant: number): number => {
    const gap = (gapRim + ((gapBase - gapRim) * slant) / surface.slantLength) / seams.length;
    return gap / 2 / Math.max(1, surface.radiusAt(slant));
  };
  const side = (sign: 1 | -1): Point[] => [
    ...seamOnFlat(
      surface,
      turnSeam(home, (slant) => sign * half(slant)),
      0,
    ),
  ];
  return {
    azimuth,
    line: seamOnFlat(surface, home, 0),
    spread: [...side(-1), ...side(1).reverse()],
    pieces,
  };
}
