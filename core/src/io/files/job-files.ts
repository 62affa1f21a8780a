import type { Units } from '../../measure/length.ts';
import type { JobFile } from './cut-files.ts';
import { PLAIN_CUT, type CutOptions } from '../../cut/extras.ts';
import type { CuttablePiece } from '../../pieces/cuttable.ts';
import type { JobSheet } from '../../load/job-sheet.ts';
import { cutStrip } from '../../cut/order.ts';
import type { CutWriter } from './cut-files.ts';
import { CUT_WRITERS, filmFiles, loadFiles } from './cut-files.ts';
import { writeCutDxf } from '../dxf/write-cut.ts';
import type { Project } from '../../model/project.ts';
import { describeFinding } from '../../proof/words.ts';
import type { Examined } from '../../pipeline.ts';
import { writeTemplateDxf } from '../dxf/write-template.ts';
import { habitsWith } from '../../bench/schools.ts';
import type { OwnHabits } from '../../model/project.ts';
import { printedPicture } from '../../present/step-pictures.ts';
import { placingCard } from '../../present/placing-card.ts';
import { writeBenchPdf } from '../pdf/bench.ts';
import { writeProofPdf } from '../pdf/proof-sheet.ts';
import type { Paper } from '../pdf/template.ts';
import { writeTemplatePdf } from '../pdf/template.ts';
import { writeGuideSvg } from '../svg/write-guide.ts';
import { writeTemplateSvg } from '../svg/write-template.ts';

/** What the papers need besides the project. */
export interface JobFileOptions {
  readonly unit: Units;
  readonly paper: Paper;
  readonly font: Uint8Array;
  readonly boldFont: Uint8Array;
  /** What is cut besides the pieces. */
  readonly cut?: CutOptions & { readonly mirrored?: boolean };
  /** Whether there is a file for each film of a load as well. */
  readonly singleFilms?: boolean;
  /** What the person does otherwise than everybody begins. */
  readonly habits?: OwnHabits;
}

/** Cut lines as DXF. */
export const writeDxf: CutWriter = (strips, _, name) => ({ name: `${name}.dxf`, content: writeCutDxf(strips) });

/** Every format that cut lines are written in. */
export const ALL_FORMATS: readonly CutWriter[] = [CUT_WRITERS.svg, writeDxf, CUT_WRITERS.hpgl];

/** A guide for each load, with the board's outline, which no cut file carries. */
export const guideFiles = (
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  { plan }: JobSheet,
  units: Units,
): JobFile[] =>
  plan.loads.map((load) => ({
    name: `guide-${load.number}.svg`,
    content: writeGuideSvg(
      load,
      (strip) => cutStrip(cut, strip),
      project.films,
      plan.board,
      `${project.name}: load ${load.number}, guide`,
      units,
    ),
  }));

/** Every file of a job: a cut file for each load, a guide for each load, template (SVG, DXF and PDF), bench sheet, proof sheet and report. */
export async function jobFiles(
  project: Project,
  examined: Extract<Examined, { ok: true }>,
  options: JobFileOptions,
): Promise<JobFile[]> {
  const { wrap, cut, sheet, findings, steps } = examined;
  const { films, name: title } = project;
  const report = {
    project: title,
    units: 'mm',
    template: { rimLength: wrap.template.rimLength, baseLength: wrap.template.baseLength, side: wrap.size.side },
    board: sheet.plan.board,
    loads: sheet.plan.loads,
    notPlaced: sheet.plan.tooLarge,
    films: sheet.needs.map((n) => ({ film: n.film.name, pieces: n.pieces, areaMm2: n.areaMm2, cutMm: n.cutMm })),
    findings: findings.map(({ finding, acceptedFor }) => ({
      code: finding.code,
      severity: finding.severity,
      ...describeFinding(finding, options.unit),
      acceptedFor,
    })),
  };
  return [
    ...loadFiles(project, cut, sheet, options.cut ?? PLAIN_CUT, ALL_FORMATS),
    ...(options.singleFilms ? filmFiles(project, cut, sheet, options.cut ?? PLAIN_CUT, ALL_FORMATS) : []),
    ...guideFiles(project, cut, sheet, options.unit),
    { name: 'template.svg', content: writeTemplateSvg(wrap, films, title) },
    { name: 'template.dxf', content: writeTemplateDxf(wrap, films) },
    { name: 'template.pdf', content: await writeTemplatePdf({ ...options, wrap, films, title, withPieces: true }) },
    {
      name: 'bench.pdf',
      content: await writeBenchPdf({
        ...options,
        title,
        steps,
        placing: placingCard(project.blank, wrap),
        pictureOf: (step) =>
          printedPicture(step, {
            project,
            examined,
            unit: options.unit,
            habits: habitsWith(options.habits ?? project.carried?.habits),
          }),
      }),
    },
    { name: 'proof.pdf', content: await writeProofPdf({ ...options, title, project, examined }) },
    { name: 'report.json', content: `${JSON.stringify(report, null, 2)}\n` },
  ];
}
