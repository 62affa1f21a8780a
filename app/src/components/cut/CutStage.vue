<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue';
import { useCutter } from '../../stores/cutter.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { usePlan } from '../../stores/plan.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import CutterStage from './CutterStage.vue';
import LoadDrawing from './LoadDrawing.vue';
import StackStage from './StackStage.vue';

const viewModel = useViewModel();
const project = useProject();
const settings = useSettings();
const view = useView();
const cutter = useCutter();
onMounted(cutter.listen);
onBeforeUnmount(cutter.hangUp);
/** Puts a layer at another place of the stack, counted from the blank; on top of what was moved and is not shown yet. */
function move(layer: string, to: number): void {
  const shown = (viewModel.good?.stack.layers ?? []).map(({ layer }) => layer);
  project.edit('Change the order of the films', (p) => {
    const moved = p.stack.order;
    const isAhead = !viewModel.current && moved.length === shown.length && shown.every((id) => moved.includes(id));
    const order = (isAhead ? moved : shown).filter((id) => id !== layer);
    order.splice(to, 0, layer);
    return { ...p, stack: { ...p.stack, order } };
  });
}
const SHOWS = ['loads', 'stack', 'cutter'] as const;
const shown = computed({
  get: () => SHOWS.indexOf(view.cutShows),
  set: (index) => (view.cutShows = SHOWS[index] ?? 'loads'),
});
const plan = usePlan();
const artwork = computed(() => ({ name: 'project', params: { id: project.doc!.id, stop: 'artwork' } }));
const loads = computed(() => plan.sheet?.plan.loads ?? []);
</script>

<template>
  <BTabs v-model:index="shown" class="cut" nav-wrapper-class="shows" content-class="loads" lazy unmount-lazy>
    <BTab title="Loads" class="view">
      <template v-if="viewModel.good && loads.length > 0">
        <LoadDrawing
          v-for="load in loads"
          :key="load.number"
          :load="load"
          :loads="loads.length"
          :board="plan.sheet!.plan.board"
          :strips="plan.strips.filter((s) => s.load === load.number)"
          :films="project.doc!.films"
          :unit="settings.unit"
        />
      </template>
      <p v-else-if="viewModel.awaited" class="nothing quiet" role="status">Laying it on the board…</p>
      <p v-else-if="viewModel.instead" class="nothing quiet">{{ viewModel.instead }}</p>
      <p v-else class="nothing quiet">
        Nothing to cut yet.
        <RouterLink :to="artwork">Place some artwork</RouterLink>
        and it is laid on the board here.
      </p>
    </BTab>
    <BTab title="Film stack" class="view">
      <StackStage
        v-if="viewModel.good && viewModel.good.stack.layers.length > 0"
        :view-model="viewModel.good"
        :stack="viewModel.good.stack"
        :films="project.doc!.films"
        :surface="project.doc!.blank.surface"
        @move="move"
      />
      <p v-else-if="viewModel.awaited" class="nothing quiet" role="status">Working out how its films lie…</p>
      <p v-else class="nothing quiet">
        No films to stack yet. <RouterLink :to="artwork">Place some artwork</RouterLink> and its films lie here in
        order.
      </p>
    </BTab>
    <BTab title="Cutter" class="view"><CutterStage /></BTab>
  </BTabs>
</template>

<style scoped>
.cut {
  height: 100%;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.cut :deep(.shows) {
  padding: 0.45rem 1.1rem 0;
}
.cut :deep(.loads) {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: flex;
  flex-direction: column;
}
.view {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.view:not(.active) {
  display: none;
}
.nothing {
  margin: auto;
  max-width: 20rem;
  text-align: center;
}
</style>
