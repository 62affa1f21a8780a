<script setup lang="ts">
import type { ShapeViewModel, Trial, Units } from '@mivet/core';
import { formatLength, NO_TRIAL, ringsData, trueOver, tryOut, widestPulled } from '@mivet/core';
import { computed, onBeforeUnmount, shallowRef, useId, watch } from 'vue';
import { useView, type ShownTrial } from '../../stores/view.ts';

/**
 * Trying out what goes wrong: sliders for how the cup, the hand and the film may be off; the seam as it would then look, and
 * both pictures of the blank along with it.
 */
const props = defineProps<{ viewModel: ShapeViewModel; handleWidth: number; lapMm: number; unit: Units }>();
const id = useId();
const view = useView();
const trial = shallowRef<Trial>(NO_TRIAL);
const cone = computed(() => props.viewModel.template.cone);
const outcome = computed(() => tryOut(cone.value, trial.value, props.handleWidth));
/** Whether it closes in one, so that there is a seam to look at; and whether it curves both ways, so that film has to give. */
const closes = computed(() => props.viewModel.template.closed && props.viewModel.template.flattening.parts === 1);
const curves = computed(() => props.viewModel.template.flattening.map !== null);
const straight = computed(() => Math.abs(cone.value.girthRim - cone.value.girthBase) < 0.01);
const mm = (v: number): string => formatLength(v, props.unit);
const over = computed(() => trueOver(props.unit));
const signed = (v: number): string => (Math.abs(v) < 0.05 ? mm(0) : `${v > 0 ? '+' : '−'}${mm(Math.abs(v))}`);

interface Slider {
  readonly key: keyof Trial;
  readonly label: string;
  readonly least?: number;
  readonly most: number;
  readonly step: number;
  readonly says: (v: number) => string;
}
const SLIDERS = computed((): Slider[] => [
  ...(closes.value ? SHAPE.value : []),
  ...(curves.value
    ? [
        {
          key: 'stifferPercent' as const,
          label: 'The film gives less by',
          least: 0,
          most: 80,
          step: 5,
          says: (v: number) => `${v} %`,
        },
      ]
    : []),
]);
const SHAPE = computed((): Slider[] => [
  {
    key: 'tiltMm',
    label: `Rim edge started off true by, over ${over.value.words}`,
    most: 3,
    step: 0.1,
    says: (v) => signed((v * over.value.mm) / 100),
  },
  {
    key: 'rimMm',
    label: straight.value ? 'The girth is more by' : 'The rim is more by',
    most: 6,
    step: 0.1,
    says: signed,
  },
  ...(straight.value
    ? []
    : [{ key: 'baseMm' as const, label: 'The base is more by', most: 6, step: 0.1, says: signed }]),
  { key: 'sideMm', label: 'The side is longer by', most: 6, step: 0.1, says: signed },
  {
    key: 'largerPercent',
    label: 'The whole cup is larger by',
    most: 4,
    step: 0.1,
    says: (v) => `${v > 0 ? '+' : ''}${v.toFixed(1)} %`,
  },
]);
function set(key: keyof Trial, event: Event): void {
  const value = Number((event.target as HTMLInputElement).value);
  // A straight blank has one girth.
  const both = key === 'rimMm' && straight.value ? { baseMm: value } : {};
  trial.value = { ...trial.value, [key]: value, ...both };
  // The seam is what moves: the blank is turned to show it, unless it is the film that is tried.
  if (key !== 'stifferPercent') view.facing = Math.PI;
}

/** Pieces that ask more than film gives that is stiffer by so much. */
const stiff = computed(
  () => new Set(props.viewModel.pieces.filter((p) => !p.spare && (p.asks ?? 0) > left.value).map((p) => p.id)),
);
const left = computed(() => 1 - trial.value.stifferPercent / 100);
const filmSays = computed(() => {
  const { give, widest } = props.viewModel.template.flattening;
  const all = props.viewModel.pieces.filter((p) => !p.spare).length;
  const pieces =
    stiff.value.size === 0 ? 'Every piece lies flat.' : `${stiff.value.size} of ${all} pieces would not lie flat.`;
  if (!widest || widest.strip <= 0) return pieces;
  // The widest strip tells the curvature; it shrinks with the root of what film gives.
  const gaussian = (8 * (give.stretch + give.squeeze)) / widest.strip ** 2;
  const now = widestPulled(gaussian, give.stretch * left.value, give.squeeze * left.value);
  return `${pieces} A strip may be ${mm(now.strip)} wide, a disk ${mm(now.disk)} across.`;
});
const shown = computed((): ShownTrial | null => {
  const o = outcome.value;
  if (trial.value === NO_TRIAL) return null;
  const ring = closes.value && o ? o.outline(props.viewModel.template.region) : null;
  return {
    layAt: ring && o ? o.layAt : null,
    ghost: ring ? ringsData([ring]) : '',
    stiff: stiff.value,
  };
});
watch(shown, (what) => (view.trial = what));
onBeforeUnmount(() => (view.trial = null));

