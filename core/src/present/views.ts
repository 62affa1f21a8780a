import type { PartLabel } from '../cut/part-labels.ts';
import type { FittedName } from '../artwork/name-list.ts';
import type { Thing } from '../bench/job-facts.ts';
import type { BenchStep } from '../bench/step.ts';
import type { Template } from '../flat/template.ts';
import type { JobSheet } from '../load/job-sheet.ts';
import type { ErrorReport } from '../measure/error-report.ts';
import type { ReadingDoubt } from '../measure/doubts.ts';
import type { BlankProblem, BlankSize } from '../measure/size.ts';
import type { KeptFilm, PartOnBoard } from '../model/laid.ts';
import type { PlacingCard } from './placing-card.ts';
import type { PlacedSpot } from '../layout/place.ts';
import type { Box } from '../plane/box.ts';
import type { Finding } from '../proof/finding.ts';
import type { SeamCut } from '../seam/cuts.ts';
import type { StackReport } from '../stack/report.ts';
import type { SurfaceRegion } from '../surface/development.ts';

/** A piece as the views need it: flat outlines as SVG path data (mm, y down) and rings on the unrolled side. */
export interface PieceViewModel {
  readonly id: string;
  readonly spare: boolean;
  /** As it lies on its own sheet; the same as `data` for a wrap in one. */
  readonly sheetData: string;
  readonly itemIds: readonly string[];
  readonly film: string;
  /** Which layer of the stack it is in. */
  readonly layer: string;
  readonly data: string;
  readonly rings: readonly Float64Array[];
  readonly cutAt: 'left' | 'right' | 'both' | null;
  readonly azimuths: readonly [number, number];
  readonly slants: readonly [number, number];
  readonly areaMm2: number;
  /** What it asks of its film against what that gives: 1 is the limit; null where the side does not curve both ways. */
  readonly asks: number | null;
}

/** One flat piece of the template: outlines and marks as SVG path data (mm, y down), with the strain over it. */
export interface PanelViewModel {
  readonly name: string;
  readonly data: string;
  readonly marks: string;
  readonly heat: readonly { readonly data: string; readonly strain: number }[];
  readonly bounds: Box;
}

/** What the shape of a blank is drawn from. */
export type SolidViewModel = Pick<GoodViewModel, 'size' | 'template' | 'meanRadius'>;

/** A name of a list as it was fitted, with what of it lies on the blank. */
export interface NameViewModel {
  readonly rowId: string;
  readonly name: string;
  readonly capMm: number;
  readonly widthMm: number;
  /** Size of its words as they are cut, mm; null when nothing of them is. */
  readonly cutMm: { readonly width: number; readonly height: number } | null;
  readonly overMm: number;
  readonly how: FittedName['how'];
  readonly missing: readonly string[];
  /** Whether it has words of its own that were fitted. */
  readonly worded: boolean;
  /** Another blank that it is made on; null for the job's own, or when that cannot be flattened. */
  readonly solid: SolidViewModel | null;
  /** Whether its blank can be flattened. */
  readonly made: boolean;
  readonly pieces: readonly Pick<PieceViewModel, 'id' | 'film' | 'rings' | 'azimuths'>[];
}

/** An item drawn by itself, part by part; SVG path data, mm, y down. */
export interface PartsViewModel {
  readonly box: Box;
  readonly parts: readonly {
    readonly spot: readonly [number, number];
    readonly data: string;
    readonly dropped: boolean;
  }[];
}

/** One seam with both of its sides brought together; SVG path data, mm, y down. */
export interface SeamViewModel {
  readonly azimuth: number;
  readonly free: boolean;
  readonly cutMm: number;
  readonly wanderMm: number;
  readonly line: string;
  /** What the readings may miss by there, to scale. */
  readonly spread: string;
  readonly pieces: readonly { readonly film: string; readonly data: string }[];
}

/** Where an item sits and how large it is, for the slip and for dragging. */
export interface ItemViewModel {
  readonly itemId: string;
  readonly azimuth: number;
  readonly slant: number;
  /** What is placed and turned: the whole drawing, where it is a colour of one. */
  readonly widthMm: number;
  readonly heightMm: number;
  /** What is cut of one copy, with all colours of its drawing, as it lies: the size that is told. */
  readonly cutMm: { readonly width: number; readonly height: number } | null;
  /** Before it is turned, mm: along its own line and across it. */
  readonly own: { readonly alongMm: number; readonly acrossMm: number };
  readonly slants: readonly [number, number] | null;
  readonly copies: readonly number[];
  /** Each copy of a scatter as it lies; null for all else. */
  readonly spots: readonly PlacedSpot[] | null;
  /** How many copies are left off at an edge, to be laid by hand. */
  readonly leftOff: number;
  readonly rigidSag: number;
  readonly capHeight: number | null;
  readonly ringRoom: number | null;
}

