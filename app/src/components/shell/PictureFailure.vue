<script setup lang="ts">
import { usePicture } from '../../stores/picture.ts';

/** Says at every stop that the project could not be worked out, or was not judged, and what to do about it. */
const picture = usePicture();
</script>

<template>
  <div v-if="picture.failure" class="note-bar fails mb-3" role="alert">
    <p class="fw-bold">This could not be worked out</p>
    <p>{{ picture.failure }} Your work is saved.</p>
    <div class="d-flex flex-wrap gap-2 mt-2">
      <BButton v-if="picture.tooHeavy" size="sm" variant="primary" @click="picture.openUnjudged()"
        >Open without judging</BButton
      >
      <BButton size="sm" variant="outline-primary" @click="picture.again()">Try again</BButton>
    </div>
  </div>
  <div v-else-if="picture.good?.unjudged" class="note-bar look mb-3" role="status">
    <p class="fw-bold">Too heavy to judge</p>
    <p>{{ picture.good.unjudged }} Make it lighter, and it is judged again by itself.</p>
    <BButton size="sm" variant="outline-primary" class="mt-2" @click="picture.again()">Judge it now</BButton>
  </div>
</template>
