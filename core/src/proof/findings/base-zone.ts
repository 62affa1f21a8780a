import { formatLength } from '../../measure/length.ts';
import type { Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';
import { judgeEdge } from './edge-zones.ts';

/** Film where the side curves in to the base, or past the band's base edge. */
export const judgeBaseZone: Judge = (context) => judgeEdge(context, 'base');

/** In words. */
export const sayBaseZone: Sayings = {
  'base-zone/over': ({ finding, unit, names }) => [
    `${sentence(names['item'])} hangs over the base line`,
    `It passes the bottom of the band by ${formatLength(-(finding.numbers['room'] ?? 0), unit)}; it would wrinkle where the side curves in.`,
  ],
  'base-zone/inside': ({ names, mm }) => [
    `${sentence(names['item'])} is too near the base`,
    `Film keeps ${mm('clearance')} from the base, where it rubs and lifts; move it up by ${mm('need')}.`,
  ],
};
