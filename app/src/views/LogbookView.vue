<script setup lang="ts">
import { acceptedOf, colourWord, OUTCOMES, type Learnt, type LogbookEntry } from '@mivet/core'; // prettier-ignore
import { useVirtualList } from '@vueuse/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ChoiceButtons from '../components/fields/ChoiceButtons.vue';
import EntrySlip from '../components/logbook/EntrySlip.vue';
import LogbookChart from '../components/logbook/LogbookChart.vue';
import TaughtList from '../components/logbook/TaughtList.vue';
import UnreadableList from '../components/shell/UnreadableList.vue';
import { tellOf } from '../composables/take-in.ts';
import { useNewProject } from '../composables/useNewProject.ts';
import { dayWords, lengthWords } from '../composables/time-words.ts';
import { saveFile } from '../data/save-file.ts';
import { useLibrary } from '../stores/library.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useSettings } from '../stores/settings.ts';
import { askCore } from '../workers/core-client.ts';
import { useTold } from '../stores/told.ts';

const logbook = useLogbook();
const library = useLibrary();
const settings = useSettings();
const told = useTold();
const route = useRoute();
const router = useRouter();
const { start } = useNewProject();
onMounted(() => logbook.load());
const now = Date.now();

const CHARTS = [
  { value: 'dwell', label: 'Dwell' },
  { value: 'pace', label: 'Pace' },
  { value: 'faults', label: 'Where it fails' },
  { value: 'film', label: 'Film' },
  { value: 'money', label: 'Money' },
  { value: 'washes', label: 'Washes' },
] as const;
const chart = ref<(typeof CHARTS)[number]['value']>('pace');
/** What it has taught, worked out aside: a long book takes its time. */
const learnt = shallowRef<readonly Learnt[]>([]);
const learning = ref(true);
watch(
  () => (logbook.loaded ? logbook.entries : null),
  async (entries, _, stop) => {
    if (!entries) return;
    const given = new AbortController();
    stop(() => given.abort());
    const bare = entries.map((one) => ({ ...one, text: '', photos: [], reports: [] }));
    const taught = await askCore('learn', { entries: bare }, { signal: given.signal }).catch(() => null);
    if (given.signal.aborted) return;
    if (taught) learnt.value = taught;
    learning.value = false;
  },
  { immediate: true },
);

const search = ref('');
const outcome = ref<string>('all');
const order = ref<'newest' | 'oldest' | 'title' | 'longest'>('newest');
const minutesOf = ({ work }: LogbookEntry): number => work.reduce((sum, { minutes }) => sum + minutes, 0);
const ORDERS = {
  newest: null,
  oldest: (a: LogbookEntry, b: LogbookEntry) => (a.at < b.at ? -1 : 1),
  title: (a: LogbookEntry, b: LogbookEntry) => a.title.localeCompare(b.title),
  longest: (a: LogbookEntry, b: LogbookEntry) => minutesOf(b) - minutesOf(a),
};
/** What is looked through when one searches, worked out once. */
const texts = computed(() => new Map(logbook.entries.map((one) => [one.id, [one.title, one.blank.name, one.blank.surface, one.process, one.outcome, one.text, ...one.films.map(({ name }) => name), ...one.faults.map(({ kind }) => kind)].join(' ').toLowerCase()]))); // prettier-ignore
watch(
  () => logbook.loaded,
  (is) => is && setTimeout(() => texts.value, 200),
  { immediate: true },
);
const shown = computed(() => {
  const words = search.value.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = logbook.entries.filter(
    (one) =>
      (outcome.value === 'all' || one.outcome === outcome.value) &&
      words.every((word) => texts.value.get(one.id)!.includes(word)),
  );
  const by = ORDERS[order.value];
  return by ? [...found].sort(by) : found;
});
const { list, containerProps, wrapperProps } = useVirtualList(shown, { itemHeight: 50, overscan: 8 });
const chosenId = computed(() => (typeof route.query['entry'] === 'string' ? route.query['entry'] : null));
const chosen = computed(() => logbook.entries.find(({ id }) => id === chosenId.value) ?? null);
const choose = (id: string | null): unknown => router.replace({ name: 'logbook', query: id ? { entry: id } : {} });

