<script setup lang="ts">
import { nearFront } from '@mivet/core';
import type { Development } from '@mivet/core';
import { computed } from 'vue';
import type { DragGuides } from '../../stores/view.ts';

/** What holds a dragged item, and how far it is from the rim and from the front. */
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
/** Below the item, or above it where there is no room below: what holds it, and where it is. */
const said = computed(() => {
  const { box, down, round } = props.guides;
  const line = 15 / props.scale;
  const low = box.slant + box.heightMm / 2 + 2.2 * line > props.side;
  const azimuth = nearFront(box.azimuth);
  const p = props.surface.forward(azimuth, low ? box.slant - box.heightMm / 2 : box.slant + box.heightMm / 2);
  const held = lines.value.map(({ text }) => text);
  const rows = [`${down}, ${round}`, ...held];
  const y = -p.y + (low ? -line * (rows.length - 0.4) : 1.2 * line);
  return rows.map((text, i) => ({ text, x: p.x, y: y + i * line, held: i > 0 }));
});
</script>

<template>
  <g class="guides dims" aria-live="off">
    <path v-for="(l, i) in lines" :key="i" :d="l.data" />
    <text
      v-for="(row, i) in said"
      :key="i"
      :x="row.x"
      :y="row.y"
      :font-size="14 / scale"
      :stroke-width="4 / scale"
      :class="{ held: row.held }"
      text-anchor="middle"
    >
      {{ row.text }}
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
text {
  fill: var(--on-sheet);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-linejoin: round;
}
text.held {
  fill: #0c6764;
  font-weight: 600;
}
</style>
