<script setup lang="ts">
import type { ShapeViewModel, Units } from '@mivet/core';
import { coneDevelopment, pathData } from '@mivet/core';
import { line } from 'd3-shape';
import { computed } from 'vue';
import { tapeSteps, tapeTicks } from '../../composables/tape-ticks.ts';

/** Two measuring tapes: one bent along the rim edge, zero in front; one down the left side, zero at the rim. */
const props = defineProps<{
  cone: ShapeViewModel['template']['cone'];
  region: ShapeViewModel['band']['region'];
  /** mm down the side. */
  length: number;
  scale: number;
  unit: Units;
}>();

const surface = computed(() => coneDevelopment(props.cone));
const px = computed(() => 1 / props.scale);
const steps = computed(() => tapeSteps(props.unit, props.scale));
/** px that a stroke is long. */
const LONG = { rim: { small: 4, middle: 7, big: 9 }, side: { small: 4, middle: 7, big: 8 } };
/** Strokes at either end that stay without a number. */
const CLEAR = 3;
const strokes = line<{ x: number; y: number }>()
  .x(({ x }) => x)
  .y(({ y }) => -y);

const rim = computed(() => {
  const near = 8 * px.value;
  const far = 27 * px.value;
  const { left, right } = props.region;
  const s = surface.value;
  const r = s.radiusAt(0);
  const taper = r - s.radiusAt(1);
  const body = pathData(s.outline({ left: [left[0], left[0]], right: [right[0], right[0]], slant: [-far, -near] }));
  const all = tapeTicks(left[0] * r, right[0] * r, steps.value);
  const ticks = all
    .map(({ mm, size }) => strokes([s.forward(mm / r, -near), s.forward(mm / r, -near - LONG.rim[size] * px.value)]))
    .join('');
  const labels = all.slice(CLEAR, -CLEAR).flatMap(({ mm, text }) => {
    if (!text) return [];
    const at = s.forward(mm / r, -near - 10.5 * px.value);
    return [{ x: at.x, y: -at.y, turn: (taper * mm * 180) / (r * Math.PI), text }];
  });
  return { body, ticks, labels };
});

const side = computed(() => {
  const s = surface.value;
  const { left } = props.region;
  const { length } = props;
  const a = s.forward(left[0], 0);
  const b = s.forward(left[1], length);
  const ux = (b.x - a.x) / length;
  const uy = (b.y - a.y) / length;
  // Outward is to the left when looking down the side from the rim.
  const nx = uy;
  const ny = -ux;
  const point = (along: number, out: number): { x: number; y: number } => ({
    x: a.x + ux * along + nx * out * px.value,
    y: a.y + uy * along + ny * out * px.value,
  });
  const body = `${strokes([point(0, 8), point(0, 27), point(length, 27), point(length, 8)])}Z`;
  const all = tapeTicks(0, length, steps.value).filter(({ mm }) => mm > 0 && mm < length - 1);
  const ticks = all.map(({ mm, size }) => strokes([point(mm, 8), point(mm, 8 + LONG.side[size])])).join('');
  const labels = all.flatMap(({ mm, text }) => {
    const { x, y } = point(mm, 21);
    return text ? [{ x, y: -y, text }] : [];
  });
  return { body, ticks, labels, turn: ((s.radiusAt(0) - s.radiusAt(1)) * left[0] * 180) / Math.PI };
});
</script>

<template>
  <g class="ruler dims">
    <path :d="rim.body" class="tape" />
    <path :d="rim.ticks" class="tick" />
    <text
      v-for="l in rim.labels"
      :key="`r${l.x}`"
      :transform="`translate(${l.x} ${l.y}) rotate(${l.turn})`"
      :font-size="11.5 * px"
      text-anchor="middle"
      >{{ l.text }}</text
    >
    <path :d="side.body" class="tape" />
    <path :d="side.ticks" class="tick" />
    <text
      v-for="l in side.labels"
      :key="`s${l.y}`"
      :transform="`translate(${l.x} ${l.y}) rotate(${side.turn})`"
      :font-size="11.5 * px"
      text-anchor="middle"
      :dy="4 * px"
      >{{ l.text }}</text
    >
  </g>
</template>

<style scoped>
.ruler {
  pointer-events: none;
}
.tape {
  fill: var(--tape);
}
.tick {
  fill: none;
  stroke: var(--tape-ink);
  stroke-width: 0.9;
  vector-effect: non-scaling-stroke;
}
text {
  fill: var(--tape-ink);
}
</style>
