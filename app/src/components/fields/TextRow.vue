<script setup lang="ts">
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
  <div class="row-line field">
    <label :for="id">{{ label }}</label>
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
  </div>
</template>

<style scoped>
.wide {
  width: 60%;
}
</style>
