<script setup lang="ts">
import { dwellOf, type Learnt, type LogbookEntry } from '@mivet/core';
import { extent, max, rollups, sum } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import { useElementSize } from '@vueuse/core';
import { format, parseISO } from 'date-fns';
import { computed, ref } from 'vue';
import { colourWord } from '@mivet/core';
import { useSettings } from '../../stores/settings.ts';
import { lengthWords } from '../../composables/time-words.ts';

/** One way to look at the logbook: dwell by coat, pace, where faults lie, film by month, money. */
const props = defineProps<{
  entries: readonly LogbookEntry[];
  learnt: readonly Learnt[];
  kind: 'dwell' | 'pace' | 'faults' | 'film' | 'money' | 'washes';
}>();
const settings = useSettings();
const frame = ref<HTMLElement | null>(null);
const { width: room } = useElementSize(frame);
const width = computed(() => Math.max(300, room.value));
const HEIGHT = 220;
const LEFT = 96;
const RIGHT = 20;
const BOTTOM = 30;

const coats = computed(() =>
  rollups(
    props.entries.flatMap((entry) => {
      const minutes = entry.process === 'strip' ? dwellOf(entry) : null;
      return minutes === null ? [] : [{ colour: entry.blank.colour.toLowerCase(), minutes, title: entry.title }];
    }),
    (own) => own,
    ({ colour }) => colour,
  ).map(([colour, own]) => ({ colour, own, band: props.learnt.find(({ key }) => key === `dwell:${colour}`) ?? null })),
);
const hours = computed(() => {
  const most =
    max(coats.value.flatMap(({ own, band }) => [...own.map(({ minutes }) => minutes), band?.high ?? 0])) ?? 60;
  return scaleLinear().domain([0, most / 60]).nice().range([LEFT, width.value - RIGHT]); // prettier-ignore
});
const rowsOf = computed(() => scaleBand().domain(coats.value.map(({ colour }) => colour)).range([10, HEIGHT - BOTTOM]).padding(0.3)); // prettier-ignore

const weeded = computed(() =>
  props.entries.flatMap(({ work, title }) =>
    work.filter(({ kind }) => kind === 'weed').map((one) => ({ ...one, title })),
  ),
);
const byPieces = computed(() => {
  const x = scaleLinear().domain([0, max(weeded.value, ({ pieces }) => pieces) ?? 10]).nice().range([LEFT, width.value - RIGHT]); // prettier-ignore
  const y = scaleLinear().domain([0, max(weeded.value, ({ minutes }) => minutes) ?? 10]).nice().range([HEIGHT - BOTTOM, 12]); // prettier-ignore
  return { x, y };
});
/** More dots than these are one path, without their names. */
const MANY = 500;
const manyDots = computed(() => weeded.value.map(({ pieces, minutes }) => `M${byPieces.value.x(pieces).toFixed(1)} ${byPieces.value.y(minutes).toFixed(1)}h0`).join('')); // prettier-ignore
const line = computed(() => {
  const value = (key: string): number => props.learnt.find((one) => one.key === key)?.value ?? 0;
  const metres = weeded.value.length > 0 ? sum(weeded.value, ({ cutM }) => cutM) / weeded.value.length : 0;
  const [from, to] = byPieces.value.x.domain() as [number, number];
  const at = (pieces: number): number => value('pace:weed:once') + value('pace:weed:piece') * pieces + value('pace:weed:metre') * metres; // prettier-ignore
  return [from, to].map((pieces) => ({ x: byPieces.value.x(pieces), y: byPieces.value.y(at(pieces)) }));
});

const CELLS = { round: 16, down: 6 } as const;
const faultCells = computed(() => {
  const all = props.entries.flatMap(({ faults }) => faults);
  const counts = rollups(all, (own) => own.length, ({ round, down }) => `${Math.min(CELLS.round - 1, Math.floor((((round + 1.5) % 1) * CELLS.round)))} ${Math.min(CELLS.down - 1, Math.floor(down * CELLS.down))}`); // prettier-ignore
  const most = max(counts, ([, count]) => count) ?? 1;
  const w = (width.value - LEFT - RIGHT) / CELLS.round;
  const h = (HEIGHT - BOTTOM - 10) / CELLS.down;
  return { all: all.length, cells: counts.map(([key, count]) => { const [c, r] = key.split(' ').map(Number) as [number, number]; return { key, count, x: LEFT + c * w, y: 10 + r * h, w, h, opacity: 0.15 + (0.85 * count) / most }; }) }; // prettier-ignore
});

