<script setup lang="ts">
import {
  dueOf,
  windowsBetween,
  type PlannedTask,
  type Project,
  type ProjectsPlan,
  type Span,
  type WorkHours,
} from '@mivet/core';
import { scaleTime } from 'd3-scale';
import { timeDay, timeHour } from 'd3-time';
import { useElementSize, useEventListener } from '@vueuse/core';
import { format, formatISO } from 'date-fns';
import { computed, ref, useId } from 'vue';
import { isMoved } from '../../composables/hand.ts';
import { lengthWords, whenWords } from '../../composables/time-words.ts';
import ProjectThumbnail from './ProjectThumbnail.vue';

/** All open projects over some days, each hung from its hand-over: hands solid, waits hatched, one's hours shaded. */
const props = defineProps<{
  plan: ProjectsPlan;
  projects: readonly Project[];
  hours: WorkHours;
  /** ms since 1970, from the start of a day. */
  range: Span;
  now: number;
  chosen: string | null;
}>();
const emit = defineEmits<{ choose: [projectId: string]; pin: [task: PlannedTask, at: number | null] }>();
const id = useId();
const ROW = 62;
const NAMES = 190;
const HEAD = 30;
const frame = ref<HTMLElement | null>(null);
const { width: room } = useElementSize(frame);
const names = computed(() => (room.value < 560 ? 96 : NAMES));
const width = computed(() => Math.max(320, room.value));
const height = computed(() => HEAD + props.projects.length * ROW);
const x = computed(() => scaleTime().domain([props.range.start, props.range.end]).range([names.value, width.value]));
const days = computed(() => timeDay.range(new Date(props.range.start), new Date(props.range.end)));
const oneDay = computed(() => days.value.length <= 1);
const dayWidth = computed(() => (width.value - names.value) / Math.max(1, days.value.length));
const ticks = computed(() => (oneDay.value ? timeHour.every(2)!.range(new Date(props.range.start), new Date(props.range.end)) : [])); // prettier-ignore
/** Every day where there is room for it, else every Monday. */
const dayLabel = (day: Date): string =>
  dayWidth.value > 70 ? format(day, 'EEE d') : dayWidth.value > 24 ? format(day, 'd') : day.getDay() === 1 ? format(day, 'd MMM') : ''; // prettier-ignore
const isOff = (day: Date): boolean =>
  props.hours.daysOff.includes(formatISO(day, { representation: 'date' })) ||
  (props.hours.weekdays[day.getDay()] ?? []).length === 0;
const shaded = computed(() => windowsBetween(props.hours, props.range.start, props.range.end));
const clip = (ms: number): number => x.value(Math.max(props.range.start, Math.min(props.range.end, ms)));
const seen = ({ start, end }: Span): boolean => end > props.range.start && start < props.range.end;
const colourOf = ({ items, films }: Project): string => films.find(({ id: film }) => film === items[0]?.film)?.colour ?? 'var(--ink-2)'; // prettier-ignore
const rows = computed(() =>
  props.projects.map((project, i) => {
    const tasks = props.plan.tasks.filter(({ projectId }) => projectId === project.id);
    const late = props.plan.late.find(({ projectId }) => projectId === project.id) ?? null;
    const spans = tasks.flatMap((task) => [...task.hands, task.wait]);
    const slack = Math.min(...tasks.filter(({ hands }) => hands.length > 0).map(({ slackMinutes }) => slackMinutes));
    const starts = tasks.find(({ hands }) => hands.length > 0);
    return {
      project,
      y: HEAD + i * ROW,
      due: dueOf(project.handOver!),
      late,
      says: late
        ? `late by ${lengthWords(late.byMinutes)}`
        : tasks.length === 0
          ? 'done'
          : slack > 0 && Number.isFinite(slack)
            ? `slack ${lengthWords(slack)}`
            : 'no slack',
      tone: late ? 'brick' : tasks.length > 0 && !(slack > 0) ? 'ochre' : 'quiet',
      begins: starts ? starts.hands[0]!.start - starts.slackMinutes * 60_000 : null,
      from: spans.length > 0 ? Math.min(...spans.map(({ start }) => start)) : null,
      hands: tasks.flatMap((task) =>
        task.hands.filter(seen).map((span, n) => ({ task, span, key: `${task.id} ${n}` })),
      ),
      waits: tasks.filter((task) => task.wait.end - task.wait.start > 20 * 60_000 && seen(task.wait)),
      colour: colourOf(project),
    };
  }),
);
const inRange = (ms: number): boolean => ms >= props.range.start && ms <= props.range.end;
const titleOf = (task: PlannedTask): string =>
  `${task.project}: ${task.title}, ${whenWords(task.hands[0]?.start ?? task.wait.start, props.now)}${task.pinned ? ', pinned' : ''}`;

