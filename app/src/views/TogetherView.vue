<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import LoadDrawing from '../components/cut/LoadDrawing.vue';
import SelectRow from '../components/fields/SelectRow.vue';
import WorkFrame from '../components/shell/WorkFrame.vue';
import TogetherGuide from '../components/together/TogetherGuide.vue';
import TogetherProjects from '../components/together/TogetherProjects.vue';
import TogetherSums from '../components/together/TogetherSums.vue';
import { useBoards } from '../composables/useBoards.ts';
import { useLibrary } from '../stores/library.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { useTogether } from '../stores/together.ts';

/** Several projects cut as one: their films on common boards, with what each has of it. */
const route = useRoute();
const router = useRouter();
const library = useLibrary();
const settings = useSettings();
const stock = useStock();
const together = useTogether();

// The address says which, so that it can be kept, shared between tabs and gone back to.
const asked = computed(() => String(route.query['projects'] ?? '').split(',').filter(Boolean)); // prettier-ignore
watch(
  [asked, () => library.loaded],
  () => {
    if (asked.value.join() !== together.chosen.join()) together.chosen = asked.value;
  },
  { immediate: true },
);
function choose(id: string, on: boolean): void {
  together.choose(id, on);
  void router.replace({ name: 'together', query: { projects: together.chosen.join(',') } });
}
watch(
  () => [together.input, stock.loaded] as const,
  () => stock.loaded && void together.plan(),
  { immediate: true },
);
onBeforeUnmount(together.cancel);

const plan = computed(() => together.output?.together.sheet.plan ?? null);
const shown = ref(0);
const boards = useBoards();
const loads = computed(() => plan.value?.loads.length ?? 0);
const heading = computed(() =>
  together.progress ? 'Planning the loads…' : loads.value === 0 ? 'Cut together' : loads.value === 1 ? 'One load' : `${loads.value} loads`,
); // prettier-ignore
</script>

<template>
  <div class="together">
    <WorkFrame stop="together">
      <template #work>
        <section class="boards" aria-label="Boards">
          <BTabs
            v-if="plan && plan.loads.length > 0"
            v-model:index="shown"
            nav-wrapper-class="shows"
            content-class="shown"
            lazy
          >
            <BTab title="Loads">
              <LoadDrawing
                v-for="load in plan.loads"
                :key="load.number"
                :load="load"
                :loads="plan.loads.length"
                :board="plan.board"
                :strips="together.output!.strips.filter((s) => s.load === load.number)"
                :films="together.output!.together.films"
                :unit="settings.unit"
                still
              />
            </BTab>
            <BTab title="Bench"><TogetherGuide /></BTab>
          </BTabs>
          <p v-else-if="together.progress" class="nothing quiet" role="status">
            Working out {{ together.progress.name }}…
          </p>
          <p v-else-if="together.problem" class="nothing" role="status">{{ together.problem }}</p>
          <p v-else-if="together.projects.length > 0 && !together.output" class="nothing">
            <BButton variant="outline-primary" @click="together.plan">Plan the loads</BButton>
          </p>
          <p v-else class="nothing quiet">
            Choose the projects that you cut on one day: their films share boards, strips and offcuts.
          </p>
        </section>
      </template>
      <h1>{{ heading }}</h1>
      <BProgress
        v-if="together.progress"
        class="mb-2"
        :value="together.progress.done"
        :max="together.progress.of"
        :aria-label="`Worked out ${together.progress.done} of ${together.progress.of} projects`"
      />
      <BButton v-if="together.progress" variant="link" size="sm" @click="together.cancel">Cancel</BButton>
      <TogetherProjects @choose="choose" />
      <SelectRow
        label="Cutter takes"
        wide
        :value="settings.boardId"
        :options="boards"
        @change="settings.boardId = $event"
      />
      <TogetherSums v-if="plan" />
    </WorkFrame>
  </div>
</template>

<style scoped>
.together {
  height: 100%;
  display: flex;
  flex-direction: column;
}
h1 {
  font-size: 1.2rem;
}
.boards {
  height: 100%;
  min-height: 0;
  overflow: auto;
  display: flex;
  flex-direction: column;
}
.boards :deep(.shows) {
  padding: 0.45rem 1.1rem 0;
}
.nothing {
  margin: auto;
  max-width: 22rem;
  text-align: center;
}
</style>
