import { isStepDone } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { useProject } from '../stores/project.ts';
import { useViewModel } from '../stores/view-model.ts';
import { STOPS, type Stop } from './stops.ts';

/** How far a stop of the open project is. */
export interface StopState {
  readonly stop: Stop;
  readonly ready: boolean;
  /** What wants a look there. */
  readonly count: number;
}

/** What the strip says of each stop, and the guide goes by. */
export function useStopStates(): ComputedRef<readonly StopState[]> {
  const project = useProject();
  const store = useViewModel();
  return computed((before?: readonly StopState[]) => {
    const doc = project.doc;
    const viewModel = store.viewModel;
    const fine = viewModel?.ok === true && viewModel.unjudged === null;
    const doubts = viewModel?.doubts.length ?? 0;
    const steps = fine ? viewModel.steps : [];
    const done = doc !== null && steps.every((step) => isStepDone(doc.bench, step));
    const open = store.open.length;
    const placed = (doc?.items.length ?? 0) > 0;
    const state: Readonly<Record<Stop, Omit<StopState, 'stop'>>> = {
      measure: { ready: viewModel?.ok === true && doubts === 0, count: doubts },
      flat: { ready: viewModel?.ok === true, count: 0 },
      artwork: { ready: placed, count: 0 },
      proof: { ready: fine && placed && open === 0 && store.current, count: open },
      cut: { ready: false, count: fine ? viewModel.sheet.plan.tooLarge.length : 0 },
      bench: { ready: steps.length > 0 && done, count: 0 },
      log: { ready: (doc?.log.length ?? 0) > 0, count: 0 },
    };
    const now = STOPS.map((stop) => ({ stop, ...state[stop] }));
    // The same array while nothing in it changes: who shows it need not draw it again.
    const same = before?.every((one, i) => one.ready === now[i]!.ready && one.count === now[i]!.count);
    return same ? before! : now;
  });
}
