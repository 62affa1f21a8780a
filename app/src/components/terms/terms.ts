/** A line of a small drawing, 72 × 44: what a blank or tool looks like, film, or what is only thought. */
export interface Stroke {
  readonly as: 'line' | 'film' | 'other film' | 'dashed' | 'strong';
  readonly d: string;
}

/** A term of the field: what it is in one sentence, with a small drawing. */
export interface Term {
  readonly word: string;
  /** How it may stand in a sentence, besides its word. */
  readonly also: readonly string[];
  readonly says: string;
  readonly drawing: readonly Stroke[];
}

const CUP = 'M20 6H52L47 40H25Z';
const ARC = 'M8 16Q36 4 64 16L58 38Q36 28 14 38Z';
const line = (d: string): Stroke => ({ as: 'line', d });
const film = (d: string): Stroke => ({ as: 'film', d });
const other = (d: string): Stroke => ({ as: 'other film', d });
const dashed = (d: string): Stroke => ({ as: 'dashed', d });
const strong = (d: string): Stroke => ({ as: 'strong', d });

/** In the order of the work. */
export const TERMS = {
  blank: { word: 'blank', also: ['blanks'], says: 'The plain cup, glass, lid or pot that is decorated.', drawing: [line(CUP)] }, // prettier-ignore
  girth: { word: 'girth', also: ['girths'], says: 'The way once round a blank, read with a tape.', drawing: [line(CUP), strong('M22 16Q36 22 50 16')] }, // prettier-ignore
  band: { word: 'band', also: ['bands'], says: 'The part of the side that film may cover, from the rim line down to the base line.', drawing: [line(CUP), film('M21.5 14H50.5L48 32H24Z')] }, // prettier-ignore
  rimLine: { word: 'rim line', also: ['rim edge'], says: 'The upper edge of the band: the template starts here, below the drinking edge.', drawing: [line(CUP), strong('M21.5 14H50.5')] }, // prettier-ignore
  taper: { word: 'taper', also: ['tapered'], says: 'How much wider a blank is at one end than at the other; it bends the template into an arc.', drawing: [line(CUP), dashed('M20 6V40M52 6V40')] }, // prettier-ignore
  template: { word: 'template', also: ['templates'], says: 'The side of the blank laid flat at true size: film cut to it fits the blank.', drawing: [line(ARC)] }, // prettier-ignore
  gore: { word: 'gore', also: ['gores'], says: 'One of several equal strips, pointed at both ends, that together cover a ball or bowl.', drawing: [film('M20 4Q30 22 20 40Q10 22 20 4Z'), film('M36 4Q46 22 36 40Q26 22 36 4Z'), film('M52 4Q62 22 52 40Q42 22 52 4Z')] }, // prettier-ignore
  patch: { word: 'patch', also: ['patches'], says: 'A round piece for one face of a ball, small enough to lie flat.', drawing: [line('M36 4a18 18 0 1 0 .1 0Z'), film('M36 13a9 9 0 1 0 .1 0Z')] }, // prettier-ignore
  strain: { word: 'strain', also: ['strains'], says: 'How much film is pulled or squeezed to follow a curve; past its limit it wrinkles or lifts.', drawing: [film('M14 14H58V30H14Z'), strong('M12 22H2M2 22l4 -3M2 22l4 3M60 22H70M70 22l-4 -3M70 22l-4 3')] }, // prettier-ignore
  tent: { word: 'tent', also: ['tents'], says: 'A ridge in which film stands off what it is laid on, because there is more of it than fits.', drawing: [line('M6 34H66'), film('M6 30H26C32 30 32 12 37 12C42 12 42 30 48 30H66V33H46C39 33 40 16 37 16C34 16 35 33 28 33H6Z')] }, // prettier-ignore
  seam: { word: 'seam', also: ['seams'], says: 'Where the two ends of a wrap meet on the blank.', drawing: [film('M8 12H35V32H8Z'), film('M37 12H64V32H37Z'), strong('M36 6V38')] }, // prettier-ignore
  lap: { word: 'lap', also: ['laps', 'overlap'], says: 'Extra film at one end of a wrap, laid over the other end.', drawing: [film('M8 12H42V32H8Z'), other('M34 16H64V36H34Z')] }, // prettier-ignore
  panel: { word: 'panel', also: ['panels'], says: 'One of several pieces side by side that a wrap is cut into, easier to lay than one long one.', drawing: [film('M6 12H24V34H6Z'), film('M27 12H45V34H27Z'), film('M48 12H66V34H48Z')] }, // prettier-ignore
  counter: { word: 'counter', also: ['counters'], says: 'The closed-in part of a letter, as in O or B: it is weeded first.', drawing: [film('M36 6a16 16 0 1 0 .1 0ZM36 15a7 7 0 1 1 -.1 0Z'), strong('M36 22h18')] }, // prettier-ignore
  fuse: { word: 'fuse overlaps', also: ['fused'], says: 'Letters or shapes that overlap become one piece, cut round the outside only.', drawing: [film('M12 22a11 11 0 0 1 20 -6a11 11 0 1 1 0 12a11 11 0 0 1 -20 -6Z')] }, // prettier-ignore
  mask: { word: 'mask', also: ['masks', 'stencil'], says: 'Film with openings that is taken off again: what is open is painted, etched, blasted or stripped.', drawing: [film('M14 6H58V38H14ZM36 13L44 31H28Z')] }, // prettier-ignore
  bridge: { word: 'bridge', also: ['bridges'], says: 'A thin strip that holds an island of a mask in place.', drawing: [film('M14 6H58V38H14ZM26 12V32H46V12H38V20H34V12Z')] }, // prettier-ignore
  inlay: { word: 'inlay', also: ['inlaid'], says: 'Films side by side: each is knocked out of those below, so that the surface stays thin and smooth.', drawing: [film('M10 16H26V28H10ZM46 16H62V28H46Z'), other('M27 16H45V28H27Z')] }, // prettier-ignore
  mark: { word: 'registration mark', also: ['registration marks'], says: 'Small squares cut beside each film at the same places: laid on each other, the layers line up.', drawing: [film('M22 14H50V30H22Z'), strong('M8 18h6v6h-6ZM58 18h6v6h-6Z')] }, // prettier-ignore
  spare: { word: 'spare', also: ['spares'], says: 'A copy cut beside the wrap, for what gets lost or spoilt.', drawing: [film('M8 8H64V24H8Z'), other('M8 30h10v8h-10Z')] }, // prettier-ignore
  load: { word: 'load', also: ['loads'], says: 'What goes through the cutter in one trip: strips of film side by side on one board.', drawing: [line('M8 6H64V38H8Z'), film('M12 10H24V34H12Z'), other('M28 10H40V34H28Z')] }, // prettier-ignore
  offcut: { word: 'offcut', also: ['offcuts'], says: 'What is left of a sheet or roll and large enough to be used again.', drawing: [line('M8 6H64V38H8Z'), dashed('M8 22H40V38'), film('M42 8H62V36H42Z')] }, // prettier-ignore
  liner: { word: 'liner', also: [], says: 'The paper under the film; the blade cuts the film and leaves the liner whole.', drawing: [line('M8 30H64V36H8Z'), film('M8 22H64V28H8Z')] }, // prettier-ignore
  weed: { word: 'weed', also: ['weeding', 'weeded', 'reverse weeding'], says: 'Pulling away the film that is not part of the design, after cutting.', drawing: [film('M24 14H48V32H24Z'), dashed('M6 6H66V38H6Z'), strong('M66 6l-10 6M66 6l-6 10')] }, // prettier-ignore
  transferTape: { word: 'transfer tape', also: [], says: 'Tape that carries the weeded film from its liner to the blank, all pieces in place.', drawing: [film('M22 16H32V30H22ZM40 16H50V30H40Z'), dashed('M10 8H62V36H10Z')] }, // prettier-ignore
  burnish: { word: 'burnish', also: [], says: 'Rubbing firmly with a flat edge so that film or tape sticks all over.', drawing: [film('M8 30H64V36H8Z'), line('M30 28L44 8L52 12L38 32Z')] }, // prettier-ignore
} as const satisfies Record<string, Term>;

export type TermId = keyof typeof TERMS;

/** Terms that stand in a text, in the order of the work. */
export function termsIn(text: string): TermId[] {
  return (Object.keys(TERMS) as TermId[]).filter((id) => {
    const { word, also }: Term = TERMS[id];
    return [word, ...also].some((form) => new RegExp(`\\b${form}\\b`, 'i').test(text));
  });
}
