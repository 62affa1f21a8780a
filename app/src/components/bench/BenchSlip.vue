<script setup lang="ts">
import { isDone, isStepDone, pacesOf, waitText } from '@mivet/core';
import { computed } from 'vue';
import CheckBox from '../fields/CheckBox.vue';
import { useFiles } from '../../composables/useFiles.ts';
import { useBench } from '../../stores/bench.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useViewModel } from '../../stores/view-model.ts';
import LastTime from '../logbook/LastTime.vue';
import BatchGrid from './BatchGrid.vue';
import BenchChanges from './BenchChanges.vue';
import BenchPapers from './BenchPapers.vue';
import MadeAgain from './MadeAgain.vue';

const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();
const bench = useBench();
const files = useFiles();
const done = computed(() => bench.stops.filter((stop) => isDone(bench.run, stop)).length);
/** Minutes of what is open, each thing with its share of the step. */
const hands = computed(
  () =>
  Math.round(bench.stops.reduce((sum, stop) => sum + (isDone(bench.run, stop) ? 0 : stop.step.handsMinutes / stop.of), 0)), // prettier-ignore
);
/** How long the step that one is at truly took on the first thing, and on the others. */
const pace = computed(() => {
  const taken = bench.stop ? pacesOf(bench.run, bench.stop.step) : null;
  return taken && { first: Math.round(taken.first), others: Math.round(taken.others) };
});
const many = computed(() => bench.things.length > 1);
const single = computed(() => (many.value ? bench.steps.filter(({ things }) => things.length === 0) : bench.steps));
</script>

<template>
  <div>
    <h2>At the bench</h2>
    <p v-if="!viewModel.awaited && !viewModel.instead" class="quiet">
      {{ many ? `${done} of ${bench.stops.length} done` : `${bench.steps.length} steps` }}, about {{ hands }} min of
      work{{ done > 0 ? ' left' : ''
      }}<template v-if="settings.ownPace > 0"> at your own pace, from {{ settings.ownPace }} times seen</template
      ><template v-if="pace">; the first took {{ pace.first }} min, the next ones {{ pace.others }}</template>
    </p>
    <BenchChanges :changed="bench.changed" @redo="bench.redo" @keep="bench.keepAsIs" />
    <BatchGrid
      v-if="many"
      :things="bench.things"
      :steps="bench.steps"
      :run="bench.run"
      :here="bench.stop ? { stepId: bench.stop.step.id, thingId: bench.stop.thing?.id ?? null } : null"
      :now="bench.now.getTime()"
      @go="bench.goToStop"
      @park="bench.park"
      @again="bench.again($event, 'made again')"
    />
    <MadeAgain v-if="bench.run.spoilt.length > 0" />
    <ol>
      <li v-for="s in single" :key="s.id">
        <CheckBox :checked="isStepDone(bench.run, s)" @change="bench.toggleStep(s)"
          >{{ s.title
          }}<span v-if="s.waitMinutes > 0" class="quiet">, wait {{ waitText(s.waitMinutes) }}</span></CheckBox
        >
        <BButton variant="link" size="sm" class="p-0 go" :aria-label="`Go to: ${s.title}`" @click="bench.goToStop(s.id)"
          ><IBiArrowRight aria-hidden="true"
        /></BButton>
      </li>
    </ol>
    <LastTime :blank="project.doc!.blank" :shelf-id="project.doc!.shelfBlankId" />
    <BenchPapers :files="files" :disabled="bench.steps.length === 0" />
  </div>
</template>

<style scoped>
ol {
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 0.5rem;
  padding-top: 0.35rem;
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--hairline);
  margin: 0;
}
.go {
  flex: none;
  min-width: 32px;
}
</style>
