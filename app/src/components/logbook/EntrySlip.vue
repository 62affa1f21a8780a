<script setup lang="ts">
import {
  FAULT_KINDS,
  FILM_FINISHES,
  OUTCOMES,
  type EntryOutcome,
  type FaultKind,
  type FilmFinish,
  type LogbookEntry,
} from '@mivet/core';
import { addDays, formatISO } from 'date-fns';
import { computed, ref } from 'vue';
import { dayWords, lengthWords } from '../../composables/time-words.ts';
import NumberRow from '../fields/NumberRow.vue';
import SelectRow from '../fields/SelectRow.vue';
import { useSettings } from '../../stores/settings.ts';
import { useKeptPhotos } from '../../composables/useKeptPhotos.ts';
import LengthField from '../fields/LengthField.vue';

/** One entry of the logbook, completed by hand: what became of it, where its faults are, and what is told of it later. */
const props = defineProps<{ entry: LogbookEntry }>();
const emit = defineEmits<{ change: [entry: LogbookEntry]; again: []; remove: []; close: [] }>();
const settings = useSettings();
const now = Date.now();
const set = (change: Partial<LogbookEntry>): void =>
  emit('change', { ...props.entry, ...change, changedAt: new Date().toISOString() });
const kind = ref<FaultKind>('bubble');
const WIDTH = 240;
const HEIGHT = 90;
function point(event: MouseEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect();
  const round = (event.clientX - box.left) / box.width - 0.5;
  const down = Math.min(1, Math.max(0, (event.clientY - box.top) / box.height));
  set({ faults: [...props.entry.faults, { kind: kind.value, round, down, film: props.entry.films[0]?.name ?? null }] });
}
/** By keyboard a fault goes where the cross is; arrows move it. */
const cross = ref({ round: 0, down: 0.5 });
function key(event: KeyboardEvent): void {
  const by = { ArrowLeft: [-0.05, 0], ArrowRight: [0.05, 0], ArrowUp: [0, -0.1], ArrowDown: [0, 0.1] }[event.key];
  const within = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));
  if (by)
    cross.value = { round: within(cross.value.round + by[0]!, -0.5, 0.5), down: within(cross.value.down + by[1]!, 0, 1) }; // prettier-ignore
  else if (event.key === 'Enter' || event.key === ' ')
    set({ faults: [...props.entry.faults, { kind: kind.value, ...cross.value, film: props.entry.films[0]?.name ?? null }] }); // prettier-ignore
  else return;
  event.preventDefault();
}
const whereWords = ({ round, down }: { round: number; down: number }): string =>
  `${Math.abs(round) < 0.125 ? 'in front' : Math.abs(round) > 0.375 ? 'at the back' : round > 0 ? 'on the right' : 'on the left'}, ${down < 0.33 ? 'near the rim' : down > 0.67 ? 'near the base' : 'half way down'}`;
const report = ref({ after: 'washes' as 'washes' | 'winter' | 'other', count: '10', held: 'yes', text: '' });
function addReport(): void {
  const { after, count, held, text } = report.value;
  set({
    reports: [...props.entry.reports, { id: crypto.randomUUID(), day: formatISO(now, { representation: 'date' }), after, count: Math.max(0, Math.round(Number(count) || 0)), held: held === 'yes', text: text.slice(0, 2000) }], // prettier-ignore
    askOn: null,
  });
  report.value = { ...report.value, text: '' };
}
const TAPES = [
  { value: 'none', label: 'none, or not said' },
  { value: 'low', label: 'low tack' },
  { value: 'medium', label: 'medium tack' },
  { value: 'strong', label: 'strong tack' },
];
const HELD = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];
const setTape = (tack: 'none' | 'low' | 'medium' | 'strong'): void =>
  set({ tape: tack === 'none' ? null : { use: 1, held: true, ...props.entry.tape, tack } });
const finishes = computed(() => {
  const own = [...new Set(props.entry.films.map(({ finish }) => finish))];
  return (own.length > 0 ? own : FILM_FINISHES).map((value) => ({ value, text: value }));
});
const pull = ref({
  finish: (props.entry.films[0]?.finish ?? FILM_FINISHES[0]) as FilmFinish,
  percent: '',
  flat: 'yes',
});
/** Share that was typed; null while it is none. Below zero it was pushed together. */
const pullShare = computed(() => {
  const percent = Number(pull.value.percent.trim().replace(',', '.').replace('−', '-'));
  return pull.value.percent.trim() !== '' && Number.isFinite(percent) && percent !== 0 && Math.abs(percent) <= 100 ? percent / 100 : null; // prettier-ignore
});
function addPull(): void {
  if (pullShare.value === null) return;
  set({ pulls: [...props.entry.pulls, { finish: pull.value.finish, share: pullShare.value, flat: pull.value.flat === 'yes' }] }); // prettier-ignore
  pull.value = { ...pull.value, percent: '' };
}
const askIn = (days: number): void => set({ askOn: formatISO(addDays(now, days), { representation: 'date' }) });
const photos = useKeptPhotos(() => props.entry.photos);
const minutes = computed(() => props.entry.work.reduce((sum, one) => sum + one.minutes, 0));
const sure = ref(false);
</script>

