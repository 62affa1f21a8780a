<script setup lang="ts">
import TermLine from '../terms/TermLine.vue';
import {
  describeWay,
  formatLength,
  latitudeAtArc,
  meridianArc,
  strainText,
  type Flattening,
  type FlattenOption,
  type FlatteningChoice,
  type Units,
} from '@mivet/core';
import { computed } from 'vue';
import { useWaysLaid } from '../../composables/useWaysLaid.ts';
import { useSettings } from '../../stores/settings.ts';
import LengthField from '../fields/LengthField.vue';
import StrainLegend from './StrainLegend.vue';

/** Ways to lay a side flat that curves both ways, each with the strain that remains, and where to end a band. */
const props = defineProps<{
  flattening: Flattening;
  choice: FlatteningChoice;
  unit: Units;
  patch: boolean;
  ball: { readonly radius: number; readonly halfLength: number } | null;
}>();
const emit = defineEmits<{ choose: [change: Partial<FlatteningChoice>, label: string] }>();

const laid = useWaysLaid();
const { tentPresses } = useSettings().judgedBy;
/** What laying its sheets by computation showed, in place of the forecast. */
function laidGrade(option: FlattenOption): string {
  const tallest = laid.of(option)?.tallestMm ?? 0;
  return tallest <= tentPresses ? 'fine' : tallest <= 2 * tentPresses ? 'look' : 'fails';
}
function laidSays(option: FlattenOption): string | null {
  const way = laid.of(option);
  if (!way) return null;
  return way.tallestMm <= tentPresses
    ? 'lies flat, laid by computation'
    : `laid by computation it tents by up to ${mm(way.tallestMm)} over ${Math.max(1, Math.round(100 * way.tented))} %`;
}
const mm = (v: number): string => formatLength(v, props.unit);
const limit = computed(() => props.flattening.give);
/** What is chosen, and the strain as the film feels it. */
const says = ({ load }: FlattenOption): string =>
  load <= 1 ? 'lies flat' : load <= 1.5 ? 'only in careful hands' : 'will wrinkle';
const grade = ({ load }: FlattenOption): string => (load <= 1 ? 'fine' : load <= 1.5 ? 'look' : 'fails');
const divided = computed(() => props.flattening.way === 'bands' || props.flattening.way === 'gores');
const worst = computed(() => {
  const w = props.flattening.worst;
  if (!w || props.patch || props.flattening.way !== 'band') return null;
  return `${strainText(w.strain)} of ${w.strain > 0 ? 'pull' : 'squeeze'} at ${mm(w.at)} below the rim edge. The film takes ${strainText(w.strain > 0 ? limit.value.stretch : limit.value.squeeze)}.`;
});
const cut = computed(() => props.flattening.cutDown);
/** rad. No patch's middle lies nearer to an end. */
const MOST_UP = (80 * Math.PI) / 180;
const MOST = { bands: 6, gores: 48 } as const;

function choose(option: FlattenOption): void {
  if (option.way === 'exact') return;
  emit('choose', { way: option.way, parts: null }, `Lay it flat as ${describeWay(option).toLowerCase()}`);
}
function parts(by: number): void {
  const { way } = props.flattening;
  if (way !== 'bands' && way !== 'gores') return;
  const next = Math.min(MOST[way], Math.max(2, props.flattening.parts + by));
  emit('choose', { way, parts: next }, `Take ${next} ${way}`);
}
/** Where the patch's middle lies over the skin, mm up from the widest girth. */
const upMm = computed(() => {
  const { ball, choice } = props;
  return ball ? meridianArc(ball.radius, ball.halfLength, (choice.patchUpDeg * Math.PI) / 180) : 0;
});
const mostUp = computed(() => (props.ball ? meridianArc(props.ball.radius, props.ball.halfLength, MOST_UP) : 0));
function setUp(mm: number): void {
  if (!props.ball) return;
  const deg = (latitudeAtArc(props.ball.radius, props.ball.halfLength, mm) * 180) / Math.PI;
  emit('choose', { patchUpDeg: Math.round(deg * 1000) / 1000 }, 'Move the patch');
}
</script>

