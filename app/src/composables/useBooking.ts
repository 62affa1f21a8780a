import type { Booking } from '@mivet/core';
import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { usePlan } from '../stores/plan.ts';
import { useProject } from '../stores/project.ts';
import { useStock } from '../stores/stock.ts';

/** Taking what a job was cut from off the shelf, and putting it back. */
export function useBooking(): {
  /** Whether any film of the job is in stock. */
  known: ComputedRef<boolean>;
  /** What was booked for this project last. */
  last: ComputedRef<Booking | null>;
  lastWhen: ComputedRef<string>;
  /** Offcuts that came of it. */
  born: ComputedRef<number>;
  busy: Ref<boolean>;
  said: Ref<string | null>;
  book: () => Promise<void>;
  undo: () => Promise<void>;
} {
  const plan = usePlan();
  const project = useProject();
  const stock = useStock();
  const busy = ref(false);
  const said = ref<string | null>(null);
  const last = computed(
    () =>
      stock.things
        .filter((t): t is Booking => t.kind === 'booking' && t.projectId === project.doc?.id)
        .sort((a, b) => b.at.localeCompare(a.at))[0] ?? null,
  );
  const known = computed(() =>
    (plan.sheet?.takings.strips ?? []).some(({ from }) => from.kind !== 'unknown' && from.kind !== 'rest'),
  );
  async function run(work: () => Promise<string | null>): Promise<void> {
    if (busy.value) return;
    busy.value = true;
    said.value = await work().catch(
      () => 'It could not be kept: this browser has no room for it, or does not allow it.',
    );
    busy.value = false;
  }
  return {
    known,
    last,
    lastWhen: computed(
      () =>
      last.value ? new Date(last.value.at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }) : '', // prettier-ignore
    ),
    born: computed(() => {
      const before = new Set(last.value?.before.map(({ id }) => id));
      return last.value?.after.filter((t) => t.kind === 'offcut' && !before.has(t.id)).length ?? 0;
    }),
    busy,
    said,
    book: () =>
      run(() =>
        stock.book({
          plan: plan.sheet!.plan,
          takings: plan.sheet!.takings,
          films: project.doc!.films,
          projectId: project.doc!.id,
          title: project.doc!.name,
          cutMm: plan.strips.reduce((sum, s) => sum + s.cutMm, 0),
          at: new Date().toISOString(),
          newId: () => crypto.randomUUID(),
        }),
      ),
    undo: () => run(() => stock.unbook(last.value!)),
  };
}
