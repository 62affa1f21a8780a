import { ownEntry } from '../../model/own-entry.ts';
import { formatSize } from '../../measure/length.ts';
import { BALLOON_KEEPS_HOURS } from '../../measure/balloon.ts';
import { isRound, KINDS_OF_BLANK } from '../../measure/kinds/kinds.ts';
import type { Blank } from '../../model/blank.ts';
import { bareOf } from '../../pieces/bare.ts';
import type { JobFacts } from '../job-facts.ts';
import type { StepDraft } from '../step.ts';
import { canBeWarmed } from './lay.ts';

/** Minutes between coats that are touch-dry, until the tin says otherwise. */
const COAT_MINUTES = 30;

/** Minutes between two clear coats, and of a night. */
const [SEAL_MINUTES, OVERNIGHT_MINUTES] = [60, 720];

/** What is done through a mask: the rest covered, the work with its checks, rinsed, the mask off. */
export function maskSteps(facts: JobFacts): StepDraft[] {
  const { job, wrap, unit, all, each, works, materials } = facts;
  if (job.process === 'decal') return [];
  const says = { above: 'above it, all round', below: 'below it, all round', beside: 'beside it' };
  const bare = bareOf(wrap).map(({ where, widthMm, heightMm }) => `${formatSize(widthMm, heightMm, unit)} ${says[where]}`); // prettier-ignore
  const counters = works.reduce((sum, work) => sum + work.pieces, 0);
  const laid = ['every tape-off', 'every lay'];
  const steps: StepDraft[] =
    bare.length === 0
      ? []
      : [
          {
            id: 'cover-rest',
            kind: 'cover-rest',
            after: laid,
            title: all('Tape off what the mask leaves bare'),
            body: `${bare.join('; ')}. Lap the strips a little, each over the one before, and rub the edges down.`,
            why: 'What creeps past the mask does there what it does in the figure.',
            handsMinutes: each(3),
            numbers: { count: bare.length },
          },
        ];
  const after = [...laid, 'cover-rest'];
  const peel = (before: string, title: string, body: string): StepDraft => ({
    id: 'peel',
    kind: 'peel',
    after: [before],
    title: all(title),
    body,
    check: {
      ask: counters === 1 ? 'Is all of the mask off?' : `Are all ${counters} pieces of the mask out?`,
      ifNot: 'Lift the rest with tweezers; warm film that breaks before you pull it.',
    },
    handsMinutes: each(3),
    numbers: { pieces: counters },
  });
  const rinse = (before: string, body: string): StepDraft => ({ id: 'rinse', kind: 'wash', after: [before], title: all('Rinse it'), body, handsMinutes: each(3) }); // prettier-ignore
  switch (job.process) {
    case 'strip':
      return [
        ...steps,
        {
          id: 'edges',
          kind: 'lay',
          after: laid,
          title: all('Warm the edges down'),
          body: 'Warm the edges of the mask gently, part by part, and press until the grain of the coat shows through the film. The metal gets hot: keep the tool moving.',
          why: 'What creeps under an edge eats the coat there too.',
          because: 'A powder coat has a grain; film bridges it cold.',
          cautions: ['heat'],
          handsMinutes: each(3),
        },
        {
          id: 'strip',
          kind: 'strip',
          after: [...after, 'edges'],
          title: all('Strip the coat'),
          body: 'Lay the stripper on medium to thick and even with the foam, the rest back into its tin, and stand the blank on a plate. Look for the first time after an hour; coats take one to seven, by kind and colour.',
          why: 'Thick gel stays wet: once it dries it stops working.',
          cautions: ['strip'],
          check: {
            ask: 'Does the coat lift and bubble under the pick?',
            ifNot:
              'Give it a quarter of an hour more, and look again, as often as it takes. Where the gel dries out, wet it.',
            againMinutes: 15,
          },
          because: 'It is stripped through its mask.',
          handsMinutes: each(10),
          waitMinutes: ownEntry(materials.waits.stripOf, job.blank.colour.toLowerCase()) ?? materials.waits.strip,
        },
        rinse(
          'strip',
          'Gloves on: rinse, scrub softly, pick rests gently, then soap. What comes off goes as your local rules say.',
        ),
        peel('rinse', 'Take the mask off', 'Pull it low and slow; then wash the whole with soap and dry it.'),
      ];
    case 'etch':
      return [
        ...steps,
        {
          id: 'etch',
          kind: 'etch',
          after,
          title: all('Etch the glass'),
          body: 'Clean the open glass once more. Lay the cream on thick and even, and leave it for as long as its own label says: that label is the timer.',
          why: 'Thin cream etches in blotches.',
          cautions: ['etch'],
          handsMinutes: each(10),
        },
        rinse('etch', 'Gloves on: rinse until nothing of the cream is left, with much water.'),
        {
          ...peel('rinse', 'Take the mask off and look', 'Dry it, and look at it against the light.'),
          check: {
            ask: 'Is it even, without blotches?',
            ifNot: 'With the mask still on: cream again at once, thicker. Afterwards it can only be done anew.',
          },
        },
      ];
    case 'blast':
      return [
        ...steps,
        {
          id: 'blast',
          kind: 'blast',
          after,
          title: all('Blast it'),
          body: 'Sweep evenly, always from the same distance, with the pressure and the grit of last time.',
          why: 'Standing still digs a hole and wears the mask through.',
          cautions: ['blast'],
          check: { ask: 'Does no spot shine?', ifNot: 'Sweep there again before anything comes off.' },
          handsMinutes: each(10),
        },
        rinse('blast', 'Rinse the grit off; it scratches.'),
        {
          ...peel('rinse', 'Take the mask off', 'Cold film is brittle: warm it first. Then wash the whole.'),
          cautions: ['heat'],
        },
      ];
    case 'paint':
      return [
        ...steps,
        {
          id: 'paint',
          kind: 'paint',
          after,
          title: all('Paint the first coat through the stencil'),
          body: 'Press its edges down once more. Brush upright with next to no paint, thin enough that the ground shows through, and let it dry by its tin.',
          why: 'Wet paint is drawn in under an edge.',
          cautions: ['paint'],
          check: { ask: 'Is its edge sharp?', ifNot: 'Less paint on the brush; dab what bled away while it is wet.' },
          handsMinutes: each(10),
          waitMinutes: COAT_MINUTES,
        },
        {
          id: 'paint:2',
          kind: 'paint',
          after: ['paint'],
          title: all('Paint the second coat'),
          body: 'As thin as the first. A third one only where the ground still shows; each dry before the next.',
          why: 'Two thin coats cover better than a thick one, and stay outside the edge.',
          handsMinutes: each(8),
        },
        peel('paint:2', 'Take the stencil off', 'While the last coat is just tacky: back on itself, small bits with tweezers.'), // prettier-ignore
      ];
  }
}

