import type { Units } from '../measure/length.ts';
import type { ReadingDoubt } from '../measure/doubts.ts';
import { describeDoubt } from '../measure/words.ts';
import type { ReadingName } from '../model/blank.ts';
import type { Finding } from './finding.ts';
import { sayBalloonKeeps } from './findings/balloon-keeps.ts';
import { sayBaseZone } from './findings/base-zone.ts';
import { sayBridgeThin } from './findings/bridge-thin.ts';
import { sayCoverSheet } from './findings/cover-sheet.ts';
import { sayCapZone } from './findings/cap-zone.ts';
import { sayFaceEdge } from './findings/face-edge.ts';
import { sayFilmOld } from './findings/film-old.ts';
import { sayFilmShort } from './findings/film-short.ts';
import { sayFilmUnsuited } from './findings/film-unsuited.ts';
import { sayFineStroke } from './findings/fine-stroke.ts';
import { sayFitUnchecked } from './findings/fit-unchecked.ts';
import { sayFontMissing } from './findings/font-missing.ts';
import { sayGlance } from './findings/glance.ts';
import { sayHandleZone } from './findings/handle-zone.ts';
import { sayHands } from './findings/hands.ts';
import { sayHazard } from './findings/hazard.ts';
import { sayIsland } from './findings/island.ts';
import { sayLettersMissing } from './findings/letters-missing.ts';
import { sayLoadFit } from './findings/load-fit.ts';
import { sayMaskMargin } from './findings/mask-margin.ts';
import { sayMaskOpening } from './findings/mask-opening.ts';
import { sayMaskWeb } from './findings/mask-web.ts';
import { sayNamesOverflow } from './findings/names-overflow.ts';
import { sayReadingWeak } from './findings/reading-weak.ts';
import { sayRegistrationCostly } from './findings/registration-costly.ts';
import { sayRegistrationMissing } from './findings/registration-missing.ts';
import { sayRightWayUp } from './findings/right-way-up.ts';
import { sayRimZone } from './findings/rim-zone.ts';
import { sayScriptApart } from './findings/script-apart.ts';
import { saySeamCut } from './findings/seam-cut.ts';
import { saySeamGap } from './findings/seam-gap.ts';
import { saySeamNeighbours } from './findings/seam-neighbours.ts';
import { sayStackHidden } from './findings/stack-hidden.ts';
import { sayStackLevels } from './findings/stack-levels.ts';
import { sayStackOverlap } from './findings/stack-overlap.ts';
import { sayStackThick } from './findings/stack-thick.ts';
import { sayStackUnsupported } from './findings/stack-unsupported.ts';
import { sayStrayFilm } from './findings/stray-film.ts';
import { sayStretch } from './findings/stretch.ts';
import { sayTapeWrinkle } from './findings/tape-wrinkle.ts';
import { sayTinyPiece } from './findings/tiny-piece.ts';
import { sayUnfused } from './findings/unfused.ts';
import { sayWrinkle } from './findings/wrinkle.ts';
import { describeCommand } from './fix-words.ts';
import type { Sayings } from './told.ts';
import { told } from './told.ts';

/** A finding in words: what it is, why it matters, and what each fix does. */
export interface FindingWords {
  readonly title: string;
  readonly why: string;
  readonly fixes: readonly string[];
}

/** What every finding says; doubts about readings have their words with the readings. */
const SAYINGS: Sayings = {
  ...sayBalloonKeeps,
  ...sayBaseZone,
  ...sayBridgeThin,
  ...sayCoverSheet,
  ...sayFaceEdge,
  ...sayCapZone,
  ...sayFilmOld,
  ...sayFilmShort,
  ...sayFilmUnsuited,
  ...sayFineStroke,
  ...sayFitUnchecked,
  ...sayFontMissing,
  ...sayGlance,
  ...sayHandleZone,
  ...sayHands,
  ...sayHazard,
  ...sayIsland,
  ...sayLettersMissing,
  ...sayLoadFit,
  ...sayMaskMargin,
  ...sayMaskWeb,
  ...sayMaskOpening,
  ...sayNamesOverflow,
  ...sayReadingWeak,
  ...sayRegistrationCostly,
  ...sayRegistrationMissing,
  ...sayRightWayUp,
  ...sayRimZone,
  ...sayScriptApart,
  ...saySeamCut,
  ...saySeamGap,
  ...saySeamNeighbours,
  ...sayStackHidden,
  ...sayStackLevels,
  ...sayStackOverlap,
  ...sayStackThick,
  ...sayStackUnsupported,
  ...sayStrayFilm,
  ...sayStretch,
  ...sayTapeWrinkle,
  ...sayTinyPiece,
  ...sayUnfused,
  ...sayWrinkle,
};

/**
 * The catalogue: every finding in plain words with its numbers.
 *
 * @param finding what was judged
 * @param unit what the person works in
 */
export function describeFinding(finding: Finding, unit: Units): FindingWords {
  const [title, why] = sayFinding(finding, unit);
  const { more, on, round } = finding.names;
  const rest = [
    ...(round ? [`with ${round}`] : []),
    ...(more ? [more === '1' ? 'and one more name' : `and ${more} more names`] : []),
    ...(on && finding.code !== 'names-overflow' ? [`on ${on}`] : []),
  ];
  return {
    title: rest.length > 0 ? `${title} (${rest.join(', ')})` : title,
    why,
    fixes: finding.fixes.map((fix) => describeCommand(fix, unit)),
  };
}

function sayFinding(finding: Finding, unit: Units): readonly [title: string, why: string] {
  const say = SAYINGS[`${finding.code}/${finding.case}`] ?? SAYINGS[finding.code];
  if (say) return say(told(finding, unit));
  const { title, why } = describeDoubt(
    {
      code: finding.case as ReadingDoubt['code'],
      reading: (finding.names['reading'] as ReadingName | undefined) ?? 'girthRim',
      value: finding.numbers['value'] ?? NaN,
      expected: finding.numbers['expected'] ?? NaN,
      instead: finding.fixes.length > 0 ? (finding.numbers['instead'] ?? null) : null,
    },
    unit,
  );
  return [title, why];
}
