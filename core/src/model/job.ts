import type { Blank } from './blank.ts';
import type { Film } from './film.ts';
import type { ArtworkItem } from './item.ts';
import type { NameList, RowDrawing } from './names.ts';
import type { Seam } from './seam.ts';
import type { Stack } from './stack.ts';

/** What is done with the film: it stays, or it is a mask through which the blank is worked. */
export type Process = 'decal' | 'strip' | 'etch' | 'blast' | 'paint';

/** Everything that decides which pieces of film are cut: the part of a project that geometry is derived from. */
export interface Job {
  readonly blank: Blank;
  readonly items: readonly ArtworkItem[];
  readonly films: readonly Film[];
  readonly hand: Hand;
  readonly process: Process;
  /** Whether film is warmed while it is laid, so that it stretches further. */
  readonly warm: boolean;
  readonly seam: Seam;
  /** How its films are built up. */
  readonly stack: Stack;
  /** Names that it is made for; null for one of a kind. */
  readonly names: NameList | null;
  /** Blanks that some of the names are made on, besides the job's own. */
  readonly otherBlanks: readonly Blank[];
  /** Drawings that some of them have in place of an item; left out, none. */
  readonly rowDrawings?: readonly RowDrawing[] | undefined;
}

/** Which hand holds a blank with a handle. */
export type Hand = 'right' | 'left';
