<script setup lang="ts">
import { runsLow, type StockTape } from '@mivet/core';
import { tapeWords } from './stock-words.ts';

/** Transfer tapes, a line each. */
defineProps<{ tapes: readonly StockTape[]; unit: 'mm' | 'in' }>();
const emit = defineEmits<{ change: [tape: StockTape] }>();
</script>

<template>
  <div v-for="t in tapes" :key="t.id" class="row-line">
    <span
      >{{ t.name }} <span class="quiet small">{{ t.tack }}{{ t.uses > 1 ? `, used ${t.uses} times` : '' }}</span></span
    >
    <span class="dims" :class="{ ochre: runsLow(t) }"
      >{{ tapeWords(t, unit) }}{{ runsLow(t) ? ': low' : '' }}
      <button type="button" class="btn btn-link btn-sm" :aria-label="`Change ${t.name}`" @click="emit('change', t)">
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
