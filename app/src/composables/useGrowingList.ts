import { useIntersectionObserver } from '@vueuse/core';
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';

/**
 * A long list that is drawn in parts: more as its end comes into sight, so that five hundred cards open as fast as
 * twenty.
 *
 * @param items the whole list
 * @param end the element below the last one drawn
 * @param step how many are added at a time
 * @returns the part to draw, how many are left, and a function that draws the next part
 */
export function useGrowingList<T>(
  items: () => readonly T[],
  end: Ref<HTMLElement | null>,
  step = 24,
): { part: ComputedRef<readonly T[]>; left: ComputedRef<number>; grow: () => void } {
  const count = ref(step);
  const part = computed(() => items().slice(0, count.value));
  const left = computed(() => items().length - part.value.length);
  const grow = (): void => {
    if (left.value > 0) count.value += step;
  };
  useIntersectionObserver(end, ([entry]) => {
    if (entry?.isIntersecting) grow();
  });
  watch(
    () => items().length,
    (now, before) => {
      if (now < before) count.value = Math.max(step, Math.min(count.value, now));
    },
  );
  return { part, left, grow };
}
