<script setup lang="ts">
import type { School } from '@mivet/core';
import { computed } from 'vue';
import SelectRow from './SelectRow.vue';

/** One question of how one works: the way that is chosen, and when it is the better one. */
const props = defineProps<{ label: string; schools: readonly School[]; value: string }>();
const emit = defineEmits<{ choose: [value: string] }>();
const chosen = computed(() => props.schools.find(({ value }) => value === props.value));
</script>

<template>
  <div class="school">
    <SelectRow :label="label" :value="value" :options="schools" @change="emit('choose', $event)" />
    <p class="quiet small">{{ chosen?.better }}</p>
  </div>
</template>

<style scoped>
.school {
  border-bottom: 1px solid var(--hairline);
}
.school :deep(.row-line) {
  border-bottom: 0;
}
.school p {
  margin: -0.25rem 0 0.5rem;
}
</style>
