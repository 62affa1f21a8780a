import {
  benchSteps,
  cutPieces,
  examineProject,
  pathData,
  seamView,
  type FlatPanel,
  type FontBook,
  type Project,
} from '@mivet/core';
import type { PanelPicture, ProjectPicture } from './protocol.ts';

/** mm shown on each side of the seam. */
export const SEAM_HALF_WIDTH_MM = 60;

/** Works a project through and turns the result into plain data for the screens. */
export function pictureOf(project: Project, fonts: FontBook, unit: 'mm' | 'in'): ProjectPicture {
  const examined = examineProject(project, fonts);
  if (!examined.ok) return examined;
  const { wrap, sheet, findings, doubts } = examined;
  return {
    ok: true,
    size: wrap.size,
    errors: wrap.errors,
    template: wrap.template,
    outlineData: [wrap.template.outline, ...wrap.template.holes].map((path) => pathData(path)).join(''),
    panels: wrap.panels.map(panelPicture),
    meanRadius: wrap.meanRadius,
    items: wrap.placed.map((p) => ({
      itemId: p.item.id,
      azimuth: p.azimuth,
      slant: p.slant,
      widthMm: p.box.maxX - p.box.minX,
      heightMm: p.box.maxY - p.box.minY,
      slants: p.slants,
      copies: p.copies,
      rigidSag: p.rigidSag,
      capHeight: p.capHeight,
      ringRoom: p.ringRoom,
    })),
    pieces: wrap.pieces.map((p) => ({
      id: p.id,
      itemIds: p.itemIds,
      film: p.film,
      data: p.paths.map((path) => pathData(path)).join(''),
      rings: [p.unrolled.outer, ...p.unrolled.holes],
      cutAt: p.cutAt,
      azimuths: p.azimuths,
      slants: p.slants,
      areaMm2: p.areaMm2,
    })),
    seam: seamView(wrap, SEAM_HALF_WIDTH_MM).map((p) => ({ film: p.film, data: p.rings.map(ringData).join('') })),
    sheet,
    strips: sheet.plan.loads.flatMap((load) =>
      load.strips.map((strip) => ({
        load: load.number,
        film: strip.film,
        data: cutPieces(
          wrap.pieces.filter((p) => p.film === strip.film),
          strip,
        )
          .flatMap((p) => p.paths)
          .map((path) => pathData(path, sheet.plan.board.widthMm))
          .join(''),
      })),
    ),
    findings,
    doubts,
    steps: benchSteps(project, wrap, sheet, unit),
  };
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

function ringData(ring: Float64Array): string {
  let data = '';
  for (let i = 0; i < ring.length; i += 2)
    data += `${i === 0 ? 'M' : 'L'}${ring[i]!.toFixed(2)} ${(-ring[i + 1]!).toFixed(2)}`;
  return `${data}Z`;
}
