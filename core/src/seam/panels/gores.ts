import { EPSILON_MM } from '../../numeric/tolerances.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import { fitRing } from '../../plane/fit.ts';
import type { FilmGive } from '../../surface/film-strain.ts';
import { neededGive } from '../../surface/film-strain.ts';
import { goreOf } from '../../surface/gores.ts';
import type { Profile } from '../../surface/profile.ts';
import type { PanelFrame } from '../panel-frame.ts';
import { partName } from '../panel-frame.ts';
import { straightSeam } from '../path.ts';
import type { Panels } from './panel.ts';
import { HEAT_STRIPS, movePanel, PANEL_GAP_MM } from './panel.ts';

/** Strips down the side; their heat is the pull of the middle when middle and edges share the need by what film gives. */
export function gorePanels(side: Profile, parts: number, give: FilmGive): Panels {
  const pulled = give.stretch / (give.stretch + give.squeeze);
  const gore = goreOf(side, parts);
  const outline = fitRing(gore.outline, 0.02);
  const box = boxOfCoordinates(gore.outline);
  const widest = box.maxX - box.minX;
  const pitch = widest + PANEL_GAP_MM;
  const end = side.sideLength;
  const tick = Math.min(8, end / 10);
  const heat = Array.from({ length: HEAT_STRIPS }, (_, k) => {
    const [a, b] = [(end * k) / HEAT_STRIPS, (end * (k + 1)) / HEAT_STRIPS];
    const [wa, wb] = [gore.widthAt(a) / 2, gore.widthAt(b) / 2];
    const middle = (a + b) / 2;
    const corners = [
      { x: wa, y: -a },
      { x: -wa, y: -a },
      { x: -wb, y: -b },
    ];
    return {
      strain: pulled * neededGive(side.gaussianAt(middle), { width: gore.widthAt(middle), fill: 0 }),
      outline: {
        start: { x: wb, y: -b },
        closed: true,
        segments: corners.map((to) => ({ kind: 'line', to }) as const),
      },
    };
  });
  const flats = Array.from({ length: parts }, (_, i) =>
    movePanel(
      {
        name: `gore ${i + 1} of ${parts}`,
        outlines: [outline],
        bounds: box,
        heat,
        lines: [
          { from: { x: 0, y: -end * 0.08 }, to: { x: 0, y: -end * 0.08 - tick } },
          { from: { x: 0, y: -end * 0.92 }, to: { x: 0, y: -end * 0.92 + tick } },
        ],
        words: [
          { at: { x: 0, y: -end / 2 }, text: `${i + 1} of ${parts}` },
          ...(widest > 22 ? [{ at: { x: 0, y: -end * 0.3 }, text: 'rim up' }] : []),
        ],
      },
      (i - (parts - 1) / 2) * pitch,
      0,
    ),
  );
  const turn = (2 * Math.PI) / parts;
  const frames = flats.map((_, i): PanelFrame => {
    const x = (i - (parts - 1) / 2) * pitch;
    const middle = -Math.PI + (i + 0.5) * turn;
    return {
      part: partName(flats[i]!.name),
      asBand: false,
      left: straightSeam(middle - turn / 2, middle - turn / 2, end),
      right: straightSeam(middle + turn / 2, middle + turn / 2, end),
      slant: [-Infinity, Infinity],
      forwardInto: (azimuth, v, out) => {
        out[0] = x + (azimuth - middle) * side.radiusAt(Math.max(0, Math.min(end, v)));
        out[1] = -v;
      },
      inverse: (px, py) => ({
        azimuth: middle + (px - x) / Math.max(EPSILON_MM, side.radiusAt(Math.max(0, Math.min(end, -py)))),
        slant: -py,
      }),
    };
  });
  return { flats, frames };
}
