<script setup lang="ts">
import {
  formatLength,
  profileOf,
  summariseReading,
  takenOffGirth,
  type Blank,
  type Reading,
  type Station,
  type Units,
} from '@mivet/core';
import { computed, ref } from 'vue';
import { leaveField } from '../../composables/hand.ts';
import { useGrips } from '../../composables/useGrips.ts';
import type { Asked } from '@mivet/core';

/** The side as it is drawn by its heights; each can be dragged: sideways for its girth, up and down for its height. */
const props = defineProps<{
  stations: readonly Station[];
  inside: Blank['inside'];
  along: 'side' | 'upright';
  unit: Units;
  asked: Asked | null;
}>();
const emit = defineEmits<{ change: [stations: readonly Station[], kind: string]; ask: [asked: Asked] }>();

const W = 260;
const H = 168;
const svg = ref<SVGSVGElement | null>(null);

const takenOff = (girth: Reading): number => {
  const { tape, wall } = takenOffGirth(props.inside, girth);
  return tape + wall;
};
interface Spot {
  readonly index: number;
  readonly down: number;
  readonly girth: number;
}
const spots = computed((): Spot[] => {
  const first = summariseReading(props.stations[0]?.down)?.mean ?? 0;
  return props.stations.flatMap(({ down, girth }, index): Spot[] => {
    const round = summariseReading(girth);
    const at = index === 0 ? first : summariseReading(down)?.mean;
    if (!round || at === undefined) return [];
    return [{ index, down: at - first, girth: Math.max(1, round.mean - takenOff(girth)) }];
  });
});
/** The curve as [radius, height below the first], mm; null while the heights make none. */
const curve = computed(() => {
  try {
    if (spots.value.length < 2) return null;
    const profile = profileOf(spots.value, props.along);
    const steps = 80;
    let height = 0;
    return Array.from({ length: steps + 1 }, (_, i) => {
      const slant = (profile.sideLength * i) / steps;
      const step = profile.sideLength / steps;
      if (i > 0) height += step * Math.sqrt(Math.max(0, 1 - profile.slopeAt(slant - step / 2) ** 2));
      return { slant, radius: profile.radiusAt(slant), height };
    });
  } catch {
    return null;
  }
});
const heightOf = (spot: Spot): number => {
  if (props.along === 'upright' || !curve.value) return spot.down;
  return curve.value.find(({ slant }) => slant >= spot.down - 1e-6)?.height ?? curve.value.at(-1)!.height;
};
const scale = computed(() => {
  const wide = Math.max(20, ...spots.value.map((s) => s.girth / Math.PI));
  const high = Math.max(10, ...spots.value.map(heightOf));
  return Math.min((W - 84) / wide, (H - 28) / high);
});
const x = (radius: number): number => W / 2 + radius * scale.value;
const y = (height: number): number => 14 + height * scale.value;
const sides = computed(() => {
  if (!curve.value) return '';
  const line = (sign: 1 | -1): string =>
    curve
      .value!.map(({ radius, height }, i) => `${i ? 'L' : 'M'}${x(sign * radius).toFixed(1)} ${y(height).toFixed(1)}`)
      .join('');
  return line(1) + line(-1);
});
const chosen = computed(() => (typeof props.asked === 'object' ? (props.asked?.station ?? null) : null));

