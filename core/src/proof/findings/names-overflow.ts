import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** Names of a list that do not fit their place, that the font cannot write, or whose blank cannot be flattened. */
export const judgeNamesOverflow: Judge = ({ makes, job }) => {
  const item = job.items.find((i) => i.id === job.names?.itemId);
  const base = { code: 'names-overflow' as const, place: null, itemIds: item ? [item.id] : [] };
  const findings = makes.flatMap(({ row, fitted, on }): Finding[] => {
    const { overMm = 0, widthMm = 0, capMm = 0, missing = [] } = fitted ?? {};
    const found: Finding[] = [];
    if (overMm > 0) {
      const allowed = widthMm - overMm;
      found.push({
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
      found.push({
        ...base,
        id: `names-overflow:letters:${row.id}`,
        case: 'letters',
        severity: 'fails',
        numbers: {},
        names: { name: row.name, letters: missing.map((letter) => `“${letter}”`).join(', ') },
        fixes: [],
      });
    if (on === null)
      found.push({
        ...base,
        id: `names-overflow:blank:${row.id}`,
        case: 'blank',
        severity: 'fails',
        numbers: {},
        names: { name: row.name, on: job.otherBlanks.find((b) => b.id === row.blankId)?.name ?? job.blank.name },
        fixes: [],
      });
    return found;
  });
  if (findings.length > 0 || !item || makes.length === 0) return findings;
  const caps = makes.flatMap(({ fitted }) => (fitted ? [fitted.capMm] : []));
  return [
    {
      ...base,
      id: 'names-overflow:fit',
      case: 'fit',
      severity: 'fine',
      numbers: { count: makes.length, least: Math.min(...caps), most: Math.max(...caps) },
      names: {},
      fixes: [],
    },
  ];
};

/** In words. */
export const sayNamesOverflow: Sayings = {
  'names-overflow/too-long': ({ names, mm }) => [
    `“${names['name']}” is too long for its place`,
    `At ${mm('cap')} and with its letters tightened it is ${mm('width')} wide; ${mm('allowed')} is given. Set it by hand, or change the place.`,
  ],
  'names-overflow/blank': ({ names }) => [
    `“${names['name']}” is for a blank that cannot be flattened`,
    'Readings of that blank are missing or cannot be right. Measure it on the shelf, or make this one on another.',
  ],
  'names-overflow/fit': ({ finding, mm, whole }) => [
    finding.numbers['count'] === 1 ? 'The name fits' : `All ${whole('count')} names fit their place`,
    `Their capitals are ${mm('least')} to ${mm('most')} high.`,
  ],
  'names-overflow/letters': ({ names }) => [
    `“${names['name']}” has letters that the font lacks`,
    `It would be cut without ${names['letters']}. Choose another font, or write the name another way.`,
  ],
};