/** mm² of a square centimetre, or a square inch. */
const AREA = computed(() => (settings.measured === 'in' ? 645.16 : 100));
const bars = computed(() => {
  const month = ({ at }: LogbookEntry): string => at.slice(0, 7);
  if (props.kind === 'film')
    return { unit: settings.measured === 'in' ? 'in²' : 'cm²', say: ['laid on things', 'waste'], rows: rollups(props.entries, (own) => { const taken = sum(own, ({ films }) => sum(films, ({ takenMm2 }) => takenMm2)); const laid = sum(own, ({ films }) => sum(films, ({ laidMm2 }) => laidMm2)); return [laid / AREA.value, Math.max(0, taken - laid) / AREA.value]; }, month) }; // prettier-ignore
  if (props.kind === 'money')
    return { unit: 'got, less cost', say: ['left over', 'cost'], rows: rollups(props.entries.filter(({ price }) => price !== null), (own) => { const got = sum(own, ({ price }) => price ?? 0); const cost = sum(own, ({ cost: paid }) => paid ?? 0); return [Math.max(0, got - cost), Math.min(got, cost)]; }, month) }; // prettier-ignore
  const reports = props.entries.flatMap((entry) => entry.reports.filter(({ after }) => after === 'washes').map((report) => ({ report, film: entry.films[0]?.finish ?? 'unknown' }))); // prettier-ignore
  return { unit: 'reports', say: ['held', 'did not'], rows: rollups(reports, (own) => [own.filter(({ report }) => report.held).length, own.filter(({ report }) => !report.held).length], ({ film }) => film) }; // prettier-ignore
});
const sortedBars = computed(() => [...bars.value.rows].sort((a, b) => a[0].localeCompare(b[0])).slice(-24));
const barScale = computed(() => ({
  x: scaleBand().domain(sortedBars.value.map(([name]) => name)).range([LEFT, width.value - RIGHT]).padding(0.2), // prettier-ignore
  y: scaleLinear().domain([0, max(sortedBars.value, ([, parts]) => sum(parts)) ?? 1]).nice().range([HEIGHT - BOTTOM, 12]), // prettier-ignore
}));
const barName = (name: string): string =>
  /^\d{4}-\d{2}$/.test(name) ? format(parseISO(`${name}-01`), 'MMM yy') : name;
const everyNth = computed(() => Math.max(1, Math.ceil((sortedBars.value.length * 52) / (width.value - LEFT))));
const few = computed(() => {
  const n = { dwell: sum(coats.value, ({ own }) => own.length), pace: weeded.value.length, faults: faultCells.value.all, film: props.entries.length, money: sortedBars.value.length, washes: sum(sortedBars.value, ([, parts]) => sum(parts)) }[props.kind]; // prettier-ignore
  return n === 0 ? 'Nothing of this is in the logbook yet.' : n < 5 ? `Only ${n} so far: read it with care.` : null;
});
const HEADS = {
  dwell: ['Dwell of stripper, by coat', 'each dot a thing; the band holds eight of ten to come'],
  pace: ['Minutes of weeding against pieces', 'each dot a film of a job; the line is your pace'],
  faults: ['Where it goes wrong', 'the blank unrolled, its back in the middle of the right edge'],
  film: ['Film by month', 'what lies on things, and what was waste'],
  money: ['Money by month', 'what was got: its cost, and what was left over'],
  washes: ['After the wash', 'what people told later, by film'],
} as const;
const ticksOf = computed(() => (props.kind === 'pace' ? byPieces.value.y : barScale.value.y).ticks(4));
const domainSaid = computed(() => extent(props.entries, ({ at }) => at.slice(0, 10)).filter(Boolean).join(' to ')); // prettier-ignore
</script>

