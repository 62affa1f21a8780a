<script setup lang="ts">
import type { Project } from '@mivet/core';
import { shallowRef, watch } from 'vue';
import { pictureForList, type ListPicture } from '../../composables/usePreviews.ts';
import CupDrawing from '../projects/CupDrawing.vue';

/** A project as small as it can still be told: its blank with what is on it. */
const props = defineProps<{ project: Project }>();
const picture = shallowRef<ListPicture | null>(null);
watch(
  () => props.project.changedAt,
  async () => (picture.value = await pictureForList(props.project).catch(() => null)),
  { immediate: true },
);
</script>

<template>
  <span class="thumb" aria-hidden="true">
    <CupDrawing :blank="project.blank" :view-model="picture?.ok ? picture : null" :films="project.films" />
  </span>
</template>

<style scoped>
.thumb {
  flex: none;
  width: 40px;
  height: 44px;
}
</style>
