import {
  benchSteps,
  blocksOf,
  joinBoxes,
  marksCost,
  keptOf,
  NO_STOCK,
  simplifyRing,
  takenFor,
  tapeArea,
  carriesPieces,
  cutSize,
  deriveWrap,
  describeLeftOut,
  lightened,
  sideRadii,
  cutFileNames,
  cutStrip,
  cutTime,
  isExtra,
  PLAIN_CUT,
  withExtras,
  examineProject,
  eyeDistance,
  eyeView,
  glanceHalfAngle,
  itemParts,
  pathData,
  seamOnFlat,
  seamView,
  shareOfGive,
  type ArtworkItem,
  type CutPiece,
  type CutWish,
  type Examined,
  type FlatPanel,
  type FontBook,
  type FoundSeam,
  type Limits,
  type Piece,
  type Point,
  type Project,
  type ReadingDoubt,
  type SeamView,
  type Wrap,
  type CuttablePiece,
  type JobSheet,
  type Supply,
} from '@mivet/core';
import { ringsData } from './rings-data.ts';
import type { CoreJobs, JudgedShape, SolidPicture, PanelPicture, PartsPicture, ProjectPicture, SeamPicture, SeenPicture, ShapePicture, StripPart, StripPicture } from './protocol.ts';

/** mm shown on each side of the seam. */
export const SEAM_HALF_WIDTH_MM = 60;

/** Works a project through and turns the result into plain data for the screens. */
export function pictureOf(
  project: Project,
  fonts: FontBook,
  unit: 'mm' | 'in',
  limits?: Limits,
  wish?: CutWish,
  supply?: Supply,
): ProjectPicture {
  const examined = examineProject(project, fonts, limits, supply);
  if (!examined.ok) return examined;
  return { ok: true, ...shapePicture(project, examined), ...judgedShape(project, examined, unit, wish, supply) };
}

/** The wrap as the screens show it, before it is judged. */
export function shapePicture(
  { films, warm, blank }: Project,
  { wrap, doubts }: { wrap: Wrap; doubts: readonly ReadingDoubt[] },
): ShapePicture {
  const asks = shareOfGive({ films, warm, blank }, wrap);
  return {
    size: wrap.size,
    errors: wrap.errors,
    template: wrap.template,
    outlineData: wrap.band.outlines.map((path) => pathData(path)).join(''),
    band: { region: wrap.band.region, bounds: wrap.band.bounds },
    panels: wrap.panels.map(panelPicture),
    meanRadius: wrap.meanRadius,
    radii: sideRadii(wrap.surface),
    items: wrap.placed.map((p) => ({
      itemId: p.item.id,
      azimuth: p.azimuth,
      slant: p.slant,
      widthMm: p.box.maxX - p.box.minX,
      heightMm: p.box.maxY - p.box.minY,
      cutMm: cutSize(wrap.placed, p),
      own: p.own,
      slants: p.slants,
      copies: p.copies,
      rigidSag: p.rigidSag,
      capHeight: p.capHeight,
      ringRoom: p.ringRoom,
    })),
    pieces: wrap.pieces.map((p) => ({
      id: p.id,
      spare: p.spare,
      sheetData: p.paths.map((path) => pathData(path)).join(''),
      itemIds: p.itemIds,
      film: p.film,
      data: onBand(wrap, p),
      rings: [p.unrolled.outer, ...p.unrolled.holes],
      cutAt: p.cutAt,
      azimuths: p.azimuths,
      slants: p.slants,
      areaMm2: p.areaMm2,
      asks: asks?.(p) ?? null,
    })),
    seams: wrap.seams.map((seam, i) => seamPicture(seam, seamView(wrap, i, SEAM_HALF_WIDTH_MM))),
    seamLines: seamLines(wrap),
    onSheets: carriesPieces(wrap),
    asBand: wrap.frames[0]!.asBand,
    cuts: wrap.cuts,
    tapeSlits: wrap.tape
      .flatMap((sheet) => sheet.slits)
      .map(({ from, to }) => lineData([from, to]))
      .join(''),
    doubts,
  };
}

