<script setup lang="ts">
import { warmSolid } from '../components/stage/solid-client.ts';
import {
  type BlankKind,
  KINDS,
  KINDS_OF_BLANK,
  newBlank,
  newStation,
  type Project,
  type ShelfBlank,
} from '@mivet/core';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import ProjectCard from '../components/projects/ProjectCard.vue';
import UnreadableList from '../components/shell/UnreadableList.vue';
import ShelfCard from '../components/shelf/ShelfCard.vue';
import { useBackup } from '../composables/useBackup.ts';
import { useGrowingList } from '../composables/useGrowingList.ts';
import { useTour } from '../components/help/useTour.ts';
import { useOnceAsked } from '../composables/useOnceAsked.ts';
import { useNewProject } from '../composables/useNewProject.ts';
import { useLibrary } from '../stores/library.ts';
import { useSettings } from '../stores/settings.ts';

const HandOverDialog = defineAsyncComponent(() => import('../components/schedule/HandOverDialog.vue'));

const library = useLibrary();
const settings = useSettings();
const backup = useBackup();
const { start } = useNewProject();
const { begin } = useTour();
const loadDemo = (): Promise<void> => import('../demo/bring-in-demo.ts').then(({ bringInDemo }) => bringInDemo());
const choosing = ref(false);
const newName = ref('');
const search = ref('');
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  return library.projects.filter((p) => `${p.name} ${p.blank.name}`.toLowerCase().includes(wanted));
});
const dated = ref<Project | null>(null);
const dialogAsked = useOnceAsked(() => dated.value !== null);
const endOfList = ref<HTMLElement | null>(null);
const { part, left, grow } = useGrowingList(() => shown.value, endOfList);
/** The ones touched last, or those that are looked for; the rest are a step away. */
const wanted = ref('');
const onShelf = computed(() => {
  const words = wanted.value.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const text = ({ blank }: ShelfBlank): string =>
    `${blank.name} ${blank.surface} ${KINDS_OF_BLANK[blank.kind].label} ${KINDS_OF_BLANK[blank.kind].like}`.toLowerCase();
  return library.shelf
    .filter((entry) => words.every((word) => text(entry).includes(word)))
    .sort((a, b) => b.changedAt.localeCompare(a.changedAt))
    .slice(0, 12);
});
const fresh = (kind: BlankKind): Promise<void> =>
  start(
    {
      ...newBlank(crypto.randomUUID(), kind, newName.value.trim() || KINDS_OF_BLANK[kind].label),
      stations: KINDS_OF_BLANK[kind].byStations ? [1, 2, 3].map(() => newStation(crypto.randomUUID())) : [],
    },
    null,
    newName.value.trim() || `New ${KINDS_OF_BLANK[kind].label.toLowerCase()}`,
  );

/** What opening a project will need is fetched while the list is being looked at. */
onMounted(async () => {
  await library.whenLoaded();
  await Promise.allSettled([
    import('./ProjectView.vue'),
    import('../components/stage/BlankView.vue'),
    import('../components/artwork/ArtworkSlip.vue'),
  ]);
});
// What draws solids is large: it waits until there is nothing better to do.
onMounted(() => window.setTimeout(warmSolid, 3000));

const duplicate = (project: Project): Promise<Project> => library.copyProject(project, `${project.name} (copy)`);
</script>

