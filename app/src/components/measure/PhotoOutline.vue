<script setup lang="ts">
import type { PhotoAxis, PhotoStation, Silhouette } from '@mivet/core';
import { computed, ref } from 'vue';
import { useGrips } from '../../composables/useGrips.ts';

/** The photograph with the outline that was found; the middle line's ends and the band's two lines can be moved. */
const props = defineProps<{
  url: string;
  silhouette: Silhouette;
  band: readonly [number, number];
  stations: readonly PhotoStation[];
  /** Where the tape lay, as a share of the height; null when a height is the scale. */
  tape: number | null;
}>();
const emit = defineEmits<{
  band: [band: readonly [number, number]];
  axis: [axis: PhotoAxis];
  tape: [share: number];
}>();
const svg = ref<SVGSVGElement | null>(null);

const size = computed(() => props.silhouette.size);
const px = computed(() => size.value.width / 260);
const unit = computed(() => {
  const { top, foot } = props.silhouette.axis;
  const length = Math.hypot(foot.x - top.x, foot.y - top.y);
  return { x: (foot.x - top.x) / length, y: (foot.y - top.y) / length };
});
/** A point across the axis: level in the picture's rows, px to the right of the axis. */
function at(along: number, right: number): { x: number; y: number } {
  const { top, foot } = props.silhouette.axis;
  const y = along + size.value.height / 2;
  const x = top.x + ((foot.x - top.x) * (y - top.y)) / (foot.y - top.y);
  return { x: x + right * unit.value.y, y: y - right * unit.value.x };
}
const text = ({ x, y }: { x: number; y: number }): string => `${x.toFixed(1)} ${y.toFixed(1)}`;
const outline = computed(() =>
  (['left', 'right'] as const)
    .map(
      (side) =>
        `M${props.silhouette.rows.map((r) => text(at(r.along, side === 'left' ? -r.left : r.right))).join('L')}`,
    )
    .join(''),
);
/** Levels of lip and foot: of the ends of the ellipses as which they are seen. */
const between = computed(() => {
  const { ends, sags } = props.silhouette;
  return [ends[0] + sags[0], ends[1] - sags[1]] as const;
});
const levelOf = (share: number): number => between.value[0] + (between.value[1] - between.value[0]) * share;
const widest = computed(() => Math.max(...props.silhouette.rows.map((r) => Math.max(r.left, r.right))));
const line = (share: number, reach: number): string =>
  `M${text(at(levelOf(share), -reach))}L${text(at(levelOf(share), reach))}`;
const reachAt = (share: number): number => {
  const level = levelOf(share);
  const row = props.silhouette.rows.find((r) => r.along >= level);
  return row ? (row.left + row.right) / 2 : 0;
};

