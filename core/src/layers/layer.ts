/** What stands at a level of the stack. */
export interface OnLevel {
  readonly film: string;
  /** 0 where a film stands once, or lowest; 1 for the next time that it stands. */
  readonly level?: number;
}

const AGAIN = /^(.+)\/(\d+)$/;

/** A layer's id: its film's, and how manieth time it stands there where that is not the first. */
export const layerOf = ({ film, level = 0 }: OnLevel): string => (level === 0 ? film : `${film}/${level + 1}`);

/** The film of a layer, by its id. */
export const filmOfLayer = (layer: string): string => AGAIN.exec(layer)?.[1] ?? layer;

/** At which of its levels the film of a layer stands, by its id: 0 for the lowest. */
export const levelOfLayer = (layer: string): number => Number(AGAIN.exec(layer)?.[2] ?? 1) - 1;

/**
 * What is cut of a film as one: its part; what stands higher up again is weeded and taped by itself.
 *
 * @returns a name as of a part: "tansy", "tansy-upper", "upper-2"
 */
export const laidAs = ({ part, level = 0 }: { readonly part: string; readonly level?: number }): string =>
  level === 0 ? part : `${part && `${part}-`}upper${level > 1 ? `-${level}` : ''}`;

/**
 * What a layer is called: its film, and which of its layers it is where there are several.
 *
 * @param layers of the job
 * @param nameOf name of a film
 */
export function layerName(layer: string, layers: readonly string[], nameOf: (film: string) => string): string {
  const film = filmOfLayer(layer);
  const times = layers.filter((one) => filmOfLayer(one) === film).length;
  if (times < 2) return nameOf(film);
  const level = levelOfLayer(layer);
  return `${nameOf(film)}, ${level === 0 ? 'lower' : level > 1 ? `upper ${level}` : 'upper'}`;
}
