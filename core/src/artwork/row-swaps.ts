import type { ArtItem, ArtworkItem, MotifItem } from '../model/item.ts';
import type { Job } from '../model/job.ts';
import type { NameList, NameRow, RowColumn, RowDrawing, RowPicture, RowSwap } from '../model/names.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { frameOf } from './art-items.ts';
import { NO_ACTS } from './acts.ts';
import { motifOutlines } from './motifs/index.ts';
import { matesOf } from './sets.ts';

/**
 * The artwork of a job as one thing of its list has it: other motifs or drawings in the place of some items, and other
 * films. What stands in an item's place keeps its id, its place and how it runs, and is no larger either way.
 *
 * @param job its items and the drawings of its rows; what is gone from it is passed over
 * @returns the job's own items where the row changes nothing
 */
export function itemsForRow(
  { items, rowDrawings = [] }: Pick<Job, 'items' | 'rowDrawings'>,
  { swaps = [] }: Pick<NameRow, 'swaps'>,
): readonly ArtworkItem[] {
  return swaps.reduce<readonly ArtworkItem[]>((all, swap) => withSwap(all, swap, rowDrawings), items);
}

function withSwap(
  items: readonly ArtworkItem[],
  swap: RowSwap,
  drawings: readonly RowDrawing[],
): readonly ArtworkItem[] {
  const item = items.find(({ id }) => id === swap.itemId);
  if (!item) return items;
  const film = swap.film ?? item.film;
  const instead =
    item.type === 'text' || !swap.picture ? null : inPlaceOf(item, matesOf(items, item), swap.picture, drawings);
  if (!instead) return film === item.film ? items : items.map((one) => (one === item ? { ...one, film } : one));
  const gone = new Set(instead.gone);
  const [first, ...more] = instead.items.map((made) => ({ ...made, film: swap.film ?? made.film }));
  const added = more.map(({ id }) => id);
  return items.flatMap((one): ArtworkItem[] => {
    if (one === item) return [first!, ...more];
    return gone.has(one.id) ? [] : [cutLikewise(one, item.id, added, gone)];
  });
}

/** What was cut by an item is cut by all of what stands in its place. */
function cutLikewise(
  one: ArtworkItem,
  itemId: string,
  added: readonly string[],
  gone: ReadonlySet<string>,
): ArtworkItem {
  const { cutAway } = one.acts;
  if (!cutAway.some((id) => id === itemId || gone.has(id))) return one;
  const kept = cutAway.filter((id) => id !== itemId && !gone.has(id));
  return { ...one, acts: { ...one.acts, cutAway: [...kept, itemId, ...added] } };
}

/** What takes an item's place, the first with its id, and which colours of its drawing go with it. */
function inPlaceOf(
  item: MotifItem | ArtItem,
  mates: readonly ArtItem[],
  picture: RowPicture,
  drawings: readonly RowDrawing[],
): { readonly items: readonly ArtworkItem[]; readonly gone: readonly string[] } | null {
  const gone = mates.map(({ id }) => id);
  const place = sizeOf(item);
  // Parts that were left out, and specks, were those of the other picture.
  const acts = { ...item.acts, dropped: NO_ACTS.dropped, specksMm: NO_ACTS.specksMm };
  const { id, film, placement, running, repeat, fuse, keepTogether, mirrored, spares, byItself } = item;
  const kept = { film, placement, running, repeat, fuse, mirrored, spares, byItself, acts };
  if (picture.by === 'motif') {
    const { widthMm, heightMm } = fitInto(place, motifSize(picture.motif), repeat.mode);
    const made: MotifItem = { ...kept, id, type: 'motif', motif: picture.motif, keepTogether, widthMm, heightMm };
    return { items: [made], gone };
  }
  const drawing = drawings.find((one) => one.id === picture.drawingId);
  if (!drawing) return null;
  const { name, source, rights, colours } = drawing;
  const drawn = { widthMm: drawing.widthMm, heightMm: drawing.heightMm };
  const films = [film, ...mates.map((mate) => mate.film)];
  // Its colours stay one thing, and those of one film one piece.
  const together = keepTogether ?? (colours.length > 1 ? id : null);
  const made = colours.map(({ colour, pathData }, i): ArtItem => ({
    ...kept,
    id: i === 0 ? id : `${id}:${i + 1}`,
    type: 'art',
    film: films[Math.min(i, films.length - 1)]!,
    keepTogether: together,
    setId: id,
    name,
    source,
    rights,
    colour,
    pathData,
    drawn,
    ...fitInto(place, drawn, repeat.mode),
  }));
  return { items: made, gone };
}

