import { isRound, KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';
import type { Materials } from '../material/materials.ts';
import { BALLOON_KEEPS_HOURS } from '../measure/balloon.ts';
import type { Blank } from '../model/blank.ts';
import type { Job } from '../model/job.ts';
import type { BenchStep } from './step.ts';

type Step = Pick<BenchStep, 'id' | 'title' | 'body'> & Partial<BenchStep>;

const LAST_WORD = 'Labels, local codes and trained people come first.';

/** What is done through a mask once it lies. */
const THROUGH: { readonly [process in Exclude<Job['process'], 'decal'>]: Step } = {
  strip: {
    id: 'strip',
    title: 'Strip the coat',
    body: 'Tape off the rest of the blank. Lay the stripper on thick and even, stand the blank on a plate, and look for the first time after an hour: does the coat lift and bubble? Then again every quarter of an hour. Gloves on: rinse, take the mask off, scrub softly, soap.',
    caution: `Coating stripper burns skin and eyes: gloves, goggles, moving air, children away; waste by local rules. ${LAST_WORD}`,
  },
  etch: {
    id: 'etch',
    title: 'Etch the glass',
    body: 'Clean the open glass once more. Lay the cream on thick and even and leave it for as long as its own label says. Rinse with gloves on, take the mask off, dry it, look.',
    caution: `Etching cream burns skin and eyes: gloves, goggles, moving air, children away. ${LAST_WORD}`,
  },
  blast: {
    id: 'blast',
    title: 'Blast it',
    body: 'Tape off all that is to stay clear. Sweep evenly from the same distance until no spot shines. Rinse, then peel; warm the mask if it is brittle.',
    caution: `A cabinet, or respirator and goggles; grit without silica; somebody trained beside you. ${LAST_WORD}`,
  },
  paint: {
    id: 'paint',
    title: 'Paint through the stencil',
    body: 'Press the edges down once more. Brush upright with next to no paint, in thin coats, each dry before the next by the tin. Peel while the last is just tacky.',
    caution: `Spray outdoors or in moving air, away from flames; brush paints by their label. ${LAST_WORD}`,
  },
};

/** How a job ends, by what the film is for and what it lies on: curing and washing only where there is something to wash. */
export function finishSteps(
  { process, blank }: Pick<Job, 'process' | 'blank'>,
  hasFoil: boolean,
  { waits }: Materials,
): Step[] {
  if (process !== 'decal') {
    const waitMinutes = process === 'strip' ? waits.strip : 0;
    return [{ handsMinutes: 10, illustration: 'blank', ...THROUGH[process], waitMinutes }];
  }
  if (KINDS_OF_BLANK[blank.kind].blownUp) return [keeps(blank)];
  const washed = isWashed(blank);
  return [
    {
      id: 'cure',
      title: 'Let it cure',
      body: washed
        ? 'Do not handle it hard for 24 hours, and do not wash it for 48. Then by hand, with a soft cloth.'
        : 'Do not handle it hard for 24 hours.',
      why: 'The adhesive needs that long to flow into the surface. The label on the film comes first.',
      caution:
        [
          ...(washed
            ? ['Film stays out of the inside and off the lip zone: it is not made for contact with food.']
            : []),
          ...(hasFoil && washed ? ['Metallised film must not go in a microwave.'] : []),
        ].join(' ') || null,
      handsMinutes: 0,
      waitMinutes: washed ? waits.wash : waits.handle,
      illustration: 'blank',
    },
  ];
}

/** Whether people drink from it and wash it: it has a rim to keep film off, and is no flower pot. */
export const isWashed = ({ kind, surface, rimClearanceMm }: Blank): boolean =>
  isRound(kind) && rimClearanceMm > 0 && surface !== 'raw terracotta';

function keeps({ balloon }: Blank): Step {
  const hours = BALLOON_KEEPS_HOURS[balloon.gas];
  return {
    id: 'keeps',
    title: 'Hand it over soon',
    body: `${balloon.gas === 'helium' ? 'Filled with helium it' : 'Filled with air it'} keeps about ${hours < 48 ? `${hours} hours` : 'two days'}. Keep it out of the sun and away from sharp corners.`,
    caution: `Never breathe helium. Some people are allergic to latex, and burst pieces choke small children: pick them up. ${LAST_WORD}`,
    handsMinutes: 0,
    illustration: 'blank',
  };
}
