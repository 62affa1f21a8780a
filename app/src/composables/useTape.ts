import { carryingTapes, tapeLength, type StockTape } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { useViewModel } from '../stores/view-model.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';

/** Said instead of an id when no tape goes off the shelf. */
export const NO_TAPE = 'none';

/**
 * The transfer tape that jobs are lifted with: the one chosen last, or the first on the shelf.
 *
 * @param liftsMm2 mm² that are lifted; left out, those of the open job
 */
export function useTape(liftsMm2?: () => number): {
  tapes: ComputedRef<StockTape[]>;
  tape: ComputedRef<StockTape | null>;
  /** mm of it that are taken. */
  takesMm: ComputedRef<number>;
} {
  const [viewModel, settings, stock] = [useViewModel(), useSettings(), useStock()];
  const tapes = computed(() => carryingTapes(stock.things.filter((t) => t.kind === 'tape')));
  const tape = computed(() =>
    settings.tapeId === NO_TAPE
      ? null
      : (tapes.value.find(({ id }) => id === settings.tapeId) ?? tapes.value[0] ?? null),
  );
  const lifts = liftsMm2 ?? (() => viewModel.good?.tapeMm2 ?? 0);
  const takesMm = computed(() => (tape.value ? tapeLength(tape.value, lifts()) : 0));
  return { tapes, tape, takesMm };
}
