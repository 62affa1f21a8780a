import { expect, it } from 'vitest';
import { openWorkbench } from '../../test/workbench.ts';
import { demoProjects } from '../demo/demo.ts';

import type { CloserPart } from '../workers/protocol.ts';
import { usePlan } from './plan.ts';
import { useProject } from './project.ts';

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
