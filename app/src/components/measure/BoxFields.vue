<script setup lang="ts">
import { BOX_FACES, faceOfBox, type Blank, type BoxFace } from '@mivet/core';
import { computed } from 'vue';
import SelectRow from '../fields/SelectRow.vue';

/** Which face of a box film goes on; the others can be made in the same project. */
const props = defineProps<{ blank: Blank }>();
const emit = defineEmits<{ change: [face: BoxFace] }>();
const faces = (Object.keys(BOX_FACES) as BoxFace[]).map((face) => ({ value: face, label: BOX_FACES[face].label }));
const face = computed(() => faceOfBox(props.blank));
</script>

<template>
  <SelectRow label="Film goes on its" :value="face" :options="faces" @change="emit('change', $event)" />
  <p class="quiet small mb-1">
    Its front is towards you, the lid closed. For several faces in one project, choose “Make several that differ” at
    Artwork and give each its face.
  </p>
</template>
