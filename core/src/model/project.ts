import type { BenchRun } from './bench-run.ts';
import type { Habits } from './habits.ts';
import type { Blank } from './blank.ts';
import type { KeptDrawing } from './drawing.ts';
import type { Accepted, LogbookEntry } from './entry.ts';
import type { Provenance } from './item.ts';
import type { Job } from './job.ts';
import type { KeptFilm } from './laid.ts';
import type { Looked } from './looked.ts';
import type { LogEntry } from './log-entry.ts';
import type { FORMAT_VERSION } from './format.ts';
import type { HandOver, Planning, WorkHours } from './planning.ts';
import type { StockThing } from './stock.ts';

/** A finding that the person has looked at and lives with. */
export interface Acceptance {
  readonly findingId: string;
  readonly reason: string;
  /** The finding's numbers as they were accepted; it returns when they change. */
  readonly signature: string;
}

/** The one document of a job. Everything that can be worked out from it is, and is not kept. */
export interface Project extends Job {
  readonly format: 'mivet-project';
  readonly version: typeof FORMAT_VERSION;
  readonly id: string;
  readonly name: string;
  /** ISO. */
  readonly createdAt: string;
  readonly changedAt: string;
  /** Shelf blank that the snapshot was taken from, if any. */
  readonly shelfBlankId: string | null;
  readonly boardId: string;
  /** How films were laid on boards by hand or while somebody watched; used as long as the same is cut. */
  readonly laid: readonly KeptFilm[];
  /** What laying its film by computation showed; counts as long as the same is laid on the same. */
  readonly looked?: readonly Looked[] | undefined;
  readonly accepted: readonly Acceptance[];
  readonly bench: BenchRun;
  /** When it has to be done; null while nobody waits for it. */
  readonly handOver: HandOver | null;
  readonly planning: Planning;
  readonly log: readonly LogEntry[];
  /** What of the person's own it was made with, fonts that do not ship with Mivet, limits, and the stock that it is planned from; only in files, so that they read alike elsewhere. */
  readonly carried?:
    | {
        readonly fonts: readonly OwnFont[];
        readonly limits: OwnLimits;
        readonly stock: readonly StockThing[];
        readonly habits?: OwnHabits | undefined;
      }
    | undefined;
}

/** Limits that the person changed, by name, in the units of the table of limits. */
export interface OwnLimits {
  readonly [id: string]: number;
}

/** What a person does otherwise than everybody begins; what is not there is as usual. */
export type OwnHabits = { readonly [K in keyof Habits]?: Habits[K] | undefined };

/** A photograph that was taken at the bench. */
export interface BenchPhoto {
  readonly id: string;
  readonly projectId: string;
  /** ISO. */
  readonly at: string;
  /** A small picture as a data URL. */
  readonly data: string;
}

/** A font that the person brought. */
export interface OwnFont extends Provenance {
  readonly format: 'mivet-font';
  readonly version: typeof FORMAT_VERSION;
  readonly id: string;
  readonly name: string;
  /** The font file, base64. */
  readonly data: string;
  readonly keptAt: string;
}

/** A drawing that the person keeps, to be placed again. */
export interface OwnMotif extends Provenance, KeptDrawing {
  readonly format: 'mivet-motif';
  readonly version: typeof FORMAT_VERSION;
  readonly id: string;
  readonly name: string;
  readonly keptAt: string;
}

/** A blank on the shelf. */
export interface ShelfBlank {
  readonly format: 'mivet-blank';
  readonly version: typeof FORMAT_VERSION;
  readonly blank: Blank;
  /** What one costs, in the user's own currency; null when not noted. */
  readonly price: number | null;
  /** The shelf blank that this one is another colour of; they share their readings. */
  readonly variantOf: string | null;
  /** How many are in stock; null when not counted. */
  readonly inStock: number | null;
  /** A small photograph as a data URL. */
  readonly photo: string | null;
  readonly changedAt: string;
}

/** Something on the stock shelf: film, an offcut, tape, a cutter, or what was booked. */
export interface StockDocument {
  readonly format: 'mivet-stock';
  readonly version: typeof FORMAT_VERSION;
  /** That of the thing. */
  readonly id: string;
  readonly thing: StockThing;
  readonly changedAt: string;
}

/** Everything of a person's in one file. */
export interface Backup {
  readonly format: 'mivet-backup';
  readonly version: typeof FORMAT_VERSION;
  readonly writtenAt: string;
  readonly projects: readonly Project[];
  readonly shelf: readonly ShelfBlank[];
  readonly fonts: readonly OwnFont[];
  readonly motifs: readonly OwnMotif[];
  readonly stock: readonly StockDocument[];
  readonly limits: OwnLimits;
  /** Kept copies of projects, oldest first. */
  readonly copies: readonly KeptCopy[];
  readonly settings: OwnSettings;
  /** Photographs that were taken at the bench. */
  readonly photos: readonly BenchPhoto[];
  /** The logbook. */
  readonly entries: readonly LogbookEntry[];
  /** What this program could not read, as it was found: it is carried along, and never left out in silence. */
  readonly unreadable: readonly Unreadable[];
}

/** A project as it was at some time. */
export interface KeptCopy {
  /** ISO. */
  readonly at: string;
  readonly document: Project;
}

/** Goes at each exercise, the latest last: when, the score out of 100, and which of its tasks it was. */
export interface Practised {
  readonly [exercise: string]: readonly { readonly at: string; readonly score: number; readonly task: number }[];
}

/** How a person works: units, paper, light, board, tape, rates, cut files. What is not there stays as it is. */
export interface OwnSettings {
  readonly unit?: 'mm' | 'in' | undefined;
  readonly inches?: 'fractions' | 'decimals' | undefined;
  readonly paper?: 'a4' | 'letter' | undefined;
  readonly theme?: 'light' | 'dim' | 'system' | undefined;
  readonly boardId?: string | undefined;
  readonly useOffcuts?: boolean | undefined;
  readonly tapeId?: string | undefined;
  readonly habits?: OwnHabits | undefined;
  /** When hands are free. */
  readonly hours?: WorkHours | undefined;
  /** What was learnt from the logbook and accepted, by name. */
  readonly learnt?: { readonly [key: string]: Accepted } | undefined;
  /** How exercises went, by their id. */
  readonly practised?: Practised | undefined;
  /** Boxes that words are fitted into, by name. */
  readonly boxes?: readonly KeptBox[] | undefined;
  readonly rates?: { readonly [name: string]: number | undefined } | undefined;
  readonly cutting?:
    | {
        readonly format?: 'svg' | 'dxf' | 'hpgl' | undefined;
        readonly overcutMm?: number | undefined;
        readonly weedingMm?: number | undefined;
        readonly testMark?: boolean | undefined;
      }
    | undefined;
}

/** A box that words are fitted into, kept under a name. */
export interface KeptBox {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Where records are kept. */
export type RecordStore = 'projects' | 'shelf' | 'fonts' | 'motifs' | 'stock' | 'entries' | 'copies';

/** A record that cannot be read: damaged, or written by a newer program. */
export interface Unreadable {
  readonly store: RecordStore;
  readonly id: string;
  /** What it calls itself, as far as that can be told. */
  readonly name: string;
  /** Why not, in words. */
  readonly why: string;
  readonly raw: unknown;
}
