import { laidAs } from '../layers/layer.ts';
import { cutTime } from '../cut/cut-time.ts';
import type { CutOptions } from '../cut/extras.ts';
import { isExtra, withExtras } from '../cut/extras.ts';
import { cutFileNames } from '../cut/file-names.ts';
import type { CutPiece } from '../cut/order.ts';
import { cutStrip } from '../cut/order.ts';
import { partLabels } from '../cut/part-labels.ts';
import type { JobSheet } from '../load/job-sheet.ts';
import type { Film } from '../model/film.ts';
import type { Supply } from '../model/stock.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import { joinBoxes } from '../plane/box.ts';
import { pathData } from '../plane/path-text.ts';
import { simplifyRing } from '../plane/simplify.ts';
import type { StripPart, StripViewModel } from './views.ts';

/** Strips of film with what is cut from them. */
export function stripViewModels(
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  films: readonly Pick<Film, 'id' | 'name'>[],
  options: CutOptions,
  supply: Supply,
): StripViewModel[] {
  // A cutter of one's own works at its own pace.
  const pace = supply.cutters.find(({ board }) => board.id === sheet.plan.board.id)?.pace;
  const lots = new Map<string, number>();
  const names = cutFileNames(sheet.plan.loads, films);
  let next = 0;
  return sheet.plan.loads.flatMap((load) =>
    load.strips.map((strip) => {
      const pieces = cutStrip(cut, strip);
      // Over-cuts lie on what is cut already: they are not drawn.
      const all = withExtras(pieces, strip, sheet.plan.board, { ...options, overcutMm: 0 });
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
        labels: partLabels(pieces),
        extras: data(all.filter(isExtra)),
        ...cutTime(all, pace),
        noMark: options.testMark && all[0]?.pieceId !== 'test-mark',
      };
    }),
  );
}

/** Outlines and box of all that is cut of a film in one part. */
function partShape(cut: readonly CuttablePiece[], film: string, part: string): Pick<StripPart, 'rings' | 'box'> {
  const own = cut.filter((piece) => piece.film === film && laidAs(piece) === part);
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
