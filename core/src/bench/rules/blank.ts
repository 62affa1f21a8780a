import { rimLineOf } from '../../measure/zones.ts';
import { formatSize } from '../../measure/length.ts';
import type { SurfaceKind } from '../../model/blank.ts';
import type { Face } from '../facts.ts';
import { facesOf, tapeSizes } from '../facts.ts';
import type { JobFacts, MadeAlike } from '../job-facts.ts';
import type { StepDraft } from '../step.ts';

/** Minutes of drying past which it is a preparation of its own, begun first. */
const LONG_DRYING = 120;
/** rad. Nearer to the middle opposite the handle than this, a thing faces neither the drinker nor the room. */
const FACING_RAD = 0.3;

const CLEANING: Record<SurfaceKind, string> = {
  glass: 'Wash with warm water and soap, rinse, then wipe with alcohol on a lint-free cloth.',
  'glazed ceramic': 'Wash with warm water and soap, rinse, then wipe with alcohol on a lint-free cloth.',
  'bare steel': 'Wipe with alcohol on a lint-free cloth until the cloth stays clean; go with the grain.',
  'powder-coated steel': 'Wipe with alcohol on a lint-free cloth. Try a spot at the base first: some coats dull.',
  painted: 'Dust, then one light wipe with a barely damp cloth. No alcohol: it softens paint.',
  'raw terracotta': 'Brush it off once more: film does not hold on dusty clay.',
  latex: 'Blow it up now, not sooner. Wipe with a barely damp cloth and let it dry; no alcohol, no oil, no powder.',
  plastic: 'Wash with soapy water and rinse. Alcohol only after a try at the base: some plastics craze.',
};

/** What has to be ready long before film: labels soaked off, paint and clay that dry; begun before anything else. */
export const prepareSteps = (facts: JobFacts): StepDraft[] => [...beforeFilm(facts), ...dried(facts)];

/** Minutes: that a label soaks, that a coat of paint waits for the next one, and for film. */
const SOAK_MINUTES = 60;
const COAT_MINUTES = 120;
const PAINT_MINUTES = 24 * 60;

function beforeFilm({ blank, materials, all, each }: JobFacts): StepDraft[] {
  const { alcohol } = materials.surfaces[blank.surface];
  const step = (id: string, title: string, rest: Omit<StepDraft, 'id' | 'kind' | 'title'>): StepDraft => ({ id: `prepare:${id}`, kind: 'prepare', title: all(title), because: `Measure: ${blank.before} before film.`, ...rest }); // prettier-ignore
  switch (blank.before) {
    case 'soak a label':
      return [
        step('soak', 'Soak the label', {
          body: 'Fill it with warm water so that it sinks, stand it in a bucket and leave it. A stubborn one stays overnight.',
          why: 'Water that has time goes where a scraper does not.',
          handsMinutes: each(1),
          waitMinutes: SOAK_MINUTES,
        }),
        step('scrape', 'Take the label off', {
          after: ['prepare:soak'],
          body: 'Scrape paper and glue off flat, rub the rest away with a cloth and a little oil, wash it and towel it dry.',
          why: 'Old glue under film shows as a rim, and lets go.',
          check: {
            ask: 'Is it smooth under a fingertip?',
            ifNot: 'Soak it again: twice short is gentler than once hard.',
            againMinutes: SOAK_MINUTES / 2,
          },
          handsMinutes: each(6),
        }),
      ];
    case 'lift a sticker':
      return [
        step('sticker', 'Lift the sticker', {
          body: `Warm it with a hair dryer, lift a corner with a fingernail and peel it low and slow. Rub the rest of its glue off with ${alcohol ? 'alcohol, twice, once it has cooled' : 'a little oil, then soapy water'}.`,
          why: 'Warm glue lets go in one piece.',
          cautions: alcohol ? ['heat', 'alcohol'] : ['heat'],
          handsMinutes: each(3),
        }),
      ];
    case 'paint outside':
      return [
        step('paint', 'Paint it, first coat', {
          body: 'Hold the tin against what it has to match, in daylight. A thin coat, and let it dry by its tin.',
          why: 'A thin coat is through when it looks it; a thick one is not.',
          cautions: ['paint'],
          handsMinutes: each(8),
          waitMinutes: COAT_MINUTES,
        }),
        step('coat', 'Paint it, second coat', {
          after: ['prepare:paint'],
          body: 'As thin as the first. Then leave it a whole day in moving air.',
          why: 'Film seals paint in: what is soft under it stays soft.',
          handsMinutes: each(8),
          waitMinutes: PAINT_MINUTES,
        }),
      ];
    case 'paint inside':
      return [
        step('pour', 'Paint it inside', {
          body: 'Take its cap off. Fill it a third with paint, turn it until all of it is covered, pour the rest back, and stand it mouth down over a dish.',
          why: 'What does not run out now runs later, and pools.',
          cautions: ['paint'],
          handsMinutes: each(4),
          waitMinutes: PAINT_MINUTES,
        }),
      ];
    case undefined:
      return [];
  }
}

