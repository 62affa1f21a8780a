<script setup lang="ts">
import { formatLength, judgeReadTape, makeReadTape, MOST_ASKEW_TAPE, MOST_TURNED, tapeShows } from '@mivet/core';
import { computed, ref, watch } from 'vue';
import { tapeTicks } from '../../composables/tape-ticks.ts';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import LengthField from '../fields/LengthField.vue';
import CupPicture from './CupPicture.vue';
import { cupShape } from './cup-shape.ts';
import ExerciseFrame from './ExerciseFrame.vue';
import RangeRow from './RangeRow.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('read-tape', makeReadTape);
const lies = ref(task.value.found);
const read = ref<number | null>(null);
watch(
  [task, begun],
  () => {
    lies.value = task.value.found;
    read.value = null;
  },
  { flush: 'sync' },
);

/** mm broad. */
const TAPE = 9;
const shape = computed(() => cupShape({ girthRim: task.value.girth, girthBase: task.value.girth, side: task.value.side })); // prettier-ignore
const view = computed(() => `${-shape.value.rim.rx - 14} ${-shape.value.rim.ry - 8} ${2 * shape.value.rim.rx + 28} ${shape.value.height + 2 * shape.value.foot.ry + 20}`); // prettier-ignore
/** The tape on the part of the mug that is seen: it lies askew about the place where its ends meet. */
const slantAt = (azimuth: number): number => task.value.side * 0.45 + (lies.value.askew / 2) * Math.sin(azimuth - lies.value.turned); // prettier-ignore
const azimuths = Array.from({ length: 41 }, (_, i) => -Math.PI / 2 + (Math.PI * i) / 40);
const line = (spots: readonly (readonly [number, number])[]): string => spots.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(2)} ${y.toFixed(2)}`).join(''); // prettier-ignore
const band = computed(() => {
  const edge = (by: number, way: readonly number[]): (readonly [number, number])[] => way.map((a) => shape.value.at(a, slantAt(a) + by)); // prettier-ignore
  return `${line([...edge(-TAPE / 2, azimuths), ...edge(TAPE / 2, [...azimuths].reverse())])}Z`;
});
const strokes = computed(() => {
  const per = settings.measured === 'in' ? 25.4 / 2 : 10;
  const r = shape.value.rim.rx;
  return Array.from({ length: Math.floor((Math.PI * r) / per) }, (_, i) => -Math.PI / 2 + ((i + 0.5) * per) / r)
    .map((a) => line([shape.value.at(a, slantAt(a) - TAPE / 2), shape.value.at(a, slantAt(a))]))
    .join('');
});
const meets = computed(() => {
  const a = lies.value.turned;
  return line([shape.value.at(a, slantAt(a) - TAPE), shape.value.at(a, slantAt(a) + TAPE)]);
});

/** mm of tape to either side of the zero line that the glass shows. */
const HALF = 15;
const shows = computed(() => tapeShows(task.value, lies.value));
/** Where the zero line truly lies, on the scale that it is read against. */
const ticks = computed(() => {
  const inch = settings.measured === 'in';
  const steps = inch ? { small: 25.4 / 16, middle: 25.4 / 2, big: 25.4, per: 25.4 } : { small: 1, middle: 5, big: 10, per: 1 }; // prettier-ignore
  return tapeTicks(shows.value - 2 * HALF, shows.value + 2 * HALF, steps).map((tick) => ({ ...tick, x: tick.mm - shows.value })); // prettier-ignore
});
const narrow = computed(() => Math.cos(lies.value.turned));
const settle = (): void => {
  if (read.value !== null) hand(judgeReadTape(task.value, lies.value, read.value, settings.unit));
};
</script>

<template>
  <ExerciseFrame id="read-tape" :judged="judged" @another="another" @again="again">
    <template #stage>
      <div class="two">
        <figure>
          <figcaption>The mug</figcaption>
          <svg :viewBox="view" role="img" aria-label="A mug with a measuring tape round it">
            <CupPicture :shape="shape" :colour="task.colour">
              <path :d="band" class="tape" />
              <path :d="strokes" class="strokes" />
              <path :d="meets" class="meets" />
            </CupPicture>
          </svg>
        </figure>
        <figure>
          <figcaption>Where its ends meet, through a glass</figcaption>
          <svg
            viewBox="-17 -12 34 26"
            role="img"
            :aria-label="`The zero line of the tape lies over ${formatLength(shows, settings.unit)} of its scale`"
          >
            <clipPath id="glass"><rect x="-16" y="-11" width="32" height="24" rx="1" /></clipPath>
            <rect x="-16" y="-11" width="32" height="24" :fill="task.colour" />
            <g clip-path="url(#glass)">
              <g :transform="`scale(${narrow} 1)`">
                <rect class="tape" x="-36" y="-1" width="72" height="9" />
                <g v-for="tick in ticks" :key="tick.mm">
                  <line
                    class="tick"
                    :x1="tick.x"
                    :x2="tick.x"
                    y1="-1"
                    :y2="-1 + { small: 2, middle: 3.2, big: 4.4 }[tick.size]"
                  />
                  <text v-if="tick.text" :x="tick.x" y="6.6" text-anchor="middle" class="dims">{{ tick.text }}</text>
                </g>
                <!-- The end comes from the left, over the scale. -->
                <path class="end" d="M-36 -8H4.5L6 -6.5V-1.2H-36Z" />
                <line class="zero" x1="0" x2="0" y1="-8" y2="-1.2" />
                <text x="-0.8" y="-3.6" text-anchor="end" class="dims nought">0</text>
              </g>
            </g>
            <rect class="rim" x="-16" y="-11" width="32" height="24" rx="1" />
          </svg>
        </figure>
      </div>
    </template>
    <RangeRow
      label="Turn the mug"
      :value="-lies.turned"
      :least="-MOST_TURNED"
      :most="MOST_TURNED"
      :step="0.01"
      @change="lies = { ...lies, turned: -$event }"
    />
    <RangeRow
      label="Push the tape up or down on the right"
      :value="-lies.askew"
      :least="-MOST_ASKEW_TAPE"
      :most="MOST_ASKEW_TAPE"
      :step="0.5"
      @change="lies = { ...lies, askew: -$event }"
    />
    <LengthField label="It reads" :mm="read" :unit="settings.unit" :least="50" :most="600" @change="read = $event" />
    <p v-if="!judged" class="mt-3">
      <BButton variant="primary" :disabled="read === null" @click="settle">Take it</BButton>
      <span v-if="read === null" class="quiet small ms-2">Type what you read.</span>
    </p>
  </ExerciseFrame>
</template>

<style scoped>
.tape {
  fill: #f2c230;
  stroke: #3a2c05;
  stroke-width: 0.15;
}
.strokes,
.meets {
  fill: none;
  stroke: #3a2c05;
  stroke-width: 0.5;
}
.meets {
  stroke: #a53a29;
  stroke-width: 1.4;
}
.tick {
  stroke: #3a2c05;
  stroke-width: 0.14;
}
.end {
  fill: #f7d873;
  stroke: #3a2c05;
  stroke-width: 0.15;
}
.zero {
  stroke: #a53a29;
  stroke-width: 0.2;
}
text {
  font-size: 2.1px;
  fill: #3a2c05;
}
.nought {
  fill: #a53a29;
}
.rim {
  fill: none;
  stroke: var(--hairline);
  stroke-width: 0.4;
}
</style>
