import { partTitle } from '../../cut/part-labels.ts';
import { layerOf } from '../../layers/layer.ts';
import { trueOver } from '../../measure/length.ts';
import { solidOf } from '../../measure/kinds/kinds.ts';
import type { SurfaceKind } from '../../model/blank.ts';
import type { JobFacts } from '../job-facts.ts';
import { holdTrueOver100, layingStyle, SEAM_STEP_MM } from '../laying-style.ts';
import type { StepDraft } from '../step.ts';
import { seenLaid } from './seen-laid.ts';

/** mm by which the girths of a taper differ from which it matters which end is up. */
const TAPERED_MM = 0.5;

const LAYING = {
  'centre out': [
    'Press from the middle out',
    'Peel the liner off the middle third, press a thumb-wide line down the centre, then peel and smooth to one side and to the other.',
  ],
  'one end round': [
    'Lay one end and go round',
    'Fold the tape’s margin back at the start, so that the last pieces reach the blank. Press the left end along its whole height, then roll the blank on, smoothing a finger-width at a time. Lift the first end a little before pressing the last.',
  ],
  'middle first': [
    'Lay the middle, then each side round',
    'Peel the liner off the middle third, press a thumb-wide line down the front, then roll the blank on to one side and to the other. The ends close at the back.',
  ],
  'two halves': [
    'Lay it in two halves',
    'Press down the front line first. Peel the liner off one half and smooth it round to the back, then the other half. On a taper this keeps both ends at the same height.',
  ],
} as const;

/** Aim, lay, take the tape off: once for all that lies on one sheet, or layer by layer where that is laid on the blank. */
export function laySteps(facts: JobFacts): StepDraft[] {
  const { whole, stacked } = facts;
  if (!whole) return [];
  const byLayer = facts.building === 'on the blank' && stacked.length > 1;
  if (!byLayer)
    return [
      ...aimAndLay(facts, '', null, ['every mark']),
      ...(facts.untaped ? [] : [tapeOff(facts, '', ['lay', 'place', 'seam'])]),
    ];
  return stacked.flatMap(({ layer }, i) => {
    const before = i === 0 ? ['every mark'] : [`take-off:${stacked[i - 1]!.layer}`];
    return [...aimAndLay(facts, `:${layer}`, layer, before), tapeOff(facts, `:${layer}`, [`lay:${layer}`, `seam:${layer}`])]; // prettier-ignore
  });
}

