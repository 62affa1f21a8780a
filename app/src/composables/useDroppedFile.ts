import { useEventListener } from '@vueuse/core';

/** Lets files be dropped anywhere on the page; what takes them in is loaded when one is. */
export function useDroppedFile(): void {
  useEventListener('dragover', (event: DragEvent) => {
    if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
  });
  useEventListener('drop', async (event: DragEvent) => {
    const file = event.dataTransfer?.files[0];
    if (!file) return;
    event.preventDefault();
    const { tellOf } = await import('./take-in.ts');
    await tellOf(file);
  });
}
