<script setup lang="ts">
import { waitText, type GuideStep } from '@mivet/core';
import { computed } from 'vue';
import { useTogether } from '../../stores/together.ts';
import CheckBox from '../fields/CheckBox.vue';

/** One guide for all: a step for each thing that hands do, ticked here and in every project that it is of. */
const together = useTogether();
const steps = computed(() => together.output?.guide ?? []);
const done = computed(() => steps.value.filter(together.isDone).length);
const hands = computed(() => steps.value.reduce((sum, step) => sum + step.handsMinutes, 0));
const time = ({ handsMinutes, waitMinutes }: GuideStep): string =>
  [handsMinutes > 0 ? `${handsMinutes} min` : '', waitMinutes > 0 ? `wait ${waitText(waitMinutes)}` : '']
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section class="guide" aria-label="One guide for all">
    <header>
      <div>
        <h2>At the bench, all of them</h2>
        <p class="quiet mb-0">
          {{ steps.length }} steps, about {{ hands }} min of work; {{ done }} done. Each film is weeded once for all.
        </p>
      </div>
      <BButton variant="outline-primary" :disabled="together.busy" @click="together.printGuide"
        >Print the guide</BButton
      >
    </header>
    <BProgress :value="done" :max="steps.length" class="mb-3" aria-label="Steps done" />
    <ol>
      <li v-for="step in steps" :key="step.id + step.of[0]!.projectId" :class="{ done: together.isDone(step) }">
        <CheckBox :checked="together.isDone(step)" @change="together.tick(step, $event)">
          <strong>{{ step.title }}</strong> <span class="quiet">{{ time(step) }}</span>
        </CheckBox>
        <div v-if="!together.isDone(step)" class="more">
          <p class="body">{{ step.body }}</p>
          <ul v-if="step.list.length > 0">
            <li v-for="thing in step.list" :key="thing" class="thing">{{ thing }}</li>
          </ul>
          <p v-if="step.check" class="small">{{ step.check.ask }} If not: {{ step.check.ifNot }}</p>
          <div v-if="step.caution" class="note-bar look">
            <p>{{ step.caution }}</p>
          </div>
          <p v-if="!step.id.startsWith('common ')" class="small links mb-0">
            <span class="quiet">Pictures and timers:</span>
            <RouterLink
              v-for="share in step.of"
              :key="share.projectId + share.stepId"
              :to="{ name: 'project', params: { id: share.projectId, stop: 'bench' } }"
              >{{ share.project }}</RouterLink
            >
          </p>
        </div>
      </li>
    </ol>
    <p class="quiet small">Labels of film, tape and blank, local codes and trained people come first.</p>
  </section>
</template>

<style scoped>
.guide {
  max-width: 52rem;
  padding: 1.1rem 1.4rem 2rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  justify-content: space-between;
  gap: 0.8rem;
  margin-bottom: 0.8rem;
}
h2 {
  font-size: 1.2rem;
  margin: 0;
}
ol {
  list-style: none;
  margin: 0 0 1rem;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--hairline);
  padding: 0.7rem 0;
}
li.thing {
  border: 0;
  padding: 0;
  list-style: disc;
}
li.done strong {
  font-weight: 400;
  color: var(--ink-2);
}
.more {
  margin: 0.3rem 0 0 1.7rem;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.9rem;
}
.body {
  white-space: pre-line;
  margin-bottom: 0.4rem;
}
</style>
