import type { Blank, Project, ProjectPicture } from '@mivet/core';
import { newProject, NO_STOCK } from '@mivet/core';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { askCore } from '../workers/core-client.ts';

const kept = new Map<string, { stamp: string; picture: Promise<ProjectPicture> }>();

function keep(key: string, stamp: string, make: () => Promise<ProjectPicture>): Promise<ProjectPicture> {
  const have = kept.get(key);
  if (have?.stamp === stamp) return have.picture;
  const picture = make();
  kept.set(key, { stamp, picture });
  return picture;
}

/** Picture of a project for a list; worked out once for each state of it. */
export function pictureForList(project: Project): Promise<ProjectPicture> {
  const { limits } = useSettings();
  const supply = useStock().supplyFor(project);
  const stamp = `${project.changedAt}${JSON.stringify([limits, supply])}`;
  return keep(project.id, stamp, () => askCore('examine', { project, unit: 'mm', limits, supply }, { later: true }));
}

/** Picture of a bare blank for a list. */
export function pictureOfBlank(blank: Blank, changedAt: string): Promise<ProjectPicture> {
  const project = newProject(`shelf:${blank.id}`, blank.name, blank, null, changedAt);
  return keep(project.id, changedAt, () =>
    askCore('examine', { project, unit: 'mm', limits: {}, supply: NO_STOCK }, { later: true }),
  );
}
