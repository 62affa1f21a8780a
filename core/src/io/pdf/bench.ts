import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import * as fontkit from 'fontkit';
import type { BenchStep } from '../../bench/steps.ts';
import { waitText } from '../../bench/steps.ts';
import type { Paper } from './template.ts';
import { drawable } from './template.ts';

/** pt, width × height. */
const PAPER_PT: Record<Paper, readonly [number, number]> = { a4: [595.28, 841.89], letter: [612, 792] };

/** What goes on the bench sheet. */
export interface BenchPrint {
  readonly title: string;
  readonly steps: readonly BenchStep[];
  readonly paper: Paper;
  /** Text font and its bold, WOFF or TTF bytes. */
  readonly font: Uint8Array;
  readonly boldFont: Uint8Array;
}

/**
 * The bench steps as a sheet to tick off.
 *
 * @returns PDF bytes
 */
export async function writeBenchPdf(print: BenchPrint): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit as never);
  const plain = await document.embedFont(print.font, { subset: true });
  const bold = await document.embedFont(print.boldFont, { subset: true });
  document.setTitle(print.title);
  document.setProducer('Mivet');
  document.setCreator('Mivet');
  const [width, height] = PAPER_PT[print.paper];
  const margin = 46;
  const ink = rgb(0, 0, 0);
  let page = document.addPage([width, height]);
  let y = height - margin;

  const wrapText = (text: string, font: typeof plain, size: number, room: number): string[] => {
    const lines: string[] = [];
    let current = '';
    for (const word of drawable(text, font).split(/\s+/)) {
      const longer = current ? `${current} ${word}` : word;
      if (font.widthOfTextAtSize(longer, size) > room && current) {
        lines.push(current);
        current = word;
      } else current = longer;
    }
    return current ? [...lines, current] : lines;
  };
  const write = (text: string, font: typeof plain, size: number, indent: number): void => {
    for (const line of wrapText(text, font, size, width - 2 * margin - indent)) {
      y -= size * 1.38;
      page.drawText(line, { x: margin + indent, y, size, font, color: ink });
    }
  };
  const heightOf = (step: BenchStep): number => {
    const room = width - 2 * margin - 30;
    const count = (text: string | null): number => (text ? wrapText(text, plain, 10, room).length * 13.8 : 0);
    return (
      40 + count(step.body) + count(step.caution) + (step.check ? count(step.check.ask + step.check.ifNot) + 4 : 0)
    );
  };

  write(print.title, bold, 17, 0);
  write(
    'Tick each step. Labels of your film, tape and blank, local codes and trained people come before this sheet.',
    plain,
    9,
    0,
  );
  y -= 8;
  print.steps.forEach((step, index) => {
    if (y - heightOf(step) < margin) {
      page = document.addPage([width, height]);
      y = height - margin;
    }
    page.drawLine({ start: { x: margin, y: y - 3 }, end: { x: width - margin, y: y - 3 }, thickness: 0.4, color: ink });
    page.drawRectangle({ x: margin, y: y - 25, width: 12, height: 12, borderWidth: 0.9, borderColor: ink });
    y -= 6;
    write(`${index + 1}  ${step.title}`, bold, 12, 30);
    const time = [
      step.handsMinutes > 0 ? `${step.handsMinutes} min` : '',
      step.waitMinutes > 0 ? `then wait ${waitText(step.waitMinutes)}` : '',
    ]
      .filter(Boolean)
      .join(', ');
    write(`${step.body}${time ? ` (${time})` : ''}`, plain, 10, 30);
    if (step.caution) write(`Caution: ${step.caution}`, bold, 9.5, 30);
    if (step.check) write(`Check: ${step.check.ask} If not: ${step.check.ifNot}`, plain, 9.5, 30);
    y -= 6;
  });
  return document.save();
}
