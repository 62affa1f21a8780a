import { formatLength, type Units } from '../measure/length.ts';
import { predictFit } from '../measure/fit-check.ts';
import { drawFor, inSteps, type Judged, scoreOf } from './judged.ts';

/** A mug with a tape round it. */
export interface TapeTask {
  readonly seed: number;
  /** mm, true girth on the outside, and length of the side. */
  readonly girth: number;
  readonly side: number;
  readonly colour: string;
  /** How one finds it. */
  readonly found: TapeLies;
}

/** How the tape lies and is looked at. */
export interface TapeLies {
  /** rad by which the place where its ends meet is turned away from the eye; positive to the right. */
  readonly turned: number;
  /** mm by which the tape lies lower on the right than on the left of that place, from edge to edge. */
  readonly askew: number;
}

/** mm that the end of a tape stands off the scale that it lies over. */
export const STANDS_OFF_MM = 3;
/** rad. Farthest that the mug is turned. */
export const MOST_TURNED = Math.PI / 3;
/** mm. Farthest that the tape lies askew. */
export const MOST_ASKEW_TAPE = 26;
/** mm. A girth that is read as well as this is as good as one reading gets. */
const FINE_MM = 0.8;
const FAR_MM = 5;

/** A mug, its tape crooked and seen from aside. */
export function makeReadTape(seed: number): TapeTask {
  const draw = drawFor('read-tape', seed);
  const across = draw.between(74, 96);
  return {
    seed,
    girth: inSteps(Math.PI * across, 0.5),
    side: inSteps(draw.between(88, 110), 1),
    colour: draw.of(['#F2F0EA', '#D9E3DC', '#DCE0E8', '#EBDFD3']),
    found: { turned: draw.either(0.35, 0.8), askew: inSteps(draw.either(10, 20), 1) },
  };
}

/**
 * mm that a tape goes round when it lies askew.
 *
 * @source a round side of radius r is cut askew in an ellipse of half-axes r and √(r² + (askew/2)²); its length by
 *   S. Ramanujan, "Modular equations and approximations to π", 1914, to less than 10⁻⁹ of it here
 */
export function tapeLoop(girth: number, askew: number): number {
  const r = girth / (2 * Math.PI);
  const long = Math.hypot(r, askew / 2);
  const h = ((long - r) / (long + r)) ** 2;
  return Math.PI * (long + r) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

/**
 * mm by which the end seems to point past where it lies.
 *
 * @source a mark that stands off by t is seen over a spot t·tan φ aside when one looks at an angle φ to straight on
 */
export const parallax = (turned: number): number => STANDS_OFF_MM * Math.tan(turned);

/** mm that one would read. */
export const tapeShows = ({ girth }: TapeTask, { turned, askew }: TapeLies): number =>
  tapeLoop(girth, askew) + parallax(turned);

/** What a girth that is off does to a wrap: mm that stay open (+) or lap (−) at the seam. */
export function seamOfGirth({ girth, side }: TapeTask, read: number): number {
  const paper = { girthRim: read, girthBase: read, side };
  return predictFit(paper, { girthRim: girth, girthBase: girth, side }).gapRimMm;
}

/** Judges a girth that was read. */
export function judgeReadTape(task: TapeTask, lies: TapeLies, read: number, units: Units): Judged {
  const miss = read - task.girth;
  const say = (mm: number): string => formatLength(Math.abs(mm), units);
  const parts = {
    level: tapeLoop(task.girth, lies.askew) - task.girth,
    aside: parallax(lies.turned),
    eye: read - tapeShows(task, lies),
  };
  const seam = seamOfGirth(task, read);
  const came = [
    { says: 'You read', value: formatLength(read, units), bad: false },
    { says: 'It is', value: formatLength(task.girth, units), bad: false },
    { says: seam < 0 ? 'The ends would lap by' : 'The seam would gape by', value: say(seam), bad: Math.abs(miss) > FINE_MM }, // prettier-ignore
    { says: 'And in diameter', value: say(miss / Math.PI), bad: false },
  ];
  const score = scoreOf(Math.abs(miss), FINE_MM, FAR_MM);
  if (Math.abs(miss) <= FINE_MM)
    return { score, came, why: ['A girth to cut by', 'Read as well as a tape can be read once. Read three times and let them be averaged.'], tryThis: null }; // prettier-ignore
  const worst = (Object.keys(parts) as (keyof typeof parts)[]).reduce((a, b) =>
    Math.abs(parts[b]) > Math.abs(parts[a]) ? b : a,
  );
  const SAID: Readonly<Record<typeof worst, readonly [string, string, string]>> = {
    level: [
      'The tape ran askew',
      `It lay ${say(lies.askew)} lower on one side than on the other: that alone makes a girth ${say(parts.level)} too long, and never too short.`,
      'Push the tape level all round first; on a taper it climbs by itself, so look at the back too.',
    ],
    aside: [
      'Seen from aside',
      `The end stands ${say(STANDS_OFF_MM)} off the scale, and from that angle it points ${say(parts.aside)} past where it lies.`,
      'Turn the cup until the end of the tape faces you straight on, then read.',
    ],
    eye: [
      'The wrong line',
      `The tape lay well enough: it showed ${formatLength(tapeShows(task, lies), units)}, and ${formatLength(read, units)} was read.`,
      'Say the number before the line and count from there. Read at the zero line, not at the end of the tab.',
    ],
  };
  const [head, text, tryThis] = SAID[worst];
  return { score, came, why: [head, text], tryThis };
}
