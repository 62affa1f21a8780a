import type { ObjectDirective } from 'vue';

interface Held {
  value: string;
  /** Whether something was typed that was not taken yet. */
  typing: boolean;
}
const held = new WeakMap<HTMLInputElement, Held>();

/**
 * Shows a value in an input without taking away what is being typed: while the project is recomputed, a field that
 * someone is typing in keeps its text until that is taken (`change`) or left.
 */
export const vHeld: ObjectDirective<HTMLInputElement, string | number> = {
  mounted(input, { value }) {
    const state: Held = { value: String(value), typing: false };
    held.set(input, state);
    input.value = state.value;
    input.addEventListener('input', () => (state.typing = true));
    input.addEventListener('change', () => (state.typing = false));
    input.addEventListener('blur', () => {
      if (state.typing) input.value = state.value;
      state.typing = false;
    });
  },
  updated(input, { value, oldValue }) {
    const state = held.get(input)!;
    state.value = String(value);
    if (!state.typing && value !== oldValue) input.value = state.value;
  },
};
