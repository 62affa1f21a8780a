import type { Template } from '../../flat/template.ts';
import { solidOf } from '../../measure/kinds/kinds.ts';
import type { BlankSize } from '../../measure/size.ts';
import type { Development } from '../../surface/development.ts';
import { panelEnds } from '../panel-frame.ts';
import type { SeamPath } from '../path.ts';
import { bandPanels } from './bands.ts';
import { gorePanels } from './gores.ts';
import type { Panels } from './panel.ts';
import { sidePanels } from './side.ts';
import { isStraight, wholeFrame, wholePanel } from './whole.ts';

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
  const { curved, gores, face } = solidOf(size);
  const { way, parts, give, cuts } = template.flattening;
  if (curved && way === 'bands') {
    const ends = panelEnds(template, surface, seams.slice(0, 1));
    return bandPanels(curved.kept, cuts, filmThickness, give, ends[0]!);
  }
  if (gores && way === 'gores') {
    const made = gorePanels(gores, parts, give);
    // Artwork of a ball lies on the patch in front, which no gore is.
    return face?.patch ? { flats: made.flats, frames: [wholeFrame(surface, { left: null, right: null })] } : made;
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
