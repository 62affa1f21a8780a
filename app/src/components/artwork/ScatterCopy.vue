<script setup lang="ts">
import { nearFront, type ArtworkItem, type Film, type Units } from '@mivet/core';
import { computed } from 'vue';
import { itemTitle } from '../../composables/item-title.ts';
import { useScatter } from '../../composables/useScatter.ts';
import { useView } from '../../stores/view.ts';
import CheckBox from '../fields/CheckBox.vue';
import LengthField from '../fields/LengthField.vue';
import NumberRow from '../fields/NumberRow.vue';
import SelectRow from '../fields/SelectRow.vue';
import FilmSelect from '../films/FilmSelect.vue';

/** One copy of a scatter: where it is, how it is turned and how large; picked on the flat or here, one after the other. */
const props = defineProps<{ item: ArtworkItem; unit: Units; films: readonly Film[] }>();
const view = useView();
const { spots, copy, others, changeCopy } = useScatter(() => props.item);
const places = (value: number, digits: number): number => Number(value.toFixed(digits));
const angle = computed(() => places((nearFront(copy.value?.azimuth ?? 0) * 180) / Math.PI, 1));
const things = computed(() => [props.item, ...others.value].map((one) => ({ value: one.id, label: itemTitle(one) })));
/** A colour of a drawing keeps its film. */
const filmed = computed(() => props.item.type !== 'art');
function step(by: number): void {
  const count = spots.value.length;
  if (count > 0) view.copyIndex = ((view.copyIndex ?? (by > 0 ? -1 : count)) + by + count) % count;
}
</script>

<template>
  <section v-if="spots.length > 0" aria-label="One of them">
    <div class="row-line">
      <span>One of them</span>
      <span class="d-flex align-items-center gap-2">
        <BButton variant="outline-primary" size="sm" aria-label="The one before" @click="step(-1)">
          <IBiChevronLeft />
        </BButton>
        <span class="dims">{{ copy ? `${view.copyIndex! + 1} of ${spots.length}` : 'none' }}</span>
        <BButton variant="outline-primary" size="sm" aria-label="The next one" @click="step(1)">
          <IBiChevronRight />
        </BButton>
      </span>
    </div>
    <p v-if="!copy" class="quiet small mb-1">Press one on the flat, or step through them here, to change it alone.</p>
    <template v-else>
      <NumberRow
        label="Round from the front, °"
        :value="angle"
        :least="-180"
        :most="180"
        @change="changeCopy('Move one', { angleDeg: $event, pinned: true })"
      />
      <LengthField
        label="Middle below the rim edge"
        :mm="copy.slant"
        :unit="unit"
        :least="-1000"
        :most="10000"
        @change="changeCopy('Move one', { downMm: $event, pinned: true })"
      />
      <NumberRow
        label="Turned, °"
        :value="places(copy.turnDeg, 1)"
        :least="-360"
        :most="360"
        @change="changeCopy('Turn one', { turnDeg: $event, pinned: true })"
      />
      <NumberRow
        label="Size, %"
        :value="places(copy.size * 100, 1)"
        :least="5"
        :most="1000"
        @change="changeCopy('Size one', { size: $event / 100, pinned: true })"
      />
      <SelectRow
        v-if="things.length > 1 && spots.length > 1"
        label="Motif"
        :value="item.id"
        :options="things"
        @change="changeCopy('Swap one', { itemId: $event, film: null, pinned: true })"
      />
      <div v-if="filmed" class="row-line">
        <span>Film</span>
        <FilmSelect
          small
          :films="films"
          :value="copy.film"
          label="Film of this one"
          @choose="changeCopy('Change the film of one', { film: $event, pinned: true })"
        />
      </div>
      <CheckBox :checked="copy.pinned" @change="changeCopy($event ? 'Pin one' : 'Unpin one', { pinned: $event })">
        Stays here when the rest is shuffled
      </CheckBox>
      <BButton
        v-if="spots.length > 1"
        variant="link"
        class="text-brick p-0 mt-1"
        @click="changeCopy('Remove one', null)"
        >Remove it</BButton
      >
    </template>
  </section>
</template>

<style scoped>
.text-brick {
  color: var(--brick);
}
</style>
