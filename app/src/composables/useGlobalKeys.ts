import { useEventListener } from '@vueuse/core';
import { useProject } from '../stores/project.ts';
import { useView } from '../stores/view.ts';

/** Whether a key was meant for a field that is being typed in. */
export const isTyping = ({ target }: KeyboardEvent): boolean => (target as HTMLElement | null)?.closest?.('input, textarea, select, [contenteditable]') != null; // prettier-ignore

/** Whether a key is none of the page's: it was taken already, or means what lies behind a dialog. */
export const isTaken = (event: KeyboardEvent): boolean => event.defaultPrevented || document.querySelector('.modal.show') !== null; // prettier-ignore

/** Keys that work everywhere, except while typing. */
export function useGlobalKeys(): void {
  const project = useProject();
  const view = useView();

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (isTyping(event)) return;
    const command = event.ctrlKey || event.metaKey;
    if (command && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) project.redo();
      else project.undo();
      return;
    }
    if (event.key !== '?' || command || event.altKey) return;
    // The sheet of keys is a dialog too, and goes by the key that it came by.
    if (view.showKeys) view.showKeys = false;
    else if (!isTaken(event)) view.showKeys = true;
  });
}
