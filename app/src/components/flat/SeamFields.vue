<script setup lang="ts">
import TermLine from '../terms/TermLine.vue';
import TermWord from '../terms/TermWord.vue';
import { formatLength, type Seam } from '@mivet/core';
import { computed } from 'vue';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';

/** How the ends of the wrap meet, and into how many panels it is divided. */
const project = useProject();
const viewModel = useViewModel();
const settings = useSettings();
const seam = computed(() => project.doc!.seam);
const handle = computed(() => project.doc!.blank.handleWidthMm > 0);
/** Bands and gores divide the side another way. */
const divided = computed(() => {
  const way = viewModel.shape?.template.flattening.way;
  return way === 'bands' || way === 'gores';
});
const meets = computed(() => !handle.value || seam.value.panels > 1);
const WAYS: { value: Seam['way']; label: string; title: string }[] = [
  { value: 'straight', label: 'Straight', title: 'Straight down the side' },
  { value: 'wandering', label: 'Between pieces', title: 'Wanders from base to rim so that it cuts no piece' },
];
const PANELS = ['1', '2', '3', '4'].map((value) => ({
  value,
  label: value === '1' ? 'In one' : value,
  title: value === '1' ? 'One wrap' : `${value} panels side by side`,
}));
const says = computed(() => {
  const seams = viewModel.shape?.seams ?? [];
  if (seams.length === 0) return null;
  const mm = (v: number): string => formatLength(v, settings.unit);
  const cut = seams.reduce((sum, s) => sum + s.cutMm, 0);
  const wander = Math.max(...seams.map((s) => s.wanderMm));
  const them = seams.length === 1 ? 'The seam' : `${seams.length} seams`;
  if (seam.value.way === 'wandering' && cut > 0.05 && seams.every((s) => s.free))
    return { grade: 'fine', text: 'Only the band that runs all round is cut; it closes.' };
  if (cut > 0.05)
    return { grade: 'look', text: `${them} cut${seams.length === 1 ? 's' : ''} through ${mm(cut)} of film.` };
  if (seam.value.way === 'straight') return { grade: 'fine', text: 'Nothing is cut.' };
  if (seams.some((s) => !s.free))
    return { grade: 'look', text: `No piece is cut, but less than ${mm(seam.value.clearanceMm)} is left beside some.` };
  return {
    grade: 'fine',
    text: `No piece is cut. ${wander < 0.1 ? 'A straight line does.' : `The way is ${mm(wander)} longer than straight down.`}`,
  };
});
function change(label: string, part: Partial<Seam>): void {
  project.edit(label, (p) => ({ ...p, seam: { ...p.seam, ...part } }));
}
</script>

<template>
  <section aria-label="Seam and panels">
    <h3 class="mt-4 mb-1"><TermWord term="seam" shown="Seam" /></h3>
    <ChoiceRow
      v-if="meets"
      says="Follows"
      :value="seam.way"
      :options="WAYS"
      label="How the seam runs"
      @choose="change('Change the seam', { way: $event })"
    />
    <ChoiceRow
      v-if="!divided"
      says="Panels"
      :value="String(seam.panels)"
      :options="PANELS"
      label="How many panels"
      @choose="change('Divide the wrap', { panels: Number($event) })"
    />
    <LengthField
      v-if="meets && seam.way === 'wandering'"
      label="Keeps from pieces"
      :mm="seam.clearanceMm"
      :unit="settings.unit"
      :most="20"
      @change="change('Change the clearance', { clearanceMm: $event })"
    />
    <LengthField
      label="Ends lap by"
      :mm="seam.lapMm"
      :unit="settings.unit"
      :most="50"
      @change="change('Change the lap', { lapMm: $event })"
    />
    <div v-if="says" class="note-bar" :class="says.grade">
      <p>{{ says.text }}</p>
    </div>
    <TermLine :terms="['panel', 'lap']" />
  </section>
</template>
