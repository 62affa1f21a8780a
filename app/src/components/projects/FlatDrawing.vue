<script setup lang="ts">
import { useFilmColours } from '../../composables/useFilmColours.ts';
import type { Film, PieceViewModel, ShapeViewModel } from '@mivet/core';
import { coneDevelopment } from '@mivet/core';
import { computed } from 'vue';

/** A still picture of the flat with its pieces. */
const props = defineProps<{
  viewModel: Pick<ShapeViewModel, 'band' | 'outlineData' | 'pieces' | 'template' | 'size'>;
  films: readonly Film[];
  pieces?: readonly PieceViewModel[];
  marks?: boolean;
}>();
const colours = useFilmColours(
  () => props.films,
  () => '#ffffff',
);
const view = computed(() => {
  const b = props.viewModel.band.bounds;
  const pad = (b.maxX - b.minX) * 0.03;
  return `${b.minX - pad} ${-b.maxY - pad} ${b.maxX - b.minX + 2 * pad} ${b.maxY - b.minY + 2 * pad}`;
});
const markData = computed(() => {
  const s = coneDevelopment(props.viewModel.template.cone);
  const side = props.viewModel.size.side;
  const line = (from: number, to: number): string =>
    `M${s.forward(0, from).x} ${-s.forward(0, from).y}L${s.forward(0, to).x} ${-s.forward(0, to).y}`;
  return line(0, side * 0.07) + line(side, side * 0.93);
});
</script>

<template>
  <svg :viewBox="view" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
    <path :d="viewModel.outlineData" class="sheet" />
    <path
      v-for="p in pieces ?? viewModel.pieces.filter((piece) => !piece.spare)"
      :key="p.id"
      :d="p.data"
      v-bind="colours.of(p.film)"
      fill-rule="evenodd"
    />
    <path :d="viewModel.outlineData" class="edge" />
    <path v-if="marks" :d="markData" class="edge" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
}
.sheet {
  fill: #fff;
}
path {
  vector-effect: non-scaling-stroke;
}
.edge {
  fill: none;
  stroke: #5b6471;
  stroke-width: 1.1;
  vector-effect: non-scaling-stroke;
}
</style>
