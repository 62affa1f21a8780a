import { LineCapStyle, PDFDocument, type PDFFont, type PDFPage, rgb } from '@cantoo/pdf-lib';
import * as fontkit from 'fontkit';
import type { Film } from '../../model/film.ts';
import { formatLength, type Units } from '../../measure/length.ts';
import type { Box } from '../../plane/box.ts';
import { boxHeight, boxWidth } from '../../plane/box.ts';
import type { Path } from '../../plane/path.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import { boxOfSheet, carriesPieces } from '../../seam/panels/panel.ts';
import { pathData } from '../svg/path-data.ts';

/** Home paper. */
export type Paper = 'a4' | 'letter';

/** pt per mm. */
const PT = 72 / 25.4;
/** mm, width × height, upright. */
const PAPER_MM: Record<Paper, readonly [number, number]> = { a4: [210, 297], letter: [215.9, 279.4] };
/** mm that home printers cannot reach. */
const EDGE_MM = 9;
/** mm that neighbouring sheets share, for gluing. */
const OVERLAP_MM = 10;
/** mm at the foot of each sheet for the ruler and words. */
const FOOT_MM = 22;

/** rad. Arcs become cubics on paper: of an eighth of a half circle each, off by less than 1e-7 of the radius. */
const ARC_ON_PAPER = Math.PI / 8;
const onPaper = (path: Path): string => pathData(path, 0, 0, ARC_ON_PAPER);

/** What goes on the printed template. */
export interface TemplatePrint {
  readonly wrap: Wrap;
  readonly films: readonly Film[];
  readonly title: string;
  readonly paper: Paper;
  readonly unit: Units;
  /** Draw the pieces lightly, or the bare outline for the paper fit check. */
  readonly withPieces: boolean;
  /** Bytes of the text font, WOFF or TTF. */
  readonly font: Uint8Array;
}

/**
 * The template at true scale as a PDF, tiled over as many sheets as it takes, each with crop marks, a name of its own
 * and a ruler to check the printer by.
 *
 * @returns PDF bytes
 */
export async function writeTemplatePdf(print: TemplatePrint): Promise<Uint8Array> {
  const { wrap, paper } = print;
  const bounds = boxOfSheet(wrap);
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit as never);
  const font = await document.embedFont(print.font, { subset: true });
  document.setTitle(print.title);
  document.setProducer('Mivet');
  document.setCreator('Mivet');
  const upright = PAPER_MM[paper];
  // Wide templates lie better on sheets turned sideways; take the way that needs fewer.
  const [tall, wide] = [tiling(upright, bounds), tiling([upright[1], upright[0]], bounds)];
  const tiles = wide.columns * wide.rows < tall.columns * tall.rows ? wide : tall;
  for (let row = 0; row < tiles.rows; row++)
    for (let column = 0; column < tiles.columns; column++) {
      const page = document.addPage([tiles.sheet[0] * PT, tiles.sheet[1] * PT]);
      drawTile(page, font, print, bounds, tiles, column, row);
    }
  return document.save();
}

interface Tiling {
  readonly sheet: readonly [number, number];
  /** Drawing area of one sheet, mm. */
  readonly area: readonly [number, number];
  readonly columns: number;
  readonly rows: number;
  /** Where the drawing's left and top come on the first sheet's area, mm, so that it sits in the middle. */
  readonly insetX: number;
  readonly insetY: number;
}

function tiling(sheet: readonly [number, number], bounds: Box): Tiling {
  const area = [sheet[0] - 2 * EDGE_MM, sheet[1] - 2 * EDGE_MM - FOOT_MM] as const;
  const need = [boxWidth(bounds) + 2, boxHeight(bounds) + 2] as const;
  const count = (length: number, room: number): number =>
    length <= room ? 1 : Math.ceil((length - OVERLAP_MM) / (room - OVERLAP_MM));
  const columns = count(need[0], area[0]);
  const rows = count(need[1], area[1]);
  const span = (n: number, room: number): number => n * room - (n - 1) * OVERLAP_MM;
  return {
    sheet,
    area,
    columns,
    rows,
    insetX: (span(columns, area[0]) - need[0]) / 2 + 1,
    insetY: (span(rows, area[1]) - need[1]) / 2 + 1,
  };
}

