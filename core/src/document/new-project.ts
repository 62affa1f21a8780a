import { NEW_RUN } from '../model/bench-run.ts';
import { PLAIN_STACK } from '../layers/order.ts';
import { STARTING_FILMS } from '../material/film.ts';
import { KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';
import { USUAL_THICKNESS_MM } from '../measure/reading.ts';
import type { BalloonPlan, Blank, BlankKind, FlatteningChoice, Station } from '../model/blank.ts';
import { NOTHING_PLANNED } from '../model/planning.ts';
import type { Project, ShelfBlank, StockDocument } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import type { StockThing } from '../model/stock.ts';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';

/** How a side is flattened until the person chooses. */
export const AS_IT_FALLS: FlatteningChoice = { way: 'best', parts: null, keep: null, patchMm: null, patchUpDeg: 0 };

/** What becomes of a balloon until the person says. Starting values. */
export const USUAL_BALLOON: BalloonPlan = { gas: 'air', hours: 12, shrinkPerDay: 2 };

/** A height of a profile with nothing read yet. */
export function newStation(id: string): Station {
  return {
    id,
    down: { how: 'ruler', takes: [], thicknessMm: 0 },
    girth: { how: 'tape', takes: [], thicknessMm: USUAL_THICKNESS_MM.tape },
  };
}

/** A blank with no readings yet. */
export function newBlank(id: string, kind: BlankKind, name: string): Blank {
  const { usual, round } = KINDS_OF_BLANK[kind];
  return {
    id,
    name,
    kind,
    ...usual,
    readings: {},
    stations: [],
    stationsAlong: 'side',
    flattening: AS_IT_FALLS,
    balloon: USUAL_BALLOON,
    inside: null,
    readingLog: [],
    handleWidthMm: 0,
    handleClearanceMm: 5,
    bandBelowRimMm: round ? 5 : 0,
    rimClearanceMm: 15,
    baseClearanceMm: 5,
    fitCheck: null,
    notes: '',
  };
}

/** A blank put on the shelf. */
export function newShelfBlank(blank: Blank, now: string): ShelfBlank {
  return {
    format: 'mivet-blank',
    version: FORMAT_VERSION,
    blank,
    price: null,
    variantOf: null,
    inStock: null,
    photo: null,
    changedAt: now,
  };
}

/** An empty project for a blank. */
export function newProject(id: string, name: string, blank: Blank, shelfBlankId: string | null, now: string): Project {
  return {
    format: 'mivet-project',
    version: FORMAT_VERSION,
    id,
    name,
    createdAt: now,
    changedAt: now,
    shelfBlankId,
    blank,
    items: [],
    films: STARTING_FILMS,
    hand: 'right',
    process: 'decal',
    warm: false,
    seam: PLAIN_SEAM,
    stack: PLAIN_STACK,
    names: null,
    otherBlanks: [],
    boardId: 'square',
    laid: [],
    accepted: [],
    bench: NEW_RUN,
    handOver: null,
    planning: NOTHING_PLANNED,
    log: [],
  };
}

/** Something put on the stock shelf. */
export const stockDocument = (thing: StockThing, now: string): StockDocument => ({
  format: 'mivet-stock',
  version: FORMAT_VERSION,
  id: thing.id,
  thing,
  changedAt: now,
});
