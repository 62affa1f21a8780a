import { slug } from '../../pieces/slug.ts';
import type { Film } from '../../model/film.ts';
import type { CutPiece } from '../../cut/order.ts';
import type { Board } from '../../model/board.ts';
import type { Load, Strip } from '../../load/load.ts';
import type { PartOnBoard } from '../../model/laid.ts';
import { pathData, writeNumber, xmlText } from './path-data.ts';

/**
 * A cut file: the cut lines of one film in one load, in true millimetres on the board, and nothing else.
 *
 * The group of each part carries `data-to-template`, the matrix from file coordinates back to the flat template (mm, y up),
 * so that a written file can be checked against the blank that it was made for.
 *
 * @param pieces in board millimetres, in cutting order
 * @param film what is cut
 * @param strip where the film lies
 * @param load which load it belongs to
 * @param board what the cutter takes
 * @param title shown by viewers
 */
export function writeCutSvg(
  pieces: readonly CutPiece[],
  film: Film,
  strip: Strip,
  load: Load,
  board: Board,
  title: string,
): string {
  const width = board.lengthMm;
  const height = board.widthMm;
  const line = ({ pieceId, paths }: CutPiece): string =>
    `    <path id="${xmlText(`piece-${pieceId}`)}" d="${paths.map((p) => pathData(p, height)).join('')}"/>`;
  const back = (laid: PartOnBoard): string =>
    `data-to-template="${backToTemplate(laid, height)
      .map((n) => writeNumber(n, 6))
      .join(' ')}"`;
  const single = strip.parts.length === 1;
  // In the order in which they are cut; what is of one part is a group that leads back to its own template.
  const groups = single
    ? pieces.map(line)
    : runsOfParts(pieces).map(({ part, run }) => {
        const laid = strip.parts.find((one) => one.part === part);
        const inner = run.map((piece) => `  ${line(piece)}`).join('\n');
        return laid ? `    <g data-part="${xmlText(part ?? '')}" ${back(laid)}>\n${inner}\n    </g>` : inner;
      });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${writeNumber(width)}mm" height="${writeNumber(height)}mm" viewBox="0 0 ${writeNumber(width)} ${writeNumber(height)}">`,
    `  <title>${xmlText(title)}</title>`,
    `  <desc>${xmlText(`Units: millimetres. Load ${load.number}, ${film.name} from ${strip.from} to ${strip.to} mm along the board, ${strip.across} mm across.`)}</desc>`,
    `  <g id="${xmlText(`film-${slug(film.name, 'film')}`)}" data-film="${xmlText(film.name)}" data-load="${load.number}"${single ? ` ${back(strip.parts[0]!)}` : ''} fill="none" stroke="${film.colour}" stroke-width="0.1">`,
    `    <title>${xmlText(film.name)}</title>`,
    ...groups,
    '  </g>',
    '</svg>',
    '',
  ].join('\n');
}

/** Pieces one after the other that are of the same part. */
function runsOfParts(pieces: readonly CutPiece[]): { part: string | undefined; run: CutPiece[] }[] {
  const runs: { part: string | undefined; run: CutPiece[] }[] = [];
  for (const piece of pieces) {
    const last = runs.at(-1);
    if (last && last.part === piece.part) last.run.push(piece);
    else runs.push({ part: piece.part, run: [piece] });
  }
  return runs;
}

/** Inverse of "template → board → y down": six numbers a b c d e f with x = a·X + c·Y + e, y = b·X + d·Y + f. */
function backToTemplate({ matrix }: PartOnBoard, height: number): number[] {
  const [a, b, c, d, e, f] = matrix;
  const determinant = a * d - b * c;
  const ia = d / determinant;
  const ib = -b / determinant;
  const ic = -c / determinant;
  const id = a / determinant;
  // Board y is height − Y.
  return [ia, ib, -ic, -id, ia * -e + ic * (height - f), ib * -e + id * (height - f)];
}
