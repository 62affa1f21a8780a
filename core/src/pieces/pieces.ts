import type { PlacedItem } from '../layout/place.ts';
import { copyOfGroup } from '../layout/place.ts';
import { layerOf } from '../layers/layer.ts';
import { SEAM_SNAP_MM } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxHeight, boxOfCoordinates, boxOfRings, boxWidth, touchingBunches } from '../plane/box.ts';
import { fitRing } from '../plane/fit.ts';
import type { Path } from '../plane/path.ts';
import { resampleRing } from '../plane/resample.ts';
import { intersectRings, unionRings } from '../polygon/boolean.ts';
import { nestRings } from '../polygon/hole-assignment.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { PanelFrame } from '../seam/panel-frame.ts';
import type { SeamPath } from '../seam/path.ts';
import { seamAt } from '../seam/path.ts';
import type { PieceSlits } from './slits.ts';
import { figureParts } from './figures.ts';

/** One connected area of film, on the flat and on the side. */
export interface Piece {
  readonly id: string;
  readonly itemIds: readonly string[];
  readonly film: string;
  /** At which level of its film it stands: 0 where that stands once, or lowest. */
  readonly level: number;
  /** Which sheet it is cut from: empty for a whole wrap, otherwise a panel, band or gore, or the spares. */
  readonly part: string;
  /** Cut beside the wrap, to replace what gets lost; it has no place on the blank. */
  readonly spare: boolean;
  /** Where a spare that was left off at an edge is laid by hand: azimuth in rad, its top and middle mm down the band. */
  readonly goesTo?: { readonly azimuth: number; readonly top: number; readonly middle: number };
  /** Of a figure that is cut and laid by itself: no seam, wrap or panel is asked of it. */
  readonly byItself: boolean;
  /** Flat outline ready to cut: outer ring first, then counters; mm. */
  readonly paths: readonly Path[];
  /** The same as points, mm. */
  readonly flat: Polygon;
  /** On the side, unrolled as [azimuth · meanRadius, −slant], mm; for pictures and judgement, never for cutting. */
  readonly unrolled: Polygon;
  readonly flatBox: Box;
  /** Smallest ranges on the side: azimuth in rad, slant in mm. */
  readonly azimuths: readonly [number, number];
  readonly slants: readonly [number, number];
  readonly areaMm2: number;
  /** Which end of its panel cuts it, if any. */
  readonly cutAt: 'left' | 'right' | 'both' | null;
  /** Whether it is cut where two bands meet, one above the other. */
  readonly cutAcross: boolean;
  /** Slits in its edge, where it has some. */
  readonly slits?: PieceSlits;
}

/** The frame that pieces are made in. */
export interface PieceFrame {
  /** What the side is cut into. */
  readonly panels: readonly PanelFrame[];
  /** mm. Radius by which azimuths are stretched while outlines are combined. */
  readonly meanRadius: number;
  /** mm. Length of the side. */
  readonly side: number;
  /** Copies that a seam cuts and that are not simply cut there: mm of overlap, or `null` to leave them off. */
  readonly atSeam?: (itemId: string, copy: number) => number | null | undefined;
  /** mm by which a turn of a group's film is longer than one of the film that the panels are for; 0 when left out. */
  readonly longerBy?: (film: string, itemId: string, group: number) => number;
}

/**
 * Fuses placed outlines, cuts them at the ends of the panels and develops them.
 *
 * Items of one film in a keep-together group are fused with each other; within an item overlaps are fused when the item
 * says so, otherwise every glyph stays its own outline.
 *
 * @param placed items on the side; each group of rings is clean film: outer rings counter-clockwise, holes clockwise
 * @param frame panels, and the radius of the working plane
 * @returns pieces panel by panel, in the order of the items
 */
export function makePieces(placed: readonly PlacedItem[], frame: PieceFrame): Piece[] {
  const pieces: Piece[] = [];
  const sets = fuseSets(placed, frame.longerBy);
  const cutters = frame.panels.map((panel, index): Cutter => ({
    frame,
    panel,
    index,
    window: windowOf(panel, frame, 0),
    layFor: layOnFilm(panel),
  }));
  for (const cutter of cutters) for (const set of sets) if (set.part === null) pieces.push(...piecesOfSet(set, cutter));
  for (const set of sets) if (set.part !== null) pieces.push(...piecesOfFigure(set, cutters, set.part));
  return pieces;
}

