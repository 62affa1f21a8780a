<script setup lang="ts">
import { coneDevelopment, formatLength, judgeLayWrap, type LaidFrom, layAskew, makeLayWrap, MOST_ASKEW, pathData, stepAtSeam } from '@mivet/core'; // prettier-ignore
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useExercise } from '../../composables/useExercise.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import CupPicture from './CupPicture.vue';
import { cupShape, FLAT } from './cup-shape.ts';
import ExerciseFrame from './ExerciseFrame.vue';
import RangeRow from './RangeRow.vue';

const settings = useSettings();
const { task, judged, begun, hand, another, again } = useExercise('lay-wrap', makeLayWrap);
const from = ref<LaidFrom>('one end');
/** rad that the sheet is turned; the far end climbs with it. */
const tilt = ref(task.value.hangs);
/** Share of it that is pressed on. */
const done = ref(0);
watch([task, begun, from], () => {
  tilt.value = task.value.hangs;
  done.value = 0;
  rolling.pause();
});
const STARTS = [
  { value: 'one end', label: 'At one end' },
  { value: 'the middle', label: 'In the middle' },
] as const;

const shape = computed(() => cupShape(task.value.cone));
const surface = computed(() => coneDevelopment(task.value.cone));
const laid = computed(() => layAskew(task.value.cone, tilt.value, from.value));
const side = computed(() => task.value.cone.side);
const down = computed(() => shape.value.height / side.value);
const STEPS = 96;
/** Upper and lower edges of what is on the sheet, by how far round one is. */
const bands = computed(() => {
  const wave = (u: number, at: number): number => side.value * (at + 0.045 * Math.sin(task.value.waves * u));
  return [
    { id: 'sheet', fill: '#fffdf6', top: () => 0, base: () => side.value },
    { id: 'pale', fill: '#6FB1BF', top: (u: number) => wave(u, 0.5), base: (u: number) => wave(u, 0.68) },
    { id: 'deep', fill: '#0F4C5C', top: (u: number) => wave(u, 0.74), base: (u: number) => wave(u, 0.9) },
  ];
});
/** What is rolled on now: from where to where on the sheet, which way, and the azimuth that faces one. */
const under = computed(() => {
  if (from.value === 'one end') return { facing: -Math.PI + 2 * Math.PI * done.value, parts: [{ u: [-Math.PI, Math.PI], way: 1, pressed: null }] } as const; // prettier-ignore
  if (done.value === 0) return { facing: 0, parts: [{ u: [-Math.PI, 0], way: -1, pressed: null }, { u: [0, Math.PI], way: 1, pressed: null }] } as const; // prettier-ignore
  if (done.value <= 0.5) return { facing: 2 * Math.PI * done.value, parts: [{ u: [0, Math.PI], way: 1, pressed: null }] } as const; // prettier-ignore
  return { facing: -2 * Math.PI * (done.value - 0.5), parts: [{ u: [0, Math.PI], way: 1, pressed: true }, { u: [-Math.PI, 0], way: -1, pressed: null }] } as const; // prettier-ignore
});
type Spot = readonly [number, number];
const data = (spots: readonly Spot[]): string => (spots.length < 3 ? '' : `M${spots.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`); // prettier-ignore
/** The sheet as it is seen: pressed on the cup, and hanging flat from the line where it leaves it. */
const seen = computed(() => {
  const { facing, parts } = under.value;
  return parts.flatMap(({ u, way, pressed }) => {
    const samples = Array.from({ length: STEPS + 1 }, (_, i) => u[0] + ((u[1] - u[0]) * i) / STEPS);
    const put = (at: number, v: number): { spot: Spot; on: boolean; rel: number } | null => {
      const lies = laid.value.on(at, v);
      if (!lies) return null;
      const rel = lies.azimuth - facing;
      const on = pressed ?? rel * way <= 1e-9;
      if (on) return { spot: shape.value.at(Math.max(-Math.PI / 2, Math.min(Math.PI / 2, rel)), lies.slant), on, rel };
      const flat = surface.value.forward(rel, lies.slant);
      return { spot: [flat.x, -flat.y * down.value + surface.value.radiusAt(-flat.y) * FLAT], on, rel };
    };
    return bands.value.flatMap(({ id, fill, top, base }) => {
      const edges = samples.map((at) => ({ top: put(at, top(at)), base: put(at, base(at)) }));
      const keep = (on: boolean): string => {
        const own = edges.filter((e) => e.top && e.base && e.top.on === on && (!on || Math.abs(e.top.rel) <= Math.PI / 2 + 0.08)); // prettier-ignore
        return data([...own.map((e) => e.top!.spot), ...own.map((e) => e.base!.spot).reverse()]);
      };
      return [
        { key: `${id} on ${u[0]}`, fill, data: keep(true), hangs: false },
        { key: `${id} hangs ${u[0]}`, fill, data: keep(false), hangs: true },
      ];
    });
  });
});
/** All that the sheet ever reaches to while it is turned, so that the picture stands still. */
const view = computed(() => {
  const { rim, foot, height } = shape.value;
  // Rolled on, there is only the cup to be seen.
  if (judged.value) return `${-rim.rx - 30} ${-rim.ry - 16} ${2 * rim.rx + 60} ${height + 2 * foot.ry + 34}`;
  const both = from.value === 'the middle';
  const reach = surface.value.forward(both ? Math.PI : 2 * Math.PI, side.value);
  const far = surface.value.forward(both ? Math.PI : 2 * Math.PI, 0).x;
  const [left, right] = [both ? -far - 14 : -rim.rx - 16, Math.max(far, reach.x) + 14];
  const top = -rim.ry - 8 - far * Math.sin(MOST_ASKEW) * 0.45;
  return `${left} ${top} ${right - left} ${Math.max(height + 2 * foot.ry, -reach.y) + 12 - top}`;
});
const mark = computed(() => {
  const [a, b] = [shape.value.at(0, 0), shape.value.at(0, side.value)];
  return `M${a[0]} ${a[1] - 4}L${b[0]} ${b[1] + 4}`;
});

