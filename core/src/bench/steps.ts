import { solidOf } from '../measure/kinds/kinds.ts';
import type { JobSheet } from '../load/job-sheet.ts';
import type { Materials } from '../material/materials.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import { formatLength, formatSize, trueOver, type Units } from '../measure/length.ts';
import { rimLineOf } from '../measure/zones.ts';
import type { Blank, SurfaceKind } from '../model/blank.ts';
import type { Job } from '../model/job.ts';
import { partTitle } from '../cut/part-labels.ts';
import type { Make } from '../pieces/batch.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { trueOver100 } from '../surface/cone.ts';
import type { Face, MadeThing, PlacedFigure } from './facts.ts';
import { countOf, coverage, facesOf, figuresOf, filmWork, madeOf, tapeSizes, WRAP_SHARE } from './facts.ts';
import { finishSteps } from './finish.ts';
import type { BenchStep } from './step.ts';

/** Sine of the half-angle past which a wrap is laid in two halves (4°). */
export const TWO_HALVES_TAPER = Math.sin((4 * Math.PI) / 180);
/** mm. Largest seam step that passes unnoticed. */
const SEAM_STEP_MM = 1;

/** How the film is laid: by My way, overruled by the taper and by how far round it goes. */
export function layingStyle(job: Job, wrap: Wrap): 'centre out' | 'one end round' | 'two halves' {
  if (!wrap.template.closed || coverage(wrap.pieces) < WRAP_SHARE) return 'centre out';
  return Math.abs(wrap.size.taper) > TWO_HALVES_TAPER || job.blank.handleWidthMm > 0 ? 'two halves' : 'one end round';
}

/**
 * How true the top edge must be held so that the ends step by at most a millimetre.
 *
 * @returns mm off the line per 100 mm of edge
 * @source `seamStep`, turned about the rim edge, over the ends that the wrap has: beside a handle they do not meet
 */
export function holdTrueOver100(wrap: Wrap): number {
  return trueOver100(wrap.template.cone, SEAM_STEP_MM, -wrap.template.region.left[0]);
}

const CLEANING: Record<SurfaceKind, string> = {
  glass: 'Wash with warm water and soap, rinse, then wipe with alcohol on a lint-free cloth.',
  'glazed ceramic': 'Wash with warm water and soap, rinse, then wipe with alcohol on a lint-free cloth.',
  'bare steel': 'Wipe with alcohol on a lint-free cloth until the cloth stays clean; go with the grain.',
  'powder-coated steel': 'Wipe with alcohol on a lint-free cloth. Try a spot at the base first: some coats dull.',
  painted: 'Dust, then one light wipe with a barely damp cloth. No alcohol: it softens paint.',
  'raw terracotta': 'Brush off dust and let it dry for a day; film does not hold on dusty clay.',
  latex: 'Blow it up first. Wipe with a barely damp cloth and let it dry; no alcohol, no oil, no powder.',
  plastic: 'Wash with soapy water and rinse. Alcohol only after a try at the base: some plastics craze.',
};

/**
 * The steps for this job only, in order. Of a list, everything is counted for all that is made.
 *
 * @param job blank, items, films and what the film is for
 * @param wrap its pieces and template
 * @param sheet loads and needs
 * @param unit what the person works in
 * @param makes everything on the list that it is made for
 * @param materials for what waits
 */
