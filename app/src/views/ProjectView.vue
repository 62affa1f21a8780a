<script setup lang="ts">
import { computed, defineAsyncComponent, watch } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import ProjectInWords from '../components/shell/ProjectInWords.vue';
import StopStrip from '../components/shell/StopStrip.vue';
import WorkFrame from '../components/shell/WorkFrame.vue';
import GuideNote from '../components/help/GuideNote.vue';
import ProjectFailure from '../components/shell/ProjectFailure.vue';
import TwinStage from '../components/stage/TwinStage.vue';
import type { Stop } from '../composables/stops.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useSettings } from '../stores/settings.ts';
import { useLibrary } from '../stores/library.ts';
import { useProject } from '../stores/project.ts';
import { useProjectKeys } from '../composables/useProjectKeys.ts';
import { useIdleFetch } from '../composables/useIdleFetch.ts';
import { useFacing } from '../composables/useFacing.ts';
import { useView } from '../stores/view.ts';

const props = defineProps<{ id: string; stop: Stop }>();
const project = useProject();
const library = useLibrary();
const view = useView();
const viewModel = useViewModel();
const settings = useSettings();

/** What each stop is made of; the slip beside the work, and the work where it is not the two views. */
const PARTS = {
  measure: () => import('../components/measure/MeasureSlip.vue'),
  flat: () => import('../components/flat/FlatSlip.vue'),
  artwork: () => import('../components/artwork/ArtworkSlip.vue'),
  proof: () => import('../components/proof/ProofSlip.vue'),
  cut: () => import('../components/cut/CutSlip.vue'),
  cutStage: () => import('../components/cut/CutStage.vue'),
  bench: () => import('../components/bench/BenchSlip.vue'),
  benchStage: () => import('../components/bench/BenchStage.vue'),
  log: () => import('../components/log/LogSlip.vue'),
};
const SLIPS = {
  measure: defineAsyncComponent(PARTS.measure),
  flat: defineAsyncComponent(PARTS.flat),
  artwork: defineAsyncComponent(PARTS.artwork),
  proof: defineAsyncComponent(PARTS.proof),
  cut: defineAsyncComponent(PARTS.cut),
  bench: defineAsyncComponent(PARTS.bench),
  log: defineAsyncComponent(PARTS.log),
};
const CutStage = defineAsyncComponent(PARTS.cutStage);
const BenchStage = defineAsyncComponent(PARTS.benchStage);
// With the project before one's eyes, and nothing else to do, the other stops are fetched, one after the other.
useIdleFetch(() => viewModel.good !== null, Object.values(PARTS));
const NameGrid = defineAsyncComponent(() => import('../components/artwork/NameGrid.vue'));
const names = computed(() => props.stop === 'artwork' && view.showNames && project.doc?.names != null);
useFacing();
useProjectKeys();
const twin = computed(() => props.stop !== 'cut' && props.stop !== 'bench');

watch(
  () => props.id,
  (id) => {
    view.selectedId = null;
    view.highlighted = null;
    view.showNames = false;
    void project.open(id);
  },
  { immediate: true },
);
// What was not here comes in after all: with the demo, a file, or from another tab.
watch(
  () => project.missing && library.projects.some(({ id }) => id === props.id),
  (cameIn) => {
    if (cameIn) void project.open(props.id);
  },
);
watch(
  () => [project.doc?.name, props.stop] as const,
  ([name, stop]) => {
    if (name) document.title = `${name}, ${stop} · Mivet`;
  },
  { immediate: true },
);
onBeforeRouteLeave(async () => {
  await project.flush();
});
</script>

<template>
  <div v-if="project.missing" class="gone">
    <h1>This project is not here</h1>
    <p>
      It was deleted, or it was made in another browser. Projects live in the browser they were made in; a backup file
      carries them over.
    </p>
    <RouterLink class="btn btn-primary" to="/projects">All projects</RouterLink>
  </div>
  <div v-else-if="project.doc" class="project">
    <ProjectInWords :stop="stop" />
    <StopStrip :current="stop" />
    <WorkFrame :stop="stop">
      <template #work>
        <NameGrid
          v-if="names && viewModel.good"
          :view-model="viewModel.good"
          :blank="project.doc.blank"
          :other-blanks="project.doc.otherBlanks"
          :rows="project.doc.names?.rows ?? []"
          :hand="project.doc.hand"
          :films="project.doc.films"
          :unit="settings.unit"
        />
        <TwinStage
          v-else-if="twin"
          :dims="stop === 'flat'"
          :editable="stop === 'artwork' || stop === 'proof'"
          :seam="stop === 'artwork' || stop === 'proof'"
        />
        <CutStage v-else-if="stop === 'cut'" />
        <BenchStage v-else />
      </template>
      <ProjectFailure />
      <GuideNote :stop="stop" />
      <component :is="SLIPS[stop]" :key="stop" />
    </WorkFrame>
  </div>
</template>

<style scoped>
.project {
  height: 100%;
  display: flex;
  flex-direction: column;
}
.gone {
  max-width: 34rem;
  margin: 4rem auto;
  padding: 0 1.5rem;
}
</style>
