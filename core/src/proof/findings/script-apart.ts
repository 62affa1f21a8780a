import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** Words of a joined script that come in several parts: a join of theirs stands open. */
export const judgeScriptApart: Judge = (context) =>
  context.wrap.placed.flatMap(({ item, openJoins, capHeight, slants, azimuth, box, radius }): Finding[] => {
    if (openJoins.length === 0 || (!slants && !item.acts.shapesOnly) || capHeight === null) return [];
    const gaps = openJoins.flatMap(({ after, mm }) => (mm === null ? [] : [{ after, mm }]));
    return [
      {
        id: `script-apart:${item.id}`,
        code: 'script-apart',
        case: 'open',
        severity: 'look',
        place: slants && { azimuths: [azimuth + box.minX / radius, azimuth + box.maxX / radius], slants },
        itemIds: [item.id],
        numbers: { parts: openJoins.length + 1, gap: Math.max(0, ...gaps.map(({ mm }) => mm)) },
        names: { item: itemName(context, item.id) },
        fixes: gaps.length === openJoins.length ? [{ do: 'close-gaps', itemId: item.id, capMm: capHeight, gaps }] : [],
      },
    ];
  });

/** In words. */
export const sayScriptApart: Sayings = {
  'script-apart/open': ({ finding, names, mm, whole }) => [
    `${sentence(names['item'])} falls apart into ${whole('parts')} parts`,
    `The letters of a joined script touch, so that a word is one piece; here ${finding.numbers['parts'] === 2 ? 'one join stands' : 'some joins stand'} open by up to ${mm('gap')}.${finding.fixes.length === 0 ? ' Move the letters together in the editor.' : ''}`,
  ],
};
