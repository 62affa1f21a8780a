import type { ArtworkItem, KeptSpot, Scatter } from '../model/item.ts';

/** How a scatter begins. */
export const NEW_SCATTER: Scatter = { seed: 1, gapMm: 3, films: [], even: true };

const scatterOf = (item: ArtworkItem): Scatter => item.repeat.scatter ?? NEW_SCATTER;

/** The item that says how a scattered one is arranged: itself, another that it is mixed with, or the first colour of its drawing. */
export function leadOfScatter(items: readonly ArtworkItem[], item: ArtworkItem): ArtworkItem {
  const scattered = (one: ArtworkItem): boolean => one.repeat.mode === 'scattered';
  const lead = items.find((one) => one.id === item.repeat.scatter?.with && scattered(one));
  if (lead) return lead;
  const first = item.type === 'art' ? items.find((one) => one.type === 'art' && one.setId === item.setId) : undefined;
  return first && scattered(first) ? first : item;
}

/** What is arranged together with a lead, itself first, each drawing by its first colour. */
export function scatteredWith(items: readonly ArtworkItem[], leadId: string): ArtworkItem[] {
  const all = items.filter((one) => one.repeat.mode === 'scattered' && leadOfScatter(items, one).id === leadId);
  const firsts = all.filter((one) => one.type !== 'art' || all.find((o) => o.type === 'art' && o.setId === one.setId) === one); // prettier-ignore
  return [...firsts.filter(({ id }) => id === leadId), ...firsts.filter(({ id }) => id !== leadId)];
}

/**
 * An arrangement changed as a whole: what is not pinned is arranged anew.
 *
 * @param items of the project
 * @param leadId the item that leads
 * @param change of what holds for all
 */
export const rearranged = (
  items: readonly ArtworkItem[],
  leadId: string,
  change: Partial<Scatter>,
): readonly ArtworkItem[] =>
  withScatter(items, leadId, (scatter) => ({
    ...scatter,
    even: true,
    kept: (scatter.kept ?? []).filter(({ pinned }) => pinned),
    ...change,
  }));

/**
 * An arrangement of which every copy keeps its place, with some of them changed, another thing in their place, or gone:
 * the numbers of its items are what is there then.
 *
 * @param items of the project
 * @param leadId the item that leads
 * @param kept every copy as it is to lie
 */
export function withSpots(
  items: readonly ArtworkItem[],
  leadId: string,
  kept: readonly KeptSpot[],
): readonly ArtworkItem[] {
  const counts = new Map(scatteredWith(items, leadId).map(({ id }) => [id, 0]));
  for (const { itemId } of kept) counts.set(itemId, (counts.get(itemId) ?? 0) + 1);
  // Something of which nothing is left goes; the one that leads stays, with the rest.
  const gone = new Set([...counts].flatMap(([id, count]) => (count === 0 && id !== leadId ? [id] : [])));
  const held = withScatter(items, leadId, (scatter) => ({ ...scatter, even: true, fill: false, kept }));
  return held
    .filter((item) => !gone.has(arrangedAs(items, item)))
    .map((item) => {
      const count = counts.get(arrangedAs(items, item));
      return count === undefined ? item : { ...item, repeat: { ...item.repeat, count: Math.max(1, count) } };
    });
}

/** The id by which an item is arranged: of a drawing, that of its first colour. */
export function arrangedAs(items: readonly ArtworkItem[], item: ArtworkItem): string {
  if (item.type !== 'art') return item.id;
  return (items.find((one) => one.type === 'art' && one.setId === item.setId) ?? item).id;
}

function withScatter(
  items: readonly ArtworkItem[],
  leadId: string,
  change: (scatter: Scatter) => Scatter,
): readonly ArtworkItem[] {
  const lead = items.find(({ id }) => id === leadId);
  if (!lead) return items;
  // All colours of a drawing say the same.
  const alike = (one: ArtworkItem): boolean =>
    one === lead || (one.type === 'art' && lead.type === 'art' && one.setId === lead.setId);
  return items.map((one) =>
    alike(one) ? { ...one, repeat: { ...one.repeat, mode: 'scattered', scatter: change(scatterOf(lead)) } } : one,
  );
}
