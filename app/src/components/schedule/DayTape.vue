<script setup lang="ts">
import type { Project, ProjectsPlan } from '@mivet/core';
import { scaleTime } from 'd3-scale';
import { timeHour, timeMinute } from 'd3-time';
import { addDays, startOfDay } from 'date-fns';
import { computed } from 'vue';
import { lengthWords, timeWords, whenWords } from '../../composables/time-words.ts';
import { columnsOf, waitBlocks, workBlocks, type DayBlock } from './day-blocks.ts';

/** A day along a tape: work beside it where it stands, what waits next to that, and the time it is. */
const props = defineProps<{
  plan: ProjectsPlan;
  projects: ReadonlyMap<string, Project>;
  /** Any moment of the day, ms since 1970. */
  day: number;
  now: number;
}>();
/** px an hour. */
const HOUR = 60;
const LEAST = 40;
const TAPE = 46;
const span = computed(() => ({ start: startOfDay(props.day).getTime(), end: addDays(startOfDay(props.day), 1).getTime() })); // prettier-ignore
const work = computed(() => workBlocks(props.plan, span.value));
const waits = computed(() => waitBlocks(props.plan, span.value));
/** From an hour before the first thing to an hour after the last, and never less than from eight to six. */
const hours = computed(() => {
  const at = (hour: number): number => timeHour.offset(new Date(span.value.start), hour).getTime();
  const times = work.value.flatMap((one) => [one.span.start, one.span.end]);
  // A late evening still belongs to the day; the night does not.
  if (props.now > at(7) && props.now < span.value.end) times.push(props.now);
  const from = timeHour.floor(new Date(Math.min(at(9), ...times))).getTime();
  const to = timeHour.ceil(new Date(Math.max(at(18), ...times))).getTime();
  return { from: Math.max(span.value.start, from - 3_600_000), to: Math.min(span.value.end, to + 3_600_000) };
});
const height = computed(() => ((hours.value.to - hours.value.from) / 3_600_000) * HOUR);
const y = computed(() => scaleTime().domain([hours.value.from, hours.value.to]).range([0, height.value]));
const ticks = computed(() => timeMinute.every(10)!.range(new Date(hours.value.from), new Date(hours.value.to)));
const colourOf = (id: string): string => {
  const project = props.projects.get(id);
  const used = project?.items[0]?.film;
  return project?.films.find((film) => film.id === used)?.colour ?? 'var(--ink-2)';
};
interface Placed extends DayBlock {
  readonly top: number;
  readonly height: number;
}
/** Short work is drawn high enough to be read, and pushes what follows down a little. */
const placedWork = computed(() => {
  let low = -Infinity;
  return work.value.map((block): Placed => {
    const top = Math.max(low, y.value(block.span.start));
    const tall = Math.max(LEAST, y.value(block.span.end) - top);
    low = top + tall + 2;
    return { ...block, top, height: tall };
  });
});
const placedWaits = computed(() => {
  const shown = waits.value.flatMap((block) => {
    const [start, end] = [Math.max(block.span.start, hours.value.from), Math.min(block.span.end, hours.value.to)];
    return end > start ? [{ ...block, span: { start, end } }] : [];
  });
  const { column, count } = columnsOf(shown);
  return shown.map((block, i) => ({
    ...block,
    column: column[i]!,
    count,
    top: y.value(block.span.start),
    height: Math.max(24, y.value(block.span.end) - y.value(block.span.start)),
  }));
});
const isNow = computed(() => props.now >= hours.value.from && props.now <= hours.value.to);
const foot = computed(() => Math.max(height.value, ...placedWork.value.map((one) => one.top + one.height)));
</script>

