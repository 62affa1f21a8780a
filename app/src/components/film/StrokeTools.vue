<script setup lang="ts">
import type { Stroke } from '@mivet/core';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** What strokes over a sheet do, and how they are taken back. */
defineProps<{
  /** Whether its film gives more where it is warmed; null until it is known. */
  warms: boolean | null;
}>();
const strokes = defineModel<readonly Stroke[]>('strokes', { required: true });
const does = defineModel<Stroke['does']>('does', { required: true });
const DOES = [
  { value: 'press', label: 'Press' },
  { value: 'warm', label: 'Warm' },
] as const;
</script>

<template>
  <div class="tools mt-2">
    <span class="quiet small">{{
      strokes.length === 0
        ? 'Stroke over the flat sheet in the order in which you would press it. What you leave out is pressed last.'
        : 'What no stroke reaches is pressed last, outwards.'
    }}</span>
    <span v-if="warms === false" class="quiet small">What its film gives warm is not known.</span>
    <span class="d-flex align-items-center gap-2 ms-auto">
      <ChoiceButtons v-if="warms" :value="does" :options="DOES" label="What a stroke does" @choose="does = $event" />
      <BButton
        size="sm"
        variant="outline-primary"
        class="text-nowrap"
        :disabled="strokes.length === 0"
        @click="strokes = strokes.slice(0, -1)"
        >Take back</BButton
      >
      <BButton size="sm" variant="outline-primary" :disabled="strokes.length === 0" @click="strokes = []"
        >Clear</BButton
      >
    </span>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 1.2rem;
}
</style>
