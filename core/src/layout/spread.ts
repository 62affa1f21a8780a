import { seeded } from '../numeric/seeded.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
import type { Circle } from '../plane/enclosing.ts';
import { inTurn, shortWay, type TakenPlace } from './scatter.ts';

/** What is spread: alike things, each turned and sized within a range. */
export interface SpreadKind {
  /** How many; of no account where all room is filled. */
  readonly count: number;
  /** Circles that cover it, mm from its middle, unturned and at its own size. */
  readonly circles: readonly Circle[];
  /** rad counter-clockwise. */
  readonly turns: readonly [number, number];
  /** Times its own size. */
  readonly sizes: readonly [number, number];
}

/** Where things are spread: mm round from the front, mm down. */
export interface SpreadField {
  /** mm round the blank after which everything comes again; null on a face. */
  readonly period: number | null;
  /** Least room between any two, mm. */
  readonly gap: number;
  readonly taken: readonly TakenPlace[];
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  /** mm from a spot to the nearest edge besides those, positive inside; of a round face. */
  readonly inside?: (x: number, y: number) => number;
  /** Whether things may reach past `y` and the face's edge: then only their middles keep within. */
  readonly past: boolean;
}

/** A spot, with what lies there and how. */
export interface SpreadSpot {
  readonly kind: number;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  readonly size: number;
}

/** A spot that is worked on: its circles where they lie. */
interface Laid {
  readonly spot: { kind: number; x: number; y: number; turn: number; size: number };
  /** x, y, r of each circle. */
  readonly circles: Float64Array;
  readonly reach: number;
  readonly fixed: boolean;
}

/** Tries for each spot, and those among them that are pressed in where none has room. */
const [TRIES, PRESSED] = [120, 2];
/** Steps of pushing apart, and how much more than the gap is asked for on the way, mm: so that it is there in the end. */
const [STEPS, MORE_MM] = [60, 0.02];
/** Steps after which who is near whom is looked at anew, and after which too little must have been gained to go on. */
const [LOOK_AGAIN, GIVE_UP] = [12, 20];
/** Share of what is missing that has to be gained by then. */
const GAINED = 0.5;
/** Times that nothing more could be pressed in before a field counts as full. */
const FULL_AFTER = 6;
/** Most things of one field. */
const MOST_SPOTS = 600;

/**
 * Spreads things evenly but not regularly, none nearer to another than the gap: by best candidates while there is room,
 * then by pressing more in and pushing the others aside.
 *
 * @param field where, and what is in the way
 * @param kinds what is spread
 * @param seed the same seed gives the same spots
 * @param kept spots that stay as they are; they count among their kind's
 * @param fill as many as find room, in the shares of their counts
 * @returns the kept ones first
 * @source best candidate: D. P. Mitchell, "Spectrally optimal sampling for distribution ray tracing", 1991; pressing in and
 *   pushing apart: B. D. Lubachevsky and F. H. Stillinger, "Geometric properties of random disk packings", 1990, as steps of
 *   overlap removal
 */
export function spreadSpots(
  field: SpreadField,
  kinds: readonly SpreadKind[],
  seed: number,
  kept: readonly SpreadSpot[] = [],
  fill = false,
): SpreadSpot[] {
  const random = seeded(seed);
  const between = ([a, b]: readonly [number, number]): number => a + (b - a) * random();
  const laid = kept.map((spot) => layOn(kinds[spot.kind]!, { ...spot }, true));
  const spotFor = (kind: number): Laid => {
    const { turns, sizes } = kinds[kind]!;
    const spot = { kind, x: between(field.x), y: between(field.y), turn: between(turns), size: between(sizes) };
    return layOn(kinds[kind]!, spot, false);
  };
  /** Lays one more; false when there is no room for it. */
  const add = (kind: number, press: boolean): boolean => {
    const tried: { one: Laid; room: number }[] = [];
    for (let t = 0; t < TRIES; t++) {
      const one = spotFor(kind);
      keepWithin(one, field);
      tried.push({ one, room: Math.min(roomWithin(one, field), roomBeside(one, laid, field)) });
    }
    tried.sort((a, b) => b.room - a.room);
    const [best] = tried;
    if (best && best.room >= field.gap) {
      laid.push(best.one);
      return true;
    }
    return press && tried.slice(0, PRESSED).some(({ one }) => pressIn(one, laid, field));
  };
  const left = kinds.map(({ count }, kind) => Math.max(0, count - kept.filter((spot) => spot.kind === kind).length));
  const full = new Set<number>();
  for (const kind of inTurn(left, random)) if (!full.has(kind) && !add(kind, true)) full.add(kind);
  if (fill) {
    let failed = 0;
    // Something of which nothing is cut takes no room: it would fill the field with nothing.
    const order = inTurn(kinds.map(({ count, circles }) => (circles.length === 0 ? 0 : Math.max(1, count))), random); // prettier-ignore
    for (let i = 0; order.length > 0 && failed < FULL_AFTER && laid.length < MOST_SPOTS; i++)
      failed = add(order[i % order.length]!, true) ? 0 : failed + 1;
  }
  return laid.map(({ spot }) => ({ ...spot }));
}

