<script setup lang="ts">
import { colourWord, leftOf, runsLow, type StockFilm, type Units } from '@mivet/core';
import { computed } from 'vue';
import FilmSwatch from '../films/FilmSwatch.vue';
import SortedTable from '../fields/SortedTable.vue';
import { ageWords, filmSizeWords, leftWords } from './stock-words.ts';

/** The films of the shelf, a line each, for long lists: sorted by what one looks for. */
const props = defineProps<{ films: readonly StockFilm[]; unit: Units; today: string; empty: string }>();
const emit = defineEmits<{ change: [film: StockFilm] }>();
const FIELDS = [
  { key: 'name', label: 'Film', sortable: true },
  { key: 'colour', label: 'Colour', sortable: true },
  { key: 'finish', label: 'Finish', sortable: true },
  { key: 'size', label: 'Size', sortable: true },
  { key: 'left', label: 'Left', sortable: true },
  { key: 'bought', label: 'Age', sortable: true },
  { key: 'price', label: 'Price', sortable: true, tdClass: 'dims' },
  { key: 'change', label: '', thAttr: { 'aria-label': 'Change' } },
];
const rows = computed(() =>
  props.films.map((thing) => ({
    thing,
    name: thing.film.name,
    colour: colourWord(thing.film.colour),
    finish: thing.film.finish,
    size: thing.widthMm * thing.lengthMm,
    // A roll by its area, sheets by theirs: what is nearly gone comes first.
    left: thing.form === 'roll' ? leftOf(thing) * thing.widthMm : thing.count * thing.widthMm * thing.lengthMm,
    // Age grows as the day goes back.
    bought: -Date.parse(thing.boughtOn ?? ''),
    price: thing.price ?? NaN,
  })),
);
</script>

<template>
  <SortedTable :rows="rows" :fields="FIELDS" :empty="empty" :by="{ key: 'name', order: 'asc' }">
    <template #cell(name)="{ item }">
      <span class="d-flex align-items-center gap-2"
        ><FilmSwatch :colour="item.thing.film.colour" /><strong>{{ item.name }}</strong></span
      >
    </template>
    <template #cell(size)="{ item }">{{ filmSizeWords(item.thing, unit) }}</template>
    <template #cell(left)="{ item }">
      <span class="dims" :class="{ low: runsLow(item.thing) || item.thing.count === 0 }">{{
        leftWords(item.thing, unit)
      }}</span>
    </template>
    <template #cell(bought)="{ item }">{{ ageWords(item.thing, today) }}</template>
    <template #cell(price)="{ item }">{{ item.thing.price === null ? '' : item.thing.price.toFixed(2) }}</template>
    <template #cell(change)="{ item }">
      <BButton variant="link" size="sm" :aria-label="`Change ${item.name}`" @click="emit('change', item.thing)">
        Change
      </BButton>
    </template>
  </SortedTable>
</template>

<style scoped>
.low {
  color: var(--ochre);
}
</style>
