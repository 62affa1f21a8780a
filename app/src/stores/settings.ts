import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { limitsWith, type OwnLimits } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';

/** What a person works with, on this device: units, paper, light. */
export const useSettings = defineStore('settings', () => {
  const unit = useLocalStorage<'mm' | 'in'>('mivet-unit', 'mm');
  const paper = useLocalStorage<'a4' | 'letter'>('mivet-paper', 'a4');
  const theme = useLocalStorage<'light' | 'dim' | 'system'>('mivet-theme', 'light');
  const boardId = useLocalStorage<string>('mivet-board', 'square');
  const split = useLocalStorage<number>('mivet-split', 0.42);
  /** Limits of the findings that the person changed; replaced whole. */
  const limits = useLocalStorage<OwnLimits>('mivet-limits', {}, { shallow: true });
  const judgedBy = computed(() => limitsWith(limits.value));
  const dark = usePreferredDark();
  const dim = computed(() => theme.value === 'dim' || (theme.value === 'system' && dark.value));
  return { unit, paper, theme, boardId, split, limits, judgedBy, dim };
});
