<script setup lang="ts">
import type { ArtworkItem, Film, ItemViewModel, MotifId, RepeatRound, ShapeViewModel, Units } from '@mivet/core';
import { formatLength, MOTIF_IDS, MOTIFS, radiusOnSide } from '@mivet/core';
import { computed, nextTick, ref, useId } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import { useProject } from '../../stores/project.ts';
import { itemTitle } from '../../composables/item-title.ts';
import FilmChoice from '../films/FilmChoice.vue';
import CheckBox from '../fields/CheckBox.vue';
import LengthField from '../fields/LengthField.vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import HeldInput from '../fields/HeldInput.vue';

/** How often the item comes round the blank. */
const props = defineProps<{
  item: ArtworkItem;
  placed: ItemViewModel | null;
  viewModel: ShapeViewModel | null;
  unit: Units;
  films: readonly Film[];
}>();
const others = computed(() => props.films.filter(({ id: film }) => film !== props.item.film));
const items = useItems();
const id = useId();
const round = computed(() => props.viewModel?.template.closed ?? true);
const scattered = computed(() => (props.item.repeat.mode === 'scattered' ? props.item.repeat.scatter : undefined));
const found = computed(() => props.placed?.copies.length ?? 0);
const modes = computed((): { value: RepeatRound['mode']; label: string }[] => [
  { value: 'once', label: 'Once' },
  ...(round.value ? [{ value: 'spaced' as const, label: 'Spaced' }] : []),
  // The colours of a drawing have to stay in their places.
  ...(props.item.type === 'art' ? [] : [{ value: 'scattered' as const, label: 'Scattered' }]),
  ...(props.item.type === 'motif' && MOTIFS[props.item.motif].joins
    ? [{ value: 'joined' as const, label: 'Joined' }]
    : []),
]);
const pitch = computed(() => {
  if (!props.placed || !props.viewModel) return null;
  return (2 * Math.PI * radiusOnSide(props.viewModel, props.placed.slant)) / props.item.repeat.count;
});

function setMode(mode: RepeatRound['mode']): void {
  const count = mode === 'once' ? 1 : Math.max(mode === 'scattered' ? 20 : 2, props.item.repeat.count);
  const scatter = props.item.repeat.scatter ?? { seed: 1, gapMm: 3, films: [] };
  items.change('Change the repeat', (i) => ({
    ...i,
    repeat: mode === 'scattered' ? { mode, count, scatter } : { ...i.repeat, mode, count },
  }));
}
function setScatter(change: Partial<NonNullable<RepeatRound['scatter']>>, label: string): void {
  items.change(label, (i) => ({
    ...i,
    repeat: { ...i.repeat, scatter: { ...(i.repeat.scatter ?? { seed: 1, gapMm: 3, films: [] }), ...change } },
  }));
}
const project = useProject();
/** The item that says how it is arranged: itself, unless it is mixed into another's arrangement. */
const leadId = computed(() => {
  const lead = scattered.value?.with;
  const there = lead && project.doc!.items.some((i) => i.id === lead && i.repeat.mode === 'scattered');
  return there ? lead : props.item.id;
});
const leads = computed(() => leadId.value === props.item.id);
const mixed = computed(() =>
  project
    .doc!.items.filter(
      (i) => i.id !== props.item.id && (i.id === leadId.value || i.repeat.scatter?.with === leadId.value),
    )
    .map(itemTitle),
);
/** The motif that is chosen to be mixed in: none again as soon as it is done. */
const toMix = ref('');
async function mixIn(motif: unknown): Promise<void> {
  toMix.value = String(motif);
  if (motif) items.scatterToo(motif as MotifId);
  await nextTick();
  toMix.value = '';
}
function toggleFilm(film: string): void {
  const now = scattered.value?.films ?? [];
  setScatter({ films: now.includes(film) ? now.filter((f) => f !== film) : [...now, film] }, 'Change the films');
}
/** As many as come nearest to the pitch; it then closes exactly. */
function setPitch(mm: number): void {
  if (!pitch.value || mm <= 0) return;
  const count = Math.min(200, Math.max(1, Math.round((pitch.value * props.item.repeat.count) / mm)));
  items.change('Change the pitch', (i) => ({ ...i, repeat: { ...i.repeat, count } }));
}
function setAlternate(alternate: boolean): void {
  items.change('Mirror every other one', (i) => ({ ...i, repeat: { ...i.repeat, alternate } }));
}
function setCount(event: Event): void {
  const input = event.target as HTMLInputElement;
  const count = Math.round(Number(input.value));
  if (count >= 1 && count <= 200) items.change('Change the count', (i) => ({ ...i, repeat: { ...i.repeat, count } }));
  else input.value = String(props.item.repeat.count);
}
</script>

