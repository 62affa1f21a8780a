<script setup lang="ts">
import type { Stroke } from './terms.ts';

/** The small drawing of a term. */
defineProps<{ drawing: readonly Stroke[] }>();
</script>

<template>
  <svg viewBox="0 0 72 44" width="72" height="44" aria-hidden="true">
    <path v-for="(s, i) in drawing" :key="i" :d="s.d" :class="s.as.replace(' ', '-')" fill-rule="evenodd" />
  </svg>
</template>

<style scoped>
svg {
  flex: none;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-linejoin: round;
}
.film {
  fill: var(--teal);
  stroke: var(--teal);
}
.other-film {
  fill: var(--tape);
  stroke: var(--ink);
}
.dashed {
  stroke: var(--ink-2);
  stroke-dasharray: 3 2.5;
}
.strong {
  stroke: var(--brick);
  stroke-width: 2.2;
}
</style>
