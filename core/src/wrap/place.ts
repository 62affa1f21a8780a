import { flattenPath } from '../plane/flatten.ts';
import { parsePathData } from '../plane/path-data.ts';
import { resampleRing } from '../plane/resample.ts';
import type { Box } from '../plane/box.ts';
import { boxOfCoordinates, EMPTY_BOX, isEmptyBox } from '../plane/box.ts';
import { ringText } from '../artwork/ring-text.ts';
import type { FontBook, FontFace } from '../artwork/font.ts';
import type { ArtItem, ArtworkItem, Facing, Placement, RingSetting, TextItem } from '../artwork/item.ts';
import { motifOutlines } from '../artwork/motifs/index.ts';
import { textOutlines } from '../artwork/text.ts';
import { FLATTEN_ERROR_MM, TILE_WELD_MM } from '../numeric/tolerances.ts';
import { unionRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { filmsOfSpots, scatterSpots } from './scatter.ts';
import type { Development } from '../surface/development.ts';

/** Which hand holds a blank with a handle. */
export type Hand = 'right' | 'left';

/** An item's outlines in its own plane, before they are laid on the side: origin at the middle of its ink, y up, mm. */
export interface ItemOutlines {
  /** Rings that belong together (one glyph, one motif), each group with non-zero fill. */
  readonly groups: readonly (readonly Ring[])[];
  /** Ink box round the origin, mm. */
  readonly box: Box;
  /** What is placed and turned, when it is not the ink of this item alone: the whole drawing that it is a colour of. */
  readonly frame: Box | null;
  readonly missingLetters: readonly string[];
  /** Height of a flat capital, mm; null for motifs. */
  readonly capHeight: number | null;
  /** mm between two words that are set round a circle. */
  readonly ringRoom?: number;
}

/** An item on the side: where it sits, and its outlines as [azimuth, slant] rings, groups copy by copy; each group is clean film. */
export interface PlacedItem {
  readonly item: ArtworkItem;
  readonly azimuth: number;
  readonly slant: number;
  readonly box: Box;
  /** Highest and lowest film on the side, slant in mm; null when there is nothing to cut. */
  readonly slants: readonly [number, number] | null;
  /** Azimuth of the centre of each copy, rad, not reduced to one turn. */
  readonly copies: readonly number[];
  readonly groups: readonly (readonly Ring[])[];
  /** Film of each group, where copies are on several; null when all are on the item's own. */
  readonly filmOf: readonly string[] | null;
  readonly missingLetters: readonly string[];
  /** Height of a flat capital, mm; null for motifs. */
  readonly capHeight: number | null;
  /** mm between two words that are set round a circle; null for all else. */
  readonly ringRoom: number | null;
  /** mm. How far the ends of a rigid item leave the level line through its middle; 0 otherwise. */
  readonly rigidSag: number;
}

/**
 * Outlines of one copy of an item in its own plane.
 *
 * @param item text or motif
 * @param fonts the shipped fonts, loaded
 * @param pitch mm from copy to copy at the item's centre line; joined tiles are stretched to it
 */
export function itemOutlines(item: ArtworkItem, fonts: FontBook, pitch: number): ItemOutlines {
  if (item.type === 'text') {
    const face = fonts[item.font];
    if (item.ring) return ringOutlines(item, face, item.ring);
    let cap = item.size.by === 'cap' ? item.size.mm : 20;
    let text = textOutlines(item.text, face, cap, item.letterGapMm);
    const box = boxOfGroups(text.glyphs);
    if (item.size.by === 'width' && box.maxX > box.minX) {
      // Letter gaps do not scale with the letters: solve the cap height for letters alone, gaps kept as typed.
      const gaps = item.letterGapMm * Math.max(0, longestLine(item.text) - 1);
      const letters = Math.max(1e-6, box.maxX - box.minX - gaps);
      cap = Math.max(0.5, (20 * (item.size.mm - gaps)) / letters);
      text = textOutlines(item.text, face, cap, item.letterGapMm);
    }
    return { ...centred(text.glyphs, item.mirrored), frame: null, missingLetters: text.missing, capHeight: cap };
  }
  if (item.type === 'art') return artOutlines(item, pitch);
  const natural = motifOutlines(item.motif, 1).box;
  const joined = item.repeat.mode === 'joined';
  const width = joined ? pitch + 2 * TILE_WELD_MM : item.widthMm;
  const scaleX = width / (natural.maxX - natural.minX);
  const scaleY =
    item.heightMm === null
      ? item.widthMm / (natural.maxX - natural.minX)
      : item.heightMm / (natural.maxY - natural.minY);
  const { rings } = motifOutlines(item.motif, 1 / Math.max(scaleX, scaleY));
  const scaled = rings.map((ring) => ring.map((value, i) => value * (i % 2 ? scaleY : scaleX)));
  return { ...centred([scaled], item.mirrored), frame: null, missingLetters: [], capHeight: null };
}

/** Words round a circle; its middle is what is placed. */
function ringOutlines(item: TextItem, face: FontFace, ring: RingSetting): ItemOutlines {
  const cap = item.size.by === 'cap' ? item.size.mm : 10;
  const { groups, missing, frame, room } = ringText(
    item.text,
    face,
    cap,
    item.letterGapMm,
    ring,
    item.font === 'script',
  );
  const flipped = item.mirrored ? groups.map((g) => g.map((r) => reversed(r.map((v, i) => (i % 2 ? v : -v))))) : groups;
  return { groups: flipped, box: frame, frame, missingLetters: missing, capHeight: cap, ringRoom: room };
}

/** A colour of a drawing, in the frame of the whole drawing, so that all its colours fall in their places. */
function artOutlines(item: ArtItem, pitch: number): ItemOutlines {
  const joined = item.repeat.mode === 'joined';
  const width = joined ? pitch + 2 * TILE_WELD_MM : item.widthMm;
  const scaleX = width / item.drawn.widthMm;
  const scaleY = item.heightMm === null ? item.widthMm / item.drawn.widthMm : item.heightMm / item.drawn.heightMm;
  const flip = item.mirrored ? -1 : 1;
  const fine = FLATTEN_ERROR_MM / Math.max(scaleX, scaleY);
  const rings = parsePathData(item.pathData).map((path) =>
    flattenPath(path, fine).map((value, i) => (i % 2 ? value * scaleY : flip * value * scaleX)),
  );
  const half = { x: width / 2, y: (item.drawn.heightMm * scaleY) / 2 };
  const frame = { minX: -half.x, maxX: half.x, minY: -half.y, maxY: half.y };
  // A mirrored outline runs the other way round; film is to the left of it again when it is read backwards.
  const groups = [item.mirrored ? rings.map(reversed) : rings];
  return { groups, box: frame, frame, missingLetters: [], capHeight: null };
}

function reversed(ring: Ring): Ring {
  const out = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    out[i] = ring[ring.length - 2 - i]!;
    out[i + 1] = ring[ring.length - 1 - i]!;
  }
  return out;
}

