import {
  benchSteps,
  cutFiles,
  deriveFitPaper,
  describeBlankProblem,
  examineProject,
  findSilhouette,
  writeTemplateSvg,
  type JobFile,
} from '@mivet/core';
import { fontsOf, fontSample, loadFonts, paperFonts } from './fonts.ts';
import { partsPicture, pictureOf } from './picture.ts';
import type { CoreJobs, CoreReply, CoreRequest } from './protocol.ts';

async function fitPaper(
  project: CoreJobs['files']['input']['project'],
  unit: 'mm' | 'in',
  paper: CoreJobs['files']['input']['paper'],
): Promise<JobFile> {
  const derived = deriveFitPaper(project, await fontsOf(project.items));
  if (!derived.ok) throw new Error(describeBlankProblem(derived.problem, unit));
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  const print = {
    wrap: derived.wrap,
    films: [],
    title: `Fit paper: ${project.blank.name}`,
    unit,
    paper,
    withPieces: false,
  };
  return { name: 'fit-paper.pdf', content: await papers.writeTemplatePdf({ ...print, ...fonts }) };
}

async function files({
  project,
  unit,
  paper,
  kind,
  withPieces,
}: CoreJobs['files']['input']): Promise<readonly JobFile[]> {
  if (kind === 'fit-pdf') return [await fitPaper(project, unit, paper)];
  const examined = examineProject(project, await fontsOf(project.items));
  if (!examined.ok) throw new Error(describeBlankProblem(examined.problem, unit));
  const { wrap, cut, sheet } = examined;
  const { films, name: title } = project;
  if (kind === 'cut') return cutFiles(project, cut, sheet);
  if (kind === 'template-svg') return [{ name: 'template.svg', content: writeTemplateSvg(wrap, films, title) }];
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  if (kind === 'template-dxf') return [{ name: 'template.dxf', content: papers.writeTemplateDxf(wrap, films) }];
  if (kind === 'template-pdf')
    return [
      {
        name: 'template.pdf',
        content: await papers.writeTemplatePdf({ wrap, films, title, unit, paper, withPieces, ...fonts }),
      },
    ];
  if (kind === 'bench-pdf')
    return [
      {
        name: 'bench.pdf',
        content: await papers.writeBenchPdf({ title, steps: benchSteps(project, wrap, sheet, unit), paper, ...fonts }),
      },
    ];
  return papers.jobFiles(project, examined, { unit, paper, ...fonts });
}

// Asked for at once, so that the fonts are there when the first project is.
loadFonts().catch(() => undefined);

const HANDLERS: { [K in keyof CoreJobs]: (input: CoreJobs[K]['input']) => Promise<CoreJobs[K]['output']> } = {
  examine: async ({ project, unit }) => pictureOf(project, await fontsOf(project.items), unit),
  files,
  parts: async ({ item }) => partsPicture(item, await fontsOf([item])),
  font: async ({ bytes }) => fontSample(bytes),
  drawing: async (input) => (await import('./read-drawing.ts')).readDrawing(input),
  trace: async (input) => (await import('./read-drawing.ts')).readTrace(input),
  silhouette: async ({ picture, axis }) => findSilhouette(picture, { axis }),
};

self.onmessage = async ({ data }: MessageEvent<CoreRequest>): Promise<void> => {
  try {
    const handler = HANDLERS[data.job] as ((input: unknown) => Promise<CoreJobs[keyof CoreJobs]['output']>) | undefined;
    if (!handler) throw new Error(`The worker has no job called ${String(data.job)}.`);
    reply({ id: data.id, ok: true, output: await handler(data.input) });
  } catch (problem) {
    reply({ id: data.id, ok: false, message: problem instanceof Error ? problem.message : String(problem) });
  }
};

function reply(message: CoreReply): void {
  self.postMessage(message);
}
