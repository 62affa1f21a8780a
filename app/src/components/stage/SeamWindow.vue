<script setup lang="ts">
import { useFilmColours } from '../../composables/useFilmColours.ts';
import type { AtSeam, Command, Film, JudgedViewModel, ShapeViewModel, Units } from '@mivet/core';
import { coneDevelopment, describeCommand, formatLength, pathData } from '@mivet/core';
import { computed, ref } from 'vue';
import SeamCuts from './SeamCuts.vue';

/** Both ends that meet at a seam brought together, as they will meet on the blank. */
const props = defineProps<{
  viewModel: ShapeViewModel;
  findings: readonly JudgedViewModel[];
  films: readonly Film[];
  unit: Units;
  lap: number;
  /** Names of the items, and what was chosen for pieces that a seam cuts. */
  names: ReadonlyMap<string, string>;
  choices: readonly AtSeam[];
}>();
const emit = defineEmits<{
  choose: [itemId: string, copy: number, does: AtSeam['do'] | 'butt'];
  show: [itemId: string];
  move: [command: Command];
}>();

const HALF = 60;
const index = ref(0);
const which = computed(() => Math.min(index.value, props.viewModel.seams.length - 1));
const seam = computed(() => props.viewModel.seams[which.value]!);
const surface = computed(() => coneDevelopment(props.viewModel.template.cone));
const colours = useFilmColours(() => props.films);
const half = computed(() => HALF / props.viewModel.meanRadius);
const outline = computed(() =>
  pathData(
    surface.value.outline({
      left: [-half.value, -half.value],
      right: [half.value, half.value],
      slant: [0, props.viewModel.size.side],
    }),
  ),
);
/** As much of the height as carries film near the seam, so that the joint is seen large. */
const band = computed((): [number, number] => {
  const at = [seam.value.azimuth, seam.value.azimuth + 2 * Math.PI];
  const near = props.viewModel.pieces.filter(
    (p) => !p.spare && at.some((a) => p.azimuths[1] > a - half.value && p.azimuths[0] < a + half.value),
  );
  const side = props.viewModel.size.side;
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
/** The turn that takes all copies of an item off the seam, when there is one: its finding knows. */
function moveOff(itemId: string): { command: Command; words: string } | null {
  const found = props.findings.find(({ finding }) => finding.code === 'seam-cut' && finding.itemIds.includes(itemId));
  const command = found?.finding.fixes.find((fix) => fix.do === 'turn-item');
  return command ? { command, words: describeCommand(command, props.unit) } : null;
}
function move(itemId: string): void {
  const off = moveOff(itemId);
  if (off) emit('move', off.command);
}
const cuts = computed(() =>
  props.viewModel.cuts
    .filter((cut) => cut.seam === which.value)
    .map(({ itemId, copy, cutMm }) => {
      const copies = props.viewModel.items.find((i) => i.itemId === itemId)?.copies.length ?? 1;
      const name = props.names.get(itemId) ?? 'A piece';
      return {
        itemId,
        copy,
        name: copies > 1 ? `${name}, ${copy + 1} of ${copies}` : name,
        size: `${formatLength(cutMm, props.unit)} cut`,
        does: props.choices.find((c) => c.itemId === itemId && c.copy === copy)?.do ?? ('butt' as const),
        move: moveOff(itemId)?.words ?? null,
      };
    }),
);
const words = computed(() => {
  const mm = (v: number): string => formatLength(v, props.unit);
  const { gapRim, gapBase } = props.viewModel.errors;
  if (seam.value.cutMm < 0.05)
    return {
      title: 'Nothing crosses the seam.',
      why:
        seam.value.wanderMm > 0.1 ? 'It wanders between the pieces; no film has to meet.' : 'No film has to meet here.',
    };
  if (props.lap > 0)
    return {
      title: `The ends lap by ${mm(props.lap)}.`,
      why: `Your readings may miss by ±${mm(Math.max(gapRim, gapBase))}, shaded to scale; ${props.lap >= Math.max(gapRim, gapBase) ? 'the lap covers it' : 'the lap may not cover it'}.`,
    };
  return {
    title: 'The ends butt here.',
    why: `Expect them within ±${mm(gapRim)} at the rim and ±${mm(gapBase)} at the base, shaded to scale.`,
  };
});
</script>

<template>
  <section class="window" :class="{ 'with-cuts': cuts.length > 0 }" aria-label="Seam window">
    <div class="words">
      <div class="head">
        <h2 class="dims">Seam window</h2>
        <span v-if="viewModel.seams.length > 1" class="pages">
          <BButton
            v-for="(_, i) in viewModel.seams"
            :key="i"
            variant="bare"
            :aria-pressed="i === which"
            :aria-label="`Seam ${i + 1} of ${viewModel.seams.length}`"
            @click="index = i"
          >
            {{ i + 1 }}
          </BButton>
        </span>
      </div>
      <p class="title">{{ words.title }}</p>
      <p class="quiet">{{ words.why }}</p>
    </div>
    <SeamCuts
      v-if="cuts.length > 0"
      :cuts="cuts"
      @choose="(itemId, copy, does) => emit('choose', itemId, copy, does)"
      @show="emit('show', $event)"
      @move="move"
    />
    <svg
      :viewBox="box"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      aria-label="Both ends of the wrap as they meet at the seam"
    >
      <path :d="outline" class="sheet" />
      <path
        v-for="(piece, i) in seam.pieces"
        :key="i"
        :d="piece.data"
        v-bind="colours.of(piece.film)"
        fill-rule="evenodd"
        vector-effect="non-scaling-stroke"
      />
      <path :d="outline" class="edge" />
      <path :d="seam.spread" class="spread" />
      <path :d="seam.line" class="meet" />
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
.window.with-cuts {
  grid-template-columns: minmax(12rem, 16rem) minmax(14rem, 17rem) 1fr;
}
.head {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  margin-bottom: 0.6rem;
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
}
.pages {
  display: flex;
  gap: 0.25rem;
}
.pages button {
  border: 1px solid var(--hairline);
  border-radius: 2px;
  background: none;
  color: var(--ink);
  min-width: 1.5rem;
}
.pages button[aria-pressed='true'] {
  background: var(--teal);
  color: var(--paper);
  border-color: var(--teal);
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
.spread {
  fill: var(--ochre);
  fill-opacity: 0.55;
}
.meet {
  fill: none;
  stroke: var(--hatch);
  stroke-width: 1.3;
  stroke-dasharray: 4 3;
}
</style>