/** A block that is being dragged, and how far. */
const dragged = ref<{ readonly task: PlannedTask; readonly from: number; by: number } | null>(null);
const STEP_MS = 15 * 60_000;
const shiftOf = (task: PlannedTask): number => (dragged.value?.task.id === task.id ? dragged.value.by : 0);
function grab(event: PointerEvent, task: PlannedTask): void {
  if (event.button !== 0) return;
  event.preventDefault();
  dragged.value = { task, from: event.clientX, by: 0 };
}
useEventListener('pointermove', (event: PointerEvent) => {
  if (dragged.value) dragged.value.by = event.clientX - dragged.value.from;
});
useEventListener('pointerup', () => {
  const drag = dragged.value;
  dragged.value = null;
  if (!drag) return;
  if (!isMoved(drag.by, 0)) return emit('choose', drag.task.projectId);
  const start = x.value.invert(x.value(drag.task.hands[0]!.start) + drag.by).getTime();
  emit('pin', drag.task, Math.round(start / STEP_MS) * STEP_MS);
});
useEventListener('pointercancel', () => (dragged.value = null));
/** By keyboard: a quarter of an hour with the arrows, a day with shift; Delete lets it flow again. */
function key(event: KeyboardEvent, task: PlannedTask): void {
  const start = task.hands[0]!.start;
  const by = event.shiftKey ? 24 * 4 : 1;
  if (event.key === 'ArrowLeft') emit('pin', task, start - by * STEP_MS);
  else if (event.key === 'ArrowRight') emit('pin', task, start + by * STEP_MS);
  else if (event.key === 'Delete' || event.key === 'Backspace') emit('pin', task, null);
  else if (event.key === 'Enter' || event.key === ' ') emit('choose', task.projectId);
  else return;
  event.preventDefault();
}
</script>

<template>
  <div ref="frame" class="chart">
    <svg :width="width" :height="height" role="group" aria-label="Projects by date">
      <defs>
        <pattern :id="`${id}-h`" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" class="hatch" />
        </pattern>
      </defs>
      <g v-for="day in days" :key="+day">
        <rect v-if="isOff(day)" class="off" :x="x(day)" :y="HEAD" :width="dayWidth" :height="height - HEAD" />
        <line class="grid" :x1="x(day)" :x2="x(day)" :y1="HEAD" :y2="height" />
        <text
          v-if="dayLabel(day)"
          class="dims"
          :class="{ faint: isOff(day) }"
          :x="x(day) + dayWidth / 2"
          y="20"
          text-anchor="middle"
        >
          {{ dayLabel(day) }}
        </text>
      </g>
      <rect
        v-for="one in shaded"
        :key="one.start"
        class="hours"
        :x="clip(one.start)"
        :y="HEAD"
        :width="Math.max(0, clip(one.end) - clip(one.start))"
        :height="height - HEAD"
      />
      <g v-for="tick in ticks" :key="`h${+tick}`">
        <line class="grid" :x1="x(tick)" :x2="x(tick)" :y1="HEAD" :y2="height" />
        <text class="dims faint" :x="x(tick) + 3" :y="HEAD - 2" font-size="11">{{ tick.getHours() }}</text>
      </g>
      <g v-for="row in rows" :key="row.project.id" :transform="`translate(0 ${row.y})`">
        <rect v-if="chosen === row.project.id" class="chosen" x="0" y="0" :width="width" :height="ROW" />
        <line class="row" x1="0" :x2="width" :y1="ROW" :y2="ROW" />
        <line
          v-if="row.begins !== null && row.from !== null && row.begins < row.from"
          class="early"
          :x1="clip(row.begins)"
          :x2="clip(row.from)"
          :y1="ROW / 2"
          :y2="ROW / 2"
        />
        <line
          v-if="row.from !== null"
          class="thread"
          :x1="clip(row.from)"
          :x2="clip(Math.max(row.from, row.due))"
          :y1="ROW / 2"
          :y2="ROW / 2"
        />
        <rect
          v-for="task in row.waits"
          :key="`w ${task.id}`"
          class="wait"
          :x="clip(task.wait.start)"
          :y="ROW / 2 - 9"
          :width="Math.max(1, clip(task.wait.end) - clip(task.wait.start))"
          height="18"
          :fill="`url(#${id}-h)`"
        >
          <title>{{ task.project }}: {{ task.title }}, waits until {{ whenWords(task.wait.end, now) }}</title>
        </rect>
        <rect
          v-for="one in row.hands"
          :key="one.key"
          class="hands"
          :class="{ pinned: one.task.pinned }"
          :x="clip(one.span.start) + shiftOf(one.task)"
          :y="ROW / 2 - 13"
          :width="Math.max(4, clip(one.span.end) - clip(one.span.start))"
          height="26"
          :fill="row.colour"
          tabindex="0"
          role="button"
          :aria-label="titleOf(one.task)"
          @pointerdown="grab($event, one.task)"
          @keydown="key($event, one.task)"
        >
          <title>{{ titleOf(one.task) }}</title>
        </rect>
        <g v-if="inRange(row.due)" class="flag" :class="{ late: row.late }" :transform="`translate(${x(row.due)} 0)`">
          <title>{{ row.project.name }} is handed over {{ whenWords(row.due, now) }}</title>
          <line x1="0" x2="0" y1="8" :y2="ROW - 8" />
          <path d="M0 8h13l-4 5 4 6h-13z" />
        </g>
        <foreignObject x="0" y="4" :width="names - 8" :height="ROW - 8">
          <div class="name">
            <ProjectThumbnail v-if="names > 100" :project="row.project" />
            <span>
              <BButton
                variant="bare"
                class="title"
                :aria-pressed="chosen === row.project.id"
                @click="emit('choose', row.project.id)"
                >{{ row.project.name }}</BButton
              >
              <span class="small d-block dims" :class="row.tone">{{ row.says }}</span>
            </span>
          </div>
        </foreignObject>
      </g>
      <g v-if="inRange(now)" class="now" :transform="`translate(${x(now)} 0)`">
        <path :d="`M-6 ${HEAD - 6}h12l-6 8z`" />
        <line x1="0" x2="0" :y1="HEAD" :y2="height" />
      </g>
    </svg>
    <ul class="key small" aria-hidden="true">
      <li><span class="swatch hands" />hands</li>
      <li><span class="swatch wait" />wait</li>
      <li><span class="swatch hours" />your hours</li>
      <li><span class="swatch early" />could start so early</li>
    </ul>
  </div>
