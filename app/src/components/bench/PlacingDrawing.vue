<script setup lang="ts">
import { formatLength, type Film, type PlacedOnCard, type PlacingCard, type Units } from '@mivet/core';
import { computed } from 'vue';
import { useFilmColours } from '../../composables/useFilmColours.ts';

/** The side unrolled with every figure that is laid by itself: how far below the rim, and how far round from the front. */
const props = defineProps<{ card: PlacingCard; films: readonly Film[]; unit: Units }>();
const colours = useFilmColours(() => props.films);
/** Dimensions are drawn for so many; of more the list says them. */
const DRAWN = 8;
const width = computed(() => 2 * props.card.halfMm);
const height = computed(() => props.card.toMm - props.card.fromMm);
/** mm of a letter on the drawing. */
const letter = computed(() => Math.max(3.2, Math.min(width.value / 44, height.value / 14)));
const view = computed(() => {
  const room = letter.value * 1.6;
  return [-props.card.halfMm - room, props.card.fromMm - room, width.value + 2 * room, height.value + 2 * room].join(
    ' ',
  );
});
const dimensioned = computed(() => props.card.figures.length <= DRAWN);
const roundText = ({ roundMm }: PlacedOnCard): string =>
  Math.abs(roundMm) < 0.5 ? 'front' : formatLength(Math.abs(roundMm), props.unit);
const roundWords = (figure: PlacedOnCard): string =>
  Math.abs(figure.roundMm) < 0.5
    ? 'in front'
    : `${formatLength(Math.abs(figure.roundMm), props.unit)} ${figure.roundMm > 0 ? 'right' : 'left'}`;
</script>

<template>
  <div class="placing">
    <svg :viewBox="view" role="img" aria-label="Where each figure goes on the side, seen from outside">
      <rect :x="-card.halfMm" :y="card.fromMm" :width="width" :height="height" class="side" />
      <path :d="`M${-card.halfMm} 0H${card.halfMm}`" class="band" />
      <path :d="`M0 ${card.fromMm}V${card.toMm}`" class="front" />
      <text :x="letter * 0.4" :y="card.toMm - letter * 0.5" :font-size="letter" class="quiet-text">front</text>
      <text :x="-card.halfMm + letter * 0.4" :y="card.fromMm + letter * 1.1" :font-size="letter" class="quiet-text">
        rim
      </text>
      <g v-for="f in card.figures" :key="f.number">
        <path v-for="(s, i) in f.shapes" :key="i" :d="s.data" fill-rule="evenodd" v-bind="colours.of(s.film)" />
        <template v-if="dimensioned">
          <path :d="`M${f.x} ${card.fromMm}V${f.top}`" class="dimension" />
          <path :d="`M0 ${f.middle}H${f.x}`" class="dimension" />
          <text :x="f.x + letter * 0.35" :y="f.top - letter * 0.6" :font-size="letter">
            {{ formatLength(f.belowMm, unit) }}
          </text>
          <text
            v-if="Math.abs(f.roundMm) >= 0.5"
            :x="f.x / 2"
            :y="f.middle - letter * 0.35"
            :font-size="letter"
            text-anchor="middle"
          >
            {{ roundText(f) }}
          </text>
        </template>
        <circle :cx="f.x" :cy="f.middle" :r="letter * 0.85" class="disc" />
        <text :x="f.x" :y="f.middle + letter * 0.36" :font-size="letter" text-anchor="middle" class="number">
          {{ f.number }}
        </text>
      </g>
    </svg>
    <ol>
      <li v-for="f in card.figures" :key="f.number">
        <strong>{{ f.number }}</strong> {{ f.name }}
        <span class="dims">top {{ formatLength(f.belowMm, unit) }} below the rim, middle {{ roundWords(f) }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.placing {
  margin: 0 0 1rem;
}
svg {
  width: 100%;
  max-height: 46vh;
  background: var(--sheet);
  border: 1px solid var(--hairline);
}
path,
rect,
circle {
  vector-effect: non-scaling-stroke;
}
.side {
  fill: none;
  stroke: var(--on-sheet);
  stroke-width: 1.3;
}
.band {
  stroke: var(--on-sheet-2);
  stroke-dasharray: 2 3;
}
.front {
  stroke: var(--on-sheet-2);
  stroke-dasharray: 7 4;
}
.dimension {
  stroke: var(--on-sheet-2);
  stroke-width: 1;
}
text {
  fill: var(--on-sheet);
  font-family: var(--dims-font, inherit);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
  stroke-linejoin: round;
}
.quiet-text {
  fill: var(--on-sheet-2);
}
.disc {
  fill: var(--sheet);
  stroke: var(--on-sheet);
}
.number {
  stroke: none;
  font-weight: 700;
}
ol {
  list-style: none;
  margin: 0.5rem 0 0;
  padding: 0;
  columns: 2 18rem;
  max-height: 30vh;
  overflow-y: auto;
}
li {
  break-inside: avoid;
  padding: 0.15rem 0;
}
li .dims {
  display: block;
}
</style>
