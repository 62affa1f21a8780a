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

/** Judgements of a job as a whole; adding one here, or to those below, is all it takes to run it everywhere. */
const JUDGES: readonly Judge[] = [
  judgeReadings,
  judgeReadingWeak,
  judgeFitUnchecked,
  judgeFontMissing,
  judgeNamesOverflow,
  judgeStrayFilm,
  judgeHands,
  judgeFilmUnsuited,
  judgeBandStrain,
  judgeBalloonKeeps,
  judgeSeamGap,
  judgeRightWayUp,
  judgeLoadFit,
  judgeCoverSheet,
  judgeHazards,
  judgeStackThick,
  judgeStackUnsupported,
  judgeRegistrationMissing,
  judgeRegistrationCostly,
  judgeFilmShort,
  judgeFilmOld,
  judgeStackLevels,
  judgeStackHidden,
  judgeStackOverlap,
];

/** Those that look at one thing as it is cut: of a list, at every one with its own words. */
const EACH: readonly Judge[] = [
  judgeRimZone,
  judgeBaseZone,
  judgeHandleZone,
  judgeFaceEdge,
  judgeGlance,
  judgeUnfused,
  judgeScriptApart,
  judgeWrinkle,
  judgeTape,
  judgeFineStroke,
  judgeTinyPiece,
  judgeIslands,
  judgeBridges,
  judgeMaskMargin,
  judgeMaskWeb,
  judgeSeamCut,
  judgeSeamNeighbours,
];

/** All findings of a job, the gravest first. */
export function proof(context: ProofContext): Finding[] {
  const own = withoutNamed(context);
  const found = [
    ...JUDGES.flatMap((judge) => judge(context)),
    // Letters that a name lacks are found with the names.
    ...[judgeLettersMissing, ...EACH].flatMap((judge) => judge(own)),
    ...judgeMakes(context, EACH),
  ].map(({ fixes, ...finding }) => ({ ...finding, fixes: fixes.flatMap(tidyFix) }));
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
