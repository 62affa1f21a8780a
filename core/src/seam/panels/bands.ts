import { bandMarks } from '../../flat/marks.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import { bestConicBand } from '../../surface/conic-band.ts';
import type { FilmGive } from '../../surface/film-strain.ts';
import { girthOfFilm } from '../../surface/girth-of-film.ts';
import type { Profile } from '../../surface/profile.ts';
import { frameOn, panelOutline } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import { seamAt } from '../path.ts';
import type { Panels } from './panel.ts';
import { HEAT_STRIPS, movePanel, PANEL_GAP_MM } from './panel.ts';

export function bandPanels(
  side: Profile,
  cuts: readonly number[],
  filmThickness: number,
  give: FilmGive,
  ends: { readonly left: SeamPath; readonly right: SeamPath },
): Panels {
  const girthAt = (slant: number): number => girthOfFilm(2 * Math.PI * side.radiusAt(slant), filmThickness);
  const parts = cuts.length - 1;
  let below = 0;
  const made = cuts.slice(1).map((to, i) => {
    const from = cuts[i]!;
    const band = bestConicBand(girthAt, [from, to], give);
    const flat = coneDevelopment(band.cone);
    const outline = panelOutline(flat, ends, 0, [from, to]);
    const region = {
      left: [seamAt(ends.left, from), seamAt(ends.left, to)],
      right: [seamAt(ends.right, from), seamAt(ends.right, to)],
      slant: [0, to - from],
    } as const;
    const name = `band ${i + 1} of ${parts}`;
    const strips = Math.max(4, Math.round(HEAT_STRIPS / parts));
    const heat = Array.from({ length: strips }, (_, k) => {
      const [a, b] = [((to - from) * k) / strips, ((to - from) * (k + 1)) / strips];
      return {
        outline: panelOutline(flat, ends, 0, [from + a, from + b], from),
        strain: band.strainAt((a + b) / 2),
      };
    });
    const bounds = boxOfCoordinates(flattenPath(outline, 0.01));
    const y = below - bounds.maxY;
    const panel = movePanel(
      { name, outlines: [outline], bounds, heat, ...bandMarks(flat, band.cone, region, name) },
      0,
      y,
    );
    below = panel.bounds.minY - PANEL_GAP_MM;
    const slant = [i === 0 ? -Infinity : from, i === parts - 1 ? Infinity : to] as const;
    return { flat: panel, frame: frameOn(flat, ends, slant, { name, turn: 0, from, x: 0, y }, band.cone) };
  });
  return { flats: made.map((m) => m.flat), frames: made.map((m) => m.frame) };
}
