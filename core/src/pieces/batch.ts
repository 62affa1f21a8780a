import { slug } from './slug.ts';
import type { Materials } from '../material/materials.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { FontBook } from '../artwork/font.ts';
import { faceOf } from '../artwork/font.ts';
import type { TextItem } from '../model/item.ts';
import type { FittedName } from '../artwork/name-list.ts';
import type { NameList, NameRow } from '../model/names.ts';
import { fitName, textForName } from '../artwork/name-list.ts';
import type { Blank } from '../model/blank.ts';
import type { Wrap } from './wrap.ts';
import { deriveWrap, pieceFrameOf } from './wrap.ts';
import type { Job } from '../model/job.ts';
import type { Piece } from './pieces.ts';
import { makePieces } from './pieces.ts';
import type { Hand } from '../model/job.ts';
import type { PlacedItem } from '../layout/place.ts';
import { placeItem } from '../layout/place.ts';
import { cutsAtSeams } from '../seam/cuts.ts';

/** What a thing of a list is made on, and the wrap that all made on it share but for their words. */
export interface MadeOn {
  readonly blank: Blank;
  readonly hand: Hand;
  readonly wrap: Wrap;
}

/** One thing of a list, with everything that is cut for it. */
export interface Make {
  readonly row: NameRow;
  /** Its words as they were fitted; null in a list without words. */
  readonly fitted: FittedName | null;
  /** Its words as they are set; null in a list without words. */
  readonly text: TextItem | null;
  /** null when its blank cannot be flattened. */
  readonly on: MadeOn | null;
  /** Its words as they lie; null without words, or without a blank. */
  readonly placed: PlacedItem | null;
  readonly pieces: readonly Piece[];
  /** Everything of it as it is cut, to be judged; null without a blank. */
  readonly wrap: Wrap | null;
  /** Whether its words leave all else of the job as it is. */
  readonly alone: boolean;
}

/**
 * The pieces of everything on a list. What does not hang on the words is worked out once for each blank and hand.
 *
 * @param job whose text is replaced
 * @param list what is made
 * @param wrap of the job as it stands
 * @param fonts loaded
 * @returns in the order of the list; empty when the text is gone
 */
export function makeBatch(
  job: Job,
  list: NameList,
  wrap: Wrap,
  fonts: FontBook,
  materials: Materials = STARTING_MATERIALS,
): Make[] {
  const madeOn = blanksOfList(job, wrap, fonts, materials);
  if (list.itemId === null)
    return list.rows.map((row) => {
      const on = madeOn(row);
      return {
        row,
        fitted: null,
        text: null,
        on,
        placed: null,
        pieces: on?.wrap.pieces ?? [],
        wrap: on?.wrap ?? null,
        alone: true,
      };
    });
  const item = job.items.find((i): i is TextItem => i.id === list.itemId && i.type === 'text');
  const cap = wrap.placed.find((p) => p.item.id === list.itemId)?.capHeight;
  if (!item || cap === null || cap === undefined) return [];
  const { face } = faceOf(fonts, item.font);
  const alone = standsAlone(item, job);
  return list.rows.map((row) => {
    const fitted = fitName(item, list, row, face, cap);
    const text = textForName(item, fitted);
    const on = madeOn(row);
    const none = { row, fitted, text, on, placed: null, pieces: [], wrap: null, alone };
    if (!on) return none;
    if (alone) {
      const placed = placeItem(text, on.wrap.surface, fonts, on.hand);
      const own = makePieces([placed], pieceFrameOf(job, on.wrap));
      const pieces = [...others(on.wrap.pieces, item.id), ...own];
      const { surface, seams } = on.wrap;
      const all = on.wrap.placed.map((p) => (p.item.id === item.id ? placed : p));
      const field = { side: surface.slantLength, radiusAt: (slant: number) => surface.radiusAt(slant) };
      const cuts = [...on.wrap.cuts.filter((cut) => cut.itemId !== item.id), ...cutsAtSeams([placed], seams, field)];
      return { row, fitted, text, on, placed, pieces, wrap: { ...on.wrap, placed: all, pieces, cuts }, alone };
    }
    const items = job.items.map((i) => (i.id === item.id ? text : i));
    const derived = deriveWrap({ ...job, blank: on.blank, hand: on.hand, items }, fonts, materials);
    if (!derived.ok) return none;
    const placed = derived.wrap.placed.find((p) => p.item.id === item.id) ?? null;
    return { row, fitted, text, on, placed, pieces: derived.wrap.pieces, wrap: derived.wrap, alone };
  });
}

const others = (pieces: readonly Piece[], itemId: string): Piece[] => pieces.filter((p) => !p.itemIds.includes(itemId));

/** The blank and hand of a row, each worked through once. A blank that is gone from the job is its own. */
function blanksOfList(job: Job, wrap: Wrap, fonts: FontBook, materials: Materials): (row: NameRow) => MadeOn | null {
  const known = new Map<string, MadeOn | null>([[keyOf(job.blank, job.hand), { ...job, wrap }]]);
  return (row) => {
    const blank = job.otherBlanks.find((b) => b.id === row.blankId) ?? job.blank;
    const hand = row.hand ?? job.hand;
    const key = keyOf(blank, hand);
    if (!known.has(key)) {
      const derived = deriveWrap({ ...job, blank, hand }, fonts, materials);
      known.set(key, derived.ok ? { blank, hand, wrap: derived.wrap } : null);
    }
    return known.get(key)!;
  };
}

const keyOf = (blank: Blank, hand: Hand): string => `${hand}:${blank.id}`;

/** Whether nothing else hangs on a text: what is scattered goes round it, what is kept together is fused with it, and it may shape others. */
const standsAlone = (item: TextItem, job: Job): boolean =>
  item.keepTogether === null &&
  item.acts.cutAway.length === 0 &&
  item.acts.onlyInside === null &&
  !item.acts.shapesOnly &&
  job.items.every(
    (i) => i.repeat.mode !== 'scattered' && !i.acts.cutAway.includes(item.id) && i.acts.onlyInside !== item.id,
  );

/** What is cut for a whole list: each as often as it is wanted, each as a sheet of its own. */
export function batchPieces(batch: readonly Make[]): Piece[] {
  const used = new Map<string, number>();
  return batch.flatMap(({ row, pieces }) =>
    Array.from({ length: row.count }, () => {
      const called = slug(row.name, 'name');
      const number = (used.get(called) ?? 0) + 1;
      used.set(called, number);
      const name = number > 1 ? `${called}-${number}` : called;
      // A name that is laid by itself is called by itself.
      const bare = pieces.every(({ part }) => part !== '');
      return pieces.map((p) => ({
        ...p,
        part: p.part === '' || (bare && p.part === called) ? name : `${name}-${p.part}`,
      }));
    }).flat(),
  );
}
