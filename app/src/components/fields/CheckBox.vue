<script setup lang="ts">
import { useId } from 'vue';

/** Something that is so or is not, with its words beside it. */
defineProps<{ checked: boolean }>();
const emit = defineEmits<{ change: [checked: boolean] }>();
const id = useId();
</script>

<template>
  <div class="form-check">
    <input
      :id="id"
      class="form-check-input"
      type="checkbox"
      :checked="checked"
      @change="emit('change', ($event.target as HTMLInputElement).checked)"
    />
    <label class="form-check-label" :for="id"><slot /></label>
  </div>
</template>
