<script setup lang="ts">
import {
  type Blank,
  type BlankKind,
  describeBlankProblem,
  facesFollow,
  formatLength,
  isGirth,
  KINDS_OF_BLANK,
  logReadings,
  newStation,
  type Reading,
  READING_LABEL,
  type ReadingName,
  sizeBlank,
} from '@mivet/core';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useLibrary } from '../../stores/library.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import type { Asked } from '@mivet/core';
import { useView } from '../../stores/view.ts';
import BalloonFields from './BalloonFields.vue';
import BoxFields from './BoxFields.vue';
import LastTime from '../logbook/LastTime.vue';
import BlankMore from './BlankMore.vue';
import KindPicker from './KindPicker.vue';
import ProfileReadings from './ProfileReadings.vue';
import ReadingField from './ReadingField.vue';
import ReadingLog from './ReadingLog.vue';
import SectionFields from './SectionFields.vue';
import ReadingSums from './ReadingSums.vue';
import { READING_HINTS } from './reading-hints.ts';

const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();
const library = useLibrary();
const view = useView();
const kept = ref(false);

const blank = computed(() => project.doc!.blank);
const kind = computed(() => KINDS_OF_BLANK[blank.value.kind]);
const needed = computed(() => kind.value.asked);
const names = computed(() => [...needed.value, ...kind.value.welcome]);
const isOptional = (name: ReadingName): boolean => !needed.value.includes(name);
const unread = computed(() => {
  const left = needed.value.find((name) => !blank.value.readings[name]);
  const instead = left && kind.value.instead?.[left];
  return (instead && blank.value.readings[instead] ? null : left) ?? null;
});
/** One tape for all girths: what was said of it at one holds for the next. */
const tapeMm = computed(
  () =>
    (['girthRim', 'girthBase', 'girth'] as const)
      .map((name) => blank.value.readings[name])
      .find((reading) => reading?.how === 'tape')?.thicknessMm,
);
const active = ref<Asked | null>(null);
watch(
  () => blank.value.kind,
  () => {
    active.value = kind.value.byStations ? { station: 0, what: 'girth' } : (unread.value ?? names.value[0] ?? null);
  },
  { immediate: true },
);
watch(active, (asked) => (view.asked = asked), { immediate: true });
onBeforeUnmount(() => (view.asked = null));

function setBlank(change: Partial<Blank>, label = 'Change the blank', kind = ''): void {
  kept.value = false;
  project.edit(
    label,
    (p) => {
      const next = { ...p.blank, ...change };
      const readingLog = logReadings(p.blank, next, new Date().toISOString());
      const box = { ...next, readingLog };
      return { ...p, blank: box, otherBlanks: facesFollow(box, p.otherBlanks) };
    },
    kind,
  );
}
function setKind(kind: BlankKind): void {
  // Three heights are there to fill in; a curve wants that many.
  const stations =
    KINDS_OF_BLANK[kind].byStations && blank.value.stations.length === 0
      ? [1, 2, 3].map(() => newStation(crypto.randomUUID()))
      : blank.value.stations;
  const surface = KINDS_OF_BLANK[kind].blownUp ? ('latex' as const) : blank.value.surface;
  setBlank({ kind, stations, surface }, 'Change the kind of blank');
}
function setReading(name: ReadingName, reading: Reading | undefined): void {
  const first = !blank.value.readings[name];
  const { [name]: _old, ...others } = blank.value.readings;
  setBlank({ readings: reading ? { ...others, [name]: reading } : others }, 'Add a reading');
  // After the first go at one reading, the next one that is missing is asked for.
  if (first && reading && unread.value) active.value = unread.value;
}
function takeInstead(name: ReadingName, mm: number): void {
  const now = blank.value.readings[name];
  if (now) setReading(name, { ...now, takes: [{ typed: formatLength(mm, 'mm'), mm }] });
}
const fine = computed(() => (viewModel.viewModel?.ok ? viewModel.viewModel : null));
/** What stands in the way, of the readings as they are now: what was found a moment ago may be read by now. */
const problem = computed(() => {
  const sized = sizeBlank(blank.value);
  if (!sized.ok) return sized.problem;
  return viewModel.viewModel && !viewModel.viewModel.ok && !viewModel.busy ? viewModel.viewModel.problem : null;
});
const problemWords = computed(() => (problem.value ? describeBlankProblem(problem.value, settings.unit) : null));
const wrongStation = computed(() => (problem.value && 'station' in problem.value ? problem.value.station : null));
async function keep(): Promise<void> {
  kept.value = await library.keepBlank(blank.value);
}
</script>

<template>
  <div>
    <h2>{{ kind.reads }}</h2>
    <p class="quiet mb-2">Of “{{ blank.name }}”: {{ kind.like }}</p>
    <KindPicker :kind="blank.kind" @choose="setKind" />
    <ProfileReadings
      v-if="kind.byStations"
      :blank="blank"
      :unit="settings.unit"
      :wrong="wrongStation"
      :asked="active"
      :weakest="fine?.errors.weakestStation ?? null"
      @ask="active = $event"
      @change="setBlank"
    />
    <div v-else class="mt-2">
      <ReadingField
        v-for="name in names"
        :key="name"
        :label="READING_LABEL[name]"
        :girth="isGirth(name)"
        :reading="blank.readings[name]"
        :unit="settings.unit"
        :hint="READING_HINTS[name]"
        :active="active === name"
        :optional="isOptional(name)"
        :tape-mm="tapeMm"
        :doubts="viewModel.viewModel?.doubts.filter((d) => d.reading === name) ?? []"
        @ask="active = name"
        @change="setReading(name, $event)"
        @take="takeInstead(name, $event)"
      />
    </div>
    <BoxFields
      v-if="blank.kind === 'box'"
      :blank="blank"
      @change="setBlank({ face: $event }, 'Choose a face', 'face')"
    />
    <SectionFields
      v-if="blank.kind === 'straight'"
      :section="blank.section ?? null"
      :girth="fine?.size.rim.surface ?? null"
      :unit="settings.unit"
      @change="setBlank({ section: $event ?? undefined }, 'Change what it looks like from above', 'section')"
    />
    <div v-if="problemWords && !unread" class="note-bar" :class="wrongStation ? 'fails' : 'look'" role="status">
      <p>{{ problemWords }}</p>
    </div>
    <BalloonFields
      v-if="kind.blownUp"
      :plan="blank.balloon"
      :girth="fine?.size.rim.surface ?? null"
      :unit="settings.unit"
      @change="setBlank({ balloon: $event }, 'Change the hand-over', 'balloon')"
    />
    <ReadingSums v-if="fine" :blank="blank" :view-model="fine" :unit="settings.unit" :project-id="project.doc!.id" />
    <LastTime :blank="blank" :shelf-id="project.doc!.shelfBlankId" mends />
    <BlankMore :blank="blank" :unit="settings.unit" @change="setBlank" />
    <ReadingLog :blank="blank" :unit="settings.unit" />
    <div class="d-flex flex-wrap gap-2 mt-3">
      <RouterLink
        v-if="fine"
        class="btn btn-primary"
        :to="{
          name: 'project',
          params: { id: project.doc!.id, stop: fine.template.flattening.way === 'exact' ? 'artwork' : 'flat' },
        }"
        >{{ fine.template.flattening.way === 'exact' ? 'Place artwork' : 'See it flat' }}</RouterLink
      >
      <BButton v-if="fine" variant="outline-primary" :disabled="kept" @click="keep">
        {{ kept ? 'On the shelf' : 'Keep on the shelf' }}
      </BButton>
    </div>
  </div>
</template>
