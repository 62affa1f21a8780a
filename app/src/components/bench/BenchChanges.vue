<script setup lang="ts">
import type { BenchStep, ChangedStep } from '@mivet/core';

/** What a change of the project means for what is done already. */
defineProps<{ changed: readonly ChangedStep[] }>();
const emit = defineEmits<{ redo: [step: BenchStep]; keep: [step: BenchStep] }>();
</script>

<template>
  <div v-if="changed.length > 0" class="note-bar look mb-3" role="status">
    <p class="fw-bold">The project was changed after you had done this:</p>
    <div v-for="{ step, was, now } in changed" :key="step.id" class="one">
      <p>
        {{ step.title }}<span v-if="was !== now" class="quiet"><br />was: {{ was }}<br />now: {{ now }}</span>
      </p>
      <BButton variant="outline-primary" size="sm" @click="emit('redo', step)">Do it again</BButton>
      <BButton variant="link" size="sm" @click="emit('keep', step)">It stays as it is</BButton>
    </div>
  </div>
</template>

<style scoped>
.one {
  margin-top: 0.5rem;
}
</style>
