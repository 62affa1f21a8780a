import { judgeEdge } from './edge-zones.ts';
import type { Judge } from './finding.ts';

/** Film where lips touch, or standing over the band's rim edge. */
export const judgeRimZone: Judge = (context) => judgeEdge(context, 'rim');
