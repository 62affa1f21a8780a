<script setup lang="ts">
import { tickOf, titleOnOne, type BenchStep } from '@mivet/core';
import { computed, ref } from 'vue';
import { useShopping } from '../../composables/useShopping.ts';
import { useBench } from '../../stores/bench.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useViewModel } from '../../stores/view-model.ts';
import CheckBox from '../fields/CheckBox.vue';
import TermLine from '../terms/TermLine.vue';
import PlacingDrawing from './PlacingDrawing.vue';
import StepCheckBox from './StepCheckBox.vue';
import StepIllustration from './StepIllustration.vue';
import StepNotes from './StepNotes.vue';
import StepWait from './StepWait.vue';

/** One step with everything that one has to know of it: what, with which picture, why, what to watch for. */
const props = defineProps<{
  step: BenchStep;
  /** Which of the things it is done on now; null where it is done once. */
  which: string | null;
  explained: { readonly why: readonly string[]; readonly here: readonly string[] };
}>();
const bench = useBench();
const project = useProject();
const settings = useSettings();
const viewModel = useViewModel();
const explains = ref(false);
/** How many of them, and which, stands above the title where one goes thing by thing. */
const title = computed(() => (props.which ? titleOnOne(props.step) : props.step.title));
/** What is ticked of a list is ticked for each thing. */
const listed = (i: number): string =>
  `${tickOf(props.step.id, props.which ? (bench.stop?.thing?.id ?? null) : null)}/${i}`;
const shopping = useShopping();
const missing = computed(() => (props.step.kind === 'lay-out' ? shopping.missing.value : []));
const placing = computed(() => (props.step.id === 'place' ? (viewModel.good?.placing ?? null) : null));
const answers = computed(() => {
  const thing = bench.stop?.thing?.id ?? null;
  return bench.run.answers.filter((one) => one.step === props.step.id && one.thing === thing);
});
const notes = computed(() => bench.run.notes.filter((one) => one.step === props.step.id));
/** The next things that can be done while this one waits. */
const beside = computed(() =>
  bench.steps
    .filter(({ id }) => props.step.beside.includes(id) && !bench.run.doneSteps.includes(id))
    .slice(0, 3)
    .map(({ title }) => title)
    .join(' · '),
);
</script>

<template>
  <article>
    <p v-if="which" class="which dims">{{ which }}</p>
    <h1>{{ title }}</h1>
    <PlacingDrawing v-if="placing" :card="placing" :films="project.doc!.films" :unit="settings.unit" />
    <StepIllustration v-else-if="bench.pictures.length > 0" :pictures="bench.pictures" :films="project.doc!.films" />
    <p v-if="!placing" class="body">{{ step.body }}</p>
    <ul v-if="step.list.length > 0" class="list">
      <li v-for="(line, i) in step.list" :key="line">
        <CheckBox :checked="bench.run.doneSteps.includes(listed(i))" @change="bench.tickListed(listed(i), $event)">{{
          line
        }}</CheckBox>
      </li>
    </ul>
    <div v-if="missing.length > 0" class="note-bar look">
      <p class="fw-bold">Your stock does not have enough:</p>
      <p v-for="one in missing" :key="one.what">{{ one.what }}: {{ one.says }}</p>
    </div>
    <div v-if="step.caution" class="note-bar look">
      <p>{{ step.caution }}</p>
    </div>
    <StepWait
      v-if="step.waitMinutes > 0 || bench.waitEnd !== null"
      :minutes="step.waitMinutes"
      :end="bench.waitEnd"
      :now="bench.now.getTime()"
      :forecast="bench.forecast"
      :learnt="bench.learntWait?.n ?? null"
      @start="bench.wait($event)"
    />
    <p v-if="step.waitMinutes > 0 && beside" class="quiet">Meanwhile: {{ beside }}</p>
    <StepCheckBox v-if="step.check" :check="step.check" :answers="answers" @no="bench.no()" />
    <TermLine :text="`${step.title} ${step.body}`" />
    <p v-if="step.why" class="quiet">{{ step.why }}</p>
    <BButton variant="link" class="p-0 why" :aria-expanded="explains" @click="explains = !explains"
      >Why this, why here</BButton
    >
    <div v-if="explains" class="explained">
      <p v-for="line in [...explained.why, ...explained.here]" :key="line">{{ line }}</p>
    </div>
    <StepNotes
      :of="`${project.doc?.id} ${step.id} ${which}`"
      :notes="notes"
      :add="bench.note"
      @forget="bench.forgetNote($event)"
    />
    <p class="quiet small">Labels of film, tape and blank, local codes and trained people come first.</p>
  </article>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  font-size: 1.25rem;
}
.list li {
  min-height: 44px;
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
}
article {
  max-width: 42rem;
  margin: 0 auto;
  padding: 1.4rem;
}
h1 {
  font-size: 1.85rem;
  line-height: 1.2;
  margin-bottom: 0.9rem;
}
.which {
  font-size: 1.15rem;
  margin-bottom: 0.2rem;
}
.body {
  font-size: 1.3rem;
  line-height: 1.5;
}
.why {
  min-height: 44px;
}
.explained {
  border-left: 3px solid var(--hairline);
  padding-left: 0.8rem;
  margin-bottom: 0.8rem;
}
.explained p {
  margin-bottom: 0.3rem;
}
@media (max-width: 420px) {
  article {
    padding: 1.1rem 1.35rem;
  }
}
</style>
