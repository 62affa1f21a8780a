import { EPSILON } from '../numeric/tolerances.ts';
import { boxHeight, boxOfRings, boxWidth } from '../plane/box.ts';
import { ringArea } from '../polygon/polygon.ts';
import type { LaidPart, Nesting, NestOptions, NestPart, NestSheet, Quarter } from './nesting.ts';
import { worthOf } from './plan.ts';
import { turnRings } from './shapes.ts';
import { seeded } from '../numeric/seeded.ts';

/** Share of its box that a part covers from which it is as good as one: nothing can lie in what is left. */
const BOX_SHARE = 0.97;
/** Ways to fill a sheet that are tried, of which the fullest stays. */
const TRIES = 24;
/** Whole plans that are made for one search of shapes, and without a better one before it ends by itself. */
const [PLANS_A_SEARCH, IDLE_PLANS] = [3, 400];

/** A part as its box in some turn, grown by the gap. */
interface TurnedBox {
  readonly turn: Quarter;
  readonly along: number;
  readonly across: number;
  /** What its corner is off its own origin. */
  readonly fromX: number;
  readonly fromY: number;
}

interface BoxPart {
  readonly id: string;
  readonly area: number;
  readonly long: number;
  readonly turns: readonly TurnedBox[];
}

/** Room that nothing lies on, as large as can be; free rooms overlap each other. */
interface Room {
  readonly x: number;
  readonly y: number;
  readonly along: number;
  readonly across: number;
}

interface LaidBox {
  readonly part: BoxPart;
  readonly turned: TurnedBox;
  readonly x: number;
  readonly y: number;
}

/** Whether a part is as good as a box. */
export function isBox({ rings }: Pick<NestPart, 'rings'>): boolean {
  const box = boxOfRings(rings);
  return Math.abs(rings.reduce((sum, ring) => sum + ringArea(ring), 0)) >= BOX_SHARE * boxWidth(box) * boxHeight(box);
}

/** Whether all parts are laid as boxes: exactly, and closer than in cells. Not where one is fixed or a sheet is no rectangle. */
export const areBoxes = (
  parts: readonly NestPart[],
  sheets: readonly NestSheet[],
  { fixed = [] }: NestOptions,
): boolean => fixed.length === 0 && sheets.every(({ within }) => !within) && parts.every(isBox);

/**
 * Lays boxes on as few sheets as can be: sheet by sheet, each filled in many ways of which the fullest stays, the last as
 * short as can be; then all of it again in other orders, for as long as it is asked to go on.
 *
 * @returns yields a plan whenever it is better than the last, and `null` whenever one may stop in between
 * @source maximal free rectangles: J. Jylänki, "A thousand ways to pack the bin", 2010
 */
export function* nestBoxes(
  parts: readonly NestPart[],
  sheets: readonly NestSheet[],
  { gapMm: gap, seed, searches }: NestOptions,
): Generator<Nesting | null, void> {
  const random = seeded(seed);
  const all = parts.map((part) => boxPart(part, gap));
  const fits = ({ turns }: BoxPart): boolean =>
    sheets.some((sheet) => turns.some((one) => fitsIn(one, sheet.alongMm + gap, sheet.acrossMm + gap)));
  const left = all.filter((part) => !fits(part)).map(({ id }) => id);
  const movable = all.filter(fits);
  let best: Nesting | null = null;
  const most = searches === undefined ? Infinity : Math.max(1, PLANS_A_SEARCH * searches);
  for (let round = 0, idle = 0; round < most && idle < IDLE_PLANS; round++, idle++) {
    const plan = onePlan(movable, sheets, gap, left, round === 0 ? () => 0.5 : random);
    const better = best === null || worthOf(plan, sheets) < worthOf(best, sheets) - EPSILON;
    if (better) [best, idle] = [plan, 0];
    yield better ? plan : null;
  }
}

const fitsIn = ({ along, across }: TurnedBox, room: number, wide: number): boolean =>
  along <= room + EPSILON && across <= wide + EPSILON;

function boxPart({ id, rings, turns }: NestPart, gap: number): BoxPart {
  const seen = new Set<string>();
  const turned = turns.flatMap((turn): TurnedBox[] => {
    const box = boxOfRings(turnRings(rings, turn));
    const one = { turn, along: boxWidth(box) + gap, across: boxHeight(box) + gap, fromX: box.minX, fromY: box.minY };
    // A box turned by a half is the same box.
    const key = `${one.along.toFixed(3)} ${one.across.toFixed(3)}`;
    if (seen.has(key)) return [];
    seen.add(key);
    return [one];
  });
  const [first] = turned;
  return {
    id,
    area: first!.along * first!.across,
    long: Math.max(first!.along, first!.across),
    turns: turned,
  };
}

