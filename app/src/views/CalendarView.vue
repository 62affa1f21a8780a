<script setup lang="ts">
import { dueOf, type PlannedTask, type Project } from '@mivet/core';
import { addDays, differenceInCalendarDays, format, formatISO, startOfDay, startOfWeek } from 'date-fns';
import { computed, onMounted, onUnmounted, ref } from 'vue';
import ChoiceButtons from '../components/fields/ChoiceButtons.vue';
import DayTape from '../components/schedule/DayTape.vue';
import HandOverDialog from '../components/schedule/HandOverDialog.vue';
import LateChoices from '../components/schedule/LateChoices.vue';
import SeasonChart from '../components/schedule/SeasonChart.vue';
import { lengthWords, whenWords } from '../composables/time-words.ts';
import { useAnyProject } from '../stores/any-project.ts';
import { saveFile } from '../data/save-file.ts';
import { useSchedule } from '../stores/schedule.ts';
import { useSettings } from '../stores/settings.ts';
import { useTold } from '../stores/told.ts';

const schedule = useSchedule();
const settings = useSettings();
const told = useTold();
const change = useAnyProject();
onMounted(() => schedule.watched++);
onUnmounted(() => schedule.watched--);

const ZOOMS = [
  { value: 'day', label: 'Day' },
  { value: 'days', label: 'Days' },
  { value: 'weeks', label: 'Weeks' },
] as const;
const DAYS = { day: 1, days: 10, weeks: 35 } as const;
const zoom = ref<keyof typeof DAYS>(matchMedia('(max-width: 560px)').matches ? 'day' : 'days');
const days = computed(() => DAYS[zoom.value]);
/** First day that is shown; null for the one that suits. */
const begun = ref<number | null>(null);
const now = computed(() => schedule.minute);
const from = computed(() => {
  if (begun.value !== null) return begun.value;
  const today = startOfDay(now.value);
  return (days.value === 35 ? startOfWeek(today, { weekStartsOn: 1 }) : days.value === 10 ? addDays(today, -1) : today).getTime(); // prettier-ignore
});
const range = computed(() => ({ start: from.value, end: addDays(from.value, days.value).getTime() }));
const move = (by: number): number => (begun.value = addDays(from.value, by * Math.max(1, Math.floor(days.value * 0.7))).getTime()); // prettier-ignore
const title = computed(() =>
  days.value === 1
    ? format(from.value, 'EEEE d MMMM')
    : `${format(from.value, 'd MMM')} – ${format(addDays(from.value, days.value - 1), 'd MMM')}`,
);
const chosenId = ref<string | null>(null);
const chosen = computed(() => schedule.dated.find(({ id }) => id === chosenId.value) ?? null);
const shownLate = computed(() => {
  const late = schedule.plan?.late ?? [];
  return chosen.value ? late.filter(({ projectId }) => projectId === chosenId.value) : late.slice(0, 2);
});
const own = computed(() => schedule.plan?.tasks.filter(({ projectId }) => projectId === chosenId.value) ?? []);
const pinned = computed(() => own.value.filter((task) => task.pinned));
const edited = ref<Project | null>(null);
const shared = computed(() =>
  (schedule.answer?.shared ?? []).slice(0, 2).map(({ film, projects }) => ({
    film: schedule.byId.get(projects[0]!)?.films.find(({ id }) => id === film)?.name ?? film,
    ids: projects,
    names: projects.map((id) => schedule.byId.get(id)?.name ?? id),
  })),
);