const gap = (v: number): string =>
  Math.abs(v) < 0.05 ? 'they meet' : v > 0 ? `they gape ${mm(v)}` : `they overlap ${mm(-v)}`;
const says = computed(() => {
  const o = outcome.value;
  if (!o) return ['No cup has these sizes.'];
  return [
    Math.abs(o.gapRimMm - o.gapBaseMm) < 0.05
      ? `At the seam ${gap(o.gapRimMm)}.`
      : `At the rim ${gap(o.gapRimMm)}, at the base ${gap(o.gapBaseMm)}.`,
    ...(Math.abs(o.standMm) < 0.05
      ? []
      : [`In front the rim edge stands ${mm(Math.abs(o.standMm))} ${o.standMm > 0 ? 'over' : 'below'} its line.`]),
    ...(Math.abs(o.stepMm) < 0.05 ? [] : [`The ends step by ${mm(Math.abs(o.stepMm))}.`]),
    ...(props.lapMm > 0 && Math.max(o.gapRimMm, o.gapBaseMm) > 0.05
      ? [
          Math.max(o.gapRimMm, o.gapBaseMm) <= props.lapMm
            ? 'The lap covers it.'
            : `The lap of ${mm(props.lapMm)} does not cover it.`,
        ]
      : []),
  ];
});
/** Both ends at the seam; gaps and step are drawn as many times life size. */
const WIDER = 5;
const drawing = computed(() => {
  const o = outcome.value;
  const tall = 60;
  if (!o) return null;
  const [rim, base] = [(o.gapRimMm / 2) * WIDER, (o.gapBaseMm / 2) * WIDER];
  const step = (o.stepMm / 2) * WIDER;
  const end = (sign: 1 | -1): string =>
    `M${sign * 150} ${sign * step}L${sign * rim} ${sign * step}L${sign * base} ${tall + sign * step}L${sign * 150} ${tall + sign * step}Z`;
  return { left: end(-1), right: end(1), view: `-139 ${-20} 278 ${tall + 40}` };
});
</script>

<template>
  <section class="mt-4" aria-labelledby="what-if">
    <div class="d-flex align-items-baseline justify-content-between">
      <h3 id="what-if" class="mb-1">What if</h3>
      <BButton v-if="trial !== NO_TRIAL" variant="link" size="sm" class="p-0" @click="trial = NO_TRIAL">
        As it was read
      </BButton>
    </div>
    <p v-if="closes && outcome" class="quiet small mb-2">
      Hold the rim edge true to {{ mm((outcome.trueOver100 * over.mm) / 100) }} over {{ over.words }}, and the ends step
      by no more than {{ mm(1) }}.
    </p>
    <svg v-if="closes && drawing" :viewBox="drawing.view" class="seam" role="img" :aria-label="says.join(' ')">
      <path :d="drawing.left" />
      <path :d="drawing.right" />
    </svg>
    <p v-if="closes && drawing" class="quiet small mb-1">
      Both ends at the seam; gaps and step drawn {{ WIDER }} times life size.
    </p>
    <template v-if="closes">
      <p v-for="line in says" :key="line" class="mb-0" role="status">{{ line }}</p>
    </template>
    <p v-if="curves" class="mb-0" role="status">{{ filmSays }}</p>
    <p v-if="shown" class="quiet small mb-0">
      {{
        closes
          ? 'Dashed on the flat: what would have fitted. On the blank: where both ends come to lie.'
          : 'Outlined in red: what would not lie flat.'
      }}
    </p>
    <div v-for="s in SLIDERS" :key="s.key" class="slider">
      <label :for="`${id}-${s.key}`">{{ s.label }}</label>
      <output class="dims" :for="`${id}-${s.key}`">{{ s.says(trial[s.key]) }}</output>
      <BFormInput
        :id="`${id}-${s.key}`"
        type="range"
        :min="s.least ?? -s.most"
        :max="s.most"
        :step="s.step"
        :model-value="trial[s.key]"
        @input="set(s.key, $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.seam {
  width: 100%;
  height: 100px;
  background: var(--paper-deep);
  border: 1px solid var(--hairline);
  margin-bottom: 0.5rem;
}
.seam path {
  fill: var(--sheet);
  fill-opacity: 0.85;
  stroke: var(--on-sheet);
  stroke-width: 0.8;
}
.slider {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  border-bottom: 1px solid var(--hairline);
  padding: 0.35rem 0;
}
.slider input {
  grid-column: 1 / -1;
}
</style>
