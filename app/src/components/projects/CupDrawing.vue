<script setup lang="ts">
import type { Blank, Film } from '@mivet/core';
import { computed, useId } from 'vue';
import type { GoodPicture } from '../../workers/protocol.ts';

/** The blank seen level from the front, with what faces the viewer projected on it; for lists and bench pictures. */
const props = defineProps<{ blank: Blank; picture: GoodPicture | null; films: readonly Film[] }>();
const id = useId();
const shape = computed(() => {
  const size = props.picture?.size;
  const tapered = props.blank.kind === 'tapered';
  const r1 = (size?.rim.surface ?? 250) / (2 * Math.PI);
  const r2 = (size?.base.surface ?? (tapered ? 200 : 250)) / (2 * Math.PI);
  const side = size?.side ?? 110;
  const k = (r1 - r2) / side;
  const up = Math.sqrt(Math.max(0.1, 1 - k * k));
  const top = -props.blank.bandBelowRimMm;
  const foot = side + 4;
  const r = (v: number): number => r1 - k * v;
  const flat = 0.16;
  const y = (v: number): number => v * up;
  const body = `M${-r(top)} ${y(top)}L${-r(foot)} ${y(foot)}A${r(foot)} ${r(foot) * flat} 0 0 0 ${r(foot)} ${y(foot)}L${r(top)} ${y(top)}A${r(top)} ${r(top) * flat} 0 0 0 ${-r(top)} ${y(top)}Z`;
  return { r, y, up, top, foot, flat, body, widest: Math.max(r(top), r(foot)) };
});
const view = computed(() => {
  const { widest, y, top, foot, flat } = shape.value;
  const handle = props.blank.handleWidthMm > 0 ? 30 : 0;
  return `${-widest - 6} ${y(top) - widest * flat - 5} ${2 * widest + 12 + handle} ${y(foot) - y(top) + 2 * widest * flat + 12}`;
});
const pieces = computed(() => {
  const p = props.picture;
  if (!p) return [];
  const { r, y, flat } = shape.value;
  return p.pieces.flatMap((piece) => {
    const data = piece.rings.map((ring) => {
      let path = '';
      for (let i = 0; i < ring.length; i += 2) {
        // Seen from the front: what is behind the edge is held at the edge.
        const azimuth = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, ring[i]! / p.meanRadius));
        const v = -ring[i + 1]!;
        path += `${i === 0 ? 'M' : 'L'}${(r(v) * Math.sin(azimuth)).toFixed(2)} ${(y(v) + r(v) * flat * Math.cos(azimuth)).toFixed(2)}`;
      }
      return `${path}Z`;
    });
    const behind = piece.azimuths[0] > Math.PI / 2 || piece.azimuths[1] < -Math.PI / 2;
    return behind ? [] : [{ id: piece.id, film: piece.film, data: data.join('') }];
  });
});
const colour = (film: string): string => props.films.find((f) => f.id === film)?.colour ?? '#888888';
const handle = computed(() => {
  const { r, y, foot } = shape.value;
  const side = foot * 0.9;
  const x = r(side / 2) - 2;
  return `M${x} ${y(side * 0.2)}C${x + 40} ${y(side * 0.12)} ${x + 36} ${y(side * 0.86)} ${x} ${y(side * 0.84)}`;
});
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
      v-if="blank.handleWidthMm > 0"
      :d="handle"
      fill="none"
      :stroke="blank.colour"
      stroke-width="9"
      class="handle"
    />
    <path :d="shape.body" :fill="blank.colour" />
    <path v-for="p in pieces" :key="p.id" :d="p.data" :fill="colour(p.film)" fill-rule="evenodd" />
    <path :d="shape.body" :fill="`url(#${id}-l)`" stroke="#5b6471" stroke-width="0.8" />
    <ellipse
      cx="0"
      :cy="shape.y(shape.top)"
      :rx="shape.r(shape.top)"
      :ry="shape.r(shape.top) * shape.flat"
      fill="#3a424d"
      fill-opacity="0.78"
      stroke="#f4f1e8"
      stroke-width="2"
    />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
}
.handle {
  filter: brightness(0.86);
}
</style>
