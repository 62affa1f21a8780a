import {
  colourWord,
  columnsFor,
  drawingsInUse,
  swapInRow,
  withoutColumn,
  type ArtworkItem,
  type RowColumn,
  type RowDrawing,
  type RowPicture,
} from '@mivet/core';
import { computed } from 'vue';
import { useFilms } from '../stores/films.ts';
import { useLibrary } from '../stores/library.ts';
import { useProject } from '../stores/project.ts';
import { itemTitle } from './item-title.ts';

/** What rows of the open project's list may differ in besides words, hand and blank, and what is changed there. */
export function useRowColumns() {
  const project = useProject();
  const library = useLibrary();
  const films = useFilms();
  const items = computed(() => project.doc?.items ?? []);
  /** What an item is called where several may be of one name: with its colour. */
  function titleOf(item: ArtworkItem, what: RowColumn['what']): string {
    const mates = item.type === 'art' && items.value.some((one) => one !== item && one.type === 'art' && one.setId === item.setId); // prettier-ignore
    // All colours of a drawing go together where another picture takes its place.
    if (what === 'picture' && mates) return itemTitle(item);
    const colour = item.type === 'art' ? item.colour : films.offered.find(({ id }) => id === item.film)?.colour;
    return colour ? `${itemTitle(item)}, ${colourWord(colour)}` : itemTitle(item);
  }
  const itemOf = (column: RowColumn): ArtworkItem | undefined => items.value.find(({ id }) => id === column.itemId);
  /** In words: what is asked, and of what. */
  function labelOf(column: RowColumn): string {
    const item = itemOf(column);
    if (!item) return '';
    return column.what === 'film' ? `Film: ${titleOf(item, 'film')}` : `Motif: ${titleOf(item, 'picture')}`;
  }
  const same = (a: RowColumn, b: RowColumn): boolean => a.itemId === b.itemId && a.what === b.what;
  /** Those that are asked by now; of an item that is gone nothing is. */
  const columns = computed(() => (project.doc?.names?.columns ?? []).filter(itemOf));
  const further = computed(() => columnsFor(items.value).filter((one) => !columns.value.some((c) => same(c, one))));
  const drawings = computed(() => {
    const own = project.doc?.rowDrawings ?? [];
    return [...own, ...library.motifs.filter(({ id }) => !own.some((one) => one.id === id))];
  });

  function add(column: RowColumn): void {
    project.edit('Let things of the list differ', (p) =>
      p.names ? { ...p, names: { ...p.names, columns: [...(p.names.columns ?? []), column] } } : p,
    );
  }
  function remove(column: RowColumn): void {
    project.edit('Make the list alike again', (p) => {
      if (!p.names) return p;
      const names = withoutColumn(p.names, column);
      return { ...p, names, rowDrawings: drawingsInUse(names, p.rowDrawings ?? []) };
    });
  }
  function swap(rowId: string, itemId: string, change: { film: string | null } | { picture: RowPicture | null }): void {
    project.edit('film' in change ? 'Change the film of one' : 'Change the picture of one', (p) => {
      if (!p.names) return p;
      const rows = p.names.rows.map((row) => (row.id === rowId ? swapInRow(row, itemId, change) : row));
      const names = { ...p.names, rows };
      const picture = 'picture' in change ? change.picture : null;
      const taken = library.motifs.filter(({ id }) => picture?.by === 'drawing' && id === picture.drawingId);
      const all = [...(p.rowDrawings ?? []), ...taken.filter(({ id }) => !p.rowDrawings?.some((one) => one.id === id)).map(snapshotOf)]; // prettier-ignore
      return { ...p, names, rowDrawings: drawingsInUse(names, all) };
    });
  }
  return { columns, further, drawings, itemOf, titleOf, labelOf, add, remove, swap };
}

/** What a project keeps of a drawing. */
const snapshotOf = ({ id, name, source, rights, widthMm, heightMm, colours }: RowDrawing): RowDrawing => ({
  id,
  name,
  source,
  rights,
  widthMm,
  heightMm,
  colours,
});