const svg = ref<SVGSVGElement | null>(null);
const held = ref<number | null>(null);
const upAt = (event: PointerEvent): number | null => {
  const matrix = svg.value?.getScreenCTM();
  return matrix ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).y : null;
};
const turn = (to: number): void => void (tilt.value = Math.max(-MOST_ASKEW, Math.min(MOST_ASKEW, to)));
function take(event: PointerEvent): void {
  if (done.value > 0) return;
  held.value = upAt(event);
  svg.value?.setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent): void {
  const y = upAt(event);
  if (held.value === null || y === null || done.value > 0) return;
  const arm = task.value.cone.girthRim * (from.value === 'one end' ? 0.7 : 0.35);
  turn(tilt.value + (held.value - y) / arm);
  held.value = y;
}

const still = usePreferredReducedMotion();
/** s that rolling it on takes. */
const ROLLED_IN = 1.8;
const rolling = useRafFn(
  ({ delta }) => {
    done.value = Math.min(1, done.value + delta / 1000 / ROLLED_IN);
    if (done.value < 1) return;
    rolling.pause();
    settle();
  },
  { immediate: false },
);
const settle = (): void => hand(judgeLayWrap(task.value, tilt.value, from.value, settings.unit));
function press(): void {
  held.value = null;
  if (still.value === 'reduce') {
    done.value = 1;
    settle();
  } else rolling.resume();
}

/** On the flat: as it should lie, and as it does. */
const plan = computed(() => {
  const box = surface.value.bounds({ left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, side.value] }); // prettier-ignore
  const around = Array.from({ length: STEPS + 1 }, (_, i) => -Math.PI + (2 * Math.PI * i) / STEPS);
  const edge = (v: number, way: readonly number[]): Spot[] => way.map((u) => { const p = laid.value.flat(u, v); return [p.x, -p.y] as const; }); // prettier-ignore
  const pad = 14;
  return {
    right: pathData(surface.value.outline({ left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, side.value] })), // prettier-ignore
    laid: data([...edge(0, around), ...edge(side.value, [...around].reverse())]),
    view: `${box.minX - pad} ${-box.maxY - pad} ${box.maxX - box.minX + 2 * pad} ${box.maxY - box.minY + 2 * pad}`,
  };
});
/** Both ends brought together, mm round from where they ought to meet. */
const WINDOW = 36;
const meeting = computed(() =>
  ([-1, 1] as const).flatMap((end) => {
    const samples = Array.from({ length: 41 }, (_, i) => end * Math.PI * (1 - (0.9 * i) / 40 / Math.PI));
    const put = (u: number, v: number): Spot | null => {
      const lies = laid.value.on(u, v);
      return lies && [(lies.azimuth - end * Math.PI) * surface.value.radiusAt(lies.slant), lies.slant];
    };
    return bands.value.slice(1).map(({ id, fill, top, base }) => ({
      key: `${id} ${end}`,
      fill,
      data: data([...samples.map((u) => put(u, top(u))), ...[...samples].reverse().map((u) => put(u, base(u)))].filter((spot) => spot !== null)), // prettier-ignore
    }));
  }),
);
const step = computed(() => stepAtSeam(task.value.cone, tilt.value, from.value));
</script>

