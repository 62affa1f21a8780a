<script setup lang="ts">
import { boxOfCoordinates, type LayFrame, type Stroke } from '@mivet/core';
import { useResizeObserver } from '@vueuse/core';
import { onMounted, ref, watch } from 'vue';
import { colourOf, HANGING, rimOf, TALLER } from './film-colours.ts';

/** A sheet of film on the flat: what is pressed on is in colour, tents stand out in relief, the rest is pale. */
const props = defineProps<{
  flat: Float64Array;
  triangles: Uint32Array;
  frame: LayFrame;
  label: string;
  /** A thumb over it, mm. */
  thumb?: { readonly x: number; readonly y: number; readonly radius: number } | null;
  /** Strokes over it, numbered in their order. */
  strokes?: readonly Stroke[];
}>();
const emit = defineEmits<{ point: [at: readonly [number, number], event: PointerEvent] }>();
const canvas = ref<HTMLCanvasElement | null>(null);
let toFlat: (x: number, y: number) => readonly [number, number] = (x, y) => [x, y];

/** Where light comes from in relief: from above on the left, mostly towards the sheet. */
const LIGHT = [-0.45, 0.55, 0.7] as const;
const MARGIN = 10;

function draw(): void {
  const to = canvas.value;
  if (!to || props.frame.off.length !== props.flat.length / 2) return;
  const ratio = Math.min(2, window.devicePixelRatio);
  const { width, height } = to.getBoundingClientRect();
  [to.width, to.height] = [Math.max(1, width * ratio), Math.max(1, height * ratio)];
  const pen = to.getContext('2d')!;
  const { flat, triangles, frame } = props;
  const { minX, maxX, minY, maxY } = boxOfCoordinates(flat);
  const scale = Math.min((width - 2 * MARGIN) / (maxX - minX), (height - 2 * MARGIN) / (maxY - minY));
  const [left, top] = [(width - scale * (maxX - minX)) / 2, (height - scale * (maxY - minY)) / 2];
  const px = (x: number): number => ratio * (left + scale * (x - minX));
  const py = (y: number): number => ratio * (top + scale * (maxY - y));
  toFlat = (x, y) => [minX + (x - left) / scale, maxY - (y - top) / scale];
  pen.lineWidth = 0.7 * ratio;
  for (let t = 0; t < frame.strain.length; t++) {
    const [a, b, c] = [triangles[3 * t]!, triangles[3 * t + 1]!, triangles[3 * t + 2]!];
    const pressed = frame.pressed[a] && frame.pressed[b] && frame.pressed[c];
    const [ux, uy, uz] = [flat[2 * b]! - flat[2 * a]!, flat[2 * b + 1]! - flat[2 * a + 1]!, TALLER * (frame.off[b]! - frame.off[a]!)]; // prettier-ignore
    const [vx, vy, vz] = [flat[2 * c]! - flat[2 * a]!, flat[2 * c + 1]! - flat[2 * a + 1]!, TALLER * (frame.off[c]! - frame.off[a]!)]; // prettier-ignore
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const lit = (nx * LIGHT[0] + ny * LIGHT[1] + nz * LIGHT[2]) / (Math.hypot(nx, ny, nz) * Math.hypot(...LIGHT) || 1);
    const light = 0.45 + 0.75 * Math.max(0, lit);
    const [red, green, blue] = colourOf(frame.strain[t]!);
    const shade = (v: number): number => Math.max(0, Math.min(255, Math.round(v * light)));
    pen.fillStyle = pen.strokeStyle = pressed ? `rgb(${shade(red)} ${shade(green)} ${shade(blue)})` : HANGING;
    pen.beginPath();
    pen.moveTo(px(flat[2 * a]!), py(flat[2 * a + 1]!));
    pen.lineTo(px(flat[2 * b]!), py(flat[2 * b + 1]!));
    pen.lineTo(px(flat[2 * c]!), py(flat[2 * c + 1]!));
    pen.closePath();
    pen.fill();
    // Closes the hair between two triangles.
    pen.stroke();
  }
  pen.strokeStyle = '#4a4438';
  pen.lineWidth = ratio;
  const rim = rimOf(triangles);
  pen.beginPath();
  for (let e = 0; e < rim.length; e += 2) {
    pen.moveTo(px(flat[2 * rim[e]!]!), py(flat[2 * rim[e]! + 1]!));
    pen.lineTo(px(flat[2 * rim[e + 1]!]!), py(flat[2 * rim[e + 1]! + 1]!));
  }
  pen.stroke();
  props.strokes?.forEach(({ does, points }, i) => {
    const [first] = points;
    if (!first) return;
    pen.strokeStyle = pen.fillStyle = does === 'warm' ? '#b3261e' : '#1d2b2f';
    pen.lineWidth = 2 * ratio;
    pen.setLineDash(does === 'warm' ? [5 * ratio, 4 * ratio] : []);
    pen.lineJoin = pen.lineCap = 'round';
    pen.beginPath();
    points.forEach(([x, y]) => pen.lineTo(px(x), py(y)));
    pen.stroke();
    pen.setLineDash([]);
    pen.beginPath();
    pen.arc(px(first[0]), py(first[1]), 8 * ratio, 0, 2 * Math.PI);
    pen.fill();
    pen.fillStyle = '#ffffff';
    pen.font = `600 ${10 * ratio}px sans-serif`;
    pen.textAlign = 'center';
    pen.textBaseline = 'middle';
    pen.fillText(String(i + 1), px(first[0]), py(first[1]));
  });
  if (props.thumb) {
    pen.strokeStyle = '#4a4438';
    const { x, y, radius } = props.thumb;
    pen.lineWidth = 2 * ratio;
    pen.setLineDash([4 * ratio, 3 * ratio]);
    pen.beginPath();
    pen.ellipse(px(x), py(y), ratio * scale * radius, ratio * scale * radius, 0, 0, 2 * Math.PI);
    pen.stroke();
    pen.setLineDash([]);
  }
}
onMounted(draw);
useResizeObserver(canvas, draw);
watch(() => [props.frame, props.thumb, props.strokes], draw, { flush: 'post' });

function pointed(event: PointerEvent): void {
  const box = canvas.value!.getBoundingClientRect();
  emit('point', toFlat(event.clientX - box.left, event.clientY - box.top), event);
}
</script>

<template>
  <canvas
    ref="canvas"
    role="img"
    :aria-label="label"
    @pointerdown="pointed"
    @pointermove="pointed"
    @pointerup="pointed"
    @pointercancel="pointed"
  />
</template>

<style scoped>
canvas {
  width: 100%;
  height: 100%;
  display: block;
}
</style>
