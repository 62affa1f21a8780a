import type { SurfaceKind } from '../model/blank.ts';
import type { Process } from '../model/job.ts';

/** What a mask is for until somebody says, by what the blank is made of. */
export const USUAL_PROCESS: Readonly<Record<SurfaceKind, Process>> = {
  glass: 'etch',
  'glazed ceramic': 'paint',
  'bare steel': 'paint',
  'powder-coated steel': 'strip',
  painted: 'paint',
  'raw terracotta': 'paint',
  plastic: 'paint',
  latex: 'paint',
};
