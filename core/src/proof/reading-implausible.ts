import type { Finding, Judge } from './finding.ts';

/** Readings that cannot be right, or do not agree with each other. */
export const judgeReadings: Judge = ({ doubts }) =>
  doubts.map((doubt): Finding => ({
    id: `reading-implausible:${doubt.reading}:${doubt.code}`,
    code: 'reading-implausible',
    case: doubt.code,
    severity: doubt.severity,
    place: null,
    itemIds: [],
    numbers: { value: doubt.value, expected: doubt.expected, instead: doubt.instead ?? 0 },
    names: { reading: doubt.reading },
    fixes: doubt.instead === null ? [] : [{ do: 'replace-reading', reading: doubt.reading, mm: doubt.instead }],
  }));
