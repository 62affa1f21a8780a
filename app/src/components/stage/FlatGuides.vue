<script setup lang="ts">
import { nearFront } from '@mivet/core';
import type { Development } from '@mivet/core';
import { computed } from 'vue';
import type { DragGuides } from '../../stores/view.ts';

/** What holds a dragged item, and how far it is from what is about it. */
const props = defineProps<{ guides: DragGuides; surface: Development; scale: number; side: number }>();

const at = (azimuth: number, slant: number): string => {
  const p = props.surface.forward(azimuth, slant);
  return `${p.x.toFixed(2)} ${(-p.y).toFixed(2)}`;
};
/** A line along a level, as the rim runs. */
function level(from: number, to: number, slant: number): string {
  const n = 24;
  return `M${Array.from({ length: n + 1 }, (_, i) => at(from + ((to - from) * i) / n, slant)).join('L')}`;
}
const lines = computed(() =>
  props.guides.lines.map(({ axis, at: where, text }) => {
    const turn = nearFront(where);
    return {
      text,
      data: axis === 'down' ? level(-Math.PI, Math.PI, where) : `M${at(turn, 0)}L${at(turn, props.side)}`,
    };
  }),
);
/** From the item to what is nearest on each side of it, with how far that is. */
const gaps = computed(() =>
  props.guides.gaps.map(({ way, ends: [a, b], text }) => {
    const [p, q] = [props.surface.forward(a.azimuth, a.slant), props.surface.forward(b.azimuth, b.slant)];
    const flat = way === 'left' || way === 'right';
    return {
      text,
      data: flat ? level(a.azimuth, b.azimuth, a.slant) : `M${at(a.azimuth, a.slant)}L${at(b.azimuth, b.slant)}`,
      x: (p.x + q.x) / 2 + (flat ? 0 : 6 / props.scale),
      y: -(p.y + q.y) / 2 - (flat ? 6 / props.scale : 0),
      anchor: flat ? 'middle' : 'start',
    } as const;
  }),
);
</script>

<template>
  <g class="guides dims" aria-live="off">
    <path v-for="(g, i) in gaps" :key="`g${i}`" :d="g.data" class="gap" />
    <path v-for="(l, i) in lines" :key="i" :d="l.data" />
    <text
      v-for="(g, i) in gaps"
      :key="`t${i}`"
      :x="g.x"
      :y="g.y"
      :font-size="12.5 / scale"
      :stroke-width="4 / scale"
      :text-anchor="g.anchor"
    >
      {{ g.text }}
    </text>
  </g>
</template>

<style scoped>
.guides {
  pointer-events: none;
}
path {
  fill: none;
  stroke: #0c6764;
  stroke-width: 1.6;
  vector-effect: non-scaling-stroke;
}
path.gap {
  stroke: var(--on-sheet-2);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
text {
  fill: var(--on-sheet);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-linejoin: round;
}
</style>
