<script setup lang="ts">
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Film, ShapeViewModel } from '@mivet/core';
import { usePanZoom } from '../../composables/usePanZoom.ts';
import FlatHeat from './FlatHeat.vue';
import StrainHatch from './StrainHatch.vue';

/** The panels, bands or gores that a side is divided into, as they are printed and cut. */
const props = defineProps<{ viewModel: ShapeViewModel; films: readonly Film[]; heat: boolean }>();
const svg = ref<SVGSVGElement | null>(null);
const { width, height } = useElementSize(svg);
const { moved, zoomed, showAll } = usePanZoom(svg);
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
const shown = computed(() => scale.value * moved.value.k);
const transform = computed(() => {
  const [b, { k, x, y }] = [box.value, moved.value];
  const [left, top] = [
    width.value / 2 - scale.value * (b.x + b.w / 2),
    height.value / 2 - scale.value * (b.y + b.h / 2),
  ];
  return `translate(${x + k * left} ${y + k * top}) scale(${shown.value})`;
});
/** What a panel is called, above it and so never on its artwork; as large as there is room for beside its neighbours. */
const names = computed(() =>
  props.viewModel.panels.map(({ name, bounds }) => ({
    name,
    x: (bounds.minX + bounds.maxX) / 2,
    y: -bounds.maxY - 7 / shown.value,
    size: Math.min(15 / shown.value, (bounds.maxX - bounds.minX) / (0.5 * name.length)),
  })),
);
</script>

<template>
  <svg
    ref="svg"
    role="img"
    :aria-label="`The template in ${viewModel.panels.length} pieces: ${viewModel.panels.map((p) => p.name).join(', ')}`"
  >
    <defs>
      <StrainHatch :scale="shown" />
    </defs>
    <g :transform="transform">
      <g v-for="panel in viewModel.panels" :key="panel.name">
        <path :d="panel.data" class="sheet" />
        <FlatHeat v-if="heat" :panel="panel" :give="viewModel.template.flattening.give" :scale="shown" />
      </g>
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
        <path :d="panel.data" class="edge" />
        <path :d="panel.marks" class="edge" />
      </g>
      <text v-for="n in names" :key="n.name" class="dims" :x="n.x" :y="n.y" :font-size="n.size" text-anchor="middle">
        {{ n.name }}
      </text>
    </g>
  </svg>
  <BButton v-if="zoomed" variant="outline-primary" size="sm" class="all" @click="showAll">Show all</BButton>
</template>

<style scoped>
svg {
  flex: 1;
  width: 100%;
  min-height: 0;
  touch-action: none;
  cursor: grab;
  user-select: none;
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
  fill: var(--ink);
}
.all {
  position: absolute;
  right: 1rem;
  top: 0.7rem;
}
</style>
