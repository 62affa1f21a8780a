import { DoesNotFit } from '../data/refused.ts';
import { ref, type Ref } from 'vue';

/** Why the last change was not made, until a field has taken it up. */
let pending: string | null = null;
const shown = ref<string | null>(null);

/** Why something could not be kept in this browser, in words. */
export const notKept = (problem: unknown): string =>
  problem instanceof DoesNotFit
    ? `It was not kept: ${problem.message} Nothing was changed.`
    : 'It could not be kept in this browser; the disk may be full. Nothing was changed. Make room, then try again.';

/**
 * Waits until something is deleted. Where nothing is kept there is nothing to delete; it may be kept again by now, though.
 *
 * @param refused whether the browser keeps nothing
 * @throws what deleting throws where things are kept
 */
export async function deleted(deleting: Promise<void>, refused: () => boolean): Promise<void> {
  await deleting.catch((problem: unknown) => {
    if (!refused()) throw problem;
  });
}

/**
 * Says why a change is not made. The field whose change it was takes it up at once (`takeRefusal`) and shows it where it
 * was typed; what no field takes up is shown above the work.
 */
export function refuse(words: string): void {
  pending = words;
  queueMicrotask(() => {
    if (pending !== words) return;
    pending = null;
    shown.value = words;
  });
}

/** Takes up why the change that was just handed over is not made; null when it was made. */
export function takeRefusal(): string | null {
  const words = pending;
  pending = null;
  if (words === null) shown.value = null;
  return words;
}

/** What no field has taken up; null when there is nothing to say. */
export const useRefusal = (): Ref<string | null> => shown;