function layOn(kind: SpreadKind, spot: Laid['spot'], fixed: boolean): Laid {
  const circles = new Float64Array(3 * kind.circles.length);
  const [cos, sin] = [Math.cos(spot.turn) * spot.size, Math.sin(spot.turn) * spot.size];
  let reach = 0;
  kind.circles.forEach(({ x, y, r }, i) => {
    // Down is positive on the side, up in the item's plane.
    const [dx, dy] = [cos * x - sin * y, -(sin * x + cos * y)];
    circles.set([spot.x + dx, spot.y + dy, r * spot.size], 3 * i);
    reach = Math.max(reach, Math.hypot(dx, dy) + r * spot.size);
  });
  return { spot, circles, reach, fixed };
}

function shift({ spot, circles }: Laid, dx: number, dy: number): void {
  spot.x += dx;
  spot.y += dy;
  for (let i = 0; i < circles.length; i += 3) {
    circles[i]! += dx;
    circles[i + 1]! += dy;
  }
}

/** mm by which a thing passes the nearest edge, negative; Infinity where it is clear of all. */
function roomWithin({ spot, circles }: Laid, { x, y, inside, past }: SpreadField): number {
  let least = 0;
  for (let i = 0; i < circles.length; i += 3) {
    const [cx, cy, r] = [circles[i]!, circles[i + 1]!, circles[i + 2]!];
    least = Math.min(least, cx - r - x[0], x[1] - cx - r);
    if (!past) least = Math.min(least, cy - r - y[0], y[1] - cy - r, inside ? inside(cx, cy) - r : 0);
  }
  if (past) least = Math.min(least, spot.y - y[0], y[1] - spot.y, inside?.(spot.x, spot.y) ?? 0);
  return least < -EPSILON_MM ? least : Infinity;
}

/** Brings a thing that passes a straight edge back within it, where it fits at all. */
function keepWithin(one: Laid, { x, y, past }: SpreadField): void {
  if (one.fixed) return;
  const { spot, circles } = one;
  let [left, right, up, down] = [Infinity, Infinity, Infinity, Infinity];
  for (let i = 0; i < circles.length; i += 3) {
    const [cx, cy, r] = [circles[i]!, circles[i + 1]!, circles[i + 2]!];
    left = Math.min(left, cx - r - x[0]);
    right = Math.min(right, x[1] - cx - r);
    up = Math.min(up, cy - r - y[0]);
    down = Math.min(down, y[1] - cy - r);
  }
  if (past) [up, down] = [spot.y - y[0], y[1] - spot.y];
  const by = (near: number, far: number): number => (near < 0 ? -near : far < 0 ? far : 0);
  shift(one, by(left, right), by(up, down));
}

/** mm between a thing and the nearest of the others, or of what is there already; negative where they overlap. */
function roomBeside(one: Laid, others: readonly Laid[], field: SpreadField): number {
  let least = Infinity;
  for (const other of others) {
    const far = Math.hypot(shortWay(one.spot.x - other.spot.x, field.period), one.spot.y - other.spot.y);
    if (far - one.reach - other.reach < least) least = Math.min(least, nearest(one, other, field.period).room);
  }
  for (const place of field.taken) least = Math.min(least, fromTaken(one, place, field.period).room);
  return least;
}

interface Nearest {
  readonly room: number;
  /** Direction in which the first has to go, of length one. */
  readonly dx: number;
  readonly dy: number;
}

/** How near two things come, circle by circle, the shorter way round. */
function nearest(a: Laid, b: Laid, period: number | null): Nearest {
  let [room, dx, dy] = [Infinity, 1, 0];
  for (let i = 0; i < a.circles.length; i += 3)
    for (let k = 0; k < b.circles.length; k += 3) {
      const round = a.circles[i]! - b.circles[k]!;
      const x = period === null ? round : round - period * Math.round(round / period);
      const y = a.circles[i + 1]! - b.circles[k + 1]!;
      const far = Math.hypot(x, y);
      const between = far - a.circles[i + 2]! - b.circles[k + 2]!;
      if (between >= room) continue;
      [room, dx, dy] = [between, far > 0 ? x / far : 1, far > 0 ? y / far : 0];
    }
  return { room, dx, dy };
}