function drawTile(
  page: PDFPage,
  font: PDFFont,
  print: TemplatePrint,
  bounds: Box,
  tiles: Tiling,
  column: number,
  row: number,
): void {
  const { wrap, films, title, unit } = print;
  const [sheetWidth, sheetHeight] = tiles.sheet;
  const ink = rgb(0, 0, 0);
  const grey = rgb(0.45, 0.45, 0.45);
  // Left and top of the drawing on this sheet, mm from the sheet's lower left corner.
  const left = EDGE_MM + tiles.insetX - column * (tiles.area[0] - OVERLAP_MM);
  const top = sheetHeight - EDGE_MM - tiles.insetY + row * (tiles.area[1] - OVERLAP_MM);
  const x = (v: number): number => (left + v - bounds.minX) * PT;
  const y = (v: number): number => (top + v - bounds.maxY) * PT;
  // pdf-lib reads SVG path data with y down from (x, y), scaled: exactly the template's own millimetres.
  const draw = (data: string, options: { line?: number; fill?: string; shade?: number }): void => {
    page.drawSvgPath(data, {
      x: x(0),
      y: y(0),
      scale: PT,
      ...(options.fill ? { color: hexColour(options.fill), opacity: options.shade ?? 1 } : {}),
      ...(options.line ? { borderColor: ink, borderWidth: options.line, borderLineCap: LineCapStyle.Round } : {}),
    });
  };
  const { panels } = wrap;
  if (print.withPieces && carriesPieces(wrap))
    for (const piece of wrap.pieces) {
      const film = films.find((f) => f.id === piece.film);
      draw(piece.paths.map(onPaper).join(''), { fill: film?.colour ?? '#888888', shade: 0.35 });
    }
  for (const path of panels.flatMap((panel) => panel.outlines)) draw(onPaper(path), { line: 0.25 });
  const line = (ax: number, ay: number, bx: number, by: number, thickness = 0.6, colour = ink): void =>
    page.drawLine({ start: { x: ax, y: ay }, end: { x: bx, y: by }, thickness, color: colour });
  for (const { from, to } of panels.flatMap((panel) => panel.lines)) line(x(from.x), y(from.y), x(to.x), y(to.y));
  for (const { from, to } of wrap.tape.flatMap((sheet) => sheet.slits))
    page.drawLine({
      start: { x: x(from.x), y: y(from.y) },
      end: { x: x(to.x), y: y(to.y) },
      thickness: 0.8,
      color: ink,
      dashArray: [5, 3],
    });
  for (const { at, text } of panels.flatMap((panel) => panel.words)) {
    const size = 9;
    const width = font.widthOfTextAtSize(text, size);
    const [from, to] = [EDGE_MM * PT, (sheetWidth - EDGE_MM) * PT];
    const middle = x(at.x);
    // On the sheet that its place is on, and whole: beside the front mark there is often the end of a sheet.
    if (middle < from || middle > to) continue;
    const start = Math.max(from + 2, Math.min(to - width - 2, middle - width / 2));
    page.drawText(text, { x: start, y: y(at.y), size, font, color: ink });
  }
  coverEdges(page, tiles);
  cropMarks(page, tiles, line, grey);
  drawRuler(page, font, line);
  const sheets = tiles.columns * tiles.rows;
  const number = row * tiles.columns + column + 1;
  const words = [
    title,
    templateSizes(wrap, unit),
    `Sheet ${number} of ${sheets}${sheets > 1 ? `; neighbours share ${formatLength(OVERLAP_MM, unit)}` : ''}. Cut along the outline.`,
    'Print at 100 %, not “fit to page”. Check the ruler first.',
  ];
  words.forEach((text, i) => {
    const safe = drawable(text, font);
    const room = (sheetWidth - 2 * EDGE_MM - 108) * PT;
    const size = Math.min(i === 0 ? 10 : 8, (8 * room) / Math.max(1, font.widthOfTextAtSize(safe, 8)));
    page.drawText(safe, { x: (EDGE_MM + 108) * PT, y: (EDGE_MM + 14.5 - i * 4.6) * PT, size, font, color: ink });
  });
}