<template>
  <h3 class="mt-3 mb-2">How it is laid flat</h3>
  <div class="ways" role="radiogroup" aria-label="How it is laid flat">
    <BButton
      v-for="o in flattening.options"
      :key="o.way"
      variant="bare"
      role="radio"
      :aria-checked="o.way === flattening.way"
      @click="choose(o)"
    >
      <span class="fw-bold">{{ describeWay(o) }}</span>
      <span class="dims">{{ strainText(o.strain) }}</span>
      <span v-if="laid.of(o)" class="says" :class="laidGrade(o)">{{ laidSays(o) }}</span>
      <span v-else class="says" :class="grade(o)">{{ says(o) }}</span>
    </BButton>
  </div>
  <div class="d-flex align-items-center gap-2 mt-2">
    <BButton v-if="!laid.running.value" size="sm" variant="outline-primary" @click="laid.start()">
      {{ laid.any.value ? 'Lay each again' : 'Lay each by computation' }}
    </BButton>
    <template v-else>
      <span class="quiet small" role="status"><BSpinner small aria-hidden="true" /> Laying each, whole and bare…</span>
      <BButton size="sm" variant="link" class="p-0" @click="laid.stop()">Stop</BButton>
    </template>
    <span v-if="laid.problem.value" class="quiet small">{{ laid.problem.value }}</span>
  </div>
  <TermLine :terms="['strain']" :text="flattening.options.map(describeWay).join(' ')" />
  <div v-if="divided" class="d-flex align-items-center gap-2 mt-2">
    <span class="quiet flex-fill">Fewer are quicker, more lie flatter</span>
    <BButton variant="outline-primary" size="sm" aria-label="One fewer" @click="parts(-1)">−</BButton>
    <span class="dims">{{ flattening.parts }}</span>
    <BButton variant="outline-primary" size="sm" aria-label="One more" @click="parts(1)">+</BButton>
  </div>
  <div v-if="worst" class="note-bar" :class="flattening.load > 1 ? 'look' : 'fine'">
    <p>{{ worst }}</p>
  </div>
  <div v-if="cut && !divided" class="note-bar look">
    <p class="fw-bold">
      The {{ cut.end === 'base' ? 'lower' : 'upper' }} {{ mm(cut.leftOff) }} strains {{ strainText(cut.strain) }}
    </p>
    <p>End the band there, and the rest lies flat.</p>
    <BButton
      variant="outline-primary"
      size="sm"
      class="mt-2"
      @click="emit('choose', { way: 'band', keep: cut.keep }, 'End the band')"
    >
      End the band here
    </BButton>
  </div>
  <div v-if="choice.keep && !patch" class="row-line">
    <span>The band ends before the side does</span>
    <BButton variant="link" size="sm" class="p-0" @click="emit('choose', { keep: null }, 'Take the whole side')">
      Use the whole side
    </BButton>
  </div>
  <template v-if="patch && !divided">
    <LengthField
      label="Across the patch"
      :mm="flattening.patchMm"
      :unit="unit"
      :least="5"
      :most="1000"
      @change="emit('choose', { way: 'patch', patchMm: $event }, 'Change the patch')"
    />
    <div v-if="choice.patchMm !== null" class="row-line">
      <span>Widest that lies flat: {{ mm(Math.floor(flattening.widest?.disk ?? 0)) }}</span>
      <BButton variant="link" size="sm" class="p-0" @click="emit('choose', { patchMm: null }, 'Use the widest size')">
        Use this size
      </BButton>
    </div>
    <LengthField
      v-if="ball"
      label="Patch above the widest girth"
      :mm="upMm"
      :unit="unit"
      :least="-mostUp"
      :most="mostUp"
      @change="setUp"
    />
    <p v-if="choice.patchUpDeg !== 0" class="quiet small mb-0">
      Along the surface, to the patch’s middle; {{ Math.abs(choice.patchUpDeg).toFixed(0) }}°
      {{ choice.patchUpDeg > 0 ? 'up' : 'down' }}.
    </p>
  </template>
  <StrainLegend :give="limit" />
  <p v-if="flattening.widest" class="quiet mt-2 mb-0">
    A face decal up to <span class="dims">{{ mm(flattening.widest.disk) }}</span> across lies flat here, a long strip up
    to <span class="dims">{{ mm(flattening.widest.strip) }}</span> wide.
  </p>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 0.3rem;
}
.ways button {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 0.7rem;
  align-items: baseline;
  padding: 0.4rem 0.6rem;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: none;
  color: inherit;
  text-align: left;
}
.ways button:hover {
  border-color: var(--ink-2);
}
.ways button[aria-checked='true'] {
  border-color: var(--teal);
  box-shadow: inset 0 0 0 1px var(--teal);
}
.says {
  font-size: 0.88rem;
  grid-column: 1 / -1;
}
.says.fine {
  color: var(--moss);
}
.says.look {
  color: var(--ochre);
}
.says.fails {
  color: var(--brick);
}
</style>
