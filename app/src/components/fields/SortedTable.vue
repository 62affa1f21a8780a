<script setup lang="ts" generic="Row extends object">
import type { BTableSortBy } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';

/** Rows that sort by the head that is pressed; cells are filled by the slots `cell(key)`. */
const props = defineProps<{
  rows: readonly Row[];
  fields: readonly {
    readonly key: string;
    readonly label: string;
    readonly sortable?: boolean;
    readonly tdClass?: string;
    readonly thAttr?: Record<string, string>;
  }[];
  /** What is said where there are none. */
  empty: string;
  /** Column that it is sorted by at first, and which way. */
  by: { readonly key: string; readonly order: 'asc' | 'desc' };
}>();
const slots = defineSlots<Record<`cell(${string})`, (cell: { item: Row }) => unknown>>();
const cells = Object.keys(slots) as `cell(${string})`[];
const sortBy = ref<BTableSortBy[]>([{ ...props.by }]);
/** Numbers by their value, words as one looks them up; what is not known (NaN) comes last. */
const sorted = computed<object[]>(() => {
  const { key, order } = sortBy.value[0] ?? props.by;
  const sign = order === 'desc' ? -1 : 1;
  const of = (row: Row): unknown => row[key as keyof Row];
  return [...props.rows].sort((a, b) => {
    const [x, y] = [of(a), of(b)];
    if (typeof x !== 'number' || typeof y !== 'number')
      return sign * String(x).localeCompare(String(y), undefined, { numeric: true });
    if (Number.isNaN(x) || Number.isNaN(y)) return Number(Number.isNaN(x)) - Number(Number.isNaN(y));
    return sign * (x - y);
  });
});
</script>

<template>
  <BTable
    v-model:sort-by="sortBy"
    class="sorted"
    small
    responsive
    must-sort
    show-empty
    no-local-sorting
    :items="sorted"
    :fields="[...fields]"
    :empty-text="empty"
    label-sort-asc="Sort"
    label-sort-desc="Sort the other way"
  >
    <template v-for="name in cells" #[name]="cell">
      <slot :name="name" :item="cell.item as Row" />
    </template>
  </BTable>
</template>

<style>
.sorted th {
  font-weight: 400;
  font-size: 0.85rem;
  color: var(--ink-2);
  white-space: nowrap;
  background: none;
}
.sorted td {
  border-top: 1px solid var(--hairline) !important;
  padding: 0.45rem 0.5rem 0.45rem 0;
}
.sorted th[aria-sort] {
  cursor: pointer;
}
.sorted th[aria-sort]::after {
  content: '↕';
  margin-left: 0.3rem;
  opacity: 0.5;
}
.sorted th[aria-sort='ascending']::after {
  content: '↑';
  opacity: 1;
}
.sorted th[aria-sort='descending']::after {
  content: '↓';
  opacity: 1;
}
</style>
