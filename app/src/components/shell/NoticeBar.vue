<script setup lang="ts">
import { useProjectFile } from '../../composables/useProjectFile.ts';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { updates } from '../../data/updates.ts';
import { useRefusal } from '../../stores/refusal.ts';
import { useLibrary } from '../../stores/library.ts';
import { useProject } from '../../stores/project.ts';

const library = useLibrary();
const project = useProject();
const route = useRoute();
const refusal = useRefusal();
const inside = computed(() => route.name === 'project' && project.doc !== null);

/** What was done is written first: the page is loaded anew. */
async function update(): Promise<void> {
  await project.flush();
  if (project.saveState !== 'refused' && project.saveState !== 'conflict') updates.take();
}
const saveToFile = useProjectFile();
</script>

<template>
  <BAlert
    v-if="library.refused || library.unwritten.size > 0 || (inside && project.saveState === 'refused')"
    :model-value="true"
    :variant="null"
    class="notice fails"
    role="alert"
  >
    <span>{{
      library.refused ??
      (inside && project.saveState === 'refused'
        ? 'The last change could not be kept in this browser; the disk may be full. It is still here on the page, and is tried again until there is room.'
        : `${library.unwritten.size === 1 ? 'A new project' : `${library.unwritten.size} new projects`} could not be kept in this browser; the disk may be full. You can work on; it is tried again until there is room. Save to a file before you close the page.`)
    }}</span>
    <BButton v-if="inside" variant="outline-primary" size="sm" @click="saveToFile"> Save to a file </BButton>
  </BAlert>
  <BAlert
    v-if="inside && project.saveState === 'conflict'"
    :model-value="true"
    :variant="null"
    class="notice look"
    role="alert"
  >
    <span>This project was changed in another tab as well. Nothing was overwritten.</span>
    <BButton variant="outline-primary" size="sm" @click="project.takeTheirs()"> Show the other tab’s version </BButton>
    <BButton variant="outline-primary" size="sm" @click="project.keepMine()">Keep what is here</BButton>
  </BAlert>
  <BAlert v-if="updates.ready.value" :model-value="true" :variant="null" class="notice" role="status">
    <span>A newer Mivet is ready. Everything that you did is kept.</span>
    <BButton variant="outline-primary" size="sm" @click="update"> Reload </BButton>
  </BAlert>
  <BAlert v-if="refusal" :model-value="true" :variant="null" class="notice look" role="alert">
    <span>{{ refusal }}</span>
    <BButton variant="link" size="sm" @click="refusal = null">Close</BButton>
  </BAlert>
</template>

<style scoped>
.notice {
  margin: 0;
  padding: 0.5rem 1.25rem;
  border-radius: 0;
  color: var(--ink);
  background: var(--slip);
  border-block: 1px solid var(--hairline);
  border-left: 4px solid var(--teal);
}
/* The box that the library puts round what it is told. */
.notice > :deep(div) {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 0.75rem;
}
.fails {
  border-left-color: var(--brick);
}
.look {
  border-left-color: var(--ochre-bar);
}
</style>