<template>
  <div class="row-line modes">
    <span>Repeat</span>
    <ChoiceButtons :value="item.repeat.mode" :options="modes" label="How often round the blank" @choose="setMode" />
  </div>
  <CheckBox
    v-if="item.repeat.mode === 'once' && item.placement.facing === 'faces'"
    class="mt-2"
    :checked="item.repeat.alternate ?? false"
    @change="setAlternate"
    >Mirror the one for the room</CheckBox
  >
  <template v-if="item.repeat.mode !== 'once'">
    <div class="row-line">
      <label :for="`${id}-c`">How many</label>
      <HeldInput
        :id="`${id}-c`"
        size="sm"
        :value="item.repeat.count"
        type="number"
        min="1"
        max="200"
        class="dims number-field"
        @change="setCount"
      />
    </div>
    <template v-if="scattered">
      <LengthField
        v-if="leads"
        label="Smallest gap"
        :mm="scattered.gapMm"
        :unit="unit"
        :most="100"
        @change="setScatter({ gapMm: $event }, 'Change the smallest gap')"
      />
      <FilmChoice label="More films" several :films="others" :chosen="scattered.films" @choose="toggleFilm" />
      <div class="row-line">
        <label :for="`${id}-x`">Mix in another motif</label>
        <BFormSelect :id="`${id}-x`" size="sm" class="w-auto" :model-value="toMix" @update:model-value="mixIn">
          <BFormSelectOption value="">choose a motif</BFormSelectOption>
          <BFormSelectOption v-for="m in MOTIF_IDS" :key="m" :value="m">{{ MOTIFS[m].label }}</BFormSelectOption>
        </BFormSelect>
      </div>
      <p v-if="mixed.length > 0" class="quiet small mb-1">
        Mixed with {{ mixed.join(', ') }}. {{ leads ? 'This one leads' : 'The other leads' }}: its room and arrangement
        hold for all.
      </p>
      <div class="note-bar" :class="placed && found < item.repeat.count ? 'look' : 'fine'">
        <p v-if="!placed" role="status">Arranging them…</p>
        <p v-else-if="found < item.repeat.count">{{ found }} of {{ item.repeat.count }} found room.</p>
        <p v-else>{{ found }} spread out{{ round ? ', running on across the seam; none is cut by it' : '' }}.</p>
        <BButton
          v-if="leads"
          variant="outline-primary"
          size="sm"
          class="mt-2"
          @click="setScatter({ seed: (scattered.seed + 1) % 1000000 }, 'Shuffle')"
        >
          Shuffle
        </BButton>
        <span v-if="leads" class="quiet small ms-2">Arrangement {{ scattered.seed }}</span>
      </div>
    </template>
    <LengthField
      v-if="!scattered && pitch"
      label="Spacing"
      :mm="pitch"
      :unit="unit"
      :least="1"
      :most="2000"
      @change="setPitch"
    />
    <CheckBox
      v-if="item.repeat.mode === 'spaced'"
      class="mt-2"
      :checked="item.repeat.alternate ?? false"
      @change="setAlternate"
      >Mirror every other one
      <span v-if="item.repeat.alternate && item.repeat.count % 2" class="quiet"
        >; an odd count puts two alike side by side</span
      ></CheckBox
    >
    <BButton
      v-if="item.repeat.mode === 'joined' && item.placement.from !== 'middle'"
      variant="outline-primary"
      size="sm"
      class="mt-2"
      @click="items.otherEnd()"
    >
      The same along the {{ item.placement.from === 'rim' ? 'base' : 'rim' }}
    </BButton>
    <div v-if="!scattered && pitch" class="note-bar fine">
      <p class="fw-bold">Closes at the seam</p>
      <p>{{ item.repeat.count }} times {{ formatLength(pitch, unit) }}; the last meets the first.</p>
    </div>
  </template>
</template>

<style scoped>
.modes {
  flex-wrap: wrap;
  row-gap: 0.35rem;
}
</style>