<template>
  <div class="day" :style="{ height: `${foot}px` }">
    <svg class="tape" :width="TAPE" :height="height" aria-hidden="true">
      <g v-for="tick in ticks" :key="+tick" :transform="`translate(0 ${y(tick)})`">
        <line :x1="tick.getMinutes() === 0 ? TAPE - 20 : tick.getMinutes() === 30 ? TAPE - 12 : TAPE - 7" :x2="TAPE" />
        <text v-if="tick.getMinutes() === 0 && +tick > hours.from" x="6" dy="0.36em">{{ tick.getHours() }}</text>
      </g>
    </svg>
    <ol class="work" aria-label="Work of the day">
      <li v-for="block in placedWork" :key="block.key" :style="{ top: `${block.top}px`, height: `${block.height}px` }">
        <RouterLink
          :to="{ name: 'project', params: { id: block.projectId, stop: 'bench' } }"
          :style="{ '--film': colourOf(block.projectId) }"
        >
          <span class="title">{{ block.project }}</span>
          <span class="quiet dims"
            >{{ timeWords(block.span.start) }}–{{ timeWords(block.span.end) }},
            {{ lengthWords((block.span.end - block.span.start) / 60_000) }}</span
          >
          <span v-if="block.height > 54" class="steps small">{{ block.steps.join(' · ') }}</span>
        </RouterLink>
      </li>
    </ol>
    <ol class="waits" aria-label="What waits">
      <li
        v-for="block in placedWaits"
        :key="block.key"
        :style="{
          top: `${block.top}px`,
          height: `${block.height}px`,
          left: `${(100 * block.column) / block.count}%`,
          width: `calc(${100 / block.count}% - 4px)`,
          '--film': colourOf(block.projectId),
        }"
      >
        <span class="label"
          ><span class="title">{{ block.project }}</span>
          <span class="quiet small">{{ block.steps[0] }}, until {{ whenWords(block.until, now) }}</span></span
        >
      </li>
    </ol>
    <div v-if="isNow" class="now" :style="{ top: `${y(now)}px` }">
      <span class="dims">now {{ timeWords(now) }}</span>
    </div>
    <p v-if="placedWork.length === 0" class="none quiet">Nothing has to be done on this day.</p>
  </div>
</template>

<style scoped>
.day {
  position: relative;
  display: grid;
  grid-template-columns: 46px minmax(0, 1.35fr) minmax(0, 1fr);
  gap: 0 1rem;
  overflow: hidden;
}
.tape {
  background: var(--tape);
}
.tape line {
  stroke: var(--tape-ink, #1c2430);
  stroke-width: 1.2;
}
.tape text {
  font-family: var(--dims-font, inherit);
  font-weight: 600;
  fill: var(--tape-ink, #1c2430);
}
ol {
  position: relative;
  list-style: none;
  margin: 0;
  padding: 0;
}
ol li {
  position: absolute;
  left: 0;
  right: 0;
}
.work a {
  display: block;
  height: 100%;
  overflow: hidden;
  padding: 0.2rem 0.6rem 0.2rem 0.9rem;
  background: var(--slip);
  border: 1px solid var(--hairline);
  border-left: 7px solid var(--film);
  color: var(--ink);
  text-decoration: none;
  line-height: 1.2;
}
.work a:hover {
  border-color: var(--teal);
  border-left-color: var(--film);
}
.title {
  font-weight: 700;
  margin-right: 0.5rem;
}
.steps {
  display: block;
  margin-top: 0.15rem;
  color: var(--ink-2);
}
.waits li {
  border: 1px solid var(--hairline);
  border-left: 7px solid var(--film);
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hairline) 6px 7px);
  overflow: hidden;
}
.waits .label {
  display: inline-block;
  background: var(--bs-body-bg);
  padding: 0.1rem 0.5rem;
  line-height: 1.2;
}
.now {
  position: absolute;
  left: 0;
  right: 0;
  border-top: 2px solid var(--brick);
  pointer-events: none;
}
.now span {
  position: absolute;
  right: 0;
  bottom: 1px;
  color: var(--brick);
  background: var(--bs-body-bg);
  padding: 0 0.3rem;
  font-weight: 700;
}
.none {
  position: absolute;
  left: 62px;
  top: 1rem;
}
@media (max-width: 560px) {
  .day {
    grid-template-columns: 38px minmax(0, 1fr);
  }
  .waits {
    display: none;
  }
}
</style>
