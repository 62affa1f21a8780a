<script setup lang="ts">
import type { Film, Load, StripPart, StripViewModel, Units } from '@mivet/core';
import { boardWords, formatRange, formatShort, partTitle } from '@mivet/core';
import { line } from 'd3-shape';
import { computed, shallowRef } from 'vue';
import { isMoved } from '../../composables/hand.ts';
import { useEdge } from '../../composables/useFilmColours.ts';
import { tapeSteps, tapeTicks } from '../../composables/tape-ticks.ts';
import { usePlan } from '../../stores/plan.ts';
import type { Board } from '@mivet/core';
import { isLight } from './is-light.ts';
import { partData } from './stroke-lines.ts';

/** One load as it lies in the cutter: the board, strips of film on it, and from where to where each will be cut. */
const props = defineProps<{
  load: Load;
  loads: number;
  board: Board;
  strips: readonly StripViewModel[];
  films: readonly Film[];
  unit: Units;
  /** Only looked at: its parts are not moved by hand. */
  still?: boolean;
}>();

const plan = usePlan();
const svg = shallowRef<SVGSVGElement | null>(null);
/** What is in hand: a part on its strip, and how far it was moved, mm. */
const inHand = shallowRef<{ strip: StripViewModel; part: StripPart; dx: number; dy: number } | null>(null);
const movable = (s: StripViewModel): boolean =>
  !props.still && !plan.watching && (s.parts.length > 1 || s.offcut !== null);
const collision = computed(() => {
  const held = inHand.value;
  return held ? plan.collision(held.strip, held.part, held.dx, held.dy) : null;
});
/** A part by what it is: the plan may be made anew while it is in hand. */
const isSame = (s: StripViewModel, part: StripPart, t: StripViewModel, other: StripPart): boolean =>
  s.film === t.film && s.lot === t.lot && part.part === other.part;
const isHeld = (s: StripViewModel, part: StripPart): boolean =>
  inHand.value !== null && isSame(s, part, inHand.value.strip, inHand.value.part);
function grab(event: PointerEvent, strip: StripViewModel, part: StripPart): void {
  if (!movable(strip) || event.button !== 0) return;
  const target = event.currentTarget as SVGElement;
  target.setPointerCapture(event.pointerId);
  const scale = svg.value!.getScreenCTM()!;
  const move = (to: PointerEvent): void => {
    const [right, down] = [to.clientX - event.clientX, to.clientY - event.clientY];
    if (inHand.value || isMoved(right, down)) inHand.value = { strip, part, dx: right / scale.a, dy: -down / scale.d };
  };
  const over = new AbortController();
  const leave = (): void => {
    over.abort();
    inHand.value = null;
  };
  const drop = (): void => {
    const held = inHand.value;
    leave();
    // As it lies by now.
    const now = props.strips.flatMap((s) =>
      s.parts.filter((p) => isSame(s, p, strip, part)).map((p) => [s, p] as const),
    )[0];
    if (held && now) plan.put(...now, held.dx, held.dy);
  };
  target.addEventListener('pointermove', move, over);
  target.addEventListener('pointerup', drop, over);
  target.addEventListener('pointercancel', leave, over);
}
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** Arrows move what has the focus by a millimetre, ten with Shift, where there is room; Delete lets go of it. */
function press(event: KeyboardEvent, strip: StripViewModel, part: StripPart): void {
  const step = STEPS[event.key];
  if (step && movable(strip)) {
    const by = event.shiftKey ? 10 : 1;
    plan.put(strip, part, step[0] * by, step[1] * by);
  } else if (event.key === 'Delete' && part.fixed) plan.letGo(strip.film, part.part);
  else return;
  event.preventDefault();
  event.stopPropagation();
}
const partWords = (s: StripViewModel, part: StripPart): string =>
  `${film(s.film)?.name ?? s.film}${part.part ? `, ${partTitle(part.part)}` : ''}${part.fixed ? ', put by hand' : ''}`;

