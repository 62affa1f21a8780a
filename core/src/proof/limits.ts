/** One number that a judgement hangs on, with why it is what it is. */
export interface LimitInfo {
  readonly id: LimitId;
  readonly label: string;
  readonly why: string;
  readonly unit: 'mm' | 'mm²' | '%' | 'films' | 'years' | 'cm²';
  /** Starting value, and what it may be set to. */
  readonly usual: number;
  readonly least: number;
  readonly most: number;
}

/** Names of the numbers that judgements hang on. */
export type LimitId =
  | 'seamGap'
  | 'edgeDrift'
  | 'fitShare'
  | 'neighbourShare'
  | 'glanceDistance'
  | 'glanceEdge'
  | 'tinyPiece'
  | 'strokeTears'
  | 'strayFilm'
  | 'giveFails'
  | 'tentPresses'
  | 'maskMargin'
  | 'thinBridge'
  | 'thinOpening'
  | 'creepStrip'
  | 'creepEtch'
  | 'creepBlast'
  | 'creepPaint'
  | 'stackDeep'
  | 'marksCost'
  | 'filmOld';

/** The numbers that a job is judged by. */
export type Limits = Readonly<Record<LimitId, number>>;

const limit = (
  id: LimitId,
  label: string,
  usual: number,
  unit: LimitInfo['unit'],
  [least, most]: readonly [number, number],
  why: string,
): LimitInfo => ({ id, label, why, unit, usual, least, most });

/**
 * Every number that findings hang on, in the order in which they are met. Starting values; what a blank asks for itself
 * (rim, base, handle) is set with the blank, and what a film holds with the film.
 */
export const LIMITS: readonly LimitInfo[] = [
  limit('seamGap', 'Seam may miss by', 0.5, 'mm', [0.1, 5], 'A gap of half a millimetre shows as a line of bare cup.'),
  limit(
    'edgeDrift',
    'Rim edge may stray by',
    1,
    'mm',
    [0.1, 10],
    'The eye follows the rim: a millimetre off it shows.',
  ),
  limit(
    'fitShare',
    'Check on paper from',
    60,
    '%',
    [10, 101],
    'Share of the way round past which small errors add up.',
  ),
  limit(
    'neighbourShare',
    'Doubles at the seam under',
    50,
    '%',
    [5, 95],
    'Share of the pattern’s usual gap that looks crowded.',
  ),
  limit('glanceDistance', 'Seen from', 500, 'mm', [150, 5000], 'Eye to the middle of the blank, at arm’s length.'),
  limit(
    'glanceEdge',
    'Edge may look as narrow as',
    60,
    '%',
    [10, 95],
    'Letters squeezed further are guessed, not read.',
  ),
  limit('tinyPiece', 'Smallest piece', 2.5, 'mm', [0.5, 10], 'Smaller ones stay on the backing, or are lost.'),
  limit(
    'strokeTears',
    'Stroke is sure to tear under',
    50,
    '%',
    [5, 100],
    'Share of the finest stroke that its film holds.',
  ),
  limit('strayFilm', 'Film worth a load', 20, 'mm²', [0, 1000], 'Less than a fingernail costs a load and a laying.'),
  limit(
    'giveFails',
    'Sure to wrinkle past',
    150,
    '%',
    [100, 400],
    'Share of what film gives; up to it careful hands may lay it.',
  ),
  limit(
    'tentPresses',
    'Tent that presses flat',
    0.1,
    'mm',
    [0.02, 1],
    'A lower one goes down under a thumb; a higher one creases.',
  ),
  limit('maskMargin', 'Mask round the design', 12, 'mm', [2, 100], 'Gel, grit and paint get past an edge.'),
  limit('thinBridge', 'Thinnest bridge', 1, 'mm', [0.3, 10], 'Thinner ones tear when the mask is lifted.'),
  limit('thinOpening', 'Narrowest opening', 1, 'mm', [0.2, 10], 'Gel, grit and a brush hardly get into less.'),
  limit('creepStrip', 'Stripper creeps under by', 0.6, 'mm', [0, 5], 'Wet gel works in under the edges of a mask.'),
  limit('creepEtch', 'Etching creeps under by', 0.3, 'mm', [0, 5], 'Cream works in under the edges of a mask.'),
  limit('creepBlast', 'Blasting cuts under by', 0.5, 'mm', [0, 5], 'Grit wears the edges of a mask back.'),
  limit('creepPaint', 'Paint bleeds under by', 0.3, 'mm', [0, 5], 'Paint is drawn in under an edge that stands off.'),
  limit('stackDeep', 'Films on each other', 3, 'films', [1, 20], 'A higher edge catches, and lifts in the wash.'),
  limit('marksCost', 'Marks may cost', 40, 'cm²', [0, 2000], 'Film for squares that are thrown away.'),
  limit('filmOld', 'Film grows old after', 2, 'years', [0.5, 20], 'Old adhesive dries; film tears when it is weeded.'),
];

/** What is judged by until somebody changes it. */
export const USUAL_LIMITS = Object.fromEntries(LIMITS.map(({ id, usual }) => [id, usual])) as Limits;

/**
 * The limits with what a person changed.
 *
 * @param changed their own numbers, in the units of the table; what is no number is passed over, what is out of range is
 *   brought back into it
 */
export function limitsWith(changed: { readonly [id: string]: unknown }): Limits {
  return Object.fromEntries(
    LIMITS.map(({ id, usual, least, most }) => {
      const own = Object.hasOwn(changed, id) ? changed[id] : undefined;
      return [id, typeof own === 'number' && Number.isFinite(own) ? Math.min(most, Math.max(least, own)) : usual];
    }),
  ) as Limits;
}
