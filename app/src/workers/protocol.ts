import type {
  ArtworkItem,
  Backup,
  BackupResult,
  Box,
  CutOptions,
  DrawingResult,
  Film,
  FilmUse,
  JobFile,
  JobSheet,
  KeptFilm,
  Learnt,
  LogbookEntry,
  Looked,
  OwnHabits,
  Accepted,
  OwnLimits,
  OwnWay,
  Paper,
  Raster,
  Project,
  ProjectsPlan,
  Shelves,
  WorkHours,
  SentLoad,
  SlitIn,
  ShownLaying,
  SideOutline,
  StepPicture,
  ToBuy,
  SilhouetteOptions,
  SilhouetteResult,
  Supply,
  GuideStep,
  TogetherPlan,
  TogetherShare,
  TraceOptions,
  Units,
  WayLaid,
  WayToLay,
  OwnFont,
} from '@mivet/core';
import type {
  JudgedViewModel,
  JudgedShape,
  PartsViewModel,
  ProjectViewModel,
  SeenViewModel,
  ShapeViewModel,
  StripViewModel,
} from '@mivet/core';

/** What a font file has to show, before it is kept; SVG path data, y down. */
export interface FontSample {
  readonly name: string;
  readonly joined: boolean;
  /** Letters and figures of everyday use that it lacks. */
  readonly lacks: readonly string[];
  readonly box: Box;
  readonly data: string;
}

/** Progress of a plan while the user watches. */
export interface CloserPart {
  readonly sheet: JobSheet;
  readonly strips: readonly StripViewModel[];
  readonly kept: readonly KeptFilm[];
  readonly tries: number;
}

/** A closer look under way: how far it is, and what was found of a piece, coarsely at first. */
export interface LookPart {
  readonly done: number;
  readonly of: number;
  /** Of the piece that is being looked at. */
  readonly share: number;
  readonly itemId: string;
  readonly found: Looked | null;
  /** Whether that is the last word on this piece. */
  readonly settled: boolean;
}

/** A sheet of film that is laid, to be drawn: coarse at first, then finely. */
export interface LayPart {
  /** x and y by turns, mm; three points to a triangle. */
  readonly flat: Float64Array;
  readonly triangles: Uint32Array;
  readonly outline: SideOutline;
  readonly laying: ShownLaying;
  readonly fine: boolean;
  /** rad; where the middle of it lies. */
  readonly azimuth: number;
  /** Whether its film gives more where it is warmed, as far as that is known. */
  readonly warms: boolean;
  /** Whether it goes on with others, on one sheet of tape. */
  readonly tapes: boolean;
}

/** How far several projects are worked through. */
export interface TogetherPart {
  readonly done: number;
  readonly of: number;
  /** The one that is being worked at. */
  readonly name: string;
}

/** What was learnt from the logbook and accepted, by name. */
export interface OwnLearnt {
  readonly [key: string]: Accepted;
}

/** Which file is asked for. */
export type FileKind =
  | 'bench-card-pdf'
  | 'care-pdf'
  | 'take-along'
  | 'cut'
  | 'all'
  | 'template-pdf'
  | 'fit-pdf'
  | 'bench-pdf'
  | 'proof-pdf'
  | 'template-svg'
  | 'template-dxf';

