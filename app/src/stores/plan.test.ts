import { expect, it } from 'vitest';
import { openWorkbench } from '../../test/workbench.ts';
import { demoProjects } from '../demo/demo.ts';

import type { CloserPart } from '../workers/protocol.ts';
import { usePlan } from './plan.ts';
import { useProject } from './project.ts';

it('has parts that are put by hand one after the other all stay, before the plan is made anew and after', async () => {
  const bench = await openWorkbench(demoProjects('2026-05-04T10:00:00.000Z').find((p) => p.id === 'demo-mug')!);
  const plan = usePlan();
  /** Each part with where it lies, mm from the load corner. */
  const places = () => plan.strips.flatMap((s) => s.parts.map((p) => ({ s, p, x: p.matrix[4], y: p.matrix[5] })));
  const free = (dx: number, not: string[]) =>
    places().find(({ s, p }) => s.parts.length > 1 && !not.includes(p.part) && plan.collision(s, p, dx, 0) === null)!;
  const first = free(1, []);
  expect(plan.put(first.s, first.p, 1, 0)).toBe(true);
  // The same twice more, as an arrow key does it, then another one; nothing was planned in between.
  const now = () =>
    places().find(({ s, p }) => s.film === first.s.film && s.lot === first.s.lot && p.part === first.p.part)!;
  for (const _ of [1, 2]) if (!plan.put(now().s, now().p, 1, 0)) throw new Error('There is no room for the test.');
  const second = free(0.5, [first.p.part]);
  expect(plan.put(second.s, second.p, 0.5, 0)).toBe(true);
  const check = (): void => {
    const fixed = places().filter(({ p }) => p.fixed);
    expect(fixed.map(({ p }) => p.part).sort()).toEqual([first.p.part, second.p.part].sort());
    expect(now().x).toBeCloseTo(first.x + 3, 9);
    expect(fixed.find(({ p }) => p.part === second.p.part)!.x).toBeCloseTo(second.x + 0.5, 9);
  };
  check();
  expect(plan.isAhead(now().s, now().p)).toBe(true);
  await bench.settled();
  check();
  expect(plan.isAhead(now().s, now().p)).toBe(false);
  plan.letGo(null, null);
  await bench.settled();
  expect(plan.fixed).toBe(0);
});

it('shows what was found while one watched until the project’s own picture has it, and never the old plan in between', async () => {
  const bench = await openWorkbench(demoProjects('2026-05-04T10:00:00.000Z').find((p) => p.id === 'demo-mug')!);
  const plan = usePlan();
  const shown = plan.sheet!;
  const less = shown.plan.loads.map((load) => ({
    ...load,
    strips: load.strips.map((s) => ({ ...s, used: { ...s.used, along: s.used.along - 5 } })),
  }));
  const found: CloserPart = { sheet: { ...shown, plan: { ...shown.plan, loads: less } }, strips: plan.strips, kept: plan.laidAs, tries: 1 }; // prettier-ignore
  plan.closer = found;
  expect(plan.saved).toBe(10);
  plan.keep();
  expect(useProject().doc!.laid).toEqual(found.kept);
  await Promise.resolve();
  expect(plan.sheet).toBe(found.sheet);
  await bench.settled();
  expect(plan.closer).toBeNull();
  expect(plan.sheet!.plan).toEqual(shown.plan);
});
