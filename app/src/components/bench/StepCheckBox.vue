<script setup lang="ts">
import type { BenchAnswer, StepCheck } from '@mivet/core';
import { computed } from 'vue';
import { clockWords } from '../../composables/clock-words.ts';

/** The question of a step, what to do when the answer is no, and how it was answered so far. */
const props = defineProps<{ check: StepCheck; answers: readonly BenchAnswer[] }>();
const emit = defineEmits<{ no: [] }>();
const lastNo = computed(() => props.answers.at(-1)?.yes === false);
const told = computed(() => props.answers.map(({ at, yes }) => `${clockWords(at)} ${yes ? 'yes' : 'no'}`).join(' · '));
</script>

<template>
  <div class="note-bar">
    <p class="fw-bold">{{ check.ask }}</p>
    <p v-if="lastNo" role="status">{{ check.ifNot }}</p>
    <div class="answers">
      <BButton variant="outline-primary" class="no" @click="emit('no')">{{
        check.againMinutes ? `Not yet: ${check.againMinutes} min more` : 'No'
      }}</BButton>
      <span v-if="told" class="quiet">{{ told }}</span>
    </div>
  </div>
</template>

<style scoped>
.answers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1rem;
  margin-top: 0.5rem;
}
.no {
  min-height: 44px;
}
</style>
