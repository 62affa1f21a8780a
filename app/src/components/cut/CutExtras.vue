<script setup lang="ts">
import FoldOut from '../fields/FoldOut.vue';
import { useSettings } from '../../stores/settings.ts';
import CheckBox from '../fields/CheckBox.vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';

/** In which format cut lines are written, and what is cut besides the pieces. Kept for this device, all but the mirror. */
const settings = useSettings();
defineProps<{ noMark: readonly string[]; noMirror?: boolean }>();
const mirrored = defineModel<boolean>('mirrored', { required: true });
const FORMATS = [
  { value: 'svg', label: 'SVG', title: 'Drawing in millimetres' },
  { value: 'dxf', label: 'DXF', title: 'Lines and arcs in millimetres' },
  { value: 'hpgl', label: 'HPGL', title: 'Pen movements, 40 to a millimetre' },
] as const;
const GROUPS = { svg: 'groups', dxf: 'layers', hpgl: 'pens' };
const change = (what: Partial<typeof settings.cutting>): void => {
  settings.cutting = { ...settings.cutting, ...what };
};
</script>

<template>
  <FoldOut title="How the files are written" class="mt-3">
    <ChoiceRow
      says="Format"
      :value="settings.cutting.format"
      :options="FORMATS"
      label="Format of cut files"
      @choose="change({ format: $event })"
    />
    <p class="quiet small mb-2">One file for each load: its films are {{ GROUPS[settings.cutting.format] }} of it.</p>
    <CheckBox :checked="settings.cutting.singles" @change="change({ singles: $event })"
      >A file for each film as well</CheckBox
    >
    <CheckBox class="mt-2" :checked="settings.cutting.testMark" @change="change({ testMark: $event })"
      >Test cut first, in a free corner</CheckBox
    >
    <p v-if="settings.cutting.testMark && noMark.length > 0" class="quiet small mb-0">
      No room for it on {{ noMark.join(', ') }}: cut a test on a scrap.
    </p>
    <LengthField
      label="Overcut"
      :mm="settings.cutting.overcutMm"
      :unit="settings.unit"
      :most="3"
      hint="So that the end of an outline comes free; half a millimetre is usual"
      @change="change({ overcutMm: $event })"
    />
    <template v-if="settings.cutting.format === 'hpgl'">
      <LengthField
        label="Blade offset"
        :mm="settings.cutting.bladeOffsetMm"
        :unit="settings.unit"
        :most="2"
        hint="From the axis of a drag knife to its tip; 0 where the cutter allows for it"
        @change="change({ bladeOffsetMm: $event })"
      />
      <p class="quiet small">
        {{
          settings.cutting.bladeOffsetMm > 0
            ? 'The file swivels the blade at each corner. Set the cutter’s own offset to 0, or it is done twice.'
            : 'Left to the cutter, which has a setting for it.'
        }}
      </p>
    </template>
    <LengthField
      label="Weeding lines every"
      :mm="settings.cutting.weedingMm"
      :unit="settings.unit"
      :most="500"
      hint="Parts the waste so that a hand can hold it; 0 for none"
      @change="change({ weedingMm: $event })"
    />
    <CheckBox v-if="!noMirror" class="mt-2" :checked="mirrored" @change="mirrored = $event"
      >Mirrored <span class="quiet">for the inside of glass, this time only</span></CheckBox
    >
  </FoldOut>
</template>