const longestLine = (text: string): number => Math.max(...text.split(/\r?\n/).map((line) => [...line].length));

function centred(groups: readonly (readonly Ring[])[], mirrored: boolean): Pick<ItemOutlines, 'groups' | 'box'> {
  const box = boxOfGroups(groups);
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  const flip = mirrored ? -1 : 1;
  const moved = groups.map((rings) =>
    rings.map((ring) => ring.map((value, i) => (i % 2 ? value - cy : flip * (value - cx)))),
  );
  return { groups: moved, box: { minX: box.minX - cx, maxX: box.maxX - cx, minY: box.minY - cy, maxY: box.maxY - cy } };
}

function boxOfGroups(groups: readonly (readonly Ring[])[]): Box {
  const box = groups.flat().reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
  return isEmptyBox(box) ? { minX: 0, minY: 0, maxX: 0, maxY: 0 } : box;
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
  if (facing === 'drinker') return quarter;
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
  const count =
    item.repeat.mode === 'once' || item.repeat.mode === 'scattered' ? 1 : Math.max(1, Math.round(item.repeat.count));
  const step = (2 * Math.PI) / count;
  const azimuth = azimuthOfFacing(item.placement.facing, item.placement.angleDeg, hand);
  // A joined tile's height does not depend on the pitch, so the middle can be found before the radius there.
  const draft = itemOutlines(item, fonts, 10);
  const turn = (item.placement.turnDeg * Math.PI) / 180;
  const turnedBox = item.repeat.mode === 'joined' ? draft.box : boxOfTurned(draft, turn);
  const slant = slantOfPlacement(item.placement, turnedBox.maxY - turnedBox.minY, surface.slantLength);
  const radius = Math.max(1, surface.radiusAt(slant));
  const joined = item.repeat.mode === 'joined';
  const { outlines, box, ink } = inkOf(joined ? itemOutlines(item, fonts, radius * step) : draft, joined ? 0 : turn);
  const running = joined ? 'round' : item.running;
  const copies = Array.from({ length: count }, (_, i) => azimuth + i * step);
  const groups = copies.flatMap((centre) =>
    ink.map((rings) => rings.map((ring) => layRing(ring, running, surface, centre, slant, radius))),
  );
  const half = (box.maxX - box.minX) / 2;
  return {
    item,
    azimuth,
    slant,
    slants: slantRange(groups),
    box: { minX: -half, maxX: half, minY: (box.minY - box.maxY) / 2, maxY: (box.maxY - box.minY) / 2 },
    copies,
    groups,
    filmOf: null,
    missingLetters: outlines.missingLetters,
    capHeight: outlines.capHeight,
    ringRoom: outlines.ringRoom ?? null,
    rigidSag: running === 'rigid' ? rigidSag(surface, slant, half) : 0,
  };
}

/** An item's ink about the middle of what is placed, turned and clean: what is laid at every copy. */
function inkOf(
  outlines: ItemOutlines,
  turn: number,
): { outlines: ItemOutlines; box: Box; ink: readonly (readonly Ring[])[] } {
  const turned = turn === 0 ? outlines.groups : turnGroups(outlines.groups, turn);
  const box = outlines.frame ? boxOfFrame(outlines.frame, turn) : boxOfGroups(turned);
  // The middle of the turned ink is what is placed, so that its top is where it was said to be.
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  // Cleaned once, before the copies: what a font or a drawing overlaps within one glyph is then film already.
  const ink = turned.map((group) =>
    unionRings(group)
      .flatMap(ringsOf)
      .map((ring) => ring.map((value, i) => (i % 2 ? value - cy : value - cx))),
  );
  return { outlines, box, ink };
}

