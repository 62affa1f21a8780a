import { NO_ACTS } from './acts.ts';
import { fitRing } from '../plane/fit.ts';
import { pathData } from '../plane/path-text.ts';
import type { Drawing } from './drawing.ts';
import type { ArtItem } from './item.ts';

/** Share of a drawing's larger side by which its outlines may stray when they are kept as curves. */
const KEPT_SHARE = 1e-4;

/** What is said of a drawing when it is brought in. */
export interface DrawingSaid {
  readonly name: string;
  readonly source: string;
  readonly rights: ArtItem['rights'];
}

/**
 * Items of a drawing, one for each colour that is taken, which stay together.
 *
 * @param drawing areas by colour
 * @param films film of each colour by its place in the drawing; null leaves the colour off
 * @param said name, source and right of use
 * @param widthMm mm across on the blank
 * @param newId makes ids
 */
export function itemsOfDrawing(
  drawing: Drawing,
  films: readonly (string | null)[],
  said: DrawingSaid,
  widthMm: number,
  newId: () => string,
): ArtItem[] {
  const setId = newId();
  const error = KEPT_SHARE * Math.max(drawing.widthMm, drawing.heightMm);
  return drawing.colours.flatMap(({ colour, rings }, i): ArtItem[] => {
    const film = films[i];
    if (!film) return [];
    return [
      {
        id: newId(),
        type: 'art',
        film,
        ...said,
        setId,
        colour,
        pathData: rings.map((ring) => pathData(fitRing(ring, error))).join(''),
        drawn: { widthMm: drawing.widthMm, heightMm: drawing.heightMm },
        widthMm,
        heightMm: null,
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
        running: 'rigid',
        repeat: { mode: 'once', count: 1 },
        fuse: true,
        keepTogether: null,
        mirrored: false,
        spares: 0,
        acts: NO_ACTS,
      },
    ];
  });
}
