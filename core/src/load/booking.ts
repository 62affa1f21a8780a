import type { Film } from '../model/film.ts';
import type { BookedShare, BookedThing, Booking, CountedBlank, StockThing } from '../model/stock.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
import type { LoadPlan } from './load.ts';
import { pricePerMm2 } from './supply.ts';
import type { FilmUsage } from './usage.ts';

/** What changes on the shelf: things to write, and ids of things that are gone. */
export interface ShelfChange {
  readonly put: readonly StockThing[];
  readonly remove: readonly string[];
  /** Changes of blanks in stock; those that are not counted are left out. */
  readonly blanks?: readonly { readonly id: string; readonly by: number }[];
}

/** Why a plan was not booked, or not taken back. */
export type BookingProblem =
  /** What it was planned from is not on the shelf any more. */
  | { readonly code: 'gone'; readonly name: string }
  /** There is less on the roll, or fewer sheets, than it takes. */
  | { readonly code: 'too-little'; readonly name: string }
  /** An offcut that was born is used or changed. */
  | { readonly code: 'used-since'; readonly name: string };

/** A change, or why not. */
export type BookingResult =
  { readonly ok: true; readonly change: ShelfChange } | { readonly ok: false; readonly problem: BookingProblem };

/** What is booked. */
export interface ToBook {
  readonly plan: Pick<LoadPlan, 'board' | 'loads'>;
  readonly usage: FilmUsage;
  readonly films: readonly Film[];
  readonly projectId: string;
  readonly title: string;
  /** mm that the blade went. */
  readonly cutMm: number;
  /** The roll of transfer tape that it is lifted with, and how much of that goes, mm. */
  readonly tape?: { readonly id: string; readonly lengthMm: number } | null;
  /** Blanks that it is made on, by the id that they have on the shelf. */
  readonly blanks?: readonly { readonly id: string; readonly count: number }[];
  /** Who has what of it, where several projects are cut together. */
  readonly shares?: readonly BookedShare[];
  /** ISO. */
  readonly at: string;
  readonly newId: () => string;
}

/**
 * Takes what a plan takes off the shelf and puts what is left of it there, with a record by which it can be put back.
 *
 * @param things everything on the shelf, as it is now
 * @param what plan and film usage that were worked out from it
 * @param counted blanks that are counted, and how many stand there; where there are too few, what there is is taken
 * @returns nothing is changed when something that it takes is gone meanwhile
 */
export function bookPlan(
  things: readonly StockThing[],
  what: ToBook,
  counted: readonly CountedBlank[] = [],
): BookingResult {
  const now = new Map(things.map((thing) => [thing.id, thing]));
  const before = new Map<string, BookedThing>();
  const after = new Map<string, BookedThing>();
  const remove: string[] = [];
  const nameOf = (film: string): string => what.films.find(({ id }) => id === film)?.name ?? film;
  for (const { film, from, lengthMm } of what.usage.strips) {
    if (from.kind === 'rest' || from.kind === 'unknown') continue;
    const thing = after.get(from.id) ?? now.get(from.id);
    if (!thing || (thing.kind !== 'film' && thing.kind !== 'offcut'))
      return { ok: false, problem: { code: 'gone', name: nameOf(film) } };
    if (!before.has(thing.id)) before.set(thing.id, thing);
    if (thing.kind === 'offcut') remove.push(thing.id);
    else if (thing.form === 'roll') {
      if (thing.count === 0 || thing.lengthMm < lengthMm - EPSILON_MM)
        return { ok: false, problem: { code: 'too-little', name: nameOf(film) } };
      const left = thing.lengthMm - lengthMm;
      after.set(thing.id, { ...thing, lengthMm: left, count: left < 1 ? 0 : thing.count });
    } else {
      if (thing.count < 1) return { ok: false, problem: { code: 'too-little', name: nameOf(film) } };
      after.set(thing.id, { ...thing, count: thing.count - 1 });
    }
  }
  for (const { film, widthMm, lengthMm, outline, of } of what.usage.born) {
    const source = of === null ? undefined : now.get(of);
    const known = source?.kind === 'film' || source?.kind === 'offcut' ? source : null;
    const made = what.films.find(({ id }) => id === film);
    if (!made) continue;
    const price = known && pricePerMm2(known);
    const id = what.newId();
    after.set(id, {
      kind: 'offcut',
      id,
      film: made,
      widthMm,
      lengthMm,
      outline,
      boughtOn: known?.boughtOn ?? null,
      directional: known?.directional ?? false,
      // What lies inside a ring was paid for with the ring.
      worth: outline ? 0 : price === null ? null : price * widthMm * lengthMm,
      notes: `From ${what.title}`,
    });
  }
  const cutter = things.find((thing) => thing.kind === 'cutter' && thing.board.id === what.plan.board.id);
  if (cutter?.kind === 'cutter') {
    before.set(cutter.id, cutter);
    after.set(cutter.id, { ...cutter, bladeMm: cutter.bladeMm + what.cutMm });
  }
  // How much tape goes is an average: a roll that it says is empty may last for this one.
  const tape = what.tape && now.get(what.tape.id);
  if (what.tape && tape?.kind === 'tape') {
    before.set(tape.id, tape);
    after.set(tape.id, { ...tape, lengthMm: Math.max(0, tape.lengthMm - what.tape.lengthMm) });
  }
  const blanks = (what.blanks ?? []).flatMap(({ id, count }): CountedBlank[] => {
    const there = counted.find((blank) => blank.id === id);
    const taken = Math.min(count, there?.count ?? 0);
    return there && taken > 0 ? [{ ...there, count: taken }] : [];
  });
  const booking: Booking = {
    kind: 'booking',
    id: what.newId(),
    at: what.at,
    projectId: what.projectId,
    title: what.title,
    used: what.usage.films.flatMap(({ film, areaMm2, cost }) => {
      const made = what.films.find(({ id }) => id === film);
      return made ? [{ film: made, areaMm2, cost }] : [];
    }),
    ...(what.shares ? { shares: what.shares } : {}),
    loads: what.plan.loads.length,
    cutMm: what.cutMm,
    ...(blanks.length > 0 ? { blanks } : {}),
    before: [...before.values()],
    after: [...after.values()],
  };
  const fewer = blanks.map(({ id, count }) => ({ id, by: -count }));
  return { ok: true, change: { put: [...after.values(), booking], remove, blanks: fewer } };
}

