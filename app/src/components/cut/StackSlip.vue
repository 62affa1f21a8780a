<script setup lang="ts">
import TermLine from '../terms/TermLine.vue';
import TermWord from '../terms/TermWord.vue';
import { filmOfLayer, formatArea, layerName, type LayerReport, ownEntry, type Stack } from '@mivet/core';
import { computed, shallowRef, watch } from 'vue';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useStock } from '../../stores/stock.ts';
import { takeLatest } from '../../composables/take-latest.ts';
import { askCore } from '../../workers/core-client.ts';
import type { CoreJobs } from '../../workers/protocol.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import LengthField from '../fields/LengthField.vue';

/** How the films are built up, and how each layer is lined up. */
const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();
const supplies = useStock();
const stack = computed(() => project.doc!.stack);
const report = computed(() => viewModel.good?.stack ?? null);
/** What marks would cost on layers that need none: worked out when one looks. */
const costs = shallowRef<ReadonlyMap<string, number | null>>(new Map());
const ask = takeLatest<CoreJobs['marks']['output']>(
  (answer) => (costs.value = new Map(answer.map(({ layer, mm2 }) => [layer, mm2]))),
);
watch(
  report,
  (now) => {
    if (!now || !project.doc || now.layers.every(({ marksMm2 }) => marksMm2 !== null)) return void ask(null);
    const input = {
      project: project.doc,
      limits: settings.limits,
      learnt: settings.learnt,
      supply: supplies.supplyFor(project.doc),
    };
    void ask(askCore('marks', input).catch(() => []));
  },
  { immediate: true },
);
const BUILDS = [
  { value: 'full', label: 'Full', title: 'Whole films, one on another' },
  { value: 'inlay', label: 'Inlay', title: 'Each film knocked out of those below it' },
  { value: 'hybrid', label: 'Automatic', title: 'Thin lines on whole film, broad areas inlaid' },
] as const;
const WHY: Readonly<Record<Stack['build'], string>> = {
  full: 'Easiest to line up, and the thickest: every film lies whole on those below.',
  inlay:
    'Thin and smooth, but every edge has to meet. Films below reach a little under the edge, so that nothing gapes.',
  hybrid: 'Thin lines lie on whole film, where no edge has to meet; broad areas are knocked out.',
};
const LAYS = [
  { value: 'flat', label: 'Flat first', title: 'Put together on the table, laid once' },
  { value: 'on the blank', label: 'On the blank', title: 'Film by film, each on its marks' },
] as const;
const LEVELS = [
  { value: 'as drawn', label: 'Twice', title: 'As an upper and a lower layer, each weeded and taped by itself' },
  { value: 'once', label: 'Once', title: 'One layer of each film, whatever is drawn' },
] as const;
/** Whether some film lies under another and over it. */
const bothWays = computed(
  () =>
    report.value?.layers.some(({ layer }) => layer !== filmOfLayer(layer)) ||
    viewModel.good?.findings.some(({ finding }) => finding.code === 'stack-levels'),
);
const AIMS = [
  { value: 'rule', label: 'Automatic' },
  { value: 'marks', label: 'Marks' },
  { value: 'by hand', label: 'By hand' },
] as const;
function change(label: string, what: Partial<Stack>): void {
  project.edit(label, (p) => ({ ...p, stack: { ...p.stack, ...what } }));
}
function aim(layer: string, how: 'rule' | 'marks' | 'by hand'): void {
  const rest = Object.fromEntries(Object.entries(stack.value.marks).filter(([id]) => id !== layer));
  change('Line a layer up', { marks: how === 'rule' ? rest : { ...rest, [layer]: how } });
}
const ids = computed(() => report.value?.layers.map(({ layer }) => layer) ?? []);
const called = (layer: string): string =>
  layerName(layer, ids.value, (id) => project.doc!.films.find((f) => f.id === id)?.name ?? id);