<template>
  <ExerciseFrame id="lay-wrap" :judged="judged" @another="another" @again="again">
    <template #stage>
      <p class="head">In your hands</p>
      <svg
        ref="svg"
        class="hands"
        :class="{ free: done === 0, beside: judged }"
        :viewBox="view"
        role="img"
        :aria-label="done === 0 ? 'A cup, and the sheet hanging before it' : 'A cup with the sheet rolled on'"
        @pointerdown="take"
        @pointermove="drag"
        @pointerup="held = null"
        @pointercancel="held = null"
      >
        <CupPicture :shape="shape" colour="#C6CBCE">
          <path v-for="one in seen.filter(({ hangs }) => !hangs)" :key="one.key" :d="one.data" :fill="one.fill" />
        </CupPicture>
        <path :d="mark" class="mark" />
        <g v-for="one in seen.filter(({ hangs }) => hangs)" :key="one.key">
          <path :d="one.data" :fill="one.fill" class="hangs" />
        </g>
      </svg>
      <div v-if="judged" class="after">
        <figure>
          <figcaption>Where it comes to lie</figcaption>
          <svg :viewBox="plan.view" aria-hidden="true">
            <path :d="plan.right" class="right" />
            <path :d="plan.laid" class="wrong" />
          </svg>
        </figure>
        <figure>
          <figcaption>
            The seam: a step of <span class="dims">{{ formatLength(Math.abs(step), settings.unit) }}</span>
          </figcaption>
          <svg :viewBox="`${-WINDOW} ${side * 0.3} ${2 * WINDOW} ${side * 0.7}`" aria-hidden="true">
            <rect class="right" :x="-WINDOW" :y="side * 0.3" :width="2 * WINDOW" :height="side * 0.7" />
            <path v-for="one in meeting" :key="one.key" :d="one.data" :fill="one.fill" />
            <line class="wrong" x1="0" x2="0" :y1="side * 0.3" :y2="side" />
          </svg>
        </figure>
      </div>
    </template>
    <ChoiceRow
      says="Press it on first"
      label="Where it is pressed on first"
      :value="from"
      :options="STARTS"
      @choose="
        from = $event;
        again();
      "
    />
    <RangeRow
      v-if="!judged"
      label="Turn the sheet"
      :value="tilt"
      :least="-MOST_ASKEW"
      :most="MOST_ASKEW"
      :step="0.0005"
      @change="turn($event)"
    />
    <p v-if="!judged" class="quiet small mt-2">
      Drag the sheet itself, too. Its end belongs on the dark mark, its upper edge on the rim.
    </p>
    <p v-if="!judged" class="mt-3">
      <BButton variant="primary" :disabled="done > 0" @click="press">Press and roll it on</BButton>
    </p>
  </ExerciseFrame>
</template>

<style scoped>
.hands {
  min-height: 220px;
}
.hands.beside {
  max-height: 42vh !important;
}
.hands.free {
  cursor: ns-resize;
  touch-action: none;
}
.after {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 1.25rem;
}
figure svg {
  height: 24vh;
}
.mark {
  stroke: var(--ink);
  stroke-width: 0.7;
  fill: none;
}
.hangs {
  fill-opacity: 0.62;
  stroke: #0f4c5c;
  stroke-width: 0.5;
  stroke-dasharray: 2.5 1.8;
}
.right {
  fill: var(--sheet);
  stroke: var(--on-sheet-2);
  stroke-width: 0.7;
}
.wrong {
  fill: none;
  stroke: #a53a29;
  stroke-width: 0.8;
  stroke-dasharray: 3 2;
}
@media (max-width: 560px) {
  .after {
    grid-template-columns: 1fr;
  }
}
</style>
