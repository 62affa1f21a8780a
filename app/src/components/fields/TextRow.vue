<script setup lang="ts">
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
    <input
      :id="id"
      :type="type"
      :list="list"
      class="form-control form-control-sm"
      :class="type === 'color' ? 'form-control-color' : type === 'date' ? 'w-auto' : 'wide'"
      autocomplete="off"
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
