<script setup lang="ts">
import { allTogether, keepTogether } from '@mivet/core';
import { computed } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import { useFilms } from '../../stores/films.ts';
import { useProject } from '../../stores/project.ts';
import { useView } from '../../stores/view.ts';
import TogetherFields from './TogetherFields.vue';
import FilmChoice from '../films/FilmChoice.vue';

/** Several things at once: how large they are together, and what is done with all of them. */
const project = useProject();
const offered = useFilms();
const view = useView();
const items = useItems();

const selected = computed(() => allTogether(project.doc!.items, view.selection));
const films = computed(() => [...new Set(selected.value.map((item) => item.film))]);
const grouped = computed(() => {
  const groups = new Set(selected.value.map((item) => item.keepTogether));
  return groups.size === 1 && !groups.has(null);
});
function setFilm(id: string): void {
  const ids = new Set(selected.value.map((item) => item.id));
  project.edit('Change the film', (p) => ({
    ...p,
    items: p.items.map((item) => (ids.has(item.id) ? { ...item, film: id } : item)),
  }));
}
function group(): void {
  const [first, ...rest] = selected.value;
  if (!first) return;
  project.edit('Keep together', (p) => ({
    ...p,
    items: rest.reduce((now, item) => keepTogether(now, first.id, item.id), p.items),
  }));
}
</script>

<template>
  <div>
    <div class="d-flex align-items-start justify-content-between gap-2">
      <h2>{{ selected.length }} selected</h2>
      <BButton variant="link" @click="view.select(null)">Done</BButton>
    </div>
    <p class="quiet">Drag one and all move; arrow keys too.</p>
    <TogetherFields :items="selected" />
    <FilmChoice :films="offered.offered" label="Film" :chosen="films" @choose="setFilm" />
    <div class="d-flex flex-wrap gap-2 mt-3">
      <BButton variant="outline-primary" :disabled="grouped" @click="group">
        {{ grouped ? 'Kept together' : 'Keep together' }}
      </BButton>
      <BButton variant="outline-primary" @click="items.removeSelected()">Delete</BButton>
    </div>
  </div>
</template>
