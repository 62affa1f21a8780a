<script setup lang="ts">
import type { LayFrame, Stroke } from '@mivet/core';
import { computed, ref, shallowRef, watch } from 'vue';
import FilmFlat from './FilmFlat.vue';

/** A sheet on the flat that is stroked, by pointer or by keys: each stroke is told when the thumb is lifted. */
const props = defineProps<{
  flat: Float64Array;
  triangles: Uint32Array;
  frame: LayFrame;
  label: string;
  strokes: readonly Stroke[];
  does: Stroke['does'];
  /** mm that a thumb reaches. */
  reach: number;
}>();
const emit = defineEmits<{ stroke: [stroke: Stroke] }>();
const drawn = shallowRef<(readonly [number, number])[]>([]);
const thumb = ref<{ x: number; y: number } | null>(null);
const byKeys = ref(false);
watch(
  () => props.does,
  () => lift(),
);
const shown = computed(() => (drawn.value.length > 0 ? [...props.strokes, { does: props.does, points: drawn.value }] : props.strokes)); // prettier-ignore

function go(x: number, y: number): void {
  const last = drawn.value.at(-1);
  thumb.value = { x, y };
  if (!last || Math.hypot(x - last[0], y - last[1]) > props.reach / 4) drawn.value = [...drawn.value, [x, y]];
}
function lift(): void {
  byKeys.value = false;
  if (drawn.value.length === 0) return;
  emit('stroke', { does: props.does, points: drawn.value });
  drawn.value = [];
}
function pointed([x, y]: readonly [number, number], event: PointerEvent): void {
  if (event.type === 'pointerdown' && event.button === 0) {
    event.preventDefault();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    lift();
    go(x, y);
  } else if (event.type === 'pointermove' && event.buttons & 1 && drawn.value.length > 0) go(x, y);
  else if (event.type !== 'pointermove' && !byKeys.value) lift();
}
const WAYS: { readonly [key: string]: readonly [number, number] } = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** Arrow keys move the thumb by half its reach; space puts it down and lifts it. */
function key(event: KeyboardEvent): void {
  const { minX, maxX, minY, maxY } = extent();
  const at = thumb.value ?? { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
  const way = WAYS[event.key];
  if (way) {
    const within = (v: number, least: number, most: number): number => Math.max(least, Math.min(most, v));
    const [x, y] = [within(at.x + (way[0] * props.reach) / 2, minX, maxX), within(at.y + (way[1] * props.reach) / 2, minY, maxY)]; // prettier-ignore
    if (byKeys.value) go(x, y);
    else thumb.value = { x, y };
  } else if (event.key === ' ' && !event.repeat) {
    if (byKeys.value) lift();
    else {
      byKeys.value = true;
      go(at.x, at.y);
    }
  } else if (event.key === 'Escape' && drawn.value.length > 0) {
    drawn.value = [];
    byKeys.value = false;
    // It gives up the stroke, and not the dialog.
    event.stopPropagation();
  } else return;
  event.preventDefault();
}
function extent(): { minX: number; maxX: number; minY: number; maxY: number } {
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  const { flat } = props;
  for (let i = 0; i < flat.length; i += 2) {
    [minX, maxX] = [Math.min(minX, flat[i]!), Math.max(maxX, flat[i]!)];
    [minY, maxY] = [Math.min(minY, flat[i + 1]!), Math.max(maxY, flat[i + 1]!)];
  }
  return { minX, maxX, minY, maxY };
}
</script>

<template>
  <div
    class="pad"
    tabindex="0"
    role="application"
    aria-label="The sheet, flat: arrow keys move the thumb, space puts it down and lifts it"
    @keydown="key"
    @blur="lift"
  >
    <FilmFlat
      :flat="flat"
      :triangles="triangles"
      :frame="frame"
      :label="label"
      :thumb="thumb && { ...thumb, radius: reach }"
      :strokes="shown"
      @point="pointed"
    />
  </div>
</template>

<style scoped>
.pad {
  height: 100%;
  cursor: crosshair;
  touch-action: none;
}
</style>
