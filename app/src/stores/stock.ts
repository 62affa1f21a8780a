import {
  describeBookingProblem,
  takeBack,
  bookPlan,
  supplyOf,
  type Booking,
  type BookingResult,
  type CountedBlank,
  type Film,
  type Project,
  type ShelfChange,
  type StockThing,
  type Supply,
  type ToBook,
  type Unreadable,
} from '@mivet/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import * as records from '../data/records.ts';
import { hearTabs, tellTabs } from '../data/tabs.ts';
import { keptList } from './kept-list.ts';
import { notKept, refuse } from './refusal.ts';
import { useLibrary } from './library.ts';
import { useSettings } from './settings.ts';

const today = (): string => new Date().toISOString().slice(0, 10);

/** Films, offcuts, tapes, cutters and what was booked. */
export const useStock = defineStore('stock', () => {
  const settings = useSettings();
  const kept = keptList<StockThing>(({ id }) => id);
  const { all: things } = kept;
  /** What this program cannot read of it. */
  const unreadable = shallowRef<readonly Unreadable[]>([]);
  const loaded = ref(false);
  /** Whether it can only be kept for as long as this page is open. */
  const refused = ref(false);

  const supply = computed<Supply>(() => supplyOf(things.value, today(), settings.useOffcuts));
  /** Every film that there is some of, or an offcut; once each. */
  const knownFilms = computed<Film[]>(() => {
    const all = things.value.flatMap((thing) => ('film' in thing ? [thing.film] : []));
    return [...new Map(all.map((film) => [film.id, film])).values()];
  });
  /** What of it a project is planned from. */
  function supplyFor({ films }: Pick<Project, 'films'>): Supply {
    const ids = new Set(films.map(({ id }) => id));
    const { films: lots, offcuts, cutters, today: day } = supply.value;
    return {
      films: lots.filter(({ film }) => ids.has(film.id)),
      offcuts: offcuts.filter(({ film }) => ids.has(film.id)),
      cutters,
      today: day,
    };
  }

  let loading: Promise<void> | null = null;
  /** Reads the stock; once, unless somebody else changed it. */
  function load(again = false): Promise<void> {
    if (again || !loading)
      loading = Promise.resolve()
        .then(() =>
          kept.readIn(async () => {
            const read = await records.readLibrary('stock');
            return { kept: read.kept.map(({ thing }) => thing), unreadable: read.unreadable };
          }),
        )
        .then(
          (read) => {
            unreadable.value = read.unreadable;
            loaded.value = true;
          },
          () => {
            refused.value = true;
            loaded.value = true;
          },
        );
    return loading;
  }

  /** Changes the stock in one go, from what lies there now; why it could not be kept, in words, or null. */
  async function change(
    work: (now: readonly StockThing[], blanks: readonly CountedBlank[]) => ShelfChange | null,
  ): Promise<string | null> {
    if (refused.value) {
      const wanted = work(things.value, []);
      const gone = new Set([...(wanted?.remove ?? []), ...(wanted?.put ?? []).map(({ id }) => id)]);
      things.value = [...things.value.filter(({ id }) => !gone.has(id)), ...(wanted?.put ?? [])];
      return null;
    }
    let blanks = 0;
    const told = (...now: Parameters<typeof work>): ShelfChange | null => {
      const wanted = work(...now);
      blanks = wanted?.blanks?.length ?? 0;
      return wanted;
    };
    try {
      kept.set(await records.changeStock(told, new Date().toISOString()));
    } catch (problem) {
      return notKept(problem);
    }
    if (blanks > 0) await useLibrary().loadShelf();
    tellTabs({ kind: 'library-changed', id: '', revision: 0 });
    return null;
  }
  /** The same; false where it could not be kept, which is said. */
  async function changed(wanted: ShelfChange): Promise<boolean> {
    const why = await change(() => wanted);
    if (why !== null) refuse(why);
    return why === null;
  }
  const keep = (put: readonly StockThing[]): Promise<boolean> => changed({ put, remove: [] });
  const remove = (id: string): Promise<boolean> => changed({ put: [], remove: [id] });

  async function decide(
    work: (now: readonly StockThing[], blanks: readonly CountedBlank[]) => BookingResult,
  ): Promise<string | null> {
    let problem: string | null = null;
    const refusal = await change((now, blanks) => {
      const result = work(now, blanks);
      if (result.ok) return result.change;
      problem = describeBookingProblem(result.problem);
      return null;
    });
    return problem ?? refusal;
  }
  /** Books a plan; what is in the way, in words, or null. */
  const book = (what: ToBook): Promise<string | null> => decide((now, blanks) => bookPlan(now, what, blanks));
  /** Puts back what a booking took. */
  const unbook = (booking: Booking): Promise<string | null> => decide((now) => takeBack(now, booking));

  hearTabs((news) => {
    if (loaded.value && news.kind === 'library-changed') void load(true);
  });
  void load();

  return { things, unreadable, loaded, refused, supply, knownFilms, supplyFor, load, keep, remove, book, unbook };
});
