<script setup lang="ts">
import type { JobSheet, SurfaceKind } from '@mivet/core';
import { computed } from 'vue';

/** The film stack as a section through the wall of the blank: the wall below, films above in their order. */
const props = defineProps<{ needs: JobSheet['needs']; surface: SurfaceKind }>();
/** px per mm of film: an exaggeration that is stated beside the picture. */
const EXAGGERATION = 120;
const WALL = 26;
const widest = computed(() => Math.max(...props.needs.map((n) => n.areaMm2)));
const layers = computed(() => {
  let y = 0;
  return props.needs.map((need) => {
    const height = Math.max(6, need.film.thicknessMm * EXAGGERATION);
    y -= height;
    const width = 180 + 320 * Math.sqrt(need.areaMm2 / widest.value);
    return { need, y, height, width };
  });
});
/** Labels keep a line's room from each other; a hairline leads each to its layer. */
const LINE = 19;
const labels = computed(() =>
  layers.value.map((l, i) => ({
    need: l.need,
    from: l.y + l.height / 2,
    to: Math.min(l.y + l.height / 2, -LINE * (i + 0.5)),
  })),
);
const top = computed(() => Math.min(...layers.value.map((l) => l.y), ...labels.value.map((l) => l.to - LINE / 2)));
</script>

<template>
  <section class="wall" aria-label="Film stack, section through the wall">
    <div>
      <h2 class="dims">Film stack, section through the wall</h2>
      <p class="quiet small">
        Films in the order they are laid, the blank at the bottom. Thickness drawn about 100 times too large, width by
        area.
      </p>
    </div>
    <svg
      :viewBox="`-260 ${top - 8} 720 ${WALL - top + 14}`"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      aria-label="Section through the wall with the films on it"
    >
      <rect x="-250" y="0" width="500" :height="WALL" class="blank" />
      <text x="266" :y="WALL / 2 + 5" class="dims word" font-size="15">{{ surface }}</text>
      <g v-for="l in layers" :key="l.need.film.id">
        <rect :x="-l.width / 2" :y="l.y" :width="l.width" :height="l.height" :fill="l.need.film.colour" class="layer" />
      </g>
      <g v-for="l in labels" :key="`l-${l.need.film.id}`">
        <path :d="`M252 ${l.from}L262 ${l.to}`" class="lead" />
        <text x="266" :y="l.to + 5" class="dims word" font-size="15">
          {{ l.need.film.name }} {{ l.need.film.thicknessMm.toFixed(2) }} mm
        </text>
      </g>
    </svg>
  </section>
</template>

<style scoped>
.wall {
  flex: none;
  display: grid;
  grid-template-columns: minmax(14rem, 17rem) 1fr;
  gap: 1rem;
  height: 132px;
  padding: 0.6rem 1.1rem;
  background: var(--paper-deep);
  border-top: 1px solid var(--hairline);
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
  margin-bottom: 0.4rem;
}
svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.blank {
  fill: color-mix(in srgb, var(--ink-2) 45%, var(--paper));
}
.layer {
  stroke: color-mix(in srgb, var(--ink) 25%, transparent);
  stroke-width: 0.7;
}
.lead {
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
.word {
  fill: var(--ink);
}
</style>