function onePlan(
  movable: readonly BoxPart[],
  sheets: readonly NestSheet[],
  gap: number,
  left: readonly string[],
  random: () => number,
): Nesting {
  const laid: LaidPart[] = [];
  const [alongUsed, sheetIds]: [number[], string[]] = [[], []];
  let rest = [...movable];
  for (let s = 0; rest.length > 0; s++) {
    const sheet = sheets[Math.min(s, sheets.length - 1)]!;
    const filled = fullest(rest, sheet.alongMm + gap, sheet.acrossMm + gap, random);
    // What is beyond a smaller sheet goes on to the next; the last kind takes everything that fits anywhere.
    if (filled.length === 0 && s >= sheets.length - 1) break;
    const on = new Set(filled.map(({ part }) => part));
    rest = rest.filter((part) => !on.has(part));
    if (filled.length === 0) continue;
    const number = alongUsed.length;
    for (const { part, turned, x, y } of filled)
      laid.push({ id: part.id, sheet: number, turn: turned.turn, x: x - turned.fromX, y: y - turned.fromY });
    alongUsed.push(Math.max(...filled.map(({ turned, x }) => x + turned.along)) - gap);
    sheetIds.push(sheet.id);
  }
  return { laid, alongUsed, sheetIds, left: [...left, ...rest.map(({ id }) => id)] };
}

/** The fullest of several ways to fill a sheet; where everything fits on it, the shortest. */
function fullest(parts: readonly BoxPart[], along: number, across: number, random: () => number): readonly LaidBox[] {
  let best: { readonly laid: readonly LaidBox[]; readonly worth: number } | null = null;
  for (let t = 0; t < TRIES; t++) {
    const noise = t < 2 ? 0 : 0.7 * random();
    const byLength = t % 2 === 1;
    const keys = new Map(parts.map((part) => [part, (byLength ? part.long : part.area) * (1 + noise * (random() - 0.5))])); // prettier-ignore
    const order = [...parts].sort((a, b) => keys.get(b)! - keys.get(a)!);
    const laid = fill(order, along, across, t % 3);
    const area = laid.reduce((sum, { part }) => sum + part.area, 0);
    const end = laid.reduce((most, { turned, x }) => Math.max(most, x + turned.along), 0);
    const worth = laid.length === parts.length ? 1e9 - end : area;
    if (!best || worth > best.worth) best = { laid, worth };
  }
  return best?.laid ?? [];
}

/** How a place is chosen: the narrowest fit, the least room left of what is taken, or nearest to the beginning. */
const RULES: readonly ((room: Room, box: TurnedBox) => number)[] = [
  (room, box) => Math.min(room.along - box.along, room.across - box.across),
  (room, box) => room.along * room.across - box.along * box.across,
  (room, box) => room.x + box.along + 1e-3 * room.y,
];

/** Lays boxes in an order, each where it fits best; what fits nowhere is left out. */
function fill(order: readonly BoxPart[], along: number, across: number, rule: number): LaidBox[] {
  const value = RULES[rule]!;
  let free: Room[] = [{ x: 0, y: 0, along, across }];
  const laid: LaidBox[] = [];
  for (const part of order) {
    let best: { turned: TurnedBox; room: Room; key: number } | null = null;
    for (const room of free)
      for (const turned of part.turns) {
        if (!fitsIn(turned, room.along, room.across)) continue;
        const key = value(room, turned);
        if (!best || key < best.key) best = { turned, room, key };
      }
    if (!best) continue;
    const { turned, room } = best;
    laid.push({ part, turned, x: room.x, y: room.y });
    free = without(free, room.x, room.y, turned);
  }
  return laid;
}

/** Free rooms round a box that was laid; those within others are none. */
function without(free: readonly Room[], x: number, y: number, { along, across }: TurnedBox): Room[] {
  const kept: Room[] = [];
  const split: Room[] = [];
  const [right, top] = [x + along, y + across];
  for (const room of free) {
    const [roomRight, roomTop] = [room.x + room.along, room.y + room.across];
    if (room.x >= right - EPSILON || roomRight <= x + EPSILON || room.y >= top - EPSILON || roomTop <= y + EPSILON) {
      kept.push(room);
      continue;
    }
    if (room.x < x - EPSILON) split.push({ ...room, along: x - room.x });
    if (roomRight > right + EPSILON) split.push({ ...room, x: right, along: roomRight - right });
    if (room.y < y - EPSILON) split.push({ ...room, across: y - room.y });
    if (roomTop > top + EPSILON) split.push({ ...room, y: top, across: roomTop - top });
  }
  // Only what is new can lie within something.
  const within = (a: Room, b: Room): boolean =>
    a.x >= b.x - EPSILON && a.y >= b.y - EPSILON && a.x + a.along <= b.x + b.along + EPSILON && a.y + a.across <= b.y + b.across + EPSILON; // prettier-ignore
  const fresh = split.filter(
    (room, i) =>
      !kept.some((other) => within(room, other)) &&
      !split.some((other, k) => k !== i && within(room, other) && (k < i || !within(other, room))),
  );
  return [...kept, ...fresh];
}
