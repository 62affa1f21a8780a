import type { Project } from '../model/project.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { glanceHalfAngleOn } from '../proof/findings/glance.ts';
import type { Limits } from '../proof/limits.ts';
import { eyeDistance } from '../surface/foreshortening.ts';
import { eyeView } from './eye-view.ts';
import { ringsData } from './rings-data.ts';
import type { SeenViewModel } from './views.ts';

/** A blank as an eye sees it from one side; what looks narrower than a glance takes is told, and half of that again. */
export function seenViewModel(project: Project, wrap: Wrap, azimuth: number, limits: Limits): SeenViewModel | null {
  const distance = eyeDistance(wrap.meanRadius, limits.glanceDistance);
  const edge = limits.glanceEdge / 100;
  const view = eyeView(project, wrap, { azimuth, distance }, [edge, edge / 2]);
  if (!view) return null;
  return {
    body: ringsData([view.body]),
    lines: view.lines.map((ring) => openData(ring)).join(''),
    handle: view.handle && ringsData([view.handle]),
    pieces: view.pieces.map(({ film, rings }) => ({ film, data: ringsData(rings) })),
    narrow: view.narrow.map(({ share, rings }) => ({ share, data: ringsData(rings) })),
    box: view.box,
    widest: wrap.template.closed
      ? 2 * wrap.meanRadius * glanceHalfAngleOn(project.blank, wrap.meanRadius, azimuth, limits)
      : null,
  };
}

const openData = (ring: Float64Array): string => ringsData([ring]).replace(/Z$/, '');
