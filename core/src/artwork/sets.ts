import type { ArtItem, ArtworkItem } from '../model/item.ts';

/** The other colours of the drawing that an item is a colour of; none for words and motifs. */
export function matesOf(items: readonly ArtworkItem[], item: ArtworkItem): ArtItem[] {
  if (item.type !== 'art') return [];
  return items.filter(
    (other): other is ArtItem => other.type === 'art' && other.setId === item.setId && other.id !== item.id,
  );
}

/**
 * Puts a changed item in its place. The colours of one drawing stay in step: where it sits, how it runs and how large it
 * is hold for all of them; its film is its own.
 *
 * @param items of the project
 * @param changed the item as it is to be; when it is not among them, nothing changes
 */
export function replaceItem(items: readonly ArtworkItem[], changed: ArtworkItem): readonly ArtworkItem[] {
  return items.map((item) => {
    if (item.id === changed.id) return changed;
    if (changed.type !== 'art' || item.type !== 'art' || item.setId !== changed.setId) return item;
    const { placement, running, repeat, mirrored, widthMm, heightMm, by } = changed;
    return { ...item, placement, running, repeat, mirrored, widthMm, heightMm, by };
  });
}

/** An item and all that is kept together with it; the item alone when nothing is. */
export function togetherWith(items: readonly ArtworkItem[], item: ArtworkItem): ArtworkItem[] {
  if (item.keepTogether === null) return [item];
  return [item, ...items.filter((i) => i.id !== item.id && i.keepTogether === item.keepTogether)];
}

/** All of several items, with what each is kept together with; in the order of the project, none twice. */
export function allTogether(items: readonly ArtworkItem[], ids: ReadonlySet<string>): ArtworkItem[] {
  const all = new Set(
    items.filter(({ id }) => ids.has(id)).flatMap((item) => togetherWith(items, item).map(({ id }) => id)),
  );
  return items.filter(({ id }) => all.has(id));
}

/**
 * Keeps two items together from now on, with all that either is kept together with already: they move as one, and what is
 * of one film is fused.
 *
 * @param items of the project
 * @param id of one, and `other` of the other; when either is not among them, nothing changes
 */
export function keepTogether(items: readonly ArtworkItem[], id: string, other: string): readonly ArtworkItem[] {
  const [a, b] = [id, other].map((one) => items.find((item) => item.id === one));
  if (!a || !b || a === b) return items;
  const all = new Set([...togetherWith(items, a), ...togetherWith(items, b)].map((item) => item.id));
  const group = a.keepTogether ?? b.keepTogether ?? `group-${id}`;
  return items.map((item) => (all.has(item.id) ? { ...item, keepTogether: group } : item));
}

/**
 * Cuts an item out of another in one act: its shape is taken from that, it is not cut itself, and the two go together. A
 * drawing goes with all its colours, and is taken from all of those of another.
 *
 * @param items of the project
 * @param id of what is cut out, and `from` of what it is taken from; when either is not there, nothing changes
 */
export function cutOutOf(items: readonly ArtworkItem[], id: string, from: string): readonly ArtworkItem[] {
  const [cutter, whole] = [id, from].map((one) => items.find((item) => item.id === one));
  if (!cutter || !whole || cutter === whole) return items;
  const cutters = new Set([cutter, ...matesOf(items, cutter)].map((item) => item.id));
  const wholes = new Set([whole, ...matesOf(items, whole)].map((item) => item.id));
  if (cutters.has(from)) return items;
  const shaped = items.map((item): ArtworkItem => {
    if (cutters.has(item.id)) return { ...item, acts: { ...item.acts, shapesOnly: true } };
    if (!wholes.has(item.id)) return item;
    const cutAway = [...item.acts.cutAway.filter((other) => !cutters.has(other)), ...cutters];
    return { ...item, acts: { ...item.acts, cutAway } };
  });
  return keepTogether(shaped, id, from);
}

/** Lets an item go by itself again; two that were a pair both do. */
export function letGo(items: readonly ArtworkItem[], id: string): readonly ArtworkItem[] {
  const item = items.find((one) => one.id === id);
  if (!item || item.keepTogether === null) return items;
  const group = togetherWith(items, item);
  const free = new Set(group.length <= 2 ? group.map((one) => one.id) : [id]);
  return items.map((one) => (free.has(one.id) ? { ...one, keepTogether: null } : one));
}
