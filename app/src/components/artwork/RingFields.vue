<script setup lang="ts">
import {
  formatLength,
  MOTIF_IDS,
  MOTIFS,
  type MotifId,
  type RingSetting,
  type TextItem,
  type Units,
} from '@mivet/core';
import { computed, useId } from 'vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';

/** Whether words stand in lines or round a circle, and how they come round it. */
const props = defineProps<{
  item: TextItem;
  unit: Units;
  /** mm. A circle that goes well on this blank. */
  usual: number;
  /** mm between two words on the circle; null while they stand in lines. */
  room: number | null;
}>();
const emit = defineEmits<{ change: [ring: RingSetting | null, label: string] }>();
const id = useId();

const SET = [
  { value: 'line' as const, label: 'In lines' },
  { value: 'ring' as const, label: 'In a ring' },
];
const TOPS = [
  { value: 'out' as const, label: 'Outwards' },
  { value: 'in' as const, label: 'Inwards' },
];
const MOST_TIMES = 60;
const ring = computed(() => props.item.ring);
const start = computed((): RingSetting => ({
  acrossMm: Math.round(props.usual),
  tops: 'out',
  times: 1,
  between: null,
}));
function set(change: Partial<RingSetting>, label: string): void {
  if (ring.value) emit('change', { ...ring.value, ...change }, label);
}
function setTimes(by: number): void {
  const times = Math.min(MOST_TIMES, Math.max(1, (ring.value?.times ?? 1) + by));
  set({ times }, 'Change how often it comes round');
}
</script>

<template>
  <ChoiceRow
    says="Arranged"
    :value="ring ? 'ring' : 'line'"
    :options="SET"
    label="How the words are set"
    @choose="emit('change', $event === 'ring' ? (ring ?? start) : null, 'Set the words')"
  />
  <template v-if="ring">
    <LengthField
      label="Ring diameter"
      :mm="ring.acrossMm"
      :unit="unit"
      :least="4"
      :most="2000"
      hint="Across the circle that the letters stand on"
      @change="set({ acrossMm: $event }, 'Change the ring')"
    />
    <ChoiceRow
      says="Tops point"
      :value="ring.tops"
      :options="TOPS"
      label="Which way the tops point"
      @choose="set({ tops: $event }, 'Turn the letters')"
    />
    <div class="row-line">
      <span>Copies round</span>
      <span class="d-flex align-items-center gap-2">
        <BButton variant="outline-primary" size="sm" aria-label="One fewer round" @click="setTimes(-1)"> − </BButton>
        <span class="dims">{{ ring.times }}</span>
        <BButton variant="outline-primary" size="sm" aria-label="One more round" @click="setTimes(1)"> + </BButton>
      </span>
    </div>
    <div class="row-line">
      <label :for="`${id}-b`">Between them</label>
      <BFormSelect
        :id="`${id}-b`"
        size="sm"
        class="w-auto"
        :model-value="ring.between ?? ''"
        @update:model-value="set({ between: ($event || null) as MotifId | null }, 'Change the ornament')"
      >
        <BFormSelectOption value="">nothing</BFormSelectOption>
        <BFormSelectOption v-for="m in MOTIF_IDS" :key="m" :value="m">{{ MOTIFS[m].label }}</BFormSelectOption>
      </BFormSelect>
    </div>
    <div v-if="room !== null" class="note-bar" :class="room < 0 ? 'fails' : 'fine'">
      <p v-if="room < 0">
        They run into each other by {{ formatLength(-room, unit) }}. Make the ring larger, the letters smaller, or
        fewer.
      </p>
      <p v-else>{{ formatLength(room, unit) }} are left between them.</p>
    </div>
  </template>
</template>
