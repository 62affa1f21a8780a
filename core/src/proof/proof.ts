import { judgeMakes, withoutNamed } from './each-make.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { RANK } from './finding.ts';
import { judgeBalloonKeeps } from './findings/balloon-keeps.ts';
import { judgeBaseZone } from './findings/base-zone.ts';
import { judgeBridges } from './findings/bridge-thin.ts';
import { judgeCoverSheet } from './findings/cover-sheet.ts';
import { judgeCapZone } from './findings/cap-zone.ts';
import { judgeFaceEdge } from './findings/face-edge.ts';
import { judgeFilmOld } from './findings/film-old.ts';
import { judgeFilmShort } from './findings/film-short.ts';
import { judgeFilmUnsuited } from './findings/film-unsuited.ts';
import { judgeFineStroke } from './findings/fine-stroke.ts';
import { judgeFitUnchecked } from './findings/fit-unchecked.ts';
import { judgeFontMissing } from './findings/font-missing.ts';
import { judgeGlance } from './findings/glance.ts';
import { judgeHandleZone } from './findings/handle-zone.ts';
import { judgeHands } from './findings/hands.ts';
import { judgeHazards } from './findings/hazard.ts';
import { judgeIslands } from './findings/island.ts';
import { judgeLettersMissing } from './findings/letters-missing.ts';
import { judgeLoadFit } from './findings/load-fit.ts';
import { judgeMaskMargin } from './findings/mask-margin.ts';
import { judgeMaskOpening } from './findings/mask-opening.ts';
import { judgeMaskWeb } from './findings/mask-web.ts';
import { judgeNamesOverflow } from './findings/names-overflow.ts';
import { judgeReadings } from './findings/reading-implausible.ts';
import { judgeReadingWeak } from './findings/reading-weak.ts';
import { judgeRegistrationCostly } from './findings/registration-costly.ts';
import { judgeRegistrationMissing } from './findings/registration-missing.ts';
import { judgeRightWayUp } from './findings/right-way-up.ts';
import { judgeRimZone } from './findings/rim-zone.ts';
import { judgeScriptApart } from './findings/script-apart.ts';
import { judgeSeamCut } from './findings/seam-cut.ts';
import { judgeSeamGap } from './findings/seam-gap.ts';
import { judgeSeamNeighbours } from './findings/seam-neighbours.ts';
import { judgeStackHidden } from './findings/stack-hidden.ts';
import { judgeStackLevels } from './findings/stack-levels.ts';
import { judgeStackOverlap } from './findings/stack-overlap.ts';
import { judgeStackThick } from './findings/stack-thick.ts';
import { judgeStackUnsupported } from './findings/stack-unsupported.ts';
import { judgeStrayFilm } from './findings/stray-film.ts';
import { judgeBandStrain } from './findings/stretch.ts';
import { judgeTape } from './findings/tape-wrinkle.ts';
import { judgeTinyPiece } from './findings/tiny-piece.ts';
import { judgeUnfused } from './findings/unfused.ts';
import { judgeWrinkle } from './findings/wrinkle.ts';
import { tidyFix } from './tidy-fix.ts';

/**
 * Every judgement, in the order in which findings of one weight are told; adding one here is all it takes to run it
 * everywhere. Some judge the job as a whole; others its side, once for each blank, hand and artwork that things of a list are
 * made with; others what lies on it besides a list's words; and most every thing as it is cut, of a list each with its own
 * words.
 */
const JUDGES: readonly (readonly ['job' | 'side' | 'besides names' | 'each', Judge])[] = [
  ['side', judgeReadings],
  ['side', judgeReadingWeak],
  ['side', judgeFitUnchecked],
  ['each', judgeUnfused],
  ['each', judgeScriptApart],
  ['job', judgeFontMissing],
  ['job', judgeNamesOverflow],
  ['each', judgeWrinkle],
  ['each', judgeTape],
  ['each', judgeFineStroke],
  ['each', judgeTinyPiece],
  ['side', judgeStrayFilm],
  ['job', judgeHands],
  ['each', judgeIslands],
  ['each', judgeBridges],
  ['each', judgeMaskMargin],
  ['each', judgeMaskWeb],
  ['each', judgeMaskOpening],
  ['side', judgeFilmUnsuited],
  ['side', judgeBandStrain],
  ['side', judgeBalloonKeeps],
  ['each', judgeSeamCut],
  ['each', judgeSeamNeighbours],
  ['side', judgeSeamGap],
  ['side', judgeRightWayUp],
  ['job', judgeLoadFit],
  ['side', judgeCoverSheet],
  ['side', judgeHazards],
  ['side', judgeStackThick],
  ['side', judgeStackUnsupported],
  ['job', judgeRegistrationMissing],
  ['job', judgeRegistrationCostly],
  ['job', judgeFilmShort],
  ['job', judgeFilmOld],
  ['side', judgeStackLevels],
  ['side', judgeStackHidden],
  ['side', judgeStackOverlap],
  // Letters that a name lacks are found with the names.
  ['besides names', judgeLettersMissing],
  ['each', judgeRimZone],
  ['each', judgeBaseZone],
  ['each', judgeHandleZone],
  ['each', judgeFaceEdge],
  ['each', judgeCapZone],
  ['each', judgeGlance],
];
const [SIDE, EACH] = (['side', 'each'] as const).map((of) => JUDGES.flatMap(([scope, judge]) => (scope === of ? [judge] : []))) as [Judge[], Judge[]]; // prettier-ignore

/** All findings of a job, the gravest first. */
export function proof(context: ProofContext): Finding[] {
  const besides = withoutNamed(context);
  const found = [
    ...JUDGES.flatMap(([scope, judge]) => judge(scope === 'job' || scope === 'side' ? context : besides)),
    ...judgeMakes(context, SIDE, EACH),
  ].map(({ fixes, ...finding }) => ({ ...finding, fixes: fixes.flatMap(tidyFix) }));
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
