import type { FontBook } from '../artwork/font.ts';
import type { OpenJoin } from '../artwork/joins.ts';
import type { ArtworkItem, Facing, Placement } from '../model/item.ts';
import type { Hand } from '../model/job.ts';
import type { Box } from '../plane/box.ts';
import { boxHeight, boxOfRings, boxWidth, isEmptyBox } from '../plane/box.ts';
import { resampleRing } from '../plane/resample.ts';
import type { Ring } from '../polygon/polygon.ts';
import { mirrorRing } from '../polygon/polygon.ts';
import type { Development } from '../surface/development.ts';
import { type ItemOutlines, boxOfTurned, inkOf, itemOutlines } from './item-outlines.ts';

/** An item on the side: where it sits, and its outlines as [azimuth, slant] rings, groups copy by copy; each group is clean film. */
export interface PlacedItem {
  readonly item: ArtworkItem;
  readonly azimuth: number;
  readonly slant: number;
  readonly box: Box;
  /** What is really cut of one copy, with all that is done to its outlines, mm from the middle of `box`; null when nothing is. */
  readonly ink: Box | null;
  /** The same before it is turned: along its own line and across it, mm. */
  readonly own: { readonly alongMm: number; readonly acrossMm: number };
  /** Highest and lowest film on the side, slant in mm; null when there is nothing to cut. */
  readonly slants: readonly [number, number] | null;
  /** Azimuth of the centre of each copy, rad, not reduced to one turn. */
  readonly copies: readonly number[];
  readonly groups: readonly (readonly Ring[])[];
  /** Each copy of a scatter as it lies; null for all else. */
  readonly spots: readonly PlacedSpot[] | null;
  /** Copies that are left off at an edge, as they would lie: they are cut beside the wrap. */
  readonly off: readonly { readonly groups: readonly (readonly Ring[])[]; readonly film: string }[];
  /** Film of each group, where copies are on several; null when all are on the item's own. */
  readonly filmOf: readonly string[] | null;
  /** At which level of its film each group stands, 0 lowest; null while films stand once. */
  readonly levelOf: readonly number[] | null;
  readonly missingLetters: readonly string[];
  /** Whether its own font is not there and another stands in. */
  readonly fontMissing: boolean;
  /** Height of a flat capital, mm; null for motifs. */
  readonly capHeight: number | null;
  /** mm between two words that are set round a circle; null for all else. */
  readonly ringRoom: number | null;
  /** Where words of a joined script fall apart. */
  readonly openJoins: readonly OpenJoin[];
  /** Radius of the side at its middle, mm. */
  readonly radius: number;
  /** mm. How far the ends of a rigid item leave the level line through its middle; 0 otherwise. */
  readonly rigidSag: number;
}

/** One copy of a scatter. */
export interface PlacedSpot {
  /** rad from the front, and mm down the band. */
  readonly azimuth: number;
  readonly slant: number;
  readonly turnDeg: number;
  readonly size: number;
  readonly film: string;
  readonly pinned: boolean;
}

/**
 * Azimuth of a stated facing. The front lies opposite the handle. A right-handed drinker has the handle on the right
 * and so looks at the spot a quarter turn to the right of the front (seen from the front); the room looks at the other.
 *
 * @param facing in words, or `angle`
 * @param angleDeg degrees round from the front, for `angle`
 * @param hand which hand holds the handle
 * @returns azimuth in radians, in (−π, π]
 */
export function azimuthOfFacing(facing: Facing, angleDeg: number, hand: Hand): number {
  const quarter = hand === 'right' ? Math.PI / 2 : -Math.PI / 2;
  if (facing === 'front') return 0;
  if (facing === 'drinker' || facing === 'faces') return quarter;
  if (facing === 'room') return -quarter;
  const turned = (angleDeg * Math.PI) / 180;
  return turned - 2 * Math.PI * Math.ceil((turned - Math.PI) / (2 * Math.PI));
}

/**
 * Slant of an item's middle from its stated placement.
 *
 * @param placement where it is measured from and how far, mm
 * @param height of the item's ink, mm
 * @param slantLength of the band, mm
 */
export function slantOfPlacement(placement: Placement, height: number, slantLength: number): number {
  if (placement.from === 'rim') return placement.mm + height / 2;
  if (placement.from === 'base') return slantLength - placement.mm - height / 2;
  return slantLength / 2 + placement.mm;
}

/** How often an item comes round at even spacing: both faces lie opposite each other. */
function copiesRound({ repeat, placement }: ArtworkItem): number {
  if (repeat.mode === 'scattered') return 1;
  if (repeat.mode === 'once') return placement.facing === 'faces' ? 2 : 1;
  return Math.max(1, Math.round(repeat.count));
}

/**
 * Lays an item on the side of a blank.
 *
 * @param item what and where
 * @param surface the band
 * @param fonts the shipped fonts, loaded
 * @param hand which hand holds the handle
 * @returns rings in [azimuth rad, slant mm]; azimuths may pass ±π, where the seam will cut them
 * @source round: θ = θc + x/r(v_c); level: θ = θc + x/r(v); both v = v_c − y; rigid: the flat plane itself
 */