interface Size {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The largest of a shape in a place; what joins round the side is as wide as its pitch, and as high as the place. */
function fitInto(
  place: Size,
  shape: Size,
  mode: ArtworkItem['repeat']['mode'],
): { readonly widthMm: number; readonly heightMm: number | null } {
  if (mode === 'joined') return place;
  const scale = Math.min(place.widthMm / shape.widthMm, place.heightMm / shape.heightMm);
  return { widthMm: shape.widthMm * scale, heightMm: null };
}

/** Size of a picture as it is placed, before it is turned, mm. */
function sizeOf(item: MotifItem | ArtItem): Size {
  const natural = item.type === 'art' ? frameOf(item) : motifSize(item.motif);
  return {
    widthMm: item.widthMm,
    heightMm: item.heightMm ?? (item.widthMm * natural.heightMm) / natural.widthMm,
  };
}

function motifSize(motif: MotifItem['motif']): Size {
  const { box } = motifOutlines(motif, 1);
  return { widthMm: boxWidth(box), heightMm: boxHeight(box) };
}

/** What may be asked of every row: another picture for a motif or a drawing, another film for anything. */
export function columnsFor(items: readonly ArtworkItem[]): RowColumn[] {
  const firsts = items.filter(
    (item, i) => item.type !== 'art' || items.findIndex((one) => one.type === 'art' && one.setId === item.setId) === i,
  );
  return [
    ...firsts.filter(({ type }) => type !== 'text').map(({ id }): RowColumn => ({ itemId: id, what: 'picture' })),
    ...items.map(({ id }): RowColumn => ({ itemId: id, what: 'film' })),
  ];
}

/** A row with another film or picture for an item; null takes that back to what the job has. */
export function swapInRow(
  row: NameRow,
  itemId: string,
  change: { readonly film: string | null } | { readonly picture: RowPicture | null },
): NameRow {
  const before = row.swaps?.find((swap) => swap.itemId === itemId);
  const others = (row.swaps ?? []).filter((swap) => swap !== before);
  const film = 'film' in change ? change.film : (before?.film ?? null);
  const picture = 'picture' in change ? change.picture : (before?.picture ?? null);
  if (film === null && picture === null) return { ...row, swaps: others };
  return { ...row, swaps: [...others, { itemId, ...(film === null ? {} : { film }), ...(picture === null ? {} : { picture }) }] }; // prettier-ignore
}

/** A list that asks for what it asked for but one column; what rows had there goes with it. */
export function withoutColumn(list: NameList, { itemId, what }: RowColumn): NameList {
  const columns = (list.columns ?? []).filter((one) => one.itemId !== itemId || one.what !== what);
  const rows = list.rows.map((row) => swapInRow(row, itemId, what === 'film' ? { film: null } : { picture: null }));
  return { ...list, columns, rows };
}

/** The drawings of a job that its list still has in some place. */
export function drawingsInUse(list: NameList | null, drawings: readonly RowDrawing[]): RowDrawing[] {
  const used = new Set(
    (list?.rows ?? []).flatMap(({ swaps = [] }) => swaps.flatMap(({ picture }) => (picture?.by === 'drawing' ? picture.drawingId : []))), // prettier-ignore
  );
  return drawings.filter(({ id }) => used.has(id));
}
