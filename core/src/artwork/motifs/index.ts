import { flattenPath } from '../../plane/flatten.ts';
import { parsePathData } from '../../plane/path-data.ts';
import type { MotifId } from '../../model/item.ts';
import type { Box } from '../../plane/box.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { bell, chevrons, crest, crown, flower, garland, heart, laurel, leaf, moon, plate, star, sun } from './bank.ts';
import { buoy } from './buoy.ts';
import { heron } from './heron.ts';
import { oar } from './oar.ts';
import { anchor, boat, drop, fish, medal, pennant, rope, sail, wheel } from './river.ts';
import { wave } from './wave.ts';

/** A drawn motif as SVG path data (non-zero fill), in units of its own. */
export interface Motif {
  readonly label: string;
  readonly pathData: string;
  /** Whether copies side by side make one running band. */
  readonly joins: boolean;
  /** Where a running band of separate parts begins and ends, so that the space between tiles is that within them. */
  readonly span?: readonly [number, number];
}

/** Motifs that ship with Mivet, drawn for its own demo scenario. */
export const MOTIFS = {
  wave,
  oar,
  buoy,
  heron,
  boat,
  sail,
  anchor,
  wheel,
  fish,
  drop,
  pennant,
  medal,
  crest,
  laurel,
  garland,
  leaf,
  flower,
  sun,
  moon,
  star,
  heart,
  crown,
  bell,
  rope,
  chevrons,
  plate,
} as const satisfies Record<MotifId, Motif>;

/** All motif ids, in the order in which they are offered. */
export const MOTIF_IDS = Object.keys(MOTIFS) as MotifId[];

/** A motif's rings and the box round them, y up, in the motif's own units. */
export interface MotifOutlines {
  readonly rings: readonly Ring[];
  readonly box: Box;
}

/**
 * Outlines of a motif as points.
 *
 * @param id which motif
 * @param unitsPerMm how many of the motif's units will make one millimetre, so that the points are fine enough
 */
export function motifOutlines(id: MotifId, unitsPerMm: number): MotifOutlines {
  const rings = parsePathData(MOTIFS[id].pathData).map((path) => flattenPath(path, 0.004 * unitsPerMm));
  const motif: Motif = MOTIFS[id];
  const box = rings.reduce((box, ring) => boxOfCoordinates(ring, box), boxOfCoordinates(rings[0]!));
  return { rings, box: motif.span ? { ...box, minX: motif.span[0], maxX: motif.span[1] } : box };
}

/** View boxes that were worked out: what ships does not change. */
const viewBoxes = new Map<MotifId, string>();

/** View box of a motif's drawing with a little room round it, as SVG wants it (y down). */
export function motifViewBox(id: MotifId): string {
  const known = viewBoxes.get(id) ?? viewBoxOf(id);
  viewBoxes.set(id, known);
  return known;
}

function viewBoxOf(id: MotifId): string {
  const { box } = motifOutlines(id, 10);
  const pad = 0.04 * Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const view = [box.minX - pad, -box.maxY - pad, box.maxX - box.minX + 2 * pad, box.maxY - box.minY + 2 * pad];
  return view.map((v) => v.toFixed(2)).join(' ');
}
