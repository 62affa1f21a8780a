<script setup lang="ts">
import { maskPlate, togetherWith, type ArtworkItem, type OutlineActs, type Units } from '@mivet/core';
import { computed, nextTick, ref, useId } from 'vue';
import CheckBox from '../fields/CheckBox.vue';
import LengthField from '../fields/LengthField.vue';
import { itemTitle } from '../../composables/item-title.ts';
import PartsPicker from './PartsPicker.vue';

/** What is done to an item's outlines, by itself and with the help of others. */
const props = defineProps<{ item: ArtworkItem; items: readonly ArtworkItem[]; unit: Units }>();
const emit = defineEmits<{
  acts: [label: string, part: Partial<OutlineActs>];
  change: [label: string, part: Partial<ArtworkItem>];
  together: [other: string | null];
  out: [from: string];
}>();
const id = useId();
const picking = ref(props.item.acts.dropped.length > 0);
const others = computed(() => props.items.filter((i) => i.id !== props.item.id));
const name = (itemId: string): string => {
  const item = props.items.find((i) => i.id === itemId);
  return item ? itemTitle(item) : '';
};
const away = computed(() => props.item.acts.cutAway.filter((other) => name(other)));
const offered = computed(() => others.value.filter((i) => !props.item.acts.cutAway.includes(i.id)));
/** How many others this one shapes. */
const shapes = computed(
  () =>
    others.value.filter((i) => i.acts.cutAway.includes(props.item.id) || i.acts.onlyInside === props.item.id).length,
);
/** What is chosen to be cut away, and to be kept together with it: nothing again as soon as it is done. */
const toCutAway = ref('');
const toKeep = ref('');
async function addAway(id: unknown): Promise<void> {
  toCutAway.value = String(id);
  if (id) emit('acts', 'Cut away', { cutAway: [...props.item.acts.cutAway, String(id)] });
  await nextTick();
  toCutAway.value = '';
}
/** What it is cut out of, in one act. */
const outOf = ref('');
async function cutOut(from: unknown): Promise<void> {
  outOf.value = String(from);
  if (from) emit('out', String(from));
  await nextTick();
  outOf.value = '';
}
/** What moves along with it, and is fused with it where the film is the same. */
const kept = computed(() => togetherWith(props.items, props.item).filter((i) => i.id !== props.item.id));
async function addKept(id: unknown): Promise<void> {
  toKeep.value = String(id);
  if (id) emit('together', String(id));
  await nextTick();
  toKeep.value = '';
}
const isMask = computed(() => maskPlate(props.items)?.id === props.item.id);
</script>

