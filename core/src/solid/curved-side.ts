import type { ConicBand } from '../surface/conic-band.ts';
import { bandCuts, bandDevelopment, bestConicBand, fewestBands, longestBand } from '../surface/conic-band.ts';
import type { FilmGive } from '../surface/film-strain.ts';
import { neededGive, widestPulled } from '../surface/film-strain.ts';
import { girthOfFilm } from '../surface/girth-of-film.ts';
import type { Profile, ProfileStation } from '../surface/profile.ts';
import { profileOf } from '../surface/profile.ts';
import type { DrawnBlank, SolidRow } from './drawn.ts';
import { drawnTurned, FOOT_MM } from './drawn.ts';
import type { FlattenAsk, Flattening, FlattenOption, StrainMap } from './flattening.ts';
import { clampParts, MOST_PARTS } from './flattening.ts';
import type { CurvedSide, Solid } from './solid.ts';
import { tapeOnStations } from './tape-place.ts';

/** Curvature under which a side counts as flat one way: film over a span of its whole length stays under 0.01 %. */
const FLAT_LOAD = 0.004;

/** What is kept of a curved side. */
export interface CurvedData {
  /** Corrected, the first at 0. */
  readonly stations: readonly ProfileStation[];
  readonly along: 'side' | 'upright';
  /** Part of the side that is flattened, mm along it; null for all of it. */
  readonly keep: readonly [number, number] | null;
}

/** The side of a bowl, goblet, bottle or pot: it is laid in the best one band, in several, or in gores. */
export function curvedSolid({ stations, along, keep }: CurvedData): Solid {
  const whole = profileOf(stations, along);
  const [from, to] = keep ?? [0, whole.sideLength];
  const kept: Profile = {
    sideLength: to - from,
    radiusAt: (slant) => whole.radiusAt(from + slant),
    slopeAt: (slant) => whole.slopeAt(from + slant),
    gaussianAt: (slant) => whole.gaussianAt(from + slant),
  };
  const curved: CurvedSide = { whole, keep: [from, to], kept };
  return {
    curved,
    gores: kept,
    face: null,
    spheroid: null,
    flatten: (asked) => flattenCurved(curved, asked),
    unroll: (filmThickness, { give }) => {
      const girthAt = (slant: number): number => girthOfFilm(2 * Math.PI * kept.radiusAt(slant), filmThickness);
      const { development, band } = bandDevelopment({ ...kept, radiusAt: (slant) => girthAt(slant) / (2 * Math.PI) }, give); // prettier-ignore
      return { cone: band.cone, surface: development };
    },
    gaussianAt: () => kept.gaussianAt,
    drawn: (blank) => drawnTurned(rowsOf(curved, blank), { side: kept.sideLength, ...beyond(curved, blank) }, blank),
    tapeFor: (asked, blank, drawn) => (typeof asked === 'object' ? tapeOnStations(asked, blank, drawn) : null),
  };
}

/** Side above and below the template as it is drawn, mm: what was read and left off, the drinking edge, a foot. */
const beyond = ({ whole, keep }: CurvedSide, { bandBelowRimMm }: DrawnBlank): { above: number; below: number } => ({
  above: keep[0] + Math.max(1, bandBelowRimMm),
  below: whole.sideLength - keep[1] + FOOT_MM,
});

/** Rows from the top down; past the stations the side runs on straight, as it was heading. */
function rowsOf({ whole, keep: [from] }: CurvedSide, { bandBelowRimMm }: DrawnBlank): SolidRow[] {
  const rim = Math.max(1, bandBelowRimMm);
  const steps = 72;
  let height = 0;
  const rows: SolidRow[] = [];
  for (let i = -1; i <= steps + 1; i++) {
    const at = i < 0 ? -rim : i > steps ? whole.sideLength + FOOT_MM : (whole.sideLength * i) / steps;
    const inside = Math.min(whole.sideLength, Math.max(0, at));
    // As it was heading, but no spike: beyond the stations there are no readings.
    const lean = at === inside ? whole.slopeAt(inside) : Math.max(-0.06, Math.min(0.06, whole.slopeAt(inside)));
    const before = rows.at(-1);
    if (before) height -= (at - from - before[0]) * Math.sqrt(Math.max(0.01, 1 - ((lean + before[3]) / 2) ** 2));
    rows.push([at - from, Math.max(2, whole.radiusAt(inside) + lean * (at - inside)), height, lean]);
  }
  return rows;
}

