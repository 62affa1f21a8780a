<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';
import FieldRow from './FieldRow.vue';

/** One of several, on the slip. */
defineProps<{
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  /** Below its label, as wide as the slip: for choices with long names. */
  wide?: boolean;
}>();
const emit = defineEmits<{ change: [value: T] }>();
const id = useId();
</script>

<template>
  <FieldRow :label="label" :field-id="id" :class="{ wide }">
    <BFormSelect
      :id="id"
      size="sm"
      class="choice"
      :model-value="value"
      @update:model-value="emit('change', $event as T)"
    >
      <BFormSelectOption v-for="o in options" :key="o.value" :value="o.value">{{ o.label }}</BFormSelectOption>
    </BFormSelect>
  </FieldRow>
</template>

<style scoped>
.choice {
  width: auto;
  min-width: 0;
  max-width: 65%;
}
.wide .choice {
  width: 100%;
  max-width: none;
}
</style>
