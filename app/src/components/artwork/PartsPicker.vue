<script setup lang="ts">
import type { ArtworkItem, PartsViewModel } from '@mivet/core';
import { computed, shallowRef, watch } from 'vue';
import { askCore } from '../../workers/core-client.ts';

/** An item drawn by itself: a press on a part drops it, another brings it back. */
const props = defineProps<{ item: ArtworkItem }>();
const emit = defineEmits<{ change: [dropped: ArtworkItem['acts']['dropped']] }>();
const viewModel = shallowRef<PartsViewModel | null>(null);
watch(
  () => props.item,
  async (item) => {
    // When it cannot be drawn there is nothing to press; the words of the picture say why.
    const made = await askCore('parts', { item }).catch(() => null);
    if (props.item === item) viewModel.value = made;
  },
  { immediate: true },
);
const view = computed(() => {
  const b = viewModel.value?.box;
  if (!b) return '0 0 1 1';
  const pad = 0.04 * Math.max(b.maxX - b.minX, b.maxY - b.minY, 1);
  return `${b.minX - pad} ${-b.maxY - pad} ${b.maxX - b.minX + 2 * pad} ${b.maxY - b.minY + 2 * pad}`;
});
const left = computed(() => viewModel.value?.parts.filter((p) => p.dropped).length ?? 0);
function toggle(index: number): void {
  const part = viewModel.value!.parts[index]!;
  const others = viewModel.value!.parts.filter((p, i) => p.dropped && i !== index).map((p) => p.spot);
  emit('change', part.dropped ? others : [...others, part.spot]);
}
</script>

<template>
  <div v-if="viewModel">
    <svg :viewBox="view" role="group" aria-label="Parts of it; press one to drop it or bring it back">
      <path
        v-for="(part, i) in viewModel.parts"
        :key="i"
        :d="part.data"
        fill-rule="evenodd"
        :class="{ dropped: part.dropped }"
        role="button"
        tabindex="0"
        :aria-pressed="part.dropped"
        :aria-label="`Part ${i + 1} of ${viewModel.parts.length}${part.dropped ? ', dropped' : ''}`"
        @click="toggle(i)"
        @keydown.enter.prevent="toggle(i)"
        @keydown.space.prevent="toggle(i)"
      />
    </svg>
    <p class="quiet small mb-1">
      {{ viewModel.parts.length === 1 ? 'It is one part.' : `${viewModel.parts.length} parts. Press those to drop.` }}
      <template v-if="left > 0">{{ left }} dropped.</template>
      <BButton v-if="left > 0" variant="link" size="sm" class="p-0 ms-1" @click="emit('change', [])">
        Restore all
      </BButton>
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
