<script setup lang="ts">
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Film, ShapeViewModel } from '@mivet/core';
import FlatHeat from './FlatHeat.vue';
import StrainHatch from './StrainHatch.vue';

/** The panels, bands or gores that a side is divided into, as they are printed and cut. */
const props = defineProps<{ viewModel: ShapeViewModel; films: readonly Film[]; heat: boolean }>();
const svg = ref<SVGSVGElement | null>(null);
const { width, height } = useElementSize(svg);
const box = computed(() => {
  const all = props.viewModel.panels.map((p) => p.bounds);
  const [minX, maxX] = [Math.min(...all.map((b) => b.minX)), Math.max(...all.map((b) => b.maxX))];
  const [minY, maxY] = [Math.min(...all.map((b) => b.minY)), Math.max(...all.map((b) => b.maxY))];
  return { x: minX, y: -maxY, w: maxX - minX, h: maxY - minY };
});
const colours = useFilmColours(() => props.films);
const whole = computed(() => props.viewModel.pieces.filter((p) => !p.spare));
const scale = computed(() =>
  Math.max(0.05, Math.min((width.value - 60) / box.value.w, (height.value - 140) / box.value.h)),
);
const view = computed(() => {
  const b = box.value;
  const [w, h] = [Math.max(1, width.value) / scale.value, Math.max(1, height.value) / scale.value];
  return `${b.x + b.w / 2 - w / 2} ${b.y + b.h / 2 - h / 2} ${w} ${h}`;
});
</script>

<template>
  <svg
    ref="svg"
    :viewBox="view"
    role="img"
    :aria-label="`The template in ${viewModel.panels.length} pieces: ${viewModel.panels.map((p) => p.name).join(', ')}`"
  >
    <defs>
      <StrainHatch :scale="scale" />
    </defs>
    <path v-for="panel in viewModel.panels" :key="panel.name" :d="panel.data" class="sheet" />
    <template v-if="viewModel.onSheets">
      <path
        v-for="piece in whole"
        :key="piece.id"
        :d="piece.sheetData"
        v-bind="colours.of(piece.film)"
        fill-rule="evenodd"
        class="piece"
      />
    </template>
    <g v-for="panel in viewModel.panels" :key="panel.name">
      <FlatHeat v-if="heat" :panel="panel" :give="viewModel.template.flattening.give" :scale="scale" />
      <path :d="panel.data" class="edge" />
      <path :d="panel.marks" class="edge" />
      <text
        v-for="w in panel.words"
        :key="w.text"
        :x="w.x"
        :y="w.y"
        :font-size="Math.min(13 / scale, (panel.bounds.maxX - panel.bounds.minX) / (w.text.length * 0.55))"
        text-anchor="middle"
      >
        {{ w.text }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  flex: 1;
  width: 100%;
  min-height: 0;
}
path {
  vector-effect: non-scaling-stroke;
}
.sheet {
  fill: var(--sheet);
}
.edge {
  fill: none;
  stroke: var(--on-sheet);
  stroke-width: 1.2;
}
.piece {
  vector-effect: non-scaling-stroke;
}
text {
  fill: var(--on-sheet);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
</style>