/** What is scattered over the side, and what it keeps clear of. */
export interface ScatterRoom {
  readonly closed: boolean;
  /** mm from the rim edge and the base edge, and from the edge of a face. */
  readonly rim: number;
  readonly base: number;
  /** mm that the handle and its clearance take at the back; 0 for none. */
  readonly handle: number;
  /** Whether a middle may lie there, mm from the front and down; of a round face. */
  readonly holds: ((x: number, y: number, reach: number) => boolean) | null;
  /** What is placed already. */
  readonly others: readonly PlacedItem[];
}

/**
 * Scatters copies of an item over the side, clear of its zones, of what is placed already and of the seam, so that the
 * spacing runs on across the seam and no copy is cut by it.
 *
 * @param item with `repeat.mode` scattered
 * @param room zones and what is in the way
 */
export function scatterItem(
  item: ArtworkItem,
  surface: Development,
  fonts: FontBook,
  hand: Hand,
  room: ScatterRoom,
): PlacedItem {
  const one = placeItem(item, surface, fonts, hand);
  const side = surface.slantLength;
  // Room is counted where the side is narrowest: elsewhere there is only more of it.
  const narrow = Math.min(...[0, 0.25, 0.5, 0.75, 1].map((share) => surface.radiusAt(share * side)));
  const { seed, gapMm, films } = item.repeat.scatter ?? { seed: 1, gapMm: 3, films: [] };
  const [width, height] = [one.box.maxX - one.box.minX, one.box.maxY - one.box.minY];
  const half = Math.PI * narrow - width / 2 - (room.closed ? Math.max(room.handle / 2, 0.5) : 0);
  const edge = room.closed ? 0 : room.base;
  const period = room.closed ? 2 * Math.PI * narrow : null;
  const reach = Math.hypot(width, height) / 2;
  const spots = scatterSpots(
    {
      period,
      x: [-half + edge, half - edge],
      y: [room.rim + height / 2 + edge, side - height / 2 - (room.closed ? room.base : edge)],
      width,
      height,
      gap: gapMm,
      taken: room.others.flatMap((other) =>
        other.slants
          ? other.copies.map((azimuth) => ({
              x: [azimuth * narrow + other.box.minX, azimuth * narrow + other.box.maxX] as const,
              y: other.slants!,
            }))
          : [],
      ),
      ...(room.holds ? { holds: (x: number, y: number) => room.holds!(x, y, reach + room.base) } : {}),
    },
    item.repeat.count,
    seed,
  );
  const { ink } = inkOf(itemOutlines(item, fonts, 10), (item.placement.turnDeg * Math.PI) / 180);
  const laid = spots.map(({ x, y }) =>
    ink.map((rings) =>
      rings.map((ring) => layRing(ring, item.running, surface, x / narrow, y, Math.max(1, surface.radiusAt(y)))),
    ),
  );
  const groups = laid.flat();
  const chosen = filmsOfSpots(spots, [item.film, ...films.filter((film) => film !== item.film)], period);
  return {
    ...one,
    groups,
    copies: spots.map(({ x }) => x / narrow),
    slants: slantRange(groups),
    filmOf: laid.flatMap((copy, i) => copy.map(() => chosen[i]!)),
  };
}

function slantRange(groups: readonly (readonly Ring[])[]): [number, number] | null {
  const box = groups.flat().reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
  return isEmptyBox(box) ? null : [box.minY, box.maxY];
}

function turnGroups(groups: readonly (readonly Ring[])[], turn: number): Ring[][] {
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  return groups.map((rings) =>
    rings.map((ring) => {
      const out = new Float64Array(ring.length);
      for (let i = 0; i < ring.length; i += 2) {
        out[i] = cos * ring[i]! - sin * ring[i + 1]!;
        out[i + 1] = sin * ring[i]! + cos * ring[i + 1]!;
      }
      return out;
    }),
  );
}

/** Box round a frame that is turned. */
function boxOfFrame({ maxX, maxY }: Box, turn: number): Box {
  const [cos, sin] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  const [x, y] = [maxX * cos + maxY * sin, maxX * sin + maxY * cos];
  return { minX: -x, maxX: x, minY: -y, maxY: y };
}

const boxOfTurned = (outlines: ItemOutlines, turn: number): Box =>
  outlines.frame
    ? boxOfFrame(outlines.frame, turn)
    : turn === 0
      ? outlines.box
      : boxOfGroups(turnGroups(outlines.groups, turn));

function layRing(
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
      const spot = surface.inverse(x, y - slant, 1.5 * Math.PI);
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
  const spot = surface.inverse(half, -slant, 1.5 * Math.PI);
  return spot ? Math.abs(spot.slant - slant) : 0;
}
