import { slugsOf } from '../../pieces/slug.ts';
import type { Film } from '../../model/film.ts';
import type { CutPiece } from '../../cut/order.ts';
import type { Board } from '../../model/board.ts';
import type { Strip } from '../../load/load.ts';
import type { PartOnBoard } from '../../model/laid.ts';
import { pathData, writeNumber, xmlText } from './path-data.ts';

/** A strip of film with what is cut of it. */
export interface StripCuts {
  readonly film: Film;
  readonly strip: Strip;
  /** In board millimetres, in cutting order. */
  readonly pieces: readonly CutPiece[];
}

/**
 * A cut file: the cut lines of a load, or of one film of it, in true millimetres on the board, and nothing else. Each film is
 * a group.
 *
 * The group of each part carries `data-to-template`, the matrix from file coordinates back to the flat template (mm, y up),
 * so that a written file can be checked against the blank that it was made for.
 *
 * @param strips in the order in which they are cut
 * @param load number of the load
 * @param board what the cutter takes
 * @param title shown by viewers
 */
export function writeCutSvg(strips: readonly StripCuts[], load: number, board: Board, title: string): string {
  const width = writeNumber(board.lengthMm);
  const height = writeNumber(board.widthMm);
  const told = strips.map(
    ({ film, strip }) => `${film.name} from ${strip.from} to ${strip.to} mm along the board, ${strip.across} mm across`,
  );
  const ids = slugsOf(
    strips.map(({ film }, i) => ({ id: String(i), name: film.name })),
    'film',
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${xmlText(title)}</title>`,
    `  <desc>${xmlText(`Units: millimetres. Load ${load}, ${told.join('; ')}.`)}</desc>`,
    ...strips.flatMap((cuts, i) => filmGroup(cuts, ids.get(String(i))!, load, board.widthMm)),
    '</svg>',
    '',
  ].join('\n');
}

function filmGroup({ film, strip, pieces }: StripCuts, id: string, load: number, height: number): string[] {
  const line = ({ pieceId, paths }: CutPiece): string =>
    `    <path id="${xmlText(`piece-${pieceId}`)}" d="${paths.map((p) => pathData(p, height)).join('')}"/>`;
  const back = (laid: PartOnBoard): string =>
    `data-to-template="${backToTemplate(laid, height)
      .map((n) => writeNumber(n, 6))
      .join(' ')}"`;
  const single = strip.parts.length === 1;
  const onlyPart = (laid: PartOnBoard): string =>
    `${laid.part ? ` data-part="${xmlText(laid.part)}"` : ''} ${back(laid)}`;
  // In the order in which they are cut; what is of one part is a group that leads back to its own template.
  const groups = single
    ? pieces.map(line)
    : runsOfParts(pieces).map(({ part, run }) => {
        const laid = strip.parts.find((one) => one.part === part);
        const inner = run.map((piece) => `  ${line(piece)}`).join('\n');
        return laid ? `    <g data-part="${xmlText(part ?? '')}" ${back(laid)}>\n${inner}\n    </g>` : inner;
      });
  return [
    `  <g id="${xmlText(`film-${id}`)}" data-film="${xmlText(film.name)}" data-load="${load}"${single ? onlyPart(strip.parts[0]!) : ''} fill="none" stroke="${film.colour}" stroke-width="0.1">`,
    `    <title>${xmlText(film.name)}</title>`,
    ...groups,
    '  </g>',
  ];
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
