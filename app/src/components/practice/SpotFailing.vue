<script setup lang="ts">
import { type GoodViewModel, judgeSpotFailing, makeSpotFailing, MOTIFS, NO_STOCK } from '@mivet/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { useSettings } from '../../stores/settings.ts';
import { askCore } from '../../workers/core-client.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import ExerciseFrame from './ExerciseFrame.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('spot-failing', makeSpotFailing);
const pointed = ref('');
const proved = shallowRef<GoodViewModel | null>(null);
const failed = ref<string | null>(null);
watch([task, begun], () => (pointed.value = ''));
watch(
  task,
  async ({ project }, _, stop) => {
    const given = new AbortController();
    stop(() => given.abort());
    proved.value = null;
    failed.value = null;
    try {
      // Judged as everybody begins: an exercise asks what is usual, not what one allows oneself.
      const answer = await askCore('examine', { project, unit: settings.unit, limits: {}, supply: NO_STOCK }, { signal: given.signal }); // prettier-ignore
      if (task.value.project === project && answer.ok) proved.value = answer;
    } catch (problem) {
      if (!given.signal.aborted) failed.value = problem instanceof Error ? problem.message : String(problem);
    }
  },
  { immediate: true },
);
const LETTERS = 'ABCDE';
const films = computed(() => new Map(task.value.project.films.map((film) => [film.id, film])));
const items = computed(() =>
  task.value.project.items.flatMap((item, i) =>
    item.type === 'motif'
      ? [{ id: item.id, letter: LETTERS[i]!, name: MOTIFS[item.motif].label, film: films.value.get(item.film)! }]
      : [],
  ),
);
const choices = computed(() => items.value.map(({ id, letter }) => ({ value: id, label: letter })));
const colours = useFilmColours(
  () => task.value.project.films,
  () => '#ffffff',
);
const pieces = computed(() => proved.value?.pieces.filter(({ spare }) => !spare) ?? []);
const view = computed(() => {
  const b = proved.value?.band.bounds;
  if (!b) return '0 0 1 1';
  return `${b.minX - 8} ${-b.maxY - 22} ${b.maxX - b.minX + 16} ${b.maxY - b.minY + 38}`;
});
/** Where each stands, for its letter. */
const letters = computed(() =>
  items.value.flatMap(({ id, letter }) => {
    const own = pieces.value.filter(({ itemIds }) => itemIds.includes(id));
    const surface = proved.value;
    if (own.length === 0 || !surface) return [];
    const left = Math.min(...own.map(({ azimuths }) => azimuths[0]));
    const right = Math.max(...own.map(({ azimuths }) => azimuths[1]));
    return [{ id, letter, x: ((left + right) / 2) * surface.meanRadius }];
  }),
);
const settle = (): void => {
  if (proved.value) hand(judgeSpotFailing(proved.value.findings.map(({ finding }) => finding), pointed.value, settings.unit)); // prettier-ignore
};
const point = (ids: readonly string[]): void => {
  if (!judged.value && ids[0]) pointed.value = ids[0];
};
</script>

<template>
  <ExerciseFrame id="spot-failing" :judged="judged" @another="another" @again="again">
    <template #stage>
      <p class="head">
        {{
          task.project.blank.handleWidthMm > 0
            ? 'A mug with its handle at both ends of the flat'
            : 'A tapered cup without a handle'
        }}, to be drunk from and washed
      </p>
      <p v-if="failed" class="note-bar look" role="alert">It could not be judged: {{ failed }}</p>
      <p v-else-if="!proved" class="quiet" aria-live="polite">Laying it out…</p>
      <svg v-else :viewBox="view" role="img" aria-label="The flat with five things on it">
        <path :d="proved.outlineData" class="sheet" />
        <path
          v-for="piece in pieces"
          :key="piece.id"
          :d="piece.data"
          v-bind="colours.of(piece.film)"
          fill-rule="evenodd"
          class="piece"
          :class="{ pointed: piece.itemIds.includes(pointed) }"
          @click="point(piece.itemIds)"
        />
        <path :d="proved.outlineData" class="edge" />
        <text
          v-for="one in letters"
          :key="one.id"
          :x="one.x"
          :y="-proved.band.bounds.maxY - 6"
          text-anchor="middle"
          :class="{ chosen: one.id === pointed }"
        >
          {{ one.letter }}
        </text>
      </svg>
      <ul class="list">
        <li v-for="item in items" :key="item.id">
          <strong>{{ item.letter }}</strong> {{ item.name }}, {{ item.film.name }} ({{ item.film.finish }})
        </li>
      </ul>
    </template>
    <h2>It is</h2>
    <ChoiceButtons :value="pointed" :options="choices" label="The one that will fail" @choose="pointed = $event" />
    <p v-if="!judged" class="mt-3">
      <BButton variant="primary" :disabled="!pointed || !proved" @click="settle">Ask Proof</BButton>
    </p>
  </ExerciseFrame>
</template>

<style scoped>
.sheet {
  fill: #fff;
}
.edge {
  fill: none;
  stroke: #5b6471;
  stroke-width: 1.1;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.piece {
  cursor: pointer;
}
.piece.pointed {
  stroke: #a53a29;
  stroke-width: 2.5;
  vector-effect: non-scaling-stroke;
}
text {
  fill: var(--ink-2);
  font-size: 9px;
  font-weight: 600;
}
text.chosen {
  fill: var(--brick);
}
.list {
  columns: 2;
  margin: 0.5rem 0 0;
  padding: 0;
  list-style: none;
}
</style>
