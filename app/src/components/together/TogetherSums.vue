<script setup lang="ts">
import { formatArea, formatFar, formatRange, formatSize, type TogetherShare } from '@mivet/core';
import { computed } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { useTogether } from '../../stores/together.ts';
import { useTape } from '../../composables/useTape.ts';
import CutExtras from '../cut/CutExtras.vue';
import TapeRow from '../cut/TapeRow.vue';
import FilmLabel from '../films/FilmLabel.vue';

/** Strips of the common plan, what each project has of it, its files, and booking it. */
const together = useTogether();
const settings = useSettings();
const output = computed(() => together.output!);
const { tape, takesMm } = useTape(() => together.output?.tapeMm2 ?? 0);
const plan = computed(() => output.value.together.sheet.plan);
const film = (id: string) => output.value.together.films.find((one) => one.id === id);
const mirrored = computed({ get: () => false, set: () => undefined });
const noMark = computed(() => [
  ...new Set(output.value.strips.filter((s) => s.noMark).map((s) => film(s.film)?.name ?? s.film)),
]);
const known = computed(() =>
  output.value.together.sheet.usage.strips.some(({ from }) => from.kind !== 'unknown' && from.kind !== 'rest'),
);
const area = (share: Pick<TogetherShare, 'used'>): string =>
  formatArea(
    share.used.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
    settings.unit,
  );
/** What is known of the cost, and whether that is all of it. */
function cost({ used }: TogetherShare): string {
  const told = used.filter((one) => one.cost !== null);
  if (told.length === 0) return '';
  const sum = told.reduce((total, one) => total + one.cost!, 0).toFixed(2);
  return told.length < used.length ? `, at least ${sum}` : `, ${sum}`;
}
const blocked = computed(() => together.busy || together.progress !== null || output.value.strips.length === 0);
</script>

<template>
  <div>
    <div v-for="s in output.strips" :key="`${s.load} ${s.film} ${s.lot}`" class="row-line">
      <span>
        <FilmLabel v-if="film(s.film)" :film="film(s.film)!" />
        <span class="quiet small d-block"
          >Load {{ s.load }}, {{ formatRange(s.from, s.to, settings.unit) }}; {{ s.parts.length }}
          {{ s.parts.length === 1 ? 'part' : 'parts' }}</span
        >
      </span>
      <span class="dims">{{ formatSize(s.to - s.from, s.across, settings.unit) }}</span>
    </div>
    <div v-for="large in plan.tooLarge" :key="`${large.film} ${large.longMm}`" class="note-bar fails">
      <p class="fw-bold">{{ film(large.film)?.name }} does not fit</p>
      <p>
        It takes {{ formatSize(large.longMm, large.shortMm, settings.unit) }} in one; the board is
        {{ formatSize(plan.board.lengthMm, plan.board.widthMm, settings.unit) }}. It is left out of the files; choose a
        larger board.
      </p>
    </div>
    <template v-if="output.shares.length > 0">
      <h2 class="mt-3">Share of each</h2>
      <div v-for="share in output.shares" :key="share.projectId" class="row-line">
        <span
          >{{ share.title }}
          <span class="quiet small d-block"
            >{{ share.pieces }} {{ share.pieces === 1 ? 'piece' : 'pieces' }},
            {{ formatFar(share.cutMm, settings.unit, 1) }} of cutting</span
          ></span
        >
        <span class="dims">{{ area(share) }}{{ cost(share) }}</span>
      </div>
      <p class="quiet small">Film with its waste, by the area of the pieces.</p>
      <TapeRow :lifts-mm2="output.tapeMm2" />
      <CutExtras v-model:mirrored="mirrored" :no-mark="noMark" no-mirror />
      <div class="d-flex flex-wrap gap-2 mt-3">
        <BButton variant="primary" :disabled="blocked" @click="together.save">Write cut files</BButton>
        <BButton
          v-if="known"
          variant="outline-primary"
          :disabled="blocked"
          @click="together.book(tape && { id: tape.id, lengthMm: takesMm })"
          >{{ together.booked ? 'Book it again' : 'Book it' }}</BButton
        >
      </div>
      <p v-if="together.said" class="mt-2" role="status">{{ together.said }}</p>
      <p v-if="together.booked" class="quiet small">
        Booked. Undo it on <RouterLink :to="{ name: 'stock' }">Stock</RouterLink>.
      </p>
    </template>
  </div>
</template>