/**
 * A figure that is laid by itself: whole, whatever seam it lies across, developed with the panel that its middle lies on.
 */
function piecesOfFigure(set: FuseSet, cutters: readonly Cutter[], part: string): Piece[] {
  const all = boxOfRings(set.groups.flat());
  const middle = { azimuth: (all.minX + all.maxX) / 2, slant: (all.minY + all.maxY) / 2 };
  const at = placeOn(cutters, middle);
  const { meanRadius } = at.cutter.frame;
  const inPlane = set.groups.map((group) =>
    group.map((ring) => ring.map((v, i) => (i % 2 === 0 ? (v + at.turn) * meanRadius : -v))),
  );
  const boxes = inPlane.map(boxOfRings);
  const pieces: Piece[] = [];
  for (const bunch of set.fuse ? touchingBunches(boxes) : inPlane.map((_, i) => [i])) {
    const rings = bunch.flatMap((g) => inPlane[g]!);
    const main = bunch.reduce((a, b) => (sizeOf(boxes[b]!) > sizeOf(boxes[a]!) ? b : a));
    for (const polygon of bunch.length === 1 ? nestRings(rings) : unionRings(rings)) {
      const id = `${set.idStart}:${pieces.length}`;
      const piece = developPiece(polygon, at.cutter, at.cutter.layFor(set.longer[main]!), id, set, true);
      pieces.push({ ...piece, part, byItself: true });
    }
  }
  return pieces;
}

/** The panel that a spot lies on, and by how much it is turned to lie there: whole turns, rad. */
function placeOn(
  cutters: readonly Cutter[],
  { azimuth, slant }: { readonly azimuth: number; readonly slant: number },
): { readonly cutter: Cutter; readonly turn: number } {
  const level = cutters.filter(({ panel }) => slant >= panel.slant[0] && slant <= panel.slant[1]);
  for (const cutter of level.length > 0 ? level : cutters) {
    const { left, right } = cutter.panel;
    if (left === null || right === null) return { cutter, turn: 0 };
    const from = seamAt(left, slant);
    const turn = 2 * Math.PI * Math.ceil((from - azimuth) / (2 * Math.PI));
    if (azimuth + turn <= seamAt(right, slant)) return { cutter, turn };
  }
  return { cutter: level[0] ?? cutters[0]!, turn: 0 };
}

/** One panel, with what of the working plane it shows. */
interface Cutter {
  readonly frame: PieceFrame;
  readonly panel: PanelFrame;
  readonly index: number;
  readonly window: Window;
  /** The panel for film that is longer by some millimetres a turn. */
  readonly layFor: (girthMm: number) => PanelFrame;
}

/** Each length is worked out once: most pieces of a film lie on the same. */
function layOnFilm(panel: PanelFrame): Cutter['layFor'] {
  const known = new Map<number, PanelFrame>();
  return (girthMm) => {
    const key = Math.round(girthMm * 1e4) / 1e4;
    if (key === 0 || !panel.longerBy) return panel;
    const made = known.get(key) ?? panel.longerBy(key);
    known.set(key, made);
    return made;
  };
}

function piecesOfSet(set: FuseSet, cutter: Cutter): Piece[] {
  const { frame, panel, index, window } = cutter;
  const pieces: Piece[] = [];
  const [plain, lapped]: [{ rings: Ring[]; longer: number }[], { rings: Ring[]; longer: number; mm: number }[]] = [
    [],
    [],
  ];
  set.groups.forEach((group, g) => {
    const longer = set.longer[g]!;
    for (const rings of intoWindow(group, frame, panel, window.reach)) {
      const choice = set.copies[g] && frame.atSeam?.(set.copies[g].itemId, set.copies[g].copy);
      if (choice === undefined || contains(window.within, boxOfRings(rings))) plain.push({ rings, longer });
      else if (choice !== null) lapped.push({ rings, longer, mm: choice });
    }
  });
  const start = index === 0 ? set.idStart : `${set.idStart}:p${index + 1}`;
  const add = (polygon: Polygon, whole: boolean, longer: number): void => {
    pieces.push(developPiece(polygon, cutter, cutter.layFor(longer), `${start}:${pieces.length}`, set, whole));
  };
  const boxes = plain.map(({ rings }) => boxOfRings(rings));
  for (const bunch of set.fuse ? touchingBunches(boxes) : plain.map((_, i) => [i])) {
    const whole = bunch.length === 1 && contains(window.within, boxes[bunch[0]!]!);
    // A group alone in the window is film already; only what overlaps or is cut has to be combined.
    const polygons = whole
      ? nestRings(plain[bunch[0]!]!.rings)
      : intersectRings(
          bunch.flatMap((g) => plain[g]!.rings),
          [window.ring],
        );
    // What is fused is laid as its largest part lies.
    const main = bunch.reduce((a, b) => (sizeOf(boxes[b]!) > sizeOf(boxes[a]!) ? b : a));
    for (const polygon of polygons) add(polygon, whole, plain[main]!.longer);
  }
  // What laps at the seam is cut by itself, a little further out on one side.
  for (const { rings, mm, longer } of lapped)
    for (const polygon of intersectRings(rings, [windowOf(panel, frame, mm).ring])) add(polygon, false, longer);
  return pieces;
}

