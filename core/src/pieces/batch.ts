import { slug } from './slug.ts';
import type { Materials } from '../material/materials.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { FontBook } from '../artwork/font.ts';
import { faceOf } from '../artwork/font.ts';
import { itemsForRow } from '../artwork/row-swaps.ts';
import type { ArtworkItem, TextItem } from '../model/item.ts';
import type { FittedName } from '../artwork/name-list.ts';
import type { NameList, NameRow } from '../model/names.ts';
import { fitName, textForName } from '../artwork/name-list.ts';
import type { Blank } from '../model/blank.ts';
import type { ReadingDoubt } from '../measure/doubts.ts';
import type { Wrap } from './wrap.ts';
import { deriveWrap, pieceFrameOf } from './wrap.ts';
import type { Job } from '../model/job.ts';
import type { Piece } from './pieces.ts';
import { makePieces } from './pieces.ts';
import type { Hand } from '../model/job.ts';
import type { PlacedItem } from '../layout/place.ts';
import { placeItem } from '../layout/place.ts';
import { cutsAtSeams } from '../seam/cuts.ts';

/** What a thing of a list is made on and of, and the wrap that all made so share but for their words. */
export interface MadeOn {
  /** The job's artwork with what this one has in place of some of it. */
  readonly items: readonly ArtworkItem[];
  readonly blank: Blank;
  readonly hand: Hand;
  readonly wrap: Wrap;
  /** About the readings of its blank. */
  readonly doubts: readonly ReadingDoubt[];
}

/** The job itself as it is worked through already. */
type MadeAsItStands = Pick<MadeOn, 'wrap' | 'doubts'>;

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
 * @param own wrap of the job as it stands, and what is doubted of its readings
 * @param fonts loaded
 * @returns in the order of the list; empty when the text is gone
 */
export function makeBatch(
  job: Job,
  list: NameList,
  own: MadeAsItStands,
  fonts: FontBook,
  materials: Materials = STARTING_MATERIALS,
): Make[] {
  const madeOn = madeAlike(job, own, fonts, materials);
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
  const named = job.items.find((i): i is TextItem => i.id === list.itemId && i.type === 'text');
  const cap = own.wrap.placed.find((p) => p.item.id === list.itemId)?.capHeight;
  if (!named || cap === null || cap === undefined) return [];
  const { face } = faceOf(fonts, named.font);
  const alone = standsAlone(named, job);
  const fit = (row: NameRow, most = cap): FittedName => fitName(named, list, row, face, most);
  const each = list.rows.map((row) => fit(row));
  // What was set by hand, or does not fit at all, is no measure for the others.
  const shared = Math.min(cap, ...each.flatMap(({ how, capMm }) => (how === 'by hand' || how === 'too long' ? [] : [capMm]))); // prettier-ignore
  return list.rows.map((row, i) => {
    const fitted = list.sameSize ? fit(row, shared) : each[i]!;
    const on = madeOn(row);
    const item = on?.items.find((i): i is TextItem => i.id === named.id && i.type === 'text') ?? named;
    const text = textForName(item, fitted);
    const none = { row, fitted, text, on, placed: null, pieces: [], wrap: null, alone };
    if (!on) return none;
    if (alone) {
      const placed = onItsLevel(placeItem(text, on.wrap.surface, fonts, on.hand), on.wrap);
      const words = makePieces([placed], pieceFrameOf({ ...job, items: on.items }, on.wrap));
      const pieces = [...others(on.wrap.pieces, item.id), ...words];
      const { surface, seams } = on.wrap;
      const all = on.wrap.placed.map((p) => (p.item.id === item.id ? placed : p));
      const field = { side: surface.slantLength, radiusAt: (slant: number) => surface.radiusAt(slant) };
      const cuts = [...on.wrap.cuts.filter((cut) => cut.itemId !== item.id), ...cutsAtSeams([placed], seams, field)];
      return { row, fitted, text, on, placed, pieces, wrap: { ...on.wrap, placed: all, pieces, cuts }, alone };
    }
    const items = on.items.map((i) => (i.id === item.id ? text : i));
    const derived = deriveWrap({ ...job, blank: on.blank, hand: on.hand, items }, fonts, materials);
    if (!derived.ok) return none;
    const placed = derived.wrap.placed.find((p) => p.item.id === item.id) ?? null;
    return { row, fitted, text, on, placed, pieces: derived.wrap.pieces, wrap: derived.wrap, alone };
  });
}

