import type { FontBook } from '../artwork/font.ts';
import { filmGive } from '../material/film.ts';
import type { BlankProblem, BlankSize } from '../measure/size.ts';
import { sizeBlank } from '../measure/size.ts';
import type { ErrorReport } from '../measure/error-report.ts';
import { zonesOfBlank } from '../measure/zones.ts';
import { reportErrors } from '../measure/error-report.ts';
import type { ReadingDoubt } from '../measure/plausibility.ts';
import { layThickness } from '../measure/reading.ts';
import { doubtReadings } from '../measure/plausibility.ts';
import type { Development } from '../surface/development.ts';
import type { Job } from '../model/job.ts';
import { SPLIT_OVERLAP_MM } from '../seam/plain-seam.ts';
import { wrapFilm } from '../flat/wrap-film.ts';
import type { Piece, PieceFrame } from './pieces.ts';
import { makePieces } from './pieces.ts';
import type { PanelFrame } from '../seam/panel-frame.ts';
import type { FlatPanel, ShownBand } from '../seam/panels/panels.ts';
import { boxOfPanels, makePanels, shownBand } from '../seam/panels/panels.ts';
import type { SeamCut } from '../seam/cuts.ts';
import { cutsAtSeams } from '../seam/cuts.ts';
import type { FoundSeam } from '../seam/finder.ts';
import { findSeams, measureSeam } from '../seam/finder.ts';
import type { DrawnFilm, DrawnOverlaps, PictureOrder } from '../layers/overlaps.ts';
import { orderByPicture, overlapsOf } from '../layers/overlaps.ts';
import { layersOf } from '../layers/order.ts';
import { filmBelow, type LiesOn } from '../layers/lies-on.ts';
import { toPlane, turnsNear } from '../layout/side-plane.ts';
import { buildStack, filmOfGroup } from '../layers/build-up.ts';
import { shapeOthers } from '../layout/cut-outs.ts';
import { straightSeam } from '../seam/path.ts';
import { makeSpares } from './spares.ts';
import type { PlacedItem } from '../layout/place.ts';
import { placeItem } from '../layout/place.ts';
import type { ScatterRoom } from '../layout/scatter-item.ts';
import { scatterGroups, scatterItems } from '../layout/scatter-item.ts';
import type { TapeSheet } from './tape-sheets.ts';
import { tapeSheets } from './tape-sheets.ts';
import type { Template } from '../flat/template.ts';
import { makeTemplate } from '../flat/template.ts';

/** All that follows from a job's readings and artwork. Never stored: always worked out. */
export interface Wrap {
  readonly size: BlankSize;
  readonly errors: ErrorReport;
  readonly template: Template;
  /** What is printed as the template: one, or the panels, bands or gores that the side is divided into. */
  readonly panels: readonly FlatPanel[];
  /** The whole band or face as one flat. */
  readonly band: ShownBand;
  /** How artwork is laid on them. */
  readonly frames: readonly PanelFrame[];
  /** Where panels meet, in order round from the one at the back; empty on a face. */
  readonly seams: readonly FoundSeam[];
  /** The copies that they cut. */
  readonly cuts: readonly SeamCut[];
  readonly surface: Development;
  readonly meanRadius: number;
  readonly placed: readonly PlacedItem[];
  /** Films from the blank outwards. */
  readonly layers: readonly string[];
  /** What is drawn, before films are knocked out of each other, how it lies on each other, and the order that asks for. */
  readonly drawn: {
    readonly films: readonly DrawnFilm[];
    readonly overlaps: DrawnOverlaps;
    readonly order: PictureOrder;
  };
  readonly pieces: readonly Piece[];
  /** mm of film that lies under each group of each item. */
  readonly liesOn: LiesOn;
  /** Sheets of transfer tape, where the side curves both ways. */
  readonly tape: readonly TapeSheet[];
}

/** A wrap, or why the blank cannot be flattened; doubts about the readings come either way. */
export type Derived =
  | { readonly ok: true; readonly wrap: Wrap; readonly doubts: readonly ReadingDoubt[] }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

const NO_OVERLAPS: DrawnOverlaps = { areas: new Float64Array(), pairs: [] };

/**
 * Works a job through: readings → sizes → template → artwork on the side → pieces of film.
 *
 * @param job readings, artwork, films, hand and seam
 * @param fonts the shipped fonts, loaded
 */
