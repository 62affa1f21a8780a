import { describe, expect, it } from 'vitest';
import { bare, makeProfile, tumbler } from '../../test/jobs.ts';
import { logReadings, MOST_LOG_LINES } from './reading-log.ts';

const at = '2026-05-04T10:00:00Z';

describe('logReadings', () => {
  it('keeps what was taken and what was taken out, with when and with what', () => {
    const before = tumbler();
    const again = { ...before.readings.side!, takes: [...before.readings.side!.takes, { typed: '16.7 cm', mm: 167 }] };
    const after = { ...before, readings: { ...before.readings, side: again, girthRim: undefined } };
    expect(logReadings(before, after, at)).toEqual([
      { at, of: 'girthRim', did: 'taken out', typed: '276', mm: 276, how: 'tape' },
      { at, of: 'side', did: 'taken', typed: '16.7 cm', mm: 167, how: 'tape' },
    ]);
    expect(logReadings(before, { ...before, name: 'Other' }, at)).toBe(before.readingLog);
  });

  it('knows the heights of a profile, and keeps the newest lines', () => {
    const before = makeProfile([[0, 300], [40, 310]]); // prettier-ignore
    const after = { ...before, stations: [before.stations[0]!, { ...before.stations[1]!, girth: bare(312) }] };
    expect(logReadings(before, after, at).map(({ of, did, mm }) => [of, did, mm])).toEqual([
      ['s1/girth', 'taken out', 310],
      ['s1/girth', 'taken', 312],
    ]);
    const full = {
      ...before,
      readingLog: Array.from({ length: MOST_LOG_LINES }, () => logReadings(before, after, 'old')[0]!),
    };
    const kept = logReadings(full, { ...full, stations: after.stations }, at);
    expect(kept).toHaveLength(MOST_LOG_LINES);
    expect(kept.at(-1)!.at).toBe(at);
  });
});
