import { BOARDS, boardWords } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';

/** What a cutter may take, to choose from: the person's own cutters first, then the usual boards. */
export function useBoards(): ComputedRef<{ value: string; label: string }[]> {
  const settings = useSettings();
  const stock = useStock();
  return computed(() => {
    const own = stock.supply.cutters.map(({ board }) => board);
    const all = [...own, ...BOARDS.filter((b) => !own.some((o) => o.id === b.id))];
    return all.map((board) => ({ value: board.id, label: boardWords(board, settings.unit) }));
  });
}
