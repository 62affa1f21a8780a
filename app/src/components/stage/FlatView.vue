<script setup lang="ts">
import type { Film, PieceViewModel, Place, ShapeViewModel, Units } from '@mivet/core';
import { boxOfCoordinates, coneDevelopment, formatLength, placeData, sameValue, zonePaths } from '@mivet/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { isMoved, leaveField } from '../../composables/hand.ts';
import { usePanZoom } from '../../composables/usePanZoom.ts';
import type { DrawnZones } from '../../composables/useZones.ts';
import type { Dragged, DragGuides, ShownTrial, Spot } from '../../stores/view.ts';
import FlatGuides from './FlatGuides.vue';
import FlatHeat from './FlatHeat.vue';
import StrainHatch from './StrainHatch.vue';
import FlatMoving from './FlatMoving.vue';
import FlatPieces from './FlatPieces.vue';
import FlatViewRulers from './FlatViewRulers.vue';

const props = defineProps<{
  viewModel: ShapeViewModel;
  films: readonly Film[];
  zones: DrawnZones;
  unit: Units;
  selection: ReadonlySet<string>;
  spot: Spot | null;
  highlighted: Place | null;
  guides: DragGuides | null;
  /** What is held, and how far it has moved since the picture was worked out. */
  held: Dragged | null;
  trial: ShownTrial | null;
  /** A copy of a scatter that is looked at by itself, and how far it reaches, mm. */
  ringed: { readonly azimuth: number; readonly slant: number; readonly reachMm: number } | null;
  dims: boolean;
  editable: boolean;
}>();
const emit = defineEmits<{
  spot: [spot: Spot | null];
  select: [itemId: string | null, adding: boolean];
  dragStart: [itemId: string, at: Spot];
  dragMove: [at: Spot, free: boolean];
  dragEnd: [];
}>();

const svg = ref<SVGSVGElement | null>(null);
const { width, height } = useElementSize(svg);
// A press on a piece moves the piece, a press on the paper moves the paper.
const { moved: userZoom, zoomed, showAll } = usePanZoom(svg, (target) => target.closest('[data-item]') !== null);
const surface = computed(() => coneDevelopment(props.viewModel.template.cone));
type Along = Pick<InstanceType<typeof FlatViewRulers>['$props'], 'cone' | 'region' | 'length'>;
/** What tapes lie along: the same for as long as only what is on it changes, so that they are not drawn anew with each letter. */
const along = computed((before?: Along): Along => {
  const { template, band, size } = props.viewModel;
  const now = { cone: template.cone, region: band.region, length: size.side };
  return before && sameValue(before, now) ? before : now;
});

/** Farthest that what lies off the flat is followed, in sizes of the flat. */
const FOLLOWED = 1;
/** The flat with what lies off it; while something is dragged, as it was, so that nothing shrinks under the hand. */
const reach = ref(props.viewModel.band.bounds);
watch(
  () => [props.viewModel, props.guides] as const,
  ([{ band, items, size }, guides]) => {
    if (guides) return;
    const { minX, maxX, minY, maxY } = band.bounds;
    const far = FOLLOWED * Math.max(maxX - minX, maxY - minY);
    const corners = items.flatMap(({ azimuth, slant, widthMm, heightMm }) => {
      if (slant + heightMm / 2 > 0 && slant - heightMm / 2 < size.side && props.viewModel.template.closed) return [];
      const p = surface.value.forward(azimuth, slant);
      return [p.x - widthMm / 2, p.y - heightMm / 2, p.x + widthMm / 2, p.y + heightMm / 2];
    });
    const all = boxOfCoordinates(corners, band.bounds);
    reach.value = {
      minX: Math.max(all.minX, minX - far),
      maxX: Math.min(all.maxX, maxX + far),
      minY: Math.max(all.minY, minY - far),
      maxY: Math.min(all.maxY, maxY + far),
    };
  },
  { immediate: true },
);

