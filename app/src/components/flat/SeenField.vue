<script setup lang="ts">
import type { Units } from '@mivet/core';
import { computed, ref, watch } from 'vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import LengthField from '../fields/LengthField.vue';

/** A length with a direction, in words: none, more or less, and by how much. */
const props = defineProps<{
  label: string;
  words: { readonly none: string; readonly more: string; readonly less: string };
  mm: number;
  unit: Units;
  most: number;
}>();
const emit = defineEmits<{ change: [mm: number] }>();
type Way = 'none' | 'more' | 'less';
const wayOf = (mm: number): Way => (mm > 0 ? 'more' : mm < 0 ? 'less' : 'none');
/** Kept apart from the length, so that a way can be chosen before the length is typed. */
const way = ref<Way>(wayOf(props.mm));
watch(
  () => props.mm,
  (mm) => {
    if (mm !== 0) way.value = wayOf(mm);
  },
);
const options = computed(() =>
  (['none', 'more', 'less'] as const).map((value) => ({ value, label: props.words[value] })),
);

function choose(next: Way): void {
  way.value = next;
  emit('change', next === 'none' ? 0 : next === 'more' ? Math.abs(props.mm) : -Math.abs(props.mm));
}
</script>

<template>
  <div class="seen">
    <span>{{ label }}</span>
    <ChoiceButtons :value="way" :options="options" :label="label" @choose="choose" />
  </div>
  <LengthField
    v-if="way !== 'none'"
    :label="`${label.split(',')[0]}, by`"
    :mm="Math.abs(mm)"
    :unit="unit"
    :most="most"
    @change="emit('change', way === 'more' ? $event : -$event)"
  />
</template>

<style scoped>
.seen {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 0.35rem;
  padding: 0.55rem 0 0.4rem;
}
</style>