/** Two that are held against each other. */
const compared = ref<readonly string[]>([]);
const toggle = (id: string): void => {
  compared.value = compared.value.includes(id) ? compared.value.filter((one) => one !== id) : [...compared.value, id].slice(-2); // prettier-ignore
};
const pair = computed(() => compared.value.flatMap((id) => logbook.entries.find((one) => one.id === id) ?? []));
const comparing = ref(false);
const lines = computed(() =>
  (
    [
      ['Finished', (one) => dayWords(one.at.slice(0, 10), now)],
      ['Blank', (one) => one.blank.name],
      ['How many', (one) => String(one.count)],
      ['Spoilt', (one) => String(one.spoilt)],
      ['Films', (one) => one.films.map(({ name, ageDays }) => `${name}${ageDays === null ? '' : `, ${Math.round(ageDays / 30)} months old`}`).join('; ')], // prettier-ignore
      ['Weeding', (one) => lengthWords(one.work.filter(({ kind }) => kind === 'weed').reduce((sum, { minutes }) => sum + minutes, 0))], // prettier-ignore
      ['Laying', (one) => lengthWords(one.work.filter(({ kind }) => kind === 'lay').reduce((sum, { minutes }) => sum + minutes, 0))], // prettier-ignore
      ['Faults', (one) => one.faults.map(({ kind }) => kind).join(', ') || 'none'],
      ['What became of it', (one) => (one.outcome === 'open' ? 'not said' : one.outcome)],
      ['Price got', (one) => (one.price === null ? '' : String(one.price))],
      ['Told later', (one) => one.reports.map(({ count, after, held }) => `${count} ${after}: ${held ? 'held' : 'did not hold'}`).join('; ')], // prettier-ignore
      ['Notes', (one) => one.text],
    ] as [string, (one: LogbookEntry) => string][]
  ).map(([name, say]) => ({ name, values: pair.value.map(say) })),
);

async function again(entry: LogbookEntry): Promise<void> {
  const project = library.projects.find(({ id }) => id === entry.projectId);
  const blank = library.shelf.find(
    (one) => one.blank.id === entry.blank.shelfId || one.blank.name === entry.blank.name,
  );
  if (project) {
    const copy = await library.copyProject(project, `${project.name} (again)`);
    void router.push({ name: 'project', params: { id: copy.id, stop: 'artwork' } });
  } else if (blank) await start(blank.blank, blank.blank.id, entry.title);
  else told.tell(`Neither its project nor a blank called “${entry.blank.name}” is here any more.`, true);
}
async function remove(entry: LogbookEntry): Promise<void> {
  await choose(null);
  await logbook.remove(entry.id);
  told.tell(`“${entry.title}” is out of the logbook.`);
}
function accept(one: Learnt): void {
  settings.learnt = { ...settings.learnt, [one.key]: acceptedOf(one, new Date().toISOString()) };
  told.tell(
    `From now on: ${one.what.toLowerCase().replace(/#[0-9a-f]{6}/, colourWord)}, from ${one.n} ${one.n === 1 ? 'time' : 'times'} seen. Used at ${one.usedAt}.`,
  );
}
function undo(key: string): void {
  const { [key]: _, ...others } = settings.learnt;
  settings.learnt = others;
}
async function add(): Promise<void> {
  const { blankEntry } = await import('@mivet/core/tables');
  const entry = { ...blankEntry(crypto.randomUUID(), new Date().toISOString()), title: 'Something I made' };
  if (await logbook.keep([entry])) await choose(entry.id);
}
async function saveTable(): Promise<void> {
  const { writeEntriesCsv } = await import('@mivet/core/tables');
  saveFile('mivet-logbook.csv', writeEntriesCsv(shown.value));
  told.tell(
    `Written: mivet-logbook.csv, ${shown.value.length} entries. Changed in a spreadsheet, it can be brought back.`,
  );
}
async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (file) await tellOf(file);
}
const things = computed(() => logbook.entries.reduce((sum, { count }) => sum + count, 0));
const since = computed(() => logbook.entries.at(-1)?.at.slice(0, 10) ?? null);
const countWords = (entry: LogbookEntry): string =>
  entry.faults.length === 0 ? 'no faults' : entry.faults.map(({ kind }) => kind).join(', ');
</script>

