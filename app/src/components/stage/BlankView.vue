<script setup lang="ts">
import type { Asked, Blank, Film, Place, ShapeViewModel } from '@mivet/core';
import { promiseTimeout, until, useDevicePixelRatio, useElementSize } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import { isMoved } from '../../composables/hand.ts';
import type { DrawnZones } from '../../composables/useZones.ts';
import type { ShownTrial, Spot } from '../../stores/view.ts';
import { artOf } from './art-of.ts';
import { openSolid, type SolidStage } from './solid-client.ts';
import type { SolidReply } from './solid-messages.ts';
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
  /** Whether something on it is being dragged: then it is drawn quickly rather than sharp. */
  moving: boolean;
}>();
const emit = defineEmits<{
  turn: [azimuth: number];
  spot: [spot: Spot | null];
  select: [itemId: string | null, adding: boolean];
}>();

const holder = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(holder);
const { pixelRatio } = useDevicePixelRatio();
const refused = ref(false);
const solid = shallowRef<SolidStage | null>(null);
/** Where the spot under the pointer of either picture shows, over the canvas. */
const mark = shallowRef<{ readonly x: number; readonly y: number } | null>(null);

const shape = computed(() => shapeOfBlank(props.blank, props.viewModel));
const tape = computed(
  () => props.asked && solidOfBlank(props.blank, props.viewModel).tapeFor(props.asked, props.blank, shape.value),
);

/** Whether the last painting has not been answered, and another is wanted: never two at once. */
let painting: 'no' | 'yes' | 'again' = 'no';
function paint(): void {
  if (!solid.value) return;
  if (painting !== 'no') {
    painting = 'again';
    return;
  }
  painting = 'yes';
  const art = props.viewModel ? artOf(props.viewModel, props, shape.value) : null;
  solid.value.tell({ tells: 'art', art, colour: props.blank.colour, moving: props.moving });
}
function painted(): void {
  const again = painting === 'again';
  painting = 'no';
  if (again) paint();
}

/** What was asked to be picked, in order. */
const picking = new Map<number, (spot: Spot | null) => void>();
let picks = 0;
function pick({ offsetX: x, offsetY: y }: PointerEvent, then: (spot: Spot | null) => void): void {
  if (!solid.value) return;
  picking.set(++picks, then);
  solid.value.tell({ tells: 'pick', id: picks, x, y });
}

function hear(reply: SolidReply): void {
  if (reply.tells === 'refused') refused.value = true;
  else if (reply.tells === 'painted') painted();
  else if (reply.tells === 'marked') mark.value = reply.at;
  else if (reply.tells === 'picked') {
    picking.get(reply.id)?.(reply.spot);
    picking.delete(reply.id);
  }
}

const size = computed(() => ({ width: width.value, height: height.value, sharp: pixelRatio.value }));
let gone = false;
/** The flat comes first: waits, but not long, for it to be worked out and drawn. */
onMounted(async () => {
  if (!props.viewModel) await Promise.race([until(() => props.viewModel).toBeTruthy(), promiseTimeout(700)]);
  await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
  if (gone || !canvas.value) return;
  const begin = { shape: shape.value, facing: props.facing, tape: tape.value, ...size.value };
  solid.value = openSolid(canvas.value, begin, hear);
  paint();
  if (props.spot) solid.value.tell({ tells: 'mark', spot: props.spot });
});
onBeforeUnmount(() => {
  gone = true;
  solid.value?.close();
});
watch(
  () => JSON.stringify(shape.value),
  () => {
    solid.value?.tell({ tells: 'shape', shape: shape.value, tape: tape.value });
    paint();
  },
);
watch(
  () => [props.viewModel, props.zones, props.selection, props.highlighted, props.films, props.trial] as const,
  paint,
);
watch(
  () => props.facing,
  (azimuth) => solid.value?.tell({ tells: 'facing', azimuth }),
);
watch(tape, (place) => solid.value?.tell({ tells: 'tape', tape: place }));
watch(
  () => props.spot,
  (spot) => solid.value?.tell({ tells: 'mark', spot }),
);
watch(size, (now) => solid.value?.tell({ tells: 'size', ...now }));

let grabbed: { at: PointerEvent; facing: number; moved: boolean } | null = null;
function down(event: PointerEvent): void {
  if (event.button !== 0) return;
  grabbed = { at: event, facing: props.facing, moved: false };
  canvas.value!.setPointerCapture(event.pointerId);
}
/** Whether the pointer is over it: an answer may come when it has left. */
let over = false;
function leave(): void {
  over = false;
  emit('spot', null);
}
function move(event: PointerEvent): void {
  if (!grabbed) {
    // One at a time: where the pointer was before is of no use by then.
    over = true;
    if (picking.size === 0) pick(event, (spot) => over && !grabbed && emit('spot', spot));
    return;
  }
  const dx = event.clientX - grabbed.at.clientX;
  if (!grabbed.moved && !isMoved(dx, event.clientY - grabbed.at.clientY)) return;
  const tiltBy = grabbed.moved ? (event.movementY || 0) * 0.005 : 0;
  grabbed.moved = true;
  solid.value?.tell({ tells: 'held', tiltBy });
  emit('turn', grabbed.facing - dx * 0.01);
}
function up(event: PointerEvent): void {
  const adding = event.shiftKey || event.ctrlKey || event.metaKey;
  if (grabbed && !grabbed.moved)
    pick(event, (spot) => {
      const hit = spot ? props.viewModel?.pieces.findLast((p) => covers(p.rings, spot)) : undefined;
      emit('select', hit?.itemIds[0] ?? null, adding);
    });
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
      @pointerleave="leave"
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
