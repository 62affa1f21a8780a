/** What is sent to the cutter: one trip, with everything on the board. */
export interface SentLoad {
  /** Chosen by the sender, so that what is sent twice is one load. */
  readonly id: string;
  readonly title: string;
  /** Which project and which of its loads it is. */
  readonly projectId: string;
  readonly number: number;
  readonly board: { readonly label: string; readonly widthMm: number; readonly lengthMm: number };
  /** Film that is to lie on it, mm: from–to along the feed, and how far across. */
  readonly strips: readonly SentStrip[];
  /** Pen movements, one text for each strip, in the order in which they are cut. */
  readonly hpgl: readonly string[];
}

/** A strip of film that is to lie on the board; mm from the load corner. */
export interface SentStrip {
  readonly name: string;
  readonly colour: string;
  /** Along the feed. */
  readonly from: number;
  readonly to: number;
  /** Across it. */
  readonly low: number;
  readonly high: number;
}

/** Where a load is on its way through the cutter. */
export type LoadState = 'waiting' | 'loaded' | 'cutting' | 'stopped' | 'corner test' | 'done' | 'refused' | 'taken out';

/** Why the cutter did not take a load, or stopped; lengths in mm, blades in metres, shares from 0 to 1. */
export type CutterRefusal =
  | { readonly code: 'unreadable'; readonly words: string }
  | { readonly code: 'wider-than-film'; readonly strip: string; readonly reach: number; readonly film: number }
  | { readonly code: 'longer-than-load'; readonly reach: number; readonly most: number }
  | { readonly code: 'too-wide'; readonly width: number; readonly most: number }
  | { readonly code: 'empty-board' }
  | { readonly code: 'worn-blade'; readonly metres: number; readonly most: number }
  /** What it was to cut could not be read after a restart of the server. */
  | { readonly code: 'lost' }
  | { readonly code: 'stopped'; readonly share: number }
  | { readonly code: 'switched-off'; readonly share: number };

/** A load as the cutter knows it. */
export interface CutterLoad extends Omit<SentLoad, 'hpgl'> {
  readonly state: LoadState;
  readonly why: CutterRefusal | null;
  /** Which pass it is, from 1. */
  readonly pass: number;
  /** s of its way that are done, and all of them. */
  readonly doneS: number;
  readonly totalS: number;
  readonly doneMm: number;
  readonly totalMm: number;
  /** ISO. */
  readonly sentAt: string;
  readonly changedAt: string;
}

/** Everything that is known of the cutter. */
export interface CutterState {
  /** Counts what was done: of two states, the one with more is the later. */
  readonly turn: number;
  readonly machine: { readonly widthMm: number; readonly longestMm: number };
  readonly bladeMm: number;
  readonly bladeLastsMm: number;
  /** How many times faster than a real one it works. */
  readonly faster: number;
  /** The one in it first, then those that wait, then those that are over, newest first. */
  readonly loads: readonly CutterLoad[];
  /** What could not be read when the server was started, in words, until somebody has read it. */
  readonly lost?: readonly string[];
}

/** The head while it cuts. */
export interface HeadNews {
  /** The load that it cuts. */
  readonly id: string;
  /** Where it is, mm from the load corner. */
  readonly x: number;
  readonly y: number;
  readonly down: boolean;
  readonly doneS: number;
  readonly doneMm: number;
}

/** Whether a load lies in the cutter. */
export const isInCutter = ({ state }: Pick<CutterLoad, 'state'>): boolean =>
  state === 'loaded' || state === 'cutting' || state === 'stopped' || state === 'corner test';
