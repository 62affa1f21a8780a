import type { TapeSheet } from '../../pieces/tape-sheets.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { laySingly } from './lay-singly.ts';

/** Share of the slits that has to find room between the pieces. */
const ENOUGH = 0.6;

/** Transfer tape that tents where the side curves both ways, and the slits with which it lies. */
export const judgeTape: Judge = ({ job, wrap, materials: { tapeGive } }) =>
  wrap.tape
    .filter((sheet) => sheet.needed > tapeGive)
    .map((sheet, i): Finding => {
      const { azimuths, slants, needed, relief, slits, short, width, height } = sheet;
      const drawn = relief !== null && slits.length > 0;
      return {
        id: `tape-wrinkle:${i}`,
        code: 'tape-wrinkle',
        case: drawn ? 'slit' : relief ? 'parts' : 'too-broad',
        // Slits put it right where there is room for most of them; where one ends at film, film lies there by itself.
        severity: drawn && slits.length >= ENOUGH * sheet.wanted ? 'fine' : 'look',
        place: { azimuths, slants },
        itemIds: [],
        numbers: {
          needed: needed * 100,
          gives: tapeGive * 100,
          count: slits.length,
          short,
          core: relief?.core ?? 0,
          lap: relief?.lap ?? 0,
          width,
          height,
        },
        names: {},
        // What is of several parts lies flat part by part, each on tape of its own.
        fixes: drawn ? [] : laySingly(job.items, itemsUnder(wrap, sheet)),
      };
    });

/** Items of which some film lies under a sheet. */
function itemsUnder({ pieces }: Pick<Wrap, 'pieces'>, { azimuths, slants }: TapeSheet): ReadonlySet<string> {
  const meets = ([from, to]: readonly [number, number], [low, high]: readonly [number, number]): boolean =>
    to > low && from < high;
  const under = pieces.filter((p) => !p.spare && meets(p.azimuths, azimuths) && meets(p.slants, slants));
  return new Set(under.flatMap(({ itemIds }) => itemIds));
}

/** In words. */
export const sayTapeWrinkle: Sayings = {
  'tape-wrinkle/slit': ({ finding, mm, size, percent, whole }) => [
    `Slit the tape ${whole('count')} times`,
    `In one, the sheet of ${size('width', 'height')} tents: it has to give ${percent('needed')}, tape takes about ${percent('gives')}. The slits are drawn between the pieces${(finding.numbers['short'] ?? 0) > 0 ? `; ${whole('short')} stop short of film` : ''}. Their sides lap by ${mm('lap')} at the edge.`,
  ],
  'tape-wrinkle/parts': ({ size, percent }) => [
    'Lift each part with a tape of its own',
    `One sheet of ${size('width', 'height')} would tent: it has to give ${percent('needed')}, tape takes about ${percent('gives')}.`,
  ],
  'tape-wrinkle/too-broad': ({ size, percent }) => [
    'No tape lies on this in one sheet',
    `${size('width', 'height')} of it has to give ${percent('needed')}, tape takes about ${percent('gives')}, and slits do not save it. Lay the pieces in several lots; only your hands can judge which.`,
  ],
};