async function pin(task: PlannedTask, at: number | null): Promise<void> {
  if (at !== null && at < now.value) return told.tell('That lies in the past: nothing was changed.');
  const project = schedule.byId.get(task.projectId);
  if (!project) return;
  const { [task.step]: _, ...others } = project.planning.pinned;
  const next = at === null ? others : { ...others, [task.step]: new Date(at).toISOString() };
  await change(task.projectId, at === null ? 'Unpin a task' : 'Pin a task', (one) => ({ ...one, planning: { ...one.planning, pinned: next } })); // prettier-ignore
  chosenId.value = task.projectId;
}
/** A pin is followed as far as what comes after it leaves room: where it is not, that is said. */
function pinWords(task: PlannedTask): string {
  const wanted = Date.parse(chosen.value?.planning.pinned[task.step] ?? '');
  const start = task.hands[0]?.start ?? task.wait.start;
  const off = Math.round((start - wanted) / 60_000);
  if (!Number.isFinite(wanted) || Math.abs(off) < 1) return 'pinned';
  return `pinned to ${whenWords(wanted, now.value)}, but ${off < 0 ? 'what comes after it needs it earlier' : 'it cannot begin before this'}`;
}
const unpinAll = (): Promise<boolean> => change(chosenId.value!, 'Unpin all tasks', (one) => ({ ...one, planning: { ...one.planning, pinned: {} } })); // prettier-ignore
const decided = computed(() => {
  const planning = chosen.value?.planning;
  if (!planning) return [];
  return [
    ...(planning.skipSeal ? ['no clear coat'] : []),
    ...(planning.beforeCure ? ['handed over before it has cured, with a note'] : []),
    ...(planning.helperMinutes > 0 ? [`a helper for ${lengthWords(planning.helperMinutes)}`] : []),
  ];
});
const undecide = (): Promise<boolean> => change(chosenId.value!, 'Undo what was decided for its plan', (one) => ({ ...one, planning: { ...one.planning, skipSeal: false, beforeCure: false, helperMinutes: 0 } })); // prettier-ignore
async function saveIcs(): Promise<void> {
  if (!schedule.plan) return;
  const { writePlanIcs } = await import('@mivet/core/tables');
  saveFile('mivet-plan.ics', writePlanIcs(schedule.plan.tasks, Date.now()));
  told.tell('Written: mivet-plan.ics. Read in again later, its entries move instead of standing there twice.');
}
const print = (): void => window.print();
const farOff = computed(() => schedule.dated.filter(({ handOver }) => differenceInCalendarDays(dueOf(handOver!), range.value.end) >= 0).length); // prettier-ignore
</script>

