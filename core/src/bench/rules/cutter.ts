import { partTitle } from '../../cut/part-labels.ts';
import { hasCoverSheet } from '../../material/film.ts';
import { formatRange, formatSize } from '../../measure/length.ts';
import type { JobFacts } from '../job-facts.ts';
import type { Film } from '../../model/film.ts';
import type { StepDraft } from '../step.ts';

/** mm by which film is cut larger than its strip, all round. */
const LARGER_MM = 10;

/** At the cutter, load by load: film laid where its strip is, a corner tried, the board bent off the film. */
export function cutterSteps({
  job,
  sheet,
  unit,
  settings,
}: Pick<JobFacts, 'sheet' | 'unit' | 'settings'> & { readonly job: { readonly films: readonly Film[] } }): StepDraft[] {
  const filmOf = (id: string) => job.films.find((film) => film.id === id);
  const { loads } = sheet.plan;
  const steps = loads.flatMap(({ number, strips }): StepDraft[] => {
    const films = [...new Set(strips.map(({ film }) => film))].flatMap((id) => filmOf(id) ?? []);
    const covered = films.filter(hasCoverSheet);
    const load = loads.length > 1 ? `load ${number}` : 'the film';
    const before = number > 1 ? [`unload:${number - 1}`] : [];
    const lies = strips.map((strip) => {
      const size = formatSize(strip.used.along + 2 * LARGER_MM, strip.used.across + 2 * LARGER_MM, unit);
      const piece = strip.offcut === null ? `a piece of ${size}` : 'the offcut that was chosen for it';
      return `${filmOf(strip.film)?.name ?? strip.film} ${formatRange(strip.from, strip.to, unit)} along the board: ${piece}.`; // prettier-ignore
    });
    return [
      ...(covered.length > 0
        ? [
            {
              id: `cover-sheet:${number}`,
              kind: 'cover-sheet' as const,
              after: before,
              title: `Peel the clear sheet off ${listed(covered.map(({ name }) => name))}`,
              body: 'Film with a shine often comes under a clear sheet. Peel it off before the blade goes over it; if it has none, go on.',
              why: 'The blade would cut the sheet and not the film.',
              numbers: { count: covered.length },
            },
          ]
        : []),
      {
        id: `place-film:${number}`,
        kind: 'place-film',
        after: [`cover-sheet:${number}`, ...before],
        title: `Lay ${load} on the board`,
        body: 'Each from its mark to its mark, measured from the first edge of the board. Liner down, roller over it, edges taped down where fine cuts run long.',
        list: lies,
        check: {
          ask: `Does ${strips.length === 1 ? 'the film lie' : 'each film lie'} from mark to mark?`,
          ifNot: 'Lift it and lay it again: what hangs over a mark is cut into the board, or not at all.',
        },
        handsMinutes: 2 * strips.length,
        numbers: { count: strips.length },
      },
      {
        id: `test-cut:${number}`,
        kind: 'test-cut',
        after: [`place-film:${number}`],
        title: `Cut ${load}, and lift a corner before you unload`,
        body: `${settingOf(films, settings)} While the board is still in the cutter, lift one corner of the waste with the pick.`.trim(),
        why: 'On the board it can be cut once more, exactly in its lines; off the board it cannot.',
        check: {
          ask: 'Does the corner lift clean?',
          ifNot: 'Push the board back as it lies and cut once more, a step deeper; note what came clean.',
        },
        cautions: ['blade-bed'],
        handsMinutes: 1,
      },
      {
        id: `unload:${number}`,
        kind: 'unload',
        after: [`test-cut:${number}`],
        title: `Take ${load} off the board`,
        body: 'Turn the board over and bend the board away from the film, not the film off the board.',
        why: 'Film that is bent back curls, and its small pieces lift.',
        handsMinutes: 1,
      },
    ];
  });
  const parts = loads.flatMap(({ strips }) => strips.flatMap((strip) => strip.parts.map(({ part }) => part)));
  const names = [...new Set(parts.filter(Boolean))].map(partTitle);
  if (parts.length > 1)
    steps.push({
      id: 'trim',
      kind: 'trim',
      after: ['every unload'],
      title: `Cut ${parts.length} parts apart with scissors`,
      body: `${names.length > 0 && names.length <= 12 ? `${names.join(', ')}. ` : ''}Between the parts, never through one. Keep the largest rest flat, with its film’s name on it.`,
      handsMinutes: Math.max(1, Math.round(parts.length / 3)),
      numbers: { count: parts.length },
    });
  return steps;
}

/** Which setting: as it was noted with the film; for several films in one pass the harder one decides. */
function settingOf(films: readonly Film[], settings: JobFacts['settings']): string {
  const noted = films.flatMap(({ id, name }) => (settings.get(id) ?? []).map((words) => `${name}: ${words}.`));
  if (noted.length === 0) return films.length > 1 ? 'One setting cuts all of them: that of the hardest film.' : '';
  return `Noted in your stock: ${noted.join(' ')}${films.length > 1 ? ' One pass, one setting: that of the harder film.' : ' A step lighter for intricate work.'}`;
}

const listed = (names: readonly string[]): string => new Intl.ListFormat('en-GB').format(names);
