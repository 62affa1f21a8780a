<script setup lang="ts">
import { coneDevelopment, formatLength, pathData, type Film } from '@mivet/core';
import { computed } from 'vue';
import type { GoodPicture } from '../../workers/protocol.ts';

/** Both ends of the wrap brought together, as they will meet on the blank. */
const props = defineProps<{ picture: GoodPicture; films: readonly Film[]; unit: 'mm' | 'in'; lap: number }>();

const HALF = 60;
const surface = computed(() => coneDevelopment(props.picture.template.cone));
const colours = computed(() => new Map(props.films.map((f) => [f.id, f.colour])));
const half = computed(() => HALF / props.picture.meanRadius);
const outline = computed(() =>
  pathData(
    surface.value.outline({
      left: [-half.value, -half.value],
      right: [half.value, half.value],
      slant: [0, props.picture.size.side],
    }),
  ),
);
/** As much of the height as carries film near the seam, so that the joint is seen large. */
const band = computed((): [number, number] => {
  const near = props.picture.pieces.filter(
    (p) => p.azimuths[1] > Math.PI - half.value || p.azimuths[0] < half.value - Math.PI,
  );
  const side = props.picture.size.side;
  if (near.length === 0) return [0, side];
  return [
    Math.max(0, Math.min(...near.map((p) => p.slants[0])) - 6),
    Math.min(side, Math.max(...near.map((p) => p.slants[1])) + 6),
  ];
});
const box = computed(() => {
  const b = surface.value.bounds({
    left: [-half.value, -half.value],
    right: [half.value, half.value],
    slant: band.value,
  });
  return `${b.minX - 4} ${-b.maxY - 3} ${b.maxX - b.minX + 8} ${b.maxY - b.minY + 6}`;
});
const meets = computed(() => props.picture.pieces.some((p) => p.cutAt !== null));
const words = computed(() => {
  const mm = (v: number): string => formatLength(v, props.unit);
  const { gapRim, gapBase } = props.picture.errors;
  if (!meets.value)
    return { title: 'Nothing crosses the seam.', why: 'The ends of the wrap are bare here; no film has to meet.' };
  if (props.lap > 0)
    return {
      title: `The ends lap by ${mm(props.lap)}.`,
      why: `Your readings may miss by ±${mm(Math.max(gapRim, gapBase))}; the lap covers it.`,
    };
  return {
    title: 'The ends butt here.',
    why: `Expect them within ±${mm(gapRim)} at the rim and ±${mm(gapBase)} at the base, from your readings.`,
  };
});
</script>

<template>
  <section class="window" aria-label="Seam window">
    <div class="words">
      <h2 class="dims">Seam window</h2>
      <p class="title">{{ words.title }}</p>
      <p class="quiet">{{ words.why }}</p>
    </div>
    <svg
      :viewBox="box"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      aria-label="Both ends of the wrap as they meet at the back"
    >
      <path :d="outline" class="sheet" />
      <path
        v-for="(piece, i) in picture.seam"
        :key="i"
        :d="piece.data"
        :fill="colours.get(piece.film)"
        fill-rule="evenodd"
      />
      <path :d="outline" class="edge" />
      <path :d="`M0 -2V${picture.size.side + 2}`" class="meet" />
    </svg>
  </section>
</template>

<style scoped>
.window {
  display: grid;
  grid-template-columns: minmax(15rem, 19rem) 1fr;
  gap: 1rem;
  flex: none;
  height: 138px;
  padding: 0.6rem 1.1rem;
  background: var(--paper-deep);
  border-top: 1px solid var(--hairline);
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
  margin-bottom: 0.6rem;
}
p {
  margin: 0;
}
.title {
  font-weight: 700;
}
svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
svg path {
  vector-effect: non-scaling-stroke;
}
.sheet {
  fill: var(--sheet);
}
.edge {
  fill: none;
  stroke: var(--on-sheet-2);
  stroke-width: 0.8;
}
.meet {
  stroke: var(--hatch);
  stroke-width: 1.3;
  stroke-dasharray: 4 3;
}
</style>
