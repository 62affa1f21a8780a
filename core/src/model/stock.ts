import type { Board, CutterPace } from './board.ts';
import type { Film } from './film.ts';

/** Film in sheets or on a roll, bought at one time. */
export interface StockFilm {
  readonly kind: 'film';
  readonly id: string;
  readonly film: Film;
  readonly form: 'sheet' | 'roll';
  /** mm across; of a sheet, its shorter side. */
  readonly widthMm: number;
  /** mm. Of a sheet its longer side, of a roll what is left on it. */
  readonly lengthMm: number;
  /** Sheets that are left; of a roll 1, or 0 when it is used up. */
  readonly count: number;
  /** What a sheet, or the whole roll, cost; null when not noted. */
  readonly price: number | null;
  /** mm that the roll was long when it was bought; of a sheet its length. */
  readonly boughtLengthMm: number;
  /** ISO day; null when not known. */
  readonly boughtOn: string | null;
  /** Whether it has a direction, so that it is not turned a quarter. */
  readonly directional: boolean;
  /** Whether a clear sheet lies over it that has to be off before it is cut. */
  readonly coverSheet: boolean;
  /** Sheets, or mm of roll, below which it runs low; null not to be told. */
  readonly lowAt: number | null;
  /** How each cutter is set for it, in the person's own words. */
  readonly settings: readonly { readonly cutter: string; readonly words: string }[];
  readonly notes: string;
}

/** A usable leftover of film. */
export interface Offcut {
  readonly kind: 'offcut';
  readonly id: string;
  readonly film: Film;
  readonly widthMm: number;
  readonly lengthMm: number;
  /** Its true outline where it is no rectangle, x and y in mm from its corner; null for a rectangle. */
  readonly outline: readonly number[] | null;
  /** ISO day on which the film was bought; null when not known. */
  readonly boughtOn: string | null;
  readonly directional: boolean;
  /** What it cost by its share of what it was cut from; null when not known. */
  readonly worth: number | null;
  readonly notes: string;
}

/** Transfer tape. */
export interface StockTape {
  readonly kind: 'tape';
  readonly id: string;
  readonly name: string;
  readonly tack: 'clear strong' | 'clear medium' | 'clear used' | 'paper low-tack' | 'painter’s strips';
  readonly widthMm: number;
  /** mm left on the roll. */
  readonly lengthMm: number;
  readonly boughtLengthMm: number;
  readonly price: number | null;
  /** How often a piece of it is used before it is thrown away. */
  readonly uses: number;
  readonly lowAt: number | null;
  readonly notes: string;
}

/** A cutter by what it takes. Parameters only, no makes. */
export interface StockCutter {
  readonly kind: 'cutter';
  readonly id: string;
  /** What it takes with a board, or with backed film without one. */
  readonly board: Board;
  readonly onBoard: boolean;
  readonly pace: CutterPace;
  /** mm that its blade has cut, and that one lasts. */
  readonly bladeMm: number;
  readonly bladeLastsMm: number;
  readonly notes: string;
}

/** Some blanks of a kind, by the id that it has on the shelf. */
export interface CountedBlank {
  readonly id: string;
  readonly name: string;
  readonly count: number;
}

/** A thing on the shelf that a booking changes. */
export type BookedThing = StockFilm | Offcut | StockTape | StockCutter;

/** What one of several projects that were cut together had of it. */
export interface BookedShare {
  readonly projectId: string;
  readonly title: string;
  readonly cutMm: number;
  /** Film by film, mm² by its share of the pieces, and what that cost. */
  readonly used: readonly { readonly film: Film; readonly areaMm2: number; readonly cost: number | null }[];
}

/** What was taken off the stock for a job, and what was born; it can be put back. */
export interface Booking {
  readonly kind: 'booking';
  readonly id: string;
  /** ISO. */
  readonly at: string;
  readonly projectId: string;
  readonly title: string;
  /** Film by film, mm² that were taken for good, and what that cost. */
  readonly used: readonly { readonly film: Film; readonly areaMm2: number; readonly cost: number | null }[];
  /** Who had what of it, where several projects were cut together; left out for one. */
  readonly shares?: readonly BookedShare[] | undefined;
  readonly loads: number;
  readonly cutMm: number;
  /** Blanks that were counted off the shelf; left out where none was. */
  readonly blanks?: readonly CountedBlank[] | undefined;
  /** Things as they were, for taking it back. */
  readonly before: readonly BookedThing[];
  /** The same things and the new ones as they became; what is not among them was used up. */
  readonly after: readonly BookedThing[];
}

/** Anything on the stock shelf. */
export type StockThing = StockFilm | Offcut | StockTape | StockCutter | Booking;

/** What a plan may be made from. */
export interface Supply {
  readonly films: readonly StockFilm[];
  readonly offcuts: readonly Offcut[];
  readonly cutters: readonly StockCutter[];
  /** ISO day, for what grows old. */
  readonly today: string;
}
