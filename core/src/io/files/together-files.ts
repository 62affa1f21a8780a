import { type CutOptions, PLAIN_CUT } from '../../cut/extras.ts';
import type { TogetherPlan } from '../../load/together.ts';
import { reportTogether } from '../../load/together.ts';
import type { Units } from '../../measure/length.ts';
import type { CutWriter, JobFile } from './cut-files.ts';
import { filmFiles, loadFiles } from './cut-files.ts';
import { ALL_FORMATS, guideFiles } from './job-files.ts';

/** How the files of a common plan are written. */
export interface TogetherFileOptions {
  readonly unit: Units;
  /** What is cut besides the pieces. */
  readonly cut?: CutOptions;
  /** Whether there is a file for each film of a load as well. */
  readonly singleFilms?: boolean;
  /** Left out: all. */
  readonly formats?: readonly CutWriter[];
}

/** Cut files and a guide for each load of several projects, and a report of whose every part is. */
export function togetherFiles(title: string, together: TogetherPlan, options: TogetherFileOptions): JobFile[] {
  const { cut, films, sheet } = together;
  const [named, formats, how] = [{ name: title, films }, options.formats ?? ALL_FORMATS, options.cut ?? PLAIN_CUT];
  return [
    ...loadFiles(named, cut, sheet, how, formats),
    ...(options.singleFilms ? filmFiles(named, cut, sheet, how, formats) : []),
    ...guideFiles(named, cut, sheet, options.unit),
    { name: 'report.json', content: `${JSON.stringify(reportTogether(together), null, 2)}\n` },
  ];
}
