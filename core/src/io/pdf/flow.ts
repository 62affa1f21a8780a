import type { PDFDocument, PDFFont, PDFPage } from '@cantoo/pdf-lib';
import { PDFDocument as Document, rgb } from '@cantoo/pdf-lib';
import * as fontkit from 'fontkit';
import type { Paper } from './template.ts';
import { drawable } from './template.ts';

/** pt, width × height. */
const PAPER_PT: Record<Paper, readonly [number, number]> = { a4: [595.28, 841.89], letter: [612, 792] };
/** pt from every edge of the paper. */
const MARGIN = 46;
/** pt from the lower edge to the line that says which page it is. */
const FOOT = 26;
/** Line pitch, in sizes of the letters. */
const PITCH = 1.38;

/** What every sheet of text needs. */
export interface SheetPrint {
  readonly title: string;
  readonly paper: Paper;
  /** Text font and its bold, WOFF or TTF bytes. */
  readonly font: Uint8Array;
  readonly boldFont: Uint8Array;
}

/** Text that runs down pages; sizes and places in pt. */
export interface Flow {
  readonly document: PDFDocument;
  readonly plain: PDFFont;
  readonly bold: PDFFont;
  readonly margin: number;
  /** Between the margins. */
  readonly width: number;
  readonly page: PDFPage;
  /** Where the next thing goes, from the foot of the page. */
  readonly y: number;
  /** Leaves room. */
  leave(height: number): void;
  /** Goes on to the next page when there is less room than this. */
  keep(height: number): void;
  /** Writes a paragraph, on as many lines as it takes. */
  write(text: string, font: PDFFont, size: number, indent?: number): void;
  /** Height of a paragraph. */
  heightOf(text: string | null, font: PDFFont, size: number, indent?: number): number;
  /** A hairline across. */
  rule(): void;
  /** Writes title and page at the foot of every page, and the whole as PDF bytes. */
  finish(): Promise<Uint8Array>;
}

/** Starts a document whose text runs down pages of a paper. */
export async function startFlow({ title, paper, font, boldFont }: SheetPrint): Promise<Flow> {
  const document = await Document.create();
  document.registerFontkit(fontkit as never);
  const plain = await document.embedFont(font, { subset: true });
  const bold = await document.embedFont(boldFont, { subset: true });
  document.setTitle(title);
  document.setProducer('Mivet');
  document.setCreator('Mivet');
  const size = PAPER_PT[paper];
  const ink = rgb(0, 0, 0);
  let page = document.addPage([...size]);
  let y = size[1] - MARGIN;
  const room = size[0] - 2 * MARGIN;
  const keep = (height: number): void => {
    if (y - height >= MARGIN) return;
    page = document.addPage([...size]);
    y = size[1] - MARGIN;
  };
  return {
    document,
    plain,
    bold,
    margin: MARGIN,
    width: room,
    get page() {
      return page;
    },
    get y() {
      return y;
    },
    leave: (height) => {
      y -= height;
    },
    keep,
    write: (text, by, points, indent = 0) => {
      for (const line of linesOf(text, by, points, room - indent)) {
        keep(points * PITCH);
        y -= points * PITCH;
        page.drawText(line, { x: MARGIN + indent, y, size: points, font: by, color: ink });
      }
    },
    heightOf: (text, by, points, indent = 0) =>
      text ? linesOf(text, by, points, room - indent).length * points * PITCH : 0,
    rule: () =>
      page.drawLine({
        start: { x: MARGIN, y: y - 3 },
        end: { x: MARGIN + room, y: y - 3 },
        thickness: 0.4,
        color: ink,
      }),
    finish: () => {
      const pages = document.getPages();
      for (const [i, one] of pages.entries()) {
        const words = drawable(`${title}, page ${i + 1} of ${pages.length}`, plain);
        one.drawText(words, { x: MARGIN, y: FOOT, size: 8, font: plain, color: rgb(0.35, 0.35, 0.35) });
      }
      return document.save();
    },
  };
}

/** A number and the blank before its unit: they stay on one line. */
const UNIT_AFTER_NUMBER = /(\d) (?=(?:mm|cm|m|in|ft|mil|min|h|%)\b)/g;

/** Breaks a paragraph into lines; a word that is longer than a line stays whole. */
export function linesOf(text: string, font: PDFFont, size: number, room: number): string[] {
  const lines: string[] = [];
  let current = '';
  const sentence = drawable(text, font).replace(UNIT_AFTER_NUMBER, '$1\u00a0');
  for (const word of sentence.split(/[ \n\t]+/)) {
    const longer = current ? `${current} ${word}` : word;
    if (font.widthOfTextAtSize(longer, size) > room && current) {
      lines.push(current);
      current = word;
    } else current = longer;
  }
  return current ? [...lines, current] : lines;
}