</template>

<style scoped>
.chart {
  min-width: 0;
}
svg {
  display: block;
  max-width: 100%;
  touch-action: pan-y;
}
text {
  fill: var(--ink);
  font-weight: 600;
}
.faint {
  fill: var(--ink-2);
}
.grid,
.row {
  stroke: var(--hairline);
}
.hours {
  fill: var(--tape);
  opacity: 0.16;
}
.off {
  fill: var(--paper-deep);
}
.hatch {
  stroke: var(--ink-2);
  stroke-width: 1.6;
}
.wait {
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
.hands {
  stroke: var(--ink-2);
  stroke-width: 0.7;
  cursor: grab;
}
.hands.pinned {
  stroke: var(--ink);
  stroke-width: 2;
}
.hands:focus-visible {
  outline: 3px solid var(--teal);
}
.thread {
  stroke: var(--ink-2);
}
.early {
  stroke: var(--ink-2);
  stroke-dasharray: 2 4;
}
.flag line,
.now line {
  stroke: var(--teal);
  stroke-width: 2;
}
.flag path {
  fill: var(--teal);
}
.flag.late line,
.now line {
  stroke: var(--brick);
}
.flag.late path,
.now path {
  fill: var(--brick);
}
.now {
  pointer-events: none;
}
.chosen {
  fill: var(--paper-deep);
}
.name {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  height: 100%;
  line-height: 1.15;
}
.title {
  padding: 0;
  text-align: left;
  font-weight: 600;
  line-height: 1.15;
  color: var(--ink);
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.brick {
  color: var(--brick);
}
.ochre {
  color: var(--ochre);
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.5rem;
  list-style: none;
  padding: 0;
  margin: 0.75rem 0 0;
}
.key li {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.swatch {
  width: 24px;
  height: 13px;
  display: inline-block;
}
.swatch.hands {
  background: #0f4c5c;
}
.swatch.wait {
  border: 1px solid var(--ink-2);
  background: repeating-linear-gradient(135deg, transparent 0 4px, var(--ink-2) 4px 5px);
}
.swatch.hours {
  background: color-mix(in srgb, var(--tape) 20%, transparent);
  border: 1px solid var(--hairline);
  opacity: 1;
}
.swatch.early {
  height: 0;
  border-top: 2px dotted var(--ink-2);
}
@media print {
  .key {
    display: none;
  }
}
</style>
