import { boxHeight, boxOfRings, boxWidth } from '../../plane/box.ts';
import { ringArea } from '../../polygon/polygon.ts';
import type { Raster } from '../../raster/foreground.ts';
import type { Drawing, DrawingColour, DrawingResult } from '../drawing.ts';
import { blurred } from './blur.ts';
import { byColour } from './by-colour.ts';
import { standsOut } from './ground.ts';
import { clamp, lightnessOf, otsu } from './lightness.ts';
import { colourWhere } from './mean-colour.ts';
import type { TraceOptions } from './options.ts';
import { outlinesOf } from './outlines.ts';

/** Most outlines of one trace: a photograph of leaves is no drawing. */
const MOST_RINGS = 5000;

/** A trace, with the threshold that was used. */
interface Traced {
  readonly result: DrawingResult;
  readonly threshold: number;
  /** How many colours the picture has, without the ground: what noise and blurred edges add to them is none. 0 by lightness. */
  readonly colours: number;
}

/**
 * Outlines of what is in a picture.
 *
 * @param picture its pixels; what is transparent counts as ground
 * @param options how
 * @returns a drawing in the picture's own colours, mm, or why there is none
 * @source threshold: N. Otsu, "A threshold selection method from gray-level histograms", 1979; outlines: marching squares
 *   with linear interpolation on a field that is 0.5 at the edge, fitted with cubics
 */
export function traceRaster(raster: Raster, options: TraceOptions): Traced {
  const { width, height } = raster;
  const mmPerPx = options.widthMm / width;
  const lightness = options.mode === 'dark' || options.mode === 'light' ? lightnessOf(raster) : null;
  const threshold = lightness ? (options.threshold ?? otsu(lightness)) : 0;
  const layers: { colour: string; field: Float32Array }[] = [];
  if (lightness) {
    const dark = options.mode === 'dark';
    // 0.5 at the threshold, so that half-covered pixels put the edge where it is.
    const sign = dark ? -2 / 255 : 2 / 255;
    const field = new Float32Array(lightness.length);
    for (let i = 0; i < field.length; i++) field[i] = clamp(0.5 + sign * (lightness[i]! - threshold));
    layers.push({ colour: colourWhere(raster, field), field });
  } else if (options.mode === 'ground') {
    const field = standsOut(raster, options.tolerance);
    layers.push({ colour: colourWhere(raster, field), field });
  } else layers.push(...byColour(raster, options));
  const found = options.mode === 'colours' ? layers.length : 0;
  const colours: DrawingColour[] = [];
  let rings = 0;
  for (const { colour, field } of layers) {
    const even = blurred(field, width, height, options.smooth);
    const outlines = outlinesOf(even, width, height, options.speckMm2 / mmPerPx ** 2);
    rings += outlines.length;
    if (rings > MOST_RINGS)
      return {
        threshold,
        colours: found,
        result: { ok: false, problem: { code: 'too-much', what: 'outlines', limit: MOST_RINGS } },
      };
    if (outlines.length === 0) continue;
    const placed = outlines.map((ring) =>
      ring.map((v, i) => (i % 2 ? (height / 2 - v) * mmPerPx : (v - width / 2) * mmPerPx)),
    );
    colours.push({ colour, rings: placed, areaMm2: placed.reduce((sum, ring) => sum + ringArea(ring), 0) });
  }
  if (colours.length === 0) return { threshold, colours: found, result: { ok: false, problem: { code: 'empty' } } };
  colours.sort((a, b) => b.areaMm2 - a.areaMm2);
  return {
    threshold,
    colours: found,
    result: {
      ok: true,
      drawing: aboutItsFigure(colours, { width: options.widthMm, height: height * mmPerPx }),
      asDrawn: null,
    },
  };
}

/** A drawing as large as its figure, about the middle of that: the paper round it is none of it. */
function aboutItsFigure(
  colours: readonly DrawingColour[],
  picture: { readonly width: number; readonly height: number },
): Drawing {
  const box = boxOfRings(colours.flatMap(({ rings }) => rings));
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return {
    widthMm: boxWidth(box),
    heightMm: boxHeight(box),
    sheet: { widthMm: picture.width, heightMm: picture.height, x: -cx, y: -cy },
    colours: colours.map((one) => ({
      ...one,
      rings: one.rings.map((ring) => ring.map((value, i) => value - (i % 2 ? cy : cx))),
    })),
    leftOut: [],
    unitSaid: true,
  };
}
