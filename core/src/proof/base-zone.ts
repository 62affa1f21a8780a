import { judgeEdge } from './edge-zones.ts';
import type { Judge } from './finding.ts';

/** Film where the side curves in to the base, or past the band's base edge. */
export const judgeBaseZone: Judge = (context) => judgeEdge(context, 'base');