export function benchSteps(
  job: Job,
  wrap: Wrap,
  sheet: JobSheet,
  unit: Units,
  makes: readonly Make[] = [],
  materials: Materials = STARTING_MATERIALS,
): BenchStep[] {
  const mm = (v: number): string => formatLength(v, unit);
  const over = trueOver(unit);
  const { blank } = job;
  const made = madeOf(wrap, makes);
  const count = countOf(made);
  const works = filmWork(job, wrap, made);
  const { alcohol, dryMinutes } = materials.surfaces[blank.surface];
  const style = layingStyle(job, wrap);
  const isWrap = wrap.template.closed && coverage(wrap.pieces) >= WRAP_SHARE;
  const steps: BenchStep[] = [];
  const add = (id: string, title: string, body: string, more: Partial<BenchStep> = {}): void => {
    steps.push({
      id,
      title,
      body,
      why: null,
      caution: null,
      check: null,
      handsMinutes: 1,
      waitMinutes: 0,
      illustration: null,
      film: null,
      ...more,
    });
  };
  /** Minutes for one, for all that are made. */
  const each = (minutes: number): number => minutes * count;
  const all = (title: string): string => (count > 1 ? `${title}, ${count} of them` : title);

  add('clean', all(`Clean the ${blank.surface === 'glass' ? 'glass' : 'blank'}`), CLEANING[blank.surface], {
    why: 'Film holds on the surface, not on what lies on it: one fingerprint lifts an edge.',
    caution: alcohol
      ? 'Alcohol burns. Keep flames and heat tools away until it has dried.'
      : blank.surface === 'latex'
        ? 'Some people are allergic to latex. Burst pieces choke small children: pick them up. Never breathe helium.'
        : null,
    handsMinutes: each(3),
    waitMinutes: dryMinutes,
    illustration: 'blank',
  });
  const figures = figuresOf(wrap.pieces);
  const whole = figures.length === 0 || wrap.pieces.some((piece) => !piece.spare && !piece.byItself);
  add('mark', all('Mark where it goes'), !whole ? frontText(blank, wrap, mm) : markText(blank, wrap, mm, isWrap), {
    why: 'A mark now saves sliding about later.',
    handsMinutes: each(2),
    illustration: 'blank',
  });
  for (const { film, pieces, counters, tiny, reverse } of works) {
    const cutMm = sheet.needs.find((need) => need.film.id === film.id)?.cutMm ?? 0;
    add(
      `weed:${film.id}`,
      `Weed ${film.name}: ${many(pieces, 'piece stays', 'pieces stay')}`,
      reverse
        ? `${tiny > 0 ? `${many(tiny, 'piece is', 'pieces are')} tiny` : 'There are very many pieces'}: lay transfer tape over everything first, rub it down, turn it over, peel the liner off the back, then weed from the sticky side. ${tapeText(made, film.id, unit)}`
        : counters > 0
          ? `First the ${many(counters, 'counter', 'counters')}, then the ground round the pieces.`
          : 'No counters here: take the ground away in one go, from a corner, low and slow.',
      {
        caution: 'Blades and needle weeders: cut and pick away from your fingers.',
        check: {
          ask: reverse ? 'Did every piece stay on the tape?' : 'Did every piece stay on the liner?',
          ifNot: reverse
            ? 'Press the lifted edge back onto the tape and pull the waste at a flatter angle.'
            : 'Press the lifted edge down with a fingernail and pull the ground at a flatter angle.',
        },
        handsMinutes: Math.max(1, Math.round(0.5 + 0.25 * (pieces + counters) + cutMm / 1500)),
        illustration: 'film',
        film: film.id,
      },
    );
  }
  // Only what lies on one sheet of tape is stacked: figures that are laid by themselves lie beside the rest.
  const stacked = stackedFilms(made);
  const order = works.flatMap(({ film }) => (stacked.has(film.id) ? [film.name] : []));
  if (order.length > 1)
    add(
      'stack',
      all(`Stack ${order.length} films flat`),
      `${order.join(', then ')}, from the blank outwards. Lay them one on another over the printed template, with a slip of baking parchment in between to slide and aim.`,
      {
        why: `Assembled flat, the layers line up once instead of ${order.length === 2 ? 'twice' : `${order.length} times`} on a curve.`,
        handsMinutes: each(3 * order.length),
        illustration: 'template',
      },
    );
  const taped = works.filter(({ reverse }) => !reverse);
  // Film that was weeded from the back lies on its tape already.
  if (taped.length > 0) {
    const strong = taped.some(({ film }) => film.finish === 'glitter');
    const rest = taped.length < works.length ? `For ${taped.map(({ film }) => film.name).join(' and ')}: ` : '';
    add(
      'tape',
      all('Lay the transfer tape'),
      `${rest}${strong ? 'Strong' : 'Medium'} tape. ${tapeText(made, null, unit)} From the middle outwards, then burnish both sides. ${isWrap ? 'Trim its top along the rim line of the template.' : 'Trim it round, a finger-width outside the film.'}`,
      {
        check: {
          ask: 'Lift one corner of the liner: does the film come with the tape?',
          ifNot: 'Lay it back, burnish that spot harder and peel at a flatter angle.',
        },
        handsMinutes: each(3),
        illustration: 'template',
      },
    );
  }
  const top = Math.min(...made.flatMap(({ pieces }) => pieces).map((p) => p.slants[0]));
  const wide =
    wrap.template.cone.girthBase > wrap.template.cone.girthRim + 0.5
      ? 'Wider arc down, to the base.'
      : wrap.template.cone.girthRim > wrap.template.cone.girthBase + 0.5
        ? 'Wider arc up, to the rim.'
        : '';
  const from =
    Number.isFinite(top) && wrap.template.closed
      ? `Its highest film sits ${mm(top + rimLineOf(blank, wrap.size))} below the drinking edge. `
      : '';
  if (isWrap)
    add(
      'aim',
      all('Hang it on the marks'),
      `${wide} ${from}Middle mark on the front dot. Hold its rim edge true to ${mm((holdTrueOver100(wrap) * over.mm) / 100)} over ${over.words}, or the ends will step by more than ${mm(SEAM_STEP_MM)}.`.trim(),
      {
        caution: 'Do not let it touch yet: slide with the liner still on, press only when it hangs true.',
        handsMinutes: each(2),
        illustration: 'template',
      },
    );
  else if (whole)
    add(
      'aim',
      all('Hold it on the marks'),
      `${wide} ${from}Middle of the design on the dot, ${wrap.template.closed ? 'level with the rim' : 'the right way up'}.`.trim(),
      {
        caution: 'Do not let it touch yet: turn the blank at eye level and look from both sides first.',
        handsMinutes: each(1),
        illustration: 'template',
      },
    );
  const laying = {
    'centre out': [
      'Press from the middle out',
      'Peel the liner off the middle third, press a thumb-wide line down the centre, then peel and smooth to one side and to the other.',
    ],
    'one end round': [
      'Lay one end and go round',
      'Press the left end along its whole height, then roll the blank on, smoothing a finger-width at a time. Lift the first end a little before pressing the last.',
    ],
    'two halves': [
      'Lay it in two halves',
      'Press down the front line first. Peel the liner off one half and smooth it round to the back, then the other half. On a taper this keeps both ends at the same height.',
    ],
  }[style];
  if (whole)
    add('lay', all(laying[0]!), laying[1]!, {
      check: {
        ask: 'No bubble, no wrinkle?',
        ifNot:
          'Lift that spot at once and lay it again. A small bubble: prick it at its edge with a needle and press towards the hole.',
      },
      handsMinutes: each(isWrap ? 6 : 2),
      illustration: 'template',
    });
  if (figures.length > 0)
    add(
      'place',
      all(`Lay ${figures.length === 1 ? 'the figure' : `the ${figures.length} figures one by one`}`),
      placingText(figures, blank, wrap, mm),
      {
        why: 'Each lies on a piece of tape of its own: a small one follows any curve, and one that went wrong is cut again alone.',
        caution: 'Do not let it touch before it hangs true: lower its middle first, then smooth outwards.',
        check: {
          ask: 'Does each sit where the list says?',
          ifNot: 'Lift it at once, by its tape, and lay it again; later it tears.',
        },
        handsMinutes: each(2 * figures.length),
        illustration: 'blank',
      },
    );
  if (isWrap && blank.handleWidthMm === 0)
    add(
      'seam',
      job.seam.lapMm > 0 ? `Lap the ends by ${mm(job.seam.lapMm)}` : 'Close the seam',
      job.seam.lapMm > 0
        ? 'Lay the end without the extra first, then the end with it on top. Burnish from the lap outwards.'
        : `Butt the ends. Expect them within ±${mm(wrap.errors.gapRim)} at the rim and ±${mm(wrap.errors.gapBase)} at the base; share a gap rather than pull it shut.`,
      {
        why: 'Pulled film creeps back within a day and opens where it was pulled.',
        handsMinutes: each(2),
        illustration: 'template',
      },
    );
  add(
    'take-off',
    all('Take the tape off'),
    (solidOf(wrap.size).face?.patch
      ? 'Burnish once more through the tape. Cut the tape into strips and take them off one by one. '
      : 'Burnish once more through the tape. ') +
      'Pull it back on itself, low and slow; if a piece comes along, lay it back, burnish and go on from the other side.',
    {
      handsMinutes: each(2),
      illustration: 'blank',
    },
  );
  const hasFoil = works.some(({ film }) => film.finish === 'metallised');
  for (const { id, title, body, handsMinutes = 0, ...more } of finishSteps(job, hasFoil, materials))
    add(id, title, body, { ...more, handsMinutes: each(handsMinutes) });
  return steps;
}