export function deriveWrap(job: Job, fonts: FontBook): Derived {
  const doubts = doubtReadings(job.blank);
  const sized = sizeBlank(job.blank);
  if (!sized.ok) return { ok: false, problem: sized.problem, doubts };
  const read = sized.size;
  const film = wrapFilm(job);
  const thickness = layThickness(job.blank, film?.thicknessMm ?? 0);
  const give = filmGive(film?.finish ?? 'gloss permanent', job.warm);
  const reach = patchReach(job, read, fonts, () => makeTemplate(job.blank, read, thickness, job.seam, give).surface);
  const { template, surface } = makeTemplate(job.blank, read, thickness, job.seam, give, reach);
  // A patch covers only part of a ball: from here on the side is what the template covers.
  const size = { ...read, side: surface.slantLength };
  const meanRadius = (surface.radiusAt(0) + surface.radiusAt(surface.slantLength)) / 2;
  // What is scattered goes round what is placed, wherever it lies in the stack.
  const fixed = new Map<string, PlacedItem>();
  for (const item of job.items)
    if (item.repeat.mode !== 'scattered') fixed.set(item.id, placeItem(item, surface, fonts, job.hand));
  const zones = zonesOfBlank(job.blank, size);
  const others = [...fixed.values()];
  const done = new Map(fixed);
  for (const group of scatterGroups(job.items)) {
    const scattered = scatterItems(group, surface, fonts, job.hand, {
      closed: template.closed,
      rim: zones.rim,
      base: template.closed ? zones.base : job.blank.baseClearanceMm,
      handle: job.blank.handleWidthMm > 0 ? job.blank.handleWidthMm + 2 * zones.handle : 0,
      holds: roundFace(size),
      others: [...others],
    });
    others.push(...scattered);
    for (const one of scattered) done.set(one.item.id, one);
  }
  const laid = job.items.map((item) => done.get(item.id)!);
  const shaped = shapeOthers(laid, meanRadius, template.closed);
  const drawn = drawnFilms(shaped, meanRadius, template.closed);
  const overlaps = new Set(drawn.map(({ film }) => film)).size > 1 ? overlapsOf(drawn) : NO_OVERLAPS;
  const picture = orderByPicture(drawn, overlaps);
  const layers = layersOf(picture.films, job.stack);
  const placed = buildStack(shaped, layers, job.stack, meanRadius, template.closed);
  const seams = template.closed ? seamsOf(job, template, surface, placed) : [];
  const panels = makePanels(
    size,
    thickness,
    template,
    surface,
    seams.map((seam) => seam.path),
  );
  const lying = job.stack.build === 'full' ? drawn : drawnFilms(placed, meanRadius, template.closed);
  const liesOn = filmBelow(
    lying,
    lying === drawn ? overlaps : overlapsOf(lying),
    layers,
    (id) => job.films.find((one) => one.id === id)?.thicknessMm ?? 0,
  );
  const frame = pieceFrameOf(job, { frames: panels.frames, meanRadius, surface, liesOn });
  // What is laid first comes first: pieces lie on each other by their films, whatever the order of the artwork.
  const rank = new Map(layers.map((film, i) => [film, i]));
  const pieces = makePieces(placed, frame).sort((a, b) => rank.get(a.film)! - rank.get(b.film)!);
  const spares = [
    ...job.seam.atSeam.filter((choice) => choice.do === 'leave-off'),
    ...job.items.flatMap((item) => Array.from({ length: item.spares }, () => ({ itemId: item.id, copy: 0 }))),
  ];
  const laidOut = { size, template, frames: panels.frames, pieces, surface, meanRadius };
  return {
    ok: true,
    doubts,
    wrap: {
      tape: tapeSheets(job, laidOut),
      size,
      errors: reportErrors(job.blank, size),
      template,
      panels: panels.flats,
      band: shownBand(
        template,
        surface,
        seams.map((seam) => seam.path),
      ),
      frames: panels.frames,
      seams,
      cuts: cutsAtSeams(placed, seams, { side: surface.slantLength, radiusAt: (slant) => surface.radiusAt(slant) }),
      surface,
      meanRadius,
      placed,
      layers,
      liesOn,
      drawn: { films: drawn, overlaps, order: picture },
      pieces:
        spares.length > 0 ? [...pieces, ...makeSpares(placed, spares, surface, boxOfPanels(panels.flats))] : pieces,
    },
  };
}

/** What is drawn, group by group in the order of the artwork; what lies across the back is there on both of its sides. */
function drawnFilms(placed: readonly PlacedItem[], meanRadius: number, closed: boolean): DrawnFilm[] {
  const onSide = { minX: -Math.PI, maxX: Math.PI, minY: -Infinity, maxY: Infinity };
  return placed.flatMap((one) =>
    one.groups.flatMap((group, g): DrawnFilm[] => {
      const rings = turnsNear(group, onSide, closed).flat();
      return rings.length === 0
        ? []
        : [
            {
              itemId: one.item.id,
              group: g,
              film: filmOfGroup(one, g),
              rings: rings.map((ring) => toPlane(ring, meanRadius)),
            },
          ];
    }),
  );
}

