import { STARTING_FILMS } from '../artwork/film.ts';
import type { MotifItem, TextItem } from '../artwork/item.ts';
import type { MotifId } from '../artwork/motifs/index.ts';
import { MOTIFS } from '../artwork/motifs/index.ts';
import type { Blank, BlankKind } from '../blank/blank.ts';
import type { Project, ShelfBlank } from './project.ts';
import { FORMAT_VERSION } from './project.ts';

/** A blank with no readings yet. */
export function newBlank(id: string, kind: BlankKind, name: string): Blank {
  return {
    id,
    name,
    kind,
    surface: kind === 'straight' ? 'glazed ceramic' : 'bare steel',
    colour: kind === 'straight' ? '#F2F0EA' : '#C6CBCE',
    readings: {},
    handleWidthMm: 0,
    handleClearanceMm: 5,
    bandBelowRimMm: 5,
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
    seam: { lapMm: 0 },
    boardId: 'square',
    accepted: [],
    bench: { doneSteps: [], waitsUntil: {} },
    log: [],
  };
}

const anywhere = {
  placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
  repeat: { mode: 'once', count: 1 },
  fuse: true,
  keepTogether: null,
  mirrored: false,
} as const;

/** Text in the middle of the band, in front, level. */
export function newText(id: string, text: string, film: string): TextItem {
  return {
    ...anywhere,
    id,
    type: 'text',
    film,
    running: 'level',
    text,
    font: 'condensed',
    size: { by: 'cap', mm: 16 },
    letterGapMm: 0,
  };
}

/** A motif in the middle of the band; one that joins runs round it, seven times. */
export function newMotif(id: string, motif: MotifId, film: string): MotifItem {
  const joins = MOTIFS[motif].joins;
  return {
    ...anywhere,
    id,
    type: 'motif',
    film,
    running: joins ? 'round' : 'rigid',
    motif,
    widthMm: motif === 'oar' ? 9 : 30,
    heightMm: joins ? 24 : null,
    repeat: joins ? { mode: 'joined', count: 7 } : anywhere.repeat,
    placement: joins ? { ...anywhere.placement, from: 'base', mm: 12 } : anywhere.placement,
  };
}