/** How near a thing comes to a place that is taken. */
function fromTaken(one: Laid, place: TakenPlace, period: number | null): Nearest {
  const [mx, my] = [(place.x[0] + place.x[1]) / 2, (place.y[0] + place.y[1]) / 2];
  const [w, h] = [(place.x[1] - place.x[0]) / 2, (place.y[1] - place.y[0]) / 2];
  let [room, dx, dy] = [Infinity, 0, 1];
  for (let i = 0; i < one.circles.length; i += 3) {
    const round = one.circles[i]! - mx;
    const x = period === null ? round : round - period * Math.round(round / period);
    const y = one.circles[i + 1]! - my;
    const [ox, oy] = [Math.abs(x) - w, Math.abs(y) - h];
    const between = (ox > 0 || oy > 0 ? Math.hypot(Math.max(0, ox), Math.max(0, oy)) : Math.max(ox, oy)) - one.circles[i + 2]!; // prettier-ignore
    if (between >= room) continue;
    room = between;
    // Out by the nearer side.
    [dx, dy] = ox > oy ? [Math.sign(x) || 1, 0] : [0, Math.sign(y) || 1];
  }
  return { room, dx, dy };
}

/** Presses a thing in among others, which give way; nothing is changed where they cannot. */
function pressIn(one: Laid, laid: Laid[], field: SpreadField): boolean {
  const moved = [...laid, one].map((it): Laid => ({ ...it, spot: { ...it.spot }, circles: it.circles.slice() }));
  const asked = field.gap + MORE_MM;
  let pairs: (readonly [Laid, Laid])[] = [];
  let before = Infinity;
  for (let step = 0; step < STEPS; step++) {
    if (step % LOOK_AGAIN === 0) pairs = nearPairs(moved, field, asked + LOOK_REACH * one.reach);
    let worst = Infinity;
    for (const [a, b] of pairs) {
      const far = Math.hypot(shortWay(a.spot.x - b.spot.x, field.period), a.spot.y - b.spot.y);
      if (far - a.reach - b.reach >= asked) continue;
      const { room, dx, dy } = nearest(a, b, field.period);
      worst = Math.min(worst, room);
      if (room >= asked) continue;
      const by = asked - room;
      const share = a.fixed ? 0 : b.fixed ? 1 : 0.5;
      shift(a, dx * by * share, dy * by * share);
      shift(b, -dx * by * (1 - share), -dy * by * (1 - share));
    }
    for (const a of moved) {
      if (a.fixed) continue;
      for (const place of field.taken) {
        const { room, dx, dy } = fromTaken(a, place, field.period);
        worst = Math.min(worst, room);
        if (room < asked) shift(a, dx * (asked - room), dy * (asked - room));
      }
      keepWithin(a, field);
    }
    if (step % GIVE_UP === 0) {
      const missing = asked - worst;
      if (missing > GAINED * before) return false;
      before = missing;
    }
    if (worst >= field.gap && allClear(moved, field)) {
      laid.splice(0, Infinity, ...moved);
      return true;
    }
  }
  return false;
}

/** How far beyond the gap things count as near each other, in reaches of the one that is pressed in. */
const LOOK_REACH = 0.6;

/** Pairs of things that are near each other; two that are fixed are no pair. */
function nearPairs(all: readonly Laid[], { period }: SpreadField, within: number): (readonly [Laid, Laid])[] {
  const pairs: (readonly [Laid, Laid])[] = [];
  for (let i = 0; i < all.length; i++)
    for (let k = 0; k < i; k++) {
      const [a, b] = [all[i]!, all[k]!];
      const dy = Math.abs(a.spot.y - b.spot.y);
      const near = a.reach + b.reach + within;
      if (dy < near && !(a.fixed && b.fixed) && Math.hypot(shortWay(a.spot.x - b.spot.x, period), dy) < near) pairs.push([a, b]); // prettier-ignore
    }
  return pairs;
}

const allClear = (all: readonly Laid[], field: SpreadField): boolean =>
  all.every((one) => one.fixed || roomWithin(one, field) === Infinity) &&
  all.every((one, i) => one.fixed || roomBeside(one, all.slice(0, i), field) >= field.gap);