<template>
  <figure ref="frame" class="m-0">
    <figcaption>
      <strong>{{ HEADS[kind][0] }}</strong> <span class="quiet">{{ HEADS[kind][1] }}</span>
      <span v-if="few" class="ochre d-block">{{ few }}</span>
    </figcaption>
    <svg :width="width" :height="HEIGHT" role="img" :aria-label="`${HEADS[kind][0]}, ${domainSaid}`">
      <template v-if="kind === 'dwell'">
        <g v-for="tick in hours.ticks(8)" :key="tick">
          <line class="grid" :x1="hours(tick)" :x2="hours(tick)" y1="6" :y2="HEIGHT - BOTTOM" />
          <text :x="hours(tick)" :y="HEIGHT - 10" text-anchor="middle">{{ tick }} h</text>
        </g>
        <g v-for="coat in coats" :key="coat.colour" :transform="`translate(0 ${rowsOf(coat.colour)})`">
          <text :y="rowsOf.bandwidth() / 2" dy="0.35em" class="name">{{ colourWord(coat.colour) }}</text>
          <rect
            v-if="coat.band"
            class="band"
            :x="hours(coat.band.low / 60)"
            :width="hours(coat.band.high / 60) - hours(coat.band.low / 60)"
            :height="rowsOf.bandwidth()"
          />
          <line
            v-if="coat.band"
            class="middle"
            :x1="hours(coat.band.value / 60)"
            :x2="hours(coat.band.value / 60)"
            y1="0"
            :y2="rowsOf.bandwidth()"
          />
          <circle
            v-for="(one, i) in coat.own"
            :key="i"
            :cx="hours(one.minutes / 60)"
            :cy="rowsOf.bandwidth() * (0.3 + 0.4 * ((i * 0.37) % 1))"
            r="5"
            :fill="coat.colour"
          >
            <title>{{ one.title }}: {{ lengthWords(one.minutes) }}</title>
          </circle>
        </g>
      </template>
      <template v-else-if="kind === 'pace'">
        <g v-for="tick in ticksOf" :key="tick">
          <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="byPieces.y(tick)" :y2="byPieces.y(tick)" />
          <text :x="LEFT - 8" :y="byPieces.y(tick)" dy="0.35em" text-anchor="end">{{ tick }} min</text>
        </g>
        <text
          v-for="tick in byPieces.x.ticks(6)"
          :key="`x${tick}`"
          :x="byPieces.x(tick)"
          :y="HEIGHT - 10"
          text-anchor="middle"
        >
          {{ tick }}
        </text>
        <line class="middle" :x1="line[0]!.x" :y1="line[0]!.y" :x2="line[1]!.x" :y2="line[1]!.y" />
        <path v-if="weeded.length > MANY" :d="manyDots" class="many" />
        <circle
          v-for="(one, i) in weeded.length > MANY ? [] : weeded"
          :key="i"
          :cx="byPieces.x(one.pieces)"
          :cy="byPieces.y(one.minutes)"
          r="4"
          class="dot"
        >
          <title>{{ one.title }}: {{ one.pieces }} pieces, {{ one.minutes }} min</title>
        </circle>
      </template>
      <template v-else-if="kind === 'faults'">
        <rect class="unrolled" :x="LEFT" y="10" :width="width - LEFT - RIGHT" :height="HEIGHT - BOTTOM - 10" />
        <rect
          v-for="cell in faultCells.cells"
          :key="cell.key"
          class="fault"
          :x="cell.x"
          :y="cell.y"
          :width="cell.w"
          :height="cell.h"
          :opacity="cell.opacity"
        >
          <title>{{ cell.count }} here</title>
        </rect>
        <text :x="LEFT - 8" y="20" text-anchor="end">rim</text>
        <text :x="LEFT - 8" :y="HEIGHT - BOTTOM" text-anchor="end">base</text>
        <text :x="LEFT" :y="HEIGHT - 10">back</text>
        <text :x="(LEFT + width - RIGHT) / 2" :y="HEIGHT - 10" text-anchor="middle">front</text>
        <text :x="width - RIGHT" :y="HEIGHT - 10" text-anchor="end">back</text>
      </template>
      <template v-else>
        <g v-for="tick in ticksOf" :key="tick">
          <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="barScale.y(tick)" :y2="barScale.y(tick)" />
          <text :x="LEFT - 8" :y="barScale.y(tick)" dy="0.35em" text-anchor="end">{{ tick }}</text>
        </g>
        <g v-for="([name, parts], i) in sortedBars" :key="name">
          <rect
            class="first"
            :x="barScale.x(name)"
            :width="barScale.x.bandwidth()"
            :y="barScale.y(parts[0]!)"
            :height="barScale.y(0) - barScale.y(parts[0]!)"
          />
          <rect
            class="second"
            :x="barScale.x(name)"
            :width="barScale.x.bandwidth()"
            :y="barScale.y(parts[0]! + parts[1]!)"
            :height="barScale.y(parts[0]!) - barScale.y(parts[0]! + parts[1]!)"
          />
          <text
            v-if="i % everyNth === 0"
            :x="barScale.x(name)! + barScale.x.bandwidth() / 2"
            :y="HEIGHT - 10"
            text-anchor="middle"
          >
            {{ barName(name) }}
          </text>
        </g>
      </template>
    </svg>
    <p v-if="kind === 'film' || kind === 'money' || kind === 'washes'" class="small quiet mb-0">
      <span class="swatch first" />{{ bars.say[0] }} <span class="swatch second" />{{ bars.say[1] }} ({{ bars.unit }})
    </p>
  </figure>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
}
text {
  fill: var(--ink-2);
  font-size: 12px;
}
text.name {
  fill: var(--ink);
  font-weight: 600;
  font-size: 14px;
}
.grid {
  stroke: var(--hairline);
}
.band {
  fill: var(--tape);
  opacity: 0.4;
}
.middle {
  stroke: var(--ink);
  stroke-width: 2;
}
circle {
  stroke: var(--bs-body-bg);
}
.many {
  stroke: var(--teal);
  stroke-width: 7;
  stroke-linecap: round;
  opacity: 0.5;
}
.dot,
.first {
  fill: var(--teal);
}
.second {
  fill: var(--ochre-bar);
}
.fault {
  fill: var(--brick);
}
.unrolled {
  fill: var(--paper-deep);
  stroke: var(--hairline);
}
.ochre {
  color: var(--ochre);
}
.swatch {
  display: inline-block;
  width: 12px;
  height: 12px;
  margin: 0 0.35rem 0 0.75rem;
}
.swatch.first {
  background: var(--teal);
}
.swatch.second {
  background: var(--ochre-bar);
}
</style>
