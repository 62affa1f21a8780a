<script setup lang="ts">
import { computed } from 'vue';
import { useViewModel } from '../../stores/view-model.ts';
import { useView } from '../../stores/view.ts';

const view = useView();
const viewModel = useViewModel();
const round = computed(() => viewModel.shape?.template.closed ?? true);
const slit = computed(() => (viewModel.shape?.tapeSlits ?? '') !== '');
const strained = computed(() => (viewModel.shape?.template.flattening.map ?? null) !== null);
</script>

<template>
  <div class="toggles" role="group" aria-label="What the pictures show">
    <button v-if="strained" type="button" :aria-pressed="view.showStrain" @click="view.showStrain = !view.showStrain">
      Strain
    </button>
    <button v-if="slit" type="button" :aria-pressed="view.showSlits" @click="view.showSlits = !view.showSlits">
      Tape slits
    </button>
    <button
      v-if="round"
      type="button"
      :aria-pressed="view.showZones"
      title="H"
      @click="view.showZones = !view.showZones"
    >
      Zones
    </button>
    <button v-if="round" type="button" :aria-pressed="view.showSeam" title="S" @click="view.showSeam = !view.showSeam">
      Seam
    </button>
    <button
      v-if="round"
      type="button"
      :aria-pressed="view.showGlance"
      title="G"
      @click="view.showGlance = !view.showGlance"
    >
      One glance
    </button>
    <button type="button" title="B" @click="view.facing = 0">Front</button>
  </div>
</template>

<style scoped>
.toggles {
  display: flex;
  gap: 0.9rem;
}
button {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.1rem 0;
  font-size: 0.875rem;
}
button:hover {
  color: var(--ink);
}
button[aria-pressed='true'] {
  color: var(--ink);
  box-shadow: inset 0 -2px 0 var(--teal);
}
</style>
