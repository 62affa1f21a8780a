import type { BlankKind, SurfaceKind } from './blank.ts';
import type { FilmFinish } from './film.ts';
import type { FORMAT_VERSION } from './format.ts';
import type { Process } from './job.ts';
import type { ReadingTool } from './reading.ts';

/** What became of what was made; `open` until the person says. */
export type EntryOutcome = 'open' | 'kept' | 'sold' | 'given' | 'redone' | 'binned';

/** What can be wrong with it, by kind. */
export type FaultKind =
  | 'bubble'
  | 'wrinkle'
  | 'lifted edge'
  | 'gap at the seam'
  | 'overlap at the seam'
  | 'torn piece'
  | 'lost piece'
  | 'crooked'
  | 'bleed'
  | 'blotch'
  | 'residue';

/** A fault, where it is on the blank. */
export interface EntryFault {
  readonly kind: FaultKind;
  /** Where round it is: 0 in front, 0.5 at the back, −0.25 a quarter to the left. */
  readonly round: number;
  /** How far down it is: 0 at the rim end of the band, 1 at its base. */
  readonly down: number;
  /** Name of the film; null where that does not matter. */
  readonly film: string | null;
}

/** Work of a kind, all things together. */
export interface EntryWork {
  readonly kind: 'cut' | 'weed' | 'tape' | 'stack' | 'lay' | 'finish';
  /** Minutes that hands were at it. */
  readonly minutes: number;
  /** Pieces and counters that were weeded, pieces that were laid. */
  readonly pieces: number;
  /** Metres that were cut. */
  readonly cutM: number;
  /** Things that it was done on. */
  readonly things: number;
}

/** A film as it was used. */
export interface EntryFilm {
  readonly name: string;
  readonly finish: FilmFinish;
  /** Days since it was bought; null where that is not known. */
  readonly ageDays: number | null;
  /** How the cutter was set; empty where not noted. */
  readonly setting: string;
  /** Whether the test corner came clean with it the first time; null where not answered. */
  readonly clean: boolean | null;
  /** mm² that were cut away from its roll, and of them what lies on things. */
  readonly takenMm2: number;
  readonly laidMm2: number;
}

/** A piece of film that had to be pulled or pushed together, and how it came to lie. */
export interface EntryPull {
  readonly finish: FilmFinish;
  /** Share by which it was pulled longer; below zero, pushed together. */
  readonly share: number;
  readonly flat: boolean;
}

/** A check at the stripper: after how long, and whether the coat lifted. */
export interface EntryDwell {
  readonly minutes: number;
  readonly lifted: boolean;
}

/** What is told of it later. */
export interface EntryReport {
  readonly id: string;
  /** ISO day. */
  readonly day: string;
  readonly after: 'washes' | 'winter' | 'other';
  /** How many washes or winters. */
  readonly count: number;
  readonly held: boolean;
  readonly text: string;
}

/** One line of the logbook: a finished thing, or a batch of them. */
export interface LogbookEntry {
  readonly format: 'mivet-entry';
  readonly version: typeof FORMAT_VERSION;
  readonly id: string;
  /** ISO. When it was finished. */
  readonly at: string;
  readonly changedAt: string;
  readonly title: string;
  /** The project that it is of; null when it was written by hand. */
  readonly projectId: string | null;
  /** How many there are of it, and how many were spoilt on the way. */
  readonly count: number;
  readonly spoilt: number;
  readonly blank: {
    /** The shelf blank that it was made on; null for none. */
    readonly shelfId: string | null;
    readonly name: string;
    readonly kind: BlankKind;
    readonly surface: SurfaceKind;
    readonly colour: string;
    /** mm round it at its rim; null where it has none. */
    readonly girthMm: number | null;
    /** What its girths were read with. */
    readonly tool: ReadingTool | null;
  };
  readonly process: Process;
  readonly films: readonly EntryFilm[];
  /** Transfer tape: how strong, for which time this piece, and whether it still did its work. */
  readonly tape: { readonly tack: 'low' | 'medium' | 'strong'; readonly use: number; readonly held: boolean } | null;
  readonly work: readonly EntryWork[];
  readonly pulls: readonly EntryPull[];
  readonly dwell: readonly EntryDwell[];
  /** mm by which the ends stood apart where they should have met; below zero, by which they overlapped; null not measured. */
  readonly seamGapMm: number | null;
  /** mm by which it came to lie beside where it should; null not measured. */
  readonly placingMm: number | null;
  /** Share by which a balloon's print grew from laying to full size; null not measured. */
  readonly grewShare: number | null;
  readonly faults: readonly EntryFault[];
  readonly outcome: EntryOutcome;
  /** What was got for it, in the person's own currency; null for nothing or not said. */
  readonly price: number | null;
  /** What it cost, with the hours; null where not known. */
  readonly cost: number | null;
  readonly text: string;
  /** Ids of photographs. */
  readonly photos: readonly string[];
  readonly reports: readonly EntryReport[];
  /** ISO day on which to ask how it holds; null for never. */
  readonly askOn: string | null;
}

/** What was learnt and accepted: from how many entries, and when. */
export interface Accepted {
  readonly value: number;
  readonly n: number;
  /** ISO. */
  readonly at: string;
}
