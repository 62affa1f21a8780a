<script setup lang="ts" generic="T extends string">
import ChoiceButtons from './ChoiceButtons.vue';

/** A row of the slip: what is asked, and the choices beside it. */
defineProps<{
  says: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string; readonly title?: string }[];
  /** Accessible name of the row. */
  label: string;
}>();
const emit = defineEmits<{ choose: [value: T] }>();
</script>

<template>
  <div class="row-line">
    <span>{{ says }}</span>
    <ChoiceButtons :value="value" :options="options" :label="label" @choose="emit('choose', $event)" />
  </div>
</template>
