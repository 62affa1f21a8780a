import type { BlankSize } from '../blank/size.ts';
import { girthOfFilm } from '../blank/reading.ts';
import type { Box } from '../plane/box.ts';
import { joinBoxes, shiftBox } from '../plane/box.ts';
import { fitRing } from '../plane/fit.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import type { Path } from '../plane/path.ts';
import { mapPath } from '../plane/path.ts';
import type { Point } from '../plane/point.ts';
import { bestConicBand } from '../surface/conic-band.ts';
import { coneDevelopment } from '../surface/cone.ts';
import type { FilmGive } from '../surface/film-strain.ts';
import { neededGive } from '../surface/film-strain.ts';
import { goreOf } from '../surface/gores.ts';
import type { Profile } from '../surface/profile.ts';
import { ballProfile } from '../surface/profile.ts';
import { spheroidGaussian } from '../surface/spheroid.ts';
import { bandCuts, keptSide } from './flattening.ts';
import type { TemplateMarks } from './marks.ts';
import { bandMarks, faceMarks } from './marks.ts';
import type { Template } from './template.ts';

/** One flat piece of the printed template, where it lies on the sheet, mm. */
export interface FlatPanel extends TemplateMarks {
  /** Which one it is; empty when there is only one. */
  readonly name: string;
  /** Outer outline, then holes. */
  readonly outlines: readonly Path[];
  readonly bounds: Box;
  /** Parts of it with the strain that film takes there, for the heat map. */
  readonly heat: readonly { readonly outline: Path; readonly strain: number }[];
}

/** mm between two panels on the sheet, so that scissors fit. */
const PANEL_GAP_MM = 6;
/** Strips of one colour in a heat map. */
const HEAT_STRIPS = 24;

/**
 * What is printed as the template: the band or face itself, or the bands or gores that the side is divided into.
 *
 * @param size corrected sizes, mm
 * @param filmThickness mm
 * @param template of the whole band or face
 */
export function makePanels(size: BlankSize, filmThickness: number, template: Template): FlatPanel[] {
  const { shape } = size;
  const { way, parts, give, map } = template.flattening;
  if (shape.form === 'profile' && way === 'bands') return bandPanels(keptSide(shape), parts, filmThickness, give);
  if (shape.form === 'profile' && way === 'gores') {
    const side = keptSide(shape);
    return gorePanels(side, parts, give, (slant) => side.gaussianAt(slant));
  }
  if (shape.form === 'ball' && way === 'gores')
    return gorePanels(ballProfile(shape.radius), parts, give, () =>
      spheroidGaussian(shape.radius, shape.halfLength, 0),
    );
  const surface = coneDevelopment(template.cone);
  const heat = (map?.samples ?? []).slice(1).map((sample, i) => {
    const before = map!.samples[i]!;
    const strain = (sample.strain + before.strain) / 2 + map!.pull;
    return {
      strain,
      outline:
        map!.by === 'slant'
          ? surface.outline(cutRegion(template, before.at, sample.at))
          : ringPath(template.cone.side / 2, before.at, sample.at),
    };
  });
  return [
    {
      name: '',
      outlines: [template.outline, ...template.holes],
      bounds: template.bounds,
      heat,
      ...(template.closed ? bandMarks(surface, template.cone, template.region, '') : faceMarks(template.bounds)),
    },
  ];
}

/** The part of the template between two distances from the rim edge. */
function cutRegion({ region, cone }: Template, from: number, to: number): Template['region'] {
  const at = (ends: readonly [number, number], slant: number): number =>
    ends[0] + ((ends[1] - ends[0]) * slant) / cone.side;
  return {
    left: [at(region.left, from), at(region.left, to)],
    right: [at(region.right, from), at(region.right, to)],
    slant: [from, to],
  };
}

/** A ring of a patch as one path: out along its outer edge and back along the inner. */
function ringPath(middle: number, inner: number, outer: number): Path {
  const spot = (radius: number, left: boolean): Point => ({ x: left ? -radius : radius, y: -middle });
  const arc = (radius: number, left: boolean, ccw: boolean): Path['segments'][number] => ({
    kind: 'arc',
    radius,
    large: false,
    ccw,
    to: spot(radius, left),
  });
  const hole: Path['segments'] =
    inner > 0 ? [{ kind: 'line', to: spot(inner, false) }, arc(inner, true, false), arc(inner, false, false)] : [];
  return {
    start: spot(outer, false),
    closed: true,
    segments: [arc(outer, true, true), arc(outer, false, true), ...hole],
  };
}

function bandPanels(side: Profile, parts: number, filmThickness: number, give: FilmGive): FlatPanel[] {
  const girthAt = (slant: number): number => girthOfFilm(2 * Math.PI * side.radiusAt(slant), filmThickness);
  const cuts = bandCuts(side, parts);
  let below = 0;
  return cuts.slice(1).map((to, i) => {
    const from = cuts[i]!;
    const band = bestConicBand(girthAt, [from, to], give);
    const flat = coneDevelopment(band.cone);
    const region = {
      left: [-Math.PI, -Math.PI],
      right: [Math.PI, Math.PI],
      slant: [0, to - from],
    } as const;
    const name = `band ${i + 1} of ${parts}`;
    const strips = Math.max(4, Math.round(HEAT_STRIPS / parts));
    const heat = Array.from({ length: strips }, (_, k) => {
      const [a, b] = [((to - from) * k) / strips, ((to - from) * (k + 1)) / strips];
      return { outline: flat.outline({ ...region, slant: [a, b] }), strain: band.strainAt((a + b) / 2) };
    });
    const panel = movePanel(
      {
        name,
        outlines: [flat.outline(region)],
        bounds: flat.bounds(region),
        heat,
        ...bandMarks(flat, band.cone, region, name),
      },
      0,
      0,
    );
    const placed = movePanel(panel, 0, below - panel.bounds.maxY);
    below = placed.bounds.minY - PANEL_GAP_MM;
    return placed;
  });
}

/** Strips down the side; their heat is the pull of the middle when middle and edges share the need by what film gives. */
function gorePanels(side: Profile, parts: number, give: FilmGive, gaussianAt: (slant: number) => number): FlatPanel[] {
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
      strain: pulled * neededGive(gaussianAt(middle), { width: gore.widthAt(middle), fill: 0 }),
      outline: {
        start: { x: wb, y: -b },
        closed: true,
        segments: corners.map((to) => ({ kind: 'line', to }) as const),
      },
    };
  });
  return Array.from({ length: parts }, (_, i) =>
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
}

function movePanel(panel: FlatPanel, x: number, y: number): FlatPanel {
  const move = (p: Point): Point => ({ x: p.x + x, y: p.y + y });
  return {
    name: panel.name,
    outlines: panel.outlines.map((path) => mapPath(path, move)),
    bounds: shiftBox(panel.bounds, x, y),
    heat: panel.heat.map(({ outline, strain }) => ({ outline: mapPath(outline, move), strain })),
    lines: panel.lines.map(({ from, to }) => ({ from: move(from), to: move(to) })),
    words: panel.words.map(({ at, text }) => ({ at: move(at), text })),
  };
}

/** Box round all panels, mm. */
export function boxOfPanels(panels: readonly FlatPanel[]): Box {
  return panels.map((panel) => panel.bounds).reduce(joinBoxes);
}
