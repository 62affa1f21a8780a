import type { Lot, PartOnBoard } from '../model/laid.ts';
import type { Offcut } from '../model/stock.ts';
import { isBox } from '../nest/boxes.ts';
import { nest } from '../nest/nest.ts';
import type { LaidPart, Nesting, NestPart, NestSheet, Quarter } from '../nest/nesting.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { offsetRings } from '../polygon/offset.ts';
import { ringArea } from '../polygon/polygon.ts';
import type { FilmBlock } from './blocks.ts';
import { offcutRing } from './supply.ts';

/** mm of film round the cuts, so that the blade stays on it. */
export const BLADE_MARGIN_MM = 3;

/** What strips of a film are made from. */
export interface Room {
  /** mm that a strip cut to size may be. */
  readonly along: number;
  readonly across: number;
  /** mm that are left along boards that are begun, to be filled first; left out, none is. */
  readonly rests?: readonly number[];
  /** The smallest first. */
  readonly offcuts: readonly Offcut[];
}

/** A way to lay a film: lots, and what fits none. */
export interface LotStep {
  readonly lots: readonly Lot[];
  readonly left: readonly FilmBlock[];
}

/** How a film is laid. */
export interface LotOptions {
  readonly gapMm: number;
  readonly seed?: number;
  /** How often other ways are searched for; left out, again and again. */
  readonly searches?: number | undefined;
  /** Lots as they are, for what is fixed on them. */
  readonly like?: readonly Lot[];
}

/** Offcuts that are thought of at once, when none holds everything. */
const MOST_OFFCUTS = 6;
/** Plans that are looked at before an offcut counts as too small: by size, pushed together, and by length. */
const OFFCUT_TRIES = 3;

/**
 * Lays the parts of one film: on the smallest offcut that holds them all, else on what offcuts hold of them, and the rest
 * on strips cut to size.
 *
 * @param blocks parts of one film
 * @returns yields better and better ways; `null` whenever one may stop in between; a film of one part ends at once
 */
export function* lotsOfFilm(
  blocks: readonly FilmBlock[],
  room: Room,
  { gapMm, seed = 1, like = [], searches }: LotOptions,
): Generator<LotStep | null, void> {
  const fixed = like.flatMap((lot) => lot.parts.filter((part) => part.fixed));
  const kinds = { along: room.along, across: room.across };
  const area = blocks.reduce((sum, block) => sum + areaOf(block), 0);
  const offcuts = room.offcuts.filter((o) => offcutArea(o) >= Math.min(...blocks.map(areaOf)));
  if (fixed.length === 0) {
    if (blocks.length === 1) {
      yield singleLot(blocks[0]!, kinds, offcuts);
      return;
    }
    for (const offcut of offcuts.filter((o) => offcutArea(o) >= area)) {
      let [tries, taken] = [0, false];
      for (const plan of nest(partsOf(blocks), [sheetOf(offcut)], { gapMm, seed, searches })) {
        // More than one sheet means that one does not do.
        const does = plan?.left.length === 0 && plan.alongUsed.length === 1;
        taken ||= does;
        if (!taken && ++tries >= OFFCUT_TRIES) break;
        // Once it does, what is laid closer leaves more of it.
        if (taken) yield does ? lotsOfPlan(plan, blocks, kinds, [offcut]) : null;
      }
      if (taken) return;
    }
  }
  const some = offcuts.slice(-MOST_OFFCUTS);
  const at = BLADE_MARGIN_MM;
  const load: NestSheet = { id: 'load', acrossMm: room.across - 2 * at, alongMm: room.along - 2 * at };
  const begun = (room.rests ?? [])
    .map((mm, i): NestSheet => ({
      id: `begun-${i}`,
      acrossMm: load.acrossMm,
      alongMm: Math.min(mm - 2 * at, load.alongMm),
      free: true,
    })) // prettier-ignore
    .filter(({ alongMm }) => alongMm > 0);
  const sheets = [...some.map((o) => ({ ...sheetOf(o), free: true })), ...begun, load];
  const stay = fixedOn(like, blocks, some);
  for (const plan of nest(partsOf(blocks), sheets, {
    gapMm,
    seed,
    fixed: stay,
    searches,
  }))
    yield plan && withSingles(lotsOfPlan(plan, blocks, kinds, some, stay), kinds);
}

/** What the nest leaves out by a hair, since it counts in cells, lies on a strip of its own where it fits by its size. */
function withSingles({ lots, left }: LotStep, room: { along: number; across: number }): LotStep {
  const single = left.map((block) => ({ block, own: singleLot(block, room, []) }));
  return {
    lots: [...lots, ...single.flatMap(({ own }) => own.lots)],
    left: single.flatMap(({ block, own }) => (own.lots.length > 0 ? [] : [block])),
  };
}

/** Whether parts are laid as boxes, which is quick. */
export const isOfBoxes = (blocks: readonly FilmBlock[]): boolean => partsOf(blocks).every(isBox);

const areaOf = ({ rings, box }: FilmBlock): number =>
  rings ? Math.abs(rings.reduce((sum, ring) => sum + ringArea(ring), 0)) : boxWidth(box) * boxHeight(box);

const offcutArea = (offcut: Offcut): number => Math.abs(ringArea(offcutRing(offcut)));

const partsOf = (blocks: readonly FilmBlock[]): NestPart[] =>
  blocks.map(({ box, rings, directional }, i) => ({
    id: String(i),
    rings: rings ?? [
      Float64Array.from([box.minX, box.minY, box.maxX, box.minY, box.maxX, box.maxY, box.minX, box.maxY]),
    ],
    turns: directional ? [0, 2] : [0, 1, 2, 3],
  }));

