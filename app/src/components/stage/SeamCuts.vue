<script setup lang="ts">
import type { AtSeam } from '@mivet/core';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** What becomes of each piece that the seam cuts. */
defineProps<{
  cuts: readonly {
    readonly itemId: string;
    readonly copy: number;
    readonly name: string;
    readonly size: string;
    readonly does: AtSeam['do'] | 'butt';
    /** What moves it off the seam, in words; null where there is no room for that. */
    readonly move: string | null;
  }[];
}>();
const emit = defineEmits<{
  choose: [itemId: string, copy: number, does: AtSeam['do'] | 'butt'];
  show: [itemId: string];
  move: [itemId: string];
}>();
const DOES: { value: AtSeam['do'] | 'butt'; label: string; title: string }[] = [
  { value: 'butt', label: 'Butt', title: 'Cut in two; its parts meet edge to edge' },
  { value: 'overlap', label: 'Lap 1 mm', title: 'Cut in two; its parts lap by a millimetre' },
  {
    value: 'leave-off',
    label: 'Lay by hand',
    title: 'Left off the wrap and cut whole beside it, to be laid over the seam',
  },
];
</script>

<template>
  <ul aria-label="Pieces that the seam cuts">
    <li v-for="c in cuts" :key="`${c.itemId}:${c.copy}`">
      <BButton variant="link" class="p-0 name" @click="emit('show', c.itemId)">{{ c.name }}</BButton>
      <span class="quiet small dims">{{ c.size }}</span>
      <BButton v-if="c.move" variant="outline-primary" size="sm" @click="emit('move', c.itemId)">
        {{ c.move }}
      </BButton>
      <ChoiceButtons
        :value="c.does"
        :options="DOES"
        :label="`What becomes of ${c.name}`"
        @choose="emit('choose', c.itemId, c.copy, $event)"
      />
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  min-height: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.1rem 0.6rem;
  padding-bottom: 0.45rem;
}
li > :last-child {
  justify-self: start;
  grid-column: 1 / -1;
}
.name {
  text-align: left;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
