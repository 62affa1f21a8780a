import type { JobSheet } from '../load/job-sheet.ts';
import type { Materials } from '../material/materials.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import { rimLineOf } from '../measure/zones.ts';
import { formatLength, type Units } from '../measure/length.ts';
import type { Blank } from '../model/blank.ts';
import type { Habits } from '../model/habits.ts';
import type { Hand, Job } from '../model/job.ts';
import type { Supply } from '../model/stock.ts';
import { seenOf, type SeenPiece } from '../film/of-piece.ts';
import type { Looked } from '../model/looked.ts';
import { USUAL_LIMITS } from '../proof/limits.ts';
import { layersOfAll, type Make } from '../pieces/batch.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { layerOf } from '../layers/layer.ts';
import type { LayerWork, MadeThing, PlacedFigure } from './facts.ts';
import { countOf, coverage, figuresOf, layerWork, madeOf, WRAP_SHARE } from './facts.ts';
import { USUAL_HABITS } from './schools.ts';

/** One of the things that are made. */
export interface Thing {
  readonly id: string;
  /** What it is called on the list; empty without one. */
  readonly name: string;
  /** The row of the list that it is of; null without one. */
  readonly row: string | null;
  /** Whose hand it is for, where that differs from the job's. */
  readonly hand: Hand | null;
}

/** Things that are made on the same blank, for the same hand and of the same artwork. */
export interface MadeAlike {
  readonly blank: Blank;
  readonly wrap: Wrap;
  readonly pieces: readonly Piece[];
  /** Their names on the list; empty without one. */
  readonly names: readonly string[];
  readonly things: readonly Thing[];
  readonly count: number;
}

/** Everything that the rules of the guide ask. */
export interface JobFacts {
  readonly job: Job;
  readonly wrap: Wrap;
  readonly sheet: JobSheet;
  readonly unit: Units;
  readonly materials: Materials;
  readonly blank: Blank;
  readonly made: readonly MadeThing[];
  readonly alike: readonly MadeAlike[];
  /** How many things are made. */
  readonly count: number;
  readonly things: readonly Thing[];
  /** Rows of the list, as what is made stands in `made`; empty without one. */
  readonly rows: readonly string[];
  readonly habits: Habits;
  /** How layers come together: by My way and by the project, overruled by what is weeded from the back. */
  readonly building: Habits['building'];
  /** How cutters are set for a film, as it was noted with it, by film. */
  readonly settings: ReadonlyMap<string, readonly string[]>;
  /** Whether a mask is laid without tape. */
  readonly untaped: boolean;
  readonly works: readonly LayerWork[];
  /** Layers that lie on a sheet with other layers, from the blank outwards. */
  readonly stacked: readonly LayerWork[];
  /** Layers that are lined up by squares. */
  readonly marked: ReadonlySet<string>;
  readonly figures: readonly PlacedFigure[];
  /** Whether anything is laid as a whole, and whether that goes round. */
  readonly whole: boolean;
  /** Pieces that were laid by computation, and mm that a tent may stand off and still press flat. */
  readonly seen: readonly SeenPiece[];
  readonly tentPresses: number;
  readonly isWrap: boolean;
  /** Panels that a wrap is laid in. */
  readonly panels: number;
  readonly rimLine: number;
  readonly mm: (v: number) => string;
  /** Minutes for one, for all that are made. */
  readonly each: (minutes: number) => number;
  /** A title, with how many it is of. */
  readonly all: (title: string) => string;
}

/** What of a job's plan and list the guide is made from. */
export interface GuideInput {
  readonly job: Job;
  readonly wrap: Wrap;
  readonly sheet: JobSheet;
  readonly unit: Units;
  /** Everything on the list that it is made for; left out, one of a kind. */
  readonly makes?: readonly Make[];
  readonly materials?: Materials;
  /** Layers that are lined up by squares. */
  readonly marked?: ReadonlySet<string>;
  /** How the person works; left out, as everybody begins. */
  readonly habits?: Habits;
  /** What lies on the shelf, for what was noted with it; left out, nothing. */
  readonly supply?: Pick<Supply, 'films'>;
  /** What laying its film by computation showed, and mm that a tent may stand off and still press flat. */
  readonly looked?: readonly Looked[] | undefined;
  readonly tentPresses?: number;
}

