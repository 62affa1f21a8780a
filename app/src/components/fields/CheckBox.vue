<script setup lang="ts">
/** Something that is so or is not, with its words beside it. */
defineProps<{ checked: boolean }>();
const emit = defineEmits<{ change: [checked: boolean] }>();
</script>

<template>
  <BFormCheckbox :model-value="checked" @update:model-value="emit('change', $event === true)"><slot /></BFormCheckbox>
</template>
