import { bandMarks, faceMarks } from '../../flat/marks.ts';
import type { Template } from '../../flat/template.ts';
import type { ConeSpec } from '../../surface/cone.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import type { Development } from '../../surface/development.ts';
import type { PanelFrame } from '../panel-frame.ts';
import { frameOn } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import type { FlatPanel } from './panel.ts';
import { cutRegion, ringPath } from './side.ts';

export const isStraight = (seams: readonly SeamPath[]): boolean =>
  seams.every(({ azimuths }) => azimuths.every((azimuth) => azimuth === -Math.PI));

export const wholeFrame = (
  surface: Development,
  ends: Pick<PanelFrame, 'left' | 'right'>,
  cone: ConeSpec | null = null,
): PanelFrame => frameOn(surface, ends, [-Infinity, Infinity], { name: '', turn: 0, from: 0, x: 0, y: 0 }, cone);

export function wholePanel(template: Template): Omit<FlatPanel, 'name'> {
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
