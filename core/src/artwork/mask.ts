import { NO_ACTS } from './acts.ts';
import type { ArtworkItem, MotifItem } from '../model/item.ts';
import { newMotif } from './new-item.ts';

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

/** Which part of a design a mask leaves open: the figure itself, or the ground round it. */
export type MaskOpens = 'figure' | 'ground';

/** How far a mask goes: up to the rim edge, where it is aligned; a border round the design; or over the whole side. */
export type MaskReach = 'rim' | 'border' | 'side';

/** mm of open ground round a design whose figure is kept. */
const GROUND_MM = 6;

/** The side of a blank as a mask needs it: its length, and its radius by slant, mm. */
export interface MaskedSide {
  readonly length: number;
  readonly radiusAt: (slant: number) => number;
}

/** A rectangle on the side. */
interface Field {
  readonly widthMm: number;
  readonly topMm: number;
  readonly heightMm: number;
  readonly angleDeg: number;
  /** Whether it goes all round. */
  readonly round: boolean;
}

/** The rectangle round what is placed, `margin` past it, and as far as it is to reach; null when nothing is. */
function fieldRound(placed: readonly MaskedItem[], side: MaskedSide, margin: number, reach: MaskReach): Field | null {
  const seen = placed.flatMap(({ slants, copies, widthMm }) => (slants ? [{ slants, copies, widthMm }] : []));
  if (seen.length === 0) return null;
  if (reach === 'side') {
    const widthMm = 2 * Math.PI * side.radiusAt(side.length / 2);
    return { widthMm, topMm: 0, heightMm: side.length, angleDeg: 0, round: true };
  }
  const topMm = reach === 'rim' ? 0 : Math.max(0, Math.min(...seen.map((p) => p.slants[0])) - margin);
  const bottom = Math.min(side.length, Math.max(...seen.map((p) => p.slants[1])) + margin);
  // Counted round where the mask's own middle lies: there it is laid out from.
  const perRad = side.radiusAt((topMm + bottom) / 2);
  const spans = seen.flatMap((p) =>
    p.copies.map((azimuth) => [azimuth * perRad - p.widthMm / 2, azimuth * perRad + p.widthMm / 2] as const),
  );
  const [low, high] = [Math.min(...spans.map(([a]) => a)), Math.max(...spans.map(([, b]) => b))];
  const width = high - low + 2 * margin;
  const girth = 2 * Math.PI * perRad;
  const round = width > ALL_ROUND * girth;
  return {
    widthMm: round ? girth : width,
    topMm,
    heightMm: bottom - topMm,
    angleDeg: round ? 0 : (((low + high) / 2 / perRad) * 180) / Math.PI,
    round,
  };
}

/** A plate that covers a field. */
function plateOver(field: Field, id: string, film: string, cutAway: readonly string[]): MotifItem {
  return {
    ...newMotif(id, 'plate', film),
    widthMm: field.widthMm,
    heightMm: field.heightMm,
    running: 'level',
    repeat: field.round ? { mode: 'joined', count: 1 } : { mode: 'once', count: 1 },
    placement: { facing: 'angle', angleDeg: field.angleDeg, from: 'rim', mm: field.topMm, turnDeg: 0 },
    acts: { ...NO_ACTS, cutAway, ...(cutAway.length > 0 ? { slits: true } : {}) },
  };
}

/**
 * A mask of the artwork that there is: a plate `MASK_MARGIN_MM` past the design, up to the rim edge, to be aligned by, or
 * over the whole side. Opening the figure, the design is cut out of it, and its counters stay as islands. Opening the ground, the
 * plate has a clear field in which the design itself stays as film.
 *
 * @param items the artwork
 * @param placed where it lies
 * @param side of the blank
 * @param film of the mask
 * @param id of the plate
 * @param opens what is etched, blasted or painted
 * @param reach how far the plate goes
 * @returns all items and the plate; the same items when nothing is placed
 */
