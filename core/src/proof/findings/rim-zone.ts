import { formatLength } from '../../measure/length.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';
import { judgeEdge } from './edge-zones.ts';

/** Film where lips touch, or standing over the band's rim edge. */
export const judgeRimZone: Judge = (context) => judgeEdge(context, 'rim');

/** In words. */
export const sayRimZone: Sayings = {
  'rim-zone/over': ({ finding, unit, names }) => [
    `${sentence(names['item'])} stands over the rim line`,
    `It passes the top of the band by ${formatLength(-(finding.numbers['room'] ?? 0), unit)}; there is no straight side to lay it on.`,
  ],
  'rim-zone/inside': ({ names, mm }) => [
    `${sentence(names['item'])} is too near the rim`,
    `Film keeps ${mm('clearance')} from the drinking edge, where lips touch; move it down by ${mm('need')}.`,
  ],
};
