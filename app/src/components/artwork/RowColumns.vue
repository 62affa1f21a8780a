<script setup lang="ts">
import { useRowColumns } from '../../composables/useRowColumns.ts';

/** What the things of a list differ in, besides their words: chosen here, filled in row by row. */
const { columns, further, labelOf, add, remove } = useRowColumns();
</script>

<template>
  <section aria-label="What differs">
    <h3 class="mt-4 mb-1">What differs</h3>
    <p v-if="columns.length === 0" class="quiet small mb-2">
      Each may have another motif or drawing in some place, or another film.
    </p>
    <ul v-else>
      <li v-for="column in columns" :key="`${column.itemId} ${column.what}`">
        {{ labelOf(column) }}
        <BButton
          variant="bare"
          class="remove"
          :aria-label="`All alike again: ${labelOf(column)}`"
          title="All alike again"
          @click="remove(column)"
        >
          <IBiX />
        </BButton>
      </li>
    </ul>
    <BDropdown v-if="further.length > 0" variant="outline-primary" size="sm" text="Let it differ in" no-flip>
      <BDropdownItem v-for="column in further" :key="`${column.itemId} ${column.what}`" @click="add(column)">
        {{ labelOf(column) }}
      </BDropdownItem>
    </BDropdown>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 0.5rem;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem;
}
.btn.btn-bare.remove {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.2rem;
  display: flex;
}
.remove:hover {
  color: var(--brick);
}
:deep(.dropdown-menu) {
  max-height: 18rem;
  overflow-y: auto;
}
</style>
