<script setup lang="ts">
import {
  alignTogether,
  boxAround,
  factorTogether,
  radiusOnSide,
  replaceItem,
  scaleTogether,
  spreadTogether,
  type AlignTo,
  type ArtworkItem,
  type LaidItem,
} from '@mivet/core';
import { computed } from 'vue';
import IBiAlignBottom from '~icons/bi/align-bottom';
import IBiAlignCenter from '~icons/bi/align-center';
import IBiAlignEnd from '~icons/bi/align-end';
import IBiAlignMiddle from '~icons/bi/align-middle';
import IBiAlignStart from '~icons/bi/align-start';
import IBiAlignTop from '~icons/bi/align-top';
import IBiDistributeHorizontal from '~icons/bi/distribute-horizontal';
import IBiDistributeVertical from '~icons/bi/distribute-vertical';
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
function grow(way: 'width' | 'height', mm: number): void {
  const factor = factorTogether(boxes.value, way, mm, side.value!);
  put('Change the size of all', scaleTogether(laid.value, factor, side.value!, project.doc!));
}
const align = (to: AlignTo): void => put('Align', alignTogether(laid.value, to, side.value!, project.doc!));
const spread = (way: 'across' | 'down'): void =>
  put('Space evenly', spreadTogether(laid.value, way, side.value!, project.doc!));

const ALIGNS = [
  { to: 'left', says: 'Align left edges', icon: IBiAlignStart },
  { to: 'centre', says: 'Align centres', icon: IBiAlignCenter },
  { to: 'right', says: 'Align right edges', icon: IBiAlignEnd },
  { to: 'top', says: 'Align tops', icon: IBiAlignTop },
  { to: 'middle', says: 'Align middles', icon: IBiAlignMiddle },
  { to: 'bottom', says: 'Align bottoms', icon: IBiAlignBottom },
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
        <component :is="a.icon" aria-hidden="true" />
      </BButton>
      <template v-if="laid.length > 2">
        <BButton
          v-b-tooltip="'Same distance across'"
          variant="outline-primary"
          size="sm"
          aria-label="Same distance across"
          @click="spread('across')"
        >
          <IBiDistributeHorizontal aria-hidden="true" />
        </BButton>
        <BButton
          v-b-tooltip="'Same distance down'"
          variant="outline-primary"
          size="sm"
          aria-label="Same distance down"
          @click="spread('down')"
        >
          <IBiDistributeVertical aria-hidden="true" />
        </BButton>
      </template>
    </div>
  </div>
</template>
