<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { range } from 'd3-array';
import { line } from 'd3-shape';
import { computed, ref } from 'vue';

/** Ticks of a measuring tape along the bottom edge, a tenth apart. */
const el = ref<SVGSVGElement | null>(null);
const { width } = useElementSize(el);
const STEP = 9.2;
const data = computed(() => {
  const strokes = range(1, Math.floor(Math.max(width.value, 300) / STEP) + 1);
  return strokes.map((i) => line()([[i * STEP, 12], [i * STEP, i % 5 === 0 ? 1 : 6]])).join(''); // prettier-ignore
});
</script>

<template>
  <svg ref="el" aria-hidden="true"><path :d="data" stroke="currentColor" stroke-width="1" /></svg>
</template>