<template>
  <div class="page">
    <header>
      <h1>Projects</h1>
      <BFormInput
        v-if="library.projects.length > 6"
        v-model="search"
        type="search"
        class="search"
        placeholder="Find a project"
        aria-label="Find a project"
      />
      <RouterLink v-if="library.projects.length > 1" class="btn btn-outline-primary" :to="{ name: 'together' }"
        >Cut together</RouterLink
      >
      <BButton
        v-if="library.projects.length > 0"
        variant="primary"
        :aria-expanded="choosing"
        @click="choosing = !choosing"
      >
        New project
      </BButton>
    </header>
    <BAlert v-if="backup.due.value > 0" :model-value="true" :variant="null" class="due">
      <div class="d-flex flex-wrap align-items-center gap-2 column-gap-3">
        <span>
          {{ backup.due.value === 1 ? 'One project is' : `${backup.due.value} projects are` }} in no backup as
          {{ backup.due.value === 1 ? 'it is' : 'they are' }} now. If this device is lost, so
          {{ backup.due.value === 1 ? 'is it' : 'are they' }}.
        </span>
        <BButton variant="outline-primary" size="sm" :disabled="backup.writing.value" @click="backup.write()">{{
          backup.writing.value ? 'Writing…' : 'Write a backup'
        }}</BButton>
        <BButton variant="link" size="sm" @click="backup.notNow()">Not now</BButton>
      </div>
    </BAlert>
    <UnreadableList
      class="mb-3"
      :records="library.unreadable.filter(({ store }) => store === 'projects')"
      @remove="library.removeUnreadable($event)"
    />

    <section
      v-if="choosing || (library.loaded && library.projects.length === 0)"
      class="start"
      aria-label="Start a project"
    >
      <div class="d-flex flex-wrap align-items-center justify-content-between gap-2 mb-3">
        <h2 class="mb-0">What do you have in your hand?</h2>
        <div class="d-flex flex-wrap align-items-center gap-2">
          <label for="new-name" class="quiet">Name of the project</label>
          <BFormInput
            id="new-name"
            v-model="newName"
            size="sm"
            class="search"
            maxlength="200"
            placeholder="For instance Tansy’s mug"
          />
        </div>
      </div>
      <template v-if="library.shelf.length > 0">
        <div class="d-flex flex-wrap align-items-center justify-content-between gap-2 mb-2">
          <p class="quiet mb-0">From your shelf</p>
          <BFormInput
            v-if="library.shelf.length > 9"
            v-model="wanted"
            size="sm"
            type="search"
            class="search"
            placeholder="Find on your shelf"
            aria-label="Find on your shelf"
          />
        </div>
        <p v-if="onShelf.length === 0" class="quiet">Nothing on your shelf matches.</p>
        <div class="grid shelf">
          <ShelfCard
            v-for="entry in onShelf"
            :key="entry.blank.id"
            :entry="entry"
            :unit="settings.unit"
            @use="start(entry.blank, entry.blank.id, newName.trim() || undefined)"
          />
        </div>
        <p v-if="library.shelf.length > onShelf.length" class="mt-3 mb-0">
          <RouterLink :to="{ name: 'shelf' }">All {{ library.shelf.length }} on the shelf</RouterLink>
        </p>
        <p class="quiet mt-4">Or measure a fresh one</p>
      </template>
      <p v-else class="quiet">Measure it once; it goes on your shelf for next time.</p>
      <div class="fresh">
        <BButton v-for="k in KINDS" :key="k" variant="bare" @click="fresh(k)">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="KINDS_OF_BLANK[k].icon" /></svg>
          <span>
            <span class="fw-bold d-block">{{ KINDS_OF_BLANK[k].label }}</span>
            <span class="quiet small">{{ KINDS_OF_BLANK[k].like }}</span>
          </span>
        </BButton>
      </div>
      <p v-if="library.projects.length === 0" class="quiet mt-4">
        Only looking?
        <BButton variant="link" @click="begin()">Tour of the demo, five stops</BButton> or
        <BButton variant="link" @click="loadDemo()">load the rowing club’s shelf and projects</BButton>
      </p>
    </section>

    <div class="grid">
      <ProjectCard
        v-for="p in part"
        :key="p.id"
        :project="p"
        @remove="library.removeProject(p.id)"
        @duplicate="duplicate(p)"
        @date="dated = p"
      />
    </div>
    <HandOverDialog v-if="dialogAsked" :project="dated" @close="dated = null" />
    <p v-if="left > 0" ref="endOfList" class="quiet end">
      {{ part.length }} of {{ shown.length }} shown.
      <BButton variant="link" size="sm" @click="grow">Show more</BButton>
    </p>
    <p v-if="library.projects.length > 0 && shown.length === 0" class="quiet">No project matches.</p>
  </div>
</template>

<style scoped>
.due {
  margin-bottom: 1.25rem;
  padding: 0.6rem 1rem;
  color: var(--ink);
  background: var(--slip);
  border: 1px solid var(--hairline);
  border-left: 4px solid var(--ochre-bar);
  border-radius: 3px;
}
.page {
  max-width: 1180px;
  margin: 0 auto;
  padding: 1.75rem 1.5rem 3rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem 1rem;
  margin-bottom: 1.25rem;
}
h1 {
  margin: 0;
  flex: 1;
}
.search {
  max-width: 16rem;
}
@media (max-width: 560px) {
  .search {
    order: 1;
    max-width: none;
  }
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 340px), 1fr));
  gap: 1.1rem;
}
.end {
  margin: 1.25rem 0 0;
  text-align: center;
}
.grid.shelf {
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
}
.start {
  background: var(--paper-deep);
  border-block: 1px solid var(--hairline);
  margin: 0 -1.5rem 1.75rem;
  padding: 1.5rem;
}
.fresh {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 250px), 1fr));
  gap: 0.5rem;
}
.fresh button {
  display: flex;
  align-items: center;
  gap: 0.8rem;
  padding: 0.5rem 0.8rem;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: var(--slip);
  color: var(--ink);
  text-align: left;
  line-height: 1.25;
}
.fresh button:hover {
  border-color: var(--teal);
}
.fresh svg {
  flex: none;
  width: 34px;
  height: 34px;
}
.fresh path {
  fill: none;
  stroke: var(--teal);
  stroke-width: 1.2;
  stroke-linejoin: round;
}
.start h2 {
  margin-bottom: 0.6rem;
}
</style>
