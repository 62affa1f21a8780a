import type { Template } from '../../flat/template.ts';
import type { Box } from '../../plane/box.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Path } from '../../plane/path.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import type { Development } from '../../surface/development.ts';
import { panelEnds, panelOutline } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import { isStraight } from './whole.ts';

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
