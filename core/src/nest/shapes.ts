import { boxOfCoordinates } from '../plane/box.ts';
import { simplifyRing } from '../plane/simplify.ts';
import { unionRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { CellShape } from '../raster/cells.ts';
import type { LaidPart, NestPart, Quarter } from './nesting.ts';

/** A part that fits a sheet, with its outlines moved out by half the gap, and its shape in each turn. */
export interface MovablePart {
  readonly part: NestPart;
  readonly rings: readonly Ring[];
  readonly shapes: readonly CellShape[];
}

/** A part that stays where it is, with its outlines there, moved out by half the gap. */
export interface FixedPart {
  readonly laid: LaidPart;
  readonly rings: readonly Ring[];
}

/** Cells that a typical part is long, and bounds for their size, mm. */
const [CELLS_A_PART, FINEST_MM, COARSEST_MM] = [45, 0.8, 4];
/** Share of the gap that cells need not be finer than. */
const SHARE_OF_GAP = 0.2;
/** Rings where a part is laid. */
export const placeRings = (rings: readonly Ring[], { turn, x, y }: LaidPart): Ring[] =>
  turnRings(rings, turn).map((ring) => ring.map((v, i) => v + (i % 2 === 0 ? x : y)));

/** The nearest size of cells, mm, of which a whole number fills a width, so that what is just as wide fits too. */
export const wholeCells = (cell: number, width: number): number => width / Math.max(1, Math.round(width / cell));

/** Size of cells, mm, in which a part of middling size is looked at in enough detail, and no more. */
export function cellFor(parts: readonly NestPart[], gap: number): number {
  const sizes = parts
    .map(({ rings }) => {
      const box = boxOfCoordinates(rings[0] ?? new Float64Array(0));
      return Math.sqrt(Math.max(0, (box.maxX - box.minX) * (box.maxY - box.minY)));
    })
    .sort((a, b) => a - b);
  const middle = sizes[sizes.length >> 1] ?? 50;
  return Math.max(FINEST_MM, Math.min(COARSEST_MM, Math.max(middle / CELLS_A_PART, gap * SHARE_OF_GAP)));
}

/** How far round corners of what is moved out may stray, as a share of the gap; the gap is made up for it. */
export const ROUND_SHARE = 1 / 150;
/** mm. How far what lies between a part's outlines may stray: it only keeps others out. */
const ROUGH_MM = 0.3;
/** Most times that the reach doubles within which outlines of a part are put together. */
const MOST_REACHES = 7;

/**
 * Outlines moved out by half the gap. Those of a part that lie apart are put together first, so that nothing else comes
 * to lie between what is lifted with one tape: filled out as far as it takes until they are one, and drawn in again.
 *
 * @param gap mm
 * @param stray mm that outlines may be simplified by
 * @returns outer rings and holes, mm
 */
export function grownAsOne(rings: readonly Ring[], gap: number, stray: number): readonly Ring[] {
  const [first] = rings;
  if (!first) return [];
  const known = grownBefore.get(first) ?? [];
  grownBefore.set(first, known);
  const same = known.find(
    (old) =>
      old.gap === gap &&
      old.stray === stray &&
      old.rings.length === rings.length &&
      old.rings.every((ring, i) => ring === rings[i]),
  );
  if (same) return same.grown;
  const grown = growAsOne(rings, gap, stray);
  known.push({ rings, gap, stray, grown });
  if (known.length > KEPT_LISTS) known.shift();
  return grown;
}

/** Of lists that begin with the same outline, so many are kept: more would pile up while marks are moved about. */
const KEPT_LISTS = 4;
/** Outlines never change once they are made, and the same ones are planned several times: with marks and without. */
const grownBefore = new WeakMap<
  Ring,
  { rings: readonly Ring[]; gap: number; stray: number; grown: readonly Ring[] }[]
>();

function growAsOne(rings: readonly Ring[], gap: number, stray: number): readonly Ring[] {
  const plain = rings.map((ring) => simplifyRing(ring, stray));
  const grown = offsetRings(plain, gap / 2, gap * ROUND_SHARE);
  const rough = grown.flatMap(ringsOf).map((ring) => simplifyRing(ring, ROUGH_MM));
  for (let reach = gap, k = 0; grown.length > 1 && k < MOST_REACHES; reach *= 2, k++) {
    const filled = offsetRings(rough, reach, ROUGH_MM);
    if (filled.length === 1) {
      const between = offsetRings(ringsOf(filled[0]!), -reach, ROUGH_MM);
      return unionRings([...between, ...grown].flatMap(ringsOf)).flatMap(ringsOf);
    }
  }
  return grown.flatMap(ringsOf);
}

/** Rings turned by quarters about the origin. */
export const turnRings = (rings: readonly Ring[], turn: Quarter): Ring[] => rings.map((ring) => turnRing(ring, turn));

/** A ring turned by quarters about the origin. */
export function turnRing(ring: Ring, turn: Quarter): Ring {
  if (turn === 0) return ring;
  const out = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    const [x, y] = [ring[i]!, ring[i + 1]!];
    out[i] = turn === 1 ? -y : turn === 2 ? -x : y;
    out[i + 1] = turn === 1 ? x : turn === 2 ? -y : -x;
  }
  return out;
}