/** px per mm and the shift that put the template in the middle, with room for the rulers. */
const fit = computed(() => {
  const { minX, maxX, minY, maxY } = reach.value;
  const room = { left: 54, right: 30, top: 78, bottom: props.dims ? 96 : 60 };
  const w = Math.max(60, width.value - room.left - room.right);
  const h = Math.max(60, height.value - room.top - room.bottom);
  const k = Math.max(0.05, Math.min(w / (maxX - minX), h / (maxY - minY), 6));
  return {
    k,
    x: room.left + (w - k * (maxX - minX)) / 2 - k * minX,
    y: room.top + (h - k * (maxY - minY)) / 2 + k * maxY,
  };
});
const scale = computed(() => fit.value.k * userZoom.value.k);
/** Pixels for a mm of the flat, and where its middle is on the picture. */
const place = computed(() => {
  const z = userZoom.value;
  return { k: scale.value, x: z.x + z.k * fit.value.x, y: z.y + z.k * fit.value.y };
});
const transform = computed(() => `translate(${place.value.x} ${place.value.y}) scale(${place.value.k})`);
/** Pieces that would no longer lie flat in what is tried out. */
const stiff = computed(() => {
  const { trial } = props;
  return trial ? props.viewModel.pieces.filter((p) => !p.spare && trial.stiff.has(p.id)) : [];
});
const zoneShapes = computed(() => zonePaths(surface.value, props.viewModel, props.viewModel.band.region, props.zones));
const glanceLines = computed(() =>
  (props.zones.glance ?? []).map((azimuth) => line(azimuth, 0, azimuth, props.viewModel.size.side)),
);
/** Spares lie beside the wrap; they are shown with the sheets. */
const onWrap = computed(() => props.viewModel.pieces.filter((p) => !p.spare));
const heldIds = computed(() => props.held?.itemIds ?? null);
const isHeld = (piece: PieceViewModel): boolean => piece.itemIds.every((id) => heldIds.value?.has(id));
const heldPieces = computed(() => (heldIds.value ? onWrap.value.filter(isHeld) : []));
const resting = computed(() =>
  heldPieces.value.length > 0 ? onWrap.value.filter((piece) => !isHeld(piece)) : onWrap.value,
);
const spotAt = computed(() => (props.spot ? surface.value.forward(props.spot.azimuth, props.spot.slant) : null));
const ringedAt = computed(() => props.ringed && surface.value.forward(props.ringed.azimuth, props.ringed.slant));
const ringData = computed(() =>
  props.highlighted ? placeData(surface.value, props.viewModel, props.highlighted, 3 / scale.value) : null,
);
const dimensions = computed(() => {
  const { template, size, band } = props.viewModel;
  const { region } = band;
  const px = 1 / scale.value;
  const at = (azimuth: number, slant: number): { x: number; y: number } => {
    const p = surface.value.forward(azimuth, slant);
    return { x: p.x, y: -p.y };
  };
  if (!template.closed)
    return [
      { ...at(0, size.side + 26 * px), text: `${formatLength(template.rimLength, props.unit)} across`, rotate: 0 },
    ];
  const top = at(region.right[0], 0);
  const foot = at(region.right[1], size.side);
  const along = Math.atan2(foot.y - top.y, foot.x - top.x);
  return [
    {
      ...at(0, size.side + 26 * px),
      text: `${formatLength(template.baseLength, props.unit)} along the base edge`,
      rotate: 0,
    },
    // Above the ruler, also where its ends rise over its middle.
    {
      x: 0,
      y: -(band.bounds.maxY + 36 * px),
      text: `${formatLength(template.rimLength, props.unit)} along the rim edge`,
      rotate: 0,
    },
    {
      // Beside the right edge, reading down along it.
      x: (top.x + foot.x) / 2 + 12 * px * Math.sin(along),
      y: (top.y + foot.y) / 2 - 12 * px * Math.cos(along),
      text: `${formatLength(size.side, props.unit)} down the side`,
      rotate: (along * 180) / Math.PI,
    },
  ];
});

function line(a0: number, s0: number, a1: number, s1: number): string {
  const p = surface.value.forward(a0, s0);
  const q = surface.value.forward(a1, s1);
  return `M${p.x} ${-p.y}L${q.x} ${-q.y}`;
}

function spotOf(event: PointerEvent): Spot | null {
  const area = svg.value!.getBoundingClientRect();
  const z = userZoom.value;
  const x = (event.clientX - area.left - z.x - z.k * fit.value.x) / scale.value;
  const y = -(event.clientY - area.top - z.y - z.k * fit.value.y) / scale.value;
  return surface.value.inverse(x, y, 1.4 * Math.PI);
}

