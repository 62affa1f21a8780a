import { addDays, formatISO, set, startOfDay, toDate } from 'date-fns';
import type { WorkHours } from '../model/planning.ts';
import { MINUTE_MS } from '../numeric/time.ts';

/** Evenings and a Saturday: how a person who has other work begins. */
export const USUAL_HOURS: WorkHours = {
  weekdays: [
    [],
    ...Array.from({ length: 5 }, () => [{ from: 18 * 60, to: 21 * 60 }]),
    [{ from: 10 * 60, to: 17 * 60 }],
  ],
  daysOff: [],
};

/** A stretch of time, ms since 1970. */
export interface Span {
  readonly start: number;
  readonly end: number;
}

/** The part of a list of stretches, in order, that lies after a moment. */
export function windowsAfter(windows: readonly Span[], moment: number): Span[] {
  const first = windows.findIndex(({ end }) => end > moment);
  return first < 0 ? [] : windows.slice(first).map(({ start, end }) => ({ start: Math.max(start, moment), end }));
}

/** When work of some minutes is over that begins at a moment; Infinity when the hours do not last. */
export function endFrom(windows: readonly Span[], moment: number, minutes: number): number {
  let left = minutes * MINUTE_MS;
  if (left === 0) return moment;
  for (const { start, end } of windowsAfter(windows, moment)) {
    if (left <= end - start) return start + left;
    left -= end - start;
  }
  return Infinity;
}

/** Days that are looked at in one plan at most. */
const MOST_DAYS = 800;

/**
 * The stretches of time in which hands may work, in order, as the clocks on the wall stand: an evening is as long on the day
 * on which summer time ends as on any other.
 *
 * @param from ms since 1970
 * @param to ms since 1970
 */
export function windowsBetween({ weekdays, daysOff }: WorkHours, from: number, to: number): Span[] {
  const off = new Set(daysOff);
  const windows: Span[] = [];
  let day = startOfDay(toDate(from));
  for (let n = 0; n < MOST_DAYS && day.getTime() < to; n++, day = addDays(day, 1)) {
    if (off.has(formatISO(day, { representation: 'date' }))) continue;
    for (const hours of weekdays[day.getDay()] ?? []) {
      const at = (minutes: number): number => set(day, { hours: Math.floor(minutes / 60), minutes: minutes % 60 }).getTime(); // prettier-ignore
      const [start, end] = [Math.max(from, at(hours.from)), Math.min(to, at(hours.to))];
      if (end > start) windows.push({ start, end });
    }
  }
  return windows;
}