/** A finding with whether, and why, it was accepted. */
export interface JudgedViewModel {
  readonly finding: Finding;
  readonly acceptedFor: string | null;
  /** Whether what would mend it is still being tried: until then no fix is offered. */
  readonly trying?: boolean;
}

/** A part on a strip of film, by itself, so that it can be moved. */
export interface StripPart {
  readonly part: string;
  readonly matrix: PartOnBoard['matrix'];
  readonly fixed: boolean;
  /** Its outlines, thinned, and its box on its template, mm. */
  readonly rings: readonly Float64Array[];
  readonly box: Box;
}

/** A strip of film in a load, with the cut lines of all that is on it, SVG path data in board mm (y down). */
export interface StripViewModel {
  readonly load: number;
  /** Name of its cut file, without its ending. */
  readonly file: string;
  readonly film: string;
  /** The strip of film on the board, mm. */
  readonly from: number;
  readonly to: number;
  readonly across: number;
  /** What is cut from it: the whole wrap, or panels, names, spares. */
  readonly parts: readonly StripPart[];
  /** Which strip of its film it is, from 0. */
  readonly lot: number;
  /** The offcut that it is, and its outline where that is no rectangle. */
  readonly offcut: string | null;
  readonly outline: string | null;
  readonly data: string;
  /** Names of its parts, where they lie on the board (y up). */
  readonly labels: readonly PartLabel[];
  /** What is cut besides the pieces: test mark and weeding lines. */
  readonly extras: string;
  /** Whether a test mark was wanted and found no room. */
  readonly noMark: boolean;
  /** How far the blade goes, mm, and about how long that takes, s. */
  readonly cutMm: number;
  readonly seconds: number;
}

/** What follows from readings and artwork alone: there first, before anything is judged. */
export interface ShapeViewModel {
  readonly size: BlankSize;
  readonly errors: ErrorReport;
  readonly template: Template;
  readonly outlineData: string;
  /** Reach of the whole band as one flat, and its box, mm. */
  readonly band: { readonly region: SurfaceRegion; readonly bounds: Box };
  readonly panels: readonly PanelViewModel[];
  readonly meanRadius: number;
  /** Radius of the side at even steps from the rim edge to the base edge, mm. */
  readonly radii: readonly number[];
  readonly items: readonly ItemViewModel[];
  readonly pieces: readonly PieceViewModel[];
  readonly seams: readonly SeamViewModel[];
  /** Seams as they lie on the flat of the whole band. */
  readonly seamLines: string;
  /** Whether the artwork lies on the sheets that are printed. */
  readonly onSheets: boolean;
  /** Whether the one sheet is the flat of the whole band, unturned. */
  readonly asBand: boolean;
  readonly cuts: readonly SeamCut[];
  /** Slits in the transfer tape, on the flat of the whole band; empty where tape lies by itself. */
  readonly tapeSlits: string;
  readonly doubts: readonly ReadingDoubt[];
}

/** What follows from the shape: what is cut, on which boards, what was found, what is done. */
export interface JudgedShape {
  readonly names: readonly NameViewModel[];
  readonly sheet: JobSheet;
  readonly stack: StackReport;
  /** Registration marks of a wrap in one, layer by layer; SVG path data on the flat. */
  readonly marks: readonly { readonly film: string; readonly layer: string; readonly data: string }[];
  readonly strips: readonly StripViewModel[];
  /** How the films lie, to be kept so. */
  readonly laidAs: readonly KeptFilm[];
  /** mm² of transfer tape that lift everything that is cut. */
  readonly tapeMm2: number;
  readonly findings: readonly JudgedViewModel[];
  readonly steps: readonly BenchStep[];
  /** Everything that is made, one by one. */
  readonly things: readonly Thing[];
  /** Where figures that are laid one by one go; null where nothing is. */
  readonly placing: PlacingCard | null;
  /** What was left out of the picture when it was not judged, in words; null when it was. */
  readonly unjudged: string | null;
}

/** Everything that the screens show of a project; plain data, made in the worker. */
export type ProjectViewModel =
  | ({ readonly ok: true } & ShapeViewModel & JudgedShape)
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/** A picture that could be made. */
export type GoodViewModel = Extract<ProjectViewModel, { ok: true }>;

/** What an eye sees of the blank from one side; SVG path data, mm at the axis, y down. */
export interface SeenViewModel {
  readonly body: string;
  readonly lines: string;
  readonly handle: string | null;
  readonly pieces: readonly { readonly film: string; readonly data: string }[];
  /** Parts at the edges that look narrower than a share of what the middle does. */
  readonly narrow: readonly { readonly share: number; readonly data: string }[];
  readonly box: Box;
  /** mm along the side that one sees in a glance half-way down; null on a face, which is seen whole. */
  readonly widest: number | null;
}
