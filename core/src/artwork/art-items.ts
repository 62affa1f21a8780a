import type { DrawnSheet, KeptDrawing } from '../model/drawing.ts';
import type { ArtItem, Provenance } from '../model/item.ts';
import { fitRing } from '../plane/fit.ts';
import { pathData } from '../plane/path-text.ts';
import type { Drawing } from './drawing.ts';
import { ANYWHERE } from './new-item.ts';

/** Share of a drawing's larger side by which its outlines may stray when they are kept as curves. */
const KEPT_SHARE = 1e-4;

/** What is said of a drawing when it is brought in. */
export interface DrawingSaid extends Provenance {
  readonly name: string;
}

/** Fits curves to the outlines of a drawing. */
export function keepDrawing({ widthMm, heightMm, sheet, colours }: Drawing): KeptDrawing {
  const error = KEPT_SHARE * Math.max(widthMm, heightMm);
  return {
    widthMm,
    heightMm,
    ...(sheet ? { sheet } : {}),
    colours: colours.map(({ colour, rings }) => ({
      colour,
      pathData: rings.map((ring) => pathData(fitRing(ring, error))).join(''),
    })),
  };
}

/** The drawing that items are the colours of, as it was drawn: what was done to them on this blank is left behind. */
export function drawingOfItems(items: readonly ArtItem[]): KeptDrawing {
  const { drawn, sheet } = items[0]!;
  return {
    ...drawn,
    ...(sheet ? { sheet } : {}),
    colours: items.map(({ colour, pathData }) => ({ colour, pathData })),
  };
}

/**
 * Items of a drawing, one for each colour that is taken, which stay together.
 *
 * @param drawing outlines by colour
 * @param films film of each colour by its place in the drawing; null leaves the colour off
 * @param said name, source and right of use
 * @param widthMm mm across on the blank
 * @param newId makes ids
 */
export function itemsOfDrawing(
  { colours, widthMm: drawnWidth, heightMm: drawnHeight, sheet }: KeptDrawing,
  films: readonly (string | null)[],
  said: DrawingSaid,
  widthMm: number,
  newId: () => string,
): ArtItem[] {
  const setId = newId();
  return colours.flatMap(({ colour, pathData }, i): ArtItem[] => {
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
        pathData,
        drawn: { widthMm: drawnWidth, heightMm: drawnHeight },
        ...(sheet ? { sheet } : {}),
        widthMm,
        heightMm: null,
        ...ANYWHERE,
        running: 'rigid',
      },
    ];
  });
}

/** Size of what is placed of a drawing, and where its middle lies from that of the ink: mm as drawn, y up. */
export function frameOf({ drawn, sheet, by }: Pick<ArtItem, 'drawn' | 'sheet' | 'by'>): DrawnSheet {
  return by === 'sheet' && sheet ? sheet : { ...drawn, x: 0, y: 0 };
}

/** A drawing placed by its ink, or by its page; the ink keeps its size. */
export function placedBy(item: ArtItem, by: 'ink' | 'sheet'): ArtItem {
  const [before, after] = [frameOf(item), frameOf({ ...item, by })];
  const heightMm = item.heightMm === null ? null : (item.heightMm * after.heightMm) / before.heightMm;
  return { ...item, by, widthMm: (item.widthMm * after.widthMm) / before.widthMm, heightMm };
}