/** Reads a girth or a height anew, mm; null keeps what was read. */
function moveTo(spot: Spot, girth: number | null, down: number | null): void {
  const round = (mm: number): number => Math.round(mm * 2) / 2;
  const before = spots.value[spots.value.indexOf(spot) - 1];
  const after = spots.value[spots.value.indexOf(spot) + 1];
  const room = 1;
  const station = props.stations[spot.index]!;
  const first = summariseReading(props.stations[0]?.down)?.mean ?? 0;
  const low = before ? before.down + room : 0;
  const high = after ? after.down - room : spot.down + 400;
  const take = (mm: number): { typed: string; mm: number } => ({ typed: formatLength(mm, props.unit), mm });
  const next = {
    ...station,
    ...(down !== null &&
      spot.index > 0 && {
        down: { ...station.down, takes: [take(first + round(Math.min(high, Math.max(low, down))))] },
      }),
    ...(girth !== null && {
      girth: { ...station.girth, takes: [take(round(Math.min(1500, Math.max(60, girth)) + takenOff(station.girth)))] },
    }),
  };
  emit(
    'change',
    props.stations.map((s, i) => (i === spot.index ? next : s)),
    `drag-${station.id}`,
  );
}
/** What is typed is a reading of what was asked for before. */
function press({ index: station }: Spot): void {
  leaveField();
  emit('ask', { station, what: 'girth' });
}
function byKey(event: KeyboardEvent, spot: Spot): void {
  const step = event.shiftKey ? 10 : 1;
  const moves: Record<string, readonly [number, number]> = {
    ArrowLeft: [-step, 0],
    ArrowRight: [step, 0],
    ArrowUp: [0, -step],
    ArrowDown: [0, step],
  };
  const move = moves[event.key];
  if (!move) return;
  event.preventDefault();
  event.stopPropagation();
  const [round, down] = move;
  moveTo(spot, round === 0 ? null : spot.girth + round, down === 0 ? null : spot.down + down);
}

useGrips(svg, 'circle.grip', {
  drag(grip, right, down) {
    const spot = spots.value.find(({ index }) => index === Number(grip.dataset['index']));
    if (!spot) return;
    const along = props.along === 'upright' ? 1 : 1 / Math.max(0.2, riseAt(spot));
    const girth = right === null ? null : (2 * Math.PI * Math.abs(right - W / 2)) / scale.value;
    moveTo(spot, girth, down === null ? null : spot.down + ((down - y(heightOf(spot))) / scale.value) * along);
  },
});
/** How much height there is to a millimetre along the side. */
function riseAt(spot: Spot): number {
  const at = curve.value?.findIndex(({ slant }) => slant >= spot.down - 1e-6) ?? -1;
  if (!curve.value || at < 1) return 1;
  const [a, b] = [curve.value[at - 1]!, curve.value[at]!];
  return (b.height - a.height) / (b.slant - a.slant);
}
</script>

<template>
  <svg ref="svg" :viewBox="`0 0 ${W} ${H}`" role="group" aria-label="The side as drawn by its heights">
    <path :d="`M${W / 2} 4V${H - 4}`" class="axis" />
    <path v-if="sides" :d="sides" class="side" />
    <g v-for="s in spots" :key="s.index">
      <path
        :d="`M${x(-s.girth / 2 / Math.PI)} ${y(heightOf(s))}H${x(s.girth / 2 / Math.PI)}`"
        class="level"
        :class="{ on: chosen === s.index }"
      />
      <circle
        class="grip"
        :class="{ on: chosen === s.index }"
        :data-index="s.index"
        :cx="x(s.girth / 2 / Math.PI)"
        :cy="y(heightOf(s))"
        r="6"
        tabindex="0"
        role="slider"
        :aria-label="`Height ${s.index + 1}: arrows left and right change its girth, up and down its height`"
        :aria-valuenow="Math.round(s.girth)"
        :aria-valuetext="`${formatLength(s.girth, unit)} round, ${formatLength(s.down, unit)} down`"
        @focus="emit('ask', { station: s.index, what: 'girth' })"
        @pointerdown="press(s)"
        @keydown="byKey($event, s)"
      />
    </g>
    <text v-if="spots.length < 2" :x="W / 2" :y="H / 2" text-anchor="middle">The curve appears with two girths.</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  background: var(--paper-deep);
  border-radius: 3px;
  margin: 0.4rem 0;
  touch-action: none;
}
.axis {
  stroke: var(--hairline);
  stroke-dasharray: 5 4;
}
.side {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}
.level {
  stroke: var(--ink-2);
  stroke-width: 0.7;
  opacity: 0.6;
}
.level.on {
  stroke: var(--tape);
  stroke-width: 3;
  opacity: 1;
}
.grip {
  fill: var(--slip);
  stroke: var(--teal);
  stroke-width: 2;
  cursor: move;
}
.grip.on {
  fill: var(--tape);
}
text {
  fill: var(--ink-2);
  font-size: 12px;
}
</style>
