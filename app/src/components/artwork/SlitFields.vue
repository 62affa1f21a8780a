<script setup lang="ts">
import type { ArtworkItem } from '@mivet/core';
import { useId } from 'vue';
import HeldInput from '../fields/HeldInput.vue';

/** Slits from the edge of film that has to follow a blank that curves both ways. */
const props = defineProps<{ item: ArtworkItem }>();
const emit = defineEmits<{ change: [label: string, part: Pick<ArtworkItem, 'slitIn'>] }>();
const id = useId();
/** Half-way in, the first of them at the top. */
const USUAL = { count: 0, deep: 0.5, fromDeg: 90 };
function set(event: Event, most: number, least: number, put: (v: number) => ArtworkItem['slitIn'], was: number): void {
  const input = event.target as HTMLInputElement;
  const v = Math.round(Number(input.value));
  if (input.value !== '' && v >= least && v <= most) emit('change', 'Change the slits', { slitIn: put(v) });
  else input.value = String(was);
}
const setCount = (event: Event): void =>
  set(event, 48, 0, (count) => (count === 0 ? undefined : { ...(props.item.slitIn ?? USUAL), count }), props.item.slitIn?.count ?? 0); // prettier-ignore
const setDepth = (event: Event): void =>
  set(event, 95, 5, (deep) => ({ ...props.item.slitIn!, deep: deep / 100 }), Math.round(100 * props.item.slitIn!.deep));
</script>

<template>
  <div class="row-line mt-2">
    <label :for="`${id}-c`">Slits from its edge</label>
    <HeldInput
      :id="`${id}-c`"
      size="sm"
      :value="item.slitIn?.count ?? 0"
      type="number"
      min="0"
      max="48"
      class="dims number-field"
      @change="setCount"
    />
  </div>
  <div v-if="item.slitIn" class="row-line">
    <label :for="`${id}-d`">Of the way to its middle, %</label>
    <HeldInput
      :id="`${id}-d`"
      size="sm"
      :value="Math.round(100 * item.slitIn.deep)"
      type="number"
      min="5"
      max="95"
      class="dims number-field"
      @change="setDepth"
    />
  </div>
</template>
