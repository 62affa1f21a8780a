<script setup lang="ts">
import { cornerOf, formatLength, girthsOf, type BlankSection, type Units } from '@mivet/core';
import { computed } from 'vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';

/** What a straight side looks like from above: the template goes by the girth alone, the views by this. */
const props = defineProps<{
  section: BlankSection | null;
  /** mm; null while it was not read. */
  girth: number | null;
  unit: Units;
}>();
const emit = defineEmits<{ change: [section: BlankSection | null] }>();
type Shape = BlankSection['shape'] | 'round';
const SHAPES: { value: Shape; label: string; title: string }[] = [
  { value: 'round', label: 'Round', title: 'A mug, tumbler or glass' },
  { value: 'oval', label: 'Oval', title: 'A flask' },
  { value: 'rounded', label: 'Square', title: 'A cup or bottle with flat sides and rounded corners' },
];
/** Width and depth of a usual one of that girth, until they are measured. */
function usual(shape: BlankSection['shape']): BlankSection {
  const across = (props.girth ?? 240) / Math.PI;
  const [wide, deep] = shape === 'oval' ? [1.2, 0.78] : [0.87, 0.87];
  return { shape, widthMm: Math.round(wide * across), depthMm: Math.round(deep * across) };
}
/** What was measured stays, unless it cannot be of the other shape. */
function choose(shape: Shape): void {
  if (shape === 'round') return emit('change', null);
  const kept = props.section && { ...props.section, shape };
  const [least, most] = kept ? girthsOf(kept) : [Infinity, 0];
  const fits = kept !== null && props.girth !== null && props.girth > 0.96 * least && props.girth < 1.04 * most;
  emit('change', fits ? kept : usual(shape));
}
const corner = computed(() =>
  props.section?.shape === 'rounded' && props.girth !== null
    ? cornerOf(props.section.widthMm, props.section.depthMm, props.girth)
    : null,
);
</script>

<template>
  <ChoiceRow
    says="Seen from above"
    :value="section?.shape ?? 'round'"
    :options="SHAPES"
    label="What it looks like from above"
    @choose="choose"
  />
  <template v-if="section">
    <LengthField
      label="Width, across the front"
      :mm="section.widthMm"
      :unit="unit"
      :least="5"
      :most="2000"
      @change="emit('change', { ...section, widthMm: $event })"
    />
    <LengthField
      label="Depth, front to back"
      :mm="section.depthMm"
      :unit="unit"
      :least="5"
      :most="2000"
      @change="emit('change', { ...section, depthMm: $event })"
    />
    <p class="quiet small mb-1">
      The template goes by the girth and is exact whatever the section; width and depth say where things face{{
        corner === null ? '' : `. Its corners come to ${formatLength(corner, unit)}`
      }}.
    </p>
  </template>
</template>
