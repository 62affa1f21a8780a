<script setup lang="ts">
import {
  dayList,
  dueOf,
  runsLow,
  waitsOf,
  windowsBetween,
  type PlannedTask,
  type Project,
  type StockThing,
} from '@mivet/core';
import { endOfDay, format } from 'date-fns';
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref } from 'vue';
import DayTape from '../components/schedule/DayTape.vue';
import ProjectThumbnail from '../components/schedule/ProjectThumbnail.vue';
import { lengthWords, timeWords, whenWords } from '../composables/time-words.ts';
import { useOnceAsked } from '../composables/useOnceAsked.ts';
import { leftWords, tapeWords } from '../components/stock/stock-words.ts';
import { useLibrary } from '../stores/library.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useSchedule } from '../stores/schedule.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';

const HandOverDialog = defineAsyncComponent(() => import('../components/schedule/HandOverDialog.vue'));
const ProjectsView = defineAsyncComponent(() => import('./ProjectsView.vue'));

const library = useLibrary();
const schedule = useSchedule();
const settings = useSettings();
const stock = useStock();
const logbook = useLogbook();
onMounted(() => {
  schedule.watched++;
  void stock.load();
  void logbook.load();
});
onUnmounted(() => schedule.watched--);

const now = computed(() => schedule.minute);
const list = computed(() => (schedule.plan ? dayList(schedule.plan, now.value) : null));
/** Minutes of the day's hours that are left and not needed. */
const spare = computed(() => {
  const free = windowsBetween(settings.hours, now.value, endOfDay(now.value).getTime());
  const left = Math.floor(free.reduce((sum, { start, end }) => sum + end - start, 0) / 60_000);
  return left - (list.value?.handsMinutes ?? 0);
});
const head = computed(() => {
  if (!list.value) return '';
  const hands = list.value.handsMinutes;
  if (hands === 0) return 'nothing has to be done today';
  return `${lengthWords(hands)} of work${spare.value > 0 ? `, ${lengthWords(spare.value)} to spare` : ''}`;
});
/** What hands do next: of today, or the next thing at all. */
const next = computed<PlannedTask | null>(
  () => list.value?.tasks[0] ?? schedule.plan?.tasks.find(({ hands }) => hands.length > 0) ?? null,
);
const behindWords = computed(() => {
  const { late = [], behind = null } = schedule.plan ?? {};
  if (late.length === 0)
    return { first: `You are ${lengthWords(behind?.minutes ?? 0)} behind.`, rest: 'It can still all be done if you begin now.' }; // prettier-ignore
  const others = behind?.makeIt ?? [];
  const rest = others.length === 0 ? '' : others.length === 1 ? `${others[0]} still makes it.` : `The other ${others.length} still make it.`; // prettier-ignore
  return { first: `${late.map(({ project }) => project).join(', ')} will be late.`, rest };
});
const edited = ref<Project | null>(null);
const dialogAsked = useOnceAsked(() => edited.value !== null);
const undated = computed(() =>
  schedule.projects.filter(({ handOver, items }) => handOver === null && items.length > 0),
);
const choice = ref<string | null>(null);
function dateIt(id: string | null): void {
  edited.value = schedule.byId.get(id ?? '') ?? null;
  choice.value = null;
}
const waiting = computed(() => waitsOf(schedule.projects).filter(({ until }) => until > now.value));
const state = (project: Project): string => {
  const late = schedule.plan?.late.find(({ projectId }) => projectId === project.id);
  if (late) return `late by ${lengthWords(late.byMinutes)}`;
  const own = schedule.plan?.tasks.filter(({ projectId }) => projectId === project.id) ?? [];
  const wait = waiting.value.find(({ projectId }) => projectId === project.id);
  const hands = own.find((task) => task.hands.length > 0);
  if (schedule.plan && !schedule.plan.planned.includes(project.id))
    return schedule.answer?.leftOut.some((one) => one.project === project.name) ? 'to be measured' : 'done';
  if (wait) return `${wait.says.toLowerCase()}, until ${whenWords(wait.until, now.value)}`;
  return hands ? `start by ${whenWords(hands.hands[0]!.start, now.value)}` : '';
};
const isLate = (id: string): boolean => schedule.plan?.late.some(({ projectId }) => projectId === id) ?? false;
const buying = computed(() => schedule.plan?.tasks.filter(({ kind }) => kind === 'buy') ?? []);
const lowWords = (thing: StockThing): string => thing.kind === 'film' ? leftWords(thing, settings.unit) : thing.kind === 'tape' ? tapeWords(thing, settings.unit) : ''; // prettier-ignore
const low = computed(() => stock.things.filter(runsLow).slice(0, 6));
const asking = computed(() => logbook.entries.filter(({ askOn }) => askOn !== null && askOn <= format(now.value, 'yyyy-MM-dd')).slice(0, 5)); // prettier-ignore
</script>

