import {
  benchSteps,
  betterLoads,
  blocksOf,
  planJob,
  CUT_WRITERS,
  cutFiles,
  deriveFitPaper,
  describeBlankProblem,
  examineProject,
  examineSteps,
  limitsWith,
  loadsToSend,
  triedFixes,
  findSilhouette,
  NO_STOCK,
  writeTemplateSvg,
  type ExamineMemory,
  type JobFile,
} from '@mivet/core';
import { openBackup, packBackup } from './backup-jobs.ts';
import { fontsOf, fontSample, loadFonts, paperFonts } from './fonts.ts';
import { batchPicture, judgedShape, marksPicture, partsPicture, seenPicture, shapePicture, stripPictures, unjudgedPicture } from './picture.ts';
import type { CloserPart, CoreJobs, CoreReply, CoreRequest, JudgedShape, ShapePicture } from './protocol.ts';

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
  limits,
  supply,
  wish,
  format,
}: CoreJobs['files']['input']): Promise<readonly JobFile[]> {
  if (kind === 'fit-pdf') return [await fitPaper(project, unit, paper)];
  const examined = examineProject(project, await fontsOf(project.items), limitsWith(limits), supply);
  if (!examined.ok) throw new Error(describeBlankProblem(examined.problem, unit));
  const { wrap, cut, sheet, batch: made } = examined;
  const { films, name: title } = project;
  if (kind === 'cut' && format !== 'dxf') return cutFiles(project, cut, sheet, wish, [CUT_WRITERS[format]]);
  if (kind === 'template-svg') return [{ name: 'template.svg', content: writeTemplateSvg(wrap, films, title) }];
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  if (kind === 'cut') return cutFiles(project, cut, sheet, wish, [papers.writeDxf]);
  if (kind === 'template-dxf') return [{ name: 'template.dxf', content: papers.writeTemplateDxf(wrap, films) }];
  if (kind === 'template-pdf')
    return [
      {
        name: 'template.pdf',
        content: await papers.writeTemplatePdf({ wrap, films, title, unit, paper, withPieces, ...fonts }),
      },
    ];
  if (kind === 'proof-pdf')
    return [
      { name: 'proof.pdf', content: await papers.writeProofPdf({ title, project, examined, unit, paper, ...fonts }) },
    ];
  if (kind === 'bench-pdf')
    return [
      {
        name: 'bench.pdf',
        content: await papers.writeBenchPdf({
          title,
          steps: benchSteps(project, wrap, sheet, unit, made),
          paper,
          ...fonts,
        }),
      },
    ];
  return papers.jobFiles(project, examined, { unit, paper, cut: wish, ...fonts });
}

async function batch({
  project,
  limits,
  supply,
  times,
}: CoreJobs['batch']['input']): Promise<CoreJobs['batch']['output']> {
  const examined = examineProject(project, await fontsOf(project.items), limitsWith(limits), supply);
  return examined.ok ? batchPicture(project, examined, supply, times) : [];
}

/** Nothing that was worked out for the picture is worked out again. */
async function marks({ project, limits, supply }: CoreJobs['marks']['input']): Promise<CoreJobs['marks']['output']> {
  const fonts = await fontsOf(project.items);
  const examined = examineProject(project, fonts, limitsWith(limits), supply, memoryOf(project));
  return examined.ok ? marksPicture(project, examined, supply) : [];
}

async function send({ project, limits, supply, wish }: CoreJobs['send']['input']): Promise<CoreJobs['send']['output']> {
  const examined = examineProject(project, await fontsOf(project.items), limitsWith(limits), supply);
  if (!examined.ok) throw new Error(describeBlankProblem(examined.problem, 'mm'));
  return loadsToSend(project, examined.cut, examined.sheet, wish);
}

// Asked for at once, so that the fonts are there when the first project is.
loadFonts().catch(() => undefined);

/** A job under way: whether it was given up, and what of its answer is there before the rest. */
interface Call {
  readonly givenUp: () => boolean;
  readonly part: (part: ShapePicture | CloserPart) => void;
}

/** A job that nobody waits for any more. */
class GivenUp extends Error {}

/** What was worked out for the project that was examined last. */
let last: { readonly id: string; readonly memory: ExamineMemory } = { id: '', memory: {} };
const memoryOf = ({ id }: { readonly id: string }): ExamineMemory => (last.id === id ? last.memory : {});

/** The shape goes ahead; between the parts of the work one listens whether it is still wanted. */
async function examine(
  { project, unit, limits, supply, wish, unjudged }: CoreJobs['examine']['input'],
  call: Call,
): Promise<CoreJobs['examine']['output']> {
  const fonts = await fontsOf(project.items);
  if (unjudged) return unjudgedPicture(project, fonts, unit, limitsWith(limits), supply);
  if (last.id !== project.id) last = { id: project.id, memory: {} };
  const steps = examineSteps(project, fonts, limitsWith(limits), supply, last.memory);
  let shape: ShapePicture | null = null;
  for (;;) {
    const step = steps.next();
    if (step.done) {
      const examined = step.value;
      if (!examined.ok) return examined;
      // The shape is there already; the other side puts the two together.
      return {
        ok: true,
        ...(shape === null ? shapePicture(project, examined) : ({} as ShapePicture)),
        ...tryingFixes(judgedShape(project, examined, unit, wish, supply)),
      };
    }
    if (step.value) {
      shape = shapePicture(project, step.value);
      call.part(shape);
    }
    await messagesIn();
    if (call.givenUp()) throw new GivenUp();
  }
}

