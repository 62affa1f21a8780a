import type { Blank, ReadingLogLine, ReadingName } from '../model/blank.ts';
import type { Reading } from '../model/reading.ts';

/** Lines that the log of readings keeps; the oldest go first. */
export const MOST_LOG_LINES = 500;

/**
 * The log of readings after a change: a line for each go that was taken or taken out.
 *
 * @param before the blank as it was
 * @param after as it is now
 * @param at ISO
 * @returns the log to keep; the same one when no reading changed
 */
export function logReadings(before: Blank, after: Blank, at: string): readonly ReadingLogLine[] {
  const was = goesOf(before);
  const is = goesOf(after);
  const lines = [...new Set([...was.keys(), ...is.keys()])].flatMap((of): ReadingLogLine[] => {
    const [old, now] = [was.get(of), is.get(of)];
    if (old === now) return [];
    const line = (
      did: ReadingLogLine['did'],
      { typed, mm }: Reading['takes'][number],
      how: Reading['how'],
    ): ReadingLogLine => ({
      at,
      of,
      did,
      typed,
      mm,
      how,
    });
    const left = [...(now?.takes ?? [])];
    const out = (old?.takes ?? []).filter((take) => {
      const same = left.findIndex(({ typed, mm }) => typed === take.typed && mm === take.mm);
      if (same >= 0) left.splice(same, 1);
      return same < 0;
    });
    return [
      ...out.map((take) => line('taken out', take, old!.how)),
      ...left.map((take) => line('taken', take, now!.how)),
    ];
  });
  return lines.length === 0 ? before.readingLog : [...before.readingLog, ...lines].slice(-MOST_LOG_LINES);
}

function goesOf(blank: Blank): Map<string, Reading> {
  const named = Object.entries(blank.readings).filter(
    (entry): entry is [ReadingName, Reading] => entry[1] !== undefined,
  );
  return new Map([
    ...named,
    ...blank.stations.flatMap(({ id, down, girth }): [string, Reading][] => [
      [`${id}/down`, down],
      [`${id}/girth`, girth],
    ]),
  ]);
}
