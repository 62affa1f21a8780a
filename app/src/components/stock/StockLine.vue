<script setup lang="ts">
/** Something in stock on a line of its own: its name and a quiet word, how much is left of it, and a way to change it. */
defineProps<{ name: string; quiet: string; left: string; low: boolean }>();
const emit = defineEmits<{ change: [] }>();
</script>

<template>
  <div class="row-line">
    <span
      >{{ name }} <span class="quiet small d-block">{{ quiet }}</span></span
    >
    <span class="dims" :class="{ low }"
      >{{ left }}
      <BButton variant="link" size="sm" :aria-label="`Change ${name}`" @click="emit('change')"> Change </BButton></span
    >
  </div>
</template>

<style scoped>
.low {
  color: var(--ochre);
}
</style>
