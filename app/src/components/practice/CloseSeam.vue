<script setup lang="ts">
import { formatLength, judgeCloseSeam, makeCloseSeam, makesACup, paperShows } from '@mivet/core';
import { computed, ref, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import LengthField from '../fields/LengthField.vue';
import CupPicture from './CupPicture.vue';
import { cupShape } from './cup-shape.ts';
import ExerciseFrame from './ExerciseFrame.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('close-seam', makeCloseSeam);
const sizes = ref(task.value.read);
/** The paper that is wrapped now: the one by the readings, then the one by what was made of them. */
const wrapped = ref(task.value.read);
watch([task, begun], () => {
  sizes.value = task.value.read;
  wrapped.value = task.value.read;
});
/** So many times wider than it is, gaps are drawn. */
const MORE = 4;
const shape = computed(() => cupShape(task.value.truth));
const shown = computed(() => paperShows(task.value, wrapped.value));
const say = (mm: number): string => formatLength(Math.abs(mm), settings.unit);
const view = computed(() => `${-shape.value.rim.rx - 44} ${-shape.value.rim.ry - 24} ${2 * shape.value.rim.rx + 100} ${shape.value.height + 2 * shape.value.foot.ry + 40}`); // prettier-ignore
/** Both ends of the paper on the back of the cup: each half of the gap wide of the middle, so far over the rim as it stands. */
const ends = computed(() => {
  const { gapRimMm, gapBaseMm, standMm } = shown.value;
  const { truth } = task.value;
  const top = -standMm * MORE;
  const end = (way: -1 | 1): string => {
    const spots: (readonly [number, number])[] = [];
    const edge = (slant: number): number => {
      const share = slant / truth.side;
      return ((way * MORE * (gapRimMm + (gapBaseMm - gapRimMm) * share)) / 2) / shape.value.radiusAt(slant); // prettier-ignore
    };
    for (let i = 0; i <= 20; i++) {
      const slant = top + ((truth.side - top) * i) / 20;
      spots.push(shape.value.at(edge(slant), slant));
    }
    for (let i = 0; i <= 20; i++) {
      const a = edge(truth.side) + (way * (Math.PI / 2) - edge(truth.side)) * (i / 20);
      spots.push(shape.value.at(a, truth.side));
    }
    for (let i = 20; i >= 0; i--) {
      const a = edge(top) + (way * (Math.PI / 2) - edge(top)) * (i / 20);
      spots.push(shape.value.at(a, top));
    }
    return `M${spots.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`;
  };
  return [end(-1), end(1)];
});
const rows = computed(() => [
  { y: shape.value.at(0, 6)[1], text: `rim ${shown.value.gapRimMm >= 0 ? 'open' : 'laps'} ${say(shown.value.gapRimMm)}` }, // prettier-ignore
  { y: shape.value.at(0, task.value.truth.side - 4)[1], text: `base ${shown.value.gapBaseMm >= 0 ? 'open' : 'laps'} ${say(shown.value.gapBaseMm)}` }, // prettier-ignore
]);
const stands = computed(() => `${say(shown.value.standMm)} ${shown.value.standMm >= 0 ? 'above the rim' : 'below the rim'}`); // prettier-ignore
const good = computed(() => makesACup(sizes.value));
function settle(): void {
  wrapped.value = sizes.value;
  hand(judgeCloseSeam(task.value, sizes.value, settings.unit));
}
const FIELDS = [
  { key: 'girthRim', label: 'Girth at the rim' },
  { key: 'girthBase', label: 'Girth at the base' },
  { key: 'side', label: 'Length of the side' },
] as const;
</script>

<template>
  <ExerciseFrame id="close-seam" :judged="judged" @another="another" @again="again">
    <template #stage>
      <p class="head">The back of the cup with the paper round it; gaps are drawn four times as wide</p>
      <svg
        :viewBox="view"
        role="img"
        :aria-label="`The paper's seam: ${rows.map(({ text }) => text).join(', ')}; its edge lies ${stands}`"
      >
        <CupPicture :shape="shape" :colour="task.colour">
          <path v-for="(end, i) in ends" :key="i" :d="end" class="paper" />
        </CupPicture>
        <template v-for="row in rows" :key="row.text">
          <line class="lead" x1="0" :x2="shape.rim.rx + 6" :y1="row.y" :y2="row.y" />
          <text class="dims" :x="shape.rim.rx + 8" :y="row.y + 2.5">{{ row.text }}</text>
        </template>
        <text class="dims" :x="-shape.rim.rx" :y="-shape.rim.ry - 8">{{ stands }}</text>
      </svg>
    </template>
    <LengthField
      v-for="field in FIELDS"
      :key="field.key"
      :label="field.label"
      :mm="sizes[field.key]"
      :unit="settings.unit"
      :least="10"
      @change="sizes = { ...sizes, [field.key]: $event }"
    />
    <p v-if="!judged" class="mt-3">
      <BButton variant="primary" :disabled="!good" @click="settle">Wrap a new paper</BButton>
      <span v-if="!good" class="brick small d-block mt-1"
        >No cup has these sizes: rim and base differ by too much.</span
      >
    </p>
  </ExerciseFrame>
</template>

<style scoped>
.paper {
  fill: #fffdf6;
  fill-opacity: 0.86;
  stroke: #1c2430;
  stroke-width: 0.4;
}
.lead {
  stroke: var(--ink-2);
  stroke-width: 0.3;
}
text {
  fill: var(--ink);
  font-size: 7px;
}
.brick {
  color: var(--brick);
}
</style>
