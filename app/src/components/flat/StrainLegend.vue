<script setup lang="ts">
import { strainText, type FilmGive } from '@mivet/core';
import { computed } from 'vue';
import { strainColour } from '../stage/strain-colour.ts';

/** One legend for both pictures: squeeze to the left, pull to the right, the film's limits marked. */
const props = defineProps<{ give: FilmGive }>();
const CELLS = 15;
const cells = computed(() =>
  Array.from({ length: CELLS }, (_, i) => {
    const t = (2 * i) / (CELLS - 1) - 1;
    const strain = t < 0 ? 1.5 * t * props.give.squeeze : 1.5 * t * props.give.stretch;
    return { x: i, ...strainColour(strain, props.give) };
  }),
);
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${CELLS * 10} 12`" preserveAspectRatio="none" aria-hidden="true">
      <defs>
        <pattern id="hatch-over" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
          <path d="M0 0V4" class="hatch" />
        </pattern>
      </defs>
      <template v-for="c in cells" :key="c.x">
        <rect :x="c.x * 10" y="0" width="10.2" height="12" :fill="c.fill" :fill-opacity="c.opacity" />
        <rect v-if="c.over" :x="c.x * 10" y="0" width="10.2" height="12" fill="url(#hatch-over)" />
      </template>
      <path :d="`M${(CELLS * 10) / 6} 0V12M${(CELLS * 50) / 6} 0V12`" class="limit" />
    </svg>
    <figcaption class="dims">
      <span>squeezed {{ strainText(give.squeeze) }}</span
      ><span>0</span><span>pulled {{ strainText(give.stretch) }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0.8rem 0 0;
}
svg {
  width: 100%;
  height: 14px;
  border: 1px solid var(--hairline);
  background: var(--sheet);
}
.hatch {
  stroke: var(--hatch);
  stroke-width: 1;
}
.limit {
  stroke: var(--on-sheet);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
figcaption {
  display: flex;
  justify-content: space-between;
  font-size: 0.85rem;
  color: var(--ink-2);
}
</style>