/** What was found, with the fixes that are still to be tried marked. */
const tryingFixes = (judged: JudgedShape): JudgedShape => ({
  ...judged,
  findings: judged.findings.map((one) => (one.finding.fixes.length === 0 ? one : { ...one, trying: true })),
});

/** Every fix is tried out before it is offered; in between one listens whether they are still wanted. */
async function fixes(
  { project, limits, supply }: CoreJobs['fixes']['input'],
  call: Call,
): Promise<CoreJobs['fixes']['output']> {
  const own = limitsWith(limits);
  const fonts = await fontsOf(project.items);
  const examined = examineProject(project, fonts, own, supply, memoryOf(project));
  if (!examined.ok) return [];
  const steps = triedFixes(project, examined.findings, { fonts, limits: own, supply });
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await messagesIn();
    if (call.givenUp()) throw new GivenUp();
  }
}

/** ms between two looks at whether one is still wanted, and between two words on how many tries it were. */
const LOOK_MS = 60;

/** Lays the films again and again, closer each time, until one has seen enough. */
async function closer({ project, limits, supply, wish, seed }: CoreJobs['closer']['input'], call: Call): Promise<null> {
  const examined = examineProject(project, await fontsOf(project.items), limitsWith(limits), supply);
  if (!examined.ok) throw new Error(describeBlankProblem(examined.problem, 'mm'));
  const { cut, sheet } = examined;
  const { films } = project;
  let [tries, looked] = [0, performance.now()];
  for (const step of betterLoads(blocksOf(cut, films, supply), sheet.plan.board, supply, project.laid, seed)) {
    tries++;
    if (step) {
      const better = planJob(cut, films, sheet.plan.board, supply, step.kept);
      call.part({ sheet: better, strips: stripPictures(cut, better, wish, supply), kept: step.kept, tries });
    }
    if (performance.now() - looked < LOOK_MS) continue;
    looked = performance.now();
    await messagesIn();
    if (call.givenUp()) throw new GivenUp();
  }
  return null;
}

/** The same wrap from some side, without judging it. */
async function seen({ project, azimuth, limits }: CoreJobs['seen']['input']): Promise<CoreJobs['seen']['output']> {
  const own = limitsWith(limits);
  const first = examineSteps(project, await fontsOf(project.items), own, NO_STOCK, memoryOf(project)).next();
  return first.done || !first.value ? null : seenPicture(project, first.value.wrap, azimuth, own);
}

/** Lets messages that wait be delivered. */
const messagesIn = (): Promise<void> =>
  new Promise((go) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      go();
    };
    port2.postMessage(null);
  });

const HANDLERS: {
  [K in keyof CoreJobs]: (input: CoreJobs[K]['input'], call: Call) => Promise<CoreJobs[K]['output']>;
} = {
  examine,
  seen,
  files,
  closer,
  batch,
  marks,
  send,
  fixes,
  parts: async ({ item }) => partsPicture(item, await fontsOf([item])),
  font: async ({ bytes }) => fontSample(bytes),
  drawing: async (input) => (await import('./read-drawing.ts')).readDrawing(input),
  trace: async (input) => (await import('./read-drawing.ts')).readTrace(input),
  packBackup: ({ backup }) => packBackup(backup),
  readBackup: ({ bytes }) => openBackup(bytes),
  silhouette: async ({ picture, axis, far }) => findSilhouette(picture, { axis, far }),
};

const givenUp = new Set<number>();

self.onmessage = async ({ data }: MessageEvent<CoreRequest>): Promise<void> => {
  if ('giveUp' in data) {
    givenUp.add(data.giveUp);
    return;
  }
  const { id } = data;
  const call: Call = { givenUp: () => givenUp.has(id), part: (part) => reply({ id, part }) };
  reply({ id, begun: true });
  try {
    const handler = HANDLERS[data.job] as
      ((input: unknown, call: Call) => Promise<CoreJobs[keyof CoreJobs]['output']>) | undefined;
    if (!handler) throw new Error(`The worker has no job called ${String(data.job)}.`);
    reply({ id, ok: true, output: await handler(data.input, call) });
  } catch (problem) {
    const message = problem instanceof Error ? problem.message : String(problem);
    reply({ id, ok: false, message, givenUp: problem instanceof GivenUp });
  }
  givenUp.delete(id);
};

function reply(message: CoreReply): void {
  self.postMessage(message);
}
