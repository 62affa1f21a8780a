<script setup lang="ts">
import type { LayFrame, SideOutline } from '@mivet/core';
import { useResizeObserver } from '@vueuse/core';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { FilmScene } from './film-scene.ts';

/** A sheet of film on what it is laid on; drag it, or use the arrow keys, to look from another side. */
const props = defineProps<{
  flat: Float64Array;
  triangles: Uint32Array;
  outline: SideOutline;
  frame: LayFrame;
  /** rad; what comes to the front at first. */
  azimuth: number;
  colour: string;
  label: string;
}>();
const canvas = ref<HTMLCanvasElement | null>(null);
let scene: FilmScene | null = null;

function build(): void {
  scene?.setSheet(props.flat, props.triangles, props.outline, props.colour);
  scene?.setFrame(props.frame);
}
onMounted(() => {
  scene = new FilmScene(canvas.value!);
  const { width, height } = canvas.value!.getBoundingClientRect();
  scene.resize(width, height);
  build();
  scene.face(props.azimuth, 0);
});
useResizeObserver(canvas, ([entry]) => scene?.resize(entry!.contentRect.width, entry!.contentRect.height));
watch(
  () => [props.flat, props.colour],
  () => build(),
);
watch(
  () => props.frame,
  (frame) => {
    // A frame of another mesh comes with that mesh.
    if (frame.off.length === props.flat.length / 2) scene?.setFrame(frame);
  },
  { flush: 'post' },
);
onBeforeUnmount(() => scene?.dispose());

const RAD_PER_PX = 0.008;
function dragged(event: PointerEvent): void {
  if (event.buttons & 1) scene?.turnBy(event.movementX * RAD_PER_PX, event.movementY * RAD_PER_PX);
}
const KEYS: { readonly [key: string]: readonly [number, number] } = {
  ArrowLeft: [-0.1, 0],
  ArrowRight: [0.1, 0],
  ArrowUp: [0, 0.1],
  ArrowDown: [0, -0.1],
};
function key(event: KeyboardEvent): void {
  const by = KEYS[event.key];
  if (!by) return;
  event.preventDefault();
  scene?.turnBy(...by);
}
</script>

<template>
  <canvas
    ref="canvas"
    tabindex="0"
    role="img"
    :aria-label="label"
    @pointerdown="(event) => canvas?.setPointerCapture(event.pointerId)"
    @pointermove="dragged"
    @keydown="key"
  />
</template>

<style scoped>
canvas {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
  cursor: grab;
}
canvas:active {
  cursor: grabbing;
}
</style>
