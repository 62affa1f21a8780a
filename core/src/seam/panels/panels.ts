import type { BlankSize } from '../../measure/size.ts';
import { girthOfFilm } from '../../measure/reading.ts';
import type { Box } from '../../plane/box.ts';
import { boxWidth, joinBoxes, shiftBox } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import { fitRing } from '../../plane/fit.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import type { Path } from '../../plane/path.ts';
import { mapPath } from '../../plane/path.ts';
import type { Point } from '../../plane/point.ts';
import { bestConicBand } from '../../surface/conic-band.ts';
import type { ConeSpec } from '../../surface/cone.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import type { Development } from '../../surface/development.ts';
import type { FilmGive } from '../../surface/film-strain.ts';
import { neededGive } from '../../surface/film-strain.ts';
import { goreOf } from '../../surface/gores.ts';
import type { Profile } from '../../surface/profile.ts';
import { ballProfile } from '../../surface/profile.ts';
import { spheroidGaussian } from '../../surface/spheroid.ts';
import { keptSide } from '../../flat/flattening.ts';
import type { TemplateMarks } from '../../flat/marks.ts';
import { bandMarks, faceMarks } from '../../flat/marks.ts';
import type { PanelFrame } from '../panel-frame.ts';
import { frameOn, panelEnds, panelOutline, partName } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import { seamAt, straightSeam } from '../path.ts';
import type { Template } from '../../flat/template.ts';

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

/** What a side is cut into: the sheets as they are printed, and how artwork is laid on them. */
export interface Panels {
  readonly flats: readonly FlatPanel[];
  /** One for each sheet; a single one where the sheets carry no artwork of their own. */
  readonly frames: readonly PanelFrame[];
}

/**
 * What the side is cut into and printed as: the band or face itself, panels side by side along seams, or the bands or
 * gores that a double curve is divided into.
 *
 * @param size corrected sizes, mm
 * @param filmThickness mm
 * @param template of the whole band or face
 * @param surface its development
 * @param seams where panels begin, in order round; one for a wrap that is not divided, none beside a handle
 */
export function makePanels(
  size: BlankSize,
  filmThickness: number,
  template: Template,
  surface: Development,
  seams: readonly SeamPath[],
): Panels {
  const { shape } = size;
  const { way, parts, give, cuts } = template.flattening;
  if (shape.form === 'profile' && way === 'bands') {
    const ends = panelEnds(template, surface, seams.slice(0, 1));
    return bandPanels(keptSide(shape), cuts, filmThickness, give, ends[0]!);
  }
  if (shape.form === 'profile' && way === 'gores') {
    const side = keptSide(shape);
    return gorePanels(side, parts, give, (slant) => side.gaussianAt(slant));
  }
  if (shape.form === 'ball' && way === 'gores') {
    const gores = gorePanels(ballProfile(shape.radius), parts, give, () =>
      spheroidGaussian(shape.radius, shape.halfLength, 0),
    );
    // Artwork lies on the patch in front, which no gore is.
    return { flats: gores.flats, frames: [wholeFrame(surface, { left: null, right: null })] };
  }
  const whole = { ...wholePanel(template), name: '' };
  if (!template.closed) return { flats: [whole], frames: [wholeFrame(surface, { left: null, right: null })] };
  const ends = panelEnds(template, surface, seams);
  if (
    ends.length === 1 &&
    ends[0]!.left.slants.length === 2 &&
    template.outline.segments.length === 4 &&
    isStraight(seams)
  )
    return { flats: [whole], frames: [wholeFrame(surface, ends[0]!, template.cone)] };
  return sidePanels(template, surface, ends, whole.heat);
}

const isStraight = (seams: readonly SeamPath[]): boolean =>
  seams.every(({ azimuths }) => azimuths.every((azimuth) => azimuth === -Math.PI));

const wholeFrame = (
  surface: Development,
  ends: Pick<PanelFrame, 'left' | 'right'>,
  cone: ConeSpec | null = null,
): PanelFrame => frameOn(surface, ends, [-Infinity, Infinity], { name: '', turn: 0, from: 0, x: 0, y: 0 }, cone);

/** rad. A seam further from the back than this has its wrap turned upright. */
const FAR_FROM_BACK = 0.6;

