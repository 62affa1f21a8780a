import { ref, type Ref } from 'vue';
import { fileNameOf, saveFile } from '../data/save-file.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { useViewModel } from '../stores/view-model.ts';
import { askCore } from '../workers/core-client.ts';

/** The run at the bench as a file of its own, for the phone. */
export function useTakeAlong(): { busy: Ref<boolean>; said: Ref<string | null>; save: () => Promise<void> } {
  const viewModel = useViewModel();
  const settings = useSettings();
  const stock = useStock();
  const busy = ref(false);
  const said = ref<string | null>(null);
  async function save(): Promise<void> {
    busy.value = true;
    said.value = null;
    try {
      const doc = await viewModel.changesMade();
      const { unit, paper, limits, cutting, habits, learnt } = settings;
      const [file] = await askCore('files', {
        project: doc,
        unit,
        paper,
        kind: 'take-along',
        withPieces: true,
        limits,
        supply: stock.supplyFor(doc),
        options: { ...cutting, mirrored: false },
        format: cutting.format,
        singles: 'none',
        habits,
        learnt,
      });
      const name = `${fileNameOf(doc.name)}-bench.html`;
      saveFile(name, file!.content);
      said.value = `Written: ${name}. It runs by itself; send it to your phone.`;
    } catch (problem) {
      said.value = `Nothing was written: ${problem instanceof Error ? problem.message : String(problem)}`;
    }
    busy.value = false;
  }
  return { busy, said, save };
}
