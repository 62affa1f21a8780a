<script setup lang="ts">
import type { Development, Film, PieceViewModel } from '@mivet/core';
import { computed } from 'vue';
import FlatHeld from './FlatHeld.vue';

/**
 * What is held, where the hand has it by now: each piece as it was worked out last, moved as a whole. Round a cone that is
 * how film moves; down it, until it is worked out anew a moment later.
 */
const props = defineProps<{
  pieces: readonly PieceViewModel[];
  films: readonly Film[];
  surface: Development;
  /** Since it was worked out: rad round, mm down. */
  by: { readonly azimuth: number; readonly slant: number };
}>();

const middle = ([a, b]: readonly [number, number]): number => (a + b) / 2;
/** Which way down the side points on the flat, rad. */
function heading(azimuth: number, slant: number): number {
  const [p, q] = [props.surface.forward(azimuth, slant), props.surface.forward(azimuth, slant + 1)];
  return Math.atan2(q.y - p.y, q.x - p.x);
}
const moves = computed(() =>
  props.pieces.map(({ azimuths, slants }) => {
    const [azimuth, slant] = [middle(azimuths), middle(slants)];
    const [to, down] = [azimuth + props.by.azimuth, slant + props.by.slant];
    const [p, q] = [props.surface.forward(azimuth, slant), props.surface.forward(to, down)];
    const turn = ((heading(to, down) - heading(azimuth, slant)) * 180) / Math.PI;
    return `translate(${q.x - p.x} ${p.y - q.y}) rotate(${-turn} ${p.x} ${-p.y})`;
  }),
);
</script>

<template>
  <!-- What goes right round ends where the flat ends. -->
  <g v-for="(piece, i) in pieces" :key="piece.id" :clip-path="piece.cutAt ? 'url(#on-band)' : undefined">
    <g :transform="moves[i]">
      <FlatHeld :piece="piece" :films="films" />
    </g>
  </g>
</template>
