import { laidAs } from '../layers/layer.ts';
import type { Film } from '../model/film.ts';
import type { Supply } from '../model/stock.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import type { Box } from '../plane/box.ts';
import { joinBoxes } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import { lotsOf, NO_STOCK } from './supply.ts';

/** What is laid of one film as one: a wrap, a panel, the pieces of a name, the spares; as it sits on its template. */
export interface FilmBlock {
  readonly film: string;
  /** Which sheet of the film it is: empty for a whole wrap, otherwise a panel, band or gore, or the spares; see `laidAs`. */
  readonly part: string;
  /** Box round the pieces on the flat template, mm. */
  readonly box: Box;
  /** Outlines of the pieces, mm; left out, the box stands for them. */
  readonly rings?: readonly Ring[];
  /** Whether the film has a direction, so that it is only turned by halves. */
  readonly directional?: boolean;
}

/** What is laid of each film as one, part by part. */
export function blocksOf(
  pieces: readonly CuttablePiece[],
  films: readonly Film[],
  supply: Supply = NO_STOCK,
): FilmBlock[] {
  const blocks = new Map<string, FilmBlock>();
  for (const piece of pieces) {
    const film = films.find((f) => f.id === piece.film);
    if (!film) continue;
    const part = laidAs(piece);
    const key = `${film.id}|${part}`;
    const block = blocks.get(key);
    blocks.set(key, {
      film: film.id,
      part,
      box: block ? joinBoxes(block.box, piece.flatBox) : piece.flatBox,
      rings: [...(block?.rings ?? []), piece.flat.outer, ...piece.flat.holes],
      // Metallised film shimmers another way when it is turned a quarter.
      directional: film.finish === 'metallised' || lotsOf(supply, film.id).some((lot) => lot.directional),
    });
  }
  return [...blocks.values()];
}
