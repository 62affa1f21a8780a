<script setup lang="ts">
import {
  describeBlankProblem,
  formatLength,
  READING_IN_SENTENCE,
  readingsAskedFor,
  type Blank,
  type BlankKind,
  type Reading,
  type ReadingName,
} from '@mivet/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useLibrary } from '../../stores/library.ts';
import { usePicture } from '../../stores/picture.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import BlankMore from './BlankMore.vue';
import ReadingField from './ReadingField.vue';

const project = useProject();
const picture = usePicture();
const settings = useSettings();
const library = useLibrary();
const view = useView();
const kept = ref(false);

const blank = computed(() => project.doc!.blank);
const HINTS: Record<ReadingName, string> = {
  girthRim: 'Lay the tape once round, just below the lip, as drawn.',
  girthBase: 'Once round again, just above the curve at the base.',
  side: 'Along the wall, from the rim tape to the base tape.',
  upright: 'Straight up with a ruler, if the wall is hard to follow.',
  acrossRim: 'Across the top, outer wall to outer wall. It checks the girth.',
};
const names = computed((): ReadingName[] => [
  ...readingsAskedFor(blank.value.kind),
  ...(blank.value.kind === 'tapered' ? (['upright'] as const) : []),
  'acrossRim',
]);
const isOptional = (name: ReadingName): boolean => name === 'acrossRim' || name === 'upright';
const unread = computed(() => names.value.find((n) => !blank.value.readings[n] && !(isOptional(n) && true)) ?? null);
/** One tape for all girths: what was said of it at one holds for the next. */
const tapeMm = computed(
  () =>
    [blank.value.readings.girthRim, blank.value.readings.girthBase].find((reading) => reading?.how === 'tape')
      ?.thicknessMm,
);
const active = ref<ReadingName | null>(null);

onMounted(() => {
  active.value = unread.value ?? names.value[0]!;
});
watch(active, (name) => (view.asked = name), { immediate: true });
onBeforeUnmount(() => (view.asked = null));

function setBlank(change: Partial<Blank>, label = 'Change the blank', kind = ''): void {
  kept.value = false;
  project.edit(label, (p) => ({ ...p, blank: { ...p.blank, ...change } }), kind);
}
function setReading(name: ReadingName, reading: Reading | undefined): void {
  const first = !blank.value.readings[name];
  const { [name]: _old, ...others } = blank.value.readings;
  setBlank({ readings: reading ? { ...others, [name]: reading } : others }, 'Take a reading');
  // After the first go at one reading, the next one that is missing is asked for.
  if (first && reading && unread.value) active.value = unread.value;
}
function takeInstead(name: ReadingName, mm: number): void {
  const now = blank.value.readings[name];
  if (now) setReading(name, { ...now, takes: [{ typed: formatLength(mm, 'mm'), mm }] });
}
const fine = computed(() => (picture.picture?.ok ? picture.picture : null));
const problem = computed(() =>
  picture.picture && !picture.picture.ok ? describeBlankProblem(picture.picture.problem, settings.unit) : null,
);
const agree = computed(() => {
  const size = fine.value?.size;
  if (!size || blank.value.kind !== 'tapered' || picture.picture?.doubts.length) return null;
  const mm = (v: number): string => formatLength(v, settings.unit);
  return blank.value.readings.upright && blank.value.readings.side
    ? { title: 'Side and height agree', why: `${mm(size.upright)} upright gives ${mm(size.side)} down the side.` }
    : size.sideFrom === 'upright'
      ? { title: `${mm(size.side)} down the side`, why: `Worked out from the upright height and the two girths.` }
      : {
          title: `${mm(size.upright)} straight up`,
          why: 'The side runs slanted; its length is what the template needs.',
        };
});
async function keep(): Promise<void> {
  await library.keepBlank(blank.value);
  kept.value = true;
}
const KINDS: { value: BlankKind; label: string }[] = [
  { value: 'straight', label: 'Straight' },
  { value: 'tapered', label: 'Tapered' },
];
</script>

