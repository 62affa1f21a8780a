<script setup lang="ts">
import { formatLength } from '@mivet/core';
import { computed } from 'vue';
import { usePlan } from '../../stores/plan.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';

/** Tightening the layout while the user watches, and parts placed by hand. */
const plan = usePlan();
const project = useProject();
const settings = useSettings();
const how = computed(() => {
  return plan.saved > 0.5
    ? `${formatLength(plan.saved, settings.unit)} of film less so far.`
    : 'Trying other ways: nothing shorter yet.';
});
</script>

<template>
  <div v-if="plan.canCloser || plan.watching" class="closer">
    <template v-if="plan.watching">
      <p class="mb-1" role="status">{{ how }}</p>
      <div class="moving" aria-hidden="true"><i></i></div>
      <BButton variant="primary" size="sm" @click="plan.keep">Keep this layout</BButton>
      <BButton variant="link" size="sm" @click="plan.end">Discard</BButton>
    </template>
    <template v-else>
      <BButton variant="outline-primary" size="sm" @click="plan.start">Tighten the layout</BButton>
      <BButton v-if="project.doc!.laid.length > 0" variant="link" size="sm" @click="plan.anew"> Plan again </BButton>
      <p class="quiet small mt-1 mb-0">
        <template v-if="plan.fixed > 0">
          {{ plan.fixed === 1 ? 'One part stays' : `${plan.fixed} parts stay` }} where you put
          {{ plan.fixed === 1 ? 'it' : 'them' }}.
          <BButton variant="link" size="sm" class="p-0" @click="plan.letGo(null, null)">Unlock</BButton>
        </template>
        <template v-else>Or drag a part on the board: it stays there.</template>
      </p>
      <p v-if="plan.problem" role="status">{{ plan.problem }}</p>
    </template>
  </div>
</template>

<style scoped>
.closer {
  padding: 0.7rem 0;
}
.moving {
  height: 4px;
  background: var(--paper-deep);
  overflow: hidden;
  margin-bottom: 0.5rem;
}
.moving i {
  display: block;
  width: 30%;
  height: 100%;
  background: var(--teal);
  animation: along 1.6s ease-in-out infinite alternate;
}
@keyframes along {
  to {
    transform: translateX(233%);
  }
}
@media (prefers-reduced-motion: reduce) {
  .moving i {
    animation: none;
    width: 100%;
  }
}
</style>