<template>
  <ProjectsView v-if="library.loaded && library.projects.length === 0" />
  <div v-else class="page">
    <div class="left">
      <header>
        <h1>{{ format(now, 'EEEE d MMMM') }}</h1>
        <span class="quiet">{{ head }}</span>
      </header>
      <p v-if="schedule.failed" class="note-bar look" role="alert">
        The plan could not be made: {{ schedule.failed }} Projects and timers are not touched by that.
      </p>
      <DayTape
        v-if="schedule.plan && schedule.dated.length > 0"
        :plan="schedule.plan"
        :projects="schedule.byId"
        :day="now"
        :now="schedule.now.getTime()"
      />
      <div v-else-if="schedule.dated.length > 0" class="quiet" aria-live="polite">
        Working out what has to start when<template v-if="schedule.progress">
          ({{ schedule.progress.done + 1 }} of {{ schedule.progress.of }})</template
        >…
        <BProgress
          class="mt-2"
          :value="schedule.progress?.done ?? 0"
          :max="schedule.progress?.of ?? 1"
          aria-label="Projects worked out"
        />
      </div>
      <section v-else class="empty">
        <h2>When is something due?</h2>
        <p>
          Give a project its hand-over, and Mivet works backwards from it: what has to be cut, dry and cured by when,
          and what has to start today.
        </p>
      </section>
    </div>
    <div class="right">
      <section v-if="next">
        <h2>Next</h2>
        <div class="next">
          <ProjectThumbnail v-if="schedule.byId.get(next.projectId)" :project="schedule.byId.get(next.projectId)!" />
          <div>
            <strong>{{ next.title }}</strong>
            <span class="d-block">{{ next.project }}</span>
            <span class="d-block quiet"
              >Start by <strong class="dims">{{ whenWords(next.hands[0]!.start, now) }}</strong><template
                v-if="next.slackMinutes > 0"
                >, could begin earlier</template
              ></span
            >
          </div>
          <RouterLink
            class="btn btn-primary"
            :to="{ name: 'project', params: { id: next.projectId, stop: next.kind === 'buy' ? 'cut' : 'bench' } }"
            >{{ next.kind === 'buy' ? 'What to buy' : 'To the bench' }}</RouterLink
          >
        </div>
      </section>
      <p v-if="schedule.plan?.behind" class="note-bar look">
        <strong>{{ behindWords.first }}</strong>
        {{ behindWords.rest }}
        <RouterLink v-if="schedule.plan.late.length > 0" class="d-block" :to="{ name: 'calendar' }"
          >What would save it</RouterLink
        >
      </p>
      <section v-if="list && list.ahead.length > 0">
        <h2>Could be done ahead</h2>
        <ul>
          <li v-for="task in list.ahead" :key="task.id">
            <RouterLink :to="{ name: 'project', params: { id: task.projectId, stop: 'bench' } }">{{
              task.project
            }}</RouterLink>
            <span class="quiet">{{ task.title }}</span>
          </li>
        </ul>
      </section>
      <section>
        <h2>Hand-overs</h2>
        <p v-if="schedule.dated.length === 0" class="quiet">None yet.</p>
        <ul class="due">
          <li v-for="project in schedule.dated" :key="project.id">
            <ProjectThumbnail :project="project" />
            <span class="what">
              <RouterLink :to="{ name: 'project', params: { id: project.id, stop: 'bench' } }">{{
                project.name
              }}</RouterLink>
              <span class="small" :class="isLate(project.id) ? 'brick' : 'quiet'">{{ state(project) }}</span>
            </span>
            <BButton
              variant="link"
              class="dims"
              :class="{ brick: isLate(project.id) }"
              :aria-label="`Change the hand-over of ${project.name}`"
              @click="edited = project"
              >{{ whenWords(dueOf(project.handOver!), now) }}</BButton
            >
          </li>
        </ul>
        <BFormSelect
          v-if="undated.length > 0"
          v-model="choice"
          class="mt-2"
          aria-label="Give a project a hand-over"
          :options="[
            { value: null, text: 'Give a project a hand-over…' },
            ...undated.map(({ id, name }) => ({ value: id, text: name })),
          ]"
          @update:model-value="dateIt($event as string | null)"
        />
      </section>
      <section v-if="waiting.length > 0">
        <h2>Waiting</h2>
        <ul>
          <li v-for="wait in waiting" :key="`${wait.projectId} ${wait.stepId}`">
            <RouterLink :to="{ name: 'project', params: { id: wait.projectId, stop: 'bench' } }">{{
              wait.says
            }}</RouterLink>
            <span class="quiet">{{ wait.project }}, until {{ whenWords(wait.until, now) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="buying.length > 0">
        <h2>To buy</h2>
        <ul>
          <li v-for="task in buying" :key="task.id">
            <RouterLink :to="{ name: 'project', params: { id: task.projectId, stop: 'bench' } }">{{
              task.title
            }}</RouterLink>
            <span class="quiet">order by {{ whenWords(task.hands[0]?.start ?? task.wait.start, now) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="low.length > 0">
        <h2>Running low</h2>
        <ul>
          <li v-for="thing in low" :key="thing.id">
            <RouterLink :to="{ name: 'stock' }">{{
              'film' in thing ? thing.film.name : 'name' in thing ? thing.name : ''
            }}</RouterLink>
            <span class="quiet">{{ lowWords(thing) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="asking.length > 0">
        <h2>Ask after</h2>
        <ul>
          <li v-for="entry in asking" :key="entry.id">
            <RouterLink :to="{ name: 'logbook', query: { entry: entry.id } }">{{ entry.title }}</RouterLink>
            <span class="quiet">how does it hold?</span>
          </li>
        </ul>
      </section>
      <p v-if="schedule.answer && schedule.answer.leftOut.length > 0" class="quiet small">
        Not in the plan: {{ schedule.answer.leftOut.map(({ project, why }) => `${project} (${why})`).join('; ') }}
      </p>
      <p v-if="schedule.plan?.tooEarly.length" class="note-bar look">
        {{ schedule.plan.tooEarly.join(', ') }}: there is no time shortly before the hand-over, and it does not keep as
        long as it would have to.
      </p>
    </div>
    <span class="visually-hidden" aria-live="polite">{{
      next ? `Next: ${next.title}, by ${timeWords(next.hands[0]!.start)}` : ''
    }}</span>
    <HandOverDialog v-if="dialogAsked" :project="edited" @close="edited = null" />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1.5rem 4rem;
  max-width: 1320px;
  margin: 0 auto;
  padding: 1rem 1.5rem 3rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.2rem 1rem;
  margin-bottom: 1rem;
}
h1 {
  margin: 0;
}
section {
  margin-bottom: 1.75rem;
}
h2 {
  margin-bottom: 0.5rem;
}
.next {
  display: flex;
  align-items: center;
  gap: 1rem;
  padding: 0.9rem 1rem;
  background: var(--slip);
  border: 1px solid var(--hairline);
}
.next > div {
  flex: 1;
  min-width: 0;
}
.next > a {
  flex: none;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hairline);
}
.due .what {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.due .what a {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}
.due .what a:hover {
  text-decoration: underline;
}
.brick {
  color: var(--brick);
}
.btn-link.brick {
  --bs-btn-color: var(--brick);
}
@media (max-width: 860px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
    padding: 1rem 1rem 3rem;
  }
  .right {
    grid-row: 1;
  }
  .next {
    flex-wrap: wrap;
  }
  .next > a {
    width: 100%;
  }
}
</style>