function sheetOf(offcut: Offcut): NestSheet {
  const at = BLADE_MARGIN_MM;
  const size = { id: offcut.id, acrossMm: offcut.widthMm - 2 * at, alongMm: offcut.lengthMm - 2 * at };
  if (!offcut.outline) return size;
  const [inside] = offsetRings([offcutRing(offcut)], -at);
  const within = inside?.outer.map((v) => v - at) ?? new Float64Array(0);
  return { ...size, within };
}

function singleLot(
  block: FilmBlock,
  { along, across }: { along: number; across: number },
  offcuts: readonly Offcut[],
): LotStep {
  const { minX, minY, maxY } = block.box;
  const wide = Math.ceil(boxWidth(block.box) + 2 * BLADE_MARGIN_MM);
  const high = Math.ceil(boxHeight(block.box) + 2 * BLADE_MARGIN_MM);
  const at = BLADE_MARGIN_MM;
  // A quarter turn counter-clockwise sends (x, y) to (−y, x).
  const as = (turned: boolean): PartOnBoard => ({
    part: block.part,
    turned,
    matrix: turned ? [0, 1, -1, 0, at + maxY, at - minX] : [1, 0, 0, 1, at - minX, at - minY],
  });
  const lotOf = (turned: boolean, offcut: Offcut | null): LotStep => {
    const used = { along: turned ? high : wide, across: turned ? wide : high };
    const size = offcut ? { along: Math.ceil(offcut.lengthMm), across: Math.ceil(offcut.widthMm) } : used;
    return { lots: [{ ...size, offcut: offcut?.id ?? null, outline: null, used, parts: [as(turned)] }], left: [] };
  };
  const fits = (turned: boolean, length: number, width: number): boolean =>
    turned ? high <= length && wide <= width && !block.directional : wide <= length && high <= width;
  for (const offcut of offcuts) {
    if (offcut.outline) continue;
    const turned = !fits(false, offcut.lengthMm, offcut.widthMm);
    if (fits(turned, offcut.lengthMm, offcut.widthMm)) return lotOf(turned, offcut);
  }
  const [straight, quarter] = [fits(false, along, across), fits(true, along, across)];
  if (!straight && !quarter) return { lots: [], left: [block] };
  return lotOf(quarter && (!straight || high < wide), null);
}

/** Quarter turns counter-clockwise as matrices. */
const TURNS: readonly (readonly [number, number, number, number])[] = [[1, 0, 0, 1], [0, 1, -1, 0], [-1, 0, 0, -1], [0, -1, 1, 0]]; // prettier-ignore

/** Which quarter turn a matrix is. */
export const turnOf = ([a, b]: PartOnBoard['matrix']): Quarter => (a > 0.5 ? 0 : b > 0.5 ? 1 : a < -0.5 ? 2 : 3);

/** Parts that are fixed on lots, as places of the nesting. */
function fixedOn(like: readonly Lot[], blocks: readonly FilmBlock[], offcuts: readonly Offcut[]): LaidPart[] {
  let fresh = 0;
  return like.flatMap((lot) => {
    const known = offcuts.findIndex(({ id }) => id === lot.offcut);
    const sheet = known >= 0 ? known : offcuts.length + fresh++;
    return lot.parts.flatMap((one): LaidPart[] => {
      const id = blocks.findIndex(({ part }) => part === one.part);
      const [, , , , e, f] = one.matrix;
      const [x, y] = [e - BLADE_MARGIN_MM, f - BLADE_MARGIN_MM];
      return one.fixed && id >= 0 ? [{ id: String(id), sheet, turn: turnOf(one.matrix), x, y }] : [];
    });
  });
}

function lotsOfPlan(
  plan: Nesting,
  blocks: readonly FilmBlock[],
  room: { along: number; across: number },
  offcuts: readonly Offcut[],
  fixed: readonly LaidPart[] = [],
): LotStep {
  const at = BLADE_MARGIN_MM;
  const stays = new Set(fixed.map(({ id }) => id));
  const lots = plan.alongUsed.flatMap((along, s): Lot[] => {
    const laid = plan.laid.filter((p) => p.sheet === s);
    if (laid.length === 0) return [];
    const reach = laid.map((p) => {
      const [, b, , d] = TURNS[p.turn]!;
      const { minX, maxX, minY, maxY } = blocks[Number(p.id)]!.box;
      return p.y + Math.max(b * minX, b * maxX) + Math.max(d * minY, d * maxY);
    });
    const parts = laid.map(({ id, turn, x, y }): PartOnBoard => {
      const [a, b, c, d] = TURNS[turn]!;
      const one: PartOnBoard = {
        part: blocks[Number(id)]!.part,
        turned: turn % 2 === 1,
        matrix: [a, b, c, d, x + at, y + at],
      };
      return stays.has(id) ? { ...one, fixed: true } : one;
    });
    const offcut = offcuts.find(({ id }) => id === plan.sheetIds[s]) ?? null;
    const most = offcut ? Math.ceil(offcut.widthMm) : room.across;
    const used = {
      along: Math.ceil(along + 2 * at - EPSILON_MM),
      across: Math.min(most, Math.ceil(Math.max(...reach) + 2 * at - EPSILON_MM)),
    };
    const size = offcut ? { along: Math.ceil(offcut.lengthMm), across: most } : used;
    return [{ ...size, offcut: offcut?.id ?? null, outline: offcut?.outline ?? null, used, parts }];
  });
  return { lots, left: plan.left.map((id) => blocks[Number(id)]!) };
}