const film = (id: string): Film | undefined => props.films.find((f) => f.id === id);
const edge = useEdge('board');
/** Pale film is told from the board by a line round it. */
const edgeOf = (id: string): string | undefined => edge.value(film(id)?.colour ?? '#888888') ?? undefined;
/** Long boards are shown as far as they are used. */
const shownLength = computed(() =>
  props.board.lengthMm <= 700
    ? props.board.lengthMm
    : Math.min(props.board.lengthMm, Math.max(...props.strips.map((s) => s.to)) + 60),
);
const cropped = computed(() => shownLength.value < props.board.lengthMm - 1);
const view = computed(() => `-8 -26 ${shownLength.value + 16} ${props.board.widthMm + 34 + 13 * props.strips.length}`);
/** The tape along the board, in the board's millimetres; a drawing of about two px for each. */
const tape = computed(() => tapeTicks(0, shownLength.value, tapeSteps(props.unit, 1)));
const LONG = { small: 3, middle: 5, big: 7 };
const ticks = computed(() => tape.value.map(({ mm, size }) => line()([[mm, -6], [mm, -6 - LONG[size]]])).join('')); // prettier-ignore
const labels = computed(() =>
  tape.value
    .filter(({ mm, text }) => text !== '' && mm > 0 && mm < shownLength.value - 4)
    .map(({ mm, text }) => ({ x: mm, text })),
);
/** A label that would run off the board is set from its right end. */
const late = (s: StripViewModel): boolean => s.from > shownLength.value * 0.62;
/** mm that a letter of a part's name takes on an average. */
const LETTER_MM = 2.1;
/** A part's name that would run off its film is set from the film's right end. */
const overEnd = ({ x, text }: { x: number; text: string }, s: StripViewModel): boolean =>
  x + LETTER_MM * text.length > s.to && s.to - s.from > LETTER_MM * text.length;
const fromTo = ({ from, to, across }: StripViewModel): string =>
  `${formatRange(from, to, props.unit)}, ${formatShort(across, props.unit)} across`;
</script>

<template>
  <section class="load">
    <h2 class="dims">
      Load {{ load.number }} of {{ loads }}
      <span
        >{{ boardWords(board, unit) }},
        {{ strips.length === 1 ? 'one strip of film' : `${strips.length} strips of film side by side` }}</span
      >
    </h2>
    <svg
      ref="svg"
      :viewBox="view"
      preserveAspectRatio="xMidYMin meet"
      role="group"
      :aria-label="`Load ${load.number} with ${strips.length} strips of film`"
    >
      <g class="dims">
        <rect x="0" y="-20" :width="shownLength" height="14" class="tape" />
        <path :d="ticks" class="tick" />
        <text v-for="l in labels" :key="l.x" :x="l.x" y="-14.5" font-size="6" text-anchor="middle" class="tape-word">
          {{ l.text }}
        </text>
      </g>
      <rect x="0" y="0" :width="shownLength" :height="board.widthMm" rx="2" class="board" />
      <path
        v-if="cropped"
        :d="`M${shownLength} -2l-3 12 5 14 -6 16 5 18 -5 20 6 22 -5 24 V${board.widthMm + 2}`"
        class="torn"
      />
      <g v-for="(s, i) in strips" :key="`${s.film} ${s.lot}`">
        <path v-if="s.outline" :d="s.outline" :fill="film(s.film)?.colour" :stroke="edgeOf(s.film)" class="offcut" />
        <rect
          v-else
          :class="{ offcut: s.offcut }"
          :x="s.from"
          :y="board.widthMm - board.marginMm - s.across"
          :width="s.to - s.from"
          :height="s.across"
          :fill="film(s.film)?.colour"
          :stroke="edgeOf(s.film)"
        />
        <path :d="s.data" class="cut-line" :class="{ dark: isLight(film(s.film)?.colour ?? '#000000') }" />
        <path :d="s.extras" class="cut-line extra" :class="{ dark: isLight(film(s.film)?.colour ?? '#000000') }" />
        <path
          v-for="p in s.parts"
          :key="p.part"
          :d="partData(p, board.widthMm)"
          class="part"
          :class="{ movable: movable(s), fixed: p.fixed, dark: isLight(film(s.film)?.colour ?? '#000000') }"
          :tabindex="movable(s) ? 0 : undefined"
          :role="movable(s) ? 'button' : undefined"
          :aria-label="partWords(s, p)"
          @pointerdown="grab($event, s, p)"
          @keydown="press($event, s, p)"
          @dblclick="p.fixed && plan.letGo(s.film, p.part)"
        >
          <title>{{ movable(s) ? `${partWords(s, p)}. Drag it; Delete unlocks it` : partWords(s, p) }}</title>
        </path>
        <template v-for="p in s.parts" :key="`held-${p.part}`">
          <path
            v-if="isHeld(s, p) || plan.isAhead(s, p)"
            :d="partData(p, board.widthMm)"
            class="held"
            :class="{ collision: isHeld(s, p) && collision }"
            :transform="isHeld(s, p) ? `translate(${inHand!.dx} ${-inHand!.dy})` : undefined"
          />
        </template>
        <path
          :d="`M${s.from} -6V${board.widthMm + 3 + 13 * (i + 1)}M${s.to} -6V${board.widthMm + 5}`"
          class="from-to"
        />
      </g>
      <!-- Over all the lines, so that none runs through a word. -->
      <g v-for="(s, i) in strips" :key="`says-${s.film} ${s.lot}`">
        <text
          v-for="(l, k) in s.labels"
          :key="k"
          :x="overEnd(l, s) ? s.to - 1 : l.x"
          :y="board.widthMm - l.y"
          :text-anchor="overEnd(l, s) ? 'end' : 'start'"
          font-size="5"
          class="dims part-name"
          aria-hidden="true"
        >
          {{ l.text }}
        </text>
        <text
          :x="late(s) ? s.to : s.from + 2"
          :y="board.widthMm + 13 * (i + 1)"
          font-size="9"
          class="dims word"
          :text-anchor="late(s) ? 'end' : 'start'"
        >
          {{ film(s.film)?.name }}
          <tspan class="quiet-word">{{ s.offcut ? 'offcut, ' : '' }}{{ fromTo(s) }}</tspan>
        </text>
      </g>
    </svg>
    <p v-if="inHand" class="held-word" role="status">
      {{
        collision === 'part'
          ? `Too near to another part: scissors need ${formatShort(board.gapMm, unit)}.`
          : collision === 'edge'
            ? 'Too near to the edge of the film.'
            : 'It fits here, and stays here when the rest is planned again.'
      }}
    </p>
  </section>
