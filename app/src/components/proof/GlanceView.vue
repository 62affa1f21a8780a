<script setup lang="ts">
import type { Project, SeenViewModel, ShapeViewModel } from '@mivet/core';
import { azimuthOfFacing, formatLength } from '@mivet/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { useFilmColours } from '../../composables/useFilmColours.ts';
import { takeLatest } from '../../composables/take-latest.ts';
import { askCore } from '../../workers/core-client.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';

/** The blank as an eye sees it from one side: true perspective, its edges shaded where things look too narrow to be read. */
const props = defineProps<{ project: Project; viewModel: ShapeViewModel }>();
const settings = useSettings();
const round = computed(() => props.viewModel.template.closed);
const SIDES = computed(() => {
  const toRad = (facing: 'front' | 'drinker' | 'room'): number => azimuthOfFacing(facing, 0, props.project.hand);
  return [
    { value: 'front', label: 'Front', azimuth: toRad('front') },
    { value: 'drinker', label: 'Drinker', azimuth: toRad('drinker') },
    { value: 'room', label: 'Room', azimuth: toRad('room') },
    { value: 'back', label: 'Back', azimuth: Math.PI },
  ];
});
const side = ref('front');
const seen = shallowRef<SeenViewModel | null>(null);
const ask = takeLatest<SeenViewModel | null>((made) => (seen.value = made));
watch(
  [() => props.viewModel.pieces, side, () => settings.limits],
  () => {
    const azimuth = SIDES.value.find(({ value }) => value === side.value)!.azimuth;
    void ask(
      askCore('seen', { project: props.project, azimuth, limits: settings.limits, learnt: settings.learnt }).catch(
        () => null,
      ),
    );
  },
  { immediate: true },
);
const colours = useFilmColours(
  () => props.project.films,
  () => props.project.blank.colour,
);
const box = computed(() => {
  const b = seen.value?.box;
  return b ? `${b.minX - 4} ${-b.maxY - 4} ${b.maxX - b.minX + 8} ${b.maxY - b.minY + 8}` : '0 0 1 1';
});
const mm = (v: number): string => formatLength(v, settings.unit);
const says = computed(() => {
  const widest = seen.value?.widest ?? null;
  const from = `Seen from ${mm(settings.judgedBy.glanceDistance).replace('.0 ', ' ')}, as the eye sees it`;
  return widest === null
    ? `${from}.`
    : `${from}. Words up to ${mm(widest)} are read in one glance; what is shaded looks under ${settings.judgedBy.glanceEdge}\u00a0% as wide, closely shaded half of that.`;
});
</script>

<template>
  <section class="mt-4" aria-labelledby="one-glance">
    <h3 id="one-glance" class="mb-1">In one glance</h3>
    <ChoiceButtons v-if="round" :value="side" :options="SIDES" label="Side that is looked at" @choose="side = $event" />
    <svg v-if="seen" :viewBox="box" class="seen" role="img" :aria-label="says">
      <defs>
        <pattern id="narrow" width="3" height="3" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V3" class="hatch" />
        </pattern>
        <pattern id="very-narrow" width="1.5" height="1.5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V1.5" class="hatch" />
        </pattern>
      </defs>
      <path v-if="seen.handle" :d="seen.handle" class="body" :style="{ fill: project.blank.colour }" />
      <path :d="seen.body" class="body" :style="{ fill: project.blank.colour }" />
      <path
        v-for="(p, i) in seen.pieces"
        :key="i"
        :d="p.data"
        fill-rule="evenodd"
        v-bind="colours.of(p.film)"
        class="film"
      />
      <path
        v-for="(n, i) in seen.narrow"
        :key="n.share"
        :d="n.data"
        :fill="i === 0 ? 'url(#narrow)' : 'url(#very-narrow)'"
      />
      <path :d="seen.lines" class="line" />
      <path :d="seen.body" class="edge" />
    </svg>
    <p class="quiet small mb-0">{{ says }}</p>
  </section>
</template>

<style scoped>
.film {
  vector-effect: non-scaling-stroke;
}
.seen {
  width: 100%;
  height: 220px;
  background: var(--paper-deep);
  border: 1px solid var(--hairline);
  margin: 0.5rem 0;
}
.body,
.edge {
  stroke: var(--ink-2);
  stroke-width: 0.6;
}
.edge {
  fill: none;
}
.line {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 0.4;
  stroke-dasharray: 2 1.5;
  opacity: 0.6;
}
.hatch {
  stroke: #1c2430;
  stroke-width: 0.8;
  opacity: 0.55;
}
</style>
