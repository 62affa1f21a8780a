<script setup lang="ts">
import { useViewModel } from '../../stores/view-model.ts';

/** Says at every stop that the project could not be worked out, or was not judged, and what to do about it. */
const viewModel = useViewModel();
</script>

<template>
  <div v-if="viewModel.failure" class="note-bar fails mb-3" role="alert">
    <p class="fw-bold">This could not be worked out</p>
    <p>{{ viewModel.failure }} Your work is saved.</p>
    <div class="d-flex flex-wrap gap-2 mt-2">
      <BButton v-if="viewModel.tooHeavy" size="sm" variant="primary" @click="viewModel.openUnjudged()"
        >Open without judging</BButton
      >
      <BButton size="sm" variant="outline-primary" @click="viewModel.again()">Try again</BButton>
    </div>
  </div>
  <div v-else-if="viewModel.good?.unjudged" class="note-bar look mb-3" role="status">
    <p class="fw-bold">Too heavy to judge</p>
    <p>{{ viewModel.good.unjudged }} Make it lighter, and it is judged again by itself.</p>
    <BButton size="sm" variant="outline-primary" class="mt-2" @click="viewModel.again()">Judge it now</BButton>
  </div>
</template>
