<script setup lang="ts">
import type { ArtworkItem, Film, ItemViewModel, RepeatRound, ShapeViewModel, Units } from '@mivet/core';
import { formatLength, MOTIFS, NEW_SCATTER, radiusOnSide } from '@mivet/core';
import { computed, useId } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import CheckBox from '../fields/CheckBox.vue';
import LengthField from '../fields/LengthField.vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import ScatterFields from './ScatterFields.vue';
import HeldInput from '../fields/HeldInput.vue';

/** How often the item comes round the blank. */
const props = defineProps<{
  item: ArtworkItem;
  placed: ItemViewModel | null;
  viewModel: ShapeViewModel | null;
  unit: Units;
  films: readonly Film[];
}>();
const items = useItems();
const id = useId();
const round = computed(() => props.viewModel?.template.closed ?? true);
const scattered = computed(() => props.item.repeat.mode === 'scattered');
const modes = computed((): { value: RepeatRound['mode']; label: string; title?: string }[] => [
  { value: 'once', label: 'Once' },
  ...(round.value ? [{ value: 'spaced' as const, label: 'Spaced' }] : []),
  { value: 'scattered' as const, label: 'Scattered' },
  ...(props.item.type === 'art' || (props.item.type === 'motif' && MOTIFS[props.item.motif].joins)
    ? [
        {
          value: 'joined' as const,
          label: 'Joined',
          title: 'Side by side all round, each as wide as its share: the last meets the first',
        },
      ]
    : []),
]);
const pitch = computed(() => {
  if (!props.placed || !props.viewModel) return null;
  return (2 * Math.PI * radiusOnSide(props.viewModel, props.placed.slant)) / props.item.repeat.count;
});

function setMode(mode: RepeatRound['mode']): void {
  const least = mode === 'scattered' ? 20 : mode === 'joined' && props.item.type === 'art' ? 1 : 2;
  const count = mode === 'once' ? 1 : Math.max(least, props.item.repeat.count);
  const scatter = props.item.repeat.scatter ?? NEW_SCATTER;
  items.change('Change the repeat', (i) => ({
    ...i,
    repeat: mode === 'scattered' ? { mode, count, scatter } : { ...i.repeat, mode, count },
  }));
}
/** As many as come nearest to the pitch; it then closes exactly. */
function setPitch(mm: number): void {
  if (!pitch.value || mm <= 0) return;
  const count = Math.min(200, Math.max(1, Math.round((pitch.value * props.item.repeat.count) / mm)));
  items.change('Change the pitch', (i) => ({ ...i, repeat: { ...i.repeat, count } }));
}
function setAlternate(alternate: boolean): void {
  items.change('Mirror every other one', (i) => ({ ...i, repeat: { ...i.repeat, alternate } }));
}
function setCount(event: Event): void {
  const input = event.target as HTMLInputElement;
  const count = Math.round(Number(input.value));
  if (count >= 1 && count <= 200) items.change('Change the count', (i) => ({ ...i, repeat: { ...i.repeat, count } }));
  else input.value = String(props.item.repeat.count);
}
</script>

<template>
  <div class="row-line modes">
    <span>Repeat</span>
    <ChoiceButtons :value="item.repeat.mode" :options="modes" label="How often round the blank" @choose="setMode" />
  </div>
  <CheckBox
    v-if="item.repeat.mode === 'once' && item.placement.facing === 'faces'"
    class="mt-2"
    :checked="item.repeat.alternate ?? false"
    @change="setAlternate"
    >Mirror the one for the room</CheckBox
  >
  <ScatterFields v-if="scattered" :item="item" :placed="placed" :unit="unit" :films="films" :round="round" />
  <template v-else-if="item.repeat.mode !== 'once'">
    <div class="row-line">
      <label :for="`${id}-c`">How many</label>
      <HeldInput
        :id="`${id}-c`"
        size="sm"
        :value="item.repeat.count"
        type="number"
        min="1"
        max="200"
        class="dims number-field"
        @change="setCount"
      />
    </div>
    <LengthField v-if="pitch" label="Spacing" :mm="pitch" :unit="unit" :least="1" :most="2000" @change="setPitch" />
    <CheckBox
      v-if="item.repeat.mode === 'spaced'"
      class="mt-2"
      :checked="item.repeat.alternate ?? false"
      @change="setAlternate"
      >Mirror every other one
      <span v-if="item.repeat.alternate && item.repeat.count % 2" class="quiet"
        >; an odd count puts two alike side by side</span
      ></CheckBox
    >
    <BButton
      v-if="item.repeat.mode === 'joined' && item.placement.from !== 'middle'"
      variant="outline-primary"
      size="sm"
      class="mt-2"
      @click="items.otherEnd()"
    >
      The same along the {{ item.placement.from === 'rim' ? 'base' : 'rim' }}
    </BButton>
    <div v-if="pitch" class="note-bar fine">
      <p class="fw-bold">Closes at the seam</p>
      <p>{{ item.repeat.count }} times {{ formatLength(pitch, unit) }}; the last meets the first.</p>
    </div>
  </template>
</template>

<style scoped>
.modes {
  flex-wrap: wrap;
  row-gap: 0.35rem;
}
</style>
