import type { Blank, SurfaceKind } from '../blank/blank.ts';
import { isWipedWithAlcohol } from '../blank/blank.ts';
import { formatLength } from '../blank/length.ts';
import { rimLineOf } from '../blank/zones.ts';
import type { JobSheet } from '../cut/job-sheet.ts';
import { trueOver100 } from '../surface/cone.ts';
import type { Wrap } from '../wrap/derive.ts';
import type { Job } from '../wrap/job.ts';

/** One thing to do at the bench, with this job's numbers. */
export interface BenchStep {
  readonly id: string;
  readonly title: string;
  readonly body: string;
  readonly why: string | null;
  readonly caution: string | null;
  /** What to look for, and what to do if it is not so. */
  readonly check: { readonly ask: string; readonly ifNot: string } | null;
  /** Minutes of work, and minutes of waiting after it. */
  readonly handsMinutes: number;
  readonly waitMinutes: number;
  /** What the picture shows. */
  readonly picture: 'template' | 'film' | 'blank' | null;
  /** The film that the step is about, if one. */
  readonly film: string | null;
}

/** Sine of the half-angle past which a wrap is laid in two halves (4°). */
export const TWO_HALVES_TAPER = Math.sin((4 * Math.PI) / 180);
/** Share of the way round past which film counts as a wrap. */
export const WRAP_SHARE = 0.6;
/** mm. Largest seam step that passes unnoticed. */
const SEAM_STEP_MM = 1;

/** How the film is laid: by My way, overruled by the taper and by how far round it goes. */
export function layingStyle(job: Job, wrap: Wrap): 'centre out' | 'one end round' | 'two halves' {
  if (!wrap.template.closed || coverage(wrap) < WRAP_SHARE) return 'centre out';
  return Math.abs(wrap.size.taper) > TWO_HALVES_TAPER || job.blank.handleWidthMm > 0 ? 'two halves' : 'one end round';
}

/**
 * How true the top edge must be held so that the ends step by at most a millimetre.
 *
 * @returns mm off the line per 100 mm of edge
 * @source tilt δ makes a step C·sin δ on a cylinder and chord·δ on a cone, chord = C·sinc(πk)
 */
export function holdTrueOver100(wrap: Wrap): number {
  return trueOver100(wrap.template.cone, SEAM_STEP_MM);
}

const coverage = (wrap: Wrap): number =>
  wrap.pieces.reduce((most, p) => Math.max(most, p.azimuths[1] - p.azimuths[0]), 0) / (2 * Math.PI);

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
 * The steps for laying decals on a clean blank, for this job only, in order.
 *
 * @param job blank, items and films
 * @param wrap its pieces and template
 * @param sheet loads and needs
 * @param unit what the person works in
 */
