<script setup lang="ts">
import { colourWord, type Film } from '@mivet/core';
import FilmSwatch from './FilmSwatch.vue';

/** A film as it is told from others: its swatch, name, colour in a word and finish, and what is left. */
defineProps<{
  film: Film;
  /** What is left of it. */
  left?: string;
}>();
</script>

<template>
  <span class="film">
    <FilmSwatch :colour="film.colour" />
    <span class="words"
      ><span class="name">{{ film.name }}</span
      ><span class="visually-hidden">, </span><span class="small quiet">{{ colourWord(film.colour) }}</span
      ><span class="visually-hidden">, </span><span class="small quiet">{{ film.finish }}</span
      ><template v-if="left"
        ><span class="visually-hidden">, </span><span class="small quiet">{{ left }}</span></template
      ></span
    >
  </span>
</template>

<style scoped>
.film {
  display: inline-flex;
  align-items: center;
  gap: 0.45rem;
  text-align: left;
  min-width: 0;
}
.words {
  display: flex;
  flex-direction: column;
  line-height: 1.2;
  min-width: 0;
}
.words > .small {
  font-size: 0.75rem;
}
</style>
