<script setup lang="ts">
import FieldRow from './FieldRow.vue';
import HeldInput from './HeldInput.vue';
import { useId } from 'vue';

/** A few words on the slip. */
withDefaults(
  defineProps<{ label: string; value: string; type?: 'text' | 'date' | 'color'; most?: number; list?: string }>(),
  {
    type: 'text',
    most: 200,
    list: undefined,
  },
);
const emit = defineEmits<{ change: [value: string] }>();
const id = useId();
</script>

<template>
  <FieldRow :label="label" :field-id="id">
    <HeldInput
      :id="id"
      size="sm"
      :type="type"
      :list="list"
      :class="type === 'color' ? 'form-control-color' : type === 'date' ? 'w-auto' : 'wide'"
      :maxlength="most"
      :value="value"
      @change="emit('change', ($event.target as HTMLInputElement).value)"
    />
  </FieldRow>
</template>

<style scoped>
.wide {
  width: 60%;
}
</style>
