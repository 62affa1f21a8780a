<script setup lang="ts">
import CheckBox from '../fields/CheckBox.vue';
import { waitText } from '@mivet/core';
import { computed } from 'vue';
import { useFiles } from '../../composables/useFiles.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';

const viewModel = useViewModel();
const project = useProject();
const files = useFiles();
const steps = computed(() => viewModel.good?.steps ?? []);
const hands = computed(() => steps.value.reduce((sum, s) => sum + s.handsMinutes, 0));
function toggle(id: string): void {
  project.edit('Tick a step', (p) => {
    const done = p.bench.doneSteps.includes(id)
      ? p.bench.doneSteps.filter((s) => s !== id)
      : [...p.bench.doneSteps, id];
    return { ...p, bench: { ...p.bench, doneSteps: done } };
  });
}
</script>

<template>
  <div>
    <h2>At the bench</h2>
    <p v-if="!viewModel.awaited && !viewModel.instead" class="quiet">
      {{ steps.length }} steps, about {{ hands }} min of work
    </p>
    <ol>
      <li v-for="s in steps" :key="s.id">
        <CheckBox :checked="project.doc!.bench.doneSteps.includes(s.id)" @change="toggle(s.id)"
          >{{ s.title
          }}<span v-if="s.waitMinutes > 0" class="quiet">, wait {{ waitText(s.waitMinutes) }}</span></CheckBox
        >
      </li>
    </ol>
    <BButton
      variant="outline-primary"
      :disabled="files.busy.value || steps.length === 0"
      @click="files.print('bench-pdf')"
    >
      Print the bench sheet
    </BButton>
    <p v-if="files.said.value" class="quiet mt-2" role="status">{{ files.said.value }}</p>
  </div>
</template>

<style scoped>
ol {
  padding: 0;
  list-style: none;
}
li {
  padding-top: 0.35rem;
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--hairline);
  margin: 0;
}
</style>
