<script setup lang="ts">
import { wholeTurns } from '@mivet/core';
import type { Blank, Film, GoodPicture, NamePicture, SolidPicture } from '@mivet/core';
import { computed, useId } from 'vue';
import { rowAt, shapeOfBlank } from '../stage/solid-shape.ts';

/** The blank seen level from the front, with what faces the viewer projected on it; for lists and bench pictures. */
const props = defineProps<{
  blank: Blank;
  picture: (SolidPicture & Partial<Pick<GoodPicture, 'pieces'>>) | null;
  films: readonly Film[];
  /** What lies on it, when that is not what the picture has. */
  pieces?: NamePicture['pieces'];
  /** Azimuth that is seen in the middle, rad; 0 is the front. */
  facing?: number;
}>();
const id = useId();
/** How flat the rim looks, seen a little from above. */
const FLAT = 0.16;
const solid = computed(() => shapeOfBlank(props.blank, props.picture));
const round = computed(() => solid.value.form === 'round');
const at = (slant: number): { r: number; y: number } => {
  const [, r, height] = rowAt(solid.value.rows, slant);
  return { r, y: -height };
};
/** The outline, what shades it, and the box that holds it; mm, y down. */
const shape = computed(() => {
  const { form, rows, side, width, above, below, ball, hole } = solid.value;
  if (form === 'round') {
    const [top, foot] = [at(-above), at(side + below)];
    const line = (sign: 1 | -1, list: typeof rows): string =>
      list.map(([, r, h]) => `${(sign * r).toFixed(2)} ${(-h).toFixed(2)}`).join('L');
    const body = `M${line(-1, rows)}A${foot.r} ${foot.r * FLAT} 0 0 0 ${foot.r} ${foot.y}L${line(1, [...rows].reverse())}A${top.r} ${top.r * FLAT} 0 0 0 ${-top.r} ${top.y}Z`;
    const widest = Math.max(...rows.map(([, r]) => r));
    return {
      body,
      rim: { r: top.r, y: top.y },
      box: [-widest - 6, top.y - top.r * FLAT - 5, 2 * widest + 12, foot.y - top.y + (top.r + foot.r) * FLAT + 12],
      detail: '',
    };
  }
  if (form === 'ball') {
    const { radius: a, halfLength: c } = ball;
    const cap = solid.value.topper === 'cap' ? a * 0.3 : 0;
    const neck = solid.value.topper === 'neck' ? a * 0.16 : 0;
    return {
      body: `M${-a} 0A${a} ${c} 0 0 1 ${a} 0A${a} ${c} 0 0 1 ${-a} 0Z`,
      rim: null,
      box: [-a - 6, -c - cap - 6, 2 * a + 12, 2 * c + cap + neck + 12],
      detail: cap
        ? `M${-a * 0.18} ${-c * 0.98}V${-c - cap * 0.7}H${a * 0.18}V${-c * 0.98}`
        : `M${-a * 0.05} ${c}L${-a * 0.1} ${c + neck}H${a * 0.1}L${a * 0.05} ${c}`,
    };
  }
  const w = width / 2;
  const circle = (r: number, y: number): string => `M${-r} ${y}A${r} ${r} 0 0 1 ${r} ${y}A${r} ${r} 0 0 1 ${-r} ${y}Z`;
  return {
    body: form === 'disk' ? circle(w, side / 2) : `M${-w} 0H${w}V${side}H${-w}Z`,
    rim: null,
    box: [-w - 6, -6, width + 12, side + 12],
    detail: hole[0] > 0 ? circle(hole[0] / 2, side / 2 - hole[1]) : '',
  };
});
const view = computed(() => {
  const [x, y, w, h] = shape.value.box as [number, number, number, number];
  const handle = props.blank.handleWidthMm > 0 && round.value ? 30 : 0;
  return `${facing.value < 0 ? x - handle : x} ${y} ${w + handle} ${h}`;
});
/** Where a spot of the side is drawn. */
function drawn(azimuth: number, slant: number): [number, number] {
  const { form, width, side, ball } = solid.value;
  if (form === 'round') {
    // Seen from the front: what is behind the edge is held at the edge.
    const seen = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, azimuth));
    const { r, y } = at(slant);
    return [r * Math.sin(seen), y + r * FLAT * Math.cos(seen)];
  }
  const x = (azimuth * width) / (2 * Math.PI);
  return form === 'ball' ? [x, slant - side / 2 - ball.halfLength * Math.sin(ball.latitude)] : [x, slant];
}
const facing = computed(() => (round.value ? (props.facing ?? 0) : 0));
const pieces = computed(() => {
  const p = props.picture;
  if (!p) return [];
  return (props.pieces ?? (p.pieces ?? []).filter((piece) => !piece.spare)).flatMap((piece) => {
    // As it is seen from there, with its middle within half a turn.
    const middle = (piece.azimuths[0] + piece.azimuths[1]) / 2 - facing.value;
    const shift = -facing.value - wholeTurns(middle);
    const data = piece.rings.map((ring) => {
      let path = '';
      for (let i = 0; i < ring.length; i += 2) {
        const [x, y] = drawn(ring[i]! / p.meanRadius + shift, -ring[i + 1]!);
        path += `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`;
      }
      return `${path}Z`;
    });
    const behind = round.value && (piece.azimuths[0] + shift > Math.PI / 2 || piece.azimuths[1] + shift < -Math.PI / 2);
    return behind ? [] : [{ id: piece.id, film: piece.film, data: data.join('') }];
  });
});
const colour = (film: string): string => props.films.find((f) => f.id === film)?.colour ?? '#888888';
const handle = computed(() => {
  const { side, above, below } = solid.value;
  const down = (share: number): number => at(-above + (side + above + below) * share).y;
  // It stands at the back; from the front it is drawn where it does not hide.
  const way = facing.value < 0 ? -1 : 1;
  const x = way * (at(side / 2).r - 2);
  return `M${x} ${down(0.22)}C${x + way * 40} ${down(0.14)} ${x + way * 36} ${down(0.84)} ${x} ${down(0.82)}`;
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
      v-if="round && blank.handleWidthMm > 0"
      :d="handle"
      fill="none"
      :stroke="blank.colour"
      stroke-width="9"
      class="handle"
    />
    <path
      v-if="shape.detail && !shape.rim && solid.form === 'ball'"
      :d="shape.detail"
      :fill="blank.colour"
      class="detail"
    />
    <path :d="shape.body" :fill="blank.colour" />
    <path v-for="p in pieces" :key="p.id" :d="p.data" :fill="colour(p.film)" fill-rule="evenodd" />
    <path :d="shape.body" :fill="`url(#${id}-l)`" stroke="#5b6471" stroke-width="0.8" />
    <path v-if="shape.detail && solid.form === 'disk'" :d="shape.detail" class="hole" />
    <ellipse
      v-if="shape.rim"
      cx="0"
      :cy="shape.rim.y"
      :rx="shape.rim.r"
      :ry="shape.rim.r * FLAT"
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
.detail {
  filter: brightness(0.8);
  stroke: #5b6471;
  stroke-width: 0.8;
}
.hole {
  fill: #3a424d;
}
</style>
