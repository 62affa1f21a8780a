<script setup lang="ts">
import { coneDevelopment, formatLength, type HeightIs, judgeWhichHeight, makeWhichHeight, pathData, sideFrom, takenWrongly } from '@mivet/core'; // prettier-ignore
import { computed, ref, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import CupPicture from './CupPicture.vue';
import { cupShape } from './cup-shape.ts';
import ExerciseFrame from './ExerciseFrame.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('which-height', makeWhichHeight);
const is = ref<HeightIs | ''>('');
const guess = ref('');
watch([task, begun], () => {
  is.value = '';
  guess.value = '';
});
const KINDS = [
  { value: 'upright', label: 'Upright height' },
  { value: 'along', label: 'Along the side' },
  { value: 'neither', label: 'Neither' },
] as const;
const guesses = computed(() => task.value.guesses.map((mm, i) => ({ value: String(i), label: formatLength(mm, settings.unit) }))); // prettier-ignore

const shape = computed(() => cupShape(task.value.cone));
/** The ruler as a box that is turned about its upper end. */
const ruler = computed(() => {
  const { rim, foot, height } = shape.value;
  const lean = (Math.atan2(rim.rx - foot.rx, height) * 180) / Math.PI;
  const { shows } = task.value;
  return {
    beside: { x: rim.rx + 5, y: 0, turn: 0, long: shows },
    'on the side': { x: rim.rx + 0.8, y: 0, turn: lean, long: shows },
    inside: { x: -4, y: 0, turn: 0, long: shows },
  }[task.value.ruler];
});
const ticks = computed(() => {
  const step = settings.measured === 'in' ? 25.4 / 4 : 5;
  return Array.from({ length: Math.floor(ruler.value.long / step) + 1 }, (_, i) => ({ y: ruler.value.long - i * step, big: i % (settings.measured === 'in' ? 4 : 2) === 0 })); // prettier-ignore
});
const view = computed(() => {
  const { rim, height, foot } = shape.value;
  return `${-rim.rx - 20} ${-rim.ry - 12} ${2 * rim.rx + 84} ${height + 2 * foot.ry + 26}`;
});

/** The flat as it is, and as it would be made from the wrong one. */
const flats = computed(() => {
  const { cone, shows } = task.value;
  const outline = (side: number): string => {
    const surface = coneDevelopment({ ...cone, side });
    return pathData(surface.outline({ left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, side] }));
  };
  const { minX, maxX, minY, maxY } = coneDevelopment(cone).bounds({ left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, cone.side] }); // prettier-ignore
  return {
    right: outline(cone.side),
    wrong: outline(sideFrom(cone, shows, takenWrongly(task.value))),
    view: `${minX - 8} ${-maxY - 8} ${maxX - minX + 16} ${maxY - minY + 16}`,
  };
});
const settle = (): void => {
  if (is.value) hand(judgeWhichHeight(task.value, is.value, task.value.guesses[Number(guess.value)]!, settings.unit));
};
</script>

<template>
  <ExerciseFrame id="which-height" :judged="judged" @another="another" @again="again">
    <template #stage>
      <svg
        :viewBox="view"
        role="img"
        :aria-label="`A tapered cup with a ruler ${task.ruler === 'beside' ? 'standing upright beside it' : task.ruler === 'inside' ? 'standing on the floor inside it' : 'lying on its side'}: it shows ${formatLength(task.shows, settings.unit)}`"
      >
        <line class="table" :x1="-200" :x2="200" :y1="shape.height" :y2="shape.height" />
        <CupPicture :shape="shape" colour="#C6CBCE" :hollow="task.ruler === 'inside'">
          <path
            v-if="task.ruler === 'inside'"
            class="floor"
            :d="`M${-shape.foot.rx} ${shape.height}L${-shape.foot.rx} ${shape.height - task.bottom}H${shape.foot.rx}V${shape.height}Z`"
          />
        </CupPicture>
        <line v-if="task.ruler === 'beside'" class="level" :x1="-shape.rim.rx" :x2="shape.rim.rx + 20" y1="0" y2="0" />
        <g :transform="`translate(${ruler.x} ${ruler.y}) rotate(${ruler.turn})`">
          <rect class="ruler" x="0" y="0" width="8" :height="ruler.long" />
          <line
            v-for="tick in ticks"
            :key="tick.y"
            class="tick"
            x1="0"
            :x2="tick.big ? 4 : 2.4"
            :y1="tick.y"
            :y2="tick.y"
          />
        </g>
        <text class="dims" :x="shape.rim.rx + 20" :y="shape.height * 0.45">
          {{ formatLength(task.shows, settings.unit) }}
        </text>
      </svg>
      <figure v-if="judged">
        <figcaption>
          The flat, and dashed the one that would be cut if it were taken for
          {{ takenWrongly(task) === 'upright' ? 'the upright height' : 'the length of the side' }}
        </figcaption>
        <svg :viewBox="flats.view" class="flat" aria-hidden="true">
          <path :d="flats.right" class="right" />
          <path :d="flats.wrong" class="wrong" />
        </svg>
      </figure>
    </template>
    <h2>It is</h2>
    <ChoiceButtons :value="is" :options="KINDS" label="What the ruler shows" @choose="is = $event" />
    <h2>Taken for what it is not, the flat is off by</h2>
    <ChoiceButtons :value="guess" :options="guesses" label="By how much the flat is off" @choose="guess = $event" />
    <p v-if="!judged" class="mt-3">
      <BButton variant="primary" :disabled="!is || !guess" @click="settle">Settle it</BButton>
      <span v-if="!is || !guess" class="quiet small ms-2">Answer both.</span>
    </p>
  </ExerciseFrame>
</template>

<style scoped>
.table {
  stroke: var(--hairline);
  stroke-width: 1;
}
.level {
  stroke: var(--ink-2);
  stroke-width: 0.4;
  stroke-dasharray: 2 2;
}
.floor {
  fill: #5b6471;
  opacity: 0.7;
}
.ruler {
  fill: #f2c230;
  stroke: #3a2c05;
  stroke-width: 0.4;
}
.tick {
  stroke: #3a2c05;
  stroke-width: 0.35;
}
text {
  fill: var(--ink);
  font-size: 9px;
}
.flat {
  max-height: 26vh;
}
.right {
  fill: var(--sheet);
  stroke: var(--on-sheet);
  stroke-width: 0.8;
}
.wrong {
  fill: none;
  stroke: #a53a29;
  stroke-width: 0.8;
  stroke-dasharray: 3 2;
}
</style>
