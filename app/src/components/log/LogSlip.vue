<script setup lang="ts">
import { useDraft } from '../../composables/useDraft.ts';
import { useProjectFile } from '../../composables/useProjectFile.ts';
import type { Outcome } from '@mivet/core';
import { format, isValid, parseISO } from 'date-fns';
import { computed, ref, shallowRef } from 'vue';
import { readSnapshots } from '../../data/records.ts';
import type { Project } from '@mivet/core';
import { useProject } from '../../stores/project.ts';
import SortedTable from '../fields/SortedTable.vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

const project = useProject();
const text = useDraft(() => `log ${project.doc?.id ?? ''}`);
const outcome = ref<Outcome>('good');
const OUTCOMES: { value: Outcome; label: string }[] = [
  { value: 'good', label: 'Good' },
  { value: 'so-so', label: 'So-so' },
  { value: 'failed', label: 'Failed' },
  { value: 'note', label: 'Note' },
];
const BAR: Record<Outcome, string> = { good: 'fine', 'so-so': 'look', failed: 'fails', note: '' };
const entries = computed(() => project.doc!.log);
const FIELDS = [
  { key: 'at', label: 'When', sortable: true },
  { key: 'text', label: 'Note' },
];
const when = (iso: string): string => (isValid(parseISO(iso)) ? format(parseISO(iso), 'd MMM yyyy, HH:mm') : iso);
const label = (o: Outcome): string => OUTCOMES.find((x) => x.value === o)!.label;

function add(): void {
  if (!text.value.trim()) return;
  const entry = {
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    outcome: outcome.value,
    text: text.value.trim(),
  };
  project.edit('Write in the log', (p) => ({ ...p, log: [...p.log, entry] }));
  text.value = '';
}
function drop(id: string): void {
  project.edit('Delete a note', (p) => ({ ...p, log: p.log.filter((e) => e.id !== id) }));
}
const toFile = useProjectFile();
const copies = shallowRef<readonly { at: string; document: Project }[] | null>(null);
async function showCopies(): Promise<void> {
  copies.value = await readSnapshots(project.doc!.id);
}
</script>

<template>
  <div>
    <h2>Result</h2>
    <form class="mt-2" @submit.prevent="add">
      <ChoiceButtons :value="outcome" :options="OUTCOMES" label="Outcome" @choose="outcome = $event" />
      <label class="quiet mt-3" for="log-text">What you want to remember</label>
      <BFormTextarea
        id="log-text"
        v-model="text"
        rows="3"
        maxlength="5000"
        placeholder="Film, tape, settings, what went wrong"
      />
      <BButton variant="primary" class="mt-2" type="submit" :disabled="!text.trim()">Add to the log</BButton>
    </form>
    <SortedTable
      class="mt-3"
      :rows="entries"
      :fields="FIELDS"
      empty="Nothing written yet. A line now saves a cup later."
      :by="{ key: 'at', order: 'desc' }"
    >
      <template #cell(at)="{ item }">
        <span class="dims quiet">{{ when(item.at) }}</span>
      </template>
      <template #cell(text)="{ item }">
        <div class="note-bar my-0" :class="BAR[item.outcome]">
          <p class="fw-bold small">{{ label(item.outcome) }}</p>
          <p class="text">{{ item.text }}</p>
          <BButton variant="link" size="sm" class="p-0" @click="drop(item.id)">Remove</BButton>
        </div>
      </template>
    </SortedTable>
    <h3 class="mt-4 mb-2">This project</h3>
    <div class="d-flex flex-wrap gap-2">
      <BButton variant="outline-primary" @click="toFile">Save to a file</BButton>
      <BButton variant="outline-primary" @click="showCopies">Kept copies</BButton>
    </div>
    <template v-if="copies">
      <p v-if="copies.length === 0" class="quiet mt-2">No copies yet. One is kept every ten minutes of work.</p>
      <div v-for="c in copies" :key="c.at" class="row-line">
        <span>{{ when(c.at) }}</span>
        <BButton variant="link" size="sm" @click="project.restore(c.document)">Restore</BButton>
      </div>
    </template>
  </div>
</template>

<style scoped>
.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
