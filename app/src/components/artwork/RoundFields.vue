<script setup lang="ts">
import { formatLength, MOTIFS, type ArtworkItem, type RepeatRound } from '@mivet/core';
import { computed, useId } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import type { GoodPicture, ItemPicture } from '../../workers/protocol.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** How often the item comes round the blank. */
const props = defineProps<{
  item: ArtworkItem;
  placed: ItemPicture | null;
  picture: GoodPicture | null;
  unit: 'mm' | 'in';
}>();
const items = useItems();
const id = useId();
const modes = computed((): { value: RepeatRound['mode']; label: string }[] => [
  { value: 'once', label: 'Once' },
  { value: 'spaced', label: 'Spaced' },
  ...(props.item.type === 'motif' && MOTIFS[props.item.motif].joins
    ? [{ value: 'joined' as const, label: 'Joined' }]
    : []),
]);
const pitch = computed(() => {
  if (!props.placed || !props.picture) return null;
  const { cone } = props.picture.template;
  return (
    (cone.girthRim + ((cone.girthBase - cone.girthRim) * props.placed.slant) / cone.side) / props.item.repeat.count
  );
});

function setMode(mode: RepeatRound['mode']): void {
  const count = mode === 'once' ? 1 : Math.max(2, props.item.repeat.count);
  items.change('Change the repeat', (i) => ({ ...i, repeat: { mode, count } }));
}
function setCount(event: Event): void {
  const input = event.target as HTMLInputElement;
  const count = Math.round(Number(input.value));
  if (count >= 1 && count <= 200) items.change('Change the count', (i) => ({ ...i, repeat: { ...i.repeat, count } }));
  else input.value = String(props.item.repeat.count);
}
</script>

<template>
  <div class="row-line">
    <span>Comes round</span>
    <ChoiceButtons :value="item.repeat.mode" :options="modes" label="How often round the blank" @choose="setMode" />
  </div>
  <template v-if="item.repeat.mode !== 'once'">
    <div class="row-line">
      <label :for="`${id}-c`">How many</label>
      <input
        :id="`${id}-c`"
        type="number"
        min="1"
        max="200"
        class="form-control form-control-sm dims number-field"
        :value="item.repeat.count"
        @change="setCount"
      />
    </div>
    <div v-if="pitch" class="note-bar fine">
      <p class="fw-bold">Closes at the seam</p>
      <p>{{ item.repeat.count }} times {{ formatLength(pitch, unit) }}; the last meets the first.</p>
    </div>
  </template>
</template>
