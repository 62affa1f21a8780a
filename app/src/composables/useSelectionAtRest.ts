import { useDebounceFn, useEventListener } from '@vueuse/core';
import { type Ref, ref, watch } from 'vue';
import { useView } from '../stores/view.ts';

/** ms without a move, by which a hand is taken to rest; more than a page that is busy keeps moves waiting. */
const REST_MS = 250;

/**
 * What is selected, for what takes long to put together: what was pressed with the pointer comes when it is let go or when
 * the hand rests, so that it can be dragged away at once.
 */
export function useSelectionAtRest(): Readonly<Ref<string | null>> {
  const view = useView();
  const shown = ref(view.selectedId);
  const pressed = ref(false);
  // Before whatever is pressed hears of it.
  useEventListener(window, 'pointerdown', () => (pressed.value = true), { capture: true });
  useEventListener(window, ['pointerup', 'pointercancel', 'blur'], () => (pressed.value = false), { capture: true });
  const follow = (): void => void (shown.value = view.selectedId);
  const followAtRest = useDebounceFn(follow, REST_MS);
  useEventListener(window, 'pointermove', () => pressed.value && void followAtRest(), { capture: true, passive: true });
  watch([() => view.selectedId, pressed], () => {
    // Nothing of what is gone is shown, however long something is held.
    if (pressed.value && view.selectedId !== null) void followAtRest();
    else follow();
  });
  return shown;
}
