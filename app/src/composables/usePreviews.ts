import type { Blank, Project, ProjectViewModel } from '@mivet/core';
import { newProject, NO_STOCK } from '@mivet/core';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { askCore } from '../workers/core-client.ts';
import { whenIdle } from './useIdleFetch.ts';

const kept = new Map<string, { stamp: string; viewModel: Promise<ProjectViewModel> }>();

function keep(key: string, stamp: string, make: () => Promise<ProjectViewModel>): Promise<ProjectViewModel> {
  const have = kept.get(key);
  if (have?.stamp === stamp) return have.viewModel;
  const viewModel = make();
  kept.set(key, { stamp, viewModel });
  return viewModel;
}

let rested: Promise<void> | null = null;
/** Done when the page, once it is there, has nothing better to do: pictures in a list then come in its order. */
const onceIdle = (): Promise<void> => (rested ??= whenIdle());

/** Picture of a project for a list; worked out once for each state of it. */
export function viewModelForList(project: Project): Promise<ProjectViewModel> {
  const { limits, learnt } = useSettings();
  const supply = useStock().supplyFor(project);
  const stamp = `${project.changedAt}${JSON.stringify([limits, learnt, supply])}`;
  return keep(project.id, stamp, async () => {
    await onceIdle();
    return askCore('examine', { project, unit: 'mm', limits, learnt, supply }, { later: true });
  });
}

/** Picture of a bare blank for a list. */
export function viewModelOfBlank(blank: Blank, changedAt: string): Promise<ProjectViewModel> {
  const project = newProject(`shelf:${blank.id}`, blank.name, blank, null, changedAt);
  return keep(project.id, changedAt, async () => {
    await onceIdle();
    return askCore('examine', { project, unit: 'mm', limits: {}, supply: NO_STOCK }, { later: true });
  });
}
