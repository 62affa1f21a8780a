<script setup lang="ts">
import { MOTIF_IDS, MOTIFS, type ArtworkItem, type Film, type ItemViewModel, type ScatterEdge, type Units } from '@mivet/core'; // prettier-ignore
import { computed, nextTick, ref, useId } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import { itemTitle } from '../../composables/item-title.ts';
import { useScatter } from '../../composables/useScatter.ts';
import { useLibrary } from '../../stores/library.ts';
import CheckBox from '../fields/CheckBox.vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';
import NumberRow from '../fields/NumberRow.vue';
import FilmChoice from '../films/FilmChoice.vue';
import ScatterCopy from './ScatterCopy.vue';

/** How copies are scattered: how many, how near, how far turned and sized, what happens at the edges; and each by itself. */
const props = defineProps<{
  item: ArtworkItem;
  placed: ItemViewModel | null;
  unit: Units;
  films: readonly Film[];
  round: boolean;
}>();
const id = useId();
const items = useItems();
const library = useLibrary();
const { lead, scatter, shared, others, spots, arrange, own } = useScatter(() => props.item);
const further = computed(() => props.films.filter(({ id: film }) => film !== props.item.film));
const leads = computed(() => lead.value.id === props.item.id || others.value.every(({ id: one }) => one !== lead.value.id)); // prettier-ignore
const fills = computed(() => shared.value?.fill === true);
const turns = computed((): readonly [number, number] => scatter.value?.turnsDeg ?? [0, 0]);
const sizes = computed(
  () => (scatter.value?.sizes ?? [1, 1]).map((v) => Math.round(v * 1000) / 10) as [number, number],
);
/** Both ends of a range, the one that was typed and the other no further than it. */
const range = (before: readonly [number, number], end: 0 | 1, value: number): [number, number] =>
  end === 0 ? [value, Math.max(value, before[1])] : [Math.min(value, before[0]), value];
const EDGES: { value: ScatterEdge; label: string; title: string }[] = [
  { value: 'clear', label: 'Keep clear', title: 'Nothing reaches past the clearances at rim and base' },
  { value: 'cut', label: 'Cut', title: 'What reaches past is cut off there, as a printed pattern is' },
  { value: 'spare', label: 'Leave off', title: 'What reaches past is cut whole beside the wrap, to be laid by hand' },
];
const found = computed(() => spots.value.length);
const missing = computed(() => !fills.value && found.value + (props.placed?.leftOff ?? 0) < props.item.repeat.count);
const says = computed(() => {
  if (!props.placed) return 'Arranging them…';
  if (missing.value) return `${found.value} of ${props.item.repeat.count} found room.`;
  const off = props.placed.leftOff;
  const beside = off > 0 ? `; ${off} more at the edges cut beside, to lay by hand` : '';
  return `${found.value} spread out${props.round ? ', running on across the seam; none is cut by it' : ''}${beside}.`;
});
/** What is chosen to be mixed in: none again as soon as it is done. */
const toMix = ref('');
async function mixIn(chosen: unknown): Promise<void> {
  toMix.value = String(chosen);
  const motif = library.motifs.find((one) => one.id === chosen);
  if (motif) await items.scatterOwn(motif);
  else if (chosen) items.scatterToo(chosen as (typeof MOTIF_IDS)[number]);
  await nextTick();
  toMix.value = '';
}
function toggleFilm(film: string): void {
  const now = scatter.value?.films ?? [];
  own('Change the films', { films: now.includes(film) ? now.filter((f) => f !== film) : [...now, film] });
}
</script>

<template>
  <template v-if="scatter && shared">
    <NumberRow
      v-if="!fills"
      label="How many"
      :value="item.repeat.count"
      :least="1"
      :most="600"
      whole
      @change="own('Change the count', {}, $event)"
    />
    <CheckBox v-if="leads" class="mt-2" :checked="fills" @change="arrange('Fill the gaps', { fill: $event })">
      Fill the gaps: as many as find room
    </CheckBox>
    <LengthField
      v-if="leads"
      label="Smallest gap"
      :mm="shared.gapMm"
      :unit="unit"
      :most="100"
      @change="arrange('Change the smallest gap', { gapMm: $event })"
    />
    <div class="row-line">
      <span>Turned between, °</span>
      <span class="pair">
        <NumberRow
          v-for="end in [0, 1] as const"
          :key="end"
          class="bare"
          :label="end === 0 ? 'Turned from' : 'Turned to'"
          :value="turns[end]"
          :least="-360"
          :most="360"
          @change="own('Change how far they are turned', { turnsDeg: range(turns, end, $event) })"
        />
      </span>
    </div>
    <div class="row-line">
      <span>Sized between, %</span>
      <span class="pair">
        <NumberRow
          v-for="end in [0, 1] as const"
          :key="end"
          class="bare"
          :label="end === 0 ? 'Sized from' : 'Sized to'"
          :value="sizes[end]"
          :least="5"
          :most="1000"
          @change="
            own('Change how they are sized', {
              sizes: range(sizes, end, $event).map((v) => v / 100) as [number, number],
            })
          "
        />
      </span>
    </div>
    <ChoiceRow
      v-if="round && leads"
      says="At the edges"
      :value="shared.edge ?? 'clear'"
      :options="EDGES"
      label="What happens at rim and base"
      @choose="arrange('Change what happens at the edges', { edge: $event })"
    />
    <FilmChoice
      v-if="item.type !== 'art'"
      label="More films"
      several
      :films="further"
      :chosen="scatter.films"
      @choose="toggleFilm"
    />
    <div class="row-line">
      <label :for="`${id}-x`">Mix in another motif</label>
      <BFormSelect :id="`${id}-x`" size="sm" class="w-auto" :model-value="toMix" @update:model-value="mixIn">
        <BFormSelectOption value="">choose a motif</BFormSelectOption>
        <BFormSelectOption v-for="m in library.motifs" :key="m.id" :value="m.id">{{ m.name }}</BFormSelectOption>
        <BFormSelectOption v-for="m in MOTIF_IDS" :key="m" :value="m">{{ MOTIFS[m].label }}</BFormSelectOption>
      </BFormSelect>
    </div>
    <p v-if="others.length > 0" class="quiet small mb-1">
      Mixed with {{ others.map(itemTitle).join(', ') }}. {{ leads ? 'This one leads' : 'The other leads' }}: its room
      and arrangement hold for all.
    </p>
    <div class="note-bar" :class="missing ? 'look' : 'fine'">
      <p role="status">{{ says }}</p>
      <BButton
        v-if="leads"
        variant="outline-primary"
        size="sm"
        class="mt-2"
        @click="arrange('Shuffle', { seed: (shared.seed + 1) % 1000000 })"
      >
        Shuffle
      </BButton>
      <span v-if="leads" class="quiet small ms-2">Arrangement {{ shared.seed }}</span>
    </div>
    <ScatterCopy :item="item" :unit="unit" :films="films" />
  </template>
</template>

<style scoped>
.pair {
  display: flex;
  gap: 0.4rem;
}
.pair :deep(.row-line) {
  border: 0;
  padding: 0;
  margin: 0;
}
.pair :deep(label) {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.pair :deep(.number-field) {
  width: 4rem;
}
</style>
