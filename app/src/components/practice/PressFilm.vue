<script setup lang="ts">
import { type Box, boxOfCoordinates, formatLength, judgePressFilm, type LayFrame, makePressFilm, MOST_TURN, type Pressing, takeUp } from '@mivet/core'; // prettier-ignore
import { computed, ref, shallowRef, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import FilmFlat from '../film/FilmFlat.vue';
import FilmLegend from '../film/FilmLegend.vue';
import FilmSolid from '../film/FilmSolid.vue';
import { movedThumb } from '../film/thumb.ts';
import ExerciseFrame from './ExerciseFrame.vue';
import RangeRow from './RangeRow.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('press-film', makePressFilm);
/** rad that the sheet is turned before it is pressed on. */
const askew = ref(0);
const pressing = shallowRef<Pressing | null>(null);
const frame = shallowRef<LayFrame | null>(null);
const strokes = ref(0);
const thumb = ref({ x: 0, y: 0 });
function lift(): void {
  pressing.value = takeUp(task.value, askew.value);
  frame.value = pressing.value.frame();
  strokes.value = 0;
}
watch(
  [task, begun],
  () => {
    askew.value = task.value.what === 'wrap' ? task.value.hangs : 0;
    const { maxX, minX, maxY, minY } = extent();
    thumb.value = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
    lift();
  },
  { immediate: true },
);
function extent(): Box {
  return boxOfCoordinates(task.value.piece.outer);
}
function turn(to: number): void {
  askew.value = to;
  lift();
}
function pressAt(x: number, y: number): void {
  thumb.value = { x, y };
  if (judged.value || !pressing.value?.press(x, y)) return;
  frame.value = pressing.value.frame();
  strokes.value++;
}
function pointed([x, y]: readonly [number, number], event: PointerEvent): void {
  if (event.type === 'pointerdown' || event.buttons & 1) {
    event.preventDefault();
    pressAt(x, y);
  }
}
/** A thumb that is moved by keys: half its breadth at a time, over the sheet. */
function key(event: KeyboardEvent): void {
  const moved = movedThumb(event.key, thumb.value, task.value.thumb, extent());
  if (moved) thumb.value = moved;
  else if (event.key === ' ' || event.key === 'Enter') pressAt(thumb.value.x, thumb.value.y);
  else return;
  event.preventDefault();
}
const say = (mm: number): string => formatLength(mm, settings.unit);
const on = computed(() => 1 - (frame.value && pressing.value ? pressing.value.left() : 1));
const tallest = computed(() => (frame.value && pressing.value ? pressing.value.tallest() : 0));
const told = computed(
  () => `${Math.round(100 * on.value)} % is on. ${tallest.value > 0.005 ? `The tallest tent stands off by ${say(tallest.value)}.` : 'Nothing stands off.'}`, // prettier-ignore
);
const what = computed(() => {
  const { what: is, girth, cone } = task.value;
  const { minX, maxX } = extent();
  return is === 'wrap'
    ? `A wrap for a cup, ${say(cone!.girthRim)} round its rim and ${say(cone!.girthBase)} round its base`
    : `A ${is === 'disk' ? 'round piece' : 'star'}, ${say(maxX - minX)} across, for a ball ${say(girth!)} round`;
});
function settle(): void {
  const result = judgePressFilm(task.value, pressing.value!, askew.value, settings.unit);
  if (result) hand(result);
}
const degrees = computed(() => `${((180 / Math.PI) * Math.abs(askew.value)).toFixed(1)}° ${askew.value > 0 ? 'to the left' : 'to the right'}`); // prettier-ignore
</script>

<template>
  <ExerciseFrame id="press-film" :judged="judged" @another="another" @again="again">
    <template #stage>
      <p class="head">{{ what }}</p>
      <div v-if="pressing && frame" class="both">
        <div class="picture">
          <FilmSolid
            :flat="pressing.sheet.flat"
            :triangles="pressing.triangles"
            :outline="pressing.outline"
            :frame="frame"
            :azimuth="0"
            colour="#c9d6d8"
            :label="`On what it is laid on. ${told} Arrow keys turn it.`"
          />
        </div>
        <div
          class="picture thumb"
          tabindex="0"
          role="application"
          aria-label="The sheet, flat: arrow keys move the thumb, space presses"
          @keydown="key"
        >
          <FilmFlat
            :flat="pressing.sheet.flat"
            :triangles="pressing.triangles"
            :frame="frame"
            :thumb="judged ? null : { ...thumb, radius: task.thumb }"
            :label="`The sheet, flat. ${told}`"
            @point="pointed"
          />
        </div>
      </div>
      <p class="quiet mb-0" role="status">{{ told }}</p>
      <FilmLegend />
    </template>
    <template v-if="!judged">
      <RangeRow
        v-if="strokes === 0"
        label="Turn the sheet"
        :told="degrees"
        :value="askew"
        :least="-MOST_TURN"
        :most="MOST_TURN"
        :step="0.001"
        @change="turn"
      />
      <p v-else class="quiet mt-2">It was turned {{ degrees }} when it was begun: what is pressed on stays so.</p>
      <p class="mt-3 d-flex flex-wrap gap-2">
        <BButton variant="primary" :disabled="on < 0.998" @click="settle">It is on</BButton>
        <BButton variant="outline-primary" :disabled="strokes === 0" @click="lift">Lift it and begin again</BButton>
      </p>
      <p v-if="on < 0.998" class="quiet small">Stroke over the flat sheet until all of it is on.</p>
    </template>
  </ExerciseFrame>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-rows: minmax(0, 3fr) minmax(0, 2fr);
  gap: 0.6rem;
  height: min(66vh, 560px);
  margin: 0.5rem 0;
}
.picture {
  min-height: 0;
  border: 1px solid var(--hairline);
  background: var(--paper-deep);
}
.thumb {
  cursor: pointer;
  touch-action: none;
}
</style>
