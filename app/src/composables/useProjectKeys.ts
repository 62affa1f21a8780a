import { useEventListener } from '@vueuse/core';
import { useRoute, useRouter } from 'vue-router';
import { STOPS } from './stops.ts';
import { isTaken, isTyping } from './useGlobalKeys.ts';
import { useItems } from './useItems.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useView } from '../stores/view.ts';

const QUARTER = (15 * Math.PI) / 180;

/** Keys that work in a project, except while typing. */
export function useProjectKeys(): void {
  const route = useRoute();
  const router = useRouter();
  const viewModel = useViewModel();
  const view = useView();
  const items = useItems();

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (isTyping(event) || isTaken(event)) return;
    if (event.ctrlKey || event.metaKey || (event.altKey && !event.key.startsWith('Arrow'))) return;
    const stop = STOPS[Number(event.key) - 1];
    if (stop) {
      void router.push({ name: 'project', params: { id: route.params['id'] as string, stop } });
      return;
    }
    // The bench has keys of its own; nothing is moved or deleted there that one does not see.
    if (route.params['stop'] === 'bench') return;
    const step = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
    // Single letters count the same with and without Shift; named keys keep their names.
    switch (event.key.length === 1 ? event.key.toLowerCase() : event.key) {
      case '[':
        view.facing -= QUARTER;
        break;
      case ']':
        view.facing += QUARTER;
        break;
      case 's':
        view.showSeam = !view.showSeam;
        break;
      case 'g':
        view.showGlance = !view.showGlance;
        break;
      case 'h':
        view.showZones = !view.showZones;
        break;
      case 'b': {
        const placed = viewModel.shape?.items.find((i) => i.itemId === view.selectedId);
        view.facing = placed?.azimuth ?? 0;
        break;
      }
      case 'd':
        items.anotherRound();
        break;
      case 'Delete':
      case 'Backspace':
        items.removeSelected();
        break;
      case 'Escape':
        view.selectedId = null;
        break;
      case 'ArrowLeft':
        if (items.nudge(-step, 0)) event.preventDefault();
        break;
      case 'ArrowRight':
        if (items.nudge(step, 0)) event.preventDefault();
        break;
      case 'ArrowUp':
        if (items.nudge(0, -step)) event.preventDefault();
        break;
      case 'ArrowDown':
        if (items.nudge(0, step)) event.preventDefault();
        break;
    }
  });
}
