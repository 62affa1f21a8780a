<script setup lang="ts">
import FoldOut from '../fields/FoldOut.vue';
import { summariseReading, type Blank, type Reading, type Units } from '@mivet/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import type { Asked } from '@mivet/core';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import ProfileCurve from './ProfileCurve.vue';
import ReadingField from './ReadingField.vue';
import StationTable from './StationTable.vue';

/** A curved side: girths at some heights, typed in a table or dragged on the drawn curve, and goes at one of them. */
const PhotoReader = defineAsyncComponent(() => import('./PhotoReader.vue'));

const props = defineProps<{
  blank: Blank;
  unit: Units;
  wrong: number | null;
  asked: Asked | null;
  /** Height whose girth is read worst, from 1. */
  weakest: number | null;
}>();
const emit = defineEmits<{ ask: [asked: Asked]; change: [change: Partial<Blank>, label: string, kind: string] }>();

const WAYS = [
  { value: 'side' as const, label: 'Down the side', title: 'Better on bowls: the tape follows the wall' },
  { value: 'upright' as const, label: 'Straight down', title: 'With a ruler held upright' },
];
const setStations = (stations: Blank['stations'], kind: string): void =>
  emit('change', { stations }, 'Change the heights', kind);
const photo = ref(false);
/** Heights of a photograph are upright; they take the place of those that were read. */
function takePhoto(stations: Blank['stations']): void {
  emit('change', { stations, stationsAlong: 'upright' }, 'Take girths from a photograph', '');
  photo.value = false;
}
const widest = computed(() => {
  const girths = props.blank.stations.flatMap(({ girth }) => summariseReading(girth)?.mean ?? []);
  return girths.length > 0 ? Math.max(...girths) : null;
});
const chosen = computed(() => {
  const asked = props.asked;
  if (typeof asked !== 'object' || asked === null) return null;
  const station = props.blank.stations[asked.station];
  return station ? { station, number: asked.station + 1, what: asked.what } : null;
});
function setReading(reading: Reading | undefined): void {
  const { station, what } = chosen.value!;
  const now = reading ?? { ...station[what], takes: [] };
  setStations(
    props.blank.stations.map((s) => (s.id === station.id ? { ...s, [what]: now } : s)),
    '',
  );
}
</script>

<template>
  <div class="mt-2">
    <p class="quiet hint">
      The first line is where the band begins. Read the girth there and at two heights or more below, closer together
      where it curves most.
    </p>
    <div v-if="!photo" class="mb-2">
      <BButton variant="outline-primary" size="sm" @click="photo = true">From a photograph</BButton>
    </div>
    <PhotoReader v-if="photo" :unit="unit" :widest-mm="widest" @take="takePhoto" @done="photo = false" />
    <ChoiceButtons
      :value="blank.stationsAlong"
      :options="WAYS"
      label="How the heights are read"
      @choose="emit('change', { stationsAlong: $event }, 'Change how heights are read', '')"
    />
    <ProfileCurve
      :stations="blank.stations"
      :inside="blank.inside"
      :along="blank.stationsAlong"
      :unit="unit"
      :asked="asked"
      @ask="emit('ask', $event)"
      @change="setStations"
    />
    <StationTable
      :stations="blank.stations"
      :along="blank.stationsAlong"
      :unit="unit"
      :wrong="wrong"
      :asked="asked"
      @ask="emit('ask', $event)"
      @change="setStations"
    />
    <p v-if="weakest !== null" class="quiet hint mt-2">Least sure is the girth at height {{ weakest }}.</p>
    <FoldOut v-if="chosen" :title="`Read ${chosen.what === 'girth' ? 'girth' : 'height'} ${chosen.number} once more`">
      <ReadingField
        :key="chosen.station.id + chosen.what"
        :label="chosen.what === 'girth' ? 'Girth here' : 'Below the first line'"
        :girth="chosen.what === 'girth'"
        :reading="chosen.station[chosen.what]"
        :unit="unit"
        hint="Several readings are averaged, and the line shows their mean."
        :active="true"
        :doubts="[]"
        @change="setReading"
      />
    </FoldOut>
  </div>
</template>

<style scoped>
.hint {
  font-size: 0.9rem;
  line-height: 1.35;
  margin-bottom: 0.5rem;
}
</style>