/** Whether people drink from it and wash it: it has a rim to keep film off, and is no flower pot. */
export const isWashed = ({ kind, surface, rimClearanceMm }: Blank): boolean =>
  isRound(kind) && rimClearanceMm > 0 && surface !== 'raw terracotta';

const WASHED = {
  'by hand': 'Then by hand, with a soft cloth.',
  dishwasher:
    'Then in the dishwasher only as far as the film’s own label allows, at your own risk; by hand it lasts longer.',
  sealed: 'Wait for as long as the clear coat’s own label says as well. Then still by hand.',
} as const;

/** Film that was laid cold, warmed to set, where the surface bears it. */
export function warmSteps({ job, blank, habits, all, each }: JobFacts): StepDraft[] {
  if (habits.heat !== 'warm' || job.process !== 'decal' || !canBeWarmed(blank.surface)) return [];
  return [
    {
      id: 'warm',
      kind: 'lay',
      after: ['every tape-off', 'place'],
      title: all('Warm the film to set it'),
      body: 'Low heat, moving all the time, until the film goes soft and flat, not shiny. Press every edge down with a gloved finger while it is warm, and let it cool.',
      why: 'Warm film forgets that it was flat.',
      because: 'My way: warmed to set.',
      cautions: ['heat'],
      handsMinutes: each(3),
    },
  ];
}

