import { missingFor, type ToBuy, writeShoppingCsv } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { fileNameOf, openPdf, saveFile } from '../data/save-file.ts';
import { useLibrary } from '../stores/library.ts';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { useTold } from '../stores/told.ts';
import { useViewModel } from '../stores/view-model.ts';
import { askCore } from '../workers/core-client.ts';

/** What the open job needs and the shelves do not have. */
export function useShopping(): {
  missing: ComputedRef<readonly ToBuy[]>;
  print: () => Promise<void>;
  save: () => void;
} {
  const project = useProject();
  const settings = useSettings();
  const stock = useStock();
  const library = useLibrary();
  const viewModel = useViewModel();
  const told = useTold();
  const missing = computed(() => {
    const [doc, good] = [project.doc, viewModel.good];
    if (!doc || !good) return [];
    const shelves = { supply: stock.supplyFor(doc), things: stock.things, blanks: library.shelf };
    return missingFor(doc, good, shelves, settings.unit);
  });
  const title = (): string => project.doc!.name;
  async function print(): Promise<void> {
    try {
      const list = missing.value.map((one) => ({ ...one }));
      openPdf(
        `${fileNameOf(title())}-to-buy.pdf`,
        await askCore('shopping', { title: title(), list, paper: settings.paper }),
      );
    } catch (problem) {
      told.tell(`Nothing was printed: ${problem instanceof Error ? problem.message : String(problem)}`, true);
    }
  }
  const save = (): void => saveFile(`${fileNameOf(title())}-to-buy.csv`, writeShoppingCsv(missing.value));
  return { missing, print, save };
}
