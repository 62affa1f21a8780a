import { useSessionStorage } from '@vueuse/core';
import type { Ref } from 'vue';

/**
 * Words that are being typed and that nobody has kept yet: there again when one comes back to them, be it from another stop
 * or by a reload. Each tab has its own.
 *
 * @param of what they are for
 */
export const useDraft = (of: () => string): Ref<string> => useSessionStorage(() => `mivet-draft ${of()}`, '');