/** One typed map of worker jobs: name → input and output. */
export interface CoreJobs {
  readonly examine: {
    /** Limits as the person changed them. */
    readonly input: {
      readonly project: Project;
      readonly unit: Units;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
      readonly options?: CutOptions;
      readonly habits?: OwnHabits;
      /** Whether only its shape is wanted, without what is too heavy to be worked out in good time. */
      readonly unjudged?: boolean;
    };
    /** The shape is sent first, as a part; the caller gets both merged. */
    readonly rest: ({ readonly ok: true } & JudgedShape) | Extract<ProjectViewModel, { ok: false }>;
    readonly output: ProjectViewModel;
  };
  /** The findings of a project with those of their fixes that help, each tried. */
  readonly fixes: {
    readonly input: {
      readonly project: Project;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
    };
    readonly output: readonly JudgedViewModel[];
  };
  readonly drawing: {
    /** Text of the file, and the films that its colours are matched to. */
    readonly input: { readonly text: string; readonly films: readonly Film[] };
    readonly output: { readonly result: DrawingResult; readonly matches: readonly (string | null)[] };
  };
  readonly trace: {
    readonly input: { readonly raster: Raster; readonly options: TraceOptions; readonly films: readonly Film[] };
    readonly output: {
      readonly result: DrawingResult;
      readonly threshold: number;
      readonly colours: number;
      readonly matches: readonly (string | null)[];
    };
  };
  /** Pictures of a step on one thing; several are a short loop. */
  readonly stepPictures: {
    readonly input: {
      readonly project: Project;
      readonly unit: Units;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
      readonly habits: OwnHabits;
      readonly stepId: string;
      readonly thingId: string | null;
    };
    readonly output: readonly StepPicture[];
  };
  /** What a logbook teaches. */
  readonly learn: { readonly input: { readonly entries: readonly LogbookEntry[] }; readonly output: readonly Learnt[] };
  /** A shopping list on paper. */
  readonly shopping: {
    readonly input: { readonly title: string; readonly list: readonly ToBuy[]; readonly paper: Paper };
    readonly output: Uint8Array;
  };
  /** A backup as the ZIP that it is written as; tried out by reading it again. */
  readonly packBackup: {
    readonly input: { readonly backup: Backup };
    readonly output: Uint8Array;
  };
  readonly readBackup: {
    readonly input: { readonly bytes: Uint8Array };
    readonly output: BackupResult;
  };
  readonly font: {
    readonly input: { readonly bytes: Uint8Array };
    readonly output: FontSample;
  };
  readonly parts: {
    readonly input: { readonly item: ArtworkItem };
    readonly output: PartsViewModel;
  };
  readonly seen: {
    readonly input: {
      readonly project: Project;
      readonly azimuth: number;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
    };
    /** null when the blank cannot be flattened. */
    readonly output: SeenViewModel | null;
  };
  readonly silhouette: {
    readonly input: { readonly raster: Raster } & SilhouetteOptions;
    readonly output: SilhouetteResult;
  };
  /** A plan that is improved until cancelled; ends by itself only when nothing is left to try. */
  readonly closer: {
    readonly input: CoreJobs['send']['input'] & { readonly seed: number };
    readonly output: null;
  };
  /** Pieces of film laid by computation, one after another; each is told as it is found. */
  readonly look: {
    readonly input: {
      readonly project: Project;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      /** One item; left out, whatever the forecast doubts. */
      readonly itemId?: string;
    };
    readonly output: null;
  };
  /** One piece of an item laid in an order, step by step, to be drawn; null where there is nothing to lay. */
  readonly layFilm: {
    readonly input: {
      readonly project: Project;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly itemId: string;
      readonly way: WayToLay | OwnWay;
      /** Slits that it is laid with, as hairs, and the share of the steps after which they are opened; null as it is cut. */
      readonly slits: (SlitIn & { readonly opens: number }) | null;
      /** Whether all of the item that goes on with that piece is laid on one sheet of tape. */
      readonly taped: boolean;
      /** Degrees by which it is begun askew. */
      readonly askewDeg: number;
      /** Whether careful hands pull it as it is laid. */
      readonly pulled: boolean;
      /** Per cent by which the film gives less. */
      readonly stifferPercent: number;
    };
    readonly output: null;
  };
  /** Ways to lay a side flat, each laid by computation; told one after another. */
  readonly layWays: {
    readonly input: { readonly project: Project; readonly learnt?: OwnLearnt };
    readonly output: null;
  };
  /** What marks on each layer cost, or would cost, mm² of film by the plan; null when they do not fit on its board. */
  readonly marks: {
    readonly input: {
      readonly project: Project;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
    };
    readonly output: readonly { readonly layer: string; readonly mm2: number | null }[];
  };
  /** What a batch takes when everything is cut so many times. */
  readonly batch: {
    readonly input: {
      readonly project: Project;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
      readonly times: readonly number[];
    };
    readonly output: readonly {
      readonly times: number;
      readonly films: readonly FilmUse[];
      readonly tapeMm2: number;
      readonly loads: number;
    }[];
  };
  /** All open projects planned backwards from their hand-overs; those that cannot be examined are named and left out. */
  readonly plan: {
    readonly input: {
      readonly projects: readonly Project[];
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly unit: Units;
      readonly habits: OwnHabits;
      readonly hours: WorkHours;
      readonly shelves: Shelves;
      /** ms since 1970. */
      readonly now: number;
    };
    readonly output: {
      readonly plan: ProjectsPlan;
      readonly leftOut: readonly { readonly project: string; readonly why: string }[];
      /** Films that several projects have yet to be cut from, with the ids of those projects. */
      readonly shared: readonly { readonly film: string; readonly projects: readonly string[] }[];
    };
  };
  /** Several projects laid on common boards. */
  readonly together: {
    readonly input: {
      readonly projects: readonly Project[];
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
      readonly boardId: string;
      readonly unit: Units;
      readonly options: CutOptions;
      readonly habits?: OwnHabits;
    };
    readonly output: {
      readonly together: Omit<TogetherPlan, 'cut'>;
      readonly strips: readonly StripViewModel[];
      readonly shares: readonly TogetherShare[];
      /** One guide for all. */
      readonly guide: readonly GuideStep[];
      /** mm² of transfer tape that lift everything once. */
      readonly tapeMm2: number;
      /** Projects that cannot be cut, and why. */
      readonly leftOut: readonly { readonly projectId: string; readonly why: string }[];
      /** Findings that will fail, of those that can. */
      readonly failing: readonly { readonly projectId: string; readonly count: number }[];
    };
  };
  /** The guide of several projects as a sheet to tick off, PDF. */
  readonly togetherGuide: {
    readonly input: { readonly title: string; readonly steps: readonly GuideStep[]; readonly paper: Paper };
    readonly output: Uint8Array;
  };
  readonly togetherFiles: {
    readonly input: CoreJobs['together']['input'] & {
      readonly title: string;
      readonly format: 'svg' | 'dxf' | 'hpgl';
      readonly singles: boolean;
    };
    readonly output: readonly JobFile[];
  };
  /** Loads as they are sent to a cutter. */
  readonly send: {
    readonly input: {
      readonly project: Project;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
      readonly options: CutOptions & { readonly mirrored: boolean };
    };
    readonly output: readonly Omit<SentLoad, 'id'>[];
  };
  readonly files: {
    readonly input: {
      readonly project: Project;
      readonly unit: Units;
      readonly paper: Paper;
      readonly kind: FileKind;
      readonly limits: OwnLimits;
      readonly learnt?: OwnLearnt;
      readonly supply: Supply;
      /** What is cut besides the pieces, and the format of cut files. */
      readonly options: CutOptions & { readonly mirrored: boolean };
      readonly format: 'svg' | 'dxf' | 'hpgl';
      /** Whether a load is one file, each of its films is one as well, or each film only. */
      readonly singles: 'none' | 'too' | 'only';
      readonly withPieces: boolean;
      readonly habits?: OwnHabits;
    };
    readonly output: readonly JobFile[];
  };
}

