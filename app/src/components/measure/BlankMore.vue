<script setup lang="ts">
import FoldOut from '../fields/FoldOut.vue';
import {
  BEFORE_FILM,
  isRound,
  KINDS_OF_BLANK,
  SURFACES,
  USUAL_THICKNESS_MM,
  type Blank,
  type Reading,
  type Units,
} from '@mivet/core';
import { computed, useId } from 'vue';
import LengthField from '../fields/LengthField.vue';
import HeldInput from '../fields/HeldInput.vue';
import SelectRow from '../fields/SelectRow.vue';

/** The rest of what is asked about a blank: most people change none of it. */
const props = defineProps<{ blank: Blank; unit: Units }>();
const emit = defineEmits<{ change: [change: Partial<Blank>] }>();
const id = useId();
const GIRTHS = ['girthRim', 'girthBase', 'girth'] as const;
/** What may have to be done before film: only a round thing is filled with water, only a ball is painted inside. */
const before = computed(() => [
  { value: 'clean' as const, label: 'only clean it' },
  ...BEFORE_FILM.filter(
    (one) =>
    one === props.blank.before ||
    (one === 'soak a label' ? round.value : one === 'paint inside' ? props.blank.kind === 'ball' : !KINDS_OF_BLANK[props.blank.kind].blownUp), // prettier-ignore
  ).map((value) => ({ value, label: value })),
]);
const round = computed(() => isRound(props.blank.kind));
const girths = computed((): Reading[] => [
  ...GIRTHS.flatMap((name) => props.blank.readings[name] ?? []),
  ...props.blank.stations.map(({ girth }) => girth),
]);
const tape = computed(
  () => girths.value.find((reading) => reading.how === 'tape')?.thicknessMm ?? USUAL_THICKNESS_MM.tape,
);

/** One tape for every girth of the blank. */
function setTape(thicknessMm: number): void {
  const thick = (reading: Reading): Reading => (reading.how === 'tape' ? { ...reading, thicknessMm } : reading);
  const { readings, stations } = props.blank;
  emit('change', {
    readings: {
      ...readings,
      ...Object.fromEntries(GIRTHS.flatMap((name) => (readings[name] ? [[name, thick(readings[name])]] : []))),
    },
    stations: stations.map((station) => ({ ...station, girth: thick(station.girth) })),
  });
}
function setName(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 200);
  if (name) emit('change', { name });
}
</script>

<template>
  <LengthField
    v-if="round"
    label="Handle width"
    :mm="blank.handleWidthMm"
    :unit="unit"
    :most="200"
    hint="Where it meets the side; 0 for none"
    @change="emit('change', { handleWidthMm: $event })"
  />
  <LengthField
    v-if="blank.kind === 'ball'"
    label="Cap or loop, across"
    :mm="blank.capMm ?? 0"
    :unit="unit"
    :most="500"
    hint="The metal cap, loop or stem on its top; 0 for none"
    @change="emit('change', { capMm: $event })"
  />
  <FoldOut title="More about this blank">
    <div class="row-line">
      <label :for="`${id}-n`">Name</label>
      <HeldInput :id="`${id}-n`" size="sm" :value="blank.name" class="w-50" maxlength="200" @change="setName" />
    </div>
    <SelectRow
      label="Surface"
      :value="blank.surface"
      :options="SURFACES.map((s) => ({ value: s, label: s }))"
      @change="emit('change', { surface: $event })"
    />
    <SelectRow
      label="Before film"
      :value="blank.before ?? 'clean'"
      :options="before"
      @change="emit('change', { before: $event === 'clean' ? undefined : $event })"
    />
    <div class="row-line">
      <label :for="`${id}-c`">Colour</label>
      <BFormInput
        :id="`${id}-c`"
        type="color"
        :model-value="blank.colour"
        @change="emit('change', { colour: ($event.target as HTMLInputElement).value })"
      />
    </div>
    <SelectRow
      v-if="round"
      label="Film goes on the"
      :value="blank.inside ? 'inside' : 'outside'"
      :options="[
        { value: 'outside', label: 'Outside' },
        { value: 'inside', label: 'Inside' },
      ]"
      @change="emit('change', { inside: $event === 'inside' ? { read: 'inside', wallMm: 0 } : null })"
    />
    <SelectRow
      v-if="round && blank.inside"
      label="The tape lay on the"
      :value="blank.inside.read"
      :options="[
        { value: 'inside', label: 'Inside' },
        { value: 'outside', label: 'Outside' },
      ]"
      @change="emit('change', { inside: { ...blank.inside!, read: $event } })"
    />
    <LengthField
      v-if="round && blank.inside?.read === 'outside'"
      label="Wall thickness"
      :mm="blank.inside.wallMm"
      :unit="unit"
      :most="50"
      hint="Each girth inside is 2π times this less"
      @change="emit('change', { inside: { ...blank.inside!, wallMm: $event } })"
    />
    <LengthField
      v-if="girths.length > 0"
      label="Tape thickness"
      :mm="tape"
      :unit="unit"
      :most="5"
      :hint="`Each turn reads π times this too ${blank.inside?.read === 'inside' ? 'little' : 'much'}`"
      @change="setTape"
    />
    <LengthField
      v-if="round"
      label="Band starts below the rim by"
      :mm="blank.bandBelowRimMm"
      :unit="unit"
      :most="200"
      @change="emit('change', { bandBelowRimMm: $event })"
    />
    <LengthField
      v-if="round"
      label="Rim clearance"
      :mm="blank.rimClearanceMm"
      :unit="unit"
      :most="200"
      hint="From the drinking edge, where lips touch"
      @change="emit('change', { rimClearanceMm: $event })"
    />
    <LengthField
      :label="round ? 'Base clearance' : 'Edge clearance'"
      :mm="blank.baseClearanceMm"
      :unit="unit"
      :most="200"
      @change="emit('change', { baseClearanceMm: $event })"
    />
    <LengthField
      v-if="round && blank.handleWidthMm > 0"
      label="Handle clearance"
      :mm="blank.handleClearanceMm"
      :unit="unit"
      :most="100"
      @change="emit('change', { handleClearanceMm: $event })"
    />
  </FoldOut>
</template>

<style scoped>
details {
  margin-top: 0.25rem;
}
summary {
  padding: 0.6rem 0;
  color: var(--teal);
  font-weight: 600;
}
</style>
