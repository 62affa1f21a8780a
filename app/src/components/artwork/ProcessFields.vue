<script setup lang="ts">
import type { Process } from '@mivet/core';
import { useProject } from '../../stores/project.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import SelectRow from '../fields/SelectRow.vue';

/** What the film is for, and whether it is warmed: what is judged, and which cautions apply, hang on it. */
const project = useProject();
const PROCESSES: { value: Process; label: string }[] = [
  { value: 'decal', label: 'Staying on' },
  { value: 'strip', label: 'A mask to strip by' },
  { value: 'etch', label: 'A mask to etch by' },
  { value: 'blast', label: 'A mask to blast by' },
  { value: 'paint', label: 'A mask to paint by' },
];
const LAID = [
  { value: 'cold', label: 'Cold' },
  { value: 'warm', label: 'Warm', title: 'Cast film stretches further when it is warmed' },
] as const;
const choose = (process: Process): void => project.edit('What the film is for', (p) => ({ ...p, process }));
</script>

<template>
  <div class="mt-4">
    <SelectRow label="The film is for" :value="project.doc!.process" :options="PROCESSES" @change="choose" />
    <ChoiceRow
      says="It is laid"
      :value="project.doc!.warm ? 'warm' : 'cold'"
      :options="LAID"
      label="How it is laid"
      @choose="project.edit(`Lay it ${$event}`, (p) => ({ ...p, warm: $event === 'warm' }))"
    />
  </div>
</template>
