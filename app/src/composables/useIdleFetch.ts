import { until } from '@vueuse/core';
import { onBeforeUnmount } from 'vue';

/** ms that the page has rested before anything is fetched ahead. */
const REST_MS = 1000;

/** Done when the page has nothing better to do. */
export const whenIdle = (): Promise<void> =>
  new Promise((go) => {
    if (typeof requestIdleCallback === 'undefined') setTimeout(go, 50);
    else requestIdleCallback(() => go(), { timeout: 2000 });
  });

/**
 * Fetches parts of the page ahead, one at a time, while nobody waits for anything; until the view is left.
 *
 * @param ready whether what is asked for now is there
 * @param parts how each is fetched; one that fails is fetched again when it is needed
 */
export function useIdleFetch(ready: () => boolean, parts: readonly (() => Promise<unknown>)[]): void {
  let left = false;
  onBeforeUnmount(() => {
    left = true;
  });
  void until(ready)
    .toBe(true)
    .then(async () => {
      await new Promise((rested) => setTimeout(rested, REST_MS));
      for (const fetch of parts) {
        await whenIdle();
        if (left) return;
        await fetch().catch(() => undefined);
      }
    });
}