export function benchSteps(job: Job, wrap: Wrap, sheet: JobSheet, unit: 'mm' | 'in'): BenchStep[] {
  const mm = (v: number): string => formatLength(v, unit);
  const { blank } = job;
  const alcohol = isWipedWithAlcohol(blank.surface);
  const style = layingStyle(job, wrap);
  const isWrap = wrap.template.closed && coverage(wrap) >= WRAP_SHARE;
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
      picture: null,
      film: null,
      ...more,
    });
  };

  add('clean', `Clean the ${blank.surface === 'glass' ? 'glass' : 'blank'}`, CLEANING[blank.surface], {
    why: 'Film holds on the surface, not on what lies on it: one fingerprint lifts an edge.',
    caution: alcohol
      ? 'Alcohol burns. Keep flames and heat tools away until it has dried.'
      : blank.surface === 'latex'
        ? 'Some people are allergic to latex. Burst pieces choke small children: pick them up. Never breathe helium.'
        : null,
    handsMinutes: 3,
    waitMinutes: alcohol ? 3 : 10,
    picture: 'blank',
  });
  add('mark', 'Mark where it goes', markText(blank, wrap, mm, isWrap), {
    why: 'A pencil dot now saves sliding about later.',
    handsMinutes: 2,
    picture: 'blank',
  });
  for (const need of sheet.needs) {
    const small = wrap.pieces.filter((p) => p.film === need.film.id && p.areaMm2 < 16).length;
    const reverse = small > 0 || need.pieces > 60;
    const counters =
      need.counters > 0
        ? `First the ${many(need.counters, 'counter', 'counters')}, then the ground round the pieces.`
        : 'No counters here: take the ground away in one go, from a corner, low and slow.';
    add(
      `weed:${need.film.id}`,
      `Weed ${need.film.name}: ${many(need.pieces, 'piece stays', 'pieces stay')}`,
      reverse
        ? `${many(small || need.pieces, 'piece is', 'pieces are')} tiny: lay transfer tape over everything first, peel the liner off the back, then weed from the sticky side.`
        : counters,
      {
        caution: 'Blades and needle weeders: cut and pick away from your fingers.',
        check: {
          ask: 'Did every piece stay on the liner?',
          ifNot: 'Press the lifted edge down with a fingernail and pull the ground at a flatter angle.',
        },
        handsMinutes: Math.max(1, Math.round(0.5 + 0.25 * (need.pieces + need.counters) + need.cutMm / 1500)),
        picture: 'film',
        film: need.film.id,
      },
    );
  }
  const order = sheet.needs.map((n) => n.film.name);
  if (order.length > 1)
    add(
      'stack',
      `Stack ${order.length} films flat`,
      `${order.join(', then ')}, from the blank outwards. Lay them one on another over the printed template, with a slip of baking parchment in between to slide and aim.`,
      {
        why: 'Assembled flat, the layers line up once instead of three times on a curve.',
        handsMinutes: 3 * order.length,
        picture: 'template',
      },
    );
  const strong = sheet.needs.some((n) => n.film.finish === 'glitter');
  add(
    'tape',
    'Lay the transfer tape',
    `${strong ? 'Strong' : 'Medium'} tape, cut ${mm(wrap.template.bounds.maxX - wrap.template.bounds.minX + 10)} × ${mm(wrap.template.bounds.maxY - wrap.template.bounds.minY + 10)} or just larger than the design. From the middle outwards, then burnish both sides. ${wrap.template.closed ? 'Trim its top along the rim line of the template.' : 'Trim it round, a finger-width outside the film.'}`,
    {
      check: {
        ask: 'Lift one corner of the liner: does the film come with the tape?',
        ifNot: 'Lay it back, burnish that spot harder and peel at a flatter angle.',
      },
      handsMinutes: 3,
      picture: 'template',
    },
  );
  const top = Math.min(...wrap.pieces.map((p) => p.slants[0]));
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
      'Hang it on the marks',
      `${wide} ${from}Middle mark on the front dot. Hold it true to ${mm(holdTrueOver100(wrap))} over ${unit === 'mm' ? '100 mm' : '4 in'}, or the ends will step by more than ${mm(SEAM_STEP_MM)}.`.trim(),
      {
        caution: 'Do not let it touch yet: slide with the liner still on, press only when it hangs true.',
        handsMinutes: 2,
        picture: 'template',
      },
    );
  else
    add(
      'aim',
      'Hold it on the marks',
      `${wide} ${from}Middle of the design on the dot, ${wrap.template.closed ? 'level with the rim' : 'the right way up'}.`.trim(),
      {
        caution: 'Do not let it touch yet: turn the blank at eye level and look from both sides first.',
        handsMinutes: 1,
        picture: 'template',
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
  add('lay', laying[0]!, laying[1]!, {
    check: {
      ask: 'No bubble, no wrinkle?',
      ifNot:
        'Lift that spot at once and lay it again. A small bubble: prick it at its edge with a needle and press towards the hole.',
    },
    handsMinutes: isWrap ? 6 : 2,
    picture: 'template',
  });
  if (isWrap && blank.handleWidthMm === 0)
    add(
      'seam',
      job.seam.lapMm > 0 ? `Lap the ends by ${mm(job.seam.lapMm)}` : 'Close the seam',
      job.seam.lapMm > 0
        ? 'Lay the end without the extra first, then the end with it on top. Burnish from the lap outwards.'
        : `Butt the ends. Expect them within ±${mm(wrap.errors.gapRim)} at the rim and ±${mm(wrap.errors.gapBase)} at the base; share a gap rather than pull it shut.`,
      {
        why: 'Pulled film creeps back within a day and opens where it was pulled.',
        handsMinutes: 2,
        picture: 'template',
      },
    );
  add(
    'take-off',
    'Take the tape off',
    (wrap.size.shape.form === 'ball'
      ? 'Burnish once more through the tape. Cut the tape into strips and take them off one by one. '
      : 'Burnish once more through the tape. ') +
      'Pull it back on itself, low and slow; if a piece comes along, lay it back, burnish and go on from the other side.',
    {
      handsMinutes: 2,
      picture: 'blank',
    },
  );
  add(
    'cure',
    'Let it cure',
    'Do not handle it hard for 24 hours, and do not wash it for 48. Then by hand, with a soft cloth.',
    {
      why: 'The adhesive needs that long to flow into the surface. The label on the film comes first.',
      caution:
        'Film stays out of the inside and off the lip zone: it is not made for contact with food.' +
        (sheet.needs.some((n) => n.film.finish === 'metallised') ? ' Metallised film must not go in a microwave.' : ''),
      handsMinutes: 0,
      waitMinutes: 48 * 60,
      picture: 'blank',
    },
  );
  return steps;
}

function markText(blank: Blank, wrap: Wrap, mm: (v: number) => string, isWrap: boolean): string {
  if (!wrap.template.closed)
    return `Put a dot where the middle of the design goes, and hold the printed template against it: it is ${mm(wrap.template.rimLength)} wide and ${mm(wrap.size.side)} high.`;
  const front =
    blank.handleWidthMm > 0
      ? `The front lies opposite the handle: measure ${mm(wrap.size.rim.surface / 2)} round from the handle's middle`
      : 'Choose the front and put a dot there';
  const line = isWrap
    ? ` and a dot ${mm(rimLineOf(blank, wrap.size))} below the drinking edge at three places round: that is the rim line of the template.`
    : ` and a dot ${mm(rimLineOf(blank, wrap.size))} below the drinking edge: the template's rim line meets it.`;
  return front + line;
}

const many = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;

/** A wait in words: minutes under two hours, hours above. */
export function waitText(minutes: number): string {
  return minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;
}
