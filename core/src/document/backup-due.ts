import { parseISO } from 'date-fns';

/** Days after which what was not backed up is spoken of, and for which it is not after “not now”. */
export const BACKUP_DAYS = 14;
export const NOT_NOW_DAYS = 7;
const DAY_MS = 86_400_000;

/** What is known of the last backup; ISO, null for never. */
export interface LastBackup {
  readonly writtenAt: string | null;
  readonly notNowAt: string | null;
}

/** A time that lies in the past; null for one that a clock that went wrong, or nobody, has written. */
function past(iso: string | null, now: number): number | null {
  const at = iso === null ? NaN : parseISO(iso).getTime();
  return at <= now ? at : null;
}

/**
 * Whether it is time for a backup: a project was changed that no backup has, {@link BACKUP_DAYS} or more ago.
 *
 * @param projects that are a person's own, with when they were made and changed last, ISO
 * @param now ms
 * @returns how many projects no backup has as they are; 0 while there is time
 */
export function backupDue(
  projects: readonly { readonly createdAt: string; readonly changedAt: string }[],
  last: LastBackup,
  now: number,
): number {
  const notNow = past(last.notNowAt, now);
  if (notNow !== null && now - notNow < NOT_NOW_DAYS * DAY_MS) return 0;
  const written = past(last.writtenAt, now);
  const missing = projects.filter(({ changedAt }) => written === null || !(parseISO(changedAt).getTime() <= written));
  const since = written ?? Math.min(...missing.map(({ createdAt }) => past(createdAt, now) ?? now));
  return missing.length > 0 && now - since >= BACKUP_DAYS * DAY_MS ? missing.length : 0;
}
