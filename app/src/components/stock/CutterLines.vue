<script setup lang="ts">
import type { StockCutter } from '@mivet/core';
import { shortWords } from './stock-words.ts';

/** Cutters, a line each, with how far the blade went. */
defineProps<{ cutters: readonly StockCutter[]; unit: 'mm' | 'in' }>();
const emit = defineEmits<{ change: [cutter: StockCutter] }>();
</script>

<template>
  <div v-for="c in cutters" :key="c.id" class="row-line">
    <span>
      {{ c.board.label }}
      <span class="quiet small"
        >{{ c.onBoard ? 'on a board' : 'without a board' }}, scissors {{ shortWords(c.board.gapMm, unit) }}</span
      >
    </span>
    <span class="dims" :class="{ ochre: c.bladeMm >= c.bladeLastsMm }"
      >blade {{ (c.bladeMm / 1000).toFixed(0) }} of {{ (c.bladeLastsMm / 1000).toFixed(0) }} m
      <button
        type="button"
        class="btn btn-link btn-sm"
        :aria-label="`Change ${c.board.label}`"
        @click="emit('change', c)"
      >
        Change
      </button></span
    >
  </div>
</template>

<style scoped>
.ochre {
  color: var(--ochre);
}
</style>
