<script setup lang="ts">
import HeldInput from '../fields/HeldInput.vue';
import type { DrawingResult, TraceOptions } from '@mivet/core';
import { describeDrawingProblem, FIRST_TRACE, ringsData } from '@mivet/core';
import { computed, onBeforeUnmount, ref, shallowRef, useId, watch } from 'vue';
import { useIncoming, type IncomingImage } from '../../stores/incoming.ts';
import { useFilms } from '../../stores/films.ts';
import { askCore } from '../../workers/core-client.ts';
import CheckBox from '../fields/CheckBox.vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** A picture on its way in: its outlines are found, and seen over it while they are tuned. */
const props = defineProps<{ incoming: IncomingImage }>();
const emit = defineEmits<{ leave: [] }>();
const store = useIncoming();
const films = useFilms();
const id = useId();
const options = shallowRef<TraceOptions>(FIRST_TRACE);
const result = shallowRef<DrawingResult | null>(null);
const matches = ref<readonly (string | null)[]>([]);
const threshold = ref(128);
/** Colours that the picture has; more of them would only part its noise. */
const found = ref(0);
const busy = ref(false);
const failure = ref<string | null>(null);
let stale = false;
let gone = false;
onBeforeUnmount(() => (gone = true));

/** Always the latest, never two at once. */
async function trace(): Promise<void> {
  if (busy.value) {
    stale = true;
    return;
  }
  busy.value = true;
  do {
    stale = false;
    try {
      const made = await askCore(
        'trace',
        { raster: props.incoming.raster, options: { ...options.value }, films: films.unasked },
        { limitMs: 30_000 },
      );
      if (gone) return;
      result.value = made.result;
      matches.value = made.matches;
      threshold.value = Math.round(made.threshold);
      found.value = made.colours;
      failure.value = null;
    } catch (problem) {
      failure.value = problem instanceof Error ? problem.message : String(problem);
    }
  } while (stale);
  busy.value = false;
}
watch(options, trace, { immediate: true });
function set(part: Partial<TraceOptions>): void {
  options.value = { ...options.value, ...part };
}

const MODES: { value: TraceOptions['mode']; label: string; title: string }[] = [
  { value: 'dark', label: 'Dark parts', title: 'What is dark becomes film' },
  { value: 'light', label: 'Light parts', title: 'What is light becomes film' },
  { value: 'ground', label: 'All but the background', title: 'All that stands out from the colour of the border' },
  { value: 'colours', label: 'Colours', title: 'Several colours, each a film' },
];
const height = computed(() => (FIRST_TRACE.widthMm * props.incoming.raster.height) / props.incoming.raster.width);
const outlines = computed(() =>
  result.value?.ok
    ? result.value.drawing.colours.map(({ colour, rings }) => ({
        colour,
        data: ringsData(rings),
      }))
    : [],
);
const count = computed(() =>
  result.value?.ok ? result.value.drawing.colours.reduce((sum, c) => sum + c.rings.length, 0) : 0,
);
const says = computed(() => {
  if (failure.value) return failure.value;
  if (!result.value) return 'Looking for outlines…';
  if (!result.value.ok) return describeDrawingProblem(result.value.problem);
  return `${count.value === 1 ? 'One outline' : `${count.value} outlines`} in ${result.value.drawing.colours.length === 1 ? 'one colour' : `${result.value.drawing.colours.length} colours`}.`;
});
function take(): void {
  if (result.value?.ok) store.takeTrace(props.incoming.name, result.value.drawing, matches.value);
}
const number = (event: Event): number => Number((event.target as HTMLInputElement).value);
</script>

<template>
  <section :aria-labelledby="`${id}-h`">
    <h2 :id="`${id}-h`">Trace a picture</h2>
    <svg
      class="preview"
      :viewBox="`${-FIRST_TRACE.widthMm / 2} ${-height / 2} ${FIRST_TRACE.widthMm} ${height}`"
      role="img"
      aria-label="The picture with its outlines"
    >
      <image
        :href="incoming.url"
        :x="-FIRST_TRACE.widthMm / 2"
        :y="-height / 2"
        :width="FIRST_TRACE.widthMm"
        :height="height"
        opacity="0.45"
        preserveAspectRatio="none"
      />
      <path v-for="(o, i) in outlines" :key="i" :d="o.data" :fill="o.colour" fill-rule="evenodd" />
    </svg>
    <p class="quiet small" role="status">{{ says }}</p>
    <div class="row-line">
      <span>Cut</span>
    </div>
    <ChoiceButtons :value="options.mode" :options="MODES" label="What becomes film" @choose="set({ mode: $event })" />
    <div v-if="options.mode === 'dark' || options.mode === 'light'" class="row-line mt-2">
      <label :for="`${id}-t`">Threshold</label>
      <BFormInput
        :id="`${id}-t`"
        type="range"
        min="5"
        max="250"
        :model-value="options.threshold ?? threshold"
        @input="set({ threshold: number($event) })"
      />
    </div>
    <div v-else-if="options.mode === 'ground'" class="row-line mt-2">
      <label :for="`${id}-g`">Background tolerance</label>
      <BFormInput
        :id="`${id}-g`"
        type="range"
        min="5"
        max="250"
        :model-value="options.tolerance"
        @input="set({ tolerance: number($event) })"
      />
    </div>
    <template v-else>
      <div class="row-line mt-2">
        <label :for="`${id}-c`">Colours</label>
        <HeldInput
          :id="`${id}-c`"
          size="sm"
          type="number"
          min="1"
          :max="options.colours === null ? found : 12"
          class="dims number-field"
          :value="Math.min(found, options.colours ?? found)"
          :aria-describedby="`${id}-cs`"
          @change="set({ colours: Math.min(12, Math.max(1, Math.round(number($event)) || 1)) })"
        />
      </div>
      <p :id="`${id}-cs`" class="quiet small">
        {{
          options.colours === null
            ? 'As many as the picture has; fewer cut better.'
            : options.colours > found
              ? `The picture has ${found}: more would only be noise.`
              : 'Those nearest to each other are taken as one.'
        }}
      </p>
      <CheckBox class="mt-2" :checked="options.dropGround" @change="set({ dropGround: $event })"
        >Remove background</CheckBox
      >
    </template>
    <div class="row-line">
      <label :for="`${id}-s`">Smoothing</label>
      <BFormInput
        :id="`${id}-s`"
        type="range"
        min="0"
        max="4"
        step="0.2"
        :model-value="options.smooth"
        @input="set({ smooth: number($event) })"
      />
    </div>
    <div class="row-line">
      <label :for="`${id}-p`">Ignore specks under</label>
      <BFormInput
        :id="`${id}-p`"
        type="range"
        min="0"
        max="10"
        step="0.25"
        :model-value="options.speckMm2"
        @input="set({ speckMm2: number($event) })"
      />
    </div>
    <div class="d-flex gap-2 mt-3">
      <BButton variant="primary" :disabled="!result?.ok" @click="take">Use these outlines</BButton>
      <BButton variant="outline-primary" @click="emit('leave')">Cancel</BButton>
    </div>
  </section>
</template>

<style scoped>
.preview {
  width: 100%;
  max-height: 220px;
  background: var(--sheet);
  border: 1px solid var(--hairline);
}
input[type='range'] {
  width: 50%;
  accent-color: var(--teal);
}
</style>