export function placeItem(item: ArtworkItem, surface: Development, fonts: FontBook, hand: Hand): PlacedItem {
  const count = copiesRound(item);
  const step = (2 * Math.PI) / count;
  const azimuth = azimuthOfFacing(item.placement.facing, item.placement.angleDeg, hand);
  const turn = (item.placement.turnDeg * Math.PI) / 180;
  const joined = item.repeat.mode === 'joined';
  const middle = (draft: ItemOutlines): number => {
    const box = joined ? draft.box : boxOfTurned(draft, turn);
    return slantOfPlacement(item.placement, box.maxY - box.minY, surface.slantLength);
  };
  let draft = itemOutlines(item, fonts, 10);
  let slant = middle(draft);
  // A drawing that keeps its shape is as high as its pitch is long, and its pitch hangs on the height at which it lies.
  if (joined && item.type === 'art' && item.heightMm === null)
    for (let i = 0; i < PITCH_STEPS; i++) {
      draft = itemOutlines(item, fonts, Math.max(1, surface.radiusAt(slant)) * step);
      slant = middle(draft);
    }
  const radius = Math.max(1, surface.radiusAt(slant));
  const { outlines, box, ink } = inkOf(
    joined ? itemOutlines(item, fonts, radius * step) : draft,
    joined ? 0 : turn,
    item.acts,
  );
  const running = joined ? 'round' : item.running;
  const copies = Array.from({ length: count }, (_, i) => azimuth + i * step);
  const other =
    item.repeat.mode !== 'joined' && item.repeat.alternate ? ink.map((rings) => rings.map(mirrorRing)) : ink;
  const groups = copies.flatMap((centre, i) =>
    (i % 2 ? other : ink).map((rings) => rings.map((ring) => layRing(ring, running, surface, centre, slant, radius))),
  );
  const half = (box.maxX - box.minX) / 2;
  const cut = boxOfRings(ink.flat());
  const own = boxOfRings(outlines.groups.flat());
  return {
    item,
    azimuth,
    slant,
    slants: slantRange(groups),
    box: { minX: -half, maxX: half, minY: (box.minY - box.maxY) / 2, maxY: (box.maxY - box.minY) / 2 },
    ink: isEmptyBox(cut) ? null : cut,
    own: isEmptyBox(own) ? { alongMm: 0, acrossMm: 0 } : { alongMm: boxWidth(own), acrossMm: boxHeight(own) },
    copies,
    groups,
    filmOf: null,
    levelOf: null,
    spots: null,
    off: [],
    missingLetters: outlines.missingLetters,
    fontMissing: outlines.fontMissing ?? false,
    capHeight: outlines.capHeight,
    ringRoom: outlines.ringRoom ?? null,
    openJoins: outlines.openJoins ?? [],
    radius,
    rigidSag: running === 'rigid' ? rigidSag(surface, slant, half) : 0,
  };
}

/** Steps by which the height of a joined drawing and its pitch come to agree: on a cone each leaves a tenth of the last. */
const PITCH_STEPS = 8;

/** Which copy of its item a group of rings belongs to: groups come copy by copy, alike in number. */
export const copyOfGroup = ({ groups, copies }: Pick<PlacedItem, 'groups' | 'copies'>, group: number): number =>
  Math.floor((group * copies.length) / groups.length);

/** Groups of one copy of an item. */
export const groupsOfCopy = (placed: PlacedItem, copy: number): (readonly Ring[])[] =>
  placed.groups.filter((_, i) => copyOfGroup(placed, i) === copy);

/** Highest and lowest of some rings on the side, slant in mm; null when there are none. */
export function slantRange(groups: readonly (readonly Ring[])[]): [number, number] | null {
  const box = boxOfRings(groups.flat());
  return isEmptyBox(box) ? null : [box.minY, box.maxY];
}

/** Lays a ring of an item about a middle on the side; [azimuth, slant]. */
export function layRing(
  ring: Ring,
  running: ArtworkItem['running'],
  surface: Development,
  centre: number,
  slant: number,
  radius: number,
): Ring {
  // Resampled in [r·θ, v] so that the error is in millimetres; turned into [θ, v] at the end.
  const laid = resampleRing(ring, (x, y, out) => {
    if (running === 'rigid') {
      // The plane is laid unbent at the front meridian of a surface turned so that the item's middle is in front.
      const spot = surface.onward(x, y - slant, 1.5 * Math.PI);
      out[0] = (spot ? spot.azimuth : x / radius) * radius;
      out[1] = spot ? spot.slant : slant - y;
    } else {
      const v = slant - y;
      out[0] = running === 'round' ? x : (x / Math.max(1, surface.radiusAt(v))) * radius;
      out[1] = v;
    }
  });
  for (let i = 0; i < laid.length; i += 2) laid[i] = centre + laid[i]! / radius;
  return laid;
}

/** How far the end of a straight line of half length `half`, laid unbent, leaves the level through its middle, mm. */
function rigidSag(surface: Development, slant: number, half: number): number {
  const spot = surface.onward(half, -slant, 1.5 * Math.PI);
  return spot ? Math.abs(spot.slant - slant) : 0;
}
