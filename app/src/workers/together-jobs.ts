import type { JobFile } from '@mivet/core';
import {
  blocksOf,
  boardById,
  CUT_WRITERS,
  describeBlankProblem,
  examineStages,
  guideTogether,
  habitsWith,
  settingsOf,
  limitsWith,
  planTogether,
  sharesOf,
  stripViewModels,
  tapeArea,
  type CutProject,
  type GuidedProject,
  type StageMemo,
  type TogetherPlan,
} from '@mivet/core';
import { type Call, inTurns } from './call.ts';
import { fontsOf, paperFonts } from './fonts.ts';
import { materialsOf } from './learnt.ts';
import type { CoreJobs } from './protocol.ts';

type Input = CoreJobs['together']['input'];

/** Memos of the projects that were laid together last: choosing one more examines that one only. */
export class LastTogether {
  #memos = new Map<string, StageMemo>();

  /** Memo of a project; those of projects that are not among the wanted ones are dropped. */
  of(id: string, wanted: ReadonlySet<string>): StageMemo {
    for (const other of this.#memos.keys()) if (!wanted.has(other)) this.#memos.delete(other);
    const memo = this.#memos.get(id) ?? new Map();
    this.#memos.set(id, memo);
    return memo;
  }
}

const last = new LastTogether();

/** Everything that is wanted, worked through project by project; those that cannot be cut are named and left out. */
async function planOf(
  { projects, limits, supply, boardId, unit, habits, learnt }: Input,
  call: Call,
): Promise<{
  together: TogetherPlan;
  told: Omit<CoreJobs['together']['output'], 'together' | 'strips' | 'shares' | 'tapeMm2'>;
}> {
  const wanted = new Set(projects.map(({ id }) => id));
  const good: CutProject[] = [];
  const guided: GuidedProject[] = [];
  const leftOut: { projectId: string; why: string }[] = [];
  const failing: { projectId: string; count: number }[] = [];
  for (const [i, project] of projects.entries()) {
    call.part({ done: i, of: projects.length, name: project.name });
    const fonts = await fontsOf(project.items);
    const input = {
      project,
      fonts,
      limits: limitsWith(limits),
      supply,
      unit,
      habits: habitsWith(habits),
      materials: materialsOf(learnt),
    };
    const made = await inTurns(examineStages(input, last.of(project.id, wanted)), call);
    if (!made.ok) {
      leftOut.push({ projectId: project.id, why: describeBlankProblem(made.problem, unit) });
      continue;
    }
    if (made.cut.length === 0) leftOut.push({ projectId: project.id, why: 'Nothing is placed on it yet.' });
    else {
      good.push({ project, cut: made.cut });
      guided.push({ id: project.id, name: project.name, steps: made.steps });
    }
    const count = made.findings.filter((f) => f.finding.severity === 'fails' && f.acceptedFor === null).length;
    if (count > 0) failing.push({ projectId: project.id, count });
  }
  const own = supply.cutters.map(({ board, onBoard }) => ({ ...board, alone: !onBoard }));
  const together = planTogether(good, boardById(boardId, own), supply);
  const { films, sheet } = together;
  return {
    together,
    told: {
      leftOut,
      failing,
      guide: guideTogether(guided, { films, sheet, unit, settings: settingsOf(supply.films) }),
    },
  };
}

/** Loads of several projects on common boards. */
export async function together(input: Input, call: Call): Promise<CoreJobs['together']['output']> {
  const { together: plan, told } = await planOf(input, call);
  const strips = stripViewModels(plan.cut, plan.sheet, plan.films, input.options, input.supply);
  const { sheet, films, parts } = plan;
  return {
    together: { sheet, films, parts },
    strips,
    shares: sharesOf(plan),
    tapeMm2: tapeArea(blocksOf(plan.cut, plan.films)),
    ...told,
  };
}

/** Their guide as a sheet to tick off. */
export async function togetherGuide({ title, steps, paper }: CoreJobs['togetherGuide']['input']): Promise<Uint8Array> {
  const [papers, fonts] = await Promise.all([import('@mivet/core/papers'), paperFonts()]);
  return papers.writeBenchPdf({ title, steps, paper, ...fonts });
}

/** Their cut files and guides. */
export async function togetherFiles(
  input: CoreJobs['togetherFiles']['input'],
  call: Call,
): Promise<readonly JobFile[]> {
  // Its answer is a list, which nothing is sent ahead of.
  const { together: plan } = await planOf(input, { ...call, part: () => undefined });
  const papers = await import('@mivet/core/papers');
  const { format, options, unit, singles, title } = input;
  return papers.togetherFiles(title, plan, {
    unit,
    cut: options,
    singleFilms: singles,
    formats: [format === 'dxf' ? papers.writeDxf : CUT_WRITERS[format]],
  });
}
