import type { FontBook } from '../artwork/font.ts';
import { faceOf } from '../artwork/font.ts';
import type { TextItem } from '../artwork/item.ts';
import type { FittedName, NameList } from '../artwork/name-list.ts';
import { fitName, textForName } from '../artwork/name-list.ts';
import type { Wrap } from './derive.ts';
import { deriveWrap, pieceFrameOf } from './derive.ts';
import type { Job } from './job.ts';
import type { Piece } from './pieces.ts';
import { makePieces } from './pieces.ts';
import { placeItem } from './place.ts';

/** One name of a list, fitted, with everything that is cut for it. */
export interface BatchName {
  readonly fitted: FittedName;
  readonly pieces: readonly Piece[];
}

/**
 * The pieces of every name of a list. What does not hang on the name is worked out once for each hand.
 *
 * @param job whose text is replaced
 * @param list the names
 * @param wrap of the job as it stands
 * @param fonts loaded
 * @returns in the order of the list; empty when the text is gone or is set in a ring
 */
export function makeBatch(job: Job, list: NameList, wrap: Wrap, fonts: FontBook): BatchName[] {
  const item = job.items.find((i): i is TextItem => i.id === list.itemId && i.type === 'text' && i.ring === null);
  const cap = wrap.placed.find((p) => p.item.id === list.itemId)?.capHeight;
  if (!item || cap === null || cap === undefined) return [];
  const { face } = faceOf(fonts, item.font);
  const byHand = new Map([[job.hand, wrap]]);
  const wrapFor = (hand: Job['hand']): Wrap => {
    const known = byHand.get(hand);
    if (known) return known;
    const derived = deriveWrap({ ...job, hand }, fonts);
    const made = derived.ok ? derived.wrap : wrap;
    byHand.set(hand, made);
    return made;
  };
  // What is scattered goes round the name, what is kept together is fused with it, and it may shape others.
  const alone =
    item.keepTogether === null &&
    item.acts.cutAway.length === 0 &&
    item.acts.onlyInside === null &&
    !item.acts.shapesOnly &&
    job.items.every(
      (i) => i.repeat.mode !== 'scattered' && !i.acts.cutAway.includes(item.id) && i.acts.onlyInside !== item.id,
    );
  return list.rows.map((row) => {
    const fitted = fitName(item, list, row, face, cap);
    const text = textForName(item, fitted);
    const hand = row.hand ?? job.hand;
    if (!alone) {
      const items = job.items.map((i) => (i.id === item.id ? text : i));
      const derived = deriveWrap({ ...job, hand, items }, fonts);
      return { fitted, pieces: derived.ok ? derived.wrap.pieces : [] };
    }
    const base = wrapFor(hand);
    const own = makePieces([placeItem(text, base.surface, fonts, hand)], pieceFrameOf(job, base));
    return { fitted, pieces: [...base.pieces.filter((p) => !p.itemIds.includes(item.id)), ...own] };
  });
}

/** What is cut for a whole list: each name as often as it is wanted, each as a sheet of its own. */
export function batchPieces(batch: readonly BatchName[]): Piece[] {
  const used = new Map<string, number>();
  return batch.flatMap(({ fitted, pieces }) =>
    Array.from({ length: fitted.row.count }, () => {
      const slug =
        fitted.row.name
          .toLowerCase()
          .normalize('NFKD')
          .replace(/[^a-z0-9]+/g, '-')
          .replace(/^-+|-+$/g, '') || 'name';
      const number = (used.get(slug) ?? 0) + 1;
      used.set(slug, number);
      const name = number > 1 ? `${slug}-${number}` : slug;
      return pieces.map((p) => ({ ...p, part: p.part ? `${name}-${p.part}` : name }));
    }).flat(),
  );
}
