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
/** What waits to be written, by its name where it is one, and the first of it that is not open here. */
const unwritten = computed(() => {
  const ids = [...library.unwritten.keys()];
  const name = library.projects.find((one) => one.id === ids[0])?.name;
  const other = ids.find((id) => !inside.value || id !== project.doc?.id) ?? null;
  return {
    says: ids.length > 1 ? `${ids.length} projects` : `“${name ?? 'A project'}”`,
    them: ids.length > 1 ? 'each' : 'it',
    other,
  };
});
/** Whether it is the project before one's eyes that is not kept. */
const notKept = computed(
  () =>
    inside.value &&
    (library.refused !== null || project.saveState === 'refused' || library.unwritten.has(project.doc!.id)),
);
const saveToFile = useProjectFile();
</script>

<template>
  <BAlert
    v-if="library.refused || library.unwritten.size > 0 || project.saveState === 'refused'"
    :model-value="true"
    :variant="null"
    class="notice fails"
    role="alert"
  >
    <span>{{
      library.refused ??
      (project.saveState === 'refused'
        ? (project.refusedWhy ??
          'The last change could not be kept in this browser; the disk may be full. It is still here on the page, and is tried again until there is room.')
        : `${unwritten.says} could not be kept in this browser; the disk may be full. You can work on; it is tried again until there is room. Before you close the page, open ${unwritten.them} and save ${unwritten.them} to a file.`)
    }}</span>
    <BButton v-if="notKept" variant="outline-primary" size="sm" @click="saveToFile"> Save to a file </BButton>
    <RouterLink
      v-else-if="unwritten.other"
      class="btn btn-outline-primary btn-sm"
      :to="{ name: 'project', params: { id: unwritten.other, stop: 'artwork' } }"
      >Open it</RouterLink
    >
  </BAlert>
  <BAlert v-if="library.gone > 0" :model-value="true" :variant="null" class="notice fails" role="alert">
    <span>
      {{ library.gone === 1 ? 'The project that was' : `The ${library.gone} projects that were` }} kept in this browser
      {{ library.gone === 1 ? 'is' : 'are' }} not here any more: its storage was cleared or damaged. A backup brings
      back what is in it.
    </span>
    <RouterLink class="btn btn-outline-primary btn-sm" :to="{ name: 'my-way' }">To the backups</RouterLink>
    <BButton variant="link" size="sm" @click="library.gone = 0">Close</BButton>
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
.notice :deep(.alert-body) {
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
