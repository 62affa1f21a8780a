<script setup lang="ts">
import { useId } from 'vue';
import type { CupShape } from './cup-shape.ts';

/** A cup by itself, to be drawn on: what lies on it goes into the slot. */
defineProps<{ shape: CupShape; colour: string; hollow?: boolean }>();
const id = useId();
</script>

<template>
  <g>
    <defs>
      <linearGradient :id="id" x1="0" x2="1">
        <stop offset="0" stop-color="#1c2430" stop-opacity="0.36" />
        <stop offset="0.3" stop-color="#ffffff" stop-opacity="0.45" />
        <stop offset="0.55" stop-color="#ffffff" stop-opacity="0" />
        <stop offset="1" stop-color="#1c2430" stop-opacity="0.4" />
      </linearGradient>
    </defs>
    <ellipse class="shadow" cx="0" :cy="shape.foot.y + 2" :rx="shape.rim.rx * 1.15" :ry="shape.rim.rx * 0.22" />
    <path :d="shape.body" :fill="colour" :fill-opacity="hollow ? 0.45 : 1" />
    <ellipse v-if="!hollow" cx="0" cy="0" :rx="shape.rim.rx" :ry="shape.rim.ry" class="mouth" />
    <slot />
    <path :d="shape.body" :fill="`url(#${id})`" :fill-opacity="hollow ? 0.5 : 1" class="edge" />
    <ellipse v-if="hollow" cx="0" cy="0" :rx="shape.rim.rx" :ry="shape.rim.ry" class="open" />
  </g>
</template>

<style scoped>
.shadow {
  fill: var(--ink);
  opacity: 0.1;
}
.edge {
  stroke: #5b6471;
  stroke-width: 0.4;
  pointer-events: none;
}
.mouth {
  fill: #6f767d;
  stroke: #f4f1e8;
  stroke-width: 1;
}
.open {
  fill: none;
  stroke: #5b6471;
  stroke-width: 0.6;
}
</style>
