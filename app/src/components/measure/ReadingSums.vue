<script setup lang="ts">
import type { Blank, ShapeViewModel, Units } from '@mivet/core';
import { formatLength, isRound, KINDS_OF_BLANK, READING_IN_SENTENCE, solidOf, sumTexts } from '@mivet/core';
import { computed } from 'vue';

/** The sum from what was read to what the template needs, and how sure it is. */
const props = defineProps<{ blank: Blank; viewModel: ShapeViewModel; unit: Units; projectId: string }>();

const mm = (v: number): string => formatLength(v, props.unit);
const size = computed(() => props.viewModel.size);
const round = computed(() => isRound(props.blank.kind));
const worst = computed(() => Math.max(props.viewModel.errors.gapRim, props.viewModel.errors.gapBase));
/** On a strong taper the two ends of the seam are not as sure as each other. */
const atBase = computed(() => {
  const { gapRim, gapBase } = props.viewModel.errors;
  return Math.abs(gapRim - gapBase) < 0.05 ? '' : `, ±${mm(gapBase)} at the base`;
});
/** What the ends of the seam hang on most: of a curved side, the girth at one of its ends. */
const weakest = computed(() => {
  const { weakest: name } = props.viewModel.errors;
  if (!KINDS_OF_BLANK[props.blank.kind].byStations) return READING_IN_SENTENCE[name];
  return name === 'girthRim' ? 'the first girth' : 'the last girth';
});
/** Girths of a ball are shown with the tape taken off; faces need no sum. */
const hasTape = computed(() => round.value || props.blank.readings.girth !== undefined);
const firstGirth = computed(
  () => props.blank.readings.girthRim ?? props.blank.readings.girth ?? props.blank.stations[0]?.girth,
);
/** From the reading to the template, line by line; what changes nothing is left out. */
const sum = computed((): [string, string][] => {
  const { rim } = size.value;
  const cone = round.value && solidOf(size.value).curved === null;
  const signed = (mm: number): string => (mm < 0 ? 'Added' : 'Taken off');
  const film = cone ? props.viewModel.template.cone.girthRim - rim.surface : 0;
  const lines: [string, number][] = [
    [cone ? 'Read at the rim' : 'Read', rim.read],
    [
      `${signed(rim.takenOffForTape)} for the ${firstGirth.value?.how === 'strip' ? 'paper strip' : 'tape'}`,
      -rim.takenOffForTape,
    ],
    ...(rim.takenOffForWall > 0 ? ([['Taken off for the wall', -rim.takenOffForWall]] as [string, number][]) : []),
    ...(size.value.fit === 'applied' ? ([['From the paper fit check', rim.fromFitCheck]] as [string, number][]) : []),
    ...(cone ? ([[`${signed(-film)} for the film`, film]] as [string, number][]) : []),
  ];
  const shown = sumTexts(
    lines.map(([, mm]) => mm),
    props.unit,
  );
  return [
    ...lines
      .map(([name], i): [string, string] => [name, shown.terms[i]!])
      .filter(([, text], i) => i === 0 || /[1-9]/.test(text)),
    [cone ? 'Template at the rim' : 'Girth of the surface', shown.total],
  ];
});
const facts = computed(() => KINDS_OF_BLANK[size.value.kind].facts?.(size.value, mm) ?? []);
const agree = computed(() => {
  if (props.blank.kind !== 'tapered' || props.viewModel.doubts.length) return null;
  const { upright, side, sideFrom } = size.value;
  return props.blank.readings.upright && props.blank.readings.side
    ? { title: 'Side and height agree', why: `${mm(upright)} upright gives ${mm(side)} down the side.` }
    : sideFrom === 'upright'
      ? { title: `${mm(side)} down the side`, why: `Worked out from the upright height and the two girths.` }
      : { title: `${mm(upright)} straight up`, why: 'The side runs slanted; its length is what the template needs.' };
});
</script>

<template>
  <template v-if="hasTape">
    <div v-for="[name, value] in sum" :key="name" class="row-line">
      <span>{{ name }}</span><span class="dims">{{ value }}</span>
    </div>
  </template>
  <div v-for="[name, value] in facts" :key="name" class="row-line">
    <span>{{ name }}</span><span class="dims">{{ value }}</span>
  </div>
  <div class="note-bar" :class="worst > 0.5 ? 'look' : 'fine'">
    <p class="fw-bold">
      {{
        round
          ? `Expect the seam within ±${mm(viewModel.errors.gapRim)} at the rim${atBase}`
          : `Expect each edge within ±${mm(worst)}`
      }}
    </p>
    <p v-if="size.fit === 'applied'">As well as a gap can be read on the wrapped paper.</p>
    <p v-else>
      Most of it comes from {{ weakest }}.
      <template v-if="worst > 0.5">Take that once more first.</template>
    </p>
  </div>
  <div v-if="size.fit === 'stale'" class="note-bar look">
    <p class="fw-bold">The paper fit check no longer counts</p>
    <p>
      A reading has changed since.
      <RouterLink :to="{ name: 'project', params: { id: projectId, stop: 'flat' } }">Wrap a new one</RouterLink>
    </p>
  </div>
  <div v-if="agree" class="note-bar fine">
    <p class="fw-bold">{{ agree.title }}</p>
    <p>{{ agree.why }}</p>
  </div>
</template>
