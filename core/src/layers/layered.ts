import type { LaidOut } from '../layout/lay-out.ts';
import type { PlacedItem } from '../layout/place.ts';
import { toPlane, turnsNear } from '../layout/side-plane.ts';
import type { Job } from '../model/job.ts';
import { buildStack, layerOfGroup } from './build-up.ts';
import { filmBelow, type LiesOn } from './lies-on.ts';
import { filmOfLayer } from './layer.ts';
import { levelsByDrawing } from './levels.ts';
import { layersOf } from './order.ts';
import type { DrawnFilm, DrawnOverlaps, DrawnOrder } from './overlaps.ts';
import { orderByDrawing, overlapsOf } from './overlaps.ts';

/** The artwork film by film: what lies on what, with films knocked out of each other where the stack asks for it. */
export interface Layered {
  readonly placed: readonly PlacedItem[];
  /** Layers from the blank outwards: films, and those of them again that stand at several levels; see `layerOf`. */
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
  const flat = drawnFilms(shaped, meanRadius, closed);
  const overlaps = new Set(flat.map(({ layer }) => layer)).size > 1 ? overlapsOf(flat) : NO_OVERLAPS;
  const asked = orderByDrawing(flat, overlaps);
  const levels = asked.twice.length > 0 && stack.levels === 'as drawn' ? levelsByDrawing(flat, overlaps) : null;
  const levelled = levels ? onLevels(shaped, flat, levels.levels) : shaped;
  const drawn = levels ? drawnFilms(levelled, meanRadius, closed) : flat;
  const order = levels ? { films: levels.layers, twice: [] } : asked;
  const layers = layersOf(order.films, stack);
  const placed = buildStack(levelled, layers, stack, meanRadius, closed);
  const lying = stack.build === 'full' ? drawn : drawnFilms(placed, meanRadius, closed);
  const liesOn = filmBelow(
    lying,
    lying === drawn ? overlaps : overlapsOf(lying),
    layers,
    (layer) => films.find((one) => one.id === filmOfLayer(layer))?.thicknessMm ?? 0,
  );
  return { placed, layers, drawn: { films: drawn, overlaps, order }, liesOn };
}

/** Items with the levels of their groups. @param levels of what is drawn, by its place in the list */
function onLevels(
  shaped: readonly PlacedItem[],
  drawn: readonly DrawnFilm[],
  levels: readonly number[],
): readonly PlacedItem[] {
  const known = new Map(drawn.map(({ itemId, group }, i) => [`${itemId}|${group}`, levels[i]!]));
  return shaped.map((one) => ({ ...one, levelOf: one.groups.map((_, g) => known.get(`${one.item.id}|${g}`) ?? 0) }));
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
              layer: layerOfGroup(one, g),
              rings: rings.map((ring) => toPlane(ring, meanRadius)),
            },
          ];
    }),
  );
}
