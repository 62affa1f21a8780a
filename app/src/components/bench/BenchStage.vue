<script setup lang="ts">
import TermLine from '../terms/TermLine.vue';
import { waitText } from '@mivet/core';
import { useIntervalFn, useWakeLock } from '@vueuse/core';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import StepIllustration from './StepIllustration.vue';

/** One step a screen, big enough to read with film in both hands. */
const viewModel = useViewModel();
const project = useProject();
const steps = computed(() => viewModel.good?.steps ?? []);
const done = computed(() => new Set(project.doc!.bench.doneSteps));
const at = ref(0);
const step = computed(() => steps.value[at.value] ?? null);
const finished = computed(() => steps.value.length > 0 && steps.value.every((s) => done.value.has(s.id)));
const wentWrong = ref(false);
const now = ref(Date.now());
useIntervalFn(() => (now.value = Date.now()), 1000);
const wake = useWakeLock();

/** Goes to the first step that is not done, once the steps are there. */
const stopFirst = watch(
  steps,
  (list) => {
    if (list.length === 0) return;
    const next = list.findIndex((s) => !done.value.has(s.id));
    at.value = Math.max(0, next);
    void nextTick(() => stopFirst());
  },
  { immediate: true },
);
onMounted(() => {
  if (wake.isSupported.value) void wake.request('screen').catch(() => undefined);
});
watch(at, () => (wentWrong.value = false));
watch(
  () => steps.value.length,
  (count) => (at.value = Math.min(at.value, Math.max(0, count - 1))),
);

const waitEnd = computed(() => {
  const end = step.value ? project.doc!.bench.waitsUntil[step.value.id] : undefined;
  return end ? Date.parse(end) : null;
});
const left = computed(() => {
  if (waitEnd.value === null) return null;
  const seconds = Math.round((waitEnd.value - now.value) / 1000);
  if (seconds <= 0) return 'The wait is over.';
  const h = Math.floor(seconds / 3600);
  const m = Math.floor((seconds % 3600) / 60);
  return h > 0 ? `${h} h ${m} min left` : `${m}:${String(seconds % 60).padStart(2, '0')} left`;
});

function setBench(label: string, doneSteps: readonly string[], waitsUntil = project.doc!.bench.waitsUntil): void {
  project.edit(label, (p) => ({ ...p, bench: { doneSteps, waitsUntil } }));
}
function next(): void {
  if (!step.value) return;
  setBench('Step done', [...new Set([...project.doc!.bench.doneSteps, step.value.id])]);
  if (at.value < steps.value.length - 1) at.value += 1;
}
function startWait(): void {
  const s = step.value!;
  const until = new Date(Date.now() + s.waitMinutes * 60_000).toISOString();
  setBench('Start a wait', project.doc!.bench.doneSteps, { ...project.doc!.bench.waitsUntil, [s.id]: until });
}
function again(): void {
  setBench('Start the bench again', [], {});
  at.value = 0;
}
</script>

<template>
  <div class="bench">
    <div v-if="!step" class="nothing quiet">
      <p v-if="viewModel.awaited" role="status">Working out the steps…</p>
      <p v-else-if="viewModel.instead">{{ viewModel.instead }}</p>
      <p v-else>The steps for this job appear here once it is measured and has artwork.</p>
    </div>
    <template v-else>
      <header>
        <span class="fw-bold name">{{ project.doc!.name }}</span>
        <span class="dims">{{ finished ? 'all done' : `step ${at + 1} of ${steps.length}` }}</span>
      </header>
      <div class="bar" aria-hidden="true">
        <span v-for="(s, i) in steps" :key="s.id" :class="{ done: done.has(s.id), here: i === at }" />
      </div>
      <div class="card-area">
        <article :key="step.id">
          <h1>{{ step.title }}</h1>
          <StepIllustration
            v-if="step.illustration && viewModel.shape"
            :kind="step.illustration"
            :film="step.film"
            :view-model="viewModel.shape"
            :films="project.doc!.films"
            :blank="project.doc!.blank"
          />
          <p class="body">{{ step.body }}</p>
          <TermLine :text="`${step.title} ${step.body}`" />
          <p v-if="step.why" class="quiet">{{ step.why }}</p>
          <div v-if="step.caution" class="note-bar look">
            <p>{{ step.caution }}</p>
          </div>
          <div v-if="step.waitMinutes > 0" class="wait">
            <span class="dims">Wait {{ waitText(step.waitMinutes) }}</span>
            <BButton v-if="waitEnd === null" variant="outline-primary" @click="startWait"> Start the wait </BButton>
            <span v-else class="dims" role="timer">{{ left }}</span>
          </div>
          <div v-if="step.check" class="note-bar">
            <p class="fw-bold">{{ step.check.ask }}</p>
            <p v-if="wentWrong">{{ step.check.ifNot }}</p>
          </div>
          <p class="quiet small">Labels of film, tape and blank, local codes and trained people come first.</p>
        </article>
      </div>
      <footer>
        <BButton variant="outline-primary" class="big" :disabled="at === 0" @click="at -= 1">Back</BButton>
        <BButton v-if="step.check && !wentWrong" variant="outline-primary" class="big" @click="wentWrong = true">
          Went wrong
        </BButton>
        <BButton v-if="finished" variant="outline-primary" class="big grow" @click="again"> Start again </BButton>
        <BButton v-else variant="primary" class="big grow" @click="next">
          {{ at === steps.length - 1 ? 'Done' : 'Done, next' }}
        </BButton>
      </footer>
    </template>
  </div>
</template>

<style scoped>
.bench {
  height: 100%;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.nothing {
  margin: auto;
  max-width: 20rem;
  text-align: center;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.9rem 1.4rem 0.6rem;
  font-size: 1.05rem;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar {
  display: flex;
  height: 14px;
  flex: none;
  border-top: 1px solid var(--hairline);
}
.bar span {
  flex: 1;
  background: var(--tape);
  border-right: 1px solid var(--tape-ink);
}
.bar .done {
  background: var(--teal);
}
.bar .here {
  box-shadow: inset 0 -5px 0 var(--ink);
}
.card-area {
  flex: 1;
  min-height: 0;
  overflow: auto;
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
.body {
  font-size: 1.3rem;
  line-height: 1.5;
}
.wait {
  display: flex;
  align-items: center;
  gap: 1rem;
  font-size: 1.25rem;
  margin: 1rem 0;
}
footer {
  display: flex;
  justify-content: center;
  gap: 0.75rem;
  padding: 0.8rem 1.25rem;
  border-top: 1px solid var(--hairline);
}
.big {
  min-height: 60px;
  font-size: 1.15rem;
  padding-inline: 1.1rem;
}
.grow {
  flex: 1;
  max-width: 22rem;
}
@media (max-width: 420px) {
  article {
    padding: 1.1rem 1.35rem;
  }
  footer {
    gap: 0.5rem;
    padding-inline: 0.9rem;
  }
  .big {
    padding-inline: 0.8rem;
  }
}
</style>
