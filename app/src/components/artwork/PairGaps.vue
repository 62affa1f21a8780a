<script setup lang="ts">
import { formatLength, type TextItem, type Units } from '@mivet/core';
import { computed, ref } from 'vue';

/** The letters of a text in a row: each is moved along the line by dragging it, or by the arrow keys. */
const props = withDefaults(
  defineProps<{
    item: TextItem;
    unit: Units;
    /** How much its gaps have grown from what is noted. */
    growth?: number;
  }>(),
  { growth: 1 },
);
const emit = defineEmits<{ change: [gaps: TextItem['pairGaps']] }>();
/** mm that a letter moves for each pixel that it is dragged, and for each press of a key. */
const [PER_PX, PER_KEY] = [0.05, 0.1];
const letters = computed(() =>
  [...props.item.text].map((letter, index) => ({
    letter,
    index,
    mm: props.growth * props.item.pairGaps.reduce((sum, gap) => (gap.after === index - 1 ? sum + gap.mm : sum), 0),
    moves: index > 0 && !/\s/.test(letter),
  })),
);
const held = ref<number | null>(null);
let [from, start] = [0, 0];
const gapOf = (index: number): number => letters.value[index]?.mm ?? 0;
function set(index: number, mm: number): void {
  const others = props.item.pairGaps.filter((gap) => gap.after !== index - 1);
  const tidy = Math.round(Math.max(-50, Math.min(50, mm)) * 20) / 20;
  emit('change', tidy === 0 ? others : [...others, { after: index - 1, mm: tidy / props.growth }]);
}
function grab(event: PointerEvent, index: number): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  held.value = index;
  from = event.clientX;
  start = gapOf(index);
}
function drag(event: PointerEvent): void {
  if (held.value !== null) set(held.value, start + (event.clientX - from) * PER_PX);
}
function press(event: KeyboardEvent, index: number): void {
  const by = event.key === 'ArrowLeft' ? -PER_KEY : event.key === 'ArrowRight' ? PER_KEY : 0;
  if (by === 0) return;
  event.preventDefault();
  event.stopPropagation();
  set(index, gapOf(index) + by);
}
</script>

<template>
  <div class="letters" role="group" aria-label="Single letters; drag one along the line, or use the arrow keys">
    <template v-for="l in letters" :key="l.index">
      <br v-if="l.letter === '\n'" />
      <span v-else-if="!l.moves" class="fixed">{{ l.letter === ' ' ? '\u00a0' : l.letter }}</span>
      <BButton
        v-else
        variant="bare"
        :class="{ moved: l.mm !== 0 }"
        :style="{ marginLeft: `${Math.max(-8, Math.min(24, l.mm * 3))}px` }"
        :title="l.mm === 0 ? 'Font default' : `${l.mm > 0 ? '+' : ''}${formatLength(l.mm, unit)}`"
        :aria-label="`${l.letter}, ${formatLength(l.mm, unit)} from where the font has it`"
        @pointerdown="grab($event, l.index)"
        @pointermove="drag"
        @pointerup="held = null"
        @pointercancel="held = null"
        @keydown="press($event, l.index)"
        @dblclick="set(l.index, 0)"
      >
        {{ l.letter }}
      </BButton>
    </template>
  </div>
</template>

<style scoped>
.letters {
  font-size: 1.25rem;
  font-weight: 600;
  line-height: 1.5;
  overflow-x: auto;
  white-space: nowrap;
}
.btn.btn-bare {
  border: 0;
  border-bottom: 2px solid var(--hairline);
  background: none;
  color: var(--ink);
  padding: 0 1px;
  cursor: ew-resize;
  touch-action: none;
  font: inherit;
}
.btn.btn-bare:hover,
.btn.btn-bare:focus-visible {
  border-color: var(--teal);
}
.moved {
  border-color: var(--teal);
  color: var(--teal);
}
</style>