const sizeOf = (box: Box): number => boxWidth(box) * boxHeight(box);

const contains = (outer: Box, inner: Box): boolean =>
  inner.minX >= outer.minX && inner.maxX <= outer.maxX && inner.minY >= outer.minY && inner.maxY <= outer.maxY;

interface FuseSet {
  readonly film: string;
  readonly level: number;
  readonly fuse: boolean;
  readonly itemIds: string[];
  /** What the ids of its pieces begin with. */
  readonly idStart: string;
  readonly groups: (readonly Ring[])[];
  /** mm by which a turn of each group's film is longer. */
  readonly longer: number[];
  /** Its own sheet, where it is laid by itself; null where it goes on with the whole. */
  readonly part: string | null;
  /** Which copy of which item each group belongs to. */
  readonly copies: { readonly itemId: string; readonly copy: number }[];
}

function fuseSets(placed: readonly PlacedItem[], longerBy: PieceFrame['longerBy']): FuseSet[] {
  const sets = new Map<string, FuseSet>();
  const partOf = figureParts(placed);
  for (const one of placed) {
    const { item, groups, filmOf, levelOf } = one;
    groups.forEach((group, i) => {
      const film = filmOf?.[i] ?? item.film;
      const level = levelOf?.[i] ?? 0;
      const layer = layerOf({ film, level });
      const own = filmOf || level > 0 ? `${item.id}:${layer}` : item.id;
      const copy = copyOfGroup(one, i);
      const part = partOf(item, copy);
      const kept = item.keepTogether === null ? `item:${own}` : `group:${layer}:${item.keepTogether}`;
      const key = part === null ? kept : `${kept}|${part}`;
      const set = sets.get(key) ?? {
        film,
        level,
        fuse: item.fuse || item.keepTogether !== null,
        itemIds: [],
        idStart: part === null ? own : `${own}:${copy + 1}`,
        part,
        groups: [],
        longer: [],
        copies: [],
      };
      if (set.itemIds.at(-1) !== item.id) set.itemIds.push(item.id);
      set.groups.push(group);
      set.longer.push(longerBy?.(film, item.id, i) ?? 0);
      set.copies.push({ itemId: item.id, copy });
      sets.set(key, set);
    });
  }
  return [...sets.values()];
}

/** The part of the working plane that the wrap shows. */
interface Window {
  readonly ring: Ring;
  /** Box round the window. */
  readonly reach: Box;
  /** Largest box inside it: what lies in here is not cut. */
  readonly within: Box;
}

/**
 * A panel in the working plane; past the band's edges its ends run on, so that overhang is seen, not lost.
 *
 * @param lap mm that the right end reaches further
 */
function windowOf(panel: PanelFrame, { meanRadius, side }: PieceFrame, lap: number): Window {
  const far = 20 * (Math.PI * meanRadius + side);
  const { left, right } = panel;
  const high = panel.slant[0] === -Infinity ? 4 * side : -panel.slant[0];
  const low = panel.slant[1] === Infinity ? -5 * side : -panel.slant[1];
  const edge = (path: SeamPath | null, beyond: number, more: number): number[] => {
    if (!path) return [beyond, high, beyond, low];
    const inside = path.slants
      .map((slant, i) => [path.azimuths[i]! * meanRadius + more, -slant] as const)
      .filter(([, y]) => y < high && y > low);
    const end = (y: number): number => seamAt(path, -y) * meanRadius + more;
    return [end(high), high, ...inside.flat(), end(low), low];
  };
  const a = edge(left, -far, 0);
  const b = edge(right, far, lap);
  const reversed: number[] = [];
  for (let i = b.length - 2; i >= 0; i -= 2) reversed.push(b[i]!, b[i + 1]!);
  const ring = Float64Array.from([...a, ...reversed]);
  const reach = boxOfCoordinates(ring);
  const within = { ...reach, minX: boxOfCoordinates(a).maxX, maxX: boxOfCoordinates(b).minX };
  return { ring, reach, within };
}

