import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument } from '@cantoo/pdf-lib';
import { describe, expect, it } from 'vitest';
import { at, contextOf, findingsOf, projectOf } from '../../../test/findings.ts';
import { fontFile, testFonts } from '../../../test/fonts.ts';
import { makeBlank, makeJob, mug, plate, textItem, tumbler, wave } from '../../../test/jobs.ts';
import { benchSteps } from '../../bench/steps.ts';
import { planJob } from '../../load/job-sheet.ts';
import type { Project } from '../../model/project.ts';
import { examineProject } from '../../pipeline.ts';
import { signatureOf } from '../../proof/finding.ts';
import { boardById } from '../../load/boards.ts';
import { deriveWrap } from '../../pieces/wrap.ts';
import { placingCard } from '../../present/placing-card.ts';
import { writeBenchPdf } from './bench.ts';
import { writeProofPdf } from './proof-sheet.ts';
import { writeTemplatePdf, type Paper } from './template.ts';

const font = fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff');

async function template(blank: ReturnType<typeof tumbler>, paper: Paper, withPieces = false): Promise<Uint8Array> {
  const job = makeJob(blank, withPieces ? [wave(9)] : []);
  const derived = deriveWrap(job, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return writeTemplatePdf({
    wrap: derived.wrap,
    films: job.films,
    title: 'Zoë’s cup 舟',
    paper,
    unit: 'mm',
    withPieces,
    font,
  });
}

/** Words of each page with where they stand, mm from the left. */
function wordsOf(pdf: Uint8Array): { text: string; from: number; to: number }[][] {
  const folder = mkdtempSync(join(tmpdir(), 'mivet-pdf-'));
  writeFileSync(join(folder, 'p.pdf'), pdf);
  const html = execFileSync('pdftotext', ['-bbox', join(folder, 'p.pdf'), '-'], { encoding: 'utf8' });
  const mm = (pt: string): number => (Number(pt) * 25.4) / 72;
  return html
    .split('<page ')
    .slice(1)
    .map((page) =>
      [...page.matchAll(/xMin="([\d.-]+)" yMin="[\d.-]+" xMax="([\d.-]+)" yMax="[\d.-]+">([^<]*)</g)].map(
        ([, from, to, text]) => ({ text: text!, from: mm(from!), to: mm(to!) }),
      ),
    );
}

/** Pages as grey pictures at ten dots a millimetre. */
function render(pdf: Uint8Array): { width: number; height: number; dark: (x: number, y: number) => boolean }[] {
  const folder = mkdtempSync(join(tmpdir(), 'mivet-pdf-'));
  writeFileSync(join(folder, 'p.pdf'), pdf);
  execFileSync('pdftoppm', ['-r', '254', '-gray', join(folder, 'p.pdf'), join(folder, 'p')]);
  const pages = execFileSync('ls', [folder], { encoding: 'utf8' })
    .split('\n')
    .filter((n) => n.endsWith('.pgm'))
    .sort();
  return pages.map((name) => {
    const file = readFileSync(join(folder, name));
    const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 60).toString('latin1'))!;
    const width = Number(head[1]);
    const pixels = file.subarray(head[0].length);
    return { width, height: Number(head[2]), dark: (x, y) => pixels[y * width + x]! < 128 };
  });
}

describe('writeTemplatePdf', () => {
  it('says “rim this way” whole on each sheet that its place is on', async () => {
    // Two sheets side by side: the front mark stands in the ten millimetres that they share.
    const pages = wordsOf(await template(tumbler(), 'a4'));
    expect(pages).toHaveLength(2);
    for (const words of pages) {
      const at = words.findIndex((w) => w.text === 'rim');
      const said = words.slice(at, at + 6);
      expect(said.map((w) => w.text).join(' ')).toBe('rim this way (the longer arc)');
      expect(said[0]!.from).toBeGreaterThan(9);
      expect(said.at(-1)!.to).toBeLessThan(210 - 9);
    }
  });

  it('carries a straight template at true scale to a thousandth', async () => {
    // 180 mm round and 100 mm high fit one upright sheet of 210 mm.
    const [page] = render(await template(makeBlank({ girthRim: 180, side: 100 }), 'a4'));
    expect(page!.width / 10).toBeCloseTo(210, 0);
    // Long dark runs: the two edges of the rectangle along a row, and down a column.
    const row = Math.round(page!.height * 0.4);
    const across: number[] = [];
    for (let x = 0; x < page!.width; x++) if (page!.dark(x, row)) across.push(x);
    expect(Math.abs((across.at(-1)! - across[0]!) / 10 - 180)).toBeLessThan(0.18);
    const column = across[0]! + 300;
    const down: number[] = [];
    for (let y = 0; y < page!.height * 0.88; y++) if (page!.dark(column, y)) down.push(y);
    expect(Math.abs((down.at(-1)! - down[0]!) / 10 - 100)).toBeLessThan(0.1);
  });

  it('bows the rim of a taper by its sagitta', async () => {
    const blank = makeBlank({ girthRim: 180, girthBase: 140, side: 100 });
    const [page] = render(await template(blank, 'letter'));
    const top = (x: number): number => {
      for (let y = 0; y < page!.height; y++) if (page!.dark(x, y)) return y;
      return NaN;
    };
    const inked: number[] = [];
    for (let x = 0; x < page!.width; x++) if (top(x) < page!.height * 0.8) inked.push(x);
    const middle = Math.round((inked[0]! + inked.at(-1)!) / 2);
    // r₁π·sin(kπ/2)·sinc(kπ/2) with k = 40/(2π·100): half-turn 0.2 rad; apex radius 450 mm; 450(1 − cos 0.2) = 8.97 mm.
    const sagitta = (top(inked[0]! + 2) - top(middle)) / 10;
    expect(sagitta).toBeCloseTo(450 * (1 - Math.cos(0.2)), 0);
    // Ends of the rim arc: 2·450·sin 0.2 apart.
    expect(Math.abs((inked.at(-1)! - inked[0]!) / 10 - 900 * Math.sin(0.2))).toBeLessThan(0.25);
  });

  it('tiles what is larger than a sheet, on both papers', async () => {
    for (const [paper, size] of [
      ['a4', [841.89, 595.28]],
      ['letter', [792, 612]],
    ] as const) {
      const pdf = await PDFDocument.load(await template(tumbler(), paper, true));
      expect(pdf.getPageCount()).toBe(2);
      const { width, height } = pdf.getPage(0).getSize();
      expect([Math.max(width, height), Math.min(width, height)]).toEqual([
        expect.closeTo(size[0], 0),
        expect.closeTo(size[1], 0),
      ]);
    }
  });
});