function dried({ blank, materials, all, each }: JobFacts): StepDraft[] {
  const { dryMinutes } = materials.surfaces[blank.surface];
  if (blank.surface === 'painted')
    return [
      {
        id: 'prepare',
        kind: 'prepare',
        after: ['prepare:coat'],
        title: all('See that the paint is through'),
        body: 'Press a clean finger to the paint where no film will lie.',
        why: 'Film seals paint in: what is soft under it stays soft, and comes off with the tape.',
        because: 'Its surface is painted; paint wants a day before film.',
        check: {
          ask: 'Does the finger leave no mark?',
          ifNot: 'Give it two hours more in moving air and press again; a fresh coat wants a whole day.',
          againMinutes: 120,
        },
        handsMinutes: each(1),
      },
    ];
  if (dryMinutes <= LONG_DRYING) return [];
  return [
    {
      id: 'prepare',
      kind: 'prepare',
      title: all('Brush the clay off and let it dry'),
      body: 'Brush off dust and loose clay, and let it dry in moving air. Everything else can be done meanwhile.',
      why: 'Clay holds water that no wiping takes out; film lifts off it within days.',
      because: 'Its surface is raw terracotta.',
      handsMinutes: each(3),
      waitMinutes: dryMinutes,
    },
  ];
}

/** What lies ready before the first step, with its sizes. */
export function layOutSteps({
  job,
  blank,
  sheet,
  made,
  alike,
  works,
  unit,
  count,
  wrap,
  untaped,
}: JobFacts): StepDraft[] {
  const films = sheet.plan.loads.flatMap(({ strips }) => strips);
  const nameOf = (id: string): string => job.films.find((film) => film.id === id)?.name ?? id;
  const [tape] = tapeSizes(made);
  const blanks = alike.map(({ blank: one, count: n }) => `${n} × ${one.name}`);
  const through = { decal: [], strip: ['Stripper, foam brush, plate, apron, gloves, goggles'], etch: ['Etching cream, brush, gloves, goggles, water at hand'], blast: ['Cabinet or respirator, goggles, silica-free grit'], paint: ['Paint, brush or sponge, tape for the rest'] }[job.process]; // prettier-ignore
  return [
    {
      id: 'lay-out',
      kind: 'lay-out',
      title: 'Lay everything out',
      body: 'Tick it off as it lies before you; what is missing is missed with film in both hands.',
      list: [
        ...blanks,
        ...films.map(({ film, used }) => `${nameOf(film)}, ${formatSize(used.along, used.across, unit)} at least`),
        ...(tape && !untaped ? [`Transfer tape, ${formatSize(tape.width, tape.height, unit)} or larger`] : []),
        'Scissors, needle or pick, squeegee',
        ...(wrap.template.closed && !blank.handleWidthMm ? ['A towel or cradle, so that it does not roll'] : []),
        'Lint-free cloth',
        ...through,
      ],
      handsMinutes: 3,
      numbers: { count, pieces: works.reduce((sum, { pieces }) => sum + pieces, 0) },
    },
  ];
}

/** Clean right before laying; alcohol and water dry before film goes on. */
export function cleanSteps({ blank, materials, all, each }: JobFacts): StepDraft[] {
  const { alcohol, dryMinutes } = materials.surfaces[blank.surface];
  return [
    {
      id: 'clean',
      kind: 'clean',
      after: ['every prepare', 'every weed', 'every tape', 'slit', 'every stack', 'squares-off'],
      title: all(`Clean the ${blank.surface === 'glass' ? 'glass' : 'blank'}`),
      body: `${CLEANING[blank.surface]}${alcohol ? ` Let it dry for ${dryMinutes} minutes, and do not touch it again.` : ''}`,
      why: 'Film holds on the surface, not on what lies on it: one fingerprint lifts an edge.',
      because: `Its surface is ${blank.surface}.`,
      cautions: alcohol ? ['alcohol'] : blank.surface === 'latex' ? ['latex'] : [],
      handsMinutes: each(3),
      waitMinutes: dryMinutes > LONG_DRYING ? 0 : dryMinutes,
    },
  ];
}

