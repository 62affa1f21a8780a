import {
  arrangedAs,
  keptSpots,
  leadOfScatter,
  rearranged,
  replaceItem,
  scatteredWith,
  withSpots,
  type ArtworkItem,
  type KeptSpot,
  type PlacedSpot,
  type Scatter,
  type ShapeViewModel,
} from '@mivet/core';
import { computed } from 'vue';
import { useProject } from '../stores/project.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useView } from '../stores/view.ts';

/** Every copy of the arrangement that an item is part of, as it lies in a picture of it. */
export function copiesOf(items: readonly ArtworkItem[], item: ArtworkItem, shape: ShapeViewModel): KeptSpot[] {
  const lead = leadOfScatter(items, item);
  return keptSpots(
    scatteredWith(items, lead.id).map((one) => ({
      item: one,
      spots: shape.items.find(({ itemId }) => itemId === one.id)?.spots ?? null,
    })),
  );
}

/** Where copy n of an item stands among all copies of its arrangement; −1 when it is not there. */
export function placeAmong(copies: readonly KeptSpot[], itemId: string, n: number): number {
  const own = copies.flatMap((spot, i) => (spot.itemId === itemId ? [i] : []));
  return own[n] ?? -1;
}

/** How the selected item is scattered, and one of its copies. */
export function useScatter(item: () => ArtworkItem) {
  const project = useProject();
  const viewModel = useViewModel();
  const view = useView();
  const items = computed(() => project.doc?.items ?? []);
  const lead = computed(() => leadOfScatter(items.value, item()));
  const scatter = computed((): Scatter | null => (item().repeat.mode === 'scattered' ? (item().repeat.scatter ?? null) : null)); // prettier-ignore
  /** What holds for all that is arranged together. */
  const shared = computed(() => lead.value.repeat.scatter ?? scatter.value);
  const others = computed(() => scatteredWith(items.value, lead.value.id).filter(({ id }) => id !== arrangedAs(items.value, item()))); // prettier-ignore
  const spots = computed((): readonly PlacedSpot[] => viewModel.shape?.items.find((i) => i.itemId === item().id)?.spots ?? []); // prettier-ignore
  const copy = computed(() => (view.copyIndex === null ? null : (spots.value[view.copyIndex] ?? null)));

  /** Changes what holds for all; whatever is not pinned finds new places. */
  function arrange(label: string, change: Partial<Scatter>): void {
    view.copyIndex = null;
    project.edit(label, (p) => ({ ...p, items: rearranged(p.items, lead.value.id, change) }));
  }
  /** Changes what holds for this item alone: its number, its films, how far it is turned and sized. */
  function own(label: string, change: Partial<Scatter>, count?: number): void {
    view.copyIndex = null;
    project.edit(label, (p) => {
      const now = p.items.find(({ id }) => id === item().id);
      if (!now) return p;
      const before = now.repeat.scatter ?? shared.value!;
      const repeat = { ...now.repeat, count: count ?? now.repeat.count, scatter: { ...before, ...change } };
      return { ...p, items: rearranged(replaceItem(p.items, { ...now, repeat }), lead.value.id, {}) };
    });
  }
  /** Changes one copy, all others staying where they are; null takes it away. */
  function changeCopy(label: string, change: Partial<KeptSpot> | null): Promise<void> {
    const n = view.copyIndex;
    return viewModel.whenShown((shape) => {
      const id = arrangedAs(items.value, item());
      const copies = copiesOf(items.value, item(), shape);
      const at = n === null ? -1 : placeAmong(copies, id, n);
      if (at < 0) return;
      const kept = change
        ? copies.map((spot, i) => (i === at ? { ...spot, ...change } : spot))
        : copies.filter((_, i) => i !== at);
      project.edit(label, (p) => ({ ...p, items: withSpots(p.items, lead.value.id, kept) }));
      if (!change) view.copyIndex = null;
      else if (change.itemId !== undefined && change.itemId !== id) {
        // It is a copy of another thing now: that one is selected, at its place among its own.
        const index = kept.slice(0, at).filter((spot) => spot.itemId === change.itemId).length;
        view.selectedId = change.itemId;
        view.copyIndex = index;
      }
    });
  }
  return { lead, scatter, shared, others, spots, copy, arrange, own, changeCopy };
}
