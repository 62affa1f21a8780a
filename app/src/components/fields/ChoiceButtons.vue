<script setup lang="ts" generic="T extends string">
defineProps<{
  value: T;
  options: readonly { readonly value: T; readonly label: string; readonly title?: string }[];
  label: string;
}>();
const emit = defineEmits<{ choose: [value: T] }>();
</script>

<template>
  <div class="choice" role="group" :aria-label="label">
    <BButton
      v-for="o in options"
      :key="o.value"
      variant="bare"
      :aria-pressed="o.value === value"
      :title="o.title"
      @click="emit('choose', o.value)"
    >
      {{ o.label }}
    </BButton>
  </div>
</template>
