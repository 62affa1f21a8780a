import { blanksFor, type Booking } from '@mivet/core';
import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { useLibrary } from '../stores/library.ts';
import { usePlan } from '../stores/plan.ts';
import { useProject } from '../stores/project.ts';
import { useStock } from '../stores/stock.ts';
import { useTape } from './useTape.ts';

/** Takes what a job was cut from off the shelf, and puts it back. */
export function useBooking(): {
  /** Blanks that it is made on, with how many are on the shelf; those that are not counted are left out. */
  blanks: ComputedRef<{ id: string; name: string; count: number; there: number }[]>;
  /** Whether any film of the job is in stock. */
  known: ComputedRef<boolean>;
  /** What was booked for this project last. */
  last: ComputedRef<Booking | null>;
  /** When that was and what it did, in words. */
  lastWords: ComputedRef<string>;
  busy: Ref<boolean>;
  said: Ref<string | null>;
  book: () => Promise<void>;
  undo: () => Promise<void>;
} {
  const plan = usePlan();
  const project = useProject();
  const library = useLibrary();
  const stock = useStock();
  const { tape, takesMm } = useTape();
  const busy = ref(false);
  const said = ref<string | null>(null);
  const last = computed(
    () =>
      stock.things
        .filter((t): t is Booking => t.kind === 'booking' && isOf(t, project.doc?.id))
        .sort((a, b) => b.at.localeCompare(a.at))[0] ?? null,
  );
  const known = computed(() =>
    (plan.sheet?.usage.strips ?? []).some(({ from }) => from.kind !== 'unknown' && from.kind !== 'rest'),
  );
  const blanks = computed(() =>
    blanksFor(project.doc!).flatMap(({ id, count }) => {
      const there = library.shelf.find(({ blank }) => blank.id === id);
      return there && there.inStock !== null ? [{ id, count, name: there.blank.name, there: there.inStock }] : [];
    }),
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
    blanks,
    known,
    last,
    lastWords: computed(() => (last.value ? bookedWords(last.value, project.doc!.id) : '')),
    busy,
    said,
    book: () =>
      run(() =>
        stock.book({
          plan: plan.sheet!.plan,
          usage: plan.sheet!.usage,
          films: project.doc!.films,
          projectId: project.doc!.id,
          title: project.doc!.name,
          cutMm: plan.strips.reduce((sum, s) => sum + s.cutMm, 0),
          tape: tape.value && { id: tape.value.id, lengthMm: takesMm.value },
          blanks: blanksFor(project.doc!),
          at: new Date().toISOString(),
          newId: () => crypto.randomUUID(),
        }),
      ),
    undo: () => run(() => stock.unbook(last.value!)),
  };
}

/** Whether a booking is a project's own, or one that it has a share of. */
const isOf = ({ projectId, shares = [] }: Booking, id: string | undefined): boolean =>
  projectId === id || shares.some((share) => share.projectId === id);

/** When something was booked and what that did, in words; of what was cut together, the share of one project. */
function bookedWords({ at, before, after, blanks = [], shares = [] }: Booking, projectId: string): string {
  const when = new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }); // prettier-ignore
  const own = shares.find((share) => share.projectId === projectId);
  if (own) {
    const others = shares.filter((share) => share !== own).map(({ title }) => title);
    const cost = own.used.reduce((sum, one) => sum + (one.cost ?? 0), 0);
    const alone = others.length === 0 ? '' : ` together with ${new Intl.ListFormat('en-GB').format(others)}`;
    return `Booked ${when}${alone}: the film of all is off the shelf${cost > 0 ? `; its own share of it cost ${cost.toFixed(2)}` : ''}.`;
  }
  const known = new Set(before.map(({ id }) => id));
  const born = after.filter((t) => t.kind === 'offcut' && !known.has(t.id)).length;
  const cups = blanks.reduce((sum, { count }) => sum + count, 0);
  const offcuts = born === 0 ? '' : born === 1 ? '; an offcut is on it' : `; ${born} offcuts are on it`;
  const too = cups === 0 ? '' : cups === 1 ? ', and so is one blank' : `, and so are ${cups} blanks`;
  const film = before.some((t) => t.kind === 'tape') ? 'film and tape are' : 'the film is';
  return `Booked ${when}: ${film} off the shelf${too}${offcuts}.`;
}
