import { layerOf } from '../layers/layer.ts';
import { placingCard } from './placing-card.ts';
import type { CutOptions } from '../cut/extras.ts';
import { PLAIN_CUT } from '../cut/extras.ts';
import { cutSize } from '../layout/cut-size.ts';
import { blocksOf } from '../load/blocks.ts';
import { keptOf } from '../load/by-hand.ts';
import { NO_STOCK } from '../load/supply.ts';
import { tapeArea } from '../load/tape-usage.ts';
import type { Project } from '../model/project.ts';
import type { Supply } from '../model/stock.ts';
import type { Wrap } from '../pieces/wrap.ts';
import type { Examined } from '../pipeline.ts';
import { pathData } from '../plane/path-text.ts';
import { stripViewModels } from './strip-view-models.ts';
import type { JudgedShape, SolidViewModel } from './views.ts';

/** What follows from the shape of a project, as the screens show it. */
export function judgedShape(
  project: Project,
  { wrap, batch, cut, sheet, stack, findings, steps, things }: Extract<Examined, { ok: true }>,
  options: CutOptions = PLAIN_CUT,
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
      .map(({ paths, ...mark }) => ({
        film: mark.film,
        layer: layerOf(mark),
        data: paths.map((path) => pathData(path)).join(''),
      })),
    strips: stripViewModels(cut, sheet, project.films, options, supply),
    laidAs: keptOf(sheet.plan, blocks, supply),
    tapeMm2: tapeArea(blocks),
    findings,
    steps,
    things,
    placing: placingCard(project.blank, wrap),
    unjudged: null,
  };
}

const solidOf = ({ size, template, meanRadius }: Wrap): SolidViewModel => ({ size, template, meanRadius });