/** The figures that a person checks the print by. */
function templateSizes({ template, size, panels }: Wrap, unit: Units): string {
  const mm = (v: number): string => formatLength(v, unit);
  if (panels.length > 1 && template.flattening.way === 'gores')
    return `${panels.length} pieces, each named, ${mm(boxWidth(panels[0]!.bounds))} wide and ${mm(boxHeight(panels[0]!.bounds))} long`;
  if (panels.length > 1) return `${panels.length} pieces, each named; side ${mm(size.side)} in all`;
  if (template.closed)
    return `Rim edge ${mm(template.rimLength)}, base edge ${mm(template.baseLength)}, side ${mm(size.side)}`;
  return template.outline.segments[0]!.kind === 'arc'
    ? `${mm(template.rimLength)} across`
    : `${mm(template.rimLength)} wide, ${mm(size.side)} high`;
}

/** White over what runs into the unprintable edge and the foot, so that neighbouring sheets meet at their crop marks. */
function coverEdges(page: PDFPage, tiles: Tiling): void {
  const [w, h] = tiles.sheet;
  const white = rgb(1, 1, 1);
  const cover = (x: number, y: number, width: number, height: number): void =>
    page.drawRectangle({ x: x * PT, y: y * PT, width: width * PT, height: height * PT, color: white });
  // A little past the sheet: a renderer may paint part of a dot beyond it.
  cover(-2, 0, EDGE_MM + 2, h);
  cover(w - EDGE_MM, 0, EDGE_MM + 2, h);
  cover(0, h - EDGE_MM, w, EDGE_MM + 2);
  cover(0, 0, w, EDGE_MM + FOOT_MM);
}

type DrawLine = (
  ax: number,
  ay: number,
  bx: number,
  by: number,
  thickness?: number,
  colour?: ReturnType<typeof rgb>,
) => void;

function cropMarks(page: PDFPage, tiles: Tiling, line: DrawLine, colour: ReturnType<typeof rgb>): void {
  void page;
  if (tiles.columns * tiles.rows === 1) return;
  const [w, h] = tiles.sheet;
  for (const cx of [EDGE_MM, w - EDGE_MM])
    for (const cy of [EDGE_MM + FOOT_MM, h - EDGE_MM]) {
      const outX = cx === EDGE_MM ? -5 : 5;
      const outY = cy === h - EDGE_MM ? 5 : -5;
      line(cx * PT, cy * PT, (cx + outX) * PT, cy * PT, 0.4, colour);
      line(cx * PT, cy * PT, cx * PT, (cy + outY) * PT, 0.4, colour);
    }
}

/** A ruler of 100 mm with one of 4 in below it; both start at the same stroke. */
function drawRuler(page: PDFPage, font: PDFFont, line: DrawLine): void {
  const x0 = EDGE_MM;
  const y0 = EDGE_MM + 11;
  line(x0 * PT, y0 * PT, (x0 + 101.6) * PT, y0 * PT, 0.5);
  for (let i = 0; i <= 100; i++) {
    const length = i % 10 === 0 ? 4 : i % 5 === 0 ? 3 : 1.8;
    line((x0 + i) * PT, y0 * PT, (x0 + i) * PT, (y0 + length) * PT, i % 10 === 0 ? 0.5 : 0.25);
  }
  for (let i = 0; i <= 32; i++) {
    const length = i % 8 === 0 ? 4 : i % 4 === 0 ? 3 : 1.8;
    line((x0 + i * 3.175) * PT, y0 * PT, (x0 + i * 3.175) * PT, (y0 - length) * PT, i % 8 === 0 ? 0.5 : 0.25);
  }
  const label = (text: string, x: number, y: number): void =>
    page.drawText(text, { x: x * PT, y: y * PT, size: 7, font, color: rgb(0, 0, 0) });
  label('0', x0 + 0.3, y0 + 4.6);
  label('100 mm', x0 + 94, y0 + 4.6);
  label('4 in', x0 + 96, y0 - 7);
}

/** Text with what the font cannot draw replaced, so that a foreign name never stops a print. */
export function drawable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((letter) => (known.has(letter.codePointAt(0)!) ? letter : '?')).join('');
}

/** A CSS colour of six digits. */
export function hexColour(colour: string): ReturnType<typeof rgb> {
  const n = parseInt(colour.slice(1), 16);
  return rgb(((n >> 16) & 255) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255);
}
