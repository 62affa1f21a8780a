<script setup lang="ts">
import type { Blank, Hand, NameRow, NameViewModel, Units } from '@mivet/core';
import { formatLength, formatSize } from '@mivet/core';
import { computed } from 'vue';
import SortedTable from '../fields/SortedTable.vue';
import { fitWords } from './name-words.ts';

/** The names of a job, a line each: sorted by capital height or width, those that are small or do not fit come together. */
const props = defineProps<{
  names: readonly NameViewModel[];
  rows: readonly NameRow[];
  hand: Hand;
  blankOf: (rowId: string) => Blank;
  unit: Units;
}>();
const FIELDS = [
  { key: 'name', label: 'Name', sortable: true },
  { key: 'count', label: 'How many', sortable: true, tdClass: 'dims' },
  { key: 'hand', label: 'Hand', sortable: true },
  { key: 'blank', label: 'Blank', sortable: true },
  { key: 'cap', label: 'Capitals', sortable: true, tdClass: 'dims' },
  { key: 'width', label: 'Size', sortable: true, tdClass: 'dims' },
  { key: 'fit', label: 'Fit', sortable: true },
];
const table = computed(() =>
  props.names.map((name) => {
    const row = props.rows.find(({ id }) => id === name.rowId);
    return {
      given: name,
      name: name.name,
      count: row?.count ?? 1,
      hand: row?.hand ?? props.hand,
      blank: props.blankOf(name.rowId).name,
      cap: name.capMm,
      width: name.cutMm?.width ?? 0,
      fit: fitWords(name, props.unit),
    };
  }),
);
</script>

<template>
  <SortedTable :rows="table" :fields="FIELDS" empty="No names yet." :by="{ key: 'name', order: 'asc' }">
    <template #cell(name)="{ item }"
      ><strong>{{ item.name }}</strong></template
    >
    <template #cell(cap)="{ item }">{{ item.given.worded ? formatLength(item.cap, unit) : '' }}</template>
    <template #cell(width)="{ item }">{{
      item.given.cutMm ? formatSize(item.given.cutMm.width, item.given.cutMm.height, unit) : ''
    }}</template>
  </SortedTable>
</template>
