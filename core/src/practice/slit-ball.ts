import { STARTING_FILMS } from '../material/film.ts';
import { filmGive, STARTING_MATERIALS } from '../material/materials.ts';
import { formatLength, type Units } from '../measure/length.ts';
import type { Film } from '../model/film.ts';
import { neededGive } from '../surface/film-strain.ts';
import { type ReliefSlits, roundWithSlits, slitsInRound } from '../surface/relief.ts';
import { drawFor, inSteps, type Judged, scoreOf } from './judged.ts';

/** A round sheet that is to lie on a ball. */
export interface SlitTask {
  readonly seed: number;
  /** mm. */
  readonly girth: number;
  readonly radius: number;
  readonly film: Film;
  /** What the film gives, pulled and pushed together, as a fraction. */
  readonly give: number;
  /** The fewest that do, and how deep. */
  readonly best: ReliefSlits;
}

/** Most slits that one can ask for. */
export const MOST_SLITS = 24;

const gaussianOf = (girth: number): number => ((2 * Math.PI) / girth) ** 2;

/** A ball and a sheet that does not lie on it as it is. */
export function makeSlitBall(seed: number): SlitTask {
  const draw = drawFor('slit-ball', seed);
  const film = draw.of(STARTING_FILMS);
  const { stretch, squeeze } = filmGive(STARTING_MATERIALS, film.finish, false);
  const give = stretch + squeeze;
  const girth = inSteps(draw.between(200, 420), 5);
  const gaussian = gaussianOf(girth);
  // Between a sheet that only just does not lie flat and twice that; smaller where no slits would do.
  const lies = Math.sqrt((6 * give) / gaussian);
  let radius = inSteps(lies * draw.between(1.25, 2), 0.5);
  for (;;) {
    const best = slitsInRound(gaussian, radius, give);
    if (best && best.count < MOST_SLITS - 4) return { seed, girth, radius, film, give, best };
    radius = inSteps(radius * 0.95, 0.5);
  }
}

/** What a sheet asks for as a fraction: whole, or with slits that leave a core. Null where flaps are broader than long. */
export function asksFor({ girth, radius }: SlitTask, count: number, core: number): number | null {
  const gaussian = gaussianOf(girth);
  if (count === 0) return neededGive(gaussian, { width: 2 * radius, fill: 1 });
  return roundWithSlits(gaussian, radius, count, core)?.needed ?? null;
}

/**
 * Judges slits from the edge of a round sheet.
 *
 * @param count of slits, evenly round
 * @param depth mm from the edge inwards
 */
export function judgeSlitBall(task: SlitTask, count: number, depth: number, units: Units): Judged {
  const { radius, give, best } = task;
  const asked = asksFor(task, count, radius - depth);
  const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
  const lies = asked !== null && asked <= give;
  const came = [
    { says: 'The sheet asks for', value: asked === null ? 'no flaps yet' : percent(asked), bad: !lies },
    { says: 'The film gives', value: percent(give), bad: false },
    { says: 'Fewest that do', value: `${best.count}, ${formatLength(radius - best.core, units)} deep`, bad: false },
    { says: 'They lap at the edge by', value: formatLength(best.lap, units), bad: false },
  ];
  if (!lies) {
    const score = Math.min(50, asked === null ? 20 : Math.round(scoreOf(asked / give, 1, 4) / 2));
    if (count === 0)
      return { score, came, why: ['Whole, it tents', 'Its edge is longer than the ball under it: the more so, the farther from the middle, as the square.'], tryThis: `Begin with ${best.count - 2} to ${best.count + 2} slits and leave only a small whole middle.` }; // prettier-ignore
    const core = radius - depth;
    const byCore = (gaussianOf(task.girth) * core * core) / 6 > give;
    return asked === null || !byCore
      ? { score, came, why: ['The flaps are too broad', `Between two slits ${formatLength((2 * Math.PI * radius) / count, units)} of edge still have to lie on the ball in one piece.`], tryThis: 'More slits: each flap is a little sheet of its own.' } // prettier-ignore
      : { score, came, why: ['The middle is too large', `What stays whole in the middle, ${formatLength(2 * core, units)} across, is itself more than the film takes.`], tryThis: 'Deeper slits: they have to reach to where the sheet would lie flat by itself.' }; // prettier-ignore
  }
  const score = Math.max(60, Math.round(100 - (40 * Math.max(0, count - best.count)) / best.count));
  if (count <= best.count + 2)
    return { score, came, why: ['It lies flat', 'Few slits, and each as deep as it has to be.'], tryThis: null };
  return {
    score,
    came,
    why: ['It lies flat, with more slits than it needs', `${best.count} would do: each slit is an edge that can lift.`],
    tryThis: `Try ${best.count}, ${formatLength(radius - best.core, units)} deep.`,
  };
}