function aimAndLay(facts: JobFacts, suffix: string, layer: string | null, after: string[]): StepDraft[] {
  const { wrap, job, blank, isWrap, panels, mm, unit, all, each, works, alike } = facts;
  const name = layer === null ? '' : `: ${works.find((work) => work.layer === layer)?.name ?? ''}`;
  const { pace } = facts.materials;
  const over = trueOver(unit);
  const { girthRim, girthBase } = wrap.template.cone;
  const up =
    girthBase > girthRim + TAPERED_MM
      ? 'Wider arc down, to the base.'
      : girthRim > girthBase + TAPERED_MM
        ? 'Wider arc up, to the rim.'
        : '';
  // What is laid by itself has a place of its own.
  const own = facts.made.flatMap(({ pieces }) => pieces).filter((p) => !p.byItself && (layer === null || layerOf(p) === layer)); // prettier-ignore
  const top = Math.min(...own.map((p) => p.slants[0])) + facts.rimLine;
  const from = Number.isFinite(top) && wrap.template.closed && alike.length === 1 ? `Its highest film sits ${mm(top)} below the drinking edge. ` : ''; // prettier-ignore
  const trueOver100Mm = holdTrueOver100(wrap);
  const { style, because } = layingStyle(job, wrap, facts.habits.laying);
  const [title, says] = LAYING[style];
  const hinge = facts.habits.aiming === 'hinge' && !wrap.template.closed;
  const warm = job.warm && canBeWarmed(blank.surface);
  const about = { film: works.find((work) => work.layer === layer)?.film.id ?? null, part: null, row: null };
  const aim: StepDraft = {
    id: `aim${suffix}`,
    kind: 'aim',
    after: ['clean', 'slit', 'every tape', ...after],
    title: all(isWrap ? `Hang it on the marks${name}` : `Hold it on the marks${name}`),
    body: isWrap
      ? `${up} ${from}Middle mark on the front dot. Hold its rim edge true to ${mm((trueOver100Mm * over.mm) / 100)} over ${over.words}, or the ends will step by more than ${mm(SEAM_STEP_MM)}.`.trim()
      : `${up} ${from}Middle of the design on the dot, ${wrap.template.closed ? 'level with the rim' : 'the right way up'}.${hinge ? ' Tape its upper edge down as a hinge, and fold it up on that.' : ''}`.trim(), // prettier-ignore
    because: hinge ? 'My way: with a taped hinge; the face is flat.' : null,
    why: 'Do not let it touch yet: slide with the liner still on, look from both sides, press only when it hangs true.',
    handsMinutes: each(isWrap ? 2 : 1),
    numbers: {
      ...(isWrap ? { trueOver100Mm } : {}),
      ...(from ? { topBelowRimMm: top } : {}),
    },
    about,
    layer,
  };
  const byPanels = isWrap && panels > 1;
  const laid = seenLaid(facts);
  const lay: StepDraft = {
    id: `lay${suffix}`,
    kind: 'lay',
    after: [`aim${suffix}`],
    title: all(byPanels ? `Lay ${panels} panels, the front one first${name}` : `${title}${name}`),
    body: byPanels
      ? `Panel by panel from the front to its right, each from its middle out: the liner off its middle third, a line down the centre, then to both sides. The next one starts on the edge of the one before.`
      : `${says}${laid ? ` ${laid}` : ''}${warm ? ' Warm it as it goes over the curve, moving all the time, and let it cool under your fingers.' : ''}`,
    why:
      isWrap && !byPanels
        ? 'What is pressed once stays: from a true start the rest follows.'
        : 'From the middle out no air is shut in.',
    because: byPanels ? `It is cut in ${panels} panels.` : because,
    cautions: warm ? ['heat'] : [],
    check: {
      ask: 'No bubble, no wrinkle?',
      ifNot:
        'Lift that spot at once and lay it again. A small bubble: prick it at its edge with a needle and press towards the hole. What lies in the tape alone is none.',
    },
    handsMinutes: Math.max(1, Math.round(each(isWrap ? pace.layEach : pace.layEach / 3))),
    numbers: byPanels ? { count: panels } : {},
    about,
    layer,
  };
  if (!isWrap || blank.handleWidthMm > 0) return [aim, lay];
  const { lapMm } = job.seam;
  const spares = wrap.pieces.filter(({ spare }) => spare).length;
  return [
    aim,
    lay,
    {
      id: `seam${suffix}`,
      kind: 'seam',
      after: [`lay${suffix}`],
      title: all(lapMm > 0 ? `Lap the ends by ${mm(lapMm)}${name}` : `Close the seam${name}`),
      body:
        lapMm > 0
          ? 'Lay the end without the extra first, then the end with it on top. Burnish from the lap outwards.'
          : `Butt the ends. Expect them within ±${mm(wrap.errors.gapRim)} at the rim and ±${mm(wrap.errors.gapBase)} at the base; ${facts.habits.seam === 'gap' ? `leave the gap as it comes, and set ${spares > 0 ? `some of the ${spares} spares` : 'spares'} into it by eye` : 'share a gap rather than pull it shut'}.`,
      why: 'Pulled film creeps back within a day and opens where it was pulled.',
      handsMinutes: each(2),
      numbers: { lapMm, ...(byPanels ? { count: panels } : {}) },
      about,
      layer,
    },
  ];
}

function tapeOff({ wrap, all, each, works }: JobFacts, suffix: string, after: string[]): StepDraft {
  const layer = suffix ? suffix.slice(1) : null;
  const name = works.find((work) => work.layer === layer)?.name;
  return {
    id: `take-off${suffix}`,
    kind: 'tape-off',
    after,
    title: all(name ? `Take the tape off ${name}` : 'Take the tape off'),
    body:
      (solidOf(wrap.size).face?.patch
        ? 'Burnish once more through the tape. Cut the tape into strips and take them off one by one. '
        : 'Burnish once more through the tape. ') +
      'Pull it back on itself, low and slow; if a piece comes along, lay it back, burnish and go on from the other side.',
    why: 'Pulled up and away, tape lifts what it should leave.',
    because: solidOf(wrap.size).face?.patch ? 'The blank curves both ways: tape in one piece would spring off.' : null,
    handsMinutes: each(2),
    layer,
  };
}

