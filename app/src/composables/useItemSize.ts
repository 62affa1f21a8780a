import type { ArtItem, ArtworkItem, MotifItem } from '@mivet/core';
import { useViewModel } from '../stores/view-model.ts';
import { useItems } from './useItems.ts';

/** Sets an item's size by its width or its height as it is cut; words by their width or the height of their capitals. */
export function useItemSize(item: () => ArtworkItem): {
  setWidth: (mm: number) => void;
  setHeight: (mm: number) => void;
} {
  const viewModel = useViewModel();
  const items = useItems();

  function setWidth(mm: number): void {
    if (item().type === 'text') setWords('width', mm);
    else void grow('width', mm);
  }
  function setHeight(mm: number): void {
    if (item().type === 'text') setWords('cap', mm);
    else if (item().repeat.mode === 'joined') void stretch(mm);
    else void grow('height', mm);
  }
  const setWords = (by: 'width' | 'cap', mm: number): void =>
    items.change(by === 'width' ? 'Change the width' : 'Change the height', (i) =>
      i.type === 'text' ? { ...i, size: { by, mm } } : i,
    );

  /** Of what is joined only the height is free: what is placed of it, its page too, is stretched until its film is so high. */
  function stretch(mm: number): Promise<void> {
    const stretched = item().id;
    return viewModel.whenShown((shape) => {
      const placed = shape.items.find((i) => i.itemId === stretched);
      const by = placed?.cutMm ? mm / placed.cutMm.height : 1;
      const heightMm = placed?.cutMm && by > 0 ? Math.round(placed.heightMm * by * 1e6) / 1e6 : mm;
      items.change('Change the height', (i) => (i.type === 'text' ? i : { ...i, heightMm }), '', stretched);
    });
  }

  /**
   * Makes it so wide or so high and keeps its shape. It is calculated from the size that it has then, not from a picture that
   * a change made a moment ago has outrun.
   */
  function grow(which: 'width' | 'height', mm: number): Promise<void> {
    const grown = item().id;
    return viewModel.whenShown((shape) => {
      const cut = shape.items.find((i) => i.itemId === grown)?.cutMm;
      items.change(
        `Change the ${which}`,
        (i) => {
          if (i.type === 'text') return i;
          // Where nothing is left of it to measure its own size counts.
          const now = cut?.[which] ?? (which === 'width' ? i.widthMm : i.heightMm);
          return now === null || !(now > 0) ? i : resized(i, mm / now);
        },
        '',
        grown,
      );
    });
  }

  return { setWidth, setHeight };
}

const resized = <I extends MotifItem | ArtItem>(item: I, by: number): I => ({
  ...item,
  widthMm: item.widthMm * by,
  heightMm: item.heightMm === null ? null : item.heightMm * by,
});