/** What follows from it. */
export function judgedShape(
  project: Project,
  { wrap, batch, cut, sheet, stack, findings }: Extract<Examined, { ok: true }>,
  unit: 'mm' | 'in',
  wish: CutWish = PLAIN_CUT,
  supply: Supply = NO_STOCK,
): JudgedShape {
  const blocks = blocksOf(cut, project.films, supply);
  return {
    names: batch.map(({ row, fitted, on, placed, pieces }) => ({
      rowId: row.id,
      name: row.name,
      capMm: fitted?.capMm ?? 0,
      widthMm: fitted?.widthMm ?? 0,
      cutMm: placed && cutSize([placed], placed),
      overMm: fitted?.overMm ?? 0,
      how: fitted?.how ?? 'as is',
      missing: fitted?.missing ?? [],
      worded: fitted !== null,
      made: on !== null,
      solid: on && on.blank !== project.blank ? solidOf(on.wrap) : null,
      pieces: pieces
        .filter((p) => !p.spare)
        .map((p) => ({ id: p.id, film: p.film, rings: [p.unrolled.outer, ...p.unrolled.holes], azimuths: p.azimuths })),
    })),
    sheet,
    stack,
    marks: cut
      .filter((piece) => piece.mark && piece.part === '' && wrap.frames[0]!.asBand)
      .map(({ film, paths }) => ({ film, data: paths.map((path) => pathData(path)).join('') })),
    strips: stripPictures(cut, sheet, wish, supply),
    laidAs: keptOf(sheet.plan, blocks, supply),
    tapeMm2: tapeArea(blocks),
    findings,
    steps: benchSteps(project, wrap, sheet, unit, batch),
    unjudged: null,
  };
}

/** The shape of a project that is too heavy to be judged, without what makes it so; nothing is said of it beyond that. */
export function unjudgedPicture(
  project: Project,
  fonts: FontBook,
  unit: 'mm' | 'in',
  limits: Limits,
  supply: Supply,
): ProjectPicture {
  const { project: lighter, leftOut } = lightened(project);
  const derived = deriveWrap(lighter, fonts);
  if (!derived.ok) return derived;
  const bare = { ...project, items: [], names: null, laid: [] };
  const examined = examineProject(bare, fonts, limits, supply);
  if (!examined.ok) return examined;
  return {
    ok: true,
    ...shapePicture(lighter, derived),
    ...judgedShape(bare, examined, unit, PLAIN_CUT, supply),
    findings: [],
    steps: [],
    unjudged: describeLeftOut(leftOut),
  };
}

/** Strips of film with what is cut from them. */
export function stripPictures(
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  wish: CutWish,
  supply: Supply,
): StripPicture[] {
  // A cutter of one's own works at its own pace.
  const pace = supply.cutters.find(({ board }) => board.id === sheet.plan.board.id)?.pace;
  const lots = new Map<string, number>();
  const names = cutFileNames(sheet.plan.loads);
  let next = 0;
  return sheet.plan.loads.flatMap((load) =>
    load.strips.map((strip) => {
      const pieces = cutStrip(cut, strip);
      // Over-cuts lie on what is cut already: they are not drawn.
      const all = withExtras(pieces, strip, sheet.plan.board, { ...wish, overcutMm: 0 });
      const data = (list: readonly CutPiece[]): string =>
        list
          .flatMap((p) => p.paths)
          .map((path) => pathData(path, sheet.plan.board.widthMm))
          .join('');
      const { film, from, to, across, parts, offcut, outline } = strip;
      const { widthMm, marginMm } = sheet.plan.board;
      return {
        load: load.number,
        file: names[next++]!,
        film,
        from,
        to,
        across,
        lot: lots.set(film, (lots.get(film) ?? -1) + 1).get(film)!,
        parts: parts.map(({ part, matrix, fixed }) => ({
          part,
          matrix,
          fixed: fixed === true,
          ...partShape(cut, film, part),
        })),
        offcut,
        outline: outline && outlineData(outline, from, widthMm - marginMm),
        data: data(pieces),
        extras: data(all.filter(isExtra)),
        ...cutTime(all, pace),
        noMark: wish.testMark && all[0]?.pieceId !== 'test-mark',
      };
    }),
  );
}

/** What marks on each layer cost, or would cost; null when they do not fit on its board. */
export function marksPicture(
  project: Project,
  examined: Extract<Examined, { ok: true }>,
  supply: Supply,
): CoreJobs['marks']['output'] {
  const cost = marksCost(project, examined, supply);
  return examined.stack.layers.map(({ film, marksMm2 }) => ({ film, mm2: marksMm2 ?? cost.of(film) }));
}

/** What batches take, plan by plan. */
export function batchPicture(
  project: Project,
  { cut, sheet }: Pick<Extract<Examined, { ok: true }>, 'cut' | 'sheet'>,
  supply: Supply,
  times: readonly number[],
): CoreJobs['batch']['output'] {
  return times.map((many) => {
    const { sheet: planned, tapeMm2 } = takenFor(project, cut, sheet, supply, many);
    return { times: many, films: planned.takings.films, tapeMm2, loads: planned.plan.loads.length };
  });
}

