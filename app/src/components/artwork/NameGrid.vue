<script setup lang="ts">
import type { Blank, Film, GoodViewModel, Hand, NameRow, Units } from '@mivet/core';
import { azimuthOfFacing, formatSize } from '@mivet/core';
import { computed, ref } from 'vue';
import { useGrowingList } from '../../composables/useGrowingList.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import NameTable from './NameTable.vue';
import CupDrawing from '../projects/CupDrawing.vue';

/** Every name of the list as it will sit on the blank. */
const props = defineProps<{
  viewModel: GoodViewModel;
  blank: Blank;
  otherBlanks: readonly Blank[];
  rows: readonly NameRow[];
  hand: Hand;
  films: readonly Film[];
  unit: Units;
}>();
const shows = ref<'pictures' | 'table'>('pictures');
const SHOWS = [
  { value: 'pictures', label: 'Pictures' },
  { value: 'table', label: 'Table' },
] as const;
/** Two views side by side want more room. */
const least = computed(() => (bySides.value && props.viewModel.names.some((n) => !n.worded) ? '240px' : '150px'));
/** Whether there is a hand by which the sides are told. */
const bySides = computed(() => props.viewModel.template.closed && props.blank.handleWidthMm > 0);
const foot = ref<HTMLElement | null>(null);
const { part: shown } = useGrowingList(() => props.viewModel.names, foot, 30);
/** Words are seen from the front; what is held by a handle from the drinker's side and from the room's. */
function sidesOf(rowId: string, worded: boolean): number[] {
  if (worded || !bySides.value) return [0];
  const hand = props.rows.find((row) => row.id === rowId)?.hand ?? props.hand;
  return [azimuthOfFacing('drinker', 0, hand), azimuthOfFacing('room', 0, hand)];
}
const blankOf = (rowId: string): Blank => {
  const id = props.rows.find((row) => row.id === rowId)?.blankId;
  return props.otherBlanks.find((b) => b.id === id) ?? props.blank;
};
</script>

<template>
  <section class="names" aria-label="All names on the blank">
    <h2 class="dims">
      {{ viewModel.names.some((n) => n.worded) ? 'All names, as they will sit' : 'All of them, as they will look' }}
    </h2>
    <ChoiceButtons
      v-if="viewModel.names.length > 0"
      class="mt-2"
      :value="shows"
      :options="SHOWS"
      label="How the names are shown"
      @choose="shows = $event"
    />
    <p v-if="viewModel.names.length === 0" class="quiet">
      Add names on the slip: each is shown here on the blank, fitted to its place.
    </p>
    <NameTable
      v-else-if="shows === 'table'"
      class="mt-3"
      :names="viewModel.names"
      :rows="rows"
      :hand="hand"
      :blank-of="blankOf"
      :unit="unit"
    />
    <ul v-else>
      <li v-for="n in shown" :key="n.rowId" :class="{ fails: n.overMm > 0 || n.missing.length > 0 || !n.made }">
        <div v-if="n.made" class="views">
          <CupDrawing
            v-for="facing in sidesOf(n.rowId, n.worded)"
            :key="facing"
            :blank="blankOf(n.rowId)"
            :view-model="n.solid ?? viewModel"
            :films="films"
            :pieces="n.pieces"
            :facing="facing"
          />
        </div>
        <span v-else class="unmade quiet">{{ blankOf(n.rowId).name }} cannot be flattened yet</span>
        <span class="name">{{ n.name }}</span>
        <span v-if="!n.worded && n.made && bySides" class="quiet small">the drinker’s side, and the room’s</span>
        <span v-if="n.solid" class="quiet small">{{ blankOf(n.rowId).name }}</span>
        <span v-if="n.worded && n.cutMm" class="quiet small dims">{{
          formatSize(n.cutMm.width, n.cutMm.height, unit)
        }}</span>
      </li>
    </ul>
    <div ref="foot" />
  </section>
</template>

<style scoped>
.names {
  height: 100%;
  overflow-y: auto;
  padding: 0.8rem 1.1rem;
}
h2 {
  font-size: 1rem;
  color: var(--ink-2);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0.6rem 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(v-bind(least), 1fr));
  gap: 1rem;
}
li {
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  border: 1px solid var(--hairline);
  background: var(--slip);
  border-radius: 3px;
  padding: 0.8rem 0.6rem 0.6rem;
}
li.fails {
  border-color: var(--brick);
}
.views {
  display: flex;
  width: 100%;
  gap: 0.5rem;
}
.views svg {
  height: 130px;
  flex: 1;
  min-width: 0;
}
.unmade {
  height: 130px;
  display: flex;
  align-items: center;
}
.name {
  font-weight: 700;
  margin-top: 0.4rem;
  overflow-wrap: anywhere;
}
</style>
