import type { Finding, Judge } from '../finding.ts';

/** Readings that cannot be right, do not agree with each other, or came out differently each time. */
export const judgeReadings: Judge = ({ doubts }) =>
  doubts.map((doubt): Finding => {
    const code = doubt.code === 'takes-disagree' ? 'reading-spread' : 'reading-implausible';
    return {
      id: `${code}:${doubt.reading}:${doubt.code}`,
      code,
      case: doubt.code,
      severity: doubt.severity,
      place: null,
      itemIds: [],
      numbers: { value: doubt.value, expected: doubt.expected, instead: doubt.instead ?? 0 },
      names: { reading: doubt.reading },
      fixes: doubt.instead === null ? [] : [{ do: 'replace-reading', reading: doubt.reading, mm: doubt.instead }],
      goTo: 'measure',
    };
  });
