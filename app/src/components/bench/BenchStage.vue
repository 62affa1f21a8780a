<script setup lang="ts">
import { explainStep, isStepDone, mendsFor } from '@mivet/core';
import { useEventListener, useWakeLock } from '@vueuse/core';
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { useBench } from '../../stores/bench.ts';
import { useProject } from '../../stores/project.ts';
import { useViewModel } from '../../stores/view-model.ts';
import BenchFinished from './BenchFinished.vue';
import MendPanel from './MendPanel.vue';
import StepCard from './StepCard.vue';
import { useSettings } from '../../stores/settings.ts';

/** One step a screen, big enough to read with film in both hands. */
const viewModel = useViewModel();
const project = useProject();
const settings = useSettings();
const bench = useBench();
const step = computed(() => bench.stop?.step ?? null);
const thing = computed(() => bench.stop?.thing ?? null);
const wake = useWakeLock();
onMounted(() => {
  if (wake.isSupported.value) void wake.request('screen').catch(() => undefined);
});

const wrong = ref(false);
const passing = ref(false);
const area = useTemplateRef<HTMLElement>('area');
watch(
  () => bench.at,
  () => {
    passing.value = false;
    void nextTick(() => area.value?.scrollTo({ top: 0 }));
  },
);
function next(): void {
  if (bench.hangs && !passing.value) {
    passing.value = true;
    return;
  }
  bench.done();
}

const where = computed(() => {
  const n = bench.steps.findIndex(({ id }) => id === step.value?.id);
  return `step ${n + 1} of ${bench.steps.length}`;
});
const which = computed(() => {
  const { stop } = bench;
  if (!stop?.thing) return null;
  const hand = stop.thing.hand === 'left' ? ', left hand' : '';
  return `${stop.nth} of ${stop.of}${stop.thing.name ? ` · ${stop.thing.name}${hand}` : ''}`;
});
/** Steps for the bar; with very many, what is done would be a hair. */
const bar = computed(() => bench.steps.map((one) => ({ id: one.id, done: isStepDone(bench.run, one), here: one.id === step.value?.id }))); // prettier-ignore
const primary = computed(() => {
  if (passing.value && bench.hangs) return 'Go on all the same';
  const last = bench.at === bench.stops.length - 1;
  const following = bench.stops[bench.at + 1];
  const same = following?.step.id === step.value?.id && following?.thing?.name;
  if (last) return 'Done';
  return same ? `Done, next: ${following.thing!.name}` : 'Done, next';
});
const mends = computed(() => (project.doc ? mendsFor(project.doc, step.value, settings.unit) : []));
const explained = computed(() => (step.value ? explainStep(step.value, bench.steps) : null));
const canBeMadeAgain = computed(() => (bench.things.length > 0 ? thing.value?.name || (bench.things.length === 1 ? 'it' : null) : null)); // prettier-ignore
function again(why: string): void {
  const id = thing.value?.id ?? bench.things[0]?.id;
  if (id) bench.again(id, why);
  wrong.value = false;
}

useEventListener('keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement | null;
  // Also while the panel still comes in, when it does not have the keys yet.
  if (event.key === 'Escape') wrong.value = false;
  if (!step.value || wrong.value || event.ctrlKey || event.metaKey || event.altKey) return;
  if (target?.closest('input, textarea, select, button, a, label, [role="dialog"], [contenteditable]')) return;
  const act = { ' ': next, ArrowRight: () => bench.goTo(bench.at + 1), ArrowLeft: () => bench.goTo(bench.at - 1), w: () => (wrong.value = true) }[event.key]; // prettier-ignore
  if (!act || (event.key === ' ' && event.repeat)) return;
  event.preventDefault();
  act();
});
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
        <span class="dims">{{ bench.finished ? 'all done' : where }}</span>
      </header>
      <div class="bar" aria-hidden="true">
        <span v-for="one in bar" :key="one.id" :class="{ done: one.done, here: one.here }" />
      </div>
      <div ref="area" class="card-area" tabindex="-1">
        <BenchFinished v-if="bench.finished" :steps="bench.steps" />
        <StepCard v-else :key="`${step.id} ${thing?.id}`" :step="step" :which="which" :explained="explained!" />
        <div v-if="passing && bench.hangs" class="note-bar look passing" role="status">
          <p class="fw-bold">The wait is not over.</p>
          <p>What comes next hangs on it. Let it run, or go on all the same.</p>
        </div>
      </div>
      <footer>
        <BButton variant="outline-primary" class="big" :disabled="bench.at === 0" @click="bench.goTo(bench.at - 1)"
          >Back</BButton
        >
        <BButton v-if="!bench.finished" variant="outline-primary" class="big" @click="wrong = true">Went wrong</BButton>
        <BButton v-if="bench.finished" variant="outline-primary" class="big grow" @click="bench.startOver()">
          Start again
        </BButton>
        <template v-else>
          <BButton v-if="bench.stop!.of > 1" variant="outline-primary" class="big all" @click="bench.doneOnAll()">
            All {{ bench.stop!.of }} done
          </BButton>
          <BButton variant="primary" class="big grow" @click="next">{{ primary }}</BButton>
        </template>
      </footer>
      <MendPanel
        :open="wrong"
        :kind="step.kind"
        :mends="mends"
        :thing="canBeMadeAgain"
        @close="wrong = false"
        @take="bench.mend"
        @again="again"
      />
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
  outline: none;
}
.passing {
  max-width: 42rem;
  margin: 0 auto 1.4rem;
}
footer {
  display: flex;
  flex-wrap: wrap;
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
@media (max-width: 480px) {
  footer {
    gap: 0.5rem;
    padding-inline: 0.9rem;
  }
  .big {
    min-height: 56px;
    padding-inline: 0.7rem;
    font-size: 1.05rem;
  }
  .grow {
    max-width: none;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .all {
    order: 1;
    flex-basis: 100%;
    min-height: 44px;
  }
}
</style>