export function maskRound(
  items: readonly ArtworkItem[],
  placed: readonly MaskedItem[],
  side: MaskedSide,
  film: string,
  id: string,
  opens: MaskOpens = 'figure',
  reach: MaskReach = 'rim',
): readonly ArtworkItem[] {
  const seen = placed.filter((p) => p.slants !== null && items.some((item) => item.id === p.itemId));
  const design =
    opens === 'figure' ? fieldRound(seen, side, MASK_MARGIN_MM, reach) : fieldRound(seen, side, GROUND_MM, 'border');
  if (!design) return items;
  if (opens === 'figure') {
    const plate = plateOver(
      design,
      id,
      film,
      seen.map((p) => p.itemId),
    );
    return [...items.map((item) => ({ ...item, acts: { ...item.acts, shapesOnly: true } })), plate];
  }
  // What is open, as a plate that is not cut itself; the mask is round it, and the design is film in it.
  const field = plateOver(design, `${id}-field`, film, []);
  const frame = fieldRound(seen, side, GROUND_MM + MASK_MARGIN_MM, reach)!;
  const plate = { ...plateOver(frame, id, film, [field.id]), keepTogether: id };
  return [
    ...items.map((item) => ({ ...item, film, keepTogether: id })),
    { ...field, acts: { ...field.acts, shapesOnly: true } },
    plate,
  ];
}

/** The mask plate among some items, if there is one. */
export const maskPlate = (items: readonly ArtworkItem[]): MotifItem | null => items.find(isMask) ?? null;

/** Whether an item is a mask plate, which comes off again. */
export const isMask = (item: ArtworkItem): item is MotifItem =>
  item.type === 'motif' && item.motif === 'plate' && item.acts.cutAway.length > 0;

/** How far a mask plate goes, told by where it lies. */
function reachOf({ placement, heightMm }: MotifItem, side: MaskedSide): MaskReach {
  if (placement.from === 'rim' && placement.mm > 0.05) return 'border';
  return heightMm !== null && heightMm >= side.length - 0.05 ? 'side' : 'rim';
}

/** A part of the side that a mask leaves bare, and that is taped off by hand; mm. */
export interface BareArea {
  readonly where: 'above' | 'below' | 'beside';
  readonly widthMm: number;
  readonly heightMm: number;
}

/**
 * What of the side a mask plate leaves bare: a band above it, a band below it, and what is beside it.
 *
 * @param plate as it lies
 * @param side of the blank
 */
export function bareRound(plate: MaskedItem, side: MaskedSide): BareArea[] {
  if (!plate.slants) return [];
  const [top, foot] = [Math.max(0, plate.slants[0]), Math.min(side.length, plate.slants[1])];
  const round = (slant: number): number => 2 * Math.PI * side.radiusAt(slant);
  const areas: BareArea[] = [
    { where: 'above', widthMm: round(top / 2), heightMm: top },
    { where: 'beside', widthMm: round((top + foot) / 2) - plate.widthMm * plate.copies.length, heightMm: foot - top },
    { where: 'below', widthMm: round((foot + side.length) / 2), heightMm: side.length - foot },
  ];
  return areas.filter(({ widthMm, heightMm }) => widthMm > BARE_MM && heightMm > BARE_MM);
}

/** mm. A bare strip that is narrower is no strip. */
const BARE_MM = 0.5;

/** A mask plate made large enough for what it goes round as that lies now; it keeps its film, its reach and all else. */
export function refitMask(
  plate: MotifItem,
  placed: readonly MaskedItem[],
  side: MaskedSide,
  margin = MASK_MARGIN_MM,
): MotifItem {
  const field = fieldRound(placed, side, margin, reachOf(plate, side));
  if (!field) return plate;
  const { widthMm, heightMm, placement, repeat } = plateOver(field, plate.id, plate.film, []);
  return { ...plate, widthMm, heightMm, placement, repeat };
}
