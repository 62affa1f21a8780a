<script setup lang="ts">
import { formatLength, type SetLetter, type TextItem, type Units } from '@mivet/core';
import { computed, ref } from 'vue';
import { isMoved, leaveField } from '../../composables/hand.ts';
import LengthField from '../fields/LengthField.vue';
import NumberRow from '../fields/NumberRow.vue';

/** The letters of a text in a row: each is moved along the line by dragging it, or by the arrow keys. */
const props = withDefaults(
  defineProps<{
    item: TextItem;
    unit: Units;
    /** How much its gaps have grown from what is noted. */
    growth?: number;
    /** mm. Height of its capitals. */
    cap?: number;
  }>(),
  { growth: 1, cap: 10 },
);
const emit = defineEmits<{ change: [gaps: TextItem['pairGaps']]; letters: [letters: readonly SetLetter[]] }>();
/** mm that a letter moves for each pixel that it is dragged, and for each press of a key. */
const [PER_PX, PER_KEY] = [0.05, 0.1];
const letters = computed(() =>
  [...props.item.text].map((letter, index) => ({
    letter,
    index,
    mm: props.growth * props.item.pairGaps.reduce((sum, gap) => (gap.after === index - 1 ? sum + gap.mm : sum), 0),
    moves: !/\s/.test(letter),
    set: props.item.letters?.find(({ at }) => at === index) ?? null,
  })),
);
/** The letter that is set by itself: the one that was pressed last. */
const chosen = ref<number | null>(null);
const own = computed(() => (chosen.value === null ? null : (letters.value[chosen.value] ?? null)));
const asSet = computed(() => own.value?.set ?? { turnDeg: 0, raise: 0, size: 1 });
function setLetter(change: Partial<SetLetter>): void {
  const at = chosen.value!;
  const letter: SetLetter = { at, ...asSet.value, ...change };
  const others = (props.item.letters ?? []).filter((one) => one.at !== at);
  const plain = letter.turnDeg === 0 && letter.raise === 0 && letter.size === 1;
  emit('letters', plain ? others : [...others, letter]);
}
/** A letter that is held, where it was pressed, and mm of its gap then. */
let held: { readonly index: number; readonly at: PointerEvent; readonly mm: number; moved: boolean } | null = null;
const gapOf = (index: number): number => letters.value[index]?.mm ?? 0;
function set(index: number, mm: number): void {
  const others = props.item.pairGaps.filter((gap) => gap.after !== index - 1);
  const tidy = Math.round(Math.max(-50, Math.min(50, mm)) * 20) / 20;
  emit('change', tidy === 0 ? others : [...others, { after: index - 1, mm: tidy / props.growth }]);
}
function grab(event: PointerEvent, index: number): void {
  leaveField();
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  chosen.value = index;
  if (index === 0) return;
  held = { index, at: event, mm: gapOf(index), moved: false };
}
function drag(event: PointerEvent): void {
  if (!held) return;
  const right = event.clientX - held.at.clientX;
  held.moved ||= isMoved(right, event.clientY - held.at.clientY);
  if (held.moved) set(held.index, held.mm + right * PER_PX);
}
const letGo = (): void => void (held = null);
function press(event: KeyboardEvent, index: number): void {
  const by = event.key === 'ArrowLeft' ? -PER_KEY : event.key === 'ArrowRight' ? PER_KEY : 0;
  if (by === 0 || index === 0) return;
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
        :class="{ moved: l.mm !== 0 || l.set !== null, chosen: l.index === chosen }"
        :style="{ marginLeft: `${Math.max(-8, Math.min(24, l.mm * 3))}px` }"
        :title="l.mm === 0 ? 'Font default' : `${l.mm > 0 ? '+' : ''}${formatLength(l.mm, unit)}`"
        :aria-label="`${l.letter}, ${formatLength(l.mm, unit)} from where the font has it`"
        @pointerdown="grab($event, l.index)"
        @pointermove="drag"
        @pointerup="letGo"
        @pointercancel="letGo"
        @focus="chosen = l.index"
        @keydown="press($event, l.index)"
        @dblclick="set(l.index, 0)"
      >
        {{ l.letter }}
      </BButton>
    </template>
  </div>
  <template v-if="own?.moves">
    <p class="quiet small mb-0">“{{ own.letter }}” by itself</p>
    <NumberRow
      label="Turned, °"
      :value="asSet.turnDeg"
      :least="-360"
      :most="360"
      @change="setLetter({ turnDeg: $event })"
    />
    <LengthField
      label="Raised"
      :mm="asSet.raise * cap"
      :unit="unit"
      :least="-400"
      :most="400"
      hint="Negative values lower it"
      @change="setLetter({ raise: $event / cap })"
    />
    <NumberRow
      label="Size, %"
      :value="Math.round(asSet.size * 1000) / 10"
      :least="10"
      :most="500"
      @change="setLetter({ size: $event / 100 })"
    />
  </template>
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
.btn.btn-bare.chosen {
  background: color-mix(in srgb, var(--teal) 14%, transparent);
}
.moved {
  border-color: var(--teal);
  color: var(--teal);
}
</style>
