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
    <BButton v-if="strained" variant="bare" :aria-pressed="view.showStrain" @click="view.showStrain = !view.showStrain">
      Strain
    </BButton>
    <BButton v-if="slit" variant="bare" :aria-pressed="view.showSlits" @click="view.showSlits = !view.showSlits">
      Tape slits
    </BButton>
    <BButton
      v-if="round"
      variant="bare"
      :aria-pressed="view.showZones"
      title="H"
      @click="view.showZones = !view.showZones"
    >
      Zones
    </BButton>
    <BButton
      v-if="round"
      variant="bare"
      :aria-pressed="view.showSeam"
      title="S"
      @click="view.showSeam = !view.showSeam"
    >
      Seam
    </BButton>
    <BButton
      v-if="round"
      variant="bare"
      :aria-pressed="view.showGlance"
      title="G"
      @click="view.showGlance = !view.showGlance"
    >
      One glance
    </BButton>
    <BButton variant="bare" title="B" @click="view.facing = 0">Front</BButton>
  </div>
</template>

<style scoped>
.toggles {
  display: flex;
  gap: 0.9rem;
}
.btn.btn-bare {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.1rem 0;
  font-size: 0.875rem;
}
.btn.btn-bare:hover {
  color: var(--ink);
}
.btn.btn-bare[aria-pressed='true'] {
  color: var(--ink);
  box-shadow: inset 0 -2px 0 var(--teal);
}
</style>
