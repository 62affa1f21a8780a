import { nearFront, type ShapeViewModel } from '@mivet/core';
import { usePreferredReducedMotion } from '@vueuse/core';
import { watch } from 'vue';
import { useProject } from '../stores/project.ts';
import { useView } from '../stores/view.ts';
import { useViewModel } from '../stores/view-model.ts';

/** rad. What lies further round than this is seen too much from the side to be worked on. */
const SEEN = 0.7;
/** rad. A handle is seen best from a little to the side. */
const BESIDE_HANDLE = 0.7;
const TURN_MS = 260;

/** Where a blank is looked at first: at its words, else at the largest thing that does not run round, else beside the handle. */
export function firstFacing(shape: Pick<ShapeViewModel, 'items'>, words: ReadonlySet<string>, handle: boolean): number {
  const single = shape.items.filter(({ copies }) => copies.length <= 1);
  const lead = single.find(({ itemId }) => words.has(itemId)) ?? single.toSorted((a, b) => b.widthMm - a.widthMm)[0];
  return lead?.azimuth ?? (handle ? BESIDE_HANDLE : 0);
}

/** Turns the blank to its artwork when a project is opened, and to what is selected when that faces away. */
export function useFacing(): void {
  const project = useProject();
  const viewModel = useViewModel();
  const view = useView();
  const motion = usePreferredReducedMotion();
  let turned: string | null = null;

  watch(
    () => [project.doc?.id, viewModel.shape] as const,
    ([id, shape]) => {
      if (!id || !shape || turned === id) return;
      turned = id;
      const words = new Set(project.doc!.items.flatMap((item) => (item.type === 'text' ? [item.id] : [])));
      view.facing = firstFacing(shape, words, project.doc!.blank.handleWidthMm > 0);
    },
    { immediate: true },
  );

  let frame = 0;
  function turnTo(azimuth: number): void {
    cancelAnimationFrame(frame);
    const from = view.facing;
    const by = nearFront(azimuth - from);
    const start = performance.now();
    const step = (): void => {
      const share = motion.value === 'reduce' ? 1 : Math.min(1, (performance.now() - start) / TURN_MS);
      view.facing = from + by * (1 - (1 - share) ** 3);
      if (share < 1) frame = requestAnimationFrame(step);
    };
    step();
  }
  watch(
    () => view.selectedId,
    (id) => {
      const placed = id === null ? undefined : viewModel.shape?.items.find(({ itemId }) => itemId === id);
      if (placed && placed.copies.length <= 1 && Math.abs(nearFront(placed.azimuth - view.facing)) > SEEN)
        turnTo(placed.azimuth);
    },
  );
}
