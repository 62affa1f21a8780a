import { scaleItem } from '../document/commands/apply.ts';
import { formatLength, type Units } from '../measure/length.ts';
import { isRound } from '../measure/kinds/kinds.ts';
import type { Process } from '../model/job.ts';
import type { ArtworkItem } from '../model/item.ts';
import type { Project } from '../model/project.ts';
import type { BenchStep, StepKind } from './step.ts';

/** A number that a mishap teaches to change: what it was and what it becomes. */
export interface MendChange {
  /** What is changed. */
  readonly what: string;
  readonly before: string;
  readonly after: string;
  readonly apply: (project: Project) => Project;
}

/** Something that goes wrong, what is done about it now, and what one does the next time. */
export interface Mend {
  readonly id: string;
  readonly title: string;
  readonly now: string;
  readonly next: string;
  /** The change that follows from it; null where none does. */
  readonly change: MendChange | null;
  /** Whether the thing it happened on may have to be made again. */
  readonly again: boolean;
}

type Change = (project: Project, say: (mm: number) => string) => MendChange | null;

interface Mishap extends Omit<Mend, 'change' | 'again'> {
  /** Steps at which it is met. */
  readonly at: readonly StepKind[];
  readonly only?: readonly Process[];
  readonly again?: boolean;
  readonly change?: Change;
}

/** mm by which clearances grow, spares and lap that are added, shares by which things shrink and strokes thicken. */
const MORE_CLEARANCE_MM = 3;
const LAP_MM = 1;
const SMALLER = 0.95;
const THICKER_MM = 0.2;

const MASKED: readonly Process[] = ['strip', 'etch', 'blast', 'paint'];
const LAYING: readonly StepKind[] = ['aim', 'lay', 'seam', 'tape-off'];

const everyItem = (project: Project, change: (item: ArtworkItem) => ArtworkItem): Project => ({
  ...project,
  items: project.items.map(change),
});

const smaller = (project: Project): MendChange | null =>
  project.items.length === 0
    ? null
    : {
        what: 'Size of the artwork',
        before: '100 %',
        after: `${Math.round(100 * SMALLER)} %`,
        apply: (own) => everyItem(own, (item) => (item.repeat.mode === 'joined' ? item : scaleItem(item, SMALLER))),
      };

const thicker: Change = (project, say) => {
  const thinnest = Math.min(...project.items.map(({ acts }) => acts.thickenMm));
  return Number.isFinite(thinnest)
    ? {
        what: 'Strokes made thicker by',
        before: say(thinnest),
        after: say(thinnest + THICKER_MM),
        apply: (own) => everyItem(own, (item) => ({ ...item, acts: { ...item.acts, thickenMm: item.acts.thickenMm + THICKER_MM } })), // prettier-ignore
      }
    : null;
};

const moreSpares: Change = (project) => {
  const spares = project.items.reduce((sum, item) => sum + item.spares, 0);
  return project.items.length === 0
    ? null
    : {
        what: 'Spares',
        before: String(spares),
        after: String(spares + project.items.length),
        apply: (own) => everyItem(own, (item) => ({ ...item, spares: item.spares + 1 })),
      };
};

const clearance =
  (edge: 'rimClearanceMm' | 'baseClearanceMm', what: string): Change =>
  ({ blank }, say) => ({
    what,
    before: say(blank[edge]),
    after: say(blank[edge] + MORE_CLEARANCE_MM),
    apply: (own) => ({ ...own, blank: { ...own.blank, [edge]: own.blank[edge] + MORE_CLEARANCE_MM } }),
  });

const lap: Change = ({ seam }, say) =>
  seam.lapMm > 0
    ? null
    : {
        what: 'Lap at the seam',
        before: say(0),
        after: say(LAP_MM),
        apply: (own) => ({ ...own, seam: { ...own.seam, lapMm: LAP_MM } }),
      };

