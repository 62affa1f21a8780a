import type { CellShape } from '../raster/cells.ts';
import type { Taste } from './beam.ts';
import { bestLayouts } from './beam.ts';
import { PartialLayouts, layoutBytes } from './partial-layout.ts';
import { kindsOf } from './kinds.ts';
import { bySize, layInOrder } from './lay.ts';
import type { CellPlace, Table } from './table.ts';
import { endOf } from './table.ts';

/** Places of all parts, in the order of the parts; null for what has none. */
type Places = readonly (CellPlace | null)[];

/** Partial layouts that one search after the other keeps: few at first, so that something better is seen soon. */
const WIDTHS = [2, 8, 32, 128];
/** Bytes that the partial layouts of a search may take together. */
const MOST_BYTES = 128e6;
/** PartialLayouts of which one plan is looked at, when a search ends with them. */
const DRAFTS_A_PLAN = 10;
/** What the first search goes by. */
const FIRST_TASTE = { along: 2.2, size: 0.7 };

/**
 * Searches for other ways to lay parts, again and again.
 *
 * @param shapes of each part in its turns
 * @param limit column that everything has to end before; evaluated again for each search
 * @param times how many searches; left out, it goes on for ever
 * @returns yields places of all parts, and `null` whenever one may stop in between
 */
export function* searches(
  shapes: readonly (readonly CellShape[])[],
  table: Table,
  limit: () => number,
  random: () => number,
  times = Infinity,
): Generator<Places | null, void> {
  const all = kindsOf(shapes);
  const most = limit();
  const bytes = layoutBytes(all, table, most);
  if (3 * bytes > MOST_BYTES) {
    yield* otherOrders(shapes, table, random, times);
    return;
  }
  const layouts = new PartialLayouts(all, table, most);
  yield null;
  let taste: Taste = { ...FIRST_TASTE, sooner: all.kinds.map(() => 0) };
  let tasteEnd = Infinity;
  for (let round = 0; round < times; round++) {
    const next = round === 0 ? taste : otherTaste(taste, round % 2 === 0, random);
    // What is kept of one step and what is made of it for the next are there at the same time.
    const width = Math.max(1, Math.min(WIDTHS[round % WIDTHS.length]!, Math.floor(MOST_BYTES / bytes / 2) - 1));
    const found = yield* bestLayouts(layouts, Math.min(most, limit()), all, next, width);
    const ways = found
      .map((layout) => layouts.places(layout))
      .map((places) => ({ places, end: endOf(places, shapes) }));
    layouts.drop(found);
    ways.sort((a, b) => a.end - b.end);
    if (ways[0] && ways[0].end < tasteEnd) [taste, tasteEnd] = [next, ways[0].end];
    for (const { places } of ways.slice(0, Math.ceil(width / DRAFTS_A_PLAN))) yield places;
    yield null;
  }
}

/** The next order to try: a random one, or the best so far with a few kinds moved. */
function otherTaste(best: Taste, near: boolean, random: () => number): Taste {
  if (near) {
    const sooner = [...best.sooner];
    for (let k = 0; k < 3; k++) sooner[Math.floor(random() * sooner.length)] = 0.8 * (random() - 0.5);
    const size = Math.max(0, best.size + 0.3 * (random() - 0.5));
    return { along: best.along * (0.85 + 0.3 * random()), size, sooner };
  }
  const noise = 0.3 * random();
  return { along: 0.8 + 2.7 * random(), size: 1.4 * random(), sooner: best.sooner.map(() => noise * random()) };
}

/** How far a part's size is made out to be something else, as a share, when orders are tried. */
const ORDER_NOISE = 0.6;

/** For more than partial layouts have room for: parts laid by size, roughly. */
function* otherOrders(
  shapes: readonly (readonly CellShape[])[],
  table: Table,
  random: () => number,
  times: number,
): Generator<Places | null, void> {
  for (let round = 0; round < times; round++) {
    const made = shapes.map(() => 1 + ORDER_NOISE * (random() - 0.5));
    const order = bySize(shapes).sort((a, b) => shapes[b]![0]!.cells * made[b]! - shapes[a]![0]!.cells * made[a]!);
    yield layInOrder(order, shapes, table);
  }
}
