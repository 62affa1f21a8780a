import { differenceInCalendarDays, format, isValid, parseISO } from 'date-fns';

/** A time of day: `19:40`. */
export const timeWords = (ms: number): string => format(ms, 'HH:mm');

/** A day and time as one says it: `today 19:40`, `tomorrow 9:00`, `Sat 5 Dec, 18:00`. */
export function whenWords(ms: number, now: number): string {
  if (!Number.isFinite(ms)) return 'nobody knows when';
  const days = differenceInCalendarDays(ms, now);
  if (days === 0) return `today ${timeWords(ms)}`;
  if (days === 1) return `tomorrow ${timeWords(ms)}`;
  if (days === -1) return `yesterday ${timeWords(ms)}`;
  return format(ms, 'EEE d MMM, HH:mm');
}

/** An ISO day as one says it: `Sat 5 Dec`, with its year when that is another one. */
export function dayWords(day: string, now: number): string {
  const at = parseISO(day);
  if (!isValid(at)) return day;
  return format(at, at.getFullYear() === new Date(now).getFullYear() ? 'EEE d MMM' : 'd MMM yyyy');
}

/** A length of time as one says it: `25 min`, `1 h 20 min`, `5 h`, `3 days`. */
export function lengthWords(minutes: number): string {
  if (!Number.isFinite(minutes)) return 'very long';
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours < 12) return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
  return hours < 48 ? `${Math.round(whole / 60)} h` : `${Math.round(whole / 1440)} days`;
}
