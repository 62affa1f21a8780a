<script setup lang="ts">
import { type DwellForecast, leftText, waitText } from '@mivet/core';
import { computed } from 'vue';

/** The wait of a step: started by hand, counted down by the clock on the wall. */
const props = defineProps<{
  minutes: number;
  end: number | null;
  now: number;
  /** What earlier runs say of when to look. */
  forecast: DwellForecast | null;
  /** From how many entries of the logbook its minutes were learnt; null where they were not. */
  learnt: number | null;
}>();
const emit = defineEmits<{ start: [minutes: number | undefined] }>();
const left = computed(() =>
  props.end === null ? null : props.end <= props.now ? 'The wait is over.' : `${leftText(props.end, props.now)} left`,
);
const asked = computed(() => typeof Notification !== 'undefined' && Notification.permission === 'default');
const ask = (): void => void Notification.requestPermission();
const sooner = computed(() => props.forecast !== null && props.end === null);
const range = computed(() => {
  const { from, to } = props.forecast!;
  return Math.round(from) === Math.round(to) ? `${Math.round(from)} min` : `${Math.round(from)} to ${Math.round(to)} min`; // prettier-ignore
});
</script>

<template>
  <div class="wait">
    <span class="dims">Wait {{ waitText(minutes) }}</span>
    <BButton v-if="end === null" variant="outline-primary" class="start" @click="emit('start', undefined)">
      Start the wait
    </BButton>
    <span v-else class="dims" role="timer">{{ left }}</span>
    <BButton v-if="end !== null && end > now && asked" variant="link" class="start" @click="ask"
      >Tell me when it ends</BButton
    >
  </div>
  <p v-if="learnt !== null" class="quiet">
    Looked at first when your logbook says so: learnt from {{ learnt }} {{ learnt === 1 ? 'coat' : 'coats' }} of this
    colour.
  </p>
  <p v-if="sooner" class="quiet">
    {{ forecast!.sameColour ? 'Coats of this colour' : 'Other coats' }} took {{ range }} ({{ forecast!.n }}
    {{ forecast!.n === 1 ? 'time' : 'times' }}).
    <BButton variant="link" class="p-0 align-baseline" @click="emit('start', forecast!.lookAt)"
      >Look first after {{ forecast!.lookAt }} min</BButton
    >
  </p>
</template>

<style scoped>
.wait {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1rem;
  font-size: 1.25rem;
  margin: 1rem 0;
}
.start {
  min-height: 44px;
}
</style>