/** Where what is held was pressed. */
let pressed: PointerEvent | null = null;
/** Held with others: pressed without being moved, it is selected by itself. */
let among: string | null = null;
/** Whether what is held has begun to move. */
const moving = ref(false);
function pointerDown(event: PointerEvent, itemId: string | null): void {
  if (event.button !== 0) return;
  leaveField();
  const adding = event.shiftKey || event.ctrlKey || event.metaKey;
  // What is selected with others is held with them.
  if (adding || !itemId || !props.selection.has(itemId)) emit('select', itemId, adding);
  if (adding) return;
  among = itemId && props.selection.size > 1 && props.selection.has(itemId) ? itemId : null;
  const at = spotOf(event);
  if (!itemId || !props.editable || !at) return;
  pressed = event;
  svg.value!.setPointerCapture(event.pointerId);
  emit('dragStart', itemId, at);
}
function pressPaper({ target }: PointerEvent): void {
  if ((target as Element).closest('[data-item]')) return;
  leaveField();
  emit('select', null, false);
}
/** The last that was heard of the pointer; looked at once for each picture, however often it comes. */
let heard: PointerEvent | null = null;
let frame = 0;
function pointerMove(event: PointerEvent): void {
  heard = event;
  frame ||= requestAnimationFrame(follow);
}
function follow(): void {
  cancelAnimationFrame(frame);
  frame = 0;
  const event = heard;
  heard = null;
  if (!event || !svg.value) return;
  const at = spotOf(event);
  const inside =
    at !== null &&
    at.slant >= -2 &&
    at.slant <= props.viewModel.size.side + 2 &&
    Math.abs(at.azimuth) <= Math.PI * 1.02;
  emit('spot', inside ? at : null);
  if (!pressed || !at) return;
  moving.value ||= isMoved(event.clientX - pressed.clientX, event.clientY - pressed.clientY);
  if (moving.value) emit('dragMove', at, event.altKey);
}
function pointerLeave(): void {
  heard = null;
  emit('spot', null);
}
function pointerUp(): void {
  follow();
  if (pressed) emit('dragEnd');
  if (among && !moving.value) emit('select', among, false);
  among = pressed = null;
  moving.value = false;
}

const crossArm = computed(() => 10 / scale.value);
defineExpose({ showAll });
</script>

