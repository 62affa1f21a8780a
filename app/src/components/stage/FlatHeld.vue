<script setup lang="ts">
import type { Film, PieceViewModel } from '@mivet/core';
import { useFilmColours } from '../../composables/useFilmColours.ts';

/** A piece that is held: drawn once, however often it is moved. */
const props = defineProps<{ piece: PieceViewModel; films: readonly Film[] }>();
const colours = useFilmColours(() => props.films);
</script>

<template>
  <path :d="piece.data" class="halo" />
  <path :d="piece.data" v-bind="colours.of(piece.film)" fill-rule="evenodd" class="piece" />
</template>

<style scoped>
path {
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.piece {
  stroke: #0c6764;
  stroke-width: 2.8;
}
.halo {
  fill: none;
  stroke: #fffdf6;
  stroke-width: 7;
}
</style>
