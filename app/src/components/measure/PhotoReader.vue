<script setup lang="ts">
import {
  describePhotoProblem,
  formatLength,
  newStation,
  readPhotoProfile,
  type PhotoAxis,
  type PhotoScale,
  widestShare,
  type Silhouette,
  type Station,
  type Units,
} from '@mivet/core';
import { computed, onBeforeUnmount, ref, shallowRef, useId } from 'vue';
import { openImage, type OpenedImage } from '../../data/pixels.ts';
import { SAMPLE_PHOTOS, type SamplePhoto } from '../../demo/samples.ts';
import { askCore } from '../../workers/core-client.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import LengthField from '../fields/LengthField.vue';
import PhotoOutline from './PhotoOutline.vue';

/** Girths from a photograph taken from the side: the outline is found, scaled by one reading, and turned into heights. */
const props = defineProps<{ unit: Units; widestMm: number | null }>();
const emit = defineEmits<{ take: [stations: readonly Station[]]; done: [] }>();
const id = useId();

const opened = shallowRef<OpenedImage | null>(null);
const silhouette = shallowRef<Silhouette | null>(null);
const problem = ref<string | null>(null);
const busy = ref(false);
const band = shallowRef<readonly [number, number]>([0.08, 0.92]);
const by = ref<PhotoScale['by']>('girth');
const girthMm = ref(props.widestMm ?? 250);
/** Where the tape lay, as a share of the height; null for where it is widest. */
const tapeAt = ref<number | null>(null);
const heightMm = ref(100);
const cameraMm = ref(0);
const COUNT = 7;

const BY = [
  { value: 'girth' as const, label: 'A girth' },
  { value: 'height' as const, label: 'Height' },
];
/** The middle line as the person put it; null while it is found. */
let marked: PhotoAxis | null = null;
/** Number of the reading in hand: what an earlier one finds is let go. */
let turn = 0;
async function find(axis: PhotoAxis | null): Promise<void> {
  if (!opened.value) return;
  marked = axis;
  const mine = ++turn;
  busy.value = true;
  try {
    const times = cameraMm.value / (by.value === 'girth' ? girthMm.value : heightMm.value);
    const far = cameraMm.value > 0 ? { by: by.value, times } : null;
    const found = await askCore('silhouette', { raster: opened.value.raster, axis, far });
    if (mine !== turn) return;
    problem.value = found.ok ? null : describePhotoProblem(found.code);
    silhouette.value = found.ok ? found.silhouette : null;
  } catch (why) {
    if (mine === turn) problem.value = why instanceof Error ? why.message : 'The picture could not be read.';
  } finally {
    if (mine === turn) busy.value = false;
  }
}
function close(): void {
  turn += 1;
  busy.value = false;
  if (opened.value) URL.revokeObjectURL(opened.value.url);
  opened.value = null;
  silhouette.value = null;
  tapeAt.value = null;
  marked = null;
}
async function open(file: Blob, name: string): Promise<void> {
  close();
  try {
    opened.value = await openImage(file, name);
    problem.value = null;
  } catch (why) {
    problem.value = why instanceof Error ? why.message : 'The picture could not be read.';
    return;
  }
  await find(null);
}
async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (file) await open(file, file.name);
}
async function trySample(sample: SamplePhoto): Promise<void> {
  const answer = await fetch(sample.url).catch(() => null);
  if (!answer?.ok) {
    problem.value = 'The sample picture could not be loaded. Your work is safe; try once more.';
    return;
  }
  by.value = 'girth';
  girthMm.value = sample.widestGirth;
  cameraMm.value = sample.cameraMm;
  await open(await answer.blob(), sample.name);
}
onBeforeUnmount(close);

const read = computed(() => {
  if (!silhouette.value) return null;
  const scale: PhotoScale =
    by.value === 'girth'
      ? { by: 'girth', mm: girthMm.value, at: tapeAt.value ?? 'widest' }
      : { by: 'height', mm: heightMm.value };
  return readPhotoProfile(silhouette.value, {
    scale,
    cameraMm: cameraMm.value > 0 ? cameraMm.value : null,
    band: band.value,
    count: COUNT,
  });
});
const disagree = computed(() => (read.value ? Math.max(...read.value.map((s) => s.disagree)) : 0));
const tape = computed(() =>
  by.value === 'girth' && silhouette.value ? (tapeAt.value ?? widestShare(silhouette.value)) : null,
);
function standOff(mm: number): void {
  cameraMm.value = mm;
  // From a known distance more or less of lip and foot is seen by right.
  void find(marked);
}
const lean = computed(() => Math.abs(((silhouette.value?.tilt ?? 0) * 180) / Math.PI));

