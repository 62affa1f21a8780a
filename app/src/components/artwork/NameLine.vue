<script setup lang="ts">
import type { Blank, Hand, NameViewModel, NameRow, Units } from '@mivet/core';
import { formatLength, parseLength } from '@mivet/core';
import { computed } from 'vue';
import HeldInput from '../fields/HeldInput.vue';
import { fitWords } from './name-words.ts';
import RowSwaps from './RowSwaps.vue';

/** One name of the list: how often, for which hand, and how it was fitted. */
const props = defineProps<{
  row: NameRow;
  fitted: NameViewModel | null;
  handled: boolean;
  hand: Hand;
  unit: Units;
  /** Blanks that it may be made on, the job's own first; empty where there is no choice. */
  blanks: readonly Pick<Blank, 'id' | 'name'>[];
}>();
const emit = defineEmits<{ change: [part: Partial<NameRow>]; blank: [id: string]; remove: [] }>();
const grade = computed(() => {
  const f = props.fitted;
  if (!f) return '';
  if (!f.made) return 'fails';
  return f.overMm > 0 || f.missing.length > 0 ? 'fails' : f.how === 'closed up' ? 'look' : '';
});
const says = computed(() => (props.fitted ? fitWords(props.fitted, props.unit) : ''));
const cap = computed(() => (props.fitted ? formatLength(props.fitted.capMm, props.unit) : ''));
function setName(event: Event): void {
  const input = event.target as HTMLInputElement;
  const name = input.value.trim();
  if (name) emit('change', { name });
  else input.value = props.row.name;
}
function setCount(event: Event): void {
  const input = event.target as HTMLInputElement;
  const count = Math.round(Number(input.value));
  if (count >= 1 && count <= 999) emit('change', { count });
  else input.value = String(props.row.count);
}
/** Emptied, it is fitted again. */
function setCap(event: Event): void {
  const input = event.target as HTMLInputElement;
  if (input.value.trim() === '') return emit('change', { capMm: null });
  const parsed = parseLength(input.value, props.unit);
  if (parsed.ok && parsed.mm >= 1 && parsed.mm <= 400) emit('change', { capMm: parsed.mm });
  else input.value = cap.value;
}
</script>

<template>
  <li :class="grade">
    <HeldInput :value="row.name" class="name" maxlength="80" :aria-label="`Name ${row.name}`" @change="setName" />
    <HeldInput
      :value="row.count"
      class="dims count"
      type="number"
      min="1"
      max="999"
      :aria-label="`How many for ${row.name}`"
      @change="setCount"
    />
    <BFormSelect
      v-if="handled"
      :model-value="row.hand ?? hand"
      :aria-label="`Hand of ${row.name}`"
      @update:model-value="emit('change', { hand: $event as Hand })"
    >
      <BFormSelectOption value="right">right</BFormSelectOption>
      <BFormSelectOption value="left">left</BFormSelectOption>
    </BFormSelect>
    <HeldInput
      v-if="fitted?.worded ?? true"
      :value="cap"
      class="dims cap"
      :aria-label="`Capitals of ${row.name}`"
      @change="setCap"
    />
    <BButton variant="bare" :aria-label="`Delete ${row.name}`" title="Delete" @click="emit('remove')">
      <IBiX />
    </BButton>
    <label v-if="blanks.length > 1" class="on small">
      on
      <BFormSelect
        :model-value="row.blankId ?? blanks[0]!.id"
        :aria-label="`Blank of ${row.name}`"
        @update:model-value="emit('blank', String($event))"
      >
        <BFormSelectOption v-for="b in blanks" :key="b.id" :value="b.id">{{ b.name }}</BFormSelectOption>
      </BFormSelect>
    </label>
    <RowSwaps :row="row" />
    <span v-if="says" class="says small">{{ says }}</span>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.25rem;
  border-bottom: 1px solid var(--hairline);
  padding: 0.3rem 0;
}
input,
select {
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  padding: 0.15rem 0.25rem;
  border-radius: 2px;
}
select {
  flex: none;
  width: auto;
  appearance: auto;
}
input:hover,
select:hover {
  border-color: var(--hairline);
}
.name {
  flex: 1;
  min-width: 4rem;
  font-weight: 600;
}
.count {
  width: 2.6rem;
}
.cap {
  width: 4.4rem;
  text-align: right;
}
.btn.btn-bare {
  border: 0;
  background: none;
  color: var(--ink-2);
  display: flex;
  padding: 0.2rem;
}
.btn.btn-bare:hover {
  color: var(--brick);
}
.says {
  flex-basis: 100%;
  padding-left: 0.3rem;
  color: var(--ink-2);
}
.on {
  flex-basis: 100%;
  padding-left: 0.3rem;
  color: var(--ink-2);
}
.on select {
  max-width: 85%;
}
.fails .says {
  color: var(--brick);
}
.look .says {
  color: var(--ochre);
}
</style>
