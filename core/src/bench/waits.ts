import { msOf } from '../numeric/time.ts';
import type { Project } from '../model/project.ts';

/** What runs at a step that waits, by the beginning of its id. */
const RUNNING: readonly (readonly [start: string, says: string])[] = [
  ['prepare', 'Drying before film'],
  ['clean', 'Drying after cleaning'],
  ['strip', 'Stripper at work: look at it'],
  ['etch', 'Cream at work'],
  ['paint', 'Paint drying'],
  ['seal', 'Clear coat drying'],
  ['cure', 'Film curing'],
];

/** A wait that runs, or has ended and was not seen yet. */
export interface RunningWait {
  readonly projectId: string;
  readonly project: string;
  readonly stepId: string;
  readonly says: string;
  /** The row of the list that it is of, by what it is called; null for all of them. */
  readonly thing: string | null;
  /** ms since 1970. */
  readonly from: number;
  readonly until: number;
}

/** All waits of some projects, the one that ends first before the others. */
export function waitsOf(projects: readonly Pick<Project, 'id' | 'name' | 'bench' | 'names'>[]): RunningWait[] {
  return projects
    .flatMap(({ id, name, bench, names }) =>
      Object.entries(bench.waitsUntil).flatMap(([stepId, until]): RunningWait[] => {
        const end = msOf(until);
        if (!Number.isFinite(end)) return [];
        const [, thingId] = stepId.split('#');
        const [rowId, nth] = (thingId ?? '').split('/');
        const row = names?.rows.find((one) => one.id === rowId);
        const thing = row ? (nth ? `${row.name} ${nth}` : row.name) : null;
        const says = RUNNING.find(([start]) => stepId.startsWith(start))?.[1] ?? 'Waiting';
        return [{ projectId: id, project: name, stepId, says, thing, from: msOf(bench.waitsFrom[stepId] ?? until), until: end }]; // prettier-ignore
      }),
    )
    .sort((a, b) => a.until - b.until);
}

/** What is left of a wait in words: `1:48`, `47 h 12 min`, `over for 6 min`. */
export function leftText(until: number, now: number): string {
  const seconds = Math.ceil((until - now) / 1000);
  if (seconds <= 0) {
    const over = Math.floor(-seconds / 60);
    return over < 1 ? 'over' : over < 120 ? `over for ${over} min` : `over for ${Math.round(over / 60)} h`;
  }
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60)];
  return hours > 0 ? `${hours} h ${minutes} min` : `${minutes}:${String(seconds % 60).padStart(2, '0')}`;
}
