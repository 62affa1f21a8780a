import { format, isSameDay, isValid, parseISO } from 'date-fns';

/** When something was, as short as it can be said today: `14:05`, or `3 May, 14:05`. */
export function clockWords(iso: string, today = new Date()): string {
  const at = parseISO(iso);
  if (!isValid(at)) return '';
  return format(at, isSameDay(at, today) ? 'HH:mm' : 'd MMM, HH:mm');
}