function take(): void {
  if (!read.value) return;
  const reading = (mm: number): Station['girth'] => ({
    how: 'photo',
    takes: [{ typed: formatLength(mm, props.unit), mm }],
    thicknessMm: 0,
  });
  emit(
    'take',
    read.value.map(({ down, girth }, i) => {
      const station = newStation(crypto.randomUUID());
      return { ...station, down: i === 0 ? station.down : reading(down), girth: reading(girth) };
    }),
  );
}
</script>

<template>
  <section class="photo" aria-label="From a photograph">
    <p class="quiet hint">
      Level with its middle, from as far as you can, before a plain ground. One girth read with a tape gives the scale.
    </p>
    <div class="d-flex flex-wrap gap-2 align-items-center">
      <label class="btn btn-sm btn-outline-primary mb-0">
        {{ opened ? 'Another picture' : 'Choose a picture' }}
        <input type="file" accept="image/*" class="visually-hidden" @change="choose" />
      </label>
      <BButton variant="link" size="sm" class="p-0" @click="emit('done')">Back to the heights</BButton>
    </div>
    <p v-if="!opened" class="quiet hint mt-2">
      None at hand? Try
      <template v-for="(s, i) in SAMPLE_PHOTOS" :key="s.name"
        ><template v-if="i > 0"> or </template
        ><BButton variant="link" class="p-0 align-baseline" @click="trySample(s)">
          {{ s.name }}
        </BButton></template
      >.
    </p>
    <div v-if="problem" class="note-bar fails" role="alert">
      <p>{{ problem }}</p>
      <p>Your readings are as they were.</p>
    </div>
    <p v-if="busy" class="quiet mt-2" role="status">
      Looking for the outline…
      <BButton variant="link" class="p-0 align-baseline" @click="close">Stop</BButton>
    </p>
    <LengthField
      v-if="opened"
      label="Camera distance (empty: far away)"
      :mm="cameraMm"
      :unit="unit"
      :most="10000"
      hint="From lens to the middle of the blank; takes perspective out"
      @change="standOff"
    />
    <template v-if="opened && silhouette">
      <PhotoOutline
        :url="opened.url"
        :silhouette="silhouette"
        :band="band"
        :stations="read ?? []"
        :tape="tape"
        @band="band = $event"
        @tape="tapeAt = $event"
        @axis="find($event)"
      />
      <div class="row-line">
        <span :id="`${id}-by`">Known</span>
        <ChoiceButtons :value="by" :options="BY" label="What is known of it" @choose="by = $event" />
      </div>
      <LengthField
        v-if="by === 'girth'"
        label="Round where the tape lay"
        :mm="girthMm"
        :unit="unit"
        :least="30"
        :most="3000"
        :hint="tapeAt === null ? 'Where it is widest; drag the tape’s line to where yours lay' : 'At the tape’s line'"
        @change="girthMm = $event"
      />
      <LengthField
        v-else
        label="Overall height"
        :mm="heightMm"
        :unit="unit"
        :least="10"
        :most="2000"
        @change="heightMm = $event"
      />
      <template v-if="read">
        <div class="note-bar" :class="disagree > 4 ? 'look' : 'fine'">
          <p class="fw-bold">Its two sides disagree by ±{{ formatLength(disagree, unit) }} of girth at most</p>
          <p>
            {{
              lean < 0.3 ? 'It stands straight in the picture.' : `It leans by ${lean.toFixed(1)}°, which is taken out.`
            }}
            <template v-if="disagree > 4"
              >Shine on an edge or a wrong middle line does that: drag the line’s ends, or take the picture
              again.</template
            >
          </p>
          <p v-if="silhouette.oneSided > 0.03">
            Something stands out on one side, such as a handle or a shadow: there the other side counts for both.
          </p>
        </div>
        <BButton variant="primary" @click="take">Take these {{ read.length }} girths</BButton>
      </template>
      <div v-else class="note-bar look"><p>The two lines are too near each other to read heights between them.</p></div>
    </template>
  </section>
</template>

<style scoped>
.photo {
  border: 2px solid var(--teal);
  border-radius: 3px;
  padding: 0.75rem 0.85rem 0.85rem;
  margin: 0.5rem 0;
}
.hint {
  font-size: 0.9rem;
  line-height: 1.35;
  margin-bottom: 0.5rem;
}
</style>
