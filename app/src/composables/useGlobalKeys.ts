import { useEventListener } from '@vueuse/core';
import { useRoute, useRouter } from 'vue-router';
import { STOPS } from './stops.ts';
import { useItems } from './useItems.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useProject } from '../stores/project.ts';
import { useView } from '../stores/view.ts';

const QUARTER = (15 * Math.PI) / 180;

/** Keys that work anywhere in a project, except while typing. */
export function useGlobalKeys(): void {
  const route = useRoute();
  const router = useRouter();
  const project = useProject();
  const viewModel = useViewModel();
  const view = useView();
  const items = useItems();

  useEventListener('keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement | null;
    const typing = target?.closest('input, textarea, select, [contenteditable]') !== null && target !== null;
    const command = event.ctrlKey || event.metaKey;
    if (command && event.key.toLowerCase() === 'z' && !typing) {
      event.preventDefault();
      if (event.shiftKey) project.redo();
      else project.undo();
      return;
    }
    if (typing || command || event.altKey !== (event.altKey && event.key.startsWith('Arrow'))) return;
    if (event.key === '?' && view.showKeys) {
      view.showKeys = false;
      return;
    }
    // What has its key already, and what lies behind a dialog, is not moved, deleted or left by it.
    if (event.defaultPrevented || document.querySelector('.modal.show')) return;
    if (event.key === '?') {
      view.showKeys = true;
      return;
    }
    if (route.name !== 'project') return;
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
