<script setup lang="ts">
import { formatLength, judgeSlitBall, makeSlitBall, MOST_SLITS } from '@mivet/core';
import { computed, ref, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import ExerciseFrame from './ExerciseFrame.vue';
import RangeRow from './RangeRow.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('slit-ball', makeSlitBall);
const count = ref(0);
/** Share of the sheet's radius that slits go in. */
const deep = ref(0.3);
watch([task, begun], () => {
  count.value = 0;
  deep.value = 0.3;
});
const say = (mm: number): string => formatLength(mm, settings.unit);
const ball = computed(() => task.value.girth / (2 * Math.PI));
const depth = computed(() => task.value.radius * deep.value);
const turns = computed(() => Array.from({ length: count.value }, (_, i) => (2 * Math.PI * i) / count.value - Math.PI / 2)); // prettier-ignore
const slits = computed(() =>
  turns.value
    .map((turn) => {
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const inner = task.value.radius - depth.value;
      return `M${task.value.radius * cos} ${task.value.radius * sin}L${inner * cos} ${inner * sin}`;
    })
    .join(''),
);
/** The same on the ball, seen straight on: a flat distance ρ lies at R·sin(ρ/R) from the middle. */
const onBall = (rho: number): number => ball.value * Math.sin(Math.min(Math.PI / 2, rho / ball.value));
const slitsOnBall = computed(() =>
  turns.value
    .map((turn) => {
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const [outer, inner] = [onBall(task.value.radius), onBall(task.value.radius - depth.value)];
      return `M${outer * cos} ${outer * sin}L${inner * cos} ${inner * sin}`;
    })
    .join(''),
);
const settle = (): void => hand(judgeSlitBall(task.value, count.value, depth.value, settings.unit));
</script>

<template>
  <ExerciseFrame id="slit-ball" :judged="judged" @another="another" @again="again">
    <template #stage>
      <div class="two">
        <figure>
          <figcaption>The ball, {{ say(task.girth) }} round</figcaption>
          <svg
            :viewBox="`${-ball - 6} ${-ball - 6} ${2 * ball + 12} ${2 * ball + 12}`"
            role="img"
            aria-label="The sheet on the ball"
          >
            <defs>
              <radialGradient id="ball-light" cx="0.38" cy="0.34" r="0.75">
                <stop offset="0" stop-color="#ffffff" stop-opacity="0.75" />
                <stop offset="0.6" stop-color="#ffffff" stop-opacity="0" />
                <stop offset="1" stop-color="#1c2430" stop-opacity="0.45" />
              </radialGradient>
            </defs>
            <circle :r="ball" fill="#c9d6d8" />
            <circle :r="onBall(task.radius)" :fill="task.film.colour" fill-opacity="0.85" />
            <path :d="slitsOnBall" class="slit" :stroke-width="ball / 60" />
            <circle :r="ball" fill="url(#ball-light)" />
          </svg>
        </figure>
        <figure>
          <figcaption>The sheet laid flat, {{ say(2 * task.radius) }} across</figcaption>
          <svg
            :viewBox="`${-task.radius * 1.15} ${-task.radius * 1.15} ${task.radius * 2.3} ${task.radius * 2.3}`"
            role="img"
            :aria-label="`A round sheet with ${count} slits`"
          >
            <circle :r="task.radius" :fill="task.film.colour" />
            <path :d="slits" class="slit" :stroke-width="task.radius / 50" />
          </svg>
        </figure>
      </div>
      <p class="quiet mb-0">
        {{ task.film.name }}, {{ task.film.finish }}: it gives {{ (100 * task.give).toFixed(1) }} %, pulled and pushed
        together.
      </p>
    </template>
    <RangeRow
      label="Slits"
      :told="String(count)"
      :value="count"
      :least="0"
      :most="MOST_SLITS"
      @change="count = $event"
    />
    <RangeRow
      label="How deep"
      :told="count === 0 ? '–' : say(depth)"
      :value="deep"
      :least="0.05"
      :most="0.95"
      :step="0.01"
      @change="deep = $event"
    />
    <p v-if="!judged" class="mt-3"><BButton variant="primary" @click="settle">Lay it on</BButton></p>
  </ExerciseFrame>
</template>

<style scoped>
.slit {
  stroke: var(--sheet);
  fill: none;
}
</style>
