<script setup lang="ts">
import { boxOfCoordinates, type LayFrame, type Stroke } from '@mivet/core';
import { computed, ref, shallowRef, watch } from 'vue';
import FilmFlat from './FilmFlat.vue';
import { movedThumb } from './thumb.ts';

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
/** Arrow keys move the thumb by half its reach; space puts it down and lifts it. */
function key(event: KeyboardEvent): void {
  const over = boxOfCoordinates(props.flat);
  const at = thumb.value ?? { x: (over.minX + over.maxX) / 2, y: (over.minY + over.maxY) / 2 };
  const moved = movedThumb(event.key, at, props.reach / 2, over);
  if (moved) {
    if (byKeys.value) go(moved.x, moved.y);
    else thumb.value = moved;
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
