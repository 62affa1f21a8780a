import { KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';
import type { Materials } from '../material/materials.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { Film } from '../model/film.ts';
import type { Habits } from '../model/habits.ts';
import type { Job } from '../model/job.ts';
import { isWashed } from './rules/finish.ts';

/** How a finished thing is kept: a heading and sentences, for whoever gets it. */
export interface Care {
  readonly title: string;
  readonly lines: readonly string[];
}

/**
 * How a finished thing is kept, for this blank and these films.
 *
 * @param films those that lie on it
 * @param washing by My way
 * @param curedAt day and time in words from which it has cured, where it is handed over before; null where it is not
 * @returns null where there is nothing to say: a balloon is gone before it needs care
 */
export function careOf(
  { blank, process }: Pick<Job, 'blank' | 'process'>,
  films: readonly Film[],
  washing: Habits['washing'],
  { waits }: Materials = STARTING_MATERIALS,
  curedAt: string | null = null,
): Care | null {
  if (KINDS_OF_BLANK[blank.kind].blownUp) return null;
  const title = `How to keep it: ${blank.name}`;
  const washed = isWashed(blank);
  if (process !== 'decal') {
    const said = {
      strip: 'The picture is the bare metal: there is nothing on it that could peel. Wash it as you would without it.',
      etch: 'The picture is in the glass itself. Wash it as you would without it.',
      blast: 'The picture is in the glass itself. Wash it as you would without it.',
      paint: 'Painted: wipe it with a damp cloth, do not soak or scrub it.',
    }[process];
    return { title, lines: [said, 'Hard knocks chip the edge of a coat or of glass, with a picture or without.'] };
  }
  const hours = (minutes: number): string => `${Math.round(minutes / 60)} hours`;
  const gentle = films.some(({ finish }) => finish === 'matte removable' || finish === 'metallised' || finish === 'glitter'); // prettier-ignore
  const machine = washing === 'dishwasher' && !gentle;
  return {
    title,
    lines: [
      ...(curedAt === null ? [] : [`It has not cured yet: do not wash it and do not handle it hard before ${curedAt}.`]), // prettier-ignore
      ...(washed
        ? [
            `Do not wash it in the first ${hours(waits.wash)}.`,
            machine
              ? 'Then wash it by hand; a dishwasher only as far as the label of its film allows.'
              : 'Then wash it by hand with a soft cloth, never in a dishwasher: heat and jets lift the edges.',
            'Do not let it stand in water.',
            'Its film is not for lips or food: it ends below the drinking edge and is outside only.',
          ]
        : [`Do not handle it hard in the first ${hours(waits.handle)}.`, 'Dust it, or wipe it with a barely damp cloth. Do not wash it.']), // prettier-ignore
      ...(films.some(({ finish }) => finish === 'metallised') ? ['Not in a microwave: there is metal in it.'] : []),
      ...(films.some(({ finish }) => finish === 'matte removable') ? ['This film can be taken off again: it holds less than others.'] : []), // prettier-ignore
      ...(blank.surface === 'raw terracotta'
        ? ['Outdoors it lasts a summer or two; keep it out of standing rain.']
        : []),
      'A fine line that lifts: press it down with a warm thumb.',
    ],
  };
}
