<script setup lang="ts">
import type { Film } from '@mivet/core';
import { computed } from 'vue';
import FilmLabel from './FilmLabel.vue';
import FilmSwatch from './FilmSwatch.vue';

/** One of the films, from a menu that shows what each looks like. */
const props = defineProps<{
  films: readonly Film[];
  value: string | null;
  label: string;
  /** What choosing none is called; without it one must be chosen. */
  none?: string;
  /** In a line of other things: no higher than they are. */
  small?: boolean;
}>();
const emit = defineEmits<{ choose: [filmId: string | null] }>();
const chosen = computed(() => props.films.find((film) => film.id === props.value));
</script>

<template>
  <BDropdown variant="bare" :toggle-class="['film-select', { small }]" :toggle-attrs="{ 'aria-label': label }" no-flip>
    <template #button-content>
      <template v-if="chosen && small"><FilmSwatch :colour="chosen.colour" />{{ chosen.name }}</template>
      <FilmLabel v-else-if="chosen" :film="chosen" />
      <span v-else class="quiet">{{ none }}</span>
    </template>
    <BDropdownItem v-if="none" :active="value === null" @click="emit('choose', null)">{{ none }}</BDropdownItem>
    <BDropdownItem v-for="film in films" :key="film.id" :active="film.id === value" @click="emit('choose', film.id)">
      <FilmLabel :film="film" />
    </BDropdownItem>
  </BDropdown>
</template>

<style scoped>
:deep(.film-select) {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 2.6rem;
  padding: 0.25rem 0.6rem;
  border: 1px solid color-mix(in srgb, var(--ink-2) 55%, var(--slip));
  border-radius: 3px;
  background: var(--slip);
}
:deep(.film-select.small) {
  min-height: 0;
  gap: 0.35rem;
  padding: 0.1rem 0.4rem;
  border-color: var(--hairline);
  color: var(--ink);
  font-size: 0.9rem;
}
:deep(.dropdown-menu) {
  max-height: 20rem;
  overflow-y: auto;
}
</style>
