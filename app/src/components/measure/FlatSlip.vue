<script setup lang="ts">
import { formatLength } from '@mivet/core';
import { computed, ref } from 'vue';
import { useFiles } from '../../composables/useFiles.ts';
import { usePicture } from '../../stores/picture.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import FitCheck from './FitCheck.vue';

const picture = usePicture();
const project = useProject();
const settings = useSettings();
const files = useFiles();
const bare = ref<'pieces' | 'bare'>('bare');
const p = computed(() => picture.good);
const mm = (v: number | null): string => (v === null ? 'none, it is straight' : formatLength(v, settings.unit));
const straight = computed(() => p.value !== null && Math.abs(p.value.size.taper) < 1e-9);
const closeEnough = computed(
  () =>
    p.value !== null && p.value.template.shortcuts.trapezoidRim < 0.5 && p.value.template.shortcuts.rectangleBase < 0.5,
);
const degrees = computed(() => (((p.value?.template.sector.angle ?? 0) * 180) / Math.PI).toFixed(2));
const upsideDown = computed(
  () => p.value !== null && p.value.template.cone.girthBase > p.value.template.cone.girthRim + 0.5,
);
const PAPERS = [
  { value: 'a4' as const, label: 'A4' },
  { value: 'letter' as const, label: 'Letter' },
];
const PRINTS = [
  { value: 'bare' as const, label: 'Outline' },
  { value: 'pieces' as const, label: 'With artwork' },
];
</script>

<template>
  <div v-if="p">
    <h2>{{ straight ? 'A plain rectangle' : 'A true arc' }}</h2>
    <p class="quiet">
      {{
        straight
          ? 'A straight side unrolls to a rectangle, exactly.'
          : 'A tapered side unrolls to part of a ring, exactly.'
      }}
    </p>
    <div class="row-line">
      <span>Rim edge</span><span class="dims">{{ mm(p.template.rimLength) }}</span>
    </div>
    <div class="row-line">
      <span>Base edge</span><span class="dims">{{ mm(p.template.baseLength) }}</span>
    </div>
    <div v-if="p.template.lap > 0" class="row-line">
      <span>Of both, for the lap</span><span class="dims">{{ mm(p.template.lap) }}</span>
    </div>
    <div class="row-line">
      <span>Down the side</span><span class="dims">{{ mm(p.size.side) }}</span>
    </div>
    <template v-if="!straight">
      <div class="row-line">
        <span>Rim arc’s radius</span><span class="dims">{{ mm(p.template.sector.apexRadiusRim) }}</span>
      </div>
      <div class="row-line">
        <span>Base arc’s radius</span><span class="dims">{{ mm(p.template.sector.apexRadiusBase) }}</span>
      </div>
      <div class="row-line">
        <span>Opens by</span><span class="dims">{{ degrees }}°</span>
      </div>
    </template>
    <div v-if="!straight" class="note-bar" :class="closeEnough ? 'fine' : 'look'">
      <p class="fw-bold">A straight-sided template would miss the rim by {{ mm(p.template.shortcuts.trapezoidRim) }}</p>
      <p>
        Its seam would stand open by {{ mm(p.template.shortcuts.trapezoidSeam) }}.
        <template v-if="closeEnough">That is under what hands can hold: a plain rectangle does here as well.</template>
        <template v-else>That is why this one is bent.</template>
      </p>
    </div>
    <div v-if="upsideDown" class="note-bar look">
      <p class="fw-bold">The longer arc goes to the base</p>
      <p>“Rim this way” is printed on the template, so that it is not wrapped upside down.</p>
    </div>
    <div class="note-bar fine">
      <p class="fw-bold">No strain</p>
      <p>This side is flat in one direction everywhere, so film lies without stretching.</p>
    </div>
    <h3 class="mt-4 mb-2">Print it at true size</h3>
    <div class="d-flex flex-wrap gap-2 mb-3">
      <ChoiceButtons :value="settings.paper" :options="PAPERS" label="Paper" @choose="settings.paper = $event" />
      <ChoiceButtons :value="bare" :options="PRINTS" label="What is printed" @choose="bare = $event" />
    </div>
    <div class="d-flex flex-wrap gap-2">
      <button
        type="button"
        class="btn btn-primary"
        :disabled="files.busy.value"
        @click="files.print('template-pdf', bare === 'pieces')"
      >
        Print the template
      </button>
      <button
        type="button"
        class="btn btn-outline-primary"
        :disabled="files.busy.value"
        @click="files.save('template-svg')"
      >
        Save as SVG
      </button>
      <button
        type="button"
        class="btn btn-outline-primary"
        :disabled="files.busy.value"
        @click="files.save('template-dxf')"
      >
        Save as DXF
      </button>
    </div>
    <p v-if="files.said.value" class="quiet mt-2" role="status">{{ files.said.value }}</p>
    <FitCheck
      :blank="project.doc!.blank"
      :size="p.size"
      :unit="settings.unit"
      @change="(fitCheck, label) => project.edit(label, (doc) => ({ ...doc, blank: { ...doc.blank, fitCheck } }))"
    />
  </div>
  <div v-else>
    <h2>Nothing to flatten yet</h2>
    <p class="quiet">The readings come first.</p>
    <RouterLink class="btn btn-primary" :to="{ name: 'project', params: { id: project.doc!.id, stop: 'measure' } }"
      >Go to Measure</RouterLink
    >
  </div>
</template>
