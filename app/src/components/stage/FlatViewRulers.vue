<script setup lang="ts">
import type { ShapeViewModel, Units } from '@mivet/core';
import { coneDevelopment, pathData } from '@mivet/core';
import { computed } from 'vue';

/** Two measuring tapes: one bent along the rim edge, zero in front; one down the left side, zero at the rim. */
const props = defineProps<{ viewModel: ShapeViewModel; scale: number; unit: Units }>();

const surface = computed(() => coneDevelopment(props.viewModel.template.cone));
const px = computed(() => 1 / props.scale);
/** Ticks every `small`, longer every `middle`, numbered every `big`; mm. */
const steps = computed(() => {
  if (props.unit !== 'mm') return { small: 25.4 / 8, middle: 25.4 / 2, big: 25.4, per: 25.4 };
  const small = props.scale > 1.5 ? 1 : props.scale > 0.6 ? 2 : 5;
  return { small, middle: 5 * small, big: props.scale > 0.6 ? 20 : 50, per: 1 };
});

const rim = computed(() => {
  const near = 8 * px.value;
  const far = 27 * px.value;
  const { left, right } = props.viewModel.band.region;
  const s = surface.value;
  const r = s.radiusAt(0);
  const taper = r - s.radiusAt(1);
  const body = pathData(s.outline({ left: [left[0], left[0]], right: [right[0], right[0]], slant: [-far, -near] }));
  const { small, middle, big, per } = steps.value;
  let ticks = '';
  const labels: { x: number; y: number; turn: number; text: string }[] = [];
  const [low, high] = [Math.ceil((left[0] * r) / small), Math.floor((right[0] * r) / small)];
  for (let i = low; i <= high; i++) {
    const mm = i * small;
    const azimuth = mm / r;
    const isBig = Math.abs(mm / big - Math.round(mm / big)) < 1e-6;
    const isMiddle = Math.abs(mm / middle - Math.round(mm / middle)) < 1e-6;
    const a = s.forward(azimuth, -near);
    const b = s.forward(azimuth, -near - (isBig ? 9 : isMiddle ? 7 : 4) * px.value);
    ticks += `M${a.x} ${-a.y}L${b.x} ${-b.y}`;
    if (isBig && i > low + 3 && i < high - 3) {
      const at = s.forward(azimuth, -near - 10.5 * px.value);
      labels.push({
        x: at.x,
        y: -at.y,
        turn: (taper * azimuth * 180) / Math.PI,
        text: String(Math.round(Math.abs(mm) / per)),
      });
    }
  }
  return { body, ticks, labels };
});

const side = computed(() => {
  const s = surface.value;
  const { left } = props.viewModel.band.region;
  const length = props.viewModel.size.side;
  const a = s.forward(left[0], 0);
  const b = s.forward(left[1], length);
  const ux = (b.x - a.x) / length;
  const uy = (b.y - a.y) / length;
  // Outward is to the left when looking down the side from the rim.
  const nx = uy;
  const ny = -ux;
  const at = (along: number, out: number): string =>
    `${a.x + ux * along + nx * out * px.value} ${-(a.y + uy * along + ny * out * px.value)}`;
  const point = (along: number, out: number): { x: number; y: number } => ({
    x: a.x + ux * along + nx * out * px.value,
    y: -(a.y + uy * along + ny * out * px.value),
  });
  const body = `M${at(0, 8)}L${at(0, 27)}L${at(length, 27)}L${at(length, 8)}Z`;
  const { small, middle, big, per } = steps.value;
  let ticks = '';
  const labels: { x: number; y: number; text: string }[] = [];
  for (let i = 1; i * small < length - 1; i++) {
    const mm = i * small;
    const isBig = Math.abs(mm / big - Math.round(mm / big)) < 1e-6;
    const isMiddle = Math.abs(mm / middle - Math.round(mm / middle)) < 1e-6;
    ticks += `M${at(mm, 8)}L${at(mm, 8 + (isBig ? 8 : isMiddle ? 7 : 4))}`;
    if (isBig) labels.push({ ...point(mm, 21), text: String(Math.round(mm / per)) });
  }
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
