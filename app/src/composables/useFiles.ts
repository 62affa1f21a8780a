import type { Project } from '@mivet/core';
import { ref, type Ref } from 'vue';
import { fileNameOf, openPdf, saveFile } from '../data/save-file.ts';
import { saveZip } from '../data/save-zip.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import type { CoreJobs, FileKind } from '../workers/protocol.ts';
import { askCore } from '../workers/core-client.ts';

/** Writing files of the open project: worked out in the worker, handed to the browser, told in words. */
export function useFiles(): {
  busy: Ref<boolean>;
  said: Ref<string | null>;
  print: (kind: FileKind, withPieces?: boolean) => Promise<void>;
  save: (kind: FileKind, only?: string) => Promise<void>;
  /** Cut files of another state of the project, as one ZIP or file named so. */
  saveOf: (doc: Project, name: string) => Promise<void>;
  /** Whether the last one could not be written. */
  failed: Ref<boolean>;
  /** Whether cut lines are written mirrored, until one leaves. */
  mirrored: Ref<boolean>;
} {
  const settings = useSettings();
  const stock = useStock();
  const viewModel = useViewModel();
  const busy = ref(false);
  const said = ref<string | null>(null);
  const failed = ref(false);
  const mirrored = ref(false);

  async function make(
    kind: FileKind,
    withPieces = true,
    only = false,
    given: Project | null = null,
  ): Promise<{ made: CoreJobs['files']['output']; base: string }> {
    const now = await viewModel.changesMade();
    const doc = given ?? now;
    const { unit, paper, limits, cutting, habits, learnt } = settings;
    const options = { ...cutting, mirrored: mirrored.value };
    const made = await askCore('files', {
      project: doc,
      unit,
      paper,
      kind,
      withPieces,
      limits,
      supply: stock.supplyFor(doc),
      options,
      habits,
      learnt,
      format: cutting.format,
      singles: only ? 'only' : cutting.singles ? 'too' : 'none',
    });
    // Of the project that they are of: another may be open by now.
    return { made, base: fileNameOf(doc.name) };
  }
  async function run(work: () => Promise<string>): Promise<void> {
    busy.value = true;
    said.value = null;
    failed.value = false;
    try {
      said.value = await work();
    } catch (problem) {
      failed.value = true;
      said.value = `Nothing was written: ${problem instanceof Error ? problem.message : String(problem)}`;
    }
    busy.value = false;
  }

  return {
    busy,
    said,
    failed,
    mirrored,
    saveOf: (doc, name) =>
      run(async () => {
        const { made, base } = await make('cut', true, false, doc);
        const full = `${base}-${fileNameOf(name)}`;
        if (made.length === 0) throw new Error('there is nothing of it to cut.');
        if (made.length === 1) saveFile(`${full}.${settings.cutting.format}`, made[0]!.content);
        else saveZip(`${full}.zip`, made);
        return `Written: ${full}`;
      }),
    print: (kind, withPieces = true) =>
      run(async () => {
        const { made, base } = await make(kind, withPieces);
        const [file] = made;
        openPdf(`${base}-${file!.name}`, file!.content as Uint8Array);
        return 'Opened for printing. Print at 100 %.';
      }),
    save: (kind, only) =>
      run(async () => {
        const { made, base } = await make(kind, true, only !== undefined);
        const files = only ? made.filter((f) => f.name === `${only}.${settings.cutting.format}`) : made;
        if (files.length === 0) return 'There is nothing to cut yet: place some artwork first.';
        if (files.length === 1) saveFile(`${base}-${files[0]!.name}`, files[0]!.content);
        else saveZip(`${base}.zip`, files);
        // Whoever has cut files knows the way.
        settings.guiding = false;
        return files.length === 1
          ? `Written: ${base}-${files[0]!.name}`
          : `Written: ${base}.zip with ${files.length} files`;
      }),
  };
}
