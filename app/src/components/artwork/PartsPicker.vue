<script setup lang="ts">
import type { ArtworkItem, PartsViewModel } from '@mivet/core';
import { computed, nextTick, shallowRef, watch } from 'vue';
import { askCore } from '../../workers/core-client.ts';

/** An item drawn by itself: a press on a part drops it, another brings it back. */
const props = defineProps<{ item: ArtworkItem }>();
const emit = defineEmits<{ change: [dropped: ArtworkItem['acts']['dropped']] }>();
const viewModel = shallowRef<PartsViewModel | null>(null);
/** What was pressed since it was drawn, by number: the next press builds on it, however long the drawing takes. */
const pressed = shallowRef<ReadonlyMap<number, boolean>>(new Map());
watch(
  () => props.item,
  async (item, before) => {
    if (item.id !== before?.id) viewModel.value = null;
    // When it cannot be drawn there is nothing to press; the words of the picture say why.
    const made = await askCore('parts', { item }).catch(() => null);
    if (props.item !== item) return;
    viewModel.value = made;
    pressed.value = new Map();
  },
  { immediate: true },
);
const parts = computed(() =>
  (viewModel.value?.parts ?? []).map((part, i) => ({ ...part, dropped: pressed.value.get(i) ?? part.dropped })),
);
const view = computed(() => {
  const b = viewModel.value?.box;
  if (!b) return '0 0 1 1';
  const pad = 0.04 * Math.max(b.maxX - b.minX, b.maxY - b.minY, 1);
  return `${b.minX - pad} ${-b.maxY - pad} ${b.maxX - b.minX + 2 * pad} ${b.maxY - b.minY + 2 * pad}`;
});
const left = computed(() => parts.value.filter((p) => p.dropped).length);
async function put(numbers: readonly number[], dropped: boolean): Promise<void> {
  const { item } = props;
  const before = pressed.value;
  const now = (pressed.value = new Map([...before, ...numbers.map((i) => [i, dropped] as const)]));
  emit(
    'change',
    parts.value.filter((part) => part.dropped).map(({ spot }) => spot),
  );
  await nextTick();
  // It was refused.
  if (props.item === item && pressed.value === now) pressed.value = before;
}
const toggle = (index: number): Promise<void> => put([index], !parts.value[index]!.dropped);
const restoreAll = (): Promise<void> => put([...parts.value.keys()], false);
</script>

<template>
  <div v-if="viewModel">
    <svg :viewBox="view" role="group" aria-label="Parts of it; press one to drop it or bring it back">
      <path
        v-for="(part, i) in parts"
        :key="i"
        :d="part.data"
        fill-rule="evenodd"
        :class="{ dropped: part.dropped }"
        role="button"
        tabindex="0"
        :aria-pressed="part.dropped"
        :aria-label="`Part ${i + 1} of ${parts.length}${part.dropped ? ', dropped' : ''}`"
        @click="toggle(i)"
        @keydown.enter.prevent="toggle(i)"
        @keydown.space.prevent="toggle(i)"
      />
    </svg>
    <p class="quiet small mb-1">
      {{ parts.length === 1 ? 'It is one part.' : `${parts.length} parts. Press those to drop.` }}
      <template v-if="left > 0">{{ left }} dropped.</template>
      <BButton v-if="left > 0" variant="link" size="sm" class="p-0 ms-1" @click="restoreAll"> Restore all </BButton>
    </p>
  </div>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 170px;
  background: var(--sheet);
  border: 1px solid var(--hairline);
}
path {
  fill: var(--on-sheet);
  cursor: pointer;
  vector-effect: non-scaling-stroke;
}
path:hover,
path:focus-visible {
  fill: var(--teal);
  outline: none;
}
path.dropped {
  fill: transparent;
  stroke: var(--brick);
  stroke-dasharray: 3 2;
}
</style>
