import { nearFront } from '../../numeric/angle.ts';
import { boxAround, type Span, spanAround, spanFrom } from '../../layout/room.ts';
import type { SnapBox, SnapSide } from '../../layout/snap.ts';
import type { ArtworkItem } from '../../model/item.ts';
import type { Project } from '../../model/project.ts';
import { moveItem, scaleItem } from './apply.ts';

/** An item and where it lies on the side. */
export interface LaidItem {
  readonly item: ArtworkItem;
  readonly box: SnapBox;
}
type Side = Pick<SnapSide, 'radiusAt' | 'closed'>;
type Hand = Pick<Project, 'hand'>;

/** Edges and middles that several things are brought onto. */
export type AlignTo = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom';

/** rad. Less than this is no turn: what faced somewhere keeps facing it. */
const NO_TURN = 1e-9;
const moved = (item: ArtworkItem, turn: number, downMm: number, hand: Hand): ArtworkItem =>
  moveItem(item, Math.abs(turn) < NO_TURN ? 0 : (turn * 180) / Math.PI, downMm, hand);

/** Where the box of one of several lies when all are made larger by a factor about their middle. */
function scaledBox(box: SnapBox, about: SnapBox, factor: number, closed: boolean): SnapBox {
  const turn = box.azimuth - about.azimuth;
  return {
    azimuth: about.azimuth + factor * (closed ? nearFront(turn) : turn),
    slant: about.slant + factor * (box.slant - about.slant),
    widthMm: box.widthMm * factor,
    heightMm: box.heightMm * factor,
  };
}

/**
 * The factor by which several things have to grow so that they are so wide, or so high, all together.
 *
 * @param boxes at least one
 * @param mm wanted, > 0
 * @returns exact for the height; for the width to a thousandth of a millimetre, because on a tapered side a millimetre
 *   round is another angle at each level
 */
export function factorTogether(boxes: readonly SnapBox[], way: 'width' | 'height', mm: number, side: Side): number {
  const about = boxAround(boxes, side);
  if (way === 'height') return mm / about.heightMm;
  let factor = mm / about.widthMm;
  for (let i = 0; i < 20; i++) {
    const { widthMm } = boxAround(
      boxes.map((box) => scaledBox(box, about, factor, side.closed)),
      side,
    );
    if (Math.abs(widthMm - mm) < 1e-3) break;
    factor *= mm / widthMm;
  }
  return factor;
}

/**
 * Makes several things larger or smaller about the middle of all of them, with the distances between them.
 *
 * @param laid at least one
 * @param factor > 0
 * @returns the items as they are to be, in the same order
 */
export function scaleTogether(laid: readonly LaidItem[], factor: number, side: Side, hand: Hand): ArtworkItem[] {
  const about = boxAround(
    laid.map(({ box }) => box),
    side,
  );
  return laid.map(({ item, box }) => {
    const wanted = scaledBox(box, about, factor, side.closed);
    const { from } = item.placement;
    // Made larger by itself it keeps the edge that it is counted from.
    const grown = (box.heightMm * (factor - 1)) / 2;
    const slant = box.slant + (from === 'rim' ? grown : from === 'base' ? -grown : 0);
    return moved(scaleItem(item, factor), wanted.azimuth - box.azimuth, wanted.slant - slant, hand);
  });
}

/** Brings several things onto one edge or middle of all of them: meridians for left, centre and right, levels for the rest. */
export function alignTogether(laid: readonly LaidItem[], to: AlignTo, side: Side, hand: Hand): ArtworkItem[] {
  const spans = laid.map(({ box }) => spanFrom(box, laid[0]!.box.azimuth, side));
  const { left, right, top, bottom } = spanAround(spans);
  const moves: { readonly [way in AlignTo]: (s: Span) => readonly [turn: number, down: number] } = {
    left: (s) => [left - s.left, 0],
    centre: (s) => [(left + right - s.left - s.right) / 2, 0],
    right: (s) => [right - s.right, 0],
    top: (s) => [0, top - s.top],
    middle: (s) => [0, (top + bottom - s.top - s.bottom) / 2],
    bottom: (s) => [0, bottom - s.bottom],
  };
  return laid.map(({ item }, i) => moved(item, ...moves[to](spans[i]!), hand));
}

/** Spreads three or more between the outermost two of them, with the same room between neighbours. */
export function spreadTogether(
  laid: readonly LaidItem[],
  way: 'across' | 'down',
  side: Side,
  hand: Hand,
): ArtworkItem[] {
  const spans = laid.map(({ box }) => spanFrom(box, laid[0]!.box.azimuth, side));
  const [from, to] = way === 'across' ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const order = spans
    .map((_, i) => i)
    .sort((a, b) => spans[a]![from] + spans[a]![to] - spans[b]![from] - spans[b]![to]);
  const least = Math.min(...spans.map((s) => s[from]));
  const most = Math.max(...spans.map((s) => s[to]));
  const room = (most - least - spans.reduce((sum, s) => sum + s[to] - s[from], 0)) / (laid.length - 1);
  const by = new Array<number>(laid.length).fill(0);
  let at = least;
  for (const i of order) {
    by[i] = at - spans[i]![from];
    at += spans[i]![to] - spans[i]![from] + room;
  }
  return laid.map(({ item }, i) => (way === 'across' ? moved(item, by[i]!, 0, hand) : moved(item, 0, by[i]!, hand)));
}
