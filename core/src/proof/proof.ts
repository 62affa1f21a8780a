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
  judgeUnfused,
  judgeFontMissing,
  judgeNamesOverflow,
  judgeWrinkle,
  judgeTape,
  judgeFineStroke,
  judgeTinyPiece,
  judgeStrayFilm,
  judgeHands,
  judgeIslands,
  judgeBridges,
  judgeMaskMargin,
  judgeMaskWeb,
  judgeFilmUnsuited,
  judgeBandStrain,
  judgeBalloonKeeps,
  judgeSeamCut,
  judgeSeamNeighbours,
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
];

/** Those that hang on where film lies, and so on the words of each name of a list. */
const PLACED: readonly Judge[] = [judgeRimZone, judgeBaseZone, judgeHandleZone, judgeFaceEdge, judgeGlance];

/** All findings of a job, the gravest first. */
export function proof(context: ProofContext): Finding[] {
  const own = withoutNamed(context);
  const found = [
    ...JUDGES.flatMap((judge) => judge(context)),
    // Letters that a name lacks are found with the names.
    ...[judgeLettersMissing, ...PLACED].flatMap((judge) => judge(own)),
    ...judgeMakes(context, PLACED),
  ];
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
