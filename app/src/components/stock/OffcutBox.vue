<script setup lang="ts">
import { colourWord, formatSize } from '@mivet/core';
import type { Offcut, Units } from '@mivet/core';
import { computed } from 'vue';
import { useEdge } from '../../composables/useFilmColours.ts';
import { ageWords } from './stock-words.ts';

/** The box of offcuts, each drawn to one scale. */
const props = defineProps<{ offcuts: readonly Offcut[]; unit: Units; today: string }>();
defineEmits<{ change: [offcut: Offcut] }>();
const edge = useEdge('paper');
const longest = computed(() => Math.max(1, ...props.offcuts.map((o) => Math.max(o.lengthMm, o.widthMm))));
/** px for a mm, so that the longest fits its place. */
const scale = computed(() => Math.min(0.62, 190 / longest.value));
const data = ({ outline, lengthMm, widthMm }: Offcut): string => {
  const ring = outline ?? [0, 0, lengthMm, 0, lengthMm, widthMm, 0, widthMm];
  return `${ring.map((v, i) => (i % 2 === 0 ? `${i === 0 ? 'M' : 'L'}${v}` : String(widthMm - v))).join(' ')}Z`;
};
</script>

<template>
  <div class="box">
    <BButton
      v-for="o in offcuts"
      :key="o.id"
      variant="bare"
      class="offcut"
      :aria-label="`Change the offcut of ${o.film.name}, ${formatSize(o.lengthMm, o.widthMm, unit)}`"
      @click="$emit('change', o)"
    >
      <svg
        :width="o.lengthMm * scale + 2"
        :height="o.widthMm * scale + 2"
        :viewBox="`-1 -1 ${o.lengthMm + 2} ${o.widthMm + 2}`"
      >
        <path :d="data(o)" :fill="o.film.colour" :stroke="edge(o.film.colour) ?? o.film.colour" class="edge" />
      </svg>
      <span
        ><strong>{{ o.film.name }}</strong> <span class="quiet">{{ colourWord(o.film.colour) }}</span>
        <span class="dims ms-1">{{ formatSize(o.lengthMm, o.widthMm, unit) }}</span></span
      >
      <span class="quiet small">{{ ageWords(o, today) }}{{ o.notes ? `, ${o.notes}` : '' }}</span>
    </BButton>
  </div>
</template>

<style scoped>
.box {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem 1.5rem;
  align-items: flex-end;
}
.offcut {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 0.2rem;
  border: 0;
  background: none;
  color: inherit;
  padding: 0.3rem;
  text-align: left;
  max-width: 15rem;
}
.offcut:hover {
  background: var(--paper-deep);
}
.edge {
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
</style>
