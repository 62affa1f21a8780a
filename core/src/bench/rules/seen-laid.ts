import type { Looked, LookedTent } from '../../model/looked.ts';
import { boxHeight, boxWidth } from '../../plane/box.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { itemName } from '../../proof/finding-names.ts';
import { WAYS_SAID } from '../../proof/findings/wrinkle.ts';
import type { JobFacts } from '../job-facts.ts';

/** Pieces that are told of at most: more are not kept in mind. */
const TOLD = 4;
/** Share of half a piece from its middle within which a spot is in its middle. */
const MIDDLE = 0.3;

/** Tents under which hands should expect air: those that are told and drawn, the tallest first. @param tentPresses mm */
export const airUnder = ({ tents }: Pick<Looked, 'tents'>, tentPresses: number): readonly LookedTent[] =>
  tents.filter(({ heightMm }) => heightMm > tentPresses / 2);

/**
 * What laying the film by computation showed, for the hands: in which order a piece goes on, where to expect that it stands
 * off, and how its slits close. Of an item its worst piece counts; empty where nothing was looked at.
 */
export function seenLaid({ seen, job, mm, tentPresses }: JobFacts): string {
  const worst = new Map<string, JobFacts['seen'][number]>();
  for (const one of seen) {
    const id = one.piece.itemIds[0]!;
    const before = worst.get(id);
    if (!before || one.look.orders[0]!.tallestMm > before.look.orders[0]!.tallestMm) worst.set(id, one);
  }
  const notes = [...worst].flatMap(([id, { piece, look }]): string[] => {
    const best = look.orders[0]!;
    const anyhow = look.orders.every(({ tallestMm, pulled }) => tallestMm <= tentPresses && pulled === 0);
    if (anyhow && !piece.slits) return [];
    const name = itemName({ job }, id)
      .replace(/^the /, '')
      .replace(/^./, (c) => c.toUpperCase());
    const pulled = best.pulled > 0 ? `, pulled evenly by ${(100 * best.pulled).toFixed(1)} % as you go` : '';
    const slits = piece.slits ? ` Close its ${piece.slits.count} slits last, one after the other, each flap on its own.` : ''; // prettier-ignore
    const [tent] = airUnder(look, tentPresses);
    const expect = tent ? ` Expect air ${where(tent, piece)}, where it stands off by up to ${mm(tent.heightMm)}: leave a way out to the edge, and press that down last.` : ''; // prettier-ignore
    return [`${name}: ${WAYS_SAID[best.way]}${pulled}.${slits}${expect}`];
  });
  return notes.slice(0, TOLD).join(' ');
}

/** Where on a piece a tent is, in words. */
function where({ x, y }: LookedTent, { flatBox }: Piece): string {
  const [across, up] = [x / (boxWidth(flatBox) / 2), y / (boxHeight(flatBox) / 2)];
  const side = Math.abs(across) < MIDDLE ? '' : across < 0 ? 'left' : 'right';
  const height = Math.abs(up) < MIDDLE ? '' : up < 0 ? 'lower' : 'upper';
  if (!side && !height) return 'in its middle';
  return side ? `at its ${[height, side].filter(Boolean).join(' ')}` : `at its ${height === 'upper' ? 'top' : 'foot'}`;
}
