import { writeFileSync } from 'node:fs';
import {
  describeBlankProblem,
  examineProject,
  habitsWith,
  limitsWith,
  materialsWith,
  openProject,
  planProjects,
  STARTING_MATERIALS,
  supplyOf,
  USUAL_HOURS,
  type OpenProject,
  type PlannedTask,
} from '@mivet/core';
import { writePlanIcs } from '@mivet/core/tables';
import { loadBackup } from '../input/backups.ts';
import { BadInput, type CommandLine } from '../input/command.ts';
import { takeOption } from '../input/files.ts';
import { loadFonts } from '../input/fonts.ts';

/** Plans all open projects of a backup backwards from their hand-overs, as JSON and as a calendar. */
export const plan: CommandLine = (args, { out, err }) => {
  const { value: typed, rest: more } = takeOption(args, '--from');
  const { value: calendar, rest } = takeOption(more, '--ics');
  const from = typed === null ? new Date() : new Date(typed);
  if (Number.isNaN(from.getTime())) throw new BadInput(`--from takes a date and time like 2026-11-27T09:00, not “${typed}”.`); // prettier-ignore
  const { projects, stock, shelf, fonts, settings, limits } = loadBackup(rest[0]);
  const things = stock.map(({ thing }) => thing);
  const supply = supplyOf(things, from.toISOString().slice(0, 10));
  const carried = { fonts, limits, stock: [] };
  const open = projects.flatMap((project): OpenProject[] => {
    if (!project.handOver) return [];
    const examined = examineProject(project, loadFonts({ carried }), limitsWith(limits), supply, undefined, 'mm', habitsWith(settings.habits), materialsWith(STARTING_MATERIALS, settings.learnt ?? {})); // prettier-ignore
    if (examined.ok) return [openProject(project, examined, { supply, things, blanks: shelf }, 'mm')];
    err(`mivet plan: “${project.name}” is left out: ${describeBlankProblem(examined.problem, 'mm')}\n`);
    return [];
  });
  const planned = planProjects(open, settings.hours ?? USUAL_HOURS, from.getTime());
  if (calendar !== null) writeFileSync(calendar, writePlanIcs(planned.tasks, from.getTime()));
  const late = planned.late.map(({ project, byMinutes, choices }) => ({ project, byMinutes, choices }));
  out(`${JSON.stringify({ tasks: planned.tasks.flatMap(lines), late }, null, 2)}\n`);
  return late.length > 0 ? 1 : 0;
};

const iso = (ms: number): string => new Date(ms).toISOString();

/** A task as lines: one for each stretch of work, and one for its wait. */
function lines({ project, step, hands, wait, slackMinutes }: PlannedTask): object[] {
  const of = { project, step };
  return [
    ...hands.map(({ start, end }) => ({ ...of, start: iso(start), end: iso(end), kind: 'hands', slackMinutes })),
    ...(wait.end > wait.start ? [{ ...of, start: iso(wait.start), end: iso(wait.end), kind: 'wait', slackMinutes }] : []), // prettier-ignore
  ];
}
