import { NO_ACTS } from './acts.ts';
import type { MotifItem, TextItem } from '../model/item.ts';
import type { MotifId } from '../model/item.ts';
import { MOTIFS } from './motifs/index.ts';

/** As things are first placed: in front, half-way down, once. */
export const ANYWHERE = {
  placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
  repeat: { mode: 'once', count: 1 },
  fuse: true,
  keepTogether: null,
  mirrored: false,
  spares: 0,
  acts: NO_ACTS,
} as const;

/** Lines of text as they are first set. */
export const PLAIN_LINES = { align: 'middle', linePitch: 1.75, pairGaps: [] } as const;

/** Text in the middle of the band, in front, level. */
export function newText(id: string, text: string, film: string): TextItem {
  return {
    ...ANYWHERE,
    id,
    type: 'text',
    film,
    running: 'level',
    text,
    font: 'condensed',
    size: { by: 'cap', mm: 16 },
    letterGapMm: 0,
    gapsAtMm: 16,
    ...PLAIN_LINES,
    ring: null,
  };
}

/** A motif in the middle of the band; one that joins runs round it, seven times. */
export function newMotif(id: string, motif: MotifId, film: string): MotifItem {
  const joins = MOTIFS[motif].joins;
  return {
    ...ANYWHERE,
    id,
    type: 'motif',
    film,
    running: joins ? 'round' : 'rigid',
    motif,
    widthMm: motif === 'oar' ? 9 : 30,
    heightMm: joins ? 24 : null,
    repeat: joins ? { mode: 'joined', count: 7 } : ANYWHERE.repeat,
    placement: joins ? { ...ANYWHERE.placement, from: 'base', mm: 12 } : ANYWHERE.placement,
  };
}
