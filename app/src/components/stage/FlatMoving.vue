<script setup lang="ts">
import type { Development, Film, PieceViewModel } from '@mivet/core';
import { useDevicePixelRatio } from '@vueuse/core';
import { onMounted, onUnmounted, ref, watch } from 'vue';
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { type FlatPlace, HeldPieces } from './flat-moving.ts';

/** What is held, over the flat, where the hand has it by now: nothing else of the flat is drawn anew while it moves. */
const props = defineProps<{
  pieces: readonly PieceViewModel[];
  films: readonly Film[];
  surface: Development;
  /** Since it was worked out: rad round, mm down. */
  by: { readonly azimuth: number; readonly slant: number };
  place: FlatPlace;
  /** px of the page. */
  size: { readonly width: number; readonly height: number };
  /** The flat’s own edge, where what goes right round ends. */
  within: string;
}>();
const colours = useFilmColours(() => props.films);
const canvas = ref<HTMLCanvasElement | null>(null);
const { pixelRatio } = useDevicePixelRatio();
let held: HeldPieces | null = null;

let due = 0;
function draw(): void {
  cancelAnimationFrame(due);
  due = 0;
  held?.draw(props.pieces, props.surface, props.by, props.place, pixelRatio.value, props.within);
}
onMounted(() => {
  held = new HeldPieces(canvas.value!, (film) => ({
    fill: colours.value.fill(film),
    halo: '#fffdf6',
    line: '#0c6764',
  }));
  draw();
});
// What was worked out anew looks as before for now: it is laid down with the next move, or picture of the screen.
watch(
  () => ({ ...props, sharp: pixelRatio.value, of: colours.value }),
  (now, before) => {
    if (now.pieces === before.pieces) draw();
    else due ||= requestAnimationFrame(draw);
  },
  { flush: 'post' },
);
onUnmounted(() => cancelAnimationFrame(due));
</script>

<template>
  <canvas ref="canvas" :width="Math.round(size.width * pixelRatio)" :height="Math.round(size.height * pixelRatio)" />
</template>

<style scoped>
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
</style>
