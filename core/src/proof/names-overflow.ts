import type { Finding, Judge } from './finding.ts';

/** Names of a list that do not fit their place, or that the font cannot write. */
export const judgeNamesOverflow: Judge = ({ names, job }) => {
  const item = job.items.find((i) => i.id === job.names?.itemId);
  return names.flatMap(({ row, overMm, widthMm, capMm, missing }): Finding[] => {
    const base = { code: 'names-overflow' as const, place: null, itemIds: item ? [item.id] : [] };
    const findings: Finding[] = [];
    if (overMm > 0) {
      const allowed = widthMm - overMm;
      findings.push({
        ...base,
        id: `names-overflow:${row.id}`,
        case: 'too-long',
        severity: 'fails',
        numbers: { over: overMm, width: widthMm, allowed, cap: capMm },
        names: { name: row.name },
        // Lower capitals by as much as it is too wide, to the tenth below.
        fixes: [
          { do: 'name-box', widthMm: allowed, leastCapMm: Math.floor(((10 * capMm * allowed) / widthMm) * 0.98) / 10 },
          { do: 'name-box', widthMm: Math.ceil(widthMm), leastCapMm: job.names?.leastCapMm ?? capMm },
        ],
      });
    }
    if (missing.length > 0)
      findings.push({
        ...base,
        id: `names-overflow:letters:${row.id}`,
        case: 'letters',
        severity: 'fails',
        numbers: {},
        names: { name: row.name, letters: missing.map((letter) => `“${letter}”`).join(', ') },
        fixes: [],
      });
    return findings;
  });
};
