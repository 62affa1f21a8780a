import type { LaidOut } from '../layout/lay-out.ts';
import type { PlacedItem } from '../layout/place.ts';
import { toPlane, turnsNear } from '../layout/side-plane.ts';
import type { Job } from '../model/job.ts';
import { buildStack, filmOfGroup } from './build-up.ts';
import { filmBelow, type LiesOn } from './lies-on.ts';
import { layersOf } from './order.ts';
import type { DrawnFilm, DrawnOverlaps, DrawnOrder } from './overlaps.ts';
import { orderByDrawing, overlapsOf } from './overlaps.ts';

/** The artwork film by film: what lies on what, with films knocked out of each other where the stack asks for it. */
export interface Layered {
  readonly placed: readonly PlacedItem[];
  /** Films from the blank outwards. */
  readonly layers: readonly string[];
  /** What is drawn, before films are knocked out of each other, how it lies on each other, and the order that asks for. */
  readonly drawn: {
    readonly films: readonly DrawnFilm[];
    readonly overlaps: DrawnOverlaps;
    readonly order: DrawnOrder;
  };
  /** mm of film that lies under each group of each item. */
  readonly liesOn: LiesOn;
}

const NO_OVERLAPS: DrawnOverlaps = { areas: new Float64Array(), pairs: [] };

/**
 * Builds the films of a job up.
 *
 * @param job its films, and how they are built up
 * @param laid where its artwork lies
 */
export function layerFilms(
  { stack, films }: Pick<Job, 'stack' | 'films'>,
  { shaped, meanRadius, template: { closed } }: LaidOut,
): Layered {
  const drawn = drawnFilms(shaped, meanRadius, closed);
  const overlaps = new Set(drawn.map(({ film }) => film)).size > 1 ? overlapsOf(drawn) : NO_OVERLAPS;
  const order = orderByDrawing(drawn, overlaps);
  const layers = layersOf(order.films, stack);
  const placed = buildStack(shaped, layers, stack, meanRadius, closed);
  const lying = stack.build === 'full' ? drawn : drawnFilms(placed, meanRadius, closed);
  const liesOn = filmBelow(
    lying,
    lying === drawn ? overlaps : overlapsOf(lying),
    layers,
    (id) => films.find((one) => one.id === id)?.thicknessMm ?? 0,
  );
  return { placed, layers, drawn: { films: drawn, overlaps, order }, liesOn };
}

/** What is drawn, group by group in the order of the artwork; what lies across the back is there on both of its sides. */
function drawnFilms(placed: readonly PlacedItem[], meanRadius: number, closed: boolean): DrawnFilm[] {
  const onSide = { minX: -Math.PI, maxX: Math.PI, minY: -Infinity, maxY: Infinity };
  return placed.flatMap((one) =>
    one.groups.flatMap((group, g): DrawnFilm[] => {
      const rings = turnsNear(group, onSide, closed).flat();
      return rings.length === 0
        ? []
        : [
            {
              itemId: one.item.id,
              group: g,
              film: filmOfGroup(one, g),
              rings: rings.map((ring) => toPlane(ring, meanRadius)),
            },
          ];
    }),
  );
}
