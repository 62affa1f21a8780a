import { bandMarks } from '../../flat/marks.ts';
import type { Template } from '../../flat/template.ts';
import { boxOfCoordinates, boxWidth } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Path } from '../../plane/path.ts';
import type { Point } from '../../plane/point.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import type { Development } from '../../surface/development.ts';
import { frameOn, panelOutline } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import { seamAt } from '../path.ts';
import type { FlatPanel, Panels } from './panel.ts';
import { movePanel, PANEL_GAP_MM } from './panel.ts';

/** rad. A seam further from the back than this has its wrap turned upright. */
const FAR_FROM_BACK = 0.6;

/** Panels beside each other along seams; each turned upright, in the order in which they lie round the blank. */
export function sidePanels(
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

/** The part of the template between two distances from the rim edge. */
export function cutRegion({ region, cone }: Template, from: number, to: number): Template['region'] {
  const at = (ends: readonly [number, number], slant: number): number =>
    ends[0] + ((ends[1] - ends[0]) * slant) / cone.side;
  return {
    left: [at(region.left, from), at(region.left, to)],
    right: [at(region.right, from), at(region.right, to)],
    slant: [from, to],
  };
}

/** A ring of a patch as one path: out along its outer edge and back along the inner. */
export function ringPath(middle: number, inner: number, outer: number): Path {
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
