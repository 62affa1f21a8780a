import type { BenchStep } from '../bench/step.ts';
import { newBlank, newProject } from '../document/new-project.ts';
import { median, type Row } from '../../test/measure.ts';
import { isoOf, MINUTE_MS, msOf } from '../numeric/time.ts';
import { USUAL_HOURS } from './hours.ts';
import { planProjects } from './plan-projects.ts';
import type { OpenProject } from './tasks.ts';

const NOW = msOf('2026-11-27T09:00:00');
const step = (id: string, kind: BenchStep['kind'], handsMinutes: number, waitMinutes: number, after: string[]): BenchStep => ({ id, kind, after, title: id, body: '', why: null, cautions: [], caution: null, check: null, because: null, things: [], handsMinutes, waitMinutes, beside: [], numbers: {}, about: { film: null, part: null, row: null }, layer: null, list: [] }); // prettier-ignore

/** A project of eighteen steps in a chain, some of which wait, handed over on a day of its own. */
function open(i: number): OpenProject {
  const kinds = ['place-film', 'test-cut', 'unload', 'weed', 'weed', 'weed', 'tape', 'stack', 'stack', 'clean', 'mark', 'aim', 'lay', 'seam', 'tape-off', 'seal', 'cure', 'wrap-up'] as const; // prettier-ignore
  const steps = kinds.map(
    (kind, k) =>
    step(`${kind}-${k}`, kind, 2 + ((i * 7 + k * 3) % 9), kind === 'seal' ? 60 : kind === 'cure' ? 2880 : 0, k > 0 ? [`${kinds[k - 1]}-${k - 1}`] : []), // prettier-ignore
  );
  const project = newProject(`p${i}`, `Job ${i}`, newBlank('b', 'straight', 'Mug'), null, isoOf(NOW));
  const day = isoOf(NOW + (20 + 2 * i) * 1440 * MINUTE_MS).slice(0, 10);
  return { project: { ...project, handOver: { day, time: '18:00', whatFor: 'market', number: '', note: '', price: null } }, steps, missing: [] }; // prettier-ignore
}

/** Prints how long it takes to plan sixty projects. */
export function benchSchedule(row: Row): void {
  const projects = Array.from({ length: 60 }, (_, i) => open(i));
  const { late } = planProjects(projects, USUAL_HOURS, NOW);
  const ms = median(() => planProjects(projects, USUAL_HOURS, NOW), 5);
  row('plan 60 projects, 1,080 tasks', '≤ 200 ms', `${ms.toFixed(0)} ms (${late.length} late)`);
}
