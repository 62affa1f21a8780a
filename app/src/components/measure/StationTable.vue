<script setup lang="ts">
import {
  formatLength,
  formatTyped,
  newStation,
  parseLength,
  STATIONS,
  summariseReading,
  type Reading,
  type Station,
  type Units,
} from '@mivet/core';
import { nextTick, ref } from 'vue';
import type { Asked } from '@mivet/core';
import HeldInput from '../fields/HeldInput.vue';

/** Heights and girths of a profile, a line each; the curve follows as one types. */
const props = defineProps<{
  stations: readonly Station[];
  along: 'side' | 'upright';
  unit: Units;
  /** Line that something is wrong with, from 1. */
  wrong: number | null;
  asked: Asked | null;
}>();
const emit = defineEmits<{ change: [stations: readonly Station[], kind: string]; ask: [asked: Asked] }>();

type What = 'down' | 'girth';
/** What is being typed and cannot be taken yet. */
const draft = ref<{ id: string; what: What; text: string } | null>(null);
const table = ref<HTMLElement | null>(null);

function shown(station: Station, what: What): string {
  if (draft.value?.id === station.id && draft.value.what === what) return draft.value.text;
  const reading = station[what];
  if (reading.takes.length === 1) return formatTyped(reading.takes[0]!, props.unit);
  const summary = summariseReading(reading);
  return summary ? formatLength(summary.mean, props.unit) : '';
}
const isWrong = (station: Station, what: What): boolean => {
  if (draft.value?.id !== station.id || draft.value.what !== what) return false;
  const parsed = parseLength(draft.value.text, props.unit);
  return draft.value.text.trim() !== '' && !parsed.ok && !(what === 'down' && parsed.code === 'zero');
};

function typed(station: Station, what: What, text: string): void {
  draft.value = { id: station.id, what, text };
  const parsed = parseLength(text, props.unit);
  const zero = !parsed.ok && parsed.code === 'zero' && what === 'down';
  if (!parsed.ok && !zero && text.trim() !== '') return;
  const takes: Reading['takes'] = text.trim() === '' ? [] : [{ typed: text.trim(), mm: parsed.ok ? parsed.mm : 0 }];
  const how = station[what].how === 'photo' ? (what === 'down' ? 'ruler' : 'tape') : station[what].how;
  const next = { ...station, [what]: { ...station[what], how, takes } };
  emit(
    'change',
    props.stations.map((s) => (s.id === station.id ? next : s)),
    `station-${station.id}-${what}`,
  );
}
/** Once a height is said, the lines stand in the order in which they lie. */
function settle(): void {
  draft.value = null;
  const at = ({ down }: Station): number => summariseReading(down)?.mean ?? Infinity;
  const rest = props.stations.slice(1);
  const sorted = [...props.stations].sort((a, b) => at(a) - at(b));
  const first = props.stations[0];
  // The first height may be left empty: it is where the band begins.
  const order = first && first.down.takes.length === 0 ? [first, ...rest.sort((a, b) => at(a) - at(b))] : sorted;
  if (order.some((s, i) => s !== props.stations[i])) emit('change', order, '');
}
async function add(): Promise<void> {
  const station = newStation(crypto.randomUUID());
  emit('change', [...props.stations, station], '');
  await nextTick();
  table.value?.querySelector<HTMLInputElement>('tr:last-child input')?.focus();
}
const remove = (id: string): void =>
  emit(
    'change',
    props.stations.filter((s) => s.id !== id),
    '',
  );
/** Enter goes on to the next cell, and past the last one to a new line. */
function goOn(event: KeyboardEvent): void {
  const cells = [...(table.value?.querySelectorAll('input') ?? [])];
  const next = cells[cells.indexOf(event.target as HTMLInputElement) + 1];
  if (next) next.focus();
  else if (props.stations.length < STATIONS.most) void add();
}
const LABEL: Record<What, string> = { down: 'Height', girth: 'Girth' };
</script>

<template>
  <div ref="table">
    <BTableSimple>
      <BThead>
        <BTr>
          <BTh scope="col">{{ along === 'side' ? 'Down the side' : 'Straight down' }}</BTh>
          <BTh scope="col">Girth here</BTh>
          <BTh><span class="visually-hidden">Remove</span></BTh>
        </BTr>
      </BThead>
      <BTbody>
        <BTr v-for="(s, i) in stations" :key="s.id" :class="{ wrong: wrong === i + 1 }">
          <BTd v-for="what in ['down', 'girth'] as const" :key="what">
            <HeldInput
              size="sm"
              :value="shown(s, what)"
              class="dims"
              :class="{ 'is-invalid': isWrong(s, what) }"
              :placeholder="
                what === 'down' ? (i === 0 ? '0' : unit === 'mm' ? '40' : '1 1/2') : unit === 'mm' ? '264' : '10 3/8'
              "
              :aria-label="`${LABEL[what]} ${i + 1}`"
              maxlength="60"
              @input="typed(s, what, ($event.target as HTMLInputElement).value)"
              @focus="emit('ask', { station: i, what })"
              @blur="settle"
              @keydown.enter.prevent="goOn"
            />
          </BTd>
          <BTd>
            <BButton variant="bare" :aria-label="`Remove height ${i + 1}`" @click="remove(s.id)"><IBiX /></BButton>
          </BTd>
        </BTr>
      </BTbody>
    </BTableSimple>
    <BButton v-if="stations.length < STATIONS.most" variant="outline-primary" size="sm" class="mt-2" @click="add">
      Add a height
    </BButton>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  font-size: 0.85rem;
  color: var(--ink-2);
  padding: 0.2rem 0;
}
td {
  padding: 0.12rem 0.4rem 0.12rem 0;
}
td:last-child {
  width: 1.6rem;
  padding: 0;
}
.wrong input {
  border-color: var(--brick);
}
td button {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.2rem;
  display: flex;
}
</style>