/** Films that share a sheet with another film. */
function stackedFilms(made: readonly MadeThing[]): ReadonlySet<string> {
  const parts = new Map<string, Set<string>>();
  for (const [i, { pieces }] of made.entries())
    for (const { part, film } of pieces) {
      const key = `${i}|${part}`;
      parts.set(key, (parts.get(key) ?? new Set()).add(film));
    }
  return new Set([...parts.values()].filter((films) => films.size > 1).flatMap((films) => [...films]));
}

/** Sizes of the sheets of tape: of one, or the largest of several; of one film when only that is taped. */
function tapeText(made: readonly MadeThing[], film: string | null, units: Units): string {
  const own = film === null ? made : made.map(({ pieces, count }) => ({ count, pieces: pieces.filter((p) => p.film === film) })); // prettier-ignore
  const sheets = tapeSizes(own);
  const [largest] = sheets;
  if (!largest) return '';
  const sheetCount = sheets.reduce((sum, { count }) => sum + count, 0);
  const size = formatSize(largest.width, largest.height, units);
  return sheetCount === 1 ? `Cut it ${size}.` : `Cut ${sheetCount} sheets, the largest ${size}.`;
}

/** Where the marks go: for a wrap the rim line all round, else for each face its own side, in millimetres from the handle. */
function markText(blank: Blank, wrap: Wrap, mm: (v: number) => string, isWrap: boolean): string {
  const rimLine = rimLineOf(blank, wrap.size);
  if (!wrap.template.closed)
    return `Put a dot where the middle of the design goes, and hold the printed template against it: it is ${mm(wrap.template.rimLength)} wide and ${mm(wrap.size.side)} high.`;
  if (isWrap) {
    const front =
      blank.handleWidthMm > 0
        ? `The front lies opposite the handle: measure ${mm(Math.PI * wrap.surface.radiusAt(0))} round from the handle's middle`
        : 'Choose the front and put a dot there';
    return `${front}, and a dot ${mm(rimLine)} below the drinking edge at three places round: that is the rim line of the template.`;
  }
  const faces = facesOf(wrap.pieces);
  const below = ({ top, middle }: Face): string =>
    `its top ${mm(rimLine + top)} and its middle ${mm(rimLine + middle)} below the rim`;
  if (faces.length === 0) return 'Choose the front and put a dot there.';
  if (blank.handleWidthMm > 0)
    return faces
      .map((face) => {
        const round = mm((Math.PI - Math.abs(face.azimuth)) * wrap.surface.radiusAt(face.middle));
        if (Math.abs(face.azimuth) < FACING_RAD)
          return `Opposite the handle, ${round} round from its middle: ${below(face)}.`;
        return `With the handle to your ${face.azimuth > 0 ? 'right' : 'left'}, on the side that faces you, ${round} round from the handle's middle: ${below(face)}.`;
      })
      .join(' ');
  const [first, ...others] = faces as [Face, ...Face[]];
  const more = others.map((face) => {
    const round = mm(Math.abs(face.azimuth - first.azimuth) * wrap.surface.radiusAt(face.middle));
    return `The next ${round} to the right of that: ${below(face)}.`;
  });
  return [`Choose the front and put a mark there: ${below(first)}.`, ...more].join(' ');
}

