<script setup lang="ts">
import type { NameRow, RowColumn } from '@mivet/core';
import { itemTitle } from '../../composables/item-title.ts';
import { useRowColumns } from '../../composables/useRowColumns.ts';
import { useFilms } from '../../stores/films.ts';
import FilmSelect from '../films/FilmSelect.vue';
import RowPictures from './RowPictures.vue';

/** What one thing of the list has otherwise than the job: a choice for each column that is asked. */
const props = defineProps<{ row: NameRow }>();
const films = useFilms();
const columns = useRowColumns();
const swapOf = (column: RowColumn) => props.row.swaps?.find(({ itemId }) => itemId === column.itemId);
const asDrawn = (column: RowColumn): string => {
  const item = columns.itemOf(column)!;
  if (column.what === 'picture') return itemTitle(item);
  return films.offered.find(({ id }) => id === item.film)?.name ?? 'As drawn';
};
</script>

<template>
  <div v-if="columns.columns.value.length > 0" class="swaps">
    <span v-for="column in columns.columns.value" :key="`${column.itemId} ${column.what}`">
      <FilmSelect
        v-if="column.what === 'film'"
        :films="films.offered"
        :value="swapOf(column)?.film ?? null"
        :label="`${columns.labelOf(column)}, for ${row.name}`"
        :none="`${asDrawn(column)}, as drawn`"
        small
        @choose="columns.swap(row.id, column.itemId, { film: $event })"
      />
      <RowPictures
        v-else
        :value="swapOf(column)?.picture ?? null"
        :label="`${columns.labelOf(column)}, for ${row.name}`"
        :as-is="asDrawn(column)"
        :own="columns.drawings.value"
        @choose="columns.swap(row.id, column.itemId, { picture: $event })"
      />
    </span>
  </div>
</template>

<style scoped>
.swaps {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  padding: 0 0 0.2rem 0.3rem;
}
</style>
