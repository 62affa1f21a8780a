import { PLAIN_STACK } from '../src/layers/order.ts';
import type { ArtItem, MotifItem, TextItem } from '../src/model/item.ts';
import { STARTING_FILMS } from '../src/material/film.ts';
import type { Blank, ReadingName } from '../src/model/blank.ts';
import { AS_IT_FALLS, USUAL_BALLOON } from '../src/document/new-project.ts';
import { ANYWHERE, PLAIN_LINES } from '../src/artwork/new-item.ts';
import type { Reading } from '../src/model/reading.ts';
import type { Job } from '../src/model/job.ts';
import { PLAIN_SEAM } from '../src/seam/plain-seam.ts';

/** A reading with no tape to take off, so that worked figures stay round. */
export const bare = (mm: number, how: Reading['how'] = 'tape'): Reading => ({
  how,
  takes: [{ typed: String(mm), mm }],
  thicknessMm: 0,
});

/** A blank with bare readings; tapered when a base girth is given. */
export function makeBlank(readings: { [name in ReadingName]?: number }, more: Partial<Blank> = {}): Blank {
  return {
    id: 'blank-1',
    name: 'Test cup',
    kind: readings.girthBase === undefined ? 'straight' : 'tapered',
    surface: 'bare steel',
    colour: '#c9cdd0',
    readings: Object.fromEntries(Object.entries(readings).map(([name, mm]) => [name, bare(mm)])),
    inside: null,
    handleWidthMm: 0,
    handleClearanceMm: 5,
    bandBelowRimMm: 5,
    rimClearanceMm: 15,
    baseClearanceMm: 5,
    stations: [],
    stationsAlong: 'side',
    flattening: AS_IT_FALLS,
    balloon: USUAL_BALLOON,
    readingLog: [],
    fitCheck: null,
    notes: '',
    ...more,
  };
}

/** A profile by girths at distances along its side, mm. */
export const makeProfile = (stations: readonly (readonly [number, number])[], more: Partial<Blank> = {}): Blank =>
  makeBlank(
    {},
    {
      kind: 'profile',
      stations: stations.map(([down, girth], i) => ({ id: `s${i}`, down: bare(down, 'ruler'), girth: bare(girth) })),
      ...more,
    },
  );

export const tumbler = (more: Partial<Blank> = {}): Blank =>
  makeBlank({ girthRim: 276, girthBase: 214, side: 168 }, more);
export const mug = (more: Partial<Blank> = {}): Blank =>
  makeBlank({ girthRim: 258, side: 92 }, { handleWidthMm: 24, surface: 'glazed ceramic', ...more });

const base = { film: 'deep-water', ...ANYWHERE } as const;

export const textItem = (text: string, more: Partial<TextItem> = {}): TextItem => ({
  ...base,
  id: 'text-1',
  type: 'text',
  running: 'level',
  text,
  font: 'condensed',
  size: { by: 'cap', mm: 18 },
  letterGapMm: 0,
  gapsAtMm: 18,
  ...PLAIN_LINES,
  ring: null,
  ...more,
});

export const motifItem = (motif: MotifItem['motif'], more: Partial<MotifItem> = {}): MotifItem => ({
  ...base,
  id: 'motif-1',
  type: 'motif',
  running: 'round',
  motif,
  widthMm: 30,
  heightMm: null,
  ...more,
});

export const wave = (count: number, more: Partial<MotifItem> = {}): MotifItem =>
  motifItem('wave', {
    id: 'wave-1',
    repeat: { mode: 'joined', count },
    heightMm: 40,
    placement: { ...base.placement, from: 'base', mm: 12 },
    ...more,
  });

export const makeJob = (blank: Blank, items: Job['items'], more: Partial<Job> = {}): Job => ({
  blank,
  items,
  films: STARTING_FILMS.map((film) => ({ ...film, thicknessMm: 0 })),
  hand: 'right',
  process: 'decal',
  warm: false,
  seam: PLAIN_SEAM,
  stack: PLAIN_STACK,
  names: null,
  otherBlanks: [],
  ...more,
});

/** A plain rectangle of film, as a drawing of one colour. */
export const plate = (id: string, widthMm: number, heightMm: number, more: Partial<ArtItem> = {}): ArtItem => ({
  ...base,
  id,
  type: 'art',
  running: 'level',
  name: 'Plate',
  setId: id,
  colour: '#000000',
  pathData: `M${-widthMm / 2} ${-heightMm / 2}H${widthMm / 2}V${heightMm / 2}H${-widthMm / 2}Z`,
  drawn: { widthMm, heightMm },
  widthMm,
  heightMm: null,
  source: '',
  rights: 'own',
  ...more,
});
