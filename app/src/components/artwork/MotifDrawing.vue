<script setup lang="ts">
import { MOTIFS, motifViewBox, type KeptDrawing, type MotifId } from '@mivet/core';
import { computed } from 'vue';
import { useEdge } from '../../composables/useFilmColours.ts';

/** A small picture of a shipped motif, in the ink of its surroundings, or of a drawing in its own colours. */
const props = defineProps<{ of: MotifId | KeptDrawing }>();
const edge = useEdge('slip');
const view = computed(() => {
  if (typeof props.of === 'string') return motifViewBox(props.of);
  const { widthMm, heightMm } = props.of;
  return [-widthMm / 2, -heightMm / 2, widthMm, heightMm].map((v) => v.toFixed(2)).join(' ');
});
</script>

<template>
  <svg aria-hidden="true" :viewBox="view">
    <path v-if="typeof of === 'string'" :d="MOTIFS[of].pathData" fill="currentColor" />
    <path
      v-for="(c, i) in typeof of === 'string' ? [] : of.colours"
      :key="i"
      :d="c.pathData"
      :fill="c.colour"
      :stroke="edge(c.colour) ?? undefined"
      vector-effect="non-scaling-stroke"
      fill-rule="evenodd"
      transform="scale(1 -1)"
    />
  </svg>
</template>