<template>
  <div class="page">
    <div class="left">
      <header>
        <h1>Logbook</h1>
        <span v-if="since" class="quiet">{{ things }} things since {{ dayWords(since, now) }}</span>
        <ChoiceButtons
          v-if="logbook.loaded && logbook.entries.length > 0"
          class="ms-auto"
          :value="chart"
          :options="CHARTS"
          label="Chart"
          @choose="chart = $event"
        />
      </header>
      <UnreadableList :records="logbook.unreadable" @remove="library.removeUnreadable($event)" />
      <section v-if="logbook.loaded && logbook.entries.length === 0" class="empty">
        <h2>Nothing in it yet</h2>
        <p>
          A finished run at the bench writes its own entry: minutes, checks, waits, what was spoilt. You add how it came
          out. After some of them Mivet knows your pace, and when a coat lets go.
        </p>
        <BButton variant="outline-primary" @click="add">Write one by hand</BButton>
      </section>
      <template v-else>
        <div class="chart"><LogbookChart :entries="logbook.entries" :learnt="learnt" :kind="chart" /></div>
        <div class="tools">
          <BFormInput
            v-model="search"
            type="search"
            class="search"
            placeholder="Find in the logbook"
            aria-label="Find in the logbook"
          />
          <BFormSelect
            v-model="outcome"
            class="w-auto"
            aria-label="What became of it"
            :options="[
              { value: 'all', text: 'All' },
              ...OUTCOMES.map((value) => ({ value, text: value === 'open' ? 'not said' : value })),
            ]"
          />
          <BFormSelect
            v-model="order"
            class="w-auto"
            aria-label="Order"
            :options="[
              { value: 'newest', text: 'Newest first' },
              { value: 'oldest', text: 'Oldest first' },
              { value: 'title', text: 'By title' },
              { value: 'longest', text: 'Longest first' },
            ]"
          />
          <span class="ms-auto">
            <BButton v-if="pair.length === 2" variant="outline-primary" size="sm" @click="comparing = true"
              >Compare the two</BButton
            >
            <BButton variant="link" size="sm" @click="add">Write one</BButton>
            <BButton variant="link" size="sm" @click="saveTable">Save as CSV</BButton>
            <label class="btn btn-link btn-sm"
              >Bring in CSV<input type="file" accept=".csv,text/csv" class="visually-hidden" @change="bringIn"
            /></label>
          </span>
        </div>
        <p v-if="shown.length === 0" class="quiet">Nothing matches.</p>
        <div v-bind="containerProps" class="entries" tabindex="0" role="region" aria-label="Entries">
          <ol v-bind="wrapperProps">
            <li v-for="{ data: entry } in list" :key="entry.id" :class="{ chosen: entry.id === chosenId }">
              <BFormCheckbox
                :model-value="compared.includes(entry.id)"
                :aria-label="`Compare ${entry.title}`"
                @update:model-value="toggle(entry.id)"
              />
              <BButton variant="bare" class="title" @click="choose(entry.id)">{{ entry.title }}</BButton>
              <span class="dims quiet when">{{ dayWords(entry.at.slice(0, 10), now) }}</span>
              <span class="outcome" :class="{ brick: entry.outcome === 'redone' || entry.outcome === 'binned' }">{{
                entry.outcome === 'open' ? '' : entry.outcome
              }}</span>
              <span class="dims minutes">{{ minutesOf(entry) > 0 ? lengthWords(minutesOf(entry)) : '' }}</span>
              <span class="quiet faults">{{ countWords(entry) }}</span>
              <BButton variant="link" size="sm" class="again" @click="again(entry)">Again like this</BButton>
            </li>
          </ol>
        </div>
      </template>
    </div>
    <aside class="slip" :aria-label="chosen ? 'The entry' : 'What it has taught'">
      <EntrySlip
        v-if="chosen"
        :key="chosen.id"
        :entry="chosen"
        @change="logbook.keep([$event])"
        @again="again(chosen)"
        @remove="remove(chosen)"
        @close="choose(null)"
      />
      <TaughtList v-else :learnt="learnt" :busy="learning" @accept="accept" @undo="undo" />
    </aside>
    <BModal v-model="comparing" lazy size="lg" title="Side by side" ok-only ok-title="Close">
      <BTableSimple v-if="pair.length === 2" responsive>
        <BThead>
          <BTr>
            <BTd />
            <BTh v-for="one in pair" :key="one.id" scope="col">{{ one.title }}</BTh>
          </BTr>
        </BThead>
        <BTbody>
          <BTr v-for="line in lines" :key="line.name">
            <BTh scope="row">{{ line.name }}</BTh>
            <BTd v-for="(value, i) in line.values" :key="i" :class="{ other: line.values[0] !== line.values[1] }">{{
              value
            }}</BTd>
          </BTr>
        </BTbody>
      </BTableSimple>
    </BModal>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  height: 100%;
  min-height: 0;
}
.left {
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
  padding: 0.75rem 1.25rem 1rem 1.5rem;
}
header,
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem 1rem;
  margin-bottom: 0.75rem;
}
h1 {
  margin: 0;
}
.chart {
  background: var(--slip);
  border: 1px solid var(--hairline);
  padding: 0.75rem 1rem;
  margin-bottom: 0.75rem;
}
.search {
  max-width: 14rem;
}
.entries {
  flex: 1;
  min-height: 240px;
  border-top: 1px solid var(--hairline);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 2fr) 7rem 4.5rem 6rem minmax(0, 1.4fr) auto;
  align-items: center;
  gap: 0.75rem;
  height: 50px;
  border-bottom: 1px solid var(--hairline);
}
li.chosen {
  background: var(--paper-deep);
}
.title {
  padding: 0;
  text-align: left;
  font-weight: 600;
  color: var(--ink);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.faults {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.brick {
  color: var(--brick);
  font-weight: 600;
}
.slip {
  overflow: auto;
  background: var(--slip);
  border-left: 1px solid var(--hairline);
  padding: 1.25rem;
}
.other {
  font-weight: 600;
}
@media (max-width: 1100px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .left {
    padding: 0.75rem 1rem;
  }
  .entries {
    height: 60vh !important;
    flex: none;
  }
  .slip {
    border-left: 0;
    border-top: 1px solid var(--hairline);
  }
}
@media (max-width: 640px) {
  header :deep(.choice) {
    max-width: 100%;
    overflow-x: auto;
    scrollbar-width: none;
  }
  li {
    grid-template-columns: 24px minmax(0, 1fr) auto;
  }
  .minutes,
  .faults,
  .outcome,
  .again {
    display: none;
  }
}
</style>
