<script setup lang="ts">
import type { Film } from '@mivet/core';
import FilmLabel from './FilmLabel.vue';

/** The films side by side: one of them is what something is cut from, or any of them come along. */
const props = defineProps<{
  films: readonly Film[];
  label: string;
  /** Those that are chosen. */
  chosen: readonly string[];
  /** Whether any number may be. */
  several?: boolean;
}>();
const emit = defineEmits<{ choose: [filmId: string] }>();
const attributes = (id: string): Record<string, unknown> =>
  props.several
    ? { 'aria-pressed': props.chosen.includes(id) }
    : { role: 'radio', 'aria-checked': props.chosen.includes(id) };
</script>

<template>
  <div class="film-choice">
    <p class="quiet mb-1">{{ label }}<template v-if="!several && chosen.length > 1">: several</template></p>
    <div class="films" :role="several ? 'group' : 'radiogroup'" :aria-label="label">
      <BButton
        v-for="film in films"
        :key="film.id"
        variant="bare"
        class="one"
        :class="{ on: chosen.includes(film.id) }"
        v-bind="attributes(film.id)"
        @click="emit('choose', film.id)"
      >
        <FilmLabel :film="film" />
      </BButton>
    </div>
  </div>
</template>

<style scoped>
.film-choice {
  border-bottom: 1px solid var(--hairline);
  padding: 0.5rem 0 0.7rem;
}
.films {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.3rem;
  max-height: 32rem;
  overflow-y: auto;
}
.btn.one {
  display: flex;
  padding: 0.3rem 0.4rem;
  border: 1px solid transparent;
  border-radius: 3px;
}
.btn.one:hover {
  background: var(--paper-deep);
}
.btn.one.on {
  border-color: var(--teal);
  box-shadow: inset 0 0 0 1px var(--teal);
}
</style>