/** The frame in which pieces of a job are cut. */
export function pieceFrameOf(
  job: Pick<Job, 'seam' | 'films' | 'items' | 'blank'>,
  { frames, meanRadius, surface, liesOn }: Pick<Wrap, 'frames' | 'meanRadius' | 'surface' | 'liesOn'>,
): PieceFrame {
  const { seam, films, blank } = job;
  const thick = (id: string): number => films.find((film) => film.id === id)?.thicknessMm ?? 0;
  const base = wrapFilm(job)?.thicknessMm ?? 0;
  return {
    // Each film at its own middle: all that lies below it, and half of itself, further out than the blank.
    longerBy: (film, itemId, group) => {
      const below = liesOn.get(itemId);
      const under = below?.[group] ?? below?.[0] ?? 0;
      return Math.PI * layThickness(blank, 2 * under + thick(film) - base);
    },
    panels: frames,
    meanRadius,
    side: surface.slantLength,
    atSeam: (itemId, copy) => {
      const choice = seam.atSeam.find((c) => c.itemId === itemId && c.copy === copy);
      return choice && (choice.do === 'overlap' ? SPLIT_OVERLAP_MM : null);
    },
  };
}

/** Where the panels of a round side begin: the seam at the back, then the others round. Beside a handle, only those. */
function seamsOf(
  { seam }: Job,
  template: Template,
  surface: Development,
  placed: readonly PlacedItem[],
): readonly FoundSeam[] {
  const { flattening, region } = template;
  const side = surface.slantLength;
  const handle = region.left[0] > -Math.PI;
  // Bands and gores are divided another way.
  const count = flattening.way === 'bands' || flattening.way === 'gores' ? 1 : seam.panels;
  const [from, to] = handle
    ? [(region.left[0] + region.left[1]) / 2, (region.right[0] + region.right[1]) / 2]
    : [-Math.PI, Math.PI];
  const even = Array.from({ length: count }, (_, i) => from + ((to - from) * i) / count).slice(handle ? 1 : 0);
  const field = { side, radiusAt: (slant: number) => surface.radiusAt(slant), groups: placed.flatMap((p) => p.groups) };
  // A band that is joined all round is cut wherever the seam runs: it is in nobody's way.
  const inTheWay = {
    ...field,
    groups: placed.filter(({ item }) => item.repeat.mode !== 'joined').flatMap((p) => p.groups),
  };
  const found = (seams: readonly FoundSeam[]): FoundSeam[] =>
    seams.map((one) => ({ ...measureSeam(field, one.path), free: one.free }));
  if (seam.way === 'straight') return even.map((azimuth) => measureSeam(field, straightSeam(azimuth, azimuth, side)));
  const wish = { clearance: seam.clearanceMm, count, home: -Math.PI };
  if (!handle) return found(findSeams(inTheWay, wish));
  if (even.length === 0) return [];
  return found(findSeams(inTheWay, { ...wish, near: { azimuths: even, reach: (0.45 * (to - from)) / count } }));
}

/** mm that a patch goes on past what it carries. */
const PATCH_MARGIN_MM = 2;

/**
 * What a patch on a ball has to cover for its artwork, mm across; 0 on all else, and where its size was chosen. Only what
 * counts from the middle says where it is: what counts from the patch's edge moves with it.
 */
function patchReach(job: Job, { shape }: BlankSize, fonts: FontBook, draft: () => Development): number {
  if (shape.form !== 'ball' || job.blank.flattening.patchMm !== null) return 0;
  const surface = draft();
  const middle = surface.slantLength / 2;
  const perTurn = surface.radiusAt(middle);
  const far = job.items
    .filter(({ placement, repeat }) => placement.from === 'middle' && repeat.mode !== 'scattered')
    .flatMap((item) => placeItem(item, surface, fonts, job.hand).groups.flat())
    .reduce((most, ring) => {
      let own = most;
      for (let i = 0; i < ring.length; i += 2)
        own = Math.max(own, Math.hypot(ring[i]! * perTurn, ring[i + 1]! - middle));
      return own;
    }, 0);
  return far === 0 ? 0 : Math.ceil(2 * (far + PATCH_MARGIN_MM));
}

/** Whether a thing of some reach lies within a round face, clear of a lid's hole. */
function roundFace({ shape, side }: BlankSize): ScatterRoom['holds'] {
  if (shape.form !== 'disk' && shape.form !== 'ball') return null;
  const hole = shape.form === 'disk' && shape.hole > 0 ? shape : null;
  return (x, y, reach) => {
    const up = side / 2 - y;
    const clear = hole === null || Math.hypot(x, up - hole.holeUp) >= hole.hole / 2 + reach;
    return clear && Math.hypot(x, up) <= side / 2 - reach;
  };
}