<template>
  <section class="entry">
    <div class="head">
      <h2>{{ entry.title }}</h2>
      <BCloseButton aria-label="Close the entry" @click="emit('close')" />
    </div>
    <p class="quiet">
      {{ dayWords(entry.at.slice(0, 10), now) }}, {{ entry.blank.name
      }}<template v-if="entry.count > 1">, {{ entry.count }} of them</template
      ><template v-if="minutes > 0">, {{ lengthWords(minutes) }} at the bench</template>
    </p>
    <SelectRow
      label="What became of it"
      :value="entry.outcome"
      :options="OUTCOMES.map((value) => ({ value, label: value === 'open' ? 'not said' : value }))"
      @change="set({ outcome: $event as EntryOutcome })"
    />
    <NumberRow label="Price got" :value="entry.price" :least="0" :most="1e9" @change="set({ price: $event })" />
    <NumberRow
      label="Spoilt on the way"
      :value="entry.spoilt"
      :least="0"
      :most="1000"
      whole
      @change="set({ spoilt: $event })"
    />
    <LengthField
      label="Ends apart by (− lapped)"
      :mm="entry.seamGapMm"
      :unit="settings.unit"
      :least="-50"
      :most="50"
      hint="0 where they met; with a minus where they lapped"
      @change="set({ seamGapMm: $event })"
    />
    <LengthField
      label="Lies beside its place by"
      :mm="entry.placingMm"
      :unit="settings.unit"
      :most="100"
      @change="set({ placingMm: $event })"
    />
    <NumberRow
      v-if="entry.blank.kind === 'balloon' || entry.grewShare !== null"
      label="Print grew when blown up, %"
      :value="entry.grewShare === null ? null : Math.round(1000 * entry.grewShare) / 10"
      :least="0"
      :most="100"
      @change="set({ grewShare: $event / 100 })"
    />
    <SelectRow
      label="Transfer tape"
      :value="entry.tape?.tack ?? 'none'"
      :options="TAPES"
      @change="setTape($event as 'none' | 'low' | 'medium' | 'strong')"
    />
    <template v-if="entry.tape">
      <NumberRow
        label="Times used"
        :value="entry.tape.use"
        :least="1"
        :most="100"
        whole
        @change="set({ tape: { ...entry.tape, use: $event } })"
      />
      <SelectRow
        label="Did it still hold"
        :value="entry.tape.held ? 'yes' : 'no'"
        :options="HELD"
        @change="set({ tape: { ...entry.tape, held: $event === 'yes' } })"
      />
    </template>
    <h3>Film that was pulled</h3>
    <ul>
      <li v-for="(one, i) in entry.pulls" :key="i">
        <span
          >{{ one.finish }}, {{ Math.abs(100 * one.share).toFixed(1) }} % {{ one.share < 0 ? 'together' : 'longer' }}:
          {{ one.flat ? 'lay flat' : 'wrinkled' }}</span
        >
        <BButton
          variant="link"
          size="sm"
          :aria-label="`Remove: ${one.finish}, ${(100 * one.share).toFixed(1)} %`"
          @click="set({ pulls: entry.pulls.filter((_, k) => k !== i) })"
          >Remove</BButton
        >
      </li>
    </ul>
    <div class="pull">
      <BFormSelect v-model="pull.finish" size="sm" class="wide" aria-label="Kind of film" :options="finishes" />
      <BFormInput v-model="pull.percent" size="sm" inputmode="decimal" aria-label="Pulled by, %" placeholder="%" />
      <BFormSelect
        v-model="pull.flat"
        size="sm"
        aria-label="How it lay"
        :options="[
          { value: 'yes', text: 'lay flat' },
          { value: 'no', text: 'wrinkled' },
        ]"
      />
      <BButton variant="outline-primary" size="sm" :disabled="pullShare === null" @click="addPull"
        >Note the pull</BButton
      >
    </div>
    <h3>Faults</h3>
    <SelectRow
      label="Kind"
      :value="kind"
      :options="FAULT_KINDS.map((value) => ({ value, label: value }))"
      @change="kind = $event"
    />
    <p class="quiet small mb-1">Point at its place: the front in the middle, the rim on top.</p>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="unrolled"
      role="application"
      tabindex="0"
      aria-label="The blank unrolled: arrows move the cross, Enter puts a fault there"
      @click="point"
      @keydown="key"
    >
      <rect :width="WIDTH" :height="HEIGHT" />
      <line :x1="WIDTH / 2" :x2="WIDTH / 2" y1="0" :y2="HEIGHT" class="front" />
      <path :d="`M${(cross.round + 0.5) * WIDTH - 5} ${cross.down * HEIGHT}h10m-5 -5v10`" class="cross" />
      <circle
        v-for="(fault, i) in entry.faults"
        :key="i"
        :cx="(fault.round + 0.5) * WIDTH"
        :cy="fault.down * HEIGHT"
        r="5"
      />
    </svg>
    <ul>
      <li v-for="(fault, i) in entry.faults" :key="i">
        <span
          >{{ fault.kind }} <span class="quiet small">{{ whereWords(fault) }}</span></span
        >
        <BButton
          variant="link"
          size="sm"
          :aria-label="`Remove: ${fault.kind}`"
          @click="set({ faults: entry.faults.filter((_, k) => k !== i) })"
          >Remove</BButton
        >
      </li>
    </ul>
    <div v-if="photos.length > 0" class="photos">
      <img v-for="url in photos" :key="url" :src="url" alt="Photograph from the bench" />
    </div>
    <h3>Told later</h3>
    <ul>
      <li v-for="one in entry.reports" :key="one.id">
        <span
          >{{
            one.after === 'other'
              ? ''
              : `${one.count} ${one.after === 'winter' ? (one.count === 1 ? 'winter' : 'winters') : one.after}: `
          }}{{ one.held ? 'held' : 'did not hold' }}
          <span class="quiet small">{{ dayWords(one.day, now) }} {{ one.text }}</span></span
        >
      </li>
    </ul>
    <div class="report">
      <BFormInput v-model="report.count" size="sm" inputmode="numeric" aria-label="How many" />
      <BFormSelect
        v-model="report.after"
        size="sm"
        aria-label="After what"
        :options="[
          { value: 'washes', text: 'washes' },
          { value: 'winter', text: 'winters' },
          { value: 'other', text: 'other' },
        ]"
      />
      <BFormSelect
        v-model="report.held"
        size="sm"
        aria-label="Whether it held"
        :options="[
          { value: 'yes', text: 'it held' },
          { value: 'no', text: 'it did not' },
        ]"
      />
      <BFormInput
        v-model="report.text"
        size="sm"
        class="wide"
        maxlength="2000"
        aria-label="What was told"
        placeholder="what was told"
      />
      <BButton variant="outline-primary" size="sm" @click="addReport">Note it</BButton>
    </div>
    <p class="quiet small mt-2 mb-0">
      <template v-if="entry.askOn">Mivet asks on {{ dayWords(entry.askOn, now) }}. </template>
      <BButton variant="link" size="sm" @click="askIn(90)">Ask in three months</BButton>
      <BButton v-if="entry.askOn" variant="link" size="sm" @click="set({ askOn: null })">Do not ask</BButton>
    </p>
    <BFormGroup label="Notes" :label-for="`text-${entry.id}`" class="mt-2">
      <BFormTextarea
        :id="`text-${entry.id}`"
        :model-value="entry.text"
        rows="4"
        maxlength="19000"
        @change="set({ text: ($event.target as HTMLTextAreaElement).value })"
      />
    </BFormGroup>
    <div class="d-flex flex-wrap gap-2 mt-3">
      <BButton variant="primary" @click="emit('again')">Again like this</BButton>
      <BButton variant="link" class="brick" @click="sure ? emit('remove') : (sure = true)" @blur="sure = false">{{
        sure ? 'Yes, delete it' : 'Delete'
      }}</BButton>
    </div>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
}
h3 {
  font-size: 1rem;
  margin: 1rem 0 0.3rem;
}
.unrolled {
  width: 100%;
  cursor: crosshair;
}
.unrolled rect {
  fill: var(--paper-deep);
  stroke: var(--hairline);
}
.unrolled .front {
  stroke: var(--hairline);
  stroke-dasharray: 3 3;
}
.unrolled .cross {
  stroke: var(--ink-2);
  fill: none;
}
.unrolled circle {
  fill: var(--brick);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 0.5rem;
}
.report {
  display: grid;
  grid-template-columns: 4rem 1fr 1fr;
  gap: 0.4rem;
}
.report .wide {
  grid-column: 1 / 3;
}
.brick {
  --bs-btn-color: var(--brick);
}
.pull {
  display: grid;
  grid-template-columns: 4.5rem minmax(0, 1fr) auto;
  gap: 0.4rem;
}
.pull .wide {
  grid-column: 1 / -1;
}
.photos {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.5rem;
  margin-top: 0.75rem;
}
.photos img {
  width: 100%;
}
</style>
