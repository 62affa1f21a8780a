<script setup lang="ts">
import { emptyBackup, KINDS_OF_BLANK, type ShelfBlank, sizeBlank } from '@mivet/core';
import { computed, ref } from 'vue';
import ShelfCard from '../components/shelf/ShelfCard.vue';
import ShelfEditor from '../components/shelf/ShelfEditor.vue';
import { tellOf } from '../composables/take-in.ts';
import { useGrowingList } from '../composables/useGrowingList.ts';
import { useNewProject } from '../composables/useNewProject.ts';
import { fileNameOf, saveFile } from '../data/save-file.ts';
import { useLibrary } from '../stores/library.ts';
import { useTold } from '../stores/told.ts';
import { useSettings } from '../stores/settings.ts';

const library = useLibrary();
const settings = useSettings();
const { start } = useNewProject();
const search = ref('');
const told = useTold();
const editedId = ref<string | null>(null);
const edited = computed(() => library.shelf.find((entry) => entry.blank.id === editedId.value) ?? null);

type Order = 'name' | 'changed' | 'girth' | 'price';
const order = ref<Order>('name');
const girth = (entry: ShelfBlank): number => {
  const sized = sizeBlank(entry.blank);
  return sized.ok ? Math.max(sized.size.rim.surface, sized.size.base.surface) : Infinity;
};
const byName = (a: ShelfBlank, b: ShelfBlank): number =>
  a.blank.name.localeCompare(b.blank.name, undefined, { numeric: true });
const ORDERS: Record<Order, (a: ShelfBlank, b: ShelfBlank) => number> = {
  name: byName,
  changed: (a, b) => b.changedAt.localeCompare(a.changedAt) || byName(a, b),
  girth: (a, b) => girth(a) - girth(b) || byName(a, b),
  price: (a, b) => (a.price ?? Infinity) - (b.price ?? Infinity) || byName(a, b),
};
const shown = computed(() => {
  const words = search.value.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const text = ({ blank }: ShelfBlank): string =>
    `${blank.name} ${blank.surface} ${KINDS_OF_BLANK[blank.kind].label} ${KINDS_OF_BLANK[blank.kind].like} ${blank.notes}`.toLowerCase();
  return library.shelf.filter((entry) => words.every((word) => text(entry).includes(word))).sort(ORDERS[order.value]);
});
const endOfList = ref<HTMLElement | null>(null);
const { part, left, grow } = useGrowingList(() => shown.value, endOfList);

async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (file) await tellOf(file);
}
async function saveTable(): Promise<void> {
  const { writeBlanksCsv } = await import('@mivet/core/tables');
  saveFile('mivet-shelf.csv', writeBlanksCsv([...library.shelf].sort(byName)));
  told.tell('Written: mivet-shelf.csv. Photographs and fit checks are not in a table.');
}
function saveAll(): void {
  const file = { ...emptyBackup(new Date().toISOString()), shelf: library.shelf };
  saveFile('mivet-shelf.json', JSON.stringify(file, null, 2));
  told.tell('Written: mivet-shelf.json, with everything that is known of these blanks.');
}

async function keep(entry: ShelfBlank): Promise<void> {
  if (await library.keepShelf([entry])) editedId.value = null;
}
async function again(entry: ShelfBlank, as: 'copy' | 'colour'): Promise<void> {
  if (!(await library.keepShelf([entry]))) return;
  editedId.value = (await library.copyBlank(entry, as)).blank.id;
}
async function remove(entry: ShelfBlank): Promise<void> {
  await library.removeBlank(entry.blank.id);
  editedId.value = null;
}
const toFile = (entry: ShelfBlank): void =>
  saveFile(`${fileNameOf(entry.blank.name)}.json`, JSON.stringify(entry, null, 2));
</script>

<template>
  <div class="page">
    <header>
      <h1>Shelf</h1>
      <BFormInput
        v-if="library.shelf.length > 3"
        v-model="search"
        type="search"
        class="search"
        placeholder="Find a blank"
        aria-label="Find a blank"
      />
      <BFormSelect v-if="library.shelf.length > 3" v-model="order" class="w-auto" aria-label="In the order of">
        <BFormSelectOption value="name">By name</BFormSelectOption>
        <BFormSelectOption value="changed">Changed last</BFormSelectOption>
        <BFormSelectOption value="girth">By size</BFormSelectOption>
        <BFormSelectOption value="price">By price</BFormSelectOption>
      </BFormSelect>
    </header>
    <p class="quiet">Blanks that you measured and kept. Press one to start a project on it.</p>
    <p v-if="library.loaded && library.shelf.length === 0" class="mt-4">
      Nothing here yet. Measure a blank in a project, then press <strong>Keep on the shelf</strong>.
      <RouterLink to="/projects">Go to Projects</RouterLink>
    </p>
    <div class="grid">
      <ShelfCard
        v-for="entry in part"
        :key="entry.blank.id"
        :entry="entry"
        :unit="settings.unit"
        @use="start(entry.blank, entry.blank.id)"
      >
        <div class="foot">
          <span class="quiet small note">{{ entry.blank.notes }}</span>
          <span v-if="entry.price !== null" class="dims">{{ entry.price.toFixed(2) }}</span>
          <BButton
            variant="link"
            size="sm"
            :aria-label="`Change ${entry.blank.name}`"
            @click="editedId = entry.blank.id"
          >
            Change
          </BButton>
        </div>
      </ShelfCard>
    </div>
    <p v-if="left > 0" ref="endOfList" class="quiet mt-3">
      {{ part.length }} of {{ shown.length }} shown.
      <BButton variant="link" size="sm" @click="grow">Show more</BButton>
    </p>
    <p v-if="library.shelf.length > 0 && shown.length === 0" class="quiet mt-3">
      No blank matches.
      <BButton variant="link" size="sm" @click="search = ''">Show all</BButton>
    </p>
    <section class="files" aria-label="Files">
      <label class="btn btn-outline-primary">
        Import blanks
        <input type="file" accept=".csv,.json,text/csv,application/json" class="visually-hidden" @change="bringIn" />
      </label>
      <BButton v-if="library.shelf.length > 0" variant="link" @click="saveTable"> Save as a table </BButton>
      <BButton v-if="library.shelf.length > 0" variant="link" @click="saveAll"> Save with everything </BButton>
    </section>
    <ShelfEditor
      :entry="edited"
      @close="editedId = null"
      @keep="keep"
      @copy="again($event, 'copy')"
      @colour="again($event, 'colour')"
      @file="toFile"
      @remove="remove"
    />
  </div>
</template>

<style scoped>
.page {
  max-width: 1180px;
  margin: 0 auto;
  padding: 1.75rem 1.5rem 3rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 1rem;
}
h1 {
  flex: 1;
  margin: 0;
}
.search {
  max-width: 16rem;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 320px), 1fr));
  gap: 1.1rem;
  margin-top: 1.25rem;
}
.foot {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  padding: 0.35rem 1rem 0.5rem;
  border-top: 1px solid var(--hairline);
}
.note {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.files {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1rem;
  margin-top: 1.75rem;
}
</style>