function moveBand(end: 0 | 1, share: number): void {
  const other = props.band[1 - end]!;
  const next = end === 0 ? Math.min(other - 0.1, Math.max(0, share)) : Math.max(other + 0.1, Math.min(1, share));
  emit('band', end === 0 ? [next, other] : [other, next]);
}
function byKey(event: KeyboardEvent, end: 0 | 1): void {
  const step = event.key === 'ArrowUp' ? -0.01 : event.key === 'ArrowDown' ? 0.01 : 0;
  if (step === 0) return;
  event.preventDefault();
  event.stopPropagation();
  moveBand(end, props.band[end] + step);
}
function axisByKey(event: KeyboardEvent, end: 'top' | 'foot'): void {
  const step = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
  if (step === 0) return;
  event.preventDefault();
  event.stopPropagation();
  const { axis } = props.silhouette;
  emit('axis', { ...axis, [end]: { ...axis[end], x: axis[end].x + step } });
}
function tapeByKey(event: KeyboardEvent): void {
  const step = event.key === 'ArrowUp' ? -0.01 : event.key === 'ArrowDown' ? 0.01 : 0;
  if (step === 0 || props.tape === null) return;
  event.preventDefault();
  event.stopPropagation();
  emit('tape', Math.min(1, Math.max(0, props.tape + step)));
}
let moved: PhotoAxis | null = null;
useGrips(svg, 'circle.line-grip', {
  drag(grip, _, y) {
    if (y === null) return;
    const [a, b] = between.value;
    const share = (y - size.value.height / 2 - a) / (b - a);
    if (grip.dataset['end'] === 'tape') emit('tape', Math.min(1, Math.max(0, share)));
    else moveBand(grip.dataset['end'] === '0' ? 0 : 1, share);
  },
});
useGrips(svg, 'circle.axis-grip', {
  drag(grip, x) {
    if (x === null) return;
    const end = grip.dataset['end'] as 'top' | 'foot';
    const { axis } = props.silhouette;
    moved = { ...axis, [end]: { x, y: axis[end].y } };
    grip.setAttribute('cx', String(x));
  },
  end() {
    if (moved) emit('axis', moved);
    moved = null;
  },
});
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${size.width} ${size.height}`"
    role="group"
    aria-label="The photograph with its outline"
  >
    <image :href="url" :width="size.width" :height="size.height" preserveAspectRatio="none" />
    <path :d="outline" class="outline" />
    <path :d="`M${text(silhouette.axis.top)}L${text(silhouette.axis.foot)}`" class="axis" />
    <path v-for="s in stations" :key="s.at" :d="line(s.at, reachAt(s.at))" class="station" />
    <template v-if="tape !== null">
      <path :d="line(tape, reachAt(tape) * 1.12)" class="tape" />
      <circle
        class="line-grip tape-grip"
        data-end="tape"
        :cx="at(levelOf(tape), -reachAt(tape) * 1.12).x"
        :cy="at(levelOf(tape), -reachAt(tape) * 1.12).y"
        :r="7 * px"
        tabindex="0"
        role="slider"
        aria-label="Where the tape lay"
        :aria-valuenow="Math.round(tape * 100)"
        :aria-valuetext="`${Math.round(tape * 100)} % down`"
        @keydown="tapeByKey"
      />
    </template>
    <template v-for="end in [0, 1] as const" :key="end">
      <path :d="line(band[end], widest * 1.15)" class="band" />
      <circle
        class="line-grip"
        :data-end="end"
        :cx="at(levelOf(band[end]), widest * 1.15).x"
        :cy="at(levelOf(band[end]), widest * 1.15).y"
        :r="7 * px"
        tabindex="0"
        role="slider"
        :aria-label="end === 0 ? 'Where the band begins' : 'Where the band ends'"
        :aria-valuenow="Math.round(band[end] * 100)"
        :aria-valuetext="`${Math.round(band[end] * 100)} % down`"
        @keydown="byKey($event, end)"
      />
    </template>
    <circle
      v-for="end in ['top', 'foot'] as const"
      :key="end"
      class="axis-grip"
      :data-end="end"
      :cx="silhouette.axis[end].x"
      :cy="silhouette.axis[end].y"
      :r="6 * px"
      tabindex="0"
      role="slider"
      :aria-label="`Middle line, ${end}`"
      :aria-valuenow="Math.round(silhouette.axis[end].x)"
      @keydown="axisByKey($event, end)"
    />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
  margin: 0.6rem 0;
  border-radius: 2px;
  touch-action: none;
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.outline {
  stroke: #fffdf6;
  stroke-width: 2;
}
.axis {
  stroke: #0c6764;
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.station {
  stroke: #f2c230;
  stroke-width: 2;
}
.tape {
  stroke: #a53a29;
  stroke-width: 2.5;
}
circle.tape-grip {
  stroke: #a53a29;
}
.band {
  stroke: #0c6764;
  stroke-width: 2;
}
circle {
  fill: #fffdf6;
  stroke: #0c6764;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.line-grip {
  cursor: ns-resize;
}
.axis-grip {
  cursor: ew-resize;
}
</style>
