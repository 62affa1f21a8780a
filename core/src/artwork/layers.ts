import type { DrawingColour } from './drawing.ts';
import type { Box } from '../plane/box.ts';
import { boxesTouch, boxOfCoordinates, boxOfRings, EMPTY_BOX, isEmptyBox } from '../plane/box.ts';
import { intersectRings, unionRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';

interface DrawnShape {
  readonly rings: readonly Ring[];
  readonly box: Box;
}

/** Whether one shape covers anything of another. */
const covers = (a: DrawnShape, b: DrawnShape): boolean =>
  boxesTouch(a.box, b.box) && intersectRings(a.rings, b.rings).length > 0;

/**
 * Areas of colour as they come to lie on each other: those of one colour on the same level, the lowest first; a colour that
 * lies both under and over another is there twice.
 */
export class Layers {
  private readonly levels: { readonly colour: string; readonly shapes: DrawnShape[] }[] = [];

  /** Puts an area on what is there. @param rings clean film, mm */
  put(colour: string, rings: readonly Ring[]): void {
    if (rings.length === 0) return;
    const shape = { rings, box: boxOfRings(rings) };
    // As low as it may go: beside others of its colour, if nothing of another colour that it covers lies between.
    for (let i = this.levels.length - 1; i >= 0; i--) {
      const level = this.levels[i]!;
      if (level.colour === colour) {
        level.shapes.push(shape);
        return;
      }
      if (level.shapes.some((below) => covers(shape, below))) break;
    }
    this.levels.push({ colour, shapes: [shape] });
  }

  /** All areas about the middle of them all, with how large that is and where it was; null when there are none. */
  finish(): {
    widthMm: number;
    heightMm: number;
    middle: readonly [number, number];
    colours: DrawingColour[];
  } | null {
    const colours = this.levels
      .map(({ colour, shapes }) => ({ colour, polygons: unionRings(shapes.flatMap(({ rings }) => rings)) }))
      .filter(({ polygons }) => polygons.length > 0);
    const box = colours
      .flatMap(({ polygons }) => polygons.map((p) => p.outer))
      .reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
    if (isEmptyBox(box)) return null;
    const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    return {
      widthMm: box.maxX - box.minX,
      heightMm: box.maxY - box.minY,
      middle: [cx, cy],
      colours: colours.map(({ colour, polygons }): DrawingColour => ({
        colour,
        rings: polygons.flatMap((p) => [...ringsOf(p)]).map((ring) => ring.map((v, i) => v - (i % 2 ? cy : cx))),
        areaMm2: polygons.reduce((sum, p) => sum + polygonArea(p), 0),
      })),
    };
  }
}
