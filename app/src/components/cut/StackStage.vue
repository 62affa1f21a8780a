<script setup lang="ts">
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { layerName, type Film, type GoodViewModel, type StackReport } from '@mivet/core';
import { computed } from 'vue';
import WallSection from './WallSection.vue';

/** The films on each other: a section through them, and layer by layer as they are laid. */
const props = defineProps<{ viewModel: GoodViewModel; stack: StackReport; films: readonly Film[]; surface: string }>();
const emit = defineEmits<{ move: [layer: string, to: number] }>();
const box = computed(() => {
  const { minX, minY, maxX, maxY } = props.viewModel.band.bounds;
  // Marks may lie outside of the wrap.
  const room = props.viewModel.marks.length > 0 ? 16 : 1;
  return `${minX - room} ${-maxY - room} ${maxX - minX + 2 * room} ${maxY - minY + 2 * room}`;
});
const ids = computed(() => props.stack.layers.map(({ layer }) => layer));
const steps = computed(() =>
  props.stack.layers.map((layer, i) => ({
    layer,
    name: layerName(layer.layer, ids.value, (id) => props.films.find((f) => f.id === id)?.name ?? id),
    below: new Set(props.stack.layers.slice(0, i).map(({ layer }) => layer)),
  })),
);
const colours = useFilmColours(() => props.films);
const pieces = computed(() => props.viewModel.pieces.filter((p) => !p.spare));
</script>

<template>
  <div class="stack">
    <WallSection :stack="stack" :films="films" :surface="surface" @move="(layer, to) => emit('move', layer, to)" />
    <div class="layers" role="group" aria-label="Layer by layer" tabindex="0">
      <figure v-for="(step, i) in steps" :key="step.layer.layer">
        <svg :viewBox="box" preserveAspectRatio="xMidYMid meet" role="img" :aria-label="`Layer ${i + 1}: ${step.name}`">
          <path :d="viewModel.outlineData" class="outline" />
          <template v-for="p in pieces" :key="p.id">
            <path v-if="step.below.has(p.layer)" :d="p.data" fill-rule="evenodd" class="below" />
            <path
              v-else-if="p.layer === step.layer.layer"
              :d="p.data"
              fill-rule="evenodd"
              v-bind="colours.of(p.film)"
              class="own"
            />
          </template>
          <path
            v-for="(m, k) in viewModel.marks.filter((one) => one.layer === step.layer.layer)"
            :key="`mark-${k}`"
            :d="m.data"
            class="mark"
            v-bind="colours.of(m.film)"
          />
        </svg>
        <figcaption>
          <strong>{{ i + 1 }} {{ step.name }}</strong>
          {{ step.layer.pieces }} {{ step.layer.pieces === 1 ? 'piece' : 'pieces'
          }}{{ step.layer.marked ? ', with marks' : '' }}
        </figcaption>
      </figure>
    </div>
  </div>
</template>

<style scoped>
.stack {
  height: 100%;
  display: flex;
  flex-direction: column;
  min-height: 0;
  container-type: inline-size;
}
.layers {
  flex: 1;
  min-height: 200px;
  display: flex;
  gap: 1rem;
  padding: 0.8rem 1.1rem;
  overflow-x: auto;
}
figure {
  flex: 1 0 140px;
  max-width: 460px;
  margin: 0;
  display: flex;
  flex-direction: column;
  justify-content: center;
}
/* Its height follows from its width; its words stand right below it. */
figure svg {
  flex: 0 1 auto;
  min-height: 0;
  width: 100%;
  height: auto;
}
.outline {
  fill: var(--sheet);
  stroke: var(--hairline);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.below {
  fill: color-mix(in srgb, var(--on-sheet-2) 22%, var(--sheet));
}
.mark {
  stroke: var(--ink);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.own {
  vector-effect: non-scaling-stroke;
}
figcaption {
  margin-top: 0.5rem;
  color: var(--ink-2);
  font-size: 0.9rem;
}
figcaption strong {
  color: var(--ink);
  margin-right: 0.4rem;
}
</style>
