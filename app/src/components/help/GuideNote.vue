<script setup lang="ts">
import { computed } from 'vue';
import { STOPS, type Stop } from '../../composables/stops.ts';
import { useStopStates } from '../../composables/useStopStates.ts';
import { useTour } from './useTour.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import { TOUR, TOUR_PROJECT } from './guides.ts';

/** What a newcomer does next, at the head of the slip; or what the tour shows here. It stands in nobody's way. */
const props = defineProps<{ stop: Stop }>();
const project = useProject();
const settings = useSettings();
const view = useView();
const states = useStopStates();
const { goTo, end } = useTour();

const tour = computed(() => {
  const at = view.tourAt;
  return at !== null && project.doc?.id === TOUR_PROJECT ? { at, ...TOUR[at]! } : null;
});
const state = computed(() => states.value[STOPS.indexOf(props.stop)]!);
/** The next stop of a first job, and what is said before one goes there. */
const first = computed((): { readonly says: string; readonly next: Stop | null } | null => {
  const { ready, count } = state.value;
  switch (props.stop) {
    case 'measure':
      return ready
        ? { says: 'Measured. The flat in the middle is its template. Now the artwork.', next: 'artwork' }
        : { says: 'Begin with the readings below. Press one: the picture shows where the tape goes.', next: null };
    case 'flat':
      return { says: 'This is the side at true size. Wrap the fit paper if you want to be sure.', next: ready ? 'artwork' : null }; // prettier-ignore
    case 'artwork':
      return ready
        ? { says: 'Drag it on the flat, or set its numbers. When it looks right, Proof judges it.', next: 'proof' }
        : { says: 'Type a name, or press a motif: it lands on the front of the blank.', next: null };
    case 'proof':
      return count > 0
        ? { says: 'Open what is listed: it shows where, and offers what mends it. Nothing here blocks you.', next: 'cut' } // prettier-ignore
        : { says: 'Nothing holds it up.', next: 'cut' };
    case 'cut':
      return { says: 'Write cut files saves a file for each film at true size, for your cutter.', next: null };
    default:
      return null;
  }
});
const leads = computed(() =>
  tour.value === null && settings.guiding && !project.doc?.id.startsWith('demo-') ? first.value : null,
);
const LABELS: Partial<Record<Stop, string>> = { artwork: 'Artwork', proof: 'Proof', cut: 'Cut' };
</script>

<template>
  <section v-if="tour" class="guide" aria-label="Tour">
    <p class="quiet small mb-1">Tour, {{ tour.at + 1 }} of {{ TOUR.length }}</p>
    <p class="fw-bold mb-1">{{ tour.title }}</p>
    <p>{{ tour.says }}</p>
    <div class="d-flex gap-3 align-items-center">
      <BButton v-if="tour.at + 1 < TOUR.length" variant="primary" size="sm" @click="goTo(tour.at + 1)">
        Next stop
      </BButton>
      <BButton variant="link" size="sm" class="p-0" @click="end">
        {{ tour.at + 1 < TOUR.length ? 'End the tour' : 'Done' }}
      </BButton>
    </div>
  </section>
  <section v-else-if="leads" class="guide" aria-label="Your first job">
    <p>{{ leads.says }}</p>
    <div class="d-flex gap-3 align-items-center">
      <RouterLink
        v-if="leads.next"
        class="btn btn-outline-primary btn-sm"
        :to="{ name: 'project', params: { id: project.doc!.id, stop: leads.next } }"
        >Go on to {{ LABELS[leads.next] }}</RouterLink
      >
      <BButton variant="link" size="sm" class="p-0" @click="settings.guiding = false">Hide the guide</BButton>
    </div>
  </section>
</template>

<style scoped>
.guide {
  margin: -1.25rem -1.3rem 1.25rem;
  padding: 0.9rem 1.3rem 1rem;
  background: var(--paper-deep);
  border-bottom: 1px solid var(--hairline);
}
.guide p:not(.mb-1) {
  margin-bottom: 0.6rem;
}
</style>