<template>
  <div class="page">
    <div class="left">
      <header>
        <h1>{{ title }}</h1>
        <ChoiceButtons
          :value="zoom"
          :options="ZOOMS"
          label="How much is shown"
          @choose="
            zoom = $event;
            begun = null;
          "
        />
        <span class="steps">
          <BButton variant="bare" class="plain" aria-label="Earlier" @click="move(-1)"><IBiChevronLeft /></BButton>
          <BButton variant="bare" class="plain" :disabled="begun === null" @click="begun = null">Today</BButton>
          <BButton variant="bare" class="plain" aria-label="Later" @click="move(1)"><IBiChevronRight /></BButton>
        </span>
        <span class="out">
          <BButton variant="link" :disabled="!schedule.plan?.tasks.length" @click="saveIcs">Save as ICS</BButton>
          <BButton variant="link" :disabled="!schedule.plan?.tasks.length" @click="print">Print</BButton>
        </span>
      </header>
      <p v-if="schedule.failed" class="note-bar look" role="alert">
        The plan could not be made: {{ schedule.failed }} Projects and timers are not touched by that.
      </p>
      <section v-if="schedule.dated.length === 0" class="empty">
        <h2>Nothing has a date yet</h2>
        <p>Give a project its hand-over, and it hangs here with all that has to happen before.</p>
        <RouterLink class="btn btn-primary" :to="{ name: 'today' }">Give a project a hand-over</RouterLink>
      </section>
      <p v-else-if="!schedule.plan" class="quiet" aria-live="polite">
        Working out what has to start when<template v-if="schedule.progress">
          ({{ schedule.progress.done + 1 }} of {{ schedule.progress.of }})</template
        >…
      </p>
      <DayTape
        v-else-if="days === 1"
        :plan="schedule.plan"
        :projects="schedule.byId"
        :day="from"
        :now="schedule.now.getTime()"
      />
      <SeasonChart
        v-else
        :plan="schedule.plan"
        :projects="schedule.dated"
        :hours="settings.hours"
        :range="range"
        :now="now"
        :chosen="chosenId"
        @choose="chosenId = chosenId === $event ? null : $event"
        @pin="pin"
      />
      <p v-if="schedule.plan && farOff > 0 && days !== 1" class="quiet small mt-2">
        {{ farOff }} {{ farOff === 1 ? 'hand-over lies' : 'hand-overs lie' }} further on.
      </p>
    </div>
    <aside class="slip" aria-label="About the plan">
      <LateChoices v-for="late in shownLate" :key="late.projectId" :late="late" :now="now" />
      <section v-if="chosen">
        <h2>{{ chosen.name }}</h2>
        <p class="mb-2">
          Handed over {{ whenWords(dueOf(chosen.handOver!), now) }}
          <BButton variant="link" size="sm" @click="edited = chosen">Change</BButton>
          <span v-if="chosen.handOver!.number" class="d-block quiet">{{ chosen.handOver!.number }}</span>
          <span v-if="chosen.handOver!.note" class="d-block quiet">{{ chosen.handOver!.note }}</span>
        </p>
        <p v-if="decided.length > 0" class="quiet mb-2">
          Decided: {{ decided.join('; ') }}.
          <BButton variant="link" size="sm" @click="undecide">Undo</BButton>
        </p>
        <p v-if="pinned.length > 0" class="quiet mb-2">
          {{ pinned.length }} pinned. <BButton variant="link" size="sm" @click="unpinAll">Let them flow again</BButton>
        </p>
        <ol class="tasks">
          <li v-for="task in own" :key="task.id">
            <span
              >{{ task.title }}
              <span v-if="task.pinned" class="quiet small">{{ pinWords(task) }}</span>
              <span v-if="task.wait.end - task.wait.start >= 60_000" class="quiet small d-block"
                >then waits {{ lengthWords((task.wait.end - task.wait.start) / 60_000) }}</span
              ></span
            >
            <span class="dims quiet">{{ whenWords(task.hands[0]?.start ?? task.wait.start, now) }}</span>
          </li>
        </ol>
        <RouterLink :to="{ name: 'project', params: { id: chosen.id, stop: 'bench' } }">To its bench</RouterLink>
      </section>
      <template v-else>
        <section v-for="one in shared" :key="one.film">
          <h2>Cut together</h2>
          <p>{{ one.names.join(', ') }} are all cut from {{ one.film }}: on common boards they take fewer loads.</p>
          <RouterLink class="btn btn-outline-primary" :to="{ name: 'together', query: { projects: one.ids.join(',') } }"
            >Cut them together</RouterLink
          >
        </section>
        <section v-if="schedule.plan && schedule.plan.late.length === 0 && schedule.dated.length > 0">
          <h2>All of it can be done</h2>
          <p class="quiet">
            Everything stands as late as it may be. Drag work along to pin it; the rest flows round it. The arrow keys
            move it too.
          </p>
        </section>
      </template>
      <section>
        <h2>Minutes</h2>
        <p class="quiet mb-0">
          {{
            settings.ownPace > 0
              ? `From your own pace, ${settings.ownPace} times seen.`
              : 'Starting values: the logbook learns your own.'
          }}
          <RouterLink :to="{ name: 'logbook' }">Look at it</RouterLink>
        </p>
      </section>
      <section>
        <h2>Your hours</h2>
        <p class="quiet mb-0">
          Work is planned within them. <RouterLink :to="{ name: 'my-way', hash: '#hours' }">Change them</RouterLink>
        </p>
      </section>
    </aside>
    <HandOverDialog :project="edited" @close="edited = null" />
    <p class="only-print">Printed {{ formatISO(now, { representation: 'date' }) }}</p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  min-height: 100%;
}
.left {
  padding: 0.75rem 1rem 2rem 1.5rem;
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1rem;
  margin-bottom: 0.75rem;
}
h1 {
  margin: 0;
}
.out {
  margin-left: auto;
}
.plain {
  border: 0;
  background: none;
  color: var(--ink-2);
}
.slip {
  background: var(--slip);
  border-left: 1px solid var(--hairline);
  padding: 1.25rem 1.25rem 2rem;
}
.slip section {
  margin-bottom: 1.75rem;
}
.tasks {
  list-style: none;
  padding: 0;
  margin: 0 0 0.75rem;
}
.tasks li {
  display: flex;
  justify-content: space-between;
  gap: 0.75rem;
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--hairline);
}
.tasks .dims {
  text-align: right;
  flex: none;
}
.only-print {
  display: none;
}
@media (max-width: 860px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
  .left {
    padding: 0.75rem 1rem;
  }
  .slip {
    border-left: 0;
    border-top: 1px solid var(--hairline);
  }
}
@media print {
  .page {
    display: block;
  }
  header .out,
  header .steps,
  .slip {
    display: none;
  }
  .only-print {
    display: block;
  }
}
</style>