/** The front, from which figures are measured round. */
function frontText(blank: Blank, wrap: Wrap, mm: (v: number) => string): string {
  if (!wrap.template.closed) return 'Draw a light cross through the middle of the face: figures are measured from it.';
  return blank.handleWidthMm > 0
    ? `The front lies opposite the handle: measure ${mm(Math.PI * wrap.surface.radiusAt(0))} round from the handle's middle, and put a dot there.`
    : 'Choose the front and put a dot there: all figures are measured round from it.';
}

/** Figures that are told one by one; of more, the drawing of the blank tells the rest. */
const TOLD_FIGURES = 24;

/** Where each figure goes: its top from the rim, and its middle round from the front. */
function placingText(figures: readonly PlacedFigure[], blank: Blank, wrap: Wrap, mm: (v: number) => string): string {
  const rimLine = rimLineOf(blank, wrap.size);
  const told = figures.slice(0, TOLD_FIGURES).map(({ part, azimuth, top, middle }) => {
    const round = azimuth * wrap.surface.radiusAt(middle);
    const where =
      Math.abs(round) < AT_FRONT_MM
        ? 'in front'
        : `${mm(Math.abs(round))} to the ${round > 0 ? 'right' : 'left'} of the front`;
    return `${partTitle(part)}: its top ${mm(top + rimLine)} below the ${wrap.template.closed ? 'rim' : 'top edge'}, its middle ${where}.`;
  });
  const more = figures.length - told.length;
  return [...told, ...(more > 0 ? [`The other ${more} as the drawing of the blank shows.`] : [])].join(' ');
}

/** mm round the blank within which a figure sits in front. */
const AT_FRONT_MM = 0.5;

/** rad. Nearer to the middle opposite the handle than this, a thing faces neither the drinker nor the room. */
const FACING_RAD = 0.3;

const many = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;

/** A wait in words: minutes under two hours, hours above. */
export function waitText(minutes: number): string {
  return minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;
}
