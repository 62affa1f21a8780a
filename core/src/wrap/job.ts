import type { Film } from '../artwork/film.ts';
import type { NameList } from '../artwork/name-list.ts';
import type { ArtworkItem } from '../artwork/item.ts';
import type { Blank, SurfaceKind } from '../blank/blank.ts';
import type { Stack } from '../stack/stack.ts';
import type { Hand } from './place.ts';

/** What becomes of one copy of an item that a seam cuts. */
export interface AtSeam {
  readonly itemId: string;
  readonly copy: number;
  /** Split with its parts lapping, or left off the wrap and cut as a spare to be laid over the seam. */
  readonly do: 'overlap' | 'leave-off';
}

/** How the ends of a wrap, or of its panels, meet. */
export interface Seam {
  /** mm. The right-hand end carries this much more film, to lap over the other; 0 butts them. */
  readonly lapMm: number;
  /** Straight down the side at the back, or wandering between the pieces. */
  readonly way: 'straight' | 'wandering';
  /** How many panels the wrap is divided into, side by side; 1 is a whole wrap. */
  readonly panels: number;
  /** mm that a wandering seam keeps from every piece. */
  readonly clearanceMm: number;
  readonly atSeam: readonly AtSeam[];
}

/** A whole wrap whose ends butt at the back. */
export const PLAIN_SEAM: Seam = { lapMm: 0, way: 'straight', panels: 1, clearanceMm: 1, atSeam: [] };

/** mm that the parts of a piece lap where it is split with an overlap. */
export const SPLIT_OVERLAP_MM = 1;

/** What is done with the film: it stays, or it is a mask through which the blank is worked. */
export type Process = 'decal' | 'strip' | 'etch' | 'blast' | 'paint';

/** What a mask is for until somebody says, by what the blank is made of. */
export const USUAL_PROCESS: Readonly<Record<SurfaceKind, Process>> = {
  glass: 'etch',
  'glazed ceramic': 'paint',
  'bare steel': 'paint',
  'powder-coated steel': 'strip',
  painted: 'paint',
  'raw terracotta': 'paint',
  plastic: 'paint',
  latex: 'paint',
};

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
}

/** Film that the template's length is worked out for: the first that touches the blank. */
export function wrapFilm(job: Pick<Job, 'items' | 'films'>): Film | null {
  const first = job.items[0]?.film;
  return job.films.find((film) => film.id === first) ?? job.films[0] ?? null;
}