/** What was left off at a seam or an edge, laid over it by hand once the tape is off: each with its place. */
export function leftOffSteps(facts: JobFacts): StepDraft[] {
  const { wrap, job, rimLine, mm, all, each } = facts;
  const names = new Map(job.items.map((item) => [item.id, item.type === 'text' ? item.text : item.type === 'motif' ? item.motif : item.name])); // prettier-ignore
  const figures = new Map<string, string>();
  for (const { id, itemIds, goesTo } of wrap.pieces) {
    if (!goesTo) continue;
    // Pieces of one thing that was left off are laid together.
    const thing = id.slice(0, id.lastIndexOf(':'));
    if (figures.has(thing)) continue;
    const place = placeWords({ ...goesTo, top: goesTo.top + rimLine }, wrap.surface.radiusAt(goesTo.middle), mm);
    figures.set(thing, `${names.get(itemIds[0]!) ?? 'A piece'}: its top ${place.top} below the ${wrap.template.closed ? 'rim' : 'top edge'}, its middle ${place.round}`); // prettier-ignore
  }
  if (figures.size === 0) return [];
  const places = [...figures.values()];
  return [
    {
      id: 'left-off',
      kind: 'lay',
      after: ['every tape-off', 'every seam', 'place'],
      title: all(places.length === 1 ? 'Lay the piece that was left off' : `Lay the ${places.length} pieces that were left off`), // prettier-ignore
      body: `Each from its own bit of tape, over the ${wrap.template.closed ? 'seam' : 'edge'} that it was left off at: ticked off one by one.`,
      why: 'Whole over the seam they hide it; cut by it they would show it.',
      list: places.slice(0, MOST_PLACES),
      handsMinutes: each(places.length),
      numbers: { count: places.length },
    },
  ];
}

/** Places that are listed one by one. */
const MOST_PLACES = 60;

/** Surfaces that bear a heat tool: rubber bursts, paint and plastic soften. */
export const canBeWarmed = (surface: SurfaceKind): boolean => !['latex', 'painted', 'plastic'].includes(surface);

/** Figures that are laid one by one, each with where it goes. */
export function figureSteps(facts: JobFacts): StepDraft[] {
  const { figures, whole, all, each, rimLine, wrap, mm } = facts;
  if (figures.length === 0) return [];
  const told = figures.slice(0, TOLD_FIGURES).map(({ part, azimuth, top, middle }) => {
    const place = placeWords({ azimuth, top: top + rimLine }, wrap.surface.radiusAt(middle), mm);
    return `${partTitle(part)}: its top ${place.top} below the ${wrap.template.closed ? 'rim' : 'top edge'}, its middle ${place.round}.`;
  });
  const more = figures.length - told.length;
  const only = figures.length === 1 ? figures[0]! : null;
  return [
    {
      id: 'place',
      kind: 'lay',
      after: ['clean', 'every mark', 'every tape', 'slit', 'every seam', 'lay', ...facts.works.map(({ layer }) => `lay:${layer}`)], // prettier-ignore
      title: all(`Lay ${only ? 'the figure' : `the ${figures.length} figures one by one`}`),
      body: [...told, ...(more > 0 ? [`The other ${more} as the drawing of the blank shows.`] : [])].join(' '),
      why: 'Each lies on a piece of tape of its own: a small one follows any curve, and one that went wrong is cut again alone.',
      check: {
        ask: 'Does each sit where the list says?',
        ifNot: 'Lift it at once, by its tape, and lay it again; later it tears.',
      },
      handsMinutes: each(2 * figures.length),
      numbers: {
        count: figures.length,
        ...(only ? { topBelowRimMm: only.top + rimLine, middleBelowRimMm: only.middle + rimLine } : {}),
      },
      about: { film: null, part: only?.part ?? null, row: null },
    },
    ...(whole ? [] : [tapeOff(facts, '', ['place'])]),
  ];
}

/** Where something sits, in words: how far down its top is, and how far round from the front its middle. */
function placeWords(
  { azimuth, top }: { readonly azimuth: number; readonly top: number },
  radius: number,
  mm: (v: number) => string,
): { readonly top: string; readonly round: string } {
  const round = azimuth * radius;
  return {
    top: mm(top),
    round:
      Math.abs(round) < AT_FRONT_MM
        ? 'in front'
        : `${mm(Math.abs(round))} to the ${round > 0 ? 'right' : 'left'} of the front`,
  };
}

/** Figures that are told one by one; of more, the drawing of the blank tells the rest. */
const TOLD_FIGURES = 24;
/** mm round the blank within which a figure sits in front. */
const AT_FRONT_MM = 0.5;