/** A request to the worker: a job, or the cancellation of one. */
/** A font of the person's own, in base64. */
export type LentFont = Pick<OwnFont, 'id' | 'data'>;

export type CoreRequest =
  | {
      [K in keyof CoreJobs]: { readonly id: number; readonly job: K; readonly input: CoreJobs[K]['input'] };
    }[keyof CoreJobs]
  | { readonly giveUp: number }
  /** Fonts of the person's own that the database does not keep: for as long as the worker lives. */
  | { readonly lend: readonly LentFont[] };

/** The final reply of a job: its output, or what remains of it after the part that was sent first. */
export type CoreAnswer<K extends keyof CoreJobs> = CoreJobs[K] extends { readonly rest: infer R }
  ? R
  : CoreJobs[K]['output'];

/** The worker's replies. Unknown jobs fail loudly. A part is sent before the rest of its answer. */
export type CoreReply =
  /** The worker has started the job; its time limit counts from here. */
  | { readonly id: number; readonly begun: true }
  | { readonly id: number; readonly part: ShapeViewModel | CloserPart | TogetherPart | LookPart | LayPart | WayLaid }
  | { readonly id: number; readonly ok: true; readonly output: CoreAnswer<keyof CoreJobs> }
  | { readonly id: number; readonly ok: false; readonly message: string; readonly givenUp?: boolean };
