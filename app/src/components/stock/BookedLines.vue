<script setup lang="ts">
import { formatArea, type Booking } from '@mivet/core';
import { ref } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { longWords } from './stock-words.ts';

/** What was booked off the shelf, the newest first. */
defineProps<{ bookings: readonly Booking[] }>();
const emit = defineEmits<{ undo: [booking: Booking] }>();
const settings = useSettings();
const shown = ref(6);

/** What of each film went, what that cost where it is known, and blanks. */
function used(booking: Booking): string {
  const cost = booking.used.reduce((sum, one) => sum + (one.cost ?? NaN), 0);
  const cups = (booking.blanks ?? []).map(({ name, count }) => `${count} × ${name}`);
  return [filmsUsed(booking), ...(cost > 0 ? [`film for ${cost.toFixed(2)}`] : []), ...tapeUsed(booking), ...cups].join('; '); // prettier-ignore
}
const tapeUsed = ({ before, after }: Booking): string[] =>
  before.flatMap((was) => {
    const left = after.find((now) => now.id === was.id);
    return was.kind === 'tape' && left?.kind === 'tape'
      ? [`${was.name} ${longWords(was.lengthMm - left.lengthMm, settings.unit)}`]
      : [];
  });
const filmsUsed = (booking: Booking): string =>
  booking.used.map(({ film, areaMm2 }) => `${film.name} ${formatArea(areaMm2, settings.unit)}`).join(', ') || 'nothing';
const when = (at: string): string =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
</script>

<template>
  <div v-for="b in bookings.slice(0, shown)" :key="b.id" class="row-line">
    <span
      >{{ b.title }} <span class="quiet small d-block">{{ when(b.at) }}: {{ used(b) }}</span></span
    >
    <BButton variant="link" size="sm" @click="emit('undo', b)">Undo booking</BButton>
  </div>
  <BButton v-if="bookings.length > shown" variant="link" size="sm" @click="shown += 20"> Show more </BButton>
</template>
