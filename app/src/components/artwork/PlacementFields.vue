<script setup lang="ts">
import { azimuthOfFacing, type ArtworkItem, type Facing, type Hand, type Placement, type Units } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import { useItems } from '../../composables/useItems.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';
import HeldInput from '../fields/HeldInput.vue';
import SelectRow from '../fields/SelectRow.vue';

/** Where the item sits, in words. */
const props = defineProps<{ item: ArtworkItem; hasHandle: boolean; hand: Hand; unit: Units }>();
const items = useItems();
const viewModel = useViewModel();
const project = useProject();
const id = useId();

const facings = computed((): { value: Facing; label: string }[] =>
  props.hasHandle
    ? [
        { value: 'front', label: 'Opposite the handle' },
        { value: 'drinker', label: 'Facing the drinker' },
        { value: 'room', label: 'Facing the room' },
        ...(props.item.repeat.mode === 'once' ? [{ value: 'faces' as const, label: 'Both: drinker and room' }] : []),
        { value: 'angle', label: 'At an angle' },
      ]
    : [
        { value: 'front', label: 'In front' },
        { value: 'angle', label: 'At an angle' },
      ],
);
// Without a handle the drinker's side is not defined: such a facing shows as the angle that it comes to.
const facing = computed(() =>
  facings.value.some((f) => f.value === props.item.placement.facing) ? props.item.placement.facing : 'angle',
);
const angle = computed(
  () => (azimuthOfFacing(props.item.placement.facing, props.item.placement.angleDeg, props.hand) * 180) / Math.PI,
);
const byHand = computed(() => ['drinker', 'room', 'faces'].includes(props.item.placement.facing));

const round = computed(() => viewModel.shape?.template.closed ?? true);
/** mm to the right of the middle of a face: the face's whole width stands for a full turn. */
const across = computed(() => (angle.value / 360) * (viewModel.shape?.template.cone.girthRim ?? 0));
function setAcross(mm: number): void {
  const width = viewModel.shape?.template.cone.girthRim ?? 0;
  if (width > 0) place({ facing: 'angle', angleDeg: Math.max(-180, Math.min(180, (360 * mm) / width)) }, 'Move');
}

const FROM = computed((): { value: Placement['from']; label: string }[] => [
  { value: 'rim', label: round.value ? 'rim' : 'top' },
  { value: 'middle', label: 'middle' },
  { value: 'base', label: round.value ? 'base' : 'bottom' },
]);
const FROM_LABEL = computed(() =>
  round.value
    ? {
        rim: 'Top below the rim line',
        middle: 'Below the middle',
        base: 'Bottom above the base line',
      }
    : { rim: 'Top below the edge', middle: 'Below the middle', base: 'Bottom above the edge' },
);
const HANDS: { value: Hand; label: string }[] = [
  { value: 'right', label: 'Right' },
  { value: 'left', label: 'Left' },
];

function place(change: Partial<Placement>, label: string): void {
  items.change(label, (i) => ({ ...i, placement: { ...i.placement, ...change } }));
}
function setFacing(value: Facing): void {
  place({ facing: value, angleDeg: value === 'angle' ? angle.value : 0 }, 'Face another way');
}
function setNumber(key: 'angleDeg' | 'turnDeg', event: Event): void {
  const value = Number((event.target as HTMLInputElement).value.replace(',', '.').replace('°', ''));
  if (Number.isFinite(value))
    place(
      key === 'angleDeg'
        ? { facing: 'angle', angleDeg: Math.max(-180, Math.min(180, value)) }
        : { turnDeg: Math.max(-180, Math.min(180, value)) },
      'Turn',
    );
  else (event.target as HTMLInputElement).value = `${props.item.placement[key].toFixed(0)}°`;
}
/** What was chosen and waits for the picture to show the item. */
const fromNext = ref<Placement['from'] | null>(null);
async function countFrom(from: Placement['from']): Promise<void> {
  fromNext.value = from;
  await items.countFrom(from);
  if (fromNext.value === from) fromNext.value = null;
}
</script>

<template>
  <SelectRow v-if="round" label="Centred" :value="facing" :options="facings" @change="setFacing" />
  <LengthField
    v-if="!round"
    label="Right of the middle by"
    :mm="across"
    :unit="unit"
    :least="-1000"
    :most="1000"
    @change="setAcross"
  />
  <div v-else-if="facing === 'angle'" class="row-line">
    <label :for="`${id}-a`">Right of the front by</label>
    <HeldInput
      :id="`${id}-a`"
      size="sm"
      :value="`${angle.toFixed(0)}°`"
      class="dims number-field"
      @change="setNumber('angleDeg', $event)"
    />
  </div>
  <ChoiceRow
    v-if="byHand && round"
    says="Held in the"
    :value="hand"
    :options="HANDS"
    label="Hand that holds it"
    @choose="project.edit('Change the hand', (p) => ({ ...p, hand: $event }))"
  />
  <ChoiceRow
    says="From the"
    :value="fromNext ?? item.placement.from"
    :options="FROM"
    label="Counted from"
    @choose="countFrom"
  />
  <LengthField
    :label="FROM_LABEL[item.placement.from]"
    :mm="item.placement.mm"
    :unit="unit"
    :least="-1000"
    :most="1000"
    @change="place({ mm: $event }, 'Move')"
  />
  <div v-if="item.repeat.mode !== 'joined'" class="row-line">
    <label :for="`${id}-t`">Turned</label>
    <HeldInput
      :id="`${id}-t`"
      size="sm"
      :value="`${item.placement.turnDeg.toFixed(0)}°`"
      class="dims number-field"
      @change="setNumber('turnDeg', $event)"
    />
  </div>
</template>