/** Two thin clear coats over a decal that is washed, where My way says so. */
export function sealSteps({ job, blank, habits, all, each }: JobFacts): StepDraft[] {
  if (habits.washing !== 'sealed' || job.process !== 'decal' || !isWashed(blank)) return [];
  const because = 'My way: sealed.';
  return [
    {
      id: 'seal',
      kind: 'seal',
      after: ['every tape-off', 'every lay'],
      title: all('Seal it, first coat'),
      body: 'A thin even coat over film and a finger past it, well below the drinking edge, without pools. Turn it as it dries.',
      why: 'A pool stays soft and yellows.',
      because,
      cautions: ['sealer'],
      handsMinutes: each(4),
      waitMinutes: SEAL_MINUTES,
    },
    {
      id: 'seal:2',
      kind: 'seal',
      after: ['seal'],
      title: all('Seal it, second coat'),
      body: 'As thin as the first, with a little more along the edges of the film. Then leave it overnight.',
      why: 'The edge is where water gets in.',
      because,
      handsMinutes: each(4),
      waitMinutes: OVERNIGHT_MINUTES,
    },
  ];
}

/** How a decal ends: curing and washing only where there is something to wash; a balloon is handed over. */
export function finishSteps({ job, blank, works, materials, habits }: JobFacts): StepDraft[] {
  const after = ['every tape-off', 'every lay', 'peel', 'every seal'];
  if (job.process !== 'decal') return [];
  if (KINDS_OF_BLANK[blank.kind].blownUp) {
    const hours = BALLOON_KEEPS_HOURS[blank.balloon.gas];
    return [
      {
        id: 'keeps',
        kind: 'hand-over',
        after,
        title: 'Hand it over soon',
        body: `${blank.balloon.gas === 'helium' ? 'Filled with helium it' : 'Filled with air it'} keeps about ${hours < 48 ? `${hours} hours` : 'two days'}. Keep it out of the sun and away from sharp corners.`,
        cautions: blank.balloon.gas === 'helium' ? ['helium', 'latex'] : ['latex'],
        handsMinutes: 0,
      },
    ];
  }
  const washed = isWashed(blank);
  const permanent = works.every(({ film }) => film.finish === 'gloss permanent' || film.finish === 'cast conformable');
  const foil = works.some(({ film }) => film.finish === 'metallised');
  return [
    {
      id: 'cure',
      kind: 'cure',
      after,
      title: 'Let it cure',
      body: washed
        ? `Do not handle it hard for 24 hours, and do not wash it for 48. ${WASHED[permanent ? habits.washing : 'by hand']}`
        : 'Do not handle it hard for 24 hours.',
      why: 'The adhesive needs that long to flow into the surface. The label on the film comes first.',
      cautions: washed ? ['lip-zone', ...(foil ? (['foil'] as const) : [])] : [],
      handsMinutes: 0,
      waitMinutes: washed ? materials.waits.wash : materials.waits.handle,
    },
  ];
}

/** What is noted while it is still known. */
export const wrapUpSteps = ({ all }: JobFacts): StepDraft[] => [
  {
    id: 'wrap-up',
    kind: 'wrap-up',
    after: ['every tape-off', 'every lay', 'peel', 'every seal'],
    title: all('Look at it and note it down'),
    body: 'Three things for the log: how it came out, what fought you, what you would do otherwise. A photograph says the rest.',
    why: 'The next one on this blank begins where this one ended.',
    handsMinutes: 2,
  },
];
