import { ref, watch, type Ref } from 'vue';

const KEY = 'mivet-kept';

function keptBefore(): number {
  try {
    return Number(localStorage.getItem(KEY) ?? 0) || 0;
  } catch {
    return 0;
  }
}

function note(count: number): void {
  try {
    localStorage.setItem(KEY, String(count));
  } catch {
    // Where nothing can be noted, nothing can be missed.
  }
}

/**
 * How many projects were kept in this browser when it was last looked at, where now there are none: its storage was cleared
 * or damaged, and the browser says nothing of that. Told with each visit until it is seen.
 *
 * @param count how many projects there are; null while that is not known, or where nothing is kept
 * @returns 0 where none are missing; set to 0 by whoever has seen it
 */
export function watchGone(count: () => number | null): Ref<number> {
  const gone = ref(0);
  let first = true;
  watch(
    count,
    (now) => {
      if (now === null) return;
      gone.value = first && now === 0 ? keptBefore() : 0;
      first = false;
      if (gone.value === 0) note(now);
    },
    { immediate: true, flush: 'sync' },
  );
  watch(gone, (left) => left === 0 && note(count() ?? 0), { flush: 'sync' });
  return gone;
}