<template>
  <section aria-label="Outline">
    <h3 class="mt-4 mb-1">Outline</h3>
    <CheckBox class="mt-2" :checked="item.fuse" @change="emit('change', 'Fuse overlaps', { fuse: $event })"
      >Fuse overlaps <span class="quiet">into one piece</span></CheckBox
    >
    <CheckBox :checked="item.mirrored" @change="emit('change', 'Mirror', { mirrored: $event })">Mirror</CheckBox>
    <CheckBox :checked="item.acts.fillHoles" @change="emit('acts', 'Fill holes', { fillHoles: $event })"
      >Fill holes</CheckBox
    >
    <LengthField
      label="Thicken / thin by"
      :mm="item.acts.thickenMm"
      :unit="unit"
      :least="-10"
      :most="20"
      hint="Negative values thin"
      @change="emit('acts', 'Thicken or thin', { thickenMm: $event })"
    />
    <div class="row-line">
      <span>Parts</span>
      <BButton variant="outline-primary" size="sm" :aria-expanded="picking" @click="picking = !picking">
        {{ picking ? 'Close' : 'Drop parts' }}
      </BButton>
    </div>
    <PartsPicker v-if="picking" :item="item" @change="emit('acts', 'Drop parts', { dropped: $event })" />
    <template v-if="others.length > 0">
      <div v-for="other in away" :key="other" class="row-line">
        <span>Cut away: {{ name(other) }}</span>
        <BButton
          variant="link"
          size="sm"
          class="p-0"
          @click="emit('acts', 'Stop cutting away', { cutAway: item.acts.cutAway.filter((o) => o !== other) })"
        >
          Remove
        </BButton>
      </div>
      <div v-if="offered.length > 0" class="row-line">
        <label :for="`${id}-a`">Cut away</label>
        <BFormSelect :id="`${id}-a`" size="sm" class="w-50" :model-value="toCutAway" @update:model-value="addAway">
          <BFormSelectOption value="">choose an item</BFormSelectOption>
          <BFormSelectOption v-for="o in offered" :key="o.id" :value="o.id">{{ itemTitle(o) }}</BFormSelectOption>
        </BFormSelect>
      </div>
      <div v-if="!item.acts.shapesOnly" class="row-line">
        <label :for="`${id}-o`">Cut it out of</label>
        <BFormSelect :id="`${id}-o`" size="sm" class="w-50" :model-value="outOf" @update:model-value="cutOut">
          <BFormSelectOption value="">choose an item</BFormSelectOption>
          <BFormSelectOption v-for="o in others" :key="o.id" :value="o.id">{{ itemTitle(o) }}</BFormSelectOption>
        </BFormSelect>
      </div>
      <div class="row-line">
        <label :for="`${id}-i`">Keep only inside</label>
        <BFormSelect
          :id="`${id}-i`"
          size="sm"
          class="w-50"
          :model-value="item.acts.onlyInside && name(item.acts.onlyInside) ? item.acts.onlyInside : ''"
          @update:model-value="emit('acts', 'Keep only inside', { onlyInside: ($event as string) || null })"
        >
          <BFormSelectOption value="">nothing</BFormSelectOption>
          <BFormSelectOption v-for="o in others" :key="o.id" :value="o.id">{{ itemTitle(o) }}</BFormSelectOption>
        </BFormSelect>
      </div>
    </template>
    <template v-if="others.length > 0">
      <div v-if="kept.length > 0" class="row-line">
        <span>Kept together with {{ kept.map(itemTitle).join(', ') }}</span>
        <BButton variant="link" size="sm" class="p-0" @click="emit('together', null)">Ungroup</BButton>
      </div>
      <div class="row-line">
        <label :for="`${id}-t`">Keep together with</label>
        <BFormSelect :id="`${id}-t`" size="sm" class="w-50" :model-value="toKeep" @update:model-value="addKept">
          <BFormSelectOption value="">choose an item</BFormSelectOption>
          <BFormSelectOption v-for="o in others.filter((i) => !kept.includes(i))" :key="o.id" :value="o.id">
            {{ itemTitle(o) }}
          </BFormSelectOption>
        </BFormSelect>
      </div>
    </template>
    <LengthField
      v-if="isMask"
      label="Bridges to islands"
      :mm="item.acts.bridgeMm"
      :unit="unit"
      :most="20"
      hint="For a mask laid by hand; nothing leaves islands loose on the tape"
      @change="emit('acts', 'Bridge the islands', { bridgeMm: $event })"
    />
    <CheckBox
      v-if="isMask"
      class="mt-2"
      :checked="item.acts.slits ?? false"
      @change="emit('acts', $event ? 'Slit its edge' : 'Keep its edge whole', { slits: $event })"
      >Slit its edge <span class="quiet">(where the blank curves both ways, so that it lies)</span></CheckBox
    >
    <CheckBox
      v-if="shapes > 0 || item.acts.shapesOnly"
      class="mt-2"
      :checked="item.acts.shapesOnly"
      @change="emit('acts', 'Use as a cutter only', { shapesOnly: $event })"
      >Use as a cutter only <span class="quiet">(is not cut itself)</span></CheckBox
    >
  </section>
</template>
