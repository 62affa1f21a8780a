<script setup lang="ts">
import { format } from 'date-fns';
import { computed } from 'vue';
import { useProject } from '../../stores/project.ts';

const project = useProject();
const words = computed(() => {
  switch (project.saveState) {
    case 'saving':
      return 'Saving';
    case 'conflict':
      return 'Not saved: changed elsewhere';
    case 'refused':
      return 'Not saved in this browser';
    default:
      return project.savedAt ? 'Saved' : '';
  }
});
const time = computed(() => (words.value === 'Saved' && project.savedAt ? ` ${format(project.savedAt, 'HH:mm')}` : ''));
</script>

<template>
  <span class="saved quiet" :class="project.saveState" role="status" aria-live="polite"
    >{{ words }}<span class="time">{{ time }}</span></span
  >
</template>

<style scoped>
.saved {
  min-width: 5.2rem;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
@media (max-width: 560px) {
  .saved {
    min-width: 0;
    font-size: 0.85rem;
  }
  .time {
    display: none;
  }
}
.conflict,
.refused {
  color: var(--brick);
  font-weight: 600;
}
</style>
