import { MOTIFS } from '../artwork/motifs/index.ts';
import type { ArtworkItem } from '../model/item.ts';
import type { Project } from '../model/project.ts';

/** Outlines that can be worked out while somebody waits. */
const LIGHT = 12_000;
/** Outlines that are drawn of a project that took too long: about three seconds, so that it never takes too long again. */
const SHOWN = 2500;

/** An item, how many outlines it comes to, and why. */
export interface HeavyItem {
  readonly item: ArtworkItem;
  /** What it is called. */
  readonly name: string;
  readonly outlines: number;
  readonly copies: number;
}

/** Outlines that an item comes to: letters, parts of a motif, parts of a drawing, each for every copy. */
function weigh(item: ArtworkItem): HeavyItem {
  const copies =
    item.repeat.mode === 'once' ? (item.placement.facing === 'faces' ? 2 : 1) : Math.max(1, item.repeat.count);
  const more = copies + item.spares;
  if (item.type === 'text') {
    const letters = [...item.text.replace(/\s/g, '')].length * (item.ring ? item.ring.times : 1);
    return {
      item,
      name: `“${item.text.slice(0, 24)}${item.text.length > 24 ? '…' : ''}”`,
      outlines: letters * more,
      copies,
    };
  }
  if (item.type === 'motif') return { item, name: MOTIFS[item.motif].label, outlines: 4 * more, copies };
  // Outlines begin with a move; a long one counts for as many as it could be cut into.
  const parts = Math.max(item.pathData.split('M').length - 1, item.pathData.length / 600);
  return { item, name: item.name, outlines: parts * more, copies };
}

/** What makes a project heavy, the heaviest first; empty when nothing does. */
export function heavyItems({ items, names }: Pick<Project, 'items' | 'names'>): HeavyItem[] {
  const makes = Math.max(1, names?.rows.length ?? 1);
  const all = heaviestFirst(items);
  return makes * outlinesOf(all) <= LIGHT ? [] : all;
}

const heaviestFirst = (items: Project['items']): HeavyItem[] =>
  items.map(weigh).sort((a, b) => b.outlines - a.outlines);
const outlinesOf = (all: readonly HeavyItem[]): number => all.reduce((total, { outlines }) => total + outlines, 0);

/** A project without its heaviest items, as few of them as leave what can be shown for certain, and those. */
export function lightened(project: Project): { readonly project: Project; readonly leftOut: readonly HeavyItem[] } {
  const leftOut: HeavyItem[] = [];
  const all = heaviestFirst(project.items);
  let sum = outlinesOf(all);
  for (const heavy of all) {
    if (sum <= SHOWN) break;
    leftOut.push(heavy);
    sum -= heavy.outlines;
  }
  const gone = new Set(leftOut.map(({ item }) => item.id));
  return { project: { ...project, items: project.items.filter(({ id }) => !gone.has(id)), names: null }, leftOut };
}

/** What makes a project heavy, in words. */
export function describeHeavy(project: Pick<Project, 'items' | 'names'>): string | null {
  const [first, ...rest] = heavyItems(project);
  if (!first) return null;
  const copies = first.copies > 1 ? ` ${first.copies} times` : '';
  const others = rest.filter(({ outlines }) => outlines > 0.1 * first.outlines).length;
  const rows = project.names?.rows.length ?? 0;
  return [
    `${first.name}${copies} comes to ${Math.round(first.outlines)} outlines`,
    ...(others > 0 ? [`${others} more like it`] : []),
    ...(rows > 1 ? [`made for a list of ${rows}`] : []),
  ].join(', ');
}

/** What was left out of a picture, in words: each name once, with how many there are of it. */
export function describeLeftOut(leftOut: readonly HeavyItem[]): string {
  if (leftOut.length === 0) return 'It is shown whole, and was not judged.';
  const counts = new Map<string, number>();
  for (const { name } of leftOut) counts.set(name, (counts.get(name) ?? 0) + 1);
  const names = [...counts].map(([name, count]) => (count > 1 ? `${name} (${count} of them)` : name));
  const more = names.length > 3 ? [`${names.length - 3} more`] : [];
  return `Shown without ${new Intl.ListFormat('en-GB').format([...names.slice(0, 3), ...more])}, and not judged.`;
}