/** Words stand where those that the job has stand: an item lies on one layer. */
function onItsLevel(words: PlacedItem, { placed }: Pick<Wrap, 'placed'>): PlacedItem {
  const level = placed.find(({ item }) => item.id === words.item.id)?.levelOf?.find(Boolean) ?? 0;
  return level === 0 ? words : { ...words, levelOf: words.groups.map(() => level) };
}

const others = (pieces: readonly Piece[], itemId: string): Piece[] => pieces.filter((p) => !p.itemIds.includes(itemId));

/**
 * The blank, hand and artwork of a row, each worked through once. A blank that is gone from the job is its own.
 */
function madeAlike(
  job: Job,
  { wrap, doubts }: MadeAsItStands,
  fonts: FontBook,
  materials: Materials,
): (row: NameRow) => MadeOn | null {
  const key = (blank: Blank, hand: Hand, items: readonly ArtworkItem[]): string =>
    `${hand}:${blank.id}${items === job.items ? '' : `:${JSON.stringify(items.filter((item) => !job.items.includes(item)))}`}`;
  const own = key(job.blank, job.hand, job.items);
  const known = new Map<string, MadeOn | null>([[own, { blank: job.blank, hand: job.hand, items: job.items, wrap, doubts }]]); // prettier-ignore
  return (row) => {
    const blank = job.otherBlanks.find((b) => b.id === row.blankId) ?? job.blank;
    const hand = row.hand ?? job.hand;
    const items = itemsForRow(job, row);
    const name = key(blank, hand, items);
    if (!known.has(name)) {
      const derived = deriveWrap({ ...job, blank, hand, items }, fonts, materials);
      known.set(name, derived.ok ? { blank, hand, items, wrap: derived.wrap, doubts: derived.doubts } : null);
    }
    return known.get(name)!;
  };
}

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
export const batchPieces = (batch: readonly Make[]): Piece[] =>
  piecesOfMakes(batch).flatMap(({ pieces }) => [...pieces]);

/** The same, together for those that are made alike but for their words. */
export function batchByWrap(batch: readonly Make[]): ReadonlyMap<Wrap, readonly Piece[]> {
  const by = new Map<Wrap, Piece[]>();
  for (const { on, pieces } of piecesOfMakes(batch)) if (on) by.set(on.wrap, [...(by.get(on.wrap) ?? []), ...pieces]);
  return by;
}

function piecesOfMakes(batch: readonly Make[]): { readonly on: MadeOn | null; readonly pieces: readonly Piece[] }[] {
  const used = new Map<string, number>();
  return batch.map(({ row, on, pieces }) => ({
    on,
    pieces: Array.from({ length: row.count }, () => {
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
  }));
}

/** Layers from the blank outwards, of the job and of everything on its list that has others. */
export function layersOfAll({ layers }: Pick<Wrap, 'layers'>, makes: readonly Make[]): readonly string[] {
  return makes.reduce<readonly string[]>((all, { on }) => {
    const more = (on?.wrap.layers ?? []).filter((layer) => !all.includes(layer));
    return more.length === 0 ? all : [...all, ...more];
  }, layers);
}

/** The wrap that stands for a job where one is shown: its own, unless nothing on its list is made like that. */
export function shownWrap(wrap: Wrap, makes: readonly Make[]): Wrap {
  const made = makes.flatMap(({ on }) => on?.wrap ?? []);
  return made.includes(wrap) ? wrap : (made[0] ?? wrap);
}