describe('writeBenchPdf', () => {
  it('lists every step, over as many pages as it takes', async () => {
    const project = projectOf(makeJob(tumbler(), [wave(9), textItem('COX', { film: 'ensign' })]));
    const { wrap } = contextOf(project);
    const steps = benchSteps({
      job: project,
      wrap,
      sheet: planJob(wrap.pieces, project.films, boardById('backed')),
      unit: 'in',
    });
    const folder = mkdtempSync(join(tmpdir(), 'mivet-bench-'));
    writeFileSync(
      join(folder, 'b.pdf'),
      await writeBenchPdf({ title: 'Cox’s tumbler', steps, paper: 'a4', font, boldFont: font }),
    );
    const text = execFileSync('pdftotext', [join(folder, 'b.pdf'), '-'], { encoding: 'utf8' });
    for (const step of steps) expect(text.replace(/\s+/g, ' ')).toContain(step.title);
    expect(text).toContain('trained people come before this sheet');
  });
});

describe('the placing card on the bench sheet', () => {
  it('draws every figure with its number and says where it goes', async () => {
    const figure = (id: string, facing: 'front' | 'drinker') => plate(id, 40, 20, { name: id, byItself: true, placement: { facing, angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 } }); // prettier-ignore
    const project = projectOf(makeJob(mug({ handleWidthMm: 0 }), [figure('boat', 'front'), figure('gull', 'drinker')]));
    const { wrap } = contextOf(project);
    const steps = benchSteps({
      job: project,
      wrap,
      sheet: planJob(wrap.pieces, project.films, boardById('backed')),
      unit: 'mm',
    });
    const folder = mkdtempSync(join(tmpdir(), 'mivet-placing-'));
    const placing = placingCard(project.blank, wrap);
    writeFileSync(join(folder, 'b.pdf'), await writeBenchPdf({ title: 'Mug', steps, placing, unit: 'mm', paper: 'a4', font, boldFont: font })); // prettier-ignore
    const text = execFileSync('pdftotext', [join(folder, 'b.pdf'), '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
    const [boat, gull] = placing!.figures;
    expect(text).toContain(`1 Boat: its top ${boat!.belowMm.toFixed(1)} mm below the rim, its middle in front`);
    expect(text).toMatch(/2 Gull: its top .* mm to the right of the front/);
    expect(gull!.roundMm).toBeCloseTo(wrap.template.rimLength / 4, 0);
  });
});

describe('writeProofPdf', () => {
  const sheet = async (project: Project): Promise<string> => {
    const examined = examineProject(project, testFonts);
    if (!examined.ok) throw new Error(examined.problem.code);
    const pdf = await writeProofPdf({
      title: project.name,
      project,
      examined,
      unit: 'mm',
      paper: 'a4',
      font,
      boldFont: font,
    });
    return wordsOf(pdf)
      .flat()
      .map((word) => word.text)
      .join(' ');
  };
  it('says sizes, films, names and what was accepted, for someone to sign', async () => {
    const words = textItem('COX', {
      film: 'ensign',
      size: { by: 'width', mm: 40 },
      placement: at({ from: 'rim', mm: 2 }),
    });
    const row = { count: 1, hand: 'left' as const, capMm: null, blankId: null };
    const names = { itemId: 'text-1', widthMm: 60, leastCapMm: 5, closeMm: 1, rows: [{ ...row, id: 'a', name: 'Tansy' }, { ...row, id: 'b', name: 'Rowan', count: 3 }] }; // prettier-ignore
    const plain = { ...projectOf(makeJob(mug(), [words])), names };
    const [finding] = findingsOf(plain, 'rim-zone');
    const accepted = [{ findingId: finding!.id, reason: 'She wants it high', signature: signatureOf(finding!) }];
    const said = await sheet({ ...plain, accepted });
    expect(said).toContain('“COX”: 40.0 mm wide');
    expect(said).toContain('2.0 mm below the top of the band');
    expect(said).toContain('From the drinker’s side');
    expect(said).toContain('Ensign, orange, gloss permanent');
    expect(said).not.toContain('Deep water');
    expect(said).toContain('Rowan × 3 (left hand)');
    expect(said).toContain('She wants it high');
    expect(said).toContain('Approved by');
    // What nobody accepted is not for the customer.
    expect(await sheet(plain)).not.toContain('left as it is');
  });
  it('takes a face, and says of a mask that it comes off', async () => {
    const ball = projectOf(makeJob(makeBlank({ girth: 252 }, { kind: 'ball' }), [textItem('3', { running: 'rigid' })]));
    expect(await sheet(ball)).toContain('Straight on');
    expect(await sheet({ ...projectOf(makeJob(tumbler(), [wave(9)])), process: 'etch' })).toContain(
      'What it leaves open is etched.',
    );
  });
});