</template>

<style scoped>
.load {
  position: relative;
  flex: 1 0 auto;
  min-height: min(100%, 380px);
  height: 100%;
  padding: 0.8rem 1.1rem;
  display: flex;
  flex-direction: column;
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
}
h2 span {
  margin-left: 0.6rem;
  font-weight: 500;
}
svg {
  flex: 1;
  min-height: 0;
  width: 100%;
}
.part-name {
  fill: var(--on-sheet);
  stroke: var(--sheet);
  stroke-width: 1.4;
  paint-order: stroke;
  pointer-events: none;
}
.tape {
  fill: var(--tape);
}
.tick {
  stroke: var(--tape-ink);
  stroke-width: 0.5;
}
.tape-word {
  fill: var(--tape-ink);
}
.board {
  fill: color-mix(in srgb, var(--paper-deep) 92%, var(--ink));
  stroke: var(--ink-2);
  stroke-width: 0.5;
}
.offcut {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 5 3;
  vector-effect: non-scaling-stroke;
}
.part {
  fill: transparent;
  /* Wide enough to be caught between its letters. */
  stroke: transparent;
  stroke-width: 10;
  vector-effect: non-scaling-stroke;
  pointer-events: all;
}
.part.movable {
  cursor: grab;
  touch-action: none;
}
.part.fixed {
  stroke: #fff;
  stroke-width: 3.5;
  stroke-dasharray: 0.5 5;
  stroke-linecap: round;
}
.part.fixed.dark {
  stroke: #1c2430;
}
/* A hand that drags sees what it drags; the ring is for keys. */
.part:focus:not(:focus-visible) {
  outline: none;
}
.part:focus-visible {
  outline: 2px solid var(--teal);
}
.held {
  fill: rgb(255 255 255 / 0.55);
  stroke: var(--teal);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.held.collision {
  stroke: var(--brick);
  stroke-dasharray: 4 3;
}
.held-word {
  position: absolute;
  bottom: 0.5rem;
  left: 1.1rem;
  margin: 0;
  padding: 0.2rem 0.6rem;
  background: var(--slip);
  border: 1px solid var(--hairline);
}
.torn {
  fill: none;
  stroke: var(--paper);
  stroke-width: 3;
}
.extra {
  stroke-dasharray: 3 2;
}
.cut-line {
  fill: rgb(255 255 255 / 0.18);
  stroke: #fff;
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
.cut-line.dark {
  fill: rgb(0 0 0 / 0.1);
  stroke: #1c2430;
}
.from-to {
  stroke: var(--ink-2);
  stroke-width: 0.9;
  stroke-dasharray: 3 3;
  vector-effect: non-scaling-stroke;
}
.word {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3;
}
.quiet-word {
  fill: var(--ink-2);
}
</style>
