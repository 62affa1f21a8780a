<script setup lang="ts">
import type { Stop } from '../../composables/stops.ts';
import SlipFrame from './SlipFrame.vue';

/** The work, and its slip beside it; on a phone over its foot. */
defineProps<{ stop: Stop | 'together' }>();
</script>

<template>
  <div class="work">
    <div class="main"><slot name="work" /></div>
    <SlipFrame :stop="stop"><slot /></SlipFrame>
  </div>
</template>

<style scoped>
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
}
.main {
  min-width: 0;
  min-height: 0;
}
/* A low window, or one that is looked at at twice its size: the slip is narrower, and stays beside the work. */
@media (max-width: 767.98px) {
  .work {
    grid-template-columns: minmax(0, 1fr) 280px;
  }
}
/* On a phone the work has the screen, and the slip comes up over its foot; what lies under it scrolls out. */
@media (max-width: 559.98px), (max-width: 767.98px) and (orientation: portrait) {
  .work {
    display: flex;
    flex-direction: column;
  }
  .main {
    flex: 1;
    overflow: auto;
  }
  .work:has(> .sheet-bar[aria-expanded='true']) .main::after {
    content: '';
    display: block;
    height: calc(56dvh - 52px);
  }
}
</style>