function flattenCurved(
  { kept: side, keep: [keptFrom] }: CurvedSide,
  { blank: { flattening: choice }, filmThickness, give }: FlattenAsk,
): Flattening {
  const girthAt = (slant: number): number => girthOfFilm(2 * Math.PI * side.radiusAt(slant), filmThickness);
  const band = bestConicBand(girthAt, [0, side.sideLength], give);
  const one: FlattenOption = { way: 'band', parts: 1, strain: Math.abs(band.worst.strain), load: band.load };
  const girths = Array.from({ length: 121 }, (_, i) => girthAt((side.sideLength * i) / 120));
  const gaussian = Array.from({ length: 121 }, (_, i) => side.gaussianAt((side.sideLength * i) / 120));
  const sharpest = gaussian.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
  const develops = band.load < FLAT_LOAD;
  const whole = [0, side.sideLength] as const;
  const bandsOption = (parts: number): FlattenOption & { readonly cuts: readonly number[] } => {
    const found = bandCuts(girthAt, whole, give, parts);
    const loads = found
      .slice(1)
      .map((to, i, cuts) => bestConicBand(girthAt, [i === 0 ? 0 : cuts[i - 1]!, to], give))
      .sort((a, b) => b.load - a.load);
    return { way: 'bands', parts, strain: Math.abs(loads[0]!.worst.strain), load: loads[0]!.load, cuts: found };
  };
  const goresOption = (parts: number): FlattenOption => {
    const needed = Math.max(...girths.map((girth, i) => neededGive(gaussian[i]!, { width: girth / parts, fill: 0 })));
    return { way: 'gores', parts, strain: needed, load: needed / (give.stretch + give.squeeze) };
  };
  const fewest = (option: (parts: number) => FlattenOption, from: number, most: number): FlattenOption => {
    for (let parts = from; parts < most; parts++) {
      const made = option(parts);
      if (made.load <= 1) return made;
    }
    return option(most);
  };
  const { cuts, ...bands } = bandsOption(
    choice.way === 'bands' && choice.parts
      ? clampParts(choice.parts, 2, MOST_PARTS.bands)
      : Math.max(2, fewestBands(girthAt, whole, give, MOST_PARTS.bands)),
  );
  const gores =
    choice.way === 'gores' && choice.parts
      ? goresOption(clampParts(choice.parts, 2, MOST_PARTS.gores))
      : fewest(goresOption, 3, MOST_PARTS.gores);
  const options = develops ? [one] : [one, bands, gores];
  const chosen = choice.way === 'bands' && !develops ? bands : choice.way === 'gores' && !develops ? gores : one;
  const steps = 48;
  const map: StrainMap | null = develops
    ? null
    : {
        by: 'slant',
        pull: 0,
        samples: Array.from({ length: steps + 1 }, (_, i) => {
          const at = (side.sideLength * i) / steps;
          return { at, strain: band.strainAt(at) };
        }),
      };
  return {
    ...chosen,
    give,
    map,
    worst: develops ? null : { at: band.worst.slant, strain: band.worst.strain },
    options,
    cutDown: band.load > 1 ? cutDownOf(keptFrom, girthAt, side, give, band) : null,
    widest: develops || sharpest === 0 ? null : widestPulled(sharpest, give.stretch, give.squeeze),
    rectangleExcess: Math.max(...girths) - Math.min(...girths),
    patchMm: 0,
    cuts: chosen === bands ? cuts : [],
  };
}

/** The end at which less has to be left off so that one band lies flat. */
function cutDownOf(
  keptFrom: number,
  girthAt: (slant: number) => number,
  side: Profile,
  give: FilmGive,
  band: ConicBand,
): Flattening['cutDown'] {
  const whole: [number, number] = [0, side.sideLength];
  const fromRim = longestBand(girthAt, whole, give, 'rim');
  const fromBase = longestBand(girthAt, whole, give, 'base');
  const end = fromRim[1] - fromRim[0] >= fromBase[1] - fromBase[0] ? 'base' : 'rim';
  // Whole millimetres, rounded towards less film.
  const kept = end === 'base' ? [0, Math.floor(fromRim[1])] : [Math.ceil(fromBase[0]), side.sideLength];
  const [from, to] = kept as [number, number];
  if (to - from < 5) return null;
  const off = end === 'base' ? ([to, side.sideLength] as const) : ([0, from] as const);
  const strains = Array.from({ length: 41 }, (_, i) => band.strainAt(off[0] + ((off[1] - off[0]) * i) / 40));
  return {
    end,
    leftOff: side.sideLength - (to - from),
    keep: [keptFrom + from, keptFrom + to],
    strain: strains.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)),
  };
}