/** Panels beside each other along seams; each turned upright, in the order in which they lie round the blank. */
function sidePanels(
  template: Template,
  surface: Development,
  ends: readonly { readonly left: SeamPath; readonly right: SeamPath }[],
  heat: FlatPanel['heat'],
): Panels {
  const flat = coneDevelopment(template.cone);
  const side = template.cone.side;
  const count = ends.length;
  let next = 0;
  const handle = template.region.left[0] > -Math.PI;
  const meets = (i: number): [string, string] => {
    const other = (k: number): string =>
      handle && (k < 0 || k === count) ? 'handle' : `panel ${((k + count) % count) + 1}`;
    return [other(i - 1), other(i + 1)];
  };
  const made = ends.map(({ left, right }, i) => {
    const middle = (seamAt(left, side / 2) + seamAt(right, side / 2)) / 2;
    // One wrap keeps the front in its middle unless its seam is far from the back.
    const turn = count === 1 && Math.abs(middle) < FAR_FROM_BACK ? 0 : -middle;
    const outline = panelOutline(flat, { left, right }, turn, [0, side]);
    const bounds = boxOfCoordinates(flattenPath(outline, 0.01));
    const name = count === 1 ? '' : `panel ${i + 1} of ${count}`;
    const x = count === 1 ? 0 : next - bounds.minX;
    next += boxWidth(bounds) + PANEL_GAP_MM;
    const region = {
      left: [seamAt(left, 0) + turn, seamAt(left, side) + turn],
      right: [seamAt(right, 0) + turn, seamAt(right, side) + turn],
      slant: [0, side],
    } as const;
    return {
      flat: movePanel(
        {
          name,
          outlines: [outline],
          bounds,
          // One wrap shows its strain; panels side by side would each show a part of it.
          heat: count === 1 ? heat : [],
          ...bandMarks(
            flat,
            template.cone,
            region,
            name,
            count === 1
              ? null
              : {
                  turn,
                  ends: meets(i),
                  middles: [seamAt(left, side / 2) + turn, seamAt(right, side / 2) + turn],
                },
          ),
        },
        x,
        0,
      ),
      frame: frameOn(surface, { left, right }, [-Infinity, Infinity], { name, turn, from: 0, x, y: 0 }, template.cone),
    };
  });
  return { flats: made.map((m) => m.flat), frames: made.map((m) => m.frame) };
}

function wholePanel(template: Template): Omit<FlatPanel, 'name'> {
  const { map } = template.flattening;
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
  return {
    outlines: [template.outline, ...template.holes],
    bounds: template.bounds,
    heat,
    ...(template.closed ? bandMarks(surface, template.cone, template.region, '') : faceMarks(template.bounds)),
  };
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

function bandPanels(
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

/** Strips down the side; their heat is the pull of the middle when middle and edges share the need by what film gives. */
function gorePanels(side: Profile, parts: number, give: FilmGive, gaussianAt: (slant: number) => number): Panels {
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
        azimuth: middle + (px - x) / Math.max(1e-6, side.radiusAt(Math.max(0, Math.min(end, -py)))),
        slant: -py,
      }),
    };
  });
  return { flats, frames };
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

/** The whole band or face as one flat, from its first seam once round: what views show while it is worked on. */
export interface ShownBand {
  readonly outlines: readonly Path[];
  /** What it reaches over; a wandering end stays within. */
  readonly region: Template['region'];
  readonly bounds: Box;
}

/** As `ShownBand` says, for a wrap whose panels begin at these seams. */
export function shownBand(template: Template, surface: Development, seams: readonly SeamPath[]): ShownBand {
  const plain = { outlines: [template.outline, ...template.holes], region: template.region, bounds: template.bounds };
  if (!template.closed || seams.length === 0 || template.region.left[0] > -Math.PI) return plain;
  if (isStraight(seams.slice(0, 1))) return plain;
  const { left, right } = panelEnds(template, surface, seams.slice(0, 1))[0]!;
  const flat = coneDevelopment(template.cone);
  const outline = panelOutline(flat, { left, right }, 0, [0, template.cone.side]);
  const [low, high] = [Math.min(...left.azimuths), Math.max(...right.azimuths)];
  return {
    outlines: [outline],
    region: { left: [low, low], right: [high, high], slant: [0, template.cone.side] },
    bounds: boxOfCoordinates(flattenPath(outline, 0.01)),
  };
}

/** Whether the artwork lies on the sheets that are printed; a ball's gores are printed bare. */
export const carriesPieces = ({
  panels,
  frames,
}: {
  panels: readonly FlatPanel[];
  frames: readonly PanelFrame[];
}): boolean => panels.length === frames.length;

/** Box round everything on the sheet: the panels, and what is cut beside them. */
export function boxOfSheet(wrap: {
  panels: readonly FlatPanel[];
  frames: readonly PanelFrame[];
  pieces: readonly { readonly spare: boolean; readonly flatBox: Box }[];
}): Box {
  const spares = carriesPieces(wrap) ? wrap.pieces.filter((piece) => piece.spare) : [];
  return spares.map((piece) => piece.flatBox).reduce(joinBoxes, boxOfPanels(wrap.panels));
}
