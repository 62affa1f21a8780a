import { gaussianOf } from '../flat/curvature.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import type { ArtworkItem, SlitIn } from '../model/item.ts';
import type { EvenSlits } from '../model/looked.ts';
import type { Job } from '../model/job.ts';
import { boxCentre, boxOfCoordinates } from '../plane/box.ts';
import { fitRing } from '../plane/fit.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { Divided } from '../seam/divide.ts';
import { middleOf, withSlits } from './even-slits.ts';
import { LEAST_NOTCH_MM } from './mask-slits.ts';
import type { Piece } from './pieces.ts';
import { spotOf } from './spot-of-piece.ts';

/** Share of an item's largest piece from which a piece counts as one of its broad ones. */
const BROAD = 0.5;
/** Share of what is cut round a ball that laps, as in `slitsInRound`. */
const LAPS = 0.93;

/**
 * Slits the broad pieces of items from their edges, where the side curves both ways: each slit a notch as wide as film would
 * lap there. A piece that they would take apart stays as it is.
 */
export function slitItems(
  job: Pick<Job, 'blank' | 'items'>,
  wrap: FlatSide & Pick<Divided, 'frames'>,
  pieces: readonly Piece[],
): readonly Piece[] {
  const slit = new Map(job.items.flatMap((item) => (item.slitIn ? [[item.id, item] as const] : [])));
  const gaussianAt = slit.size > 0 ? gaussianOf(job, wrap) : null;
  if (!gaussianAt) return pieces;
  const largest = new Map<string, number>();
  for (const { itemIds, areaMm2 } of pieces)
    for (const id of itemIds) largest.set(id, Math.max(areaMm2, largest.get(id) ?? 0));
  return pieces.map((piece) => {
    const item = piece.itemIds.map((id) => slit.get(id)).find((one) => one !== undefined);
    if (!item?.slitIn || piece.spare || piece.slits || piece.areaMm2 < BROAD * largest.get(item.id)!) return piece;
    const even = slitsOnFlat(item.slitIn, item, wrap.frames, piece);
    if (!even) return piece;
    const gaussian = gaussianAt((piece.slants[0] + piece.slants[1]) / 2);
    const lap = gaussian > 0 ? lapOf(gaussian, middleOf(piece.flat).reach, even.count) : 0;
    const cut = withSlits(piece.flat, even, Math.max(LEAST_NOTCH_MM, lap));
    if (!cut) return piece;
    const { count } = even;
    return {
      ...piece,
      flat: cut.piece,
      paths: ringsOf(cut.piece).map((ring) => fitRing(ring)),
      flatBox: boxOfCoordinates(cut.piece.outer),
      areaMm2: polygonArea(cut.piece),
      slits: { count, wanted: count, short: 0, needed: null, lap: Math.max(LEAST_NOTCH_MM, lap) },
    };
  });
}

/** mm by which flaps lap at the edge. @source 0.93·(2π/n)(a − R sin(a/R)) */
function lapOf(gaussian: number, reach: number, count: number): number {
  const bend = 1 / Math.sqrt(gaussian);
  return LAPS * ((2 * Math.PI) / count) * (reach - bend * Math.sin(reach / bend));
}

/** Slits of an item as they run on the flat of one of its pieces; null off the side. */
export function slitsOnFlat(
  slits: SlitIn,
  item: ArtworkItem,
  frames: Divided['frames'],
  piece: Piece,
): EvenSlits | null {
  const turned = turnOnFlat(item, frames, piece);
  return turned === null
    ? null
    : { count: slits.count, deep: slits.deep, turn: (slits.fromDeg * Math.PI) / 180 + turned };
}

/** The same the other way: as an item keeps slits that run so on the flat of one of its pieces. */
export function asKept(
  { count, deep, turn }: EvenSlits,
  item: ArtworkItem,
  frames: Divided['frames'],
  piece: Piece,
): SlitIn | null {
  // prettier-ignore
  const turned = turnOnFlat(item, frames, piece);
  if (turned === null) return null;
  // One of the slits is as good a first as another.
  const [deg, pitch] = [((turn - turned) * 180) / Math.PI, 360 / count];
  return { count, deep, fromDeg: deg - pitch * Math.floor(deg / pitch) };
}

/** rad, counter-clockwise, by which an item that stands unturned is turned on the flat of one of its pieces. */
function turnOnFlat({ placement }: ArtworkItem, frames: Divided['frames'], piece: Piece): number | null {
  const { x, y } = boxCentre(piece.flatBox);
  const spot = spotOf(frames, piece, x, y);
  return spot && (placement.turnDeg * Math.PI) / 180 - spot.askew;
}
