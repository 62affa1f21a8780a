<script setup lang="ts">
import type { CutterLoad, HeadNews } from '@mivet/core';
import { computed } from 'vue';
import { useEdge } from '../../composables/useFilmColours.ts';
import { isLight } from './is-light.ts';
import { cutSoFar, linesData } from './stroke-lines.ts';

/** The load that lies in the cutter: what is cut already, what is not, and where the head is. */
const props = defineProps<{
  load: CutterLoad;
  lines: readonly (readonly number[])[];
  head: HeadNews | null;
}>();
const edge = useEdge('board');
const wide = computed(() => props.load.board.widthMm);
const long = computed(() => {
  const { board, strips } = props.load;
  return board.lengthMm <= 700 ? board.lengthMm : Math.max(...strips.map((s) => s.to)) + 60;
});
const doneMm = computed(() => (props.head?.id === props.load.id ? props.head.doneMm : props.load.doneMm));
const all = computed(() => linesData(props.lines, wide.value));
const cut = computed(() => linesData(cutSoFar(props.lines, doneMm.value), wide.value));
const at = computed(() => {
  const news = props.head?.id === props.load.id ? props.head : null;
  if (news) return { x: news.x, y: wide.value - news.y, down: news.down };
  const last = cutSoFar(props.lines, doneMm.value).at(-1);
  return last && props.load.state === 'stopped'
    ? { x: last.at(-2)!, y: wide.value - last.at(-1)!, down: false }
    : { x: 0, y: wide.value, down: false };
});
const isCutting = computed(() => props.load.state === 'cutting');
/** Cuts are drawn over all the films at once: in ink where most of the film is light. */
const dark = computed(() => props.load.strips.filter((s) => isLight(s.colour)).length * 2 > props.load.strips.length);
</script>

<template>
  <svg
    :viewBox="`-14 -14 ${long + 28} ${wide + 28}`"
    preserveAspectRatio="xMidYMid meet"
    role="img"
    :aria-label="`Load ${load.number} of ${load.title} in the cutter`"
  >
    <rect x="0" y="0" :width="long" :height="wide" rx="2" class="board" />
    <rect
      v-for="(s, i) in load.strips"
      :key="i"
      :x="s.from"
      :y="wide - s.high"
      :width="s.to - s.from"
      :height="s.high - s.low"
      :fill="s.colour"
      :stroke="edge(s.colour) ?? undefined"
    />
    <path :d="all" class="line" :class="{ dark }" />
    <path :d="cut" class="line cut" :class="{ dark }" />
    <g class="head" :class="{ down: at.down }" :transform="`translate(${at.x} ${at.y})`">
      <path :d="`M0 ${-at.y - 14}V${wide - at.y + 14}`" class="rail" />
      <circle r="6" class="carriage" />
      <circle r="2" class="blade" />
    </g>
    <text v-if="!isCutting" x="4" y="-4" class="dims word" font-size="9">Head at rest</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.board {
  fill: color-mix(in srgb, var(--paper-deep) 92%, var(--ink));
  stroke: var(--ink-2);
  stroke-width: 0.5;
}
.line {
  fill: none;
  stroke: #fff;
  stroke-width: 1;
  stroke-dasharray: 2 2.5;
  opacity: 0.75;
  vector-effect: non-scaling-stroke;
}
.line.dark {
  stroke: #1c2430;
}
.line.cut {
  stroke-width: 2;
  stroke-dasharray: none;
  opacity: 1;
}
.rail {
  stroke: var(--ink-2);
  stroke-width: 3;
  opacity: 0.35;
}
.carriage {
  fill: var(--slip);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.blade {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}
.down .blade {
  fill: var(--brick);
  stroke: var(--brick);
}
.word {
  fill: var(--ink-2);
}
</style>
