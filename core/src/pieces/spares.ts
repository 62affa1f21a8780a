import type { PlacedItem } from '../layout/place.ts';
import { copyOfGroup, groupsOfCopy } from '../layout/place.ts';
import type { Box } from '../plane/box.ts';
import { boxHeight, boxOfCoordinates, boxOfRings, boxWidth } from '../plane/box.ts';
import { fitRing } from '../plane/fit.ts';
import { mapPath } from '../plane/path.ts';
import { resampleRing } from '../plane/resample.ts';
import { unionRings } from '../polygon/boolean.ts';
import { nestRings } from '../polygon/hole-assignment.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { Development } from '../surface/development.ts';
import { figureParts } from './figures.ts';
import type { Piece } from './pieces.ts';

/** mm between spares, and between them and the wrap, so that scissors fit. */
const SPARE_GAP_MM = 6;

/** A copy of an item that is cut beside the wrap, or one that was left off at an edge. */
export interface WantedSpare {
  readonly itemId: string;
  readonly copy: number;
  /** Left off at an edge that cuts it away. */
  readonly off?: boolean;
  /** Left off at a seam. */
  readonly leftOff?: boolean;
}

/**
 * Copies that are cut beside the wrap: spares of what gets lost easily, and what was left off at a seam to be laid over
 * it by hand.
 *
 * @param placed items on the side
 * @param wanted which copies of which items, each once for every spare
 * @param surface the band's development
 * @param sheet box round the wrap, mm; spares lie in rows below it
 */
export function makeSpares(
  placed: readonly PlacedItem[],
  wanted: readonly WantedSpare[],
  surface: Development,
  sheet: Box,
): Piece[] {
  const partOf = figureParts(placed);
  /** What is laid by itself is cut by itself, however often; all else lies beside the wrap. */
  const sparePart = (item: PlacedItem['item'], number: number): string => {
    const figure = partOf(item, 0);
    const before = wanted.slice(0, number).filter(({ itemId }) => itemId === item.id).length;
    return figure === null ? 'spares' : `${figure.replace(/-no-1$/, '')}-spare-${before + 1}`;
  };
  const pieces: Piece[] = [];
  let [x, top, low] = [sheet.minX, sheet.minY - SPARE_GAP_MM, sheet.minY - SPARE_GAP_MM];
  wanted.forEach(({ itemId, copy, off = false, leftOff = off }, number) => {
    const of = placed.find(({ item }) => item.id === itemId);
    const groups = !of ? [] : off ? (of.off[copy]?.groups ?? []) : groupsOfCopy(of, copy);
    if (!of || groups.length === 0) return;
    const rings = groups.flat();
    const box = boxOfRings(rings);
    const middle = (box.minX + box.maxX) / 2;
    const lay = (ring: Ring): Ring => resampleRing(ring, (a, v, out) => surface.forwardInto(a - middle, v, out));
    // Rings on the side count slant downwards; laid flat they turn the way outlines do.
    const flat = groups.map((group) => group.map(lay));
    const polygons = of.item.fuse ? unionRings(flat.flat()) : flat.flatMap((group) => nestRings(group));
    const laid = boxOfRings(polygons.map((p) => p.outer));
    if (x > sheet.minX && x + boxWidth(laid) > Math.max(sheet.maxX, sheet.minX + boxWidth(laid))) {
      x = sheet.minX;
      top = low - SPARE_GAP_MM;
    }
    const [dx, dy] = [x - laid.minX, top - laid.maxY];
    low = Math.min(low, top - boxHeight(laid));
    x += boxWidth(laid) + SPARE_GAP_MM;
    polygons.forEach((polygon, i) => {
      const move = (ring: Ring): Ring => ring.map((value, k) => value + (k % 2 ? dy : dx));
      const rings = ringsOf(polygon);
      pieces.push({
        id: `${itemId}:spare-${number + 1}:${i}`,
        itemIds: [itemId],
        film: off
          ? of.off[copy]!.film
          : (of.filmOf?.[of.groups.findIndex((_, k) => copyOfGroup(of, k) === copy)] ?? of.item.film),
        level: off ? 0 : (of.levelOf?.[of.groups.findIndex((_, k) => copyOfGroup(of, k) === copy)] ?? 0),
        part: sparePart(of.item, number),
        spare: true,
        ...(leftOff ? { goesTo: { azimuth: middle, top: box.minY, middle: (box.minY + box.maxY) / 2 } } : {}),
        byItself: false,
        paths: rings.map((ring) => mapPath(fitRing(ring), (p) => ({ x: p.x + dx, y: p.y + dy }))),
        flat: { outer: move(polygon.outer), holes: polygon.holes.map(move) },
        unrolled: { outer: new Float64Array(0), holes: [] },
        flatBox: boxOfCoordinates(move(polygon.outer)),
        azimuths: [0, 0],
        slants: [0, 0],
        areaMm2: polygonArea(polygon),
        cutAt: null,
        cutAcross: false,
      });
    });
  });
  return pieces;
}
