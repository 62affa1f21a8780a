<script setup lang="ts">
import type { Blank, Film, ShapeViewModel } from '@mivet/core';
import { computed } from 'vue';
import CupDrawing from '../projects/CupDrawing.vue';
import FlatDrawing from '../projects/FlatDrawing.vue';

/** The picture of a bench step, drawn from the job's own geometry. */
const props = defineProps<{
  kind: 'template' | 'film' | 'blank';
  film: string | null;
  viewModel: ShapeViewModel;
  films: readonly Film[];
  blank: Blank;
}>();
const pieces = computed(() =>
  props.kind === 'film' ? props.viewModel.pieces.filter((p) => p.film === props.film) : props.viewModel.pieces,
);
</script>

<template>
  <figure>
    <CupDrawing v-if="kind === 'blank'" :blank="blank" :view-model="viewModel" :films="films" />
    <FlatDrawing v-else :view-model="viewModel" :films="films" :pieces="pieces" marks />
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 1rem;
  background: var(--sheet);
  border: 1px solid var(--hairline);
  height: clamp(180px, 30vh, 290px);
  padding: 0.75rem;
  display: flex;
  justify-content: center;
}
</style>
