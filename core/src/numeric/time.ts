import { addDays, formatISO, parseISO, toDate } from 'date-fns';

/** ms in a minute. */
export const MINUTE_MS = 60_000;

/** ms since 1970 of an ISO date and time; NaN when it is none. */
export const msOf = (iso: string): number => parseISO(iso).getTime();

/** ISO date and time, UTC, of ms since 1970. */
export const isoOf = (ms: number): string => toDate(ms).toISOString();

/** ISO day some days after a moment, by the clock on the wall. */
export const dayAfter = (ms: number, days: number): string => formatISO(addDays(ms, days), { representation: 'date' });