<template>
  <div class="whole">
    <svg
      ref="svg"
      class="flat"
      role="img"
      :aria-label="`Flat template, ${formatLength(viewModel.template.rimLength, unit)} ${viewModel.template.closed ? 'along the rim edge' : 'across'}, with ${viewModel.pieces.length === 1 ? 'one piece' : `${viewModel.pieces.length} pieces`} of film`"
      @pointermove="pointerMove"
      @pointerup="pointerUp"
      @pointercancel="pointerUp"
      @pointerleave="pointerLeave"
      @pointerdown="pressPaper"
    >
      <defs>
        <pattern
          id="hatch-rim"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          :patternTransform="`scale(${1 / scale}) rotate(35)`"
        >
          <path d="M0 0V6" stroke="var(--hatch)" stroke-width="1" opacity="0.55" />
        </pattern>
        <pattern
          id="hatch-handle"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          :patternTransform="`scale(${1 / scale}) rotate(-35)`"
        >
          <path d="M0 0V6" stroke="var(--on-sheet-2)" stroke-width="1" opacity="0.6" />
        </pattern>
        <StrainHatch :scale="scale" />
        <clipPath id="on-band"><path :d="viewModel.outlineData" /></clipPath>
      </defs>
      <g :transform="transform">
        <path :d="viewModel.outlineData" class="sheet" fill-rule="evenodd" />
        <FlatHeat
          v-if="zones.strain && viewModel.panels.length === 1"
          :panel="viewModel.panels[0]!"
          :give="viewModel.template.flattening.give"
          :scale="scale"
        />
        <g clip-path="url(#on-band)">
          <path v-for="(d, i) in zoneShapes.edges" :key="`e${i}`" :d="d" fill="url(#hatch-rim)" />
          <path v-for="(d, i) in zoneShapes.handles" :key="`h${i}`" :d="d" fill="url(#hatch-handle)" />
        </g>
        <FlatPieces
          :pieces="resting"
          :films="films"
          :selection="selection"
          :editable="editable"
          :dragging="moving"
          @press="pointerDown"
        />
        <path v-for="(d, i) in glanceLines" :key="`g${i}`" :d="d" class="glance" />
        <path :d="viewModel.outlineData" class="edge" />
        <path v-if="zones.seam && viewModel.seamLines" :d="viewModel.seamLines" class="seam" />
        <path v-if="zones.slits && viewModel.tapeSlits" :d="viewModel.tapeSlits" class="slits" />
        <path v-if="trial?.ghost" :d="trial.ghost" class="ghost" />
        <path v-for="p in stiff" :key="p.id" :d="p.data" class="stiff" />
        <FlatViewRulers v-bind="along" :scale="scale" :unit="unit" />
        <g v-if="dims" class="dimension dims">
          <text
            v-for="d in dimensions"
            :key="d.text"
            :x="d.x"
            :y="d.y"
            :font-size="15 / scale"
            :transform="d.rotate ? `rotate(${d.rotate} ${d.x} ${d.y})` : undefined"
            text-anchor="middle"
          >
            {{ d.text }}
          </text>
        </g>
        <path v-if="ringData" :d="ringData" class="ring" />
        <circle
          v-if="ringed && ringedAt"
          :cx="ringedAt.x"
          :cy="-ringedAt.y"
          :r="ringed.reachMm + 4 / scale"
          class="ring"
        />
        <g v-if="spotAt && !guides" class="spot" :transform="`translate(${spotAt.x} ${-spotAt.y})`">
          <path :d="`M${-crossArm} 0H${crossArm}M0 ${-crossArm}V${crossArm}`" />
          <circle :r="crossArm * 0.62" />
        </g>
      </g>
    </svg>
    <!-- What moves under the hand lies over the rest, which is not drawn anew meanwhile. -->
    <FlatMoving
      v-if="held && heldPieces.length > 0"
      :pieces="heldPieces"
      :films="films"
      :surface="surface"
      :by="held"
      :place="place"
      :size="{ width, height }"
      :within="viewModel.outlineData"
    />
    <svg v-if="guides" class="over" aria-hidden="true">
      <g :transform="transform">
        <FlatGuides :guides="guides" :surface="surface" :scale="scale" :side="viewModel.size.side" />
      </g>
    </svg>
  </div>
  <p v-if="guides" class="said dims" aria-live="off">
    <span>{{ guides.round }}</span>
    <span v-for="by in guides.lines" :key="by.text" class="held">{{ by.text }}</span>
    <span>{{ guides.room }}</span>
  </p>
  <BButton v-if="zoomed" variant="outline-primary" size="sm" class="all" @click="showAll">Show all</BButton>
</template>

<style scoped>
.whole {
  /* What is laid out in here moves nothing outside. */
  contain: strict;
  position: relative;
  flex: 1;
  width: 100%;
  min-height: 0;
}
.flat,
.over {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.over {
  pointer-events: none;
}
.flat {
  touch-action: none;
  cursor: grab;
  user-select: none;
}
.flat path {
  vector-effect: non-scaling-stroke;
}
.sheet {
  fill: var(--sheet);
}
.edge {
  fill: none;
  stroke: var(--on-sheet);
  stroke-width: 1.3;
  pointer-events: none;
}
.seam {
  fill: none;
  stroke: var(--on-sheet);
  stroke-width: 2.6;
  pointer-events: none;
}
.ghost,
.stiff {
  fill: none;
  stroke: var(--brick);
  stroke-width: 1.8;
  pointer-events: none;
}
.ghost {
  stroke-dasharray: 7 4;
}
.slits {
  fill: none;
  stroke: var(--brick);
  stroke-width: 2;
  stroke-dasharray: 5 3;
  pointer-events: none;
}
.glance {
  stroke: #0c6764;
  stroke-width: 1.4;
  stroke-dasharray: 6 5;
  pointer-events: none;
}
.ring {
  fill: none;
  stroke: var(--hatch);
  stroke-width: 2.4;
  stroke-dasharray: 2 3;
  stroke-linecap: round;
  pointer-events: none;
}
.spot {
  pointer-events: none;
}
.spot path,
.spot circle {
  fill: none;
  stroke: var(--hatch);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
.dimension text {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 0;
}
/* Always in one place, so that it hides nothing and can be read while the hand moves. */
.said {
  position: absolute;
  inset: auto 1rem 0.9rem;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.1rem 1.2rem;
  pointer-events: none;
}
.said .held {
  color: var(--teal);
  font-weight: 600;
}
.all {
  position: absolute;
  right: 1rem;
  top: 0.7rem;
}
</style>
