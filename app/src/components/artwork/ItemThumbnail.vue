<script setup lang="ts">
import { boxOfRings, ringsData, type Film, type PieceViewModel } from '@mivet/core';
import { computed } from 'vue';
import { useEdge, useFilmColours } from '../../composables/useFilmColours.ts';

/** What an item looks like, as it is cut; its film's colour until that is known. */
const props = defineProps<{ pieces: readonly PieceViewModel[]; film: Film | undefined; films: readonly Film[] }>();
const colours = useFilmColours(() => props.films);
const edge = useEdge('slip');
/** A list of small pictures stays quick: a scatter is shown by its first pieces. */
const MOST_PIECES = 24;
const drawn = computed(() => {
  const pieces = props.pieces.slice(0, MOST_PIECES);
  if (pieces.length === 0) return null;
  const box = boxOfRings(pieces.flatMap(({ rings }) => rings));
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY];
  const room = 0.06 * Math.max(w, h);
  return {
    view: `${box.minX - room} ${-box.maxY - room} ${w + 2 * room} ${h + 2 * room}`,
    shapes: pieces.map(({ id, film, rings }) => ({ id, film, data: ringsData(rings) })),
  };
});
</script>

<template>
  <svg v-if="drawn" class="thumbnail" :viewBox="drawn.view" aria-hidden="true">
    <path v-for="s in drawn.shapes" :key="s.id" :d="s.data" fill-rule="evenodd" v-bind="colours.of(s.film)" />
  </svg>
  <span
    v-else
    class="thumbnail chip"
    :style="{ background: film?.colour, outline: `1px solid ${(film && edge(film.colour)) ?? 'transparent'}` }"
  />
</template>

<style scoped>
.thumbnail {
  flex: none;
  width: 38px;
  height: 26px;
  padding: 2px;
  background: var(--sheet);
  border: 1px solid var(--hairline);
}
path {
  vector-effect: non-scaling-stroke;
}
.chip {
  border-color: color-mix(in srgb, var(--ink) 30%, transparent);
}
</style>