/** Copies of a group a whole turn apart, as many as reach into the window, in the working plane. */
function intoWindow(
  rings: readonly Ring[],
  { meanRadius }: PieceFrame,
  { left, right }: PanelFrame,
  window: Box,
): Ring[][] {
  const closed = left !== null && right !== null;
  const turn = 2 * Math.PI * meanRadius;
  const box = boxOfRings(rings);
  const copies: Ring[][] = [];
  const first = !closed ? 0 : Math.ceil((window.minX - box.maxX * meanRadius) / turn);
  const last = !closed ? 0 : Math.floor((window.maxX - box.minX * meanRadius) / turn);
  for (let k = first; k <= last; k++)
    copies.push(
      rings.map((ring) => {
        const copy = new Float64Array(ring.length);
        for (let i = 0; i < ring.length; i += 2) {
          copy[i] = ring[i]! * meanRadius + k * turn;
          copy[i + 1] = -ring[i + 1]!;
        }
        return copy;
      }),
    );
  return copies;
}

function developPiece(
  unrolled: Polygon,
  { frame }: Cutter,
  panel: PanelFrame,
  id: string,
  set: FuseSet,
  whole: boolean,
): Piece {
  const { meanRadius } = frame;
  let cutLeft = false;
  let cutRight = false;
  let cutAcross = false;
  const develop = (ring: Ring): Ring => resampleRing(ring, (x, y, out) => panel.forwardInto(x / meanRadius, -y, out));
  const flatRings = ringsOf(unrolled).map(develop);
  const paths = flatRings.map((ring) => {
    if (whole) return fitRing(ring);
    const ends = onEnds(ring, panel, meanRadius);
    cutLeft ||= ends.left.some(Boolean);
    cutRight ||= ends.right.some(Boolean);
    cutAcross ||= ends.across.some(Boolean);
    return fitRing(ring, undefined, (i) => ends.left[i]! || ends.right[i]! || ends.across[i]!);
  });
  const flat: Polygon = { outer: flatRings[0]!, holes: flatRings.slice(1) };
  const box = boxOfCoordinates(unrolled.outer);
  return {
    id,
    itemIds: set.itemIds,
    film: set.film,
    level: set.level,
    part: panel.part,
    spare: false,
    byItself: false,
    paths,
    flat,
    unrolled,
    flatBox: boxOfCoordinates(flat.outer),
    azimuths: [box.minX / meanRadius, box.maxX / meanRadius],
    slants: [-box.maxY, -box.minY],
    areaMm2: polygonArea(flat),
    cutAt: cutLeft && cutRight ? 'both' : cutLeft ? 'left' : cutRight ? 'right' : null,
    cutAcross,
  };
}

/** Which points of a developed ring were put on an end of its panel by the cut. */
function onEnds(
  ring: Ring,
  panel: PanelFrame,
  meanRadius: number,
): { left: boolean[]; right: boolean[]; across: boolean[] } {
  const out = { left: [] as boolean[], right: [] as boolean[], across: [] as boolean[] };
  const on = (path: SeamPath | null, azimuth: number, slant: number): boolean =>
    path !== null && Math.abs(azimuth - seamAt(path, slant)) * meanRadius < SEAM_SNAP_MM;
  for (let i = 0; i < ring.length; i += 2) {
    const spot = panel.inverse(ring[i]!, ring[i + 1]!);
    out.left.push(spot !== null && on(panel.left, spot.azimuth, spot.slant));
    out.right.push(spot !== null && on(panel.right, spot.azimuth, spot.slant));
    out.across.push(spot !== null && panel.slant.some((end) => Math.abs(spot.slant - end) < SEAM_SNAP_MM));
  }
  return out;
}
