<script setup lang="ts">
import {
  azimuthOfFacing,
  radiusOnSide,
  type ArtworkItem,
  type Facing,
  type Hand,
  type Placement,
  type Units,
} from '@mivet/core';
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
        { value: 'angle', label: 'Elsewhere' },
      ]
    : [
        { value: 'front', label: 'In front' },
        { value: 'angle', label: 'Elsewhere' },
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
/** mm that stand for a full turn: the girth where the item lies, or the whole width of a face. */
const wayRound = computed(() => {
  const { shape } = viewModel;
  if (!shape) return 0;
  const placed = shape.items.find(({ itemId }) => itemId === props.item.id);
  return round.value ? 2 * Math.PI * radiusOnSide(shape, placed?.slant ?? shape.size.side / 2) : shape.template.cone.girthRim; // prettier-ignore
});
/** mm to the right of the front, or of the middle of a face. */
const across = computed(() => (angle.value / 360) * wayRound.value);
function setAcross(mm: number): void {
  const width = wayRound.value;
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
  { value: 'right', label: 'Right hand' },
  { value: 'left', label: 'Left hand' },
];

function place(change: Partial<Placement>, label: string): void {
  items.change(label, (i) => ({ ...i, placement: { ...i.placement, ...change } }));
}
function setFacing(value: Facing): void {
  place({ facing: value, angleDeg: value === 'angle' ? angle.value : 0 }, 'Face another way');
}
function setTurn(event: Event): void {
  const value = Number((event.target as HTMLInputElement).value.replace(',', '.').replace('°', ''));
  if (Number.isFinite(value)) place({ turnDeg: Math.max(-180, Math.min(180, value)) }, 'Turn');
  else (event.target as HTMLInputElement).value = `${props.item.placement.turnDeg.toFixed(0)}°`;
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
    v-if="!round || facing === 'angle'"
    :label="round ? 'Right of the front by' : 'Right of the middle by'"
    :mm="across"
    :unit="unit"
    :least="-1000"
    :most="1000"
    @change="setAcross"
  />
  <p v-if="round && facing === 'angle'" class="quiet small mb-1">
    Along the side; {{ Math.abs(angle).toFixed(0) }}° to the {{ angle < 0 ? 'left' : 'right' }}.
  </p>
  <ChoiceRow
    v-if="byHand && round"
    says="Held in"
    :value="hand"
    :options="HANDS"
    label="Hand that holds it"
    @choose="project.edit('Change the hand', (p) => ({ ...p, hand: $event }))"
  />
  <ChoiceRow
    says="Count from"
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
      @change="setTurn"
    />
  </div>
</template>
