<script setup lang="ts">
import { frontOf, wholeTurns } from '@mivet/core';
import type { Blank, Film, GoodViewModel, NameViewModel, SolidViewModel } from '@mivet/core';
import { computed, useId } from 'vue';
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { shapeOfBlank } from '../stage/solid-shape.ts';

/** The blank seen level from the front, with what faces the viewer projected on it; for lists and bench pictures. */
const props = defineProps<{
  blank: Blank;
  viewModel: (SolidViewModel & Partial<Pick<GoodViewModel, 'pieces'>>) | null;
  films: readonly Film[];
  /** What lies on it, when that is not what the picture has. */
  pieces?: NameViewModel['pieces'];
  /** Azimuth that is seen in the middle, rad; 0 is the front. */
  facing?: number;
}>();
const id = useId();
const solid = computed(() => shapeOfBlank(props.blank, props.viewModel));
const round = computed(() => solid.value.body === 'turned');
const front = computed(() => frontOf(solid.value));
const view = computed(() => {
  const { x, y, width, height } = front.value.box;
  const handle = props.blank.handleWidthMm > 0 && round.value ? 30 : 0;
  return `${facing.value < 0 ? x - handle : x} ${y} ${width + handle} ${height}`;
});
const facing = computed(() => (round.value ? (props.facing ?? 0) : 0));
const pieces = computed(() => {
  const p = props.viewModel;
  if (!p) return [];
  return (props.pieces ?? (p.pieces ?? []).filter((piece) => !piece.spare)).flatMap((piece) => {
    // As it is seen from there, with its middle within half a turn.
    const middle = (piece.azimuths[0] + piece.azimuths[1]) / 2 - facing.value;
    const shift = -facing.value - wholeTurns(middle);
    const data = piece.rings.map((ring) => {
      let path = '';
      for (let i = 0; i < ring.length; i += 2) {
        const [x, y] = front.value.at(ring[i]! / p.meanRadius + shift, -ring[i + 1]!);
        path += `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`;
      }
      return `${path}Z`;
    });
    const behind = round.value && (piece.azimuths[0] + shift > Math.PI / 2 || piece.azimuths[1] + shift < -Math.PI / 2);
    return behind ? [] : [{ id: piece.id, film: piece.film, data: data.join('') }];
  });
});
const colours = useFilmColours(
  () => props.films,
  () => props.blank.colour,
);
const handle = computed(() => front.value.handle?.(facing.value < 0 ? -1 : 1) ?? '');
</script>

<template>
  <svg :viewBox="view" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
    <defs>
      <linearGradient :id="`${id}-l`" x1="0" x2="1">
        <stop offset="0" stop-color="#1c2430" stop-opacity="0.34" />
        <stop offset="0.3" stop-color="#ffffff" stop-opacity="0.4" />
        <stop offset="0.55" stop-color="#ffffff" stop-opacity="0" />
        <stop offset="1" stop-color="#1c2430" stop-opacity="0.38" />
      </linearGradient>
    </defs>
    <path
      v-if="round && blank.handleWidthMm > 0"
      :d="handle"
      fill="none"
      :stroke="blank.colour"
      stroke-width="9"
      class="handle"
    />
    <path v-if="front.topper" :d="front.topper" :fill="blank.colour" class="detail" />
    <path :d="front.body" :fill="blank.colour" />
    <path v-for="p in pieces" :key="p.id" :d="p.data" fill-rule="evenodd" v-bind="colours.of(p.film)" class="film" />
    <path :d="front.body" :fill="`url(#${id}-l)`" stroke="#5b6471" stroke-width="0.8" />
    <path v-if="front.hole" :d="front.hole" class="hole" />
    <ellipse
      v-if="front.rim"
      cx="0"
      :cy="front.rim.y"
      :rx="front.rim.rx"
      :ry="front.rim.ry"
      fill="#3a424d"
      fill-opacity="0.78"
      stroke="#f4f1e8"
      stroke-width="2"
    />
  </svg>
</template>

<style scoped>
.film {
  vector-effect: non-scaling-stroke;
}
svg {
  width: 100%;
  height: 100%;
}
.handle {
  filter: brightness(0.86);
}
.detail {
  filter: brightness(0.8);
  stroke: #5b6471;
  stroke-width: 0.8;
}
.hole {
  fill: #3a424d;
}
</style>
