import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument } from '@cantoo/pdf-lib';
import { create } from 'qrcode';
import { describe, expect, it } from 'vitest';
import { fontFile } from '../../../test/fonts.ts';
import { inOrder } from '../../bench/engine.ts';
import { cardLine, writeBenchCardPdf } from './bench-card.ts';
import { writeCarePdf } from './care.ts';
import { writeShoppingPdf } from './shopping.ts';

const font = fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff');
const print = { title: 'Crew mugs', paper: 'a4', font, boldFont: font } as const;
const care = { title: 'How to keep it: Crew mug', lines: ['Do not wash it in the first 48 hours.', 'Not in a microwave: there is metal in it.'] }; // prettier-ignore
function written(pdf: Uint8Array): string {
  const folder = mkdtempSync(join(tmpdir(), 'mivet-care-'));
  writeFileSync(join(folder, 'p.pdf'), pdf);
  return join(folder, 'p.pdf');
}
const textOf = (pdf: Uint8Array): string => execFileSync('pdftotext', [written(pdf), '-'], { encoding: 'utf8' }).replace(/\s+/g, ' '); // prettier-ignore

describe('care cards', () => {
  it('are eight to a sheet, each with its words', async () => {
    const pdf = await writeCarePdf({ ...print, care, count: 14 });
    expect((await PDFDocument.load(pdf)).getPageCount()).toBe(2);
    expect(textOf(pdf).match(/How to keep it: Crew mug/g)).toHaveLength(14);
    expect((await PDFDocument.load(await writeCarePdf({ ...print, care, count: 8 }))).getPageCount()).toBe(1);
  });

  it('hold the words themselves in their picture code, module by module', async () => {
    const { modules } = create(`${care.title}\n${care.lines.join('\n')}`, { errorCorrectionLevel: 'M' });
    const path = written(await writeCarePdf({ ...print, care, count: 1 }));
    execFileSync('pdftoppm', ['-r', '508', '-gray', '-singlefile', path, path]);
    const file = readFileSync(`${path}.pgm`);
    const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 60).toString('latin1'))!;
    const [width, dots] = [Number(head[1]), 20];
    const dark = (xMm: number, yMm: number): number => (file[head[0].length + Math.round(yMm * dots) * width + Math.round(xMm * dots)]! < 128 ? 1 : 0); // prettier-ignore
    // A card of 85 mm ends in the middle of the sheet of 210 mm; the code of 19 mm stands 3.5 mm from its corner.
    const [left, top, cell] = [105 - 3.5 - 19, (40 / 72) * 25.4 + 3.5, 19 / modules.size];
    for (let row = 0; row < modules.size; row++)
      for (let column = 0; column < modules.size; column++)
        expect(dark(left + (column + 0.5) * cell, top + (row + 0.5) * cell)).toBe(modules.get(row, column) ? 1 : 0);
  });
});

describe('the steps on a card', () => {
  const [tape, mark, dry] = inOrder([
    { id: 'tape', kind: 'tape', title: 'Tape', body: '', numbers: { tapeWidthMm: 80, tapeHeightMm: 70, counters: 0 } },
    { id: 'mark', kind: 'mark', title: 'Mark', body: '', numbers: { topBelowRimMm: 25, middleBelowRimMm: 35, roundFromHandleMm: 64.5 } }, // prettier-ignore
    { id: 'dry', kind: 'clean', title: 'Clean', body: '', waitMinutes: 180, numbers: { trueOver100Mm: 0.4, slits: 3, counters: 5 }, cautions: ['alcohol'] }, // prettier-ignore
  ]);
  it('have the numbers that one forgets, in a line each, and the cautions at the foot', async () => {
    expect(cardLine(tape!, 'mm')).toBe('Tape: tape 80 × 70 mm');
    expect(cardLine(mark!, 'mm')).toBe(
      'Mark: top 25.0 mm below the rim, middle 35.0 mm, 64.5 mm round from the handle',
    );
    expect(cardLine(dry!, 'mm')).toBe('Clean: 5 counters, true to 0.4 mm, 3 slits, wait 3 h');
    const text = textOf(await writeBenchCardPdf({ ...print, steps: [tape!, mark!, dry!], unit: 'mm' }));
    expect(text).toMatch(/Tape: tape 80 × 70 mm.*Caution: Alcohol burns\..*trained people come first/);
  });
});

describe('the shopping list on paper', () => {
  it('has a line to tick for each', async () => {
    const text = textOf(await writeShoppingPdf({ ...print, list: [{ what: 'Ensign', says: 'short by 80 × 60 mm' }] }));
    expect(text).toMatch(/Crew mugs.*Ensign: short by 80 × 60 mm/);
  });
});
