<script setup lang="ts">
import { describeRefusal } from '@mivet/core';
import { computed } from 'vue';
import { useCutter } from '../../stores/cutter.ts';
import { useSettings } from '../../stores/settings.ts';
import CutterDrawing from './CutterDrawing.vue';
import { STATE_WORDS, timeWords } from './cutter-words.ts';

/** What the cutter is doing, large. */
const cutter = useCutter();
const settings = useSettings();
const load = computed(() => cutter.shown);
const lines = computed(() => (cutter.strokes?.id === load.value?.id ? (cutter.strokes?.lines ?? []) : []));
const doneS = computed(() => (cutter.head?.id === load.value?.id ? cutter.head!.doneS : (load.value?.doneS ?? 0)));
const share = computed(() => (load.value && load.value.totalS > 0 ? doneS.value / load.value.totalS : 0));
const left = computed(() => timeWords(((load.value?.totalS ?? 0) - doneS.value) / (cutter.state?.faster ?? 1)));
</script>

<template>
  <section v-if="load" class="cutter" aria-label="In the cutter">
    <h2 class="dims">
      {{ load.title }}, load {{ load.number }}
      <span>{{ STATE_WORDS[load.state] }}{{ load.pass > 1 ? `, pass ${load.pass}` : '' }}</span>
    </h2>
    <CutterDrawing :load="load" :lines="lines" :head="cutter.head" />
    <div class="how-far">
      <BProgress :value="100 * share" class="bar" aria-label="How far it has cut" />
      <span class="dims"
        >{{ Math.round(100 * share) }} %<template v-if="load.state === 'cutting'">, {{ left }} left</template></span
      >
    </div>
    <p v-if="load.why" class="mb-0" role="status">{{ describeRefusal(load.why, settings.unit) }}</p>
  </section>
  <p v-else-if="cutter.outbox.length > 0" class="nothing quiet">
    Nothing is with the cutter yet: what waits to be sent goes to it as soon as it can be reached.
  </p>
  <p v-else-if="cutter.link !== 'live'" class="nothing quiet">
    {{ cutter.link === 'trying' ? 'Connecting to the cutter…' : 'Nothing is heard from the cutter at the moment.' }}
  </p>
  <p v-else class="nothing quiet">
    The cutter is empty and nothing waits. Under <strong>Loads</strong>, press <strong>Send to the cutter</strong>.
  </p>
</template>

<style scoped>
.cutter {
  height: 100%;
  display: flex;
  flex-direction: column;
  padding: 0.4rem 1.1rem 0.9rem;
  min-height: 0;
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
}
h2 span {
  margin-left: 0.6rem;
  font-weight: 500;
}
.how-far {
  display: flex;
  align-items: center;
  gap: 0.8rem;
  min-height: 2rem;
}
.bar {
  flex: 1;
  --bs-progress-height: 10px;
  --bs-progress-bg: var(--paper-deep);
  --bs-progress-border-radius: 0;
  --bs-progress-bar-bg: var(--teal);
  border: 1px solid var(--hairline);
}
.nothing {
  margin: auto;
  max-width: 22rem;
  text-align: center;
  padding-top: 30vh;
}
</style>
