import {
  itemsOfDrawing,
  leadOfScatter,
  NEW_SCATTER,
  type OwnMotif,
  filmsUnasked,
  maskRound,
  USUAL_PROCESS,
  matesOf,
  moveItem,
  newMotif,
  newText,
  radiusOnSide,
  replaceItem,
  type ArtworkItem,
  allTogether,
  type MaskOpens,
  type MaskReach,
  type Project,
  filmForMask,
  type MotifId,
  type Placement,
} from '@mivet/core';
import { useAnyProject } from '../stores/any-project.ts';
import { useFilms } from '../stores/films.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useProject } from '../stores/project.ts';
import { useView } from '../stores/view.ts';

/** What can be done with the artwork of the open project; each is one step of undo. */
export function useItems(): {
  selected: () => ArtworkItem | null;
  addText: (text: string) => void;
  addMotif: (motif: MotifId) => void;
  change: (label: string, edit: (item: ArtworkItem) => ArtworkItem, kind?: string, id?: string | null) => void;
  countFrom: (from: Placement['from']) => Promise<void>;
  anotherRound: () => void;
  duplicate: () => void;
  otherEnd: () => void;
  makeMask: (opens: MaskOpens, reach: MaskReach) => Promise<void>;
  scatterToo: (motif: MotifId) => void;
  scatterOwn: (motif: OwnMotif) => Promise<void>;
  removeSelected: () => void;
  reorder: (id: string, by: -1 | 1) => void;
  nudge: (rightMm: number, downMm: number) => boolean;
} {
  const project = useProject();
  const changeAny = useAnyProject();
  const viewModel = useViewModel();
  const view = useView();

  const selected = (): ArtworkItem | null => project.doc?.items.find((i) => i.id === view.selectedId) ?? null;
  const nextFilm = (): string => {
    const { items, films, process } = project.doc!;
    return items.at(-1)?.film ?? filmsUnasked(films, process)[0]!.id;
  };
  /** A face has no way round to repeat along. */
  const fitting = (item: ArtworkItem): ArtworkItem =>
    viewModel.shape?.template.closed === false
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

  function change(
    label: string,
    edit: (item: ArtworkItem) => ArtworkItem,
    kind = '',
    id: string | null = view.selectedId,
  ): void {
    project.edit(
      label,
      (p) => {
        const item = p.items.find((i) => i.id === id);
        return item ? { ...p, items: replaceItem(p.items, edit(item)) } : p;
      },
      kind && `${kind}:${id}`,
    );
  }

  /** A border of its own at the other end of the band, as far from there. */
  function otherEnd(): void {
    const item = selected();
    if (!item || item.placement.from === 'middle') return;
    const from = item.placement.from === 'rim' ? 'base' : 'rim';
    add('Place it along the other end', { ...item, id: crypto.randomUUID(), placement: { ...item.placement, from } });
  }

  /** Counts from another edge without moving the item; one just placed waits until it is known how high it is. */
  function countFrom(from: Placement['from']): Promise<void> {
    const id = view.selectedId;
    return viewModel.whenShown(({ items, size: { side } }) => {
      const placed = items.find((i) => i.itemId === id);
      if (!placed) return;
      const half = placed.heightMm / 2;
      const mm =
        from === 'rim' ? placed.slant - half : from === 'base' ? side - placed.slant - half : placed.slant - side / 2;
      change('Count from elsewhere', (i) => ({ ...i, placement: { ...i.placement, from, mm } }), '', id);
    });
  }

  /** A mask plate round everything that is placed. */
  function makeMask(opens: MaskOpens, reach: MaskReach): Promise<void> {
    return viewModel.whenShown((shape) => {
      const id = crypto.randomUUID();
      const processOf = (p: Project): Project['process'] =>
        p.process === 'decal' ? USUAL_PROCESS[p.blank.surface] : p.process;
      const maskFilm = (p: Project): string =>
        (filmForMask(useFilms().offered, processOf(p), p.blank.colour) ?? p.films[0]!).id;
      const side = { length: shape.size.side, radiusAt: (slant: number) => radiusOnSide(shape, slant) };
      project.edit('Make a mask of it', (p) => ({
        ...p,
        process: processOf(p),
        items: maskRound(p.items, shape.items, side, maskFilm(p), id, opens, reach),
      }));
      if (project.doc?.items.some((i) => i.id === id)) view.selectedId = id;
    });
  }

  /** Scatters a motif together with the selected item. */
  function scatterToo(motif: MotifId): void {
    const item = selected();
    const scatter = item?.repeat.scatter;
    if (!item || item.repeat.mode !== 'scattered') return;
    const lead = scatter?.with ?? item.id;
    const other = newMotif(crypto.randomUUID(), motif, item.film);
    project.edit('Scatter another motif with it', (p) => ({
      ...p,
      items: [
        ...p.items,
        {
          ...other,
          widthMm: item.type === 'text' ? other.widthMm : item.widthMm,
          heightMm: null,
          running: item.running,
          placement: item.placement,
          repeat: {
            mode: 'scattered',
            count: Math.max(1, Math.round(item.repeat.count / 2)),
            scatter: { ...NEW_SCATTER, gapMm: 0, films: scatter?.films ?? [], with: lead },
          },
        },
      ],
    }));
  }

  /** Scatters a drawing of one's own together with the selected item: all its colours, each on the film nearest to it. */
  async function scatterOwn(motif: OwnMotif): Promise<void> {
    const item = selected();
    if (!project.doc || !item || item.repeat.mode !== 'scattered') return;
    const { id, items } = project.doc;
    const lead = leadOfScatter(items, item).id;
    const { filmIdsFor } = await import('@mivet/core/drawings');
    const films = filmIdsFor(motif.colours.map(({ colour }) => colour), useFilms().unasked, true); // prettier-ignore
    const { name, source, rights } = motif;
    const widthMm = item.type === 'text' ? motif.widthMm : item.widthMm;
    const colours = itemsOfDrawing(motif, films, { name, source, rights }, widthMm, () => crypto.randomUUID());
    const count = Math.max(1, Math.round(item.repeat.count / 2));
    await changeAny(id, 'Scatter a drawing with it', (p) => ({
      ...p,
      items: [
        ...p.items,
        ...colours.map((one) => ({
          ...one,
          running: item.running,
          repeat: { mode: 'scattered', count, scatter: { ...NEW_SCATTER, gapMm: 0, with: lead } } as const,
        })),
      ],
    }));
  }

  function nudge(rightMm: number, downMm: number): boolean {
    const item = selected();
    if (!item || !viewModel.shape || !project.doc) return false;
    const placed = viewModel.shape.items.find((i) => i.itemId === item.id);
    if (!placed) {
      // Just placed: how much of the girth a millimetre is there is known with the next picture.
      void viewModel.whenShown((shape) => {
        if (shape.items.some((i) => i.itemId === selected()?.id)) nudge(rightMm, downMm);
      });
      return true;
    }
    const girth = 2 * Math.PI * radiusOnSide(viewModel.shape, placed.slant);
    const hand = { hand: project.doc.hand };
    project.edit(
      'Nudge',
      (p) =>
        allTogether(p.items, view.selection).reduce(
          (now, one) => ({
            ...now,
            items: replaceItem(now.items, moveItem(one, (rightMm / girth) * 360, downMm, hand)),
          }),
          p,
        ),
      `nudge:${item.id}`,
    );
    return true;
  }

  return {
    selected,
    addText: (text) => add('Place words', newText(crypto.randomUUID(), text, nextFilm())),
    addMotif: (motif) => add('Place a motif', newMotif(crypto.randomUUID(), motif, nextFilm())),
    change,
    countFrom,
    anotherRound: () =>
      change('Another one round', (i) => ({
        ...i,
        repeat:
          i.repeat.mode === 'once'
            ? { mode: 'spaced', count: 2 }
            : { ...i.repeat, count: Math.min(200, i.repeat.count + 1) },
      })),
    otherEnd,
    makeMask,
    scatterToo,
    scatterOwn,
    duplicate: () => {
      const item = selected();
      if (!item || !project.doc) return;
      const { doc } = project;
      // All colours of a drawing, as a drawing of their own.
      const setId = crypto.randomUUID();
      const seconds = doc.items
        .filter((i) => i.id === item.id || matesOf(doc.items, item).some((mate) => mate.id === i.id))
        .map((i): ArtworkItem => {
          const second = { ...moveItem(i, 30, 0, doc), id: crypto.randomUUID(), keepTogether: null };
          return second.type === 'art' ? { ...second, setId } : second;
        });
      project.edit('Duplicate', (p) => ({ ...p, items: [...p.items, ...seconds] }));
      view.selectedId = seconds[0]!.id;
    },
    removeSelected: () => {
      const item = selected();
      if (!item || !project.doc) return;
      // A drawing goes with all its colours; one of them alone is left off in its own editor.
      const { items } = project.doc;
      const gone = new Set(
        items
          .filter(({ id }) => view.selection.has(id))
          .flatMap((one) => [one.id, ...matesOf(items, one).map((mate) => mate.id)]),
      );
      project.edit('Delete', (p) => ({ ...p, items: p.items.filter((i) => !gone.has(i.id)) }));
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
