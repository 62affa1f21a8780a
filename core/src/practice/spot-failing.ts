import { newMotif } from '../artwork/new-item.ts';
import { newBlank, newProject } from '../document/new-project.ts';
import type { Units } from '../measure/length.ts';
import type { Blank } from '../model/blank.ts';
import type { MotifId, MotifItem } from '../model/item.ts';
import type { Project } from '../model/project.ts';
import type { Reading } from '../model/reading.ts';
import type { Finding } from '../proof/finding.ts';
import { describeFinding } from '../proof/words.ts';
import { drawFor, type Draw, inSteps, type Judged } from './judged.ts';

/** A blank with things on it, one of which will fail. */
export interface FailingTask {
  readonly seed: number;
  readonly project: Project;
}

const girth = (mm: number): Reading => ({ how: 'strip', takes: [{ typed: `${mm} mm`, mm }], thicknessMm: 0 });
const ruler = (mm: number): Reading => ({ how: 'ruler', takes: [{ typed: `${mm} mm`, mm }], thicknessMm: 0 });

const BLANKS: readonly ((draw: Draw) => Blank)[] = [
  (draw) => ({
    ...newBlank('practice-mug', 'straight', 'Mug'),
    readings: {
      girthRim: girth(inSteps(draw.between(255, 275), 1)),
      upright: ruler(inSteps(draw.between(92, 104), 1)),
    },
    handleWidthMm: 30,
  }),
  (draw) => ({
    ...newBlank('practice-cup', 'tapered', 'Cup'),
    surface: 'glazed ceramic',
    readings: {
      girthRim: girth(inSteps(draw.between(276, 292), 1)),
      girthBase: girth(inSteps(draw.between(214, 230), 1)),
      side: ruler(inSteps(draw.between(110, 124), 1)),
    },
  }),
];

/** Things with no strokes too fine at the size in which they stand here. */
const STURDY: readonly MotifId[] = ['buoy', 'pennant', 'medal', 'star', 'heart', 'fish', 'leaf', 'bell'];
const FILMS = ['deep-water', 'shallows', 'ensign', 'reed'] as const;
/** Degrees round at which things stand. */
const ROUND = [-104, -52, 0, 52, 104] as const;

/** A change to one of them, and on which blank it can be. */
interface Change {
  readonly on: Blank['kind'] | null;
  readonly change: (item: MotifItem) => MotifItem;
}

/** What makes one of them fail. */
const FAULTS: readonly Change[] = [
  { on: null, change: (item) => ({ ...item, placement: { ...item.placement, from: 'rim', mm: -2.5 } }) },
  { on: null, change: (item) => ({ ...item, motif: 'pennant', widthMm: 3.5 }) },
  { on: 'straight', change: (item) => ({ ...item, placement: { ...item.placement, angleDeg: 172 } }) },
];

/** What wants a look, and leads one astray. */
const DECOYS: readonly Change[] = [
  { on: null, change: (item) => ({ ...item, placement: { ...item.placement, from: 'rim', mm: 6 } }) },
  { on: null, change: (item) => ({ ...item, film: 'night' }) },
];

/** A blank, five things on it, and one of them wrong. */
export function makeSpotFailing(seed: number): FailingTask {
  const draw = drawFor('spot-failing', seed);
  const blank = draw.of(BLANKS)(draw);
  const fault = draw.of(FAULTS.filter(({ on }) => on === null || on === blank.kind));
  const decoy = draw.of(DECOYS);
  const wrong = Math.floor(draw.between(0, ROUND.length));
  const astray = (wrong + Math.floor(draw.between(1, ROUND.length))) % ROUND.length;
  const items = ROUND.map((angleDeg, i): MotifItem => {
    const item: MotifItem = {
      ...newMotif(`practice-${i + 1}`, draw.of(STURDY), draw.of(FILMS)),
      widthMm: inSteps(draw.between(20, 28), 1),
      placement: { facing: 'angle', angleDeg, from: 'middle', mm: inSteps(draw.either(0, 8), 1), turnDeg: 0 },
    };
    return i === wrong ? fault.change(item) : i === astray ? decoy.change(item) : item;
  });
  return { seed, project: { ...newProject('practice', 'Practice', blank, null, ''), items } };
}

/**
 * Judges what someone pointed at by what the proof found.
 *
 * @param findings of the whole project
 * @param itemId what was pointed at
 */
export function judgeSpotFailing(findings: readonly Finding[], itemId: string, units: Units): Judged {
  const failing = findings.filter(({ severity, itemIds }) => severity === 'fails' && itemIds.length > 0);
  const mine = findings.filter(({ severity, itemIds }) => severity !== 'fine' && itemIds.includes(itemId));
  const hit = failing.some((finding) => finding.itemIds.includes(itemId));
  const told = failing.map((finding) => describeFinding(finding, units));
  const came = [
    { says: 'You pointed at', value: hit ? 'the one that fails' : mine.length > 0 ? 'one to look at' : 'one that holds', bad: !hit }, // prettier-ignore
    { says: 'Proof finds', value: told.map(({ title }) => title).join('; '), bad: false },
  ];
  const { title, why } = told[0] ?? { title: 'Nothing fails', why: '' };
  if (hit) return { score: 100, came, why: [title, why], tryThis: null };
  return {
    score: mine.length > 0 ? 40 : 0,
    came,
    why: [title, why],
    tryThis: 'Look in the order in which the cup is used: where lips go, where the hand goes, what a blade can leave standing, and whether the film bears the wash.', // prettier-ignore
  };
}