<template>
  <div>
    <h2>{{ blank.kind === 'straight' ? 'Two readings' : 'Three readings' }}</h2>
    <p class="quiet mb-2">Of “{{ blank.name }}”</p>
    <ChoiceButtons
      :value="blank.kind"
      :options="KINDS"
      label="Shape of the side"
      @choose="setBlank({ kind: $event })"
    />
    <div class="mt-2">
      <ReadingField
        v-for="name in names"
        :key="name"
        :name="name"
        :reading="blank.readings[name]"
        :unit="settings.unit"
        :hint="HINTS[name]"
        :active="active === name"
        :optional="isOptional(name)"
        :tape-mm="tapeMm"
        :doubts="picture.picture?.doubts.filter((d) => d.reading === name) ?? []"
        @ask="active = name"
        @change="setReading(name, $event)"
        @take="takeInstead(name, $event)"
      />
    </div>
    <div v-if="problem && !unread" class="note-bar fails" role="status">
      <p>{{ problem }}</p>
    </div>
    <template v-if="fine">
      <div class="row-line">
        <span>Taken off for the {{ blank.readings.girthRim?.how === 'strip' ? 'paper strip' : 'tape' }}</span
        ><span class="dims">{{ formatLength(fine.size.rim.takenOffForTape, settings.unit) }}</span>
      </div>
      <div v-if="fine.size.fit === 'applied'" class="row-line">
        <span>From the paper fit check</span
        ><span class="dims">{{ formatLength(fine.size.rim.fromFitCheck, settings.unit) }}</span>
      </div>
      <div class="row-line">
        <span>Added for the film</span
        ><span class="dims">{{
          formatLength(fine.template.cone.girthRim - fine.size.rim.surface, settings.unit)
        }}</span>
      </div>
      <div class="row-line">
        <span>Template at the rim</span
        ><span class="dims">{{ formatLength(fine.template.cone.girthRim, settings.unit) }}</span>
      </div>
      <div class="note-bar" :class="Math.max(fine.errors.gapRim, fine.errors.gapBase) > 0.5 ? 'look' : 'fine'">
        <p class="fw-bold">Expect the seam within ±{{ formatLength(fine.errors.gapRim, settings.unit) }} at the rim</p>
        <p v-if="fine.size.fit === 'applied'">As well as a gap can be read on the wrapped paper.</p>
        <p v-else>
          Most of it comes from {{ READING_IN_SENTENCE[fine.errors.weakest] }}.
          <template v-if="Math.max(fine.errors.gapRim, fine.errors.gapBase) > 0.5">Take that once more first.</template>
        </p>
      </div>
      <div v-if="fine.size.fit === 'stale'" class="note-bar look">
        <p class="fw-bold">The paper fit check no longer counts</p>
        <p>
          A reading has changed since.
          <RouterLink :to="{ name: 'project', params: { id: project.doc!.id, stop: 'flat' } }"
            >Wrap a new one</RouterLink
          >
        </p>
      </div>
      <div v-if="agree" class="note-bar fine">
        <p class="fw-bold">{{ agree.title }}</p>
        <p>{{ agree.why }}</p>
      </div>
    </template>
    <BlankMore :blank="blank" :unit="settings.unit" @change="setBlank" />
    <div class="d-flex flex-wrap gap-2 mt-3">
      <RouterLink
        v-if="fine"
        class="btn btn-primary"
        :to="{ name: 'project', params: { id: project.doc!.id, stop: 'artwork' } }"
        >Place artwork</RouterLink
      >
      <button v-if="fine" type="button" class="btn btn-outline-primary" :disabled="kept" @click="keep">
        {{ kept ? 'On the shelf' : 'Keep on the shelf' }}
      </button>
    </div>
  </div>
</template>