/** What goes wrong at the bench. */
const MISHAPS: readonly Mishap[] = [
  {
    id: 'not-through',
    title: 'The blade did not cut through',
    at: ['test-cut', 'unload', 'weed'],
    now: 'Still on the board: push it back as it lies and cut once more. Off the board: finish it with a sharp knife along the line, or cut that part again.',
    next: 'Lift a corner before you unload. Note the setting that came clean with the film, in Stock.',
    again: true,
  },
  {
    id: 'liner-cut',
    title: 'The blade went through the liner',
    at: ['test-cut', 'unload', 'weed', 'tape'],
    now: 'Rub the film down on its cut liner, and lay tape over it before you peel anything.',
    next: 'One step lighter, and a look at how far the blade stands out. Note it with the film, in Stock.',
  },
  {
    id: 'came-up',
    title: 'A piece came up with the waste',
    at: ['weed'],
    now: 'Go back, lay it into its own outline, press it with a fingernail, hold it with the pick and pull flatter.',
    next: 'Rub the film down hard first; from the tape where pieces are small.',
  },
  {
    id: 'lost',
    title: 'A piece is lost or torn',
    at: ['weed', 'tape', 'stack', 'lay', 'tape-off'],
    now: 'Torn and still there: leave it, press the tear shut. Lost: take a spare, or cut this one again.',
    next: 'A spare of each costs little film.',
    change: moreSpares,
    again: true,
  },
  {
    id: 'too-thin',
    title: 'A thin stroke tore or lifts',
    at: ['weed', 'tape', 'lay', 'tape-off', 'wash'],
    now: 'Press it down and leave it; cover it with a spare where it shows.',
    next: 'Thicker strokes hold.',
    change: thicker,
  },
  {
    id: 'left-on-liner',
    title: 'Something stays on the liner',
    at: ['tape', 'slit', 'stack', 'lay'],
    now: 'Lay the liner back, rub that spot front and back, and go on from the other side at a flatter angle.',
    next: 'Rub front and back before you turn it over; stronger tape for rough film.',
  },
  {
    id: 'tape-holds',
    title: 'The tape will not let go of the film',
    at: ['stack', 'tape-off'],
    now: 'Rub the film down through the tape, wait a minute, and pull the tape back on itself, low. Glue that stays on foil comes off with a used piece of tape, dabbed.',
    next: 'Press the tape on cloth once or twice before you use it, or take paper tape of low tack.',
  },
  {
    id: 'bubble',
    title: 'A bubble',
    at: LAYING,
    now: 'See whether it is in the film or only in the tape. In the film: prick it at its edge, press towards the hole.',
    next: 'From the middle outwards, a finger-width at a time.',
  },
  {
    id: 'wrinkle',
    title: 'A wrinkle',
    at: LAYING,
    now: 'Lift only that spot, with the needle to the edge of the film, and smooth it towards the edge.',
    next: 'What does not lie flat as it is, does so smaller.',
    change: smaller,
    again: true,
  },
  {
    id: 'fights',
    title: 'It will not lie down on the curve',
    at: LAYING,
    now: 'Slit the tape deeper between the pieces, press the middle first, then each part by itself.',
    next: 'Smaller, or figure by figure.',
    change: smaller,
    again: true,
  },
  {
    id: 'ends-lap',
    title: 'The ends overlap',
    at: ['seam', 'lay'],
    now: 'Peel the last end back and lay it again without pulling. Still over: cut both together with a knife along a ruler and lift the strips away.',
    next: 'The way round was read too large: try the paper fit check at Measure.',
  },
  {
    id: 'ends-gap',
    title: 'The ends leave a gap',
    at: ['seam', 'lay'],
    now: 'Share it between rim and base, or set spares into it. Film that is pulled shut opens again within a day.',
    next: 'A lap covers what readings leave open; the paper fit check says how much they do.',
    change: lap,
  },
  {
    id: 'over-rim',
    title: 'Film goes over the rim',
    at: LAYING,
    now: 'Cut it off below the edge with a sharp knife, round the blank, and rub the cut down.',
    next: 'More room at the rim.',
    change: clearance('rimClearanceMm', 'Clear of the rim'),
  },
  {
    id: 'over-base',
    title: 'Film runs onto the curve of the base',
    at: LAYING,
    now: 'Cut it off above the curve with a sharp knife, and rub the cut down.',
    next: 'More room at the base.',
    change: clearance('baseClearanceMm', 'Clear of the base'),
  },
  {
    id: 'crooked',
    title: 'It sits crooked',
    at: ['aim', 'lay'],
    now: 'Only just pressed: lift it by its tape from the end that was laid last, and lay it again. Pressed for good: leave it, or make it again.',
    next: 'Slide with the liner on and look from both sides before it touches.',
    again: true,
  },
  {
    id: 'gel-dry',
    title: 'The gel dries out',
    at: ['strip'],
    only: ['strip'],
    now: 'Wet it with a spray of water, or lay more gel over it. Dry gel does nothing.',
    next: 'Thicker from the beginning, and a loose bag over the blank, off the gel.',
  },
  {
    id: 'coat-stays',
    title: 'Some of the coat stays',
    at: ['strip', 'wash', 'peel'],
    only: ['strip'],
    now: 'Mask still on: gel on those spots again. Mask off: soften rests with a swab, well inside the edge.',
    next: 'Wait until it bubbles under the pick everywhere, not only in the middle.',
  },
  {
    id: 'blotches',
    title: 'The frost is blotchy',
    at: ['etch', 'wash', 'peel'],
    only: ['etch'],
    now: 'Mask still on: dry it and lay cream on again at once, thicker. Mask off: it can only be done anew.',
    next: 'Clean the open glass twice, and lay the cream on thick.',
    again: true,
  },
  {
    id: 'shiny',
    title: 'Shiny spots are left',
    at: ['blast', 'wash', 'peel'],
    only: ['blast'],
    now: 'Sweep there again before anything comes off.',
    next: 'Look at it against the light while the mask is on.',
  },
  {
    id: 'bleed',
    title: 'It crept under the mask',
    at: ['paint', 'etch', 'strip', 'peel'],
    only: MASKED,
    now: 'Wet paint: dab it away from the edge inwards. What is etched or stripped stays; a line of film over the edge hides it.',
    next: 'Rub the edges down once more right before, with next to nothing on the brush.',
  },
];

/** What only something with a rim, a base and ends that meet can meet. */
const ONLY_ROUND: ReadonlySet<string> = new Set(['over-rim', 'over-base', 'ends-lap', 'ends-gap']);

/**
 * What may have gone wrong, what is met at this step first.
 *
 * @param project as it stands, for the numbers that are changed
 */
export function mendsFor(project: Project, step: Pick<BenchStep, 'kind'> | null, unit: Units): Mend[] {
  const say = (mm: number): string => formatLength(mm, unit);
  const round = isRound(project.blank.kind);
  return MISHAPS.filter(({ only, id }) => (!only || only.includes(project.process)) && (round || !ONLY_ROUND.has(id))) // prettier-ignore
    .map((one, i) => ({ one, far: step && one.at.includes(step.kind) ? i : MISHAPS.length + i }))
    .sort((a, b) => a.far - b.far)
    .map(({ one: { id, title, now, next, again = false, change } }) => ({ id, title, now, next, again, change: change?.(project, say) ?? null })); // prettier-ignore
}

/** Whether a mishap is met at a step. */
export const isMetAt = (mendId: string, kind: StepKind): boolean =>
  MISHAPS.some(({ id, at }) => id === mendId && at.includes(kind));
