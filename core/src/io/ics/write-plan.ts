import { createEvents, type EventAttributes } from 'ics';
import { MINUTE_MS } from '../../numeric/time.ts';
import type { PlannedTask } from '../../schedule/plan-projects.ts';

/** Minutes up to which waits are no entries of a calendar. */
const SHORT_WAIT_MINUTES = 60;

/**
 * A plan as a calendar file, in UTC, so that every calendar shows it at the right hour wherever it is. What it calls each
 * entry stays the same from plan to plan: read in again, entries move instead of standing there twice.
 *
 * @param written ms since 1970; later files replace entries of earlier ones
 * @throws Error when an entry does not fit the format
 */
export function writePlanIcs(tasks: readonly PlannedTask[], written: number): string {
  const sequence = Math.floor(written / 1000) % 2 ** 31;
  const common = { productId: 'mivet', calName: 'Mivet', sequence, startInputType: 'utc', endInputType: 'utc', startOutputType: 'utc', endOutputType: 'utc', timestamp: written } as const; // prettier-ignore
  const events = tasks.flatMap(({ id, project, title, hands, wait }): EventAttributes[] => {
    const waits = (wait.end - wait.start) / MINUTE_MS;
    return [
      ...hands.map((span, i): EventAttributes => ({ ...common, uid: `${id}/${i + 1}@mivet`, title: `${project}: ${title}`, start: span.start, end: span.end, busyStatus: 'BUSY' })), // prettier-ignore
      ...(waits >= SHORT_WAIT_MINUTES
        ? [{ ...common, uid: `${id}/wait@mivet`, title: `${project}: ${title}, waits`, start: wait.start, end: wait.end, busyStatus: 'FREE' } as EventAttributes] // prettier-ignore
        : []),
    ];
  });
  if (events.length === 0) return EMPTY;
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('no calendar was written');
  return value;
}

const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:mivet', 'X-WR-CALNAME:Mivet', 'END:VCALENDAR', ''].join(
  '\r\n',
);