/**
 * Puts back what a booking took, on top of whatever happened since: lengths and counts are given back, tape and blanks
 * too, offcuts that were born go, those that were used up return.
 *
 * @param things everything on the shelf, as it is now
 * @returns not taken back when an offcut that was born has been used or changed since
 */
export function takeBack(things: readonly StockThing[], booking: Booking): BookingResult {
  const now = new Map(things.map((thing) => [thing.id, thing]));
  const was = new Map(booking.before.map((thing) => [thing.id, thing]));
  const put: StockThing[] = [];
  const remove = [booking.id];
  for (const thing of booking.after) {
    const before = was.get(thing.id);
    const here = now.get(thing.id);
    if (thing.kind === 'offcut') {
      if (!here || JSON.stringify(here) !== JSON.stringify(thing))
        return { ok: false, problem: { code: 'used-since', name: thing.film.name } };
      remove.push(thing.id);
    } else if (thing.kind === 'film' && before?.kind === 'film') {
      const lot = here?.kind === 'film' ? here : { ...thing, count: thing.form === 'roll' ? thing.count : 0 };
      const lengthMm = thing.form === 'roll' ? lot.lengthMm + before.lengthMm - thing.lengthMm : lot.lengthMm;
      const count = thing.form === 'roll' ? Math.max(lot.count, lengthMm >= 1 ? 1 : 0) : lot.count + before.count - thing.count; // prettier-ignore
      put.push({ ...lot, lengthMm, count });
    } else if (thing.kind === 'cutter' && here?.kind === 'cutter' && before?.kind === 'cutter')
      put.push({ ...here, bladeMm: Math.max(0, here.bladeMm - thing.bladeMm + before.bladeMm) });
    else if (thing.kind === 'tape' && here?.kind === 'tape' && before?.kind === 'tape')
      put.push({ ...here, lengthMm: here.lengthMm + before.lengthMm - thing.lengthMm });
  }
  for (const thing of booking.before) if (thing.kind === 'offcut') put.push(thing);
  const blanks = (booking.blanks ?? []).map(({ id, count }) => ({ id, by: count }));
  return { ok: true, change: { put, remove, blanks } };
}

/** Why not, in words. */
export function describeBookingProblem({ code, name }: BookingProblem): string {
  switch (code) {
    case 'gone':
      return `The ${name} that this was planned from is not on the shelf any more. Nothing was booked; it is planned anew from what is there.`;
    case 'too-little':
      return `There is too little ${name} left for this. Nothing was booked.`;
    case 'used-since':
      return `An offcut of ${name} that came of it was used or changed since. Nothing was taken back; put the numbers right by hand.`;
  }
}
