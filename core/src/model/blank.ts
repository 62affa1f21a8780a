import type { FitCheck } from './fit-check.ts';
import type { Reading, ReadingTool } from './reading.ts';

/** Kinds of blank. The first three are round with a seam; film on the others is seen as a face. */
export type BlankKind = 'straight' | 'tapered' | 'profile' | 'ball' | 'balloon' | 'lid' | 'flat' | 'box';

/** A face of a box as it stands closed before one. */
export type BoxFace = 'lid' | 'front' | 'back' | 'left' | 'right' | 'base';

/** What a blank is made of where the film goes. */
export type SurfaceKind =
  | 'glass'
  | 'glazed ceramic'
  | 'bare steel'
  | 'powder-coated steel'
  | 'painted'
  | 'raw terracotta'
  | 'plastic'
  | 'latex';

/** What is done to a blank before film goes on. */
export type BeforeFilm = 'soak a label' | 'lift a sticker' | 'paint outside' | 'paint inside';

/** Names of the readings that a blank may carry. */
export type ReadingName =
  | 'girthRim'
  | 'girthBase'
  | 'side'
  | 'upright'
  | 'acrossRim'
  | 'girth'
  | 'overCrown'
  | 'across'
  | 'hole'
  | 'holeIn'
  | 'width'
  | 'height'
  | 'depth';

/** One height at which the girth of a profile is read. */
export interface Station {
  readonly id: string;
  /** Distance below the first station, along the side or upright; no goes while it was not read. */
  readonly down: Reading;
  readonly girth: Reading;
}

/** How the person wants a side flattened that film cannot follow exactly. */
export interface FlatteningChoice {
  readonly way: 'best' | 'band' | 'bands' | 'gores' | 'patch';
  /** Bands or gores; null lets the film decide. */
  readonly parts: number | null;
  /** Part of the side that the band covers, mm along it from the first station; null for all of it. */
  readonly keep: readonly [number, number] | null;
  /** mm across a patch; null for the widest that lies flat. */
  readonly patchMm: number | null;
  /** Degrees by which a patch's middle lies above the widest girth. */
  readonly patchUpDeg: number;
}

/** Film that lies on the inside of a glass or bowl. */
export interface InsideFilm {
  /** Where tape or strip lay for the girths: pressed against the inside, or round the outside. */
  readonly read: 'inside' | 'outside';
  /** mm. Thickness of the wall; counts for girths that were read outside. */
  readonly wallMm: number;
}

/** What a straight side looks like from above, where it is not round; mm. */
export interface BlankSection {
  readonly shape: 'oval' | 'rounded';
  /** Across the front, and from front to back. */
  readonly widthMm: number;
  readonly depthMm: number;
}

/** What becomes of a balloon until it is handed over. */
export interface BalloonPlan {
  readonly gas: 'air' | 'helium';
  /** Hours from the laying of the film to the hand-over. */
  readonly hours: number;
  /** Girth that it loses in a day, per cent. */
  readonly shrinkPerDay: number;
}

/** One line of the log of readings: what was typed, when, and whether it was taken or taken out. */
export interface ReadingLogLine {
  /** ISO. */
  readonly at: string;
  /** Name of the reading, or of the station and which of its two. */
  readonly of: string;
  readonly did: 'taken' | 'taken out';
  readonly typed: string;
  readonly mm: number;
  readonly how: ReadingTool;
}

/** The undecorated thing, by its readings. */
export interface Blank {
  readonly id: string;
  readonly name: string;
  readonly kind: BlankKind;
  readonly surface: SurfaceKind;
  /** CSS colour that the blank is drawn in. */
  readonly colour: string;
  readonly readings: { readonly [name in ReadingName]?: Reading | undefined };
  /** Heights of a profile, from the rim end down; empty for the other kinds. */
  readonly stations: readonly Station[];
  /** Whether the stations' heights were read along the side or upright. */
  readonly stationsAlong: 'side' | 'upright';
  readonly flattening: FlatteningChoice;
  readonly balloon: BalloonPlan;
  /** Of a straight side that is not round; left out, it is. */
  readonly section?: BlankSection | undefined;
  /** Of a box: the face that film goes on; left out, its lid. */
  readonly face?: BoxFace | undefined;
  /** mm across a metal cap, loop or stem that sits on top of a ball; left out, film may go there. */
  readonly capMm?: number | undefined;
  /** What is done to it before film goes on; left out, nothing but cleaning. */
  readonly before?: BeforeFilm | undefined;
  /** Set when film goes on the inside; null for the outside. */
  readonly inside: InsideFilm | null;
  /** Reading history, the oldest first. */
  readonly readingLog: readonly ReadingLogLine[];
  /** Width of the handle where it meets the side, mm; 0 for none. */
  readonly handleWidthMm: number;
  /** Film keeps this far from the handle, mm. */
  readonly handleClearanceMm: number;
  /** The band starts this far below the drinking edge, mm. */
  readonly bandBelowRimMm: number;
  /** Film keeps this far from the drinking edge, mm. */
  readonly rimClearanceMm: number;
  /** Film keeps this far from the base end of the band, and from the edge of a face, mm. */
  readonly baseClearanceMm: number;
  /** The last paper fit check, if one was made. */
  readonly fitCheck: FitCheck | null;
  readonly notes: string;
}