/** Outlines and box of all that is cut of a film in one part. */
function partShape(cut: readonly CuttablePiece[], film: string, part: string): Pick<StripPart, 'rings' | 'box'> {
  const own = cut.filter((piece) => piece.film === film && piece.part === part);
  return {
    rings: own.map(({ flat }) => simplifyRing(flat.outer, THINNED_MM)),
    box: own.map(({ flatBox }) => flatBox).reduce(joinBoxes),
  };
}
/** mm. How far thinned outlines may stray; they are moved by hand, never cut. */
const THINNED_MM = 0.1;

/** An outline of x and y by turns from a corner of the board, as SVG path data. */
const outlineData = (outline: readonly number[], x0: number, y0: number): string =>
  `${outline.map((v, i) => (i % 2 === 0 ? `${i === 0 ? 'M' : 'L'}${(x0 + v).toFixed(2)}` : (y0 - v).toFixed(2))).join(' ')}Z`;

const solidOf = ({ size, template, meanRadius }: Wrap): SolidPicture => ({ size, template, meanRadius });

/** Outline of a piece on the flat of the whole band: as it is cut, or brought back from a panel, band or gore. */
function onBand({ frames, surface, meanRadius }: Wrap, piece: Piece): string {
  if (frames[0]!.asBand || piece.spare) return piece.paths.map((path) => pathData(path)).join('');
  return [piece.unrolled.outer, ...piece.unrolled.holes]
    .map((ring) => {
      let data = '';
      for (let i = 0; i < ring.length; i += 2) {
        const p = surface.forward(ring[i]! / meanRadius, -ring[i + 1]!);
        data += `${i === 0 ? 'M' : 'L'}${p.x.toFixed(2)} ${(-p.y).toFixed(2)}`;
      }
      return `${data}Z`;
    })
    .join('');
}

const lineData = (points: readonly Point[]): string =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(2)} ${(-p.y).toFixed(2)}`).join('');

function seamPicture(seam: FoundSeam, view: SeamView): SeamPicture {
  return {
    azimuth: view.azimuth,
    free: seam.free,
    cutMm: seam.cutMm,
    wanderMm: seam.wanderMm,
    line: lineData(view.line),
    spread: `${lineData(view.spread)}Z`,
    pieces: view.pieces.map((p) => ({ film: p.film, data: ringsData(p.rings) })),
  };
}

/** Seams on the flat of the whole band; the first at both of its ends. */
function seamLines({ surface, seams, template, frames }: Wrap): string {
  if (frames.length > 1 && (template.flattening.way === 'bands' || template.flattening.way === 'gores')) return '';
  const round = template.region.left[0] === -Math.PI;
  return seams
    .flatMap(({ path }, i) =>
      (round && i === 0 ? [0, 2 * Math.PI] : [0]).map((turn) => seamOnFlat(surface, path, turn)),
    )
    .map(lineData)
    .join('');
}

function panelPicture({ name, outlines, lines, words, heat, bounds }: FlatPanel): PanelPicture {
  return {
    name,
    data: outlines.map((path) => pathData(path)).join(''),
    marks: lines.map(({ from, to }) => `M${from.x} ${-from.y}L${to.x} ${-to.y}`).join(''),
    words: words.map(({ at, text }) => ({ x: at.x, y: -at.y, text })),
    heat: heat.map(({ outline, strain }) => ({ data: pathData(outline), strain })),
    bounds,
  };
}

/** A blank as an eye sees it from one side; what looks narrower than a glance takes is told, and half of that again. */
export function seenPicture(project: Project, wrap: Wrap, azimuth: number, limits: Limits): SeenPicture | null {
  const distance = eyeDistance(wrap.meanRadius, limits.glanceDistance);
  const edge = limits.glanceEdge / 100;
  const view = eyeView(project, wrap, { azimuth, distance }, [edge, edge / 2]);
  if (!view) return null;
  return {
    body: ringsData([view.body]),
    lines: view.lines.map((ring) => openData(ring)).join(''),
    handle: view.handle && ringsData([view.handle]),
    pieces: view.pieces.map(({ film, rings }) => ({ film, data: ringsData(rings) })),
    narrow: view.narrow.map(({ share, rings }) => ({ share, data: ringsData(rings) })),
    box: view.box,
    widest: wrap.template.closed ? 2 * wrap.meanRadius * glanceHalfAngle(wrap.meanRadius, limits) : null,
  };
}

const openData = (ring: Float64Array): string => ringsData([ring]).replace(/Z$/, '');

/** The parts of an item as plain data. */
export function partsPicture(item: ArtworkItem, fonts: FontBook): PartsPicture {
  const { box, parts } = itemParts(item, fonts);
  return {
    box,
    parts: parts.map(({ spot, rings, dropped }) => ({ spot, dropped, data: ringsData(rings) })),
  };
}
