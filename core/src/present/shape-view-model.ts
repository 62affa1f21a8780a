import { layerOf } from '../layers/layer.ts';
import { cutSize } from '../layout/cut-size.ts';
import type { ReadingDoubt } from '../measure/doubts.ts';
import type { Project } from '../model/project.ts';
import { shareOfGive } from '../pieces/give.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { pathData } from '../plane/path-text.ts';
import type { Point } from '../plane/point.ts';
import type { FoundSeam } from '../seam/measure-seam.ts';
import { seamOnFlat } from '../seam/panel-frame.ts';
import type { FlatPanel } from '../seam/panels/panel.ts';
import { carriesPieces } from '../seam/panels/panel.ts';
import { sideRadii } from '../surface/side-radius.ts';
import { ringsData } from './rings-data.ts';
import type { SeamView } from './seam-view.ts';
import { seamView } from './seam-view.ts';
import type { PanelViewModel, SeamViewModel, ShapeViewModel } from './views.ts';

/** mm shown on each side of the seam. */
export const SEAM_HALF_WIDTH_MM = 60;

/** The wrap as the screens show it, before it is judged. */
export function shapeViewModel(
  { films, warm, blank }: Project,
  { wrap, doubts }: { wrap: Wrap; doubts: readonly ReadingDoubt[] },
): ShapeViewModel {
  const asks = shareOfGive({ films, warm, blank }, wrap);
  return {
    size: wrap.size,
    errors: wrap.errors,
    template: wrap.template,
    outlineData: wrap.band.outlines.map((path) => pathData(path)).join(''),
    band: { region: wrap.band.region, bounds: wrap.band.bounds },
    panels: wrap.panels.map(panelViewModel),
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
      spots: p.spots,
      leftOff: p.off.length,
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
      layer: layerOf(p),
      data: onBand(wrap, p),
      rings: [p.unrolled.outer, ...p.unrolled.holes],
      cutAt: p.cutAt,
      azimuths: p.azimuths,
      slants: p.slants,
      areaMm2: p.areaMm2,
      asks: asks?.(p) ?? null,
    })),
    seams: wrap.seams.map((seam, i) => seamViewModel(seam, seamView(wrap, i, SEAM_HALF_WIDTH_MM))),
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

function seamViewModel(seam: FoundSeam, view: SeamView): SeamViewModel {
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

function panelViewModel({ name, outlines, lines, heat, bounds }: FlatPanel): PanelViewModel {
  return {
    name,
    data: outlines.map((path) => pathData(path)).join(''),
    marks: lines.map(({ from, to }) => `M${from.x} ${-from.y}L${to.x} ${-to.y}`).join(''),
    heat: heat.map(({ outline, strain }) => ({ data: pathData(outline), strain })),
    bounds,
  };
}
