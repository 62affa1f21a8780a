<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';

/** One of several, on the slip. */
defineProps<{ label: string; value: T; options: readonly { readonly value: T; readonly label: string }[] }>();
const emit = defineEmits<{ change: [value: T] }>();
const id = useId();
</script>

<template>
  <div class="row-line field">
    <label :for="id">{{ label }}</label>
    <select
      :id="id"
      class="form-select form-select-sm w-auto"
      :value="value"
      @change="emit('change', ($event.target as HTMLSelectElement).value as T)"
    >
      <option v-for="o in options" :key="o.value" :value="o.value">{{ o.label }}</option>
    </select>
  </div>
</template>