const area = (mm2: number): string => formatArea(mm2, settings.unit);
function says(layer: LayerReport): string {
  const mm2 = layer.marksMm2 ?? costs.value.get(layer.layer);
  const cost = (mm2 ?? 0) > 50 ? `${area(mm2!)} of film` : 'no film';
  const bodies = layer.bodies === 1 ? 'One thing to place' : `${layer.bodies} things to place`;
  let how = layer.marked ? 'marks' : 'by hand';
  if (mm2 === null)
    how += layer.marked ? ', which do not fit on its board: line it up by hand' : '; marks do not fit on its board';
  else if (mm2 !== undefined) how += layer.marked ? `: they cost ${cost}` : `; marks would cost ${cost}`;
  const loose = layer.unsupported > 0 ? `; ${layer.unsupported} with nothing below` : '';
  return `${bodies}, ${how}${loose}`;
}
</script>

<template>
  <div>
    <h2>Film stack</h2>
    <template v-if="report && report.layers.length > 0">
      <ChoiceRow
        says="Build it"
        :value="stack.build"
        :options="BUILDS"
        label="How films are built up"
        @choose="change('Build the stack', { build: $event })"
      />
      <p class="quiet small mt-1 mb-1">{{ WHY[stack.build] }}</p>
      <TermLine :terms="['inlay']" />
      <LengthField
        v-if="stack.build !== 'full'"
        label="Underlap"
        :mm="stack.underlapMm"
        :unit="settings.unit"
        :most="10"
        hint="As much as layers may be off when they are laid"
        @change="change('Change the underlap', { underlapMm: $event })"
      />
      <LengthField
        v-if="stack.build === 'hybrid'"
        label="Lines count as thin up to"
        :mm="stack.thinMm"
        :unit="settings.unit"
        :most="50"
        @change="change('Change what is thin', { thinMm: $event })"
      />
      <template v-if="report.layers.length > 1">
        <ChoiceRow
          says="Lay it"
          :value="stack.lay"
          :options="LAYS"
          label="How layers are laid"
          @choose="change('Lay the stack', { lay: $event })"
        />
        <p class="quiet small mt-1">
          {{
            stack.lay === 'flat'
              ? 'Two squares beside every marked film lie on each other; they come off with the tape.'
              : 'Ticks stand on the rim edge of every marked film, one of them in the middle: put each on the same spot of the rim.'
          }}
        </p>
        <template v-if="bothWays">
          <ChoiceRow
            says="Under and over another"
            :value="stack.levels"
            :options="LEVELS"
            label="How often a film stands that lies under another and over it"
            @choose="change('Let a film stand twice', { levels: $event })"
          />
          <p class="quiet small mt-1">
            {{
              stack.levels === 'once'
                ? 'Each film is one layer: what was drawn over another may come to lie under it.'
                : 'What lies on top is a layer of its own, cut from the same film.'
            }}
          </p>
        </template>
        <h3><TermWord term="mark" shown="Lining up" /></h3>
        <div v-for="(layer, i) in [...report.layers].reverse()" :key="layer.layer" class="layer">
          <strong>{{ report.layers.length - i }} {{ called(layer.layer) }}</strong>
          <ChoiceButtons
            :value="ownEntry(stack.marks, layer.layer) ?? 'rule'"
            :options="AIMS"
            :label="`How ${called(layer.layer)} is lined up`"
            @choose="aim(layer.layer, $event)"
          />
          <p class="quiet small mb-0">{{ says(layer) }}</p>
        </div>
        <p class="quiet small mt-2">
          Automatic: marks for a layer of more than three things that meets film below, and for the lowest; fewer are as
          quickly lined up by hand.
        </p>
        <BButton
          v-if="stack.order.length > 0"
          variant="link"
          @click="change('Order the films as in the artwork', { order: [] })"
        >
          In the order of the artwork
        </BButton>
      </template>
      <p v-else class="quiet">One film: nothing has to be lined up.</p>
    </template>
    <p v-else-if="viewModel.awaited" class="quiet">Working out how its films lie…</p>
    <p v-else-if="viewModel.instead" class="quiet">{{ viewModel.instead }}</p>
    <p v-else class="quiet">
      Nothing to cut yet.
      <RouterLink :to="{ name: 'project', params: { id: project.doc!.id, stop: 'artwork' } }"
        >Place some artwork</RouterLink
      >
      first.
    </p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  margin: 1.2rem 0 0.3rem;
}
.layer {
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hairline);
  display: grid;
  gap: 0.3rem;
  justify-items: start;
}
</style>
