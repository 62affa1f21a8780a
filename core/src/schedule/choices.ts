import { formatISO } from 'date-fns';
import { KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';
import type { Project } from '../model/project.ts';
import type { OpenProject } from './tasks.ts';

/** What can be done about a project that is late: its price, and how late it still is with it. */
export interface LateChoice {
  readonly id: 'air' | 'skip-seal' | 'before-cure' | 'helper' | 'later';
  readonly label: string;
  /** What it costs, in words. */
  readonly price: string;
  /** Minutes by which it is late with it; 0 when it is in time. */
  readonly lateMinutes: number;
}

/** Minutes that a helper takes over. */
const HELPER_MINUTES = 120;
/** Quarters of an hour to which a later hand-over is rounded up, ms. */
const QUARTER_MS = 15 * 60_000;

/** What each choice does to a project; `readyAt` is when it will be ready as things stand, ms since 1970. */
export const CHOOSE: { readonly [id in LateChoice['id']]: (project: Project, readyAt: number) => Project } = {
  air: (project) => ({
    ...project,
    blank: { ...project.blank, balloon: { ...project.blank.balloon, gas: 'air' } },
  }),
  'skip-seal': (project) => ({ ...project, planning: { ...project.planning, skipSeal: true } }),
  'before-cure': (project) => ({ ...project, planning: { ...project.planning, beforeCure: true } }),
  helper: (project) => ({
    ...project,
    planning: { ...project.planning, helperMinutes: project.planning.helperMinutes + HELPER_MINUTES },
  }),
  later: (project, readyAt) => {
    if (!project.handOver || !Number.isFinite(readyAt)) return project;
    const at = formatISO(Math.ceil(readyAt / QUARTER_MS) * QUARTER_MS);
    return { ...project, handOver: { ...project.handOver, day: at.slice(0, 10), time: at.slice(11, 16) } };
  },
};

/**
 * The choices for a late project that help at all, those that help most first.
 *
 * @param lateIf minutes by which it is late when the project is changed so
 */
export function choicesFor(
  { project, steps }: OpenProject,
  { byMinutes, readyAt }: { readonly byMinutes: number; readonly readyAt: number },
  lateIf: (change: (project: Project) => Project) => number,
): LateChoice[] {
  const has = (kind: string): boolean => steps.some((step) => step.kind === kind);
  const { planning, blank } = project;
  const offered: Omit<LateChoice, 'lateMinutes'>[] = [
    ...(KINDS_OF_BLANK[blank.kind].blownUp && blank.balloon.gas === 'helium'
      ? [{ id: 'air', label: 'Air on a stick, not helium', price: 'It keeps two days instead of hours; it does not float.' } as const] // prettier-ignore
      : []),
    ...(has('seal') && !planning.skipSeal
      ? [{ id: 'skip-seal', label: 'Leave out the clear coat', price: 'It is washed by hand, gently; edges wear sooner.' } as const] // prettier-ignore
      : []),
    ...(has('cure') && !planning.beforeCure
      ? [{ id: 'before-cure', label: 'Hand it over before it has cured', price: 'A note goes with it: until when not to wash it, nor handle it hard.' } as const] // prettier-ignore
      : []),
    { id: 'helper', label: 'A helper for two hours', price: 'Somebody else weeds and tapes; you aim and lay.' },
    { id: 'later', label: 'Hand it over later', price: 'Whoever waits for it is told today.' },
  ];
  return offered
    .map((one) => ({ ...one, lateMinutes: lateIf((own) => CHOOSE[one.id](own, readyAt)) }))
    .filter(({ lateMinutes }) => lateMinutes < byMinutes)
    .sort((a, b) => a.lateMinutes - b.lateMinutes);
}