/** Where it goes: for a wrap the rim line all round, else each face on its own side, in millimetres from the handle. */
export function markSteps(facts: JobFacts): StepDraft[] {
  return facts.alike.flatMap((group, g) => {
    const of = facts.alike.length > 1 ? `: ${group.names.join(', ')}` : '';
    const title = (what: string): string => (group.count > 1 ? `${what}, ${group.count} of them${of}` : `${what}${of}`);
    const things = facts.things.length > 1 ? group.things.map((thing) => thing.id) : [];
    const base = { kind: 'mark', things, after: ['clean'], handsMinutes: 2 * group.count, about: { film: null, part: null, row: group.names.length === 1 ? group.names[0]! : null } } as const; // prettier-ignore
    const id = (n: number): string => (g === 0 && n === 0 ? 'mark' : `mark:${g + 1}-${n + 1}`);
    const why =
      'A mark now saves sliding about later. Use a tick of tape or a marker that wipes off, never under film.';
    const { blank, wrap } = group;
    if (!wrap.template.closed)
      return [
        {
          ...base,
          id: id(0),
          title: title('Mark where it goes'),
          body: facts.whole
            ? `Put a dot where the middle of the design goes, and hold the printed template against it: it is ${facts.mm(wrap.template.rimLength)} wide and ${facts.mm(wrap.size.side)} high.${blank.kind === 'lid' ? ' The margin is the same all round.' : ''}`
            : 'Draw a light cross through the middle of the face: figures are measured from it.',
          why,
        },
      ];
    const half = Math.PI * wrap.surface.radiusAt(0);
    const front =
      blank.handleWidthMm > 0
        ? `The front lies opposite the handle: measure ${facts.mm(half)} round from the handle's middle`
        : 'Choose the front';
    const rimLine = rimLineOf(blank, wrap.size);
    const fromHandle = blank.handleWidthMm > 0 ? { roundFromHandleMm: half } : {};
    if (!facts.whole)
      return [{ ...base, id: id(0), title: title('Mark the front'), body: `${front} and put a dot there: all figures are measured round from it.`, why, numbers: fromHandle }]; // prettier-ignore
    if (facts.isWrap)
      return [
        {
          ...base,
          id: id(0),
          title: title('Mark where it goes'),
          body: `${front} and put a dot there, and dots ${facts.mm(rimLine)} below the drinking edge at three places round: that is the rim line of the template.`,
          why,
          numbers: { ...fromHandle, topBelowRimMm: rimLine },
        },
      ];
    return facesOf(group.pieces).map((face, n, faces): StepDraft => {
      const { says, numbers } = faceText(face, faces[0]!, group, facts.mm);
      const title2 = faces.length > 1 ? `Mark face ${n + 1} of ${faces.length}` : 'Mark where it goes';
      return { ...base, id: id(n), title: title(title2), body: says, why: n === 0 ? why : null, numbers };
    });
  });
}

function faceText(
  face: Face,
  first: Face,
  { blank, wrap }: MadeAlike,
  mm: (v: number) => string,
): { says: string; numbers: NonNullable<StepDraft['numbers']> } {
  const rimLine = rimLineOf(blank, wrap.size);
  const heights = { topBelowRimMm: rimLine + face.top, middleBelowRimMm: rimLine + face.middle };
  const below = `its top ${mm(heights.topBelowRimMm)} and its middle ${mm(heights.middleBelowRimMm)} below the rim`;
  const radius = wrap.surface.radiusAt(face.middle);
  if (blank.handleWidthMm > 0) {
    const roundFromHandleMm = (Math.PI - Math.abs(face.azimuth)) * radius;
    const round = mm(roundFromHandleMm);
    return {
      says:
        Math.abs(face.azimuth) < FACING_RAD
          ? `Opposite the handle, ${round} round from its middle: ${below}.`
          : `With the handle to your ${face.azimuth > 0 ? 'right' : 'left'}, on the side that faces you, ${round} round from the handle's middle: ${below}.`,
      numbers: { ...heights, roundFromHandleMm },
    };
  }
  return {
    says:
      face === first
        ? `Choose the front and put a mark there: ${below}.`
        : `${mm(Math.abs(face.azimuth - first.azimuth) * radius)} to the right of the first: ${below}.`,
    numbers: heights,
  };
}
