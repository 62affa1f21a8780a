<script setup lang="ts">
import { type BenchStep, entryOfRun, type LogbookEntry, type Project, wrapUpText } from '@mivet/core';
import { ref } from 'vue';
import { useDraft } from '../../composables/useDraft.ts';
import { useFiles } from '../../composables/useFiles.ts';
import { useBench } from '../../stores/bench.ts';
import { useLogbook } from '../../stores/logbook.ts';
import { useStock } from '../../stores/stock.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useWaits } from '../../stores/waits.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** What is left when all is done: what cures still, the card that goes along, and three questions for the log. */
const props = defineProps<{ steps: readonly BenchStep[] }>();
const bench = useBench();
const project = useProject();
const waits = useWaits();
const viewModel = useViewModel();
const stock = useStock();
const logbook = useLogbook();
const files = useFiles();
const outcome = ref<'good' | 'so-so' | 'failed'>('good');
const fought = useDraft(() => `fought ${project.doc?.id ?? ''}`);
const otherwise = useDraft(() => `otherwise ${project.doc?.id ?? ''}`);
const written = ref(false);
const OUTCOMES = [
  { value: 'good', label: 'Good' },
  { value: 'so-so', label: 'So-so' },
  { value: 'failed', label: 'Failed' },
] as const;
/** What went into the project; once, however often the logbook has to be asked. */
let noted: Project['log'][number] | null = null;
function note(): Project['log'][number] {
  const text = wrapUpText({ run: bench.run, steps: props.steps, fought: fought.value, otherwise: otherwise.value });
  const entry = { id: crypto.randomUUID(), at: new Date().toISOString(), outcome: outcome.value, text };
  project.edit('Write the log', (p) => ({ ...p, log: [...p.log, entry] }));
  return entry;
}
async function write(): Promise<void> {
  noted ??= note();
  written.value = await logbook.keep([bookEntry(noted.text, noted.id)]);
  if (written.value) fought.value = otherwise.value = '';
}
/** What becomes of a thing as a rule, by what it was made for. */
const BECOMES = { gift: 'given', market: 'sold', order: 'sold', 'own use': 'kept' } as const;
function bookEntry(text: string, id: string): LogbookEntry {
  const doc = project.doc!;
  const sheet = viewModel.good?.sheet;
  const became = outcome.value === 'failed' ? 'binned' : doc.handOver ? BECOMES[doc.handOver.whatFor] : 'open';
  return entryOfRun({
    project: doc,
    steps: props.steps,
    things: bench.things,
    cutMm: Object.fromEntries((sheet?.needs ?? []).map(({ film, cutMm }) => [film.id, cutMm])),
    takenMm2: Object.fromEntries((sheet?.usage.films ?? []).map(({ film, areaMm2 }) => [film, areaMm2])),
    laidMm2: {},
    supply: stock.supply,
    outcome: became,
    text,
    id,
    now: Date.now(),
  });
}
</script>

<template>
  <article>
    <h1>All done</h1>
    <ul v-if="waits.rows.some((row) => row.projectId === project.doc!.id)" class="still">
      <li v-for="row in waits.rows.filter((one) => one.projectId === project.doc!.id)" :key="row.stepId">
        <span
          >{{ row.says }}<template v-if="row.count > 1">, {{ row.count }} of them</template></span
        >
        <span class="dims">{{ row.left }}</span>
      </li>
    </ul>
    <section>
      <h2>How did it go?</h2>
      <ChoiceButtons :value="outcome" :options="OUTCOMES" label="How it came out" @choose="outcome = $event" />
      <BFormGroup label="What fought you" label-for="fought" class="mt-3">
        <BFormTextarea id="fought" v-model="fought" rows="2" maxlength="2000" />
      </BFormGroup>
      <BFormGroup label="What you would do otherwise" label-for="otherwise" class="mt-2">
        <BFormTextarea id="otherwise" v-model="otherwise" rows="2" maxlength="2000" />
      </BFormGroup>
      <BButton variant="primary" class="mt-3 tall" :disabled="written" @click="write">
        {{ written ? 'It is in the log' : 'Write it into the log' }}
      </BButton>
      <p v-if="written" class="mt-2 mb-0">
        <RouterLink :to="{ name: 'logbook', query: { entry: project.doc!.log.at(-1)?.id } }"
          >See it in the logbook</RouterLink
        >
      </p>
      <p class="quiet small mt-2">Times, checks and waits of this run go along by themselves.</p>
    </section>
    <section v-if="project.doc!.process === 'decal' || project.doc!.process === 'strip'">
      <h2>The card that goes with it</h2>
      <p>How to keep it: for this blank and this film, several to a sheet.</p>
      <BButton variant="outline-primary" class="tall" :disabled="files.busy.value" @click="files.print('care-pdf')">
        Print care cards
      </BButton>
      <p v-if="files.said.value" class="quiet mt-2" role="status">{{ files.said.value }}</p>
    </section>
  </article>
</template>

<style scoped>
article {
  max-width: 42rem;
  margin: 0 auto;
  padding: 1.4rem;
}
section {
  margin-top: 1.5rem;
}
.still {
  list-style: none;
  padding: 0;
}
.still li {
  display: flex;
  justify-content: space-between;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hairline);
  font-size: 1.15rem;
}
.tall {
  min-height: 48px;
}
</style>
