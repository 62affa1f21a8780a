<script setup lang="ts">
import { bestSeam, formatLength, judgeFindSeam, makeFindSeam, wholeTurns } from '@mivet/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import ExerciseFrame from './ExerciseFrame.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('find-seam', makeFindSeam);
const round = computed(() => task.value.girth / (2 * Math.PI));
const straight = (): number[] => task.value.heights.map(() => 0);
const azimuths = ref<readonly number[]>(straight());
/** The finder's own, once one has shown one's own. */
const best = shallowRef<string | null>(null);
watch([task, begun], () => {
  azimuths.value = straight();
  best.value = null;
});
/** mm of the other end that are shown again past each edge. */
const MORE = 26;
const FILMS = ['#0F4C5C', '#6FB1BF', '#E0623A', '#6B7F3A'];
const dots = computed(() =>
  task.value.dots.flatMap((dot, i) =>
    [-1, 0, 1].flatMap((turn) => {
      const x = (dot.azimuth + 2 * Math.PI * turn) * round.value;
      return Math.abs(x) - dot.radius > task.value.girth / 2 + MORE ? [] : [{ key: `${i} ${turn}`, x, y: dot.slant, r: dot.radius, fill: FILMS[i % FILMS.length] }]; // prettier-ignore
    }),
  ),
);
const dataOf = (slants: readonly number[], all: readonly number[]): string => slants.map((slant, i) => `${i ? 'L' : 'M'}${all[i]! * round.value} ${slant}`).join(''); // prettier-ignore
const line = computed(() => dataOf(task.value.heights, azimuths.value));
const shifts = computed(() => [-1, 0, 1].map((turn) => turn * task.value.girth));
const view = computed(() => `${-task.value.girth / 2 - MORE} -9 ${task.value.girth + 2 * MORE} ${task.value.side + 18}`); // prettier-ignore

const svg = ref<SVGSVGElement | null>(null);
/** Steepest that a seam goes from one place to the next: 60° off straight down, as the finder's own. */
const farthest = computed(() => ((task.value.side / (task.value.heights.length - 1)) * Math.tan(Math.PI / 3)) / round.value); // prettier-ignore
const held = ref<number | null>(null);
function lead(i: number, to: number): void {
  const next = [...azimuths.value];
  next[i] = to;
  // The others follow where it would grow too steep.
  for (let k = i + 1; k < next.length; k++) next[k] = Math.max(next[k - 1]! - farthest.value, Math.min(next[k - 1]! + farthest.value, next[k]!)); // prettier-ignore
  for (let k = i - 1; k >= 0; k--) next[k] = Math.max(next[k + 1]! - farthest.value, Math.min(next[k + 1]! + farthest.value, next[k]!)); // prettier-ignore
  const back = wholeTurns(next[2]!);
  azimuths.value = next.map((azimuth) => azimuth - back);
}
function drag(event: PointerEvent): void {
  if (held.value === null || !svg.value) return;
  const matrix = svg.value.getScreenCTM();
  if (!matrix) return;
  lead(held.value, new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).x / round.value);
}
function take(i: number, event: PointerEvent): void {
  if (judged.value) return;
  held.value = i;
  svg.value?.setPointerCapture(event.pointerId);
}
function key(i: number, event: KeyboardEvent): void {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (!by || judged.value) return;
  event.preventDefault();
  lead(i, azimuths.value[i]! + (by * (event.shiftKey ? 5 : event.altKey ? 0.2 : 1)) / round.value);
}
function settle(): void {
  hand(judgeFindSeam(task.value, azimuths.value, settings.unit));
  const { path } = bestSeam(task.value);
  best.value = dataOf(path.slants, path.azimuths);
}
const PLACES = ['at the rim', 'a quarter down', 'half-way', 'three quarters down', 'at the base'];
</script>

<template>
  <ExerciseFrame id="find-seam" :judged="judged" @another="another" @again="again">
    <template #stage>
      <p class="head">
        The band laid flat, {{ formatLength(task.girth, settings.unit) }} round; past the dashed edges it begins again
      </p>
      <svg
        ref="svg"
        :viewBox="view"
        role="group"
        aria-label="A band full of round pieces, with a line that is led through it"
        @pointermove="drag"
        @pointerup="held = null"
        @pointercancel="held = null"
      >
        <rect class="sheet" :x="-task.girth / 2 - MORE" y="0" :width="task.girth + 2 * MORE" :height="task.side" />
        <circle v-for="dot in dots" :key="dot.key" :cx="dot.x" :cy="dot.y" :r="dot.r" :fill="dot.fill" />
        <line
          v-for="edge in [-1, 1]"
          :key="edge"
          class="edge"
          :x1="(edge * task.girth) / 2"
          :x2="(edge * task.girth) / 2"
          y1="-5"
          :y2="task.side + 5"
        />
        <template v-for="shift in shifts" :key="shift">
          <path v-if="best" :d="best" :transform="`translate(${shift} 0)`" class="best" />
          <path :d="line" :transform="`translate(${shift} 0)`" class="line" />
        </template>
        <g
          v-for="(azimuth, i) in azimuths"
          :key="i"
          class="grip"
          role="slider"
          :tabindex="judged ? -1 : 0"
          :aria-label="`Seam ${PLACES[i]}`"
          :aria-valuenow="Math.round(azimuth * round)"
          :aria-valuemin="-Math.round(task.girth / 2)"
          :aria-valuemax="Math.round(task.girth / 2)"
          :aria-valuetext="`${formatLength(Math.abs(azimuth * round), settings.unit)} ${azimuth < 0 ? 'left' : 'right'} of the middle`"
          :transform="`translate(${azimuth * round} ${task.heights[i]})`"
          @pointerdown.prevent="take(i, $event)"
          @keydown="key(i, $event)"
        >
          <circle r="8" class="reach" />
          <circle r="2.6" class="dot" />
        </g>
      </svg>
      <p class="quiet mb-0">
        Drag the five grips, or step to one with Tab and move it with the arrow keys (Shift: farther, Alt: finer).
        <template v-if="best">Dashed: the finder’s own.</template>
      </p>
    </template>
    <p v-if="!judged" class="mt-3"><BButton variant="primary" @click="settle">Cut here</BButton></p>
  </ExerciseFrame>
</template>

<style scoped>
.sheet {
  fill: var(--sheet);
}
.edge {
  stroke: #5b6471;
  stroke-width: 0.5;
  stroke-dasharray: 3 2;
}
.line {
  fill: none;
  stroke: #a53a29;
  stroke-width: 1;
}
.best {
  fill: none;
  stroke: #1c2430;
  stroke-width: 1;
  stroke-dasharray: 2.5 2;
}
.grip {
  cursor: ew-resize;
  touch-action: none;
  outline: none;
}
.reach {
  fill: transparent;
}
.dot {
  fill: #fffdf6;
  stroke: #a53a29;
  stroke-width: 1.2;
}
.grip:focus-visible .dot {
  stroke: #0c6764;
  stroke-width: 2;
}
</style>
