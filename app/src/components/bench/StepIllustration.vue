<script setup lang="ts">
import { type Film, letterOf, type StepPicture } from '@mivet/core';
import { useIntervalFn, usePreferredReducedMotion } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useFilmColours } from '../../composables/useFilmColours.ts';

/** The pictures of a step: one, or a short loop; still, and all at once, where motion is not wanted. */
const props = defineProps<{ pictures: readonly StepPicture[]; films: readonly Film[] }>();
/** ms that one picture of a loop stands. */
const STANDS = 1800;
const frame = ref(0);
const still = usePreferredReducedMotion();
const paused = ref(false);
useIntervalFn(() => {
  if (!paused.value && still.value !== 'reduce') frame.value = (frame.value + 1) % Math.max(1, props.pictures.length);
}, STANDS);
watch(
  () => props.pictures,
  () => (frame.value = 0),
);
const shown = computed(() =>
  still.value === 'reduce' ? props.pictures : props.pictures.slice(frame.value, frame.value + 1),
);
const colours = useFilmColours(
  () => props.films,
  () => '#ffffff',
);
const view = ({ box }: StepPicture): string => [box.minX, box.minY, box.maxX - box.minX, box.maxY - box.minY].join(' ');
const isFilm = (role: string): boolean => role === 'film' || role === 'ghost';
</script>

<template>
  <figure v-for="(picture, i) in shown" :key="i" :class="{ several: pictures.length > 1 }">
    <svg :viewBox="view(picture)" preserveAspectRatio="xMidYMid meet" role="img" :aria-label="picture.says">
      <path
        v-for="(shape, k) in picture.shapes"
        :key="k"
        :d="shape.data"
        fill-rule="evenodd"
        :class="shape.role"
        v-bind="isFilm(shape.role) && shape.film ? colours.of(shape.film) : {}"
      />
      <template v-for="(text, k) in picture.texts" :key="`t${k}`">
        <circle v-if="text.disk" :cx="text.x" :cy="text.y" :r="letterOf(picture.box) * 0.8" class="disk" />
        <text
          :x="text.x"
          :y="text.y + (text.disk ? letterOf(picture.box) * 0.34 : 0)"
          :font-size="letterOf(picture.box) * (text.disk ? 1 : 1.15)"
          :text-anchor="text.disk ? 'middle' : text.anchor"
        >
          {{ text.text }}
        </text>
      </template>
    </svg>
    <figcaption>
      <span>{{ picture.says }}</span>
      <span v-if="pictures.length > 1 && still !== 'reduce'" class="frames">
        <BButton
          v-for="(one, n) in pictures"
          :key="n"
          variant="bare"
          :aria-label="`Picture ${n + 1} of ${pictures.length}: ${one.says}`"
          :aria-current="n === frame"
          @click="((frame = n), (paused = true))"
        />
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 1rem;
  background: var(--sheet);
  border: 1px solid var(--hairline);
  padding: 0.75rem;
}
svg {
  display: block;
  width: 100%;
  height: clamp(160px, 28vh, 300px);
}
figcaption {
  display: flex;
  justify-content: space-between;
  gap: 0.75rem;
  color: var(--on-sheet-2);
  padding-top: 0.4rem;
  min-height: 2rem;
}
.frames {
  flex: none;
  display: flex;
}
.frames .btn {
  width: 28px;
  height: 28px;
  border: 0;
  background: radial-gradient(circle, var(--on-sheet-2) 4px, transparent 5px);
  opacity: 0.4;
}
.frames .btn[aria-current='true'] {
  opacity: 1;
}
path,
circle {
  vector-effect: non-scaling-stroke;
}
.sheet {
  fill: color-mix(in srgb, var(--on-sheet) 4%, var(--sheet));
  stroke: none;
}
.ghost {
  fill-opacity: 0.5;
}
.out {
  fill: var(--sheet);
  stroke: var(--hatch);
  stroke-width: 1.6;
  stroke-dasharray: 3 2;
}
.tape {
  fill: color-mix(in srgb, var(--tape) 22%, transparent);
  stroke: var(--tape-ink);
  stroke-dasharray: 6 3;
}
.slit {
  fill: none;
  stroke: var(--hatch);
  stroke-width: 2;
}
.air {
  fill: none;
  stroke: var(--hatch);
  stroke-width: 5;
  stroke-linecap: round;
  stroke-opacity: 0.75;
}
.edge,
.line,
.dimension,
.arrow {
  fill: none;
  stroke: var(--on-sheet-2);
}
.line {
  stroke-dasharray: 5 3;
}
.dimension {
  stroke: var(--on-sheet);
  stroke-width: 1.2;
}
.arrow {
  stroke: #0c6764;
  stroke-width: 3.5;
}
.body {
  fill: color-mix(in srgb, var(--on-sheet) 10%, var(--sheet));
  stroke: var(--on-sheet-2);
}
.handle {
  fill: color-mix(in srgb, var(--on-sheet) 20%, var(--sheet));
  stroke: var(--on-sheet-2);
}
.pressed {
  fill: rgb(12 103 100 / 22%);
  stroke: #0c6764;
  stroke-dasharray: 4 3;
}
.square {
  fill: var(--on-sheet);
}
text {
  fill: var(--on-sheet);
  font-family: var(--dims);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
  stroke-linejoin: round;
}
.disk {
  fill: var(--sheet);
  stroke: var(--on-sheet);
}
.disk + text {
  stroke: none;
}
</style>
