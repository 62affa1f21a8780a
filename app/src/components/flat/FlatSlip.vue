<script setup lang="ts">
import { describeFlattening, solidOf, type FlatteningChoice } from '@mivet/core';
import { computed, ref } from 'vue';
import { useFiles } from '../../composables/useFiles.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import FitCheck from './FitCheck.vue';
import SeamFields from './SeamFields.vue';
import FlatFacts from './FlatFacts.vue';
import WayPicker from './WayPicker.vue';

const viewModel = useViewModel();
const project = useProject();
const settings = useSettings();
const files = useFiles();
const bare = ref<'pieces' | 'bare'>('bare');
const p = computed(() => viewModel.shape);
const blank = computed(() => project.doc!.blank);
const words = computed(() => (p.value ? describeFlattening(p.value.size, p.value.template, settings.unit) : null));
const closeEnough = computed(
  () =>
    p.value !== null &&
    p.value.template.closed &&
    solidOf(p.value.size).curved === null &&
    p.value.template.shortcuts.trapezoidRim < 0.5 &&
    p.value.template.shortcuts.rectangleBase < 0.5,
);
const upsideDown = computed(
  () =>
    p.value !== null &&
    p.value.template.closed &&
    p.value.template.cone.girthBase > p.value.template.cone.girthRim + 0.5,
);
const several = computed(() => (p.value?.panels.length ?? 1) > 1);
const PAPERS = [
  { value: 'a4' as const, label: 'A4' },
  { value: 'letter' as const, label: 'Letter' },
];
const PRINTS = [
  { value: 'bare' as const, label: 'Outline' },
  { value: 'pieces' as const, label: 'With artwork' },
];
function choose(change: Partial<FlatteningChoice>, label: string): void {
  project.edit(label, (doc) => ({
    ...doc,
    blank: { ...doc.blank, flattening: { ...doc.blank.flattening, ...change } },
  }));
}
</script>

<template>
  <div v-if="p && words">
    <h2>{{ words.title }}</h2>
    <p class="quiet">{{ words.why }}</p>
    <FlatFacts
      :template="p.template"
      :size="p.size"
      :unit="settings.unit"
      :pieces="p.panels.length"
      :piece="p.panels[0]!.bounds"
    />
    <div v-if="words.instead" class="note-bar" :class="closeEnough ? 'fine' : 'look'">
      <p>{{ words.instead }}</p>
      <p v-if="closeEnough">That is under what hands can hold: a plain rectangle does here as well.</p>
    </div>
    <WayPicker
      v-if="p.template.flattening.map"
      :flattening="p.template.flattening"
      :choice="blank.flattening"
      :unit="settings.unit"
      :patch="solidOf(p.size).face?.patch === true"
      :ball="solidOf(p.size).spheroid"
      @choose="choose"
    />
    <div v-else class="note-bar fine">
      <p class="fw-bold">No strain</p>
      <p>
        {{
          p.template.closed
            ? 'This side is flat in one direction everywhere, so film lies without stretching.'
            : 'Film lies on it as it was cut.'
        }}
      </p>
    </div>
    <div v-if="upsideDown" class="note-bar look">
      <p class="fw-bold">The longer arc goes to the base</p>
      <p>“Rim this way” is printed on the template, so that it is not wrapped upside down.</p>
    </div>
    <SeamFields v-if="p.template.closed" />
    <h3 class="mt-4 mb-2">Print it at true size</h3>
    <div class="d-flex flex-wrap gap-2 mb-3">
      <ChoiceButtons :value="settings.paper" :options="PAPERS" label="Paper" @choose="settings.paper = $event" />
      <ChoiceButtons
        v-if="p.onSheets"
        :value="bare"
        :options="PRINTS"
        label="What is printed"
        @choose="bare = $event"
      />
    </div>
    <p v-if="several" class="quiet">{{ p.panels.length }} pieces, each with its name and which way is up.</p>
    <div class="d-flex flex-wrap gap-2">
      <BButton variant="primary" :disabled="files.busy.value" @click="files.print('template-pdf', bare === 'pieces')">
        Print the template
      </BButton>
      <BButton variant="outline-primary" :disabled="files.busy.value" @click="files.save('template-svg')">
        Save as SVG
      </BButton>
      <BButton variant="outline-primary" :disabled="files.busy.value" @click="files.save('template-dxf')">
        Save as DXF
      </BButton>
    </div>
    <p v-if="files.said.value" class="quiet mt-2" role="status">{{ files.said.value }}</p>
    <FitCheck
      v-if="p.template.closed"
      :blank="blank"
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