/** Works out what the rules ask. */
export function factsOf({
  job,
  wrap,
  sheet,
  unit,
  makes = [],
  materials = STARTING_MATERIALS,
  marked = new Set(),
  habits = USUAL_HABITS,
  supply,
  looked,
  tentPresses = USUAL_LIMITS.tentPresses,
}: GuideInput): JobFacts {
  const made = madeOf(wrap, makes);
  const count = countOf(made);
  const byHabit = habits.weeding === 'reverse';
  const works = layerWork(job, layersOfAll(wrap, makes), made).map((work) => (byHabit ? { ...work, reverse: true } : work)); // prettier-ignore
  const layers = stackedLayers(made);
  const stacked = works.filter(({ layer }) => layers.has(layer));
  return {
    things: thingsOf(makes),
    rows: makes.map(({ row }) => row.id),
    settings: settingsOf(supply?.films ?? []),
    habits,
    building: buildingOf(job, habits, stacked),
    // Middles that lie loose would be lost without tape: only a mask in one piece is laid by hand.
    untaped: job.process !== 'decal' && habits.masks === 'by hand' && works.length === 1 && works[0]!.pieces === count,
    job,
    wrap,
    sheet,
    unit,
    materials,
    marked,
    blank: job.blank,
    made,
    alike: alikeOf(job, wrap, makes),
    count,
    works,
    stacked,
    figures: figuresOf(wrap.pieces),
    whole: wrap.pieces.some((piece) => !piece.spare && !piece.byItself) || wrap.pieces.length === 0,
    seen: wrap.pieces.flatMap((piece) => seenOf(job, wrap, materials, tentPresses, looked, piece) ?? []),
    tentPresses,
    isWrap: wrap.template.closed && coverage(wrap.pieces) >= WRAP_SHARE,
    panels: new Set(wrap.pieces.filter((p) => !p.spare && !p.byItself).map(({ part }) => part)).size,
    rimLine: rimLineOf(job.blank, wrap.size),
    mm: (v) => formatLength(v, unit),
    each: (minutes) => minutes * count,
    all: (title) => (count > 1 ? `${title}, ${count} of them` : title),
  };
}

/** Settings by film, each once. */
export function settingsOf(lots: Supply['films']): Map<string, string[]> {
  const all = new Map<string, string[]>();
  for (const { film, settings } of lots)
    for (const { cutter, words } of settings) {
      const said = cutter ? `${words} (${cutter})` : words;
      const known = all.get(film.id) ?? [];
      if (!known.includes(said)) all.set(film.id, [...known, said]);
    }
  return all;
}

/** Things that are gone through one by one at most; of more, each name is one thing, and past that all of them are. */
const MOST_THINGS = 200;

/** The things that are made, one by one; the job itself is one without a name. */
export function thingsOf(makes: readonly Make[]): Thing[] {
  const count = makes.reduce((sum, { row }) => sum + row.count, 0);
  if (makes.length === 0 || makes.length > MOST_THINGS) return [{ id: '1', name: '', row: null, hand: null }];
  if (count > MOST_THINGS)
    return makes.map(({ row }) => ({ id: row.id, name: row.count === 1 ? row.name : `${row.name}, ${row.count} of them`, row: row.id, hand: row.hand })); // prettier-ignore
  return makes.flatMap(({ row }) =>
    Array.from({ length: row.count }, (_, i) => ({
      id: row.count === 1 ? row.id : `${row.id}/${i + 1}`,
      name: row.count === 1 ? row.name : `${row.name} ${i + 1}`,
      row: row.id,
      hand: row.hand,
    })),
  );
}

function buildingOf({ stack }: Job, habits: Habits, stacked: readonly LayerWork[]): Habits['building'] {
  if (stack.lay === 'on the blank' || habits.building === 'on the blank') return 'on the blank';
  // What hangs on a tape of its own already is not taken up by another.
  return habits.building === 'one tape' && !stacked.some(({ reverse }) => reverse) ? 'one tape' : 'base up';
}

/** Layers that share a sheet with another one. */
function stackedLayers(made: readonly MadeThing[]): ReadonlySet<string> {
  const parts = new Map<string, Set<string>>();
  for (const [i, { pieces }] of made.entries())
    for (const piece of pieces) {
      const key = `${i}|${piece.part}`;
      parts.set(key, (parts.get(key) ?? new Set()).add(layerOf(piece)));
    }
  return new Set([...parts.values()].filter((layers) => layers.size > 1).flatMap((layers) => [...layers]));
}

/** Things of a list by what they are made on; the job itself without a list. */
function alikeOf(job: Job, wrap: Wrap, makes: readonly Make[]): MadeAlike[] {
  const laid = (pieces: readonly Piece[]): Piece[] => pieces.filter((piece) => !piece.spare);
  const all = thingsOf(makes);
  const groups = new Map<Wrap, MadeAlike>();
  for (const { row, on, pieces } of makes) {
    const of = on?.wrap ?? wrap;
    const known = groups.get(of);
    groups.set(of, {
      blank: on?.blank ?? job.blank,
      wrap: of,
      pieces: known?.pieces ?? laid(pieces),
      names: [...(known?.names ?? []), row.name],
      things: [...(known?.things ?? []), ...all.filter((thing) => thing.row === row.id)],
      count: (known?.count ?? 0) + row.count,
    });
  }
  return groups.size > 0
    ? [...groups.values()]
    : [{ blank: job.blank, wrap, pieces: laid(wrap.pieces), names: [], things: all, count: 1 }];
}
