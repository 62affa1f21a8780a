<script setup lang="ts">
import { computed } from 'vue';
import type { Stop } from '../../composables/stops.ts';
import { useStopStates } from '../../composables/useStopStates.ts';
import { useProject } from '../../stores/project.ts';
import TapeTicks from './TapeTicks.vue';

defineProps<{ current: Stop }>();
const project = useProject();
const LABELS: Record<Stop, string> = {
  measure: 'Measure',
  flat: 'Flat',
  artwork: 'Artwork',
  proof: 'Proof',
  cut: 'Cut',
  bench: 'Bench',
  log: 'Log',
};

const id = computed(() => project.doc!.id);
const states = useStopStates();
const stops = computed(() =>
  states.value.map((s) => ({
    ...s,
    label: LABELS[s.stop],
    words: s.count > 0 ? `${s.count} to look at` : s.ready ? 'ready' : 'not done yet',
  })),
);
</script>

<template>
  <nav class="strip" aria-label="Stops of the project">
    <TapeTicks class="ticks" />
    <RouterLink
      v-for="(s, i) in stops"
      :key="s.stop"
      :to="{ name: 'project', params: { id, stop: s.stop } }"
      class="stop"
      :class="{ here: s.stop === current }"
      :aria-current="s.stop === current ? 'step' : undefined"
      :title="`${s.label}: ${s.words}`"
    >
      <span class="number" aria-hidden="true">{{ i + 1 }}</span>
      <span class="label">{{ s.label }}</span>
      <BBadge v-if="s.count > 0" :variant="null" class="count"
        ><span class="visually-hidden">to look at: </span>{{ s.count }}</BBadge
      >
      <IBiCheckLg v-else-if="s.ready" class="check" role="img" aria-label="ready" />
    </RouterLink>
  </nav>
</template>

<style scoped>
.strip {
  position: relative;
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  height: 48px;
  background: var(--tape);
  color: var(--tape-ink);
  flex: none;
}
.ticks {
  position: absolute;
  left: 0;
  right: 0;
  bottom: 0;
  width: 100%;
  height: 12px;
  pointer-events: none;
}
.stop {
  position: relative;
  display: flex;
  align-items: center;
  gap: 0.7rem;
  padding: 0 1rem 4px;
  color: inherit;
  text-decoration: none;
  font-family: var(--dims);
  font-weight: 600;
  font-size: 1.25rem;
  min-width: 0;
}
.stop:hover:not(.here) {
  background: color-mix(in srgb, var(--tape) 84%, white);
}
.number {
  font-size: 1.6rem;
}
.label {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
}
.here {
  background: var(--paper);
  color: var(--ink);
  box-shadow:
    inset 0 5px 0 var(--teal),
    inset 1px 0 0 var(--tape-ink),
    inset -1px 0 0 var(--tape-ink);
  z-index: 1;
}
.here .number {
  color: var(--teal);
}
.count {
  background: var(--tape-ink);
  color: var(--tape);
  border-radius: 2px;
  padding: 0;
  font-weight: inherit;
  min-width: 1.35rem;
  text-align: center;
  font-size: 1rem;
  line-height: 1.35rem;
}
.check {
  flex: none;
  font-size: 1.05rem;
}
.here .check {
  color: var(--moss);
}
/* Where there is less room the word counts for more than its number; what is to be told of it stands above it. */
@media (max-width: 900px) {
  .stop {
    justify-content: center;
    padding: 0 0.1rem 4px;
    font-size: 1.15rem;
  }
  .number {
    display: none;
  }
  .label {
    flex: none;
    overflow: visible;
  }
  .check,
  .count {
    position: absolute;
    top: 2px;
    right: 3px;
    font-size: 0.8rem;
    line-height: 1rem;
    min-width: 1rem;
  }
}
@media (max-width: 480px) {
  .stop {
    font-size: 0.95rem;
    letter-spacing: -0.01em;
  }
}
</style>
