import { judgeBalloonKeeps } from './balloon-keeps.ts';
import { judgeBandStrain } from './band-strain.ts';
import { judgeCoverSheet } from './cover-sheet.ts';
import { judgeFilmOld, judgeFilmShort } from './film-stock.ts';
import { judgeFilmUnsuited } from './film-unsuited.ts';
import { judgeFitUnchecked } from './fit-unchecked.ts';
import { judgeHazards } from './hazard.ts';
import { judgeMaskWeb } from './mask-web.ts';
import { judgeReadingWeak } from './reading-weak.ts';
import { judgeTape } from './tape-wrinkle.ts';
import { judgeBaseZone } from './base-zone.ts';
import { judgeMakes, withoutNamed } from './each-make.ts';
import { judgeFaceEdge } from './face-edge.ts';
import { judgeFineStroke } from './fine-stroke.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { RANK } from './finding.ts';
import { judgeStackHidden, judgeStackLevels, judgeStackOverlap } from './film-over-film.ts';
import { judgeScriptApart } from './script-apart.ts';
import { tidyFix } from './tidy-fix.ts';
import { judgeFontMissing } from './font-missing.ts';
import { judgeGlance } from './glance.ts';
import { judgeHands } from './hands.ts';
import { judgeStrayFilm } from './stray-film.ts';
import { judgeTinyPiece } from './tiny-piece.ts';
import { judgeHandleZone } from './handle-zone.ts';
import { judgeLettersMissing } from './letters-missing.ts';
import { judgeLoadFit } from './load-fit.ts';
import { judgeBridges, judgeIslands, judgeMaskMargin } from './mask.ts';
import { judgeNamesOverflow } from './names-overflow.ts';
import { judgeReadings } from './reading-implausible.ts';
import { judgeRightWayUp } from './right-way-up.ts';
import { judgeRimZone } from './rim-zone.ts';
import { judgeSeamCut } from './seam-cut.ts';
import { judgeSeamGap } from './seam-gap.ts';
import { judgeSeamNeighbours } from './seam-neighbours.ts';
import { judgeRegistrationCostly, judgeRegistrationMissing, judgeStackThick, judgeStackUnsupported } from './stack.ts';
import { judgeUnfused } from './unfused.ts';
import { judgeWrinkle } from './wrinkle.ts';

/**
 * Every judgement, in the order in which findings of one weight are told; adding one here is all it takes to run it
 * everywhere. Some judge the job as a whole; others what lies on it besides a list's words; and most every thing as it is
 * cut, of a list each with its own words.
 */
const JUDGES: readonly (readonly ['job' | 'besides names' | 'each', Judge])[] = [
  ['job', judgeReadings],
  ['job', judgeReadingWeak],
  ['job', judgeFitUnchecked],
  ['each', judgeUnfused],
  ['each', judgeScriptApart],
  ['job', judgeFontMissing],
  ['job', judgeNamesOverflow],
  ['each', judgeWrinkle],
  ['each', judgeTape],
  ['each', judgeFineStroke],
  ['each', judgeTinyPiece],
  ['job', judgeStrayFilm],
  ['job', judgeHands],
  ['each', judgeIslands],
  ['each', judgeBridges],
  ['each', judgeMaskMargin],
  ['each', judgeMaskWeb],
  ['job', judgeFilmUnsuited],
  ['job', judgeBandStrain],
  ['job', judgeBalloonKeeps],
  ['each', judgeSeamCut],
  ['each', judgeSeamNeighbours],
  ['job', judgeSeamGap],
  ['job', judgeRightWayUp],
  ['job', judgeLoadFit],
  ['job', judgeCoverSheet],
  ['job', judgeHazards],
  ['job', judgeStackThick],
  ['job', judgeStackUnsupported],
  ['job', judgeRegistrationMissing],
  ['job', judgeRegistrationCostly],
  ['job', judgeFilmShort],
  ['job', judgeFilmOld],
  ['job', judgeStackLevels],
  ['job', judgeStackHidden],
  ['job', judgeStackOverlap],
  // Letters that a name lacks are found with the names.
  ['besides names', judgeLettersMissing],
  ['each', judgeRimZone],
  ['each', judgeBaseZone],
  ['each', judgeHandleZone],
  ['each', judgeFaceEdge],
  ['each', judgeGlance],
];
const EACH = JUDGES.flatMap(([scope, judge]) => (scope === 'each' ? [judge] : []));

/** All findings of a job, the gravest first. */
export function proof(context: ProofContext): Finding[] {
  const besides = withoutNamed(context);
  const found = [
    ...JUDGES.flatMap(([scope, judge]) => judge(scope === 'job' ? context : besides)),
    ...judgeMakes(context, EACH),
  ].map(({ fixes, ...finding }) => ({ ...finding, fixes: fixes.flatMap(tidyFix) }));
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
