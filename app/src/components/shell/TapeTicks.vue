<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';

/** Ticks of a measuring tape along the bottom edge, a tenth apart. */
const el = ref<SVGSVGElement | null>(null);
const { width } = useElementSize(el);
const STEP = 9.2;
const data = computed(() => {
  const count = Math.floor(Math.max(width.value, 300) / STEP);
  return Array.from({ length: count }, (_, i) => {
    const height = (i + 1) % 5 === 0 ? 11 : 6;
    return `M${((i + 1) * STEP).toFixed(1)} 12v-${height}`;
  }).join('');
});
</script>

<template>
  <svg ref="el" aria-hidden="true"><path :d="data" stroke="currentColor" stroke-width="1" /></svg>
</template>
