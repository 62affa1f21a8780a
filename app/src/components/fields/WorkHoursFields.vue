<script setup lang="ts">
import type { DayHours, WorkHours } from '@mivet/core';
import { eachDayOfInterval, formatISO, isValid, parseISO } from 'date-fns';
import { computed, ref, useId } from 'vue';
import NumberRow from './NumberRow.vue';
import { dayWords } from '../../composables/time-words.ts';

/** When hands are free: hours of each weekday, and days off. */
const props = defineProps<{ hours: WorkHours }>();
const emit = defineEmits<{ change: [hours: WorkHours] }>();
const id = useId();
/** Monday first, as weeks are read here; Sunday is 0. */
const DAYS = [
  [1, 'Monday'],
  [2, 'Tuesday'],
  [3, 'Wednesday'],
  [4, 'Thursday'],
  [5, 'Friday'],
  [6, 'Saturday'],
  [0, 'Sunday'],
] as const;
const EVENING: DayHours = { from: 18 * 60, to: 21 * 60 };
const MOST_OFF = 366;
const text = (minutes: number): string =>
  minutes === 1440 ? '23:59' : `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`; // prettier-ignore
function minutesOf(typed: string): number | null {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(typed.trim());
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}
const set = (day: number, list: readonly DayHours[]): void =>
  emit('change', { ...props.hours, weekdays: props.hours.weekdays.map((own, i) => (i === day ? [...list] : own)) });
const said = ref('');
function setTime(day: number, n: number, end: 'from' | 'to', typed: string): void {
  const list = props.hours.weekdays[day]!;
  const minutes = minutesOf(typed);
  const changed = minutes === null ? null : { ...list[n]!, [end]: minutes };
  const others = list.filter((_, i) => i !== n);
  if (!changed || changed.to <= changed.from || others.some(({ from, to }) => changed.from < to && changed.to > from)) {
    said.value = 'From before to, and no hours twice: nothing was changed.';
    return;
  }
  said.value = '';
  set(day, [...others, changed].sort((a, b) => a.from - b.from)); // prettier-ignore
}
function add(day: number): void {
  const list = props.hours.weekdays[day]!;
  const last = list.at(-1);
  if (!last) set(day, [EVENING]);
  else if (last.to <= 1440 - 60) set(day, [...list, { from: Math.min(1380, last.to + 60), to: Math.min(1440, last.to + 120) }]); // prettier-ignore
}
const off = ref({ from: '', to: '' });
const first = computed(() => parseISO(off.value.from));
function addOff(): void {
  const [start, typed] = [first.value, parseISO(off.value.to)];
  const end = isValid(typed) ? typed : start;
  if (!isValid(start) || end < start) {
    said.value = 'Say from which day on, and until when.';
    return;
  }
  const days = eachDayOfInterval({ start, end })
    .slice(0, MOST_OFF)
    .map((day) => formatISO(day, { representation: 'date' }));
  said.value = '';
  emit('change', { ...props.hours, daysOff: [...new Set([...props.hours.daysOff, ...days])].sort() });
  off.value = { from: '', to: '' };
}
/** Days off in a row, told as one. */
const spans = computed(() => {
  const all: { from: string; to: string }[] = [];
  for (const day of props.hours.daysOff) {
    const last = all.at(-1);
    if (last && parseISO(day).getTime() - parseISO(last.to).getTime() < 26 * 3_600_000) last.to = day;
    else all.push({ from: day, to: day });
  }
  return all;
});
const removeOff = ({ from, to }: { from: string; to: string }): void =>
  emit('change', { ...props.hours, daysOff: props.hours.daysOff.filter((day) => day < from || day > to) });
const now = Date.now();
</script>

<template>
  <div v-for="[day, name] in DAYS" :key="day" class="weekday">
    <span class="name">{{ name }}</span>
    <div class="times">
      <span v-if="hours.weekdays[day]!.length === 0" class="quiet">none</span>
      <span v-for="(own, n) in hours.weekdays[day]" :key="n" class="stretch">
        <BFormInput
          type="time"
          size="sm"
          :aria-label="`${name}, from`"
          :model-value="text(own.from)"
          @change="setTime(day, n, 'from', ($event.target as HTMLInputElement).value)"
        />
        –
        <BFormInput
          type="time"
          size="sm"
          :aria-label="`${name}, to`"
          :model-value="text(own.to)"
          @change="setTime(day, n, 'to', ($event.target as HTMLInputElement).value)"
        />
        <BButton
          variant="bare"
          class="plain"
          :aria-label="`No hours on ${name} from ${text(own.from)}`"
          @click="
            set(
              day,
              hours.weekdays[day]!.filter((_, i) => i !== n),
            )
          "
          ><IBiX aria-hidden="true"
        /></BButton>
      </span>
      <BButton variant="link" size="sm" :aria-label="`More hours on ${name}`" @click="add(day)">Add</BButton>
    </div>
  </div>
  <p v-if="said" class="brick small mb-0" role="alert">{{ said }}</p>
  <div class="off">
    <label :for="`${id}-f`">Days off, from</label>
    <BFormInput :id="`${id}-f`" v-model="off.from" type="date" size="sm" />
    <label :for="`${id}-t`">to</label>
    <BFormInput :id="`${id}-t`" v-model="off.to" type="date" size="sm" />
    <BButton variant="outline-primary" size="sm" @click="addOff">Add</BButton>
  </div>
  <NumberRow
    class="mt-3"
    label="Others who weed and tape along"
    :value="hours.others ?? 0"
    :least="0"
    :most="20"
    whole
    @change="emit('change', { ...hours, others: $event })"
  />
  <ul v-if="spans.length > 0" class="spans">
    <li v-for="span in spans" :key="span.from">
      {{ dayWords(span.from, now) }}<template v-if="span.to !== span.from"> – {{ dayWords(span.to, now) }}</template>
      <BButton variant="link" size="sm" :aria-label="`Not off: ${dayWords(span.from, now)}`" @click="removeOff(span)"
        >Remove</BButton
      >
    </li>
  </ul>
</template>

<style scoped>
.weekday {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 1rem;
  min-height: 44px;
  border-bottom: 1px solid var(--hairline);
}
.name {
  flex: 0 0 7rem;
}
.times {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 1rem;
}
.stretch {
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
}
.stretch :deep(input) {
  width: 6.6rem;
}
.plain {
  border: 0;
  background: none;
}
.off {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-top: 0.9rem;
}
.off :deep(input) {
  width: 10rem;
}
.spans {
  list-style: none;
  padding: 0;
  margin: 0.5rem 0 0;
}
</style>
