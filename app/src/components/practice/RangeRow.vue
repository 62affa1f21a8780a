<script setup lang="ts">
import { useId } from 'vue';

/** Something that is moved by feel. */
defineProps<{ label: string; value: number; least: number; most: number; step?: number; told?: string }>();
const emit = defineEmits<{ change: [value: number] }>();
const id = useId();
const take = (event: Event): void => emit('change', Number((event.target as HTMLInputElement).value));
</script>

<template>
  <div class="range">
    <label :for="id"
      >{{ label }}<span v-if="told" class="dims">{{ told }}</span></label
    >
    <BFormInput
      :id="id"
      type="range"
      :min="String(least)"
      :max="String(most)"
      :step="String(step ?? 1)"
      :model-value="value"
      @input="take"
    />
  </div>
</template>

<style scoped>
.range {
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hairline);
}
label {
  display: flex;
  justify-content: space-between;
  color: var(--ink-2);
}
.dims {
  color: var(--ink);
  font-size: 1.1rem;
}
</style>
