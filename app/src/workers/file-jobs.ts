import { format, parseISO } from 'date-fns';
import type { BenchStep, CutWriter, JobFile, StepPicture } from '@mivet/core';
import {
  CUT_WRITERS,
  deriveFitPaper,
  describeBlankProblem,
  filmFiles,
  filmOfLayer,
  habitsWith,
  loadFiles,
  loadsToSend,
  writeTemplateSvg,
} from '@mivet/core';
import type { Call } from './call.ts';
import { fontsOf, paperFonts } from './fonts.ts';
import { examinedWell, type LastProject } from './project-jobs.ts';
import type { CoreJobs } from './protocol.ts';

type FilesInput = CoreJobs['files']['input'];

/** Writes the files of a project that are asked for. */
export async function files(input: FilesInput, _: Call, last: LastProject): Promise<readonly JobFile[]> {
  const { project, unit, paper, kind, withPieces, options, format, singles } = input;
  if (kind === 'fit-pdf') return [await fitPaper(input)];
  const examined = await examinedWell(input, last, unit);
  const { wrap, cut, sheet, steps } = examined;
  const habits = habitsWith(input.habits);
  const { films, name: title } = project;
  const cutFiles = (writer: CutWriter): JobFile[] => [
    ...(singles === 'only' ? [] : loadFiles(project, cut, sheet, options, [writer])),
    ...(singles === 'none' ? [] : filmFiles(project, cut, sheet, options, [writer])),
  ];
  if (kind === 'cut' && format !== 'dxf') return cutFiles(CUT_WRITERS[format]);
  if (kind === 'template-svg') return [{ name: 'template.svg', content: writeTemplateSvg(wrap, films, title) }];
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  switch (kind) {
    case 'cut':
      return cutFiles(papers.writeDxf);
    case 'template-dxf':
      return [{ name: 'template.dxf', content: papers.writeTemplateDxf(wrap, films) }];
    case 'template-pdf': {
      const template = { wrap, films, title, unit, paper, withPieces, ...fonts };
      return [{ name: 'template.pdf', content: await papers.writeTemplatePdf(template) }];
    }
    case 'proof-pdf': {
      const sheetOf = { title, project, examined, unit, paper, ...fonts };
      return [{ name: 'proof.pdf', content: await papers.writeProofPdf(sheetOf) }];
    }
    case 'bench-pdf': {
      const drawing = { project, examined, unit, habits };
      const pictureOf = (step: BenchStep): StepPicture | null => papers.printedPicture(step, drawing);
      return [{ name: 'bench.pdf', content: await papers.writeBenchPdf({ title, steps, paper, unit, pictureOf, placing: papers.placingCard(project.blank, wrap), ...fonts }) }]; // prettier-ignore
    }
    case 'bench-card-pdf':
      return [{ name: 'bench-card.pdf', content: await papers.writeBenchCardPdf({ title, steps, paper, unit, ...fonts }) }]; // prettier-ignore
    case 'care-pdf': {
      const used = films.filter(({ id }) => wrap.layers.some((layer) => filmOfLayer(layer) === id));
      const care = papers.careOf(project, used, habits.washing, undefined, curedAt(project));
      if (!care) throw new Error('a balloon needs no card: it is gone before it is washed.');
      return [{ name: 'care.pdf', content: await papers.writeCarePdf({ title, care, count: Math.max(1, examined.things.length), paper, ...fonts }) }]; // prettier-ignore
    }
    case 'take-along': {
      const writtenAt = new Date().toISOString();
      const fileName = `${title.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-results.json`;
      return [{ name: 'bench.html', content: papers.writeTakeAlong({ project, examined, unit, habits, writtenAt, fileName }) }]; // prettier-ignore
    }
    case 'all':
      return papers.jobFiles(project, examined, {
        unit,
        paper,
        cut: options,
        singleFilms: singles !== 'none',
        habits,
        ...fonts,
      });
  }
}

async function fitPaper({ project, unit, paper }: FilesInput): Promise<JobFile> {
  const derived = deriveFitPaper(project, await fontsOf(project.items));
  if (!derived.ok) throw new Error(describeBlankProblem(derived.problem, unit));
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  const title = `Fit paper: ${project.blank.name}`;
  const print = { wrap: derived.wrap, films: [], title, unit, paper, withPieces: false };
  return { name: 'fit-paper.pdf', content: await papers.writeTemplatePdf({ ...print, ...fonts }) };
}

/** A shopping list on paper. */
export async function shopping({ title, list, paper }: CoreJobs['shopping']['input']): Promise<Uint8Array> {
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  return papers.writeShoppingPdf({ title: `To buy for ${title}`, list, paper, ...fonts });
}

/** Loads as they are sent to a cutter. */
export async function send(
  input: CoreJobs['send']['input'],
  _: Call,
  last: LastProject,
): Promise<CoreJobs['send']['output']> {
  const { cut, sheet } = await examinedWell(input, last);
  return loadsToSend(input.project, cut, sheet, input.options);
}

/** From when on a thing has cured that is handed over before; null where it is not, or nobody knows yet. */
function curedAt({ planning, bench }: FilesInput['project']): string | null {
  const until = Object.entries(bench.waitsUntil).flatMap(([id, end]) => (id.split('#')[0] === 'cure' ? [end] : []));
  const last = until.sort().at(-1);
  return planning.beforeCure && last ? format(parseISO(last), 'EEE d MMM, HH:mm') : null;
}
