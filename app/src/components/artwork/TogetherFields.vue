<script setup lang="ts">
import {
  alignTogether,
  boxAround,
  factorTogether,
  formatLength,
  radiusOnSide,
  replaceItem,
  scaleTogether,
  spreadTogether,
  type AlignTo,
  type ArtworkItem,
  type LaidItem,
} from '@mivet/core';
import { computed } from 'vue';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useViewModel } from '../../stores/view-model.ts';
import LengthField from '../fields/LengthField.vue';

/** How large several things are all together, settable, and how they are lined up with each other. */
const props = defineProps<{ items: readonly ArtworkItem[] }>();
const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();

/** Each with where it lies; a drawing once, its colours go along. Nothing while one of them has no place yet. */
const laid = computed<LaidItem[]>(() => {
  const placed = new Map((viewModel.shape?.items ?? []).map((one) => [one.itemId, one]));
  const sets = new Set<string>();
  const once = props.items.filter((item) => {
    if (item.type !== 'art') return true;
    if (sets.has(item.setId)) return false;
    sets.add(item.setId);
    return true;
  });
  const all = once.flatMap((item) => {
    const box = placed.get(item.id);
    return box ? [{ item, box }] : [];
  });
  return all.length === once.length ? all : [];
});
const side = computed(() => {
  const { shape } = viewModel;
  return shape && { radiusAt: (slant: number) => radiusOnSide(shape, slant), closed: shape.template.closed };
});
/** What runs all round is as wide as the side is. */
const allRound = computed(() =>
  props.items.some(({ repeat }) => repeat.mode === 'joined' || repeat.mode === 'scattered'),
);
const boxes = computed(() => laid.value.map(({ box }) => box));
const box = computed(() => (side.value && boxes.value.length > 0 ? boxAround(boxes.value, side.value) : null));

function put(label: string, changed: readonly ArtworkItem[]): void {
  project.edit(label, (p) => ({ ...p, items: changed.reduce(replaceItem, p.items) }));
}
/** Once they are shown where they lie now: what is asked for twice in a row is done once. */
function grow(way: 'width' | 'height', mm: number): void {
  void viewModel.whenShown(() => {
    const now = way === 'width' ? box.value?.widthMm : box.value?.heightMm;
    const told = (v: number): string => formatLength(v, settings.unit);
    if (now === undefined || told(now) === told(mm)) return;
    const factor = factorTogether(boxes.value, way, mm, side.value!);
    put('Change the size of all', scaleTogether(laid.value, factor, side.value!, project.doc!));
  });
}
function align(to: AlignTo): void {
  void viewModel.whenShown(() => put('Align', alignTogether(laid.value, to, side.value!, project.doc!)));
}
function spread(way: 'across' | 'down'): void {
  void viewModel.whenShown(() => put('Space evenly', spreadTogether(laid.value, way, side.value!, project.doc!)));
}

const ALIGNS = [
  { to: 'left', says: 'Align left edges' },
  { to: 'centre', says: 'Align centres' },
  { to: 'right', says: 'Align right edges' },
  { to: 'top', says: 'Align tops' },
  { to: 'middle', says: 'Align middles' },
  { to: 'bottom', says: 'Align bottoms' },
] as const;
const SPREADS = [
  { way: 'across', says: 'Same distance across' },
  { way: 'down', says: 'Same distance down' },
] as const;
</script>

<template>
  <div v-if="box && laid.length > 1">
    <LengthField
      v-if="!allRound"
      label="Width of all"
      :mm="box.widthMm"
      :unit="settings.unit"
      :least="1"
      @change="grow('width', $event)"
    />
    <LengthField
      label="Height of all"
      :mm="box.heightMm"
      :unit="settings.unit"
      :least="1"
      @change="grow('height', $event)"
    />
    <div class="d-flex flex-wrap gap-1 mt-2" role="group" aria-label="Align and space">
      <BButton
        v-for="a in ALIGNS"
        :key="a.to"
        v-b-tooltip="a.says"
        variant="outline-primary"
        size="sm"
        :aria-label="a.says"
        @click="align(a.to)"
      >
        <IBiAlignStart v-if="a.to === 'left'" aria-hidden="true" />
        <IBiAlignCenter v-else-if="a.to === 'centre'" aria-hidden="true" />
        <IBiAlignEnd v-else-if="a.to === 'right'" aria-hidden="true" />
        <IBiAlignTop v-else-if="a.to === 'top'" aria-hidden="true" />
        <IBiAlignMiddle v-else-if="a.to === 'middle'" aria-hidden="true" />
        <IBiAlignBottom v-else aria-hidden="true" />
      </BButton>
      <template v-if="laid.length > 2">
        <BButton
          v-for="g in SPREADS"
          :key="g.way"
          v-b-tooltip="g.says"
          variant="outline-primary"
          size="sm"
          :aria-label="g.says"
          @click="spread(g.way)"
        >
          <IBiDistributeHorizontal v-if="g.way === 'across'" aria-hidden="true" />
          <IBiDistributeVertical v-else aria-hidden="true" />
        </BButton>
      </template>
    </div>
  </div>
</template>
