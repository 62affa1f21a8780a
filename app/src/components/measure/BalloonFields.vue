<script setup lang="ts">
import { balloonAtHandOver, formatLength, type BalloonPlan, type Units } from '@mivet/core';
import { computed, useId } from 'vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import HeldInput from '../fields/HeldInput.vue';

/** What becomes of a balloon until it is handed over. */
const props = defineProps<{ plan: BalloonPlan; girth: number | null; unit: Units }>();
const emit = defineEmits<{ change: [plan: BalloonPlan] }>();
const id = useId();
const GASES = [
  { value: 'air' as const, label: 'Air' },
  { value: 'helium' as const, label: 'Helium' },
];
const then = computed(() => balloonAtHandOver(props.girth ?? 0, props.plan));
function set(key: 'hours' | 'shrinkPerDay', event: Event, most: number): void {
  const input = event.target as HTMLInputElement;
  const value = Number(input.value.replace(',', '.'));
  if (input.value.trim() !== '' && value >= 0 && value <= most) emit('change', { ...props.plan, [key]: value });
  else input.value = String(props.plan[key]);
}
</script>

<template>
  <h3 class="mt-3 mb-2">Until the hand-over</h3>
  <ChoiceButtons
    :value="plan.gas"
    :options="GASES"
    label="What it is filled with"
    @choose="emit('change', { ...plan, gas: $event })"
  />
  <div class="row-line">
    <label :for="`${id}-h`">Handed over after, hours</label>
    <HeldInput
      :id="`${id}-h`"
      size="sm"
      :value="plan.hours"
      class="dims number-field"
      inputmode="decimal"
      @change="set('hours', $event, 10000)"
    />
  </div>
  <div class="row-line">
    <label :for="`${id}-s`">Girth lost in a day, %</label>
    <HeldInput
      :id="`${id}-s`"
      size="sm"
      :value="plan.shrinkPerDay"
      class="dims number-field"
      inputmode="decimal"
      @change="set('shrinkPerDay', $event, 100)"
    />
  </div>
  <div v-if="girth !== null" class="row-line">
    <span>Girth at hand-over</span><span class="dims">{{ formatLength(then.girth, unit) }}</span>
  </div>
  <div class="note-bar" :class="then.lateHours > 0 ? 'look' : 'fine'">
    <p class="fw-bold">{{ plan.gas === 'helium' ? 'Helium' : 'Air' }} keeps about {{ then.keepsHours }} hours</p>
    <p v-if="then.lateHours > 0">That is {{ then.lateHours }} hours too few. Fill and lay it later, or use air.</p>
    <p v-else>It lasts until the hand-over. Mark one balloon tonight and measure it tomorrow: yours may lose more.</p>
  </div>
  <p class="quiet caution">
    Some people are allergic to latex; burst pieces choke small children. Never breathe helium.
  </p>
</template>

<style scoped>
.caution {
  font-size: 0.9rem;
}
</style>
