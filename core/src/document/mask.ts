import { NO_ACTS } from '../artwork/acts.ts';
import type { ArtworkItem, MotifItem } from '../artwork/item.ts';
import { newMotif } from './new-project.ts';

/** mm of mask round a design, so that gel, grit or paint does not get past its edge. */
export const MASK_MARGIN_MM = 12;
/** Share of the way round past which a mask goes all round. */
const ALL_ROUND = 0.8;

/** Where an item lies on the side, as it was placed. */
export interface MaskedItem {
  readonly itemId: string;
  readonly copies: readonly number[];
  readonly widthMm: number;
  /** Highest and lowest film, mm from the rim edge. */
  readonly slants: readonly [number, number] | null;
}

/**
 * A mask plate round the artwork that there is: it reaches up to the rim edge, to be aligned by, and `MASK_MARGIN_MM`
 * past the design elsewhere; the design is cut out of it, and what lies in its openings (the counters) stays as islands.
 *
 * @param items the artwork
 * @param placed where it lies
 * @param side length of the side and the girth half-way down, mm
 * @param film of the mask
 * @param id of the plate
 * @returns all items, which now only shape the plate, and the plate; the same items when nothing is placed
 */
export function maskRound(
  items: readonly ArtworkItem[],
  placed: readonly MaskedItem[],
  side: { readonly length: number; readonly girth: number },
  film: string,
  id: string,
): readonly ArtworkItem[] {
  const seen = placed.filter((p) => p.slants !== null && items.some((item) => item.id === p.itemId));
  if (seen.length === 0) return items;
  const perRad = side.girth / (2 * Math.PI);
  const spans = seen.flatMap((p) =>
    p.copies.map((azimuth) => [azimuth * perRad - p.widthMm / 2, azimuth * perRad + p.widthMm / 2] as const),
  );
  const [low, high] = [Math.min(...spans.map(([a]) => a)), Math.max(...spans.map(([, b]) => b))];
  const lowest = Math.max(...seen.map((p) => p.slants![1]));
  const height = Math.min(side.length, lowest + MASK_MARGIN_MM);
  const width = high - low + 2 * MASK_MARGIN_MM;
  const round = width > ALL_ROUND * side.girth;
  const plate: MotifItem = {
    ...newMotif(id, 'plate', film),
    widthMm: round ? side.girth : width,
    heightMm: height,
    running: 'level',
    repeat: round ? { mode: 'joined', count: 1 } : { mode: 'once', count: 1 },
    placement: {
      facing: 'angle',
      angleDeg: round ? 0 : (((low + high) / 2 / perRad) * 180) / Math.PI,
      from: 'rim',
      mm: 0,
      turnDeg: 0,
    },
    acts: { ...NO_ACTS, cutAway: seen.map((p) => p.itemId) },
  };
  return [...items.map((item) => ({ ...item, acts: { ...item.acts, shapesOnly: true } })), plate];
}
