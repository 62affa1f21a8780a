<script setup lang="ts">
import type { Blank, Film, Place, ShapeViewModel } from '@mivet/core';
import { promiseTimeout, until, useElementSize } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { DrawnZones } from '../../composables/useZones.ts';
import type { Asked } from '@mivet/core';
import type { ShownTrial, Spot } from '../../stores/view.ts';
import { paintArt } from './blank-art.ts';
import { BlankScene } from './blank-scene.ts';
import { shapeOfBlank, solidOfBlank } from './solid-shape.ts';

const props = defineProps<{
  blank: Blank;
  viewModel: ShapeViewModel | null;
  films: readonly Film[];
  zones: DrawnZones;
  facing: number;
  selection: ReadonlySet<string>;
  asked: Asked | null;
  spot: Spot | null;
  highlighted: Place | null;
  trial?: ShownTrial | null;
  dim: boolean;
}>();
const emit = defineEmits<{
  turn: [azimuth: number];
  spot: [spot: Spot | null];
  select: [itemId: string | null, adding: boolean];
}>();

const holder = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(holder);
const refused = ref(false);
const artCanvas = document.createElement('canvas');
let scene: BlankScene | null = null;
const ready = ref(false);
const tilted = ref(0);
let paintedAt = 0;
let paintedDetail = 1;

const shape = computed(() => shapeOfBlank(props.blank, props.viewModel));
const tape = computed(
  () => props.asked && solidOfBlank(props.blank, props.viewModel).tapeFor(props.asked, props.blank, shape.value),
);

let waiting = 0;
function paint(): void {
  if (!scene || waiting) return;
  const left = paintedAt + scene.pause - performance.now();
  if (left <= 0) paintNow();
  else
    waiting = window.setTimeout(() => {
      waiting = 0;
      paintNow();
    }, left);
}
function paintNow(): void {
  if (!scene) return;
  // Repainted in quick succession, as while dragging: rougher until it rests.
  const now = performance.now();
  if (now - paintedAt < 400) scene.hurry();
  paintedAt = now;
  if (props.viewModel)
    paintArt(
      artCanvas,
      {
        ...props,
        viewModel: props.viewModel,
        trial: props.trial ?? null,
        colour: props.blank.colour,
        shine: shape.value.shine,
        above: shape.value.above,
        below: shape.value.below,
      },
      scene.detail,
    );
  else {
    artCanvas.width = artCanvas.height = 8;
    const pen = artCanvas.getContext('2d')!;
    pen.fillStyle = props.blank.colour;
    pen.fillRect(0, 0, 8, 8);
  }
  paintedDetail = scene.detail;
  scene.artChanged();
}

/** Waits, but not long, for the flat to be worked out and drawn: building the solid can hold the page up. */
onMounted(async () => {
  if (!props.viewModel) await Promise.race([until(() => props.viewModel).toBeTruthy(), promiseTimeout(700)]);
  await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(drawn, 100))));
  if (!canvas.value) return;
  try {
    scene = new BlankScene(canvas.value, artCanvas, rested);
  } catch {
    refused.value = true;
    return;
  }
  scene.hurry();
  scene.resize(width.value, height.value);
  scene.setShape(shape.value);
  scene.setFacing(props.facing);
  scene.setTape(tape.value);
  paint();
  ready.value = true;
  await scene.start();
});
function rested(): void {
  if (scene && scene.detail !== paintedDetail) paint();
}
onBeforeUnmount(() => {
  window.clearTimeout(waiting);
  scene?.dispose();
});
watch(
  () => JSON.stringify(shape.value),
  () => {
    scene?.setShape(shape.value);
    scene?.setTape(tape.value);
    paint();
  },
);
watch(
  () => [props.viewModel, props.zones, props.selection, props.highlighted, props.films, props.trial] as const,
  paint,
);
watch(
  () => props.facing,
  (azimuth) => scene?.setFacing(azimuth),
);
watch(tape, (place) => scene?.setTape(place));
/** The spot under the pointer of either picture, over the canvas. */
const mark = computed(() => {
  // Turning, tilting and resizing move the spot as well.
  void [props.facing, tilted.value, width.value, height.value];
  return props.spot && ready.value ? (scene?.project(props.spot) ?? null) : null;
});
watch([width, height], ([w, h]) => scene?.resize(w, h));

let grabbed: { x: number; y: number; facing: number; moved: boolean } | null = null;
function down(event: PointerEvent): void {
  if (event.button !== 0) return;
  grabbed = { x: event.clientX, y: event.clientY, facing: props.facing, moved: false };
  canvas.value!.setPointerCapture(event.pointerId);
}
function move(event: PointerEvent): void {
  if (!grabbed) {
    emit('spot', scene?.pick(event.offsetX, event.offsetY) ?? null);
    return;
  }
  const dx = event.clientX - grabbed.x;
  const dy = event.clientY - grabbed.y;
  if (!grabbed.moved && Math.hypot(dx, dy) < 4) return;
  if (grabbed.moved) {
    scene?.tiltBy((event.movementY || 0) * 0.005);
    tilted.value += 1;
  }
  grabbed.moved = true;
  scene?.hurry();
  emit('turn', grabbed.facing - dx * 0.01);
}
function up(event: PointerEvent): void {
  if (grabbed && !grabbed.moved) {
    const spot = scene?.pick(event.offsetX, event.offsetY);
    const hit = spot ? props.viewModel?.pieces.findLast((p) => covers(p.rings, spot)) : undefined;
    emit('select', hit?.itemIds[0] ?? null, event.shiftKey || event.ctrlKey || event.metaKey);
  }
  grabbed = null;
}

/** Even-odd test on the unrolled side. */
function covers(rings: readonly Float64Array[], spot: Spot): boolean {
  const x = spot.azimuth * (props.viewModel?.meanRadius ?? 1);
  const y = -spot.slant;
  let inside = false;
  for (const ring of rings)
    for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
      const yi = ring[i + 1]!;
      const yj = ring[j + 1]!;
      if (yi > y !== yj > y && x < ((ring[j]! - ring[i]!) * (y - yi)) / (yj - yi) + ring[i]!) inside = !inside;
    }
  return inside;
}
</script>

<template>
  <div ref="holder" class="holder">
    <canvas
      v-show="!refused"
      ref="canvas"
      role="img"
      :aria-label="`${blank.name} as a solid; drag to turn it, or press the square bracket keys`"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="grabbed = null"
      @pointerleave="emit('spot', null)"
    />
    <span v-if="mark" class="mark" :style="{ transform: `translate(${mark.x}px, ${mark.y}px)` }" aria-hidden="true" />
    <p v-if="refused" class="quiet">
      This browser cannot draw in three dimensions. Everything else works: the flat on the right is exact.
    </p>
  </div>
</template>

<style scoped>
.holder {
  position: relative;
  flex: 1;
  min-height: 0;
  overflow: hidden;
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  cursor: grab;
  touch-action: none;
}
.mark {
  position: absolute;
  left: -9px;
  top: -9px;
  width: 18px;
  height: 18px;
  border: 2px solid var(--brick);
  border-radius: 50%;
  box-shadow: 0 0 0 1px rgb(255 253 246 / 0.7);
  pointer-events: none;
}
canvas:active {
  cursor: grabbing;
}
p {
  padding: 4rem 2rem;
}
</style>
