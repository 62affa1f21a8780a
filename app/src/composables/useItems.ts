import { moveItem, newMotif, newText, type ArtworkItem, type MotifId } from '@mivet/core';
import { usePicture } from '../stores/picture.ts';
import { useProject } from '../stores/project.ts';
import { useView } from '../stores/view.ts';

/** What can be done with the artwork of the open project; each is one step of undo. */
export function useItems(): {
  selected: () => ArtworkItem | null;
  addText: (text: string) => void;
  addMotif: (motif: MotifId) => void;
  change: (label: string, edit: (item: ArtworkItem) => ArtworkItem, kind?: string) => void;
  anotherRound: () => void;
  duplicate: () => void;
  removeSelected: () => void;
  reorder: (id: string, by: -1 | 1) => void;
  nudge: (rightMm: number, downMm: number) => boolean;
} {
  const project = useProject();
  const picture = usePicture();
  const view = useView();

  const selected = (): ArtworkItem | null => project.doc?.items.find((i) => i.id === view.selectedId) ?? null;
  const nextFilm = (): string => {
    const { items, films } = project.doc!;
    return items.at(-1)?.film ?? films[0]!.id;
  };
  /** A face has no way round to repeat along. */
  const fitting = (item: ArtworkItem): ArtworkItem =>
    picture.good?.template.closed === false
      ? {
          ...item,
          running: 'rigid',
          repeat: { mode: 'once', count: 1 },
          placement: { ...item.placement, from: 'middle', mm: 0 },
        }
      : item;
  const add = (label: string, item: ArtworkItem): void => {
    project.edit(label, (p) => ({ ...p, items: [...p.items, fitting(item)] }));
    view.selectedId = item.id;
  };

  function change(label: string, edit: (item: ArtworkItem) => ArtworkItem, kind = ''): void {
    const id = view.selectedId;
    project.edit(
      label,
      (p) => ({ ...p, items: p.items.map((i) => (i.id === id ? edit(i) : i)) }),
      kind && `${kind}:${id}`,
    );
  }

  function nudge(rightMm: number, downMm: number): boolean {
    const item = selected();
    const placed = picture.good?.items.find((i) => i.itemId === item?.id);
    if (!item || !placed || !picture.good || !project.doc) return false;
    const { cone } = picture.good.template;
    const girth = cone.girthRim + ((cone.girthBase - cone.girthRim) * placed.slant) / cone.side;
    const hand = { hand: project.doc.hand };
    change('Nudge', (i) => moveItem(i, (rightMm / girth) * 360, downMm, hand), 'nudge');
    return true;
  }

  return {
    selected,
    addText: (text) => add('Place words', newText(crypto.randomUUID(), text, nextFilm())),
    addMotif: (motif) => add('Place a motif', newMotif(crypto.randomUUID(), motif, nextFilm())),
    change,
    anotherRound: () =>
      change('Another one round', (i) => ({
        ...i,
        repeat:
          i.repeat.mode === 'once'
            ? { mode: 'spaced', count: 2 }
            : { ...i.repeat, count: Math.min(200, i.repeat.count + 1) },
      })),
    duplicate: () => {
      const item = selected();
      if (item && project.doc)
        add('Make a second one', {
          ...moveItem(item, 30, 0, project.doc),
          id: crypto.randomUUID(),
          keepTogether: null,
        });
    },
    removeSelected: () => {
      const id = view.selectedId;
      if (!id || !project.doc?.items.some((i) => i.id === id)) return;
      project.edit('Take away', (p) => ({ ...p, items: p.items.filter((i) => i.id !== id) }));
      view.selectedId = null;
    },
    reorder: (id, by) =>
      project.edit('Change the film stack', (p) => {
        const at = p.items.findIndex((i) => i.id === id);
        const to = at + by;
        if (at < 0 || to < 0 || to >= p.items.length) return p;
        const items = [...p.items];
        [items[at], items[to]] = [items[to]!, items[at]!];
        return { ...p, items };
      }),
    nudge,
  };
}
