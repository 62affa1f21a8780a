import type { Habits } from '../model/habits.ts';

/** How everybody begins. */
export const USUAL_HABITS: Habits = {
  weeding: 'counters first',
  laying: 'as it suits',
  building: 'base up',
  aiming: 'parchment',
  seam: 'butt',
  washing: 'by hand',
  heat: 'cold',
  masks: 'with tape',
  batch: 'by step',
};

/** One way of doing something, and when it is the better one. */
export interface School<V extends string = string> {
  readonly value: V;
  readonly label: string;
  readonly better: string;
}

/** What people do differently: each question with its schools, the usual one first. */
export const SCHOOLS: {
  readonly [K in keyof Habits]: { readonly label: string; readonly schools: readonly School<Habits[K]>[] };
} = {
  weeding: {
    label: 'Weeding',
    schools: [
      { value: 'counters first', label: 'Counters first', better: 'Better for letters: what is loosest goes while everything round it still holds.' }, // prettier-ignore
      { value: 'ground first', label: 'Ground first', better: 'Better for a few large pieces: with the ground gone, one sees what is left inside.' }, // prettier-ignore
      { value: 'reverse', label: 'Reverse, from the tape', better: 'Better for tiny pieces, and for film that lets go of its liner.' }, // prettier-ignore
    ],
  },
  laying: {
    label: 'Laying',
    schools: [
      { value: 'as it suits', label: 'As it suits the piece', better: 'Better as a rule: decals from the middle, wraps from one end, tapers in halves.' }, // prettier-ignore
      {
        value: 'centre out',
        label: 'Middle first',
        better: 'Better where the front has to sit right, whatever the ends do.',
      },
      {
        value: 'one end round',
        label: 'From one end',
        better: 'Better for plain straight wraps: one start, one direction.',
      },
      {
        value: 'two halves',
        label: 'In two halves',
        better: 'Better for long wraps alone: never more than half the film hangs free.',
      },
    ],
  },
  building: {
    label: 'Layers',
    schools: [
      {
        value: 'base up',
        label: 'On the table, lowest first',
        better: 'Better as a rule: layers line up on the flat, and are laid once.',
      },
      { value: 'one tape', label: 'On one tape, topmost first', better: 'Better for few large layers: a single tape takes them up one after the other.' }, // prettier-ignore
      {
        value: 'on the blank',
        label: 'One by one on the blank',
        better: 'Better for thick films and tight curves: each layer finds its own way.',
      },
    ],
  },
  aiming: {
    label: 'Lining up',
    schools: [
      {
        value: 'parchment',
        label: 'Squares and parchment',
        better: 'Better for many small parts: it slides until the squares meet.',
      },
      { value: 'by eye', label: 'By eye', better: 'Better for a few parts that may sit a little off: quickest.' },
      {
        value: 'hinge',
        label: 'Taped hinge',
        better: 'Better on flat faces: one edge held, it folds down where it was tried.',
      },
    ],
  },
  seam: {
    label: 'Seam of a wrap',
    schools: [
      { value: 'butt', label: 'Edge to edge', better: 'Better to look at: nothing stands up.' },
      { value: 'lap', label: 'Lapped a little', better: 'Better where readings are unsure: no bare line shows.' },
      {
        value: 'gap',
        label: 'A gap, filled with spares',
        better: 'Better for patterns of small pieces: the last ones are set by eye.',
      },
    ],
  },
  washing: {
    label: 'Washing',
    schools: [
      { value: 'by hand', label: 'By hand only', better: 'Better for the film: it lasts longest.' },
      {
        value: 'dishwasher',
        label: 'Dishwasher, at own risk',
        better: 'Better only where the film’s own label allows it.',
      },
      {
        value: 'sealed',
        label: 'Sealed with a clear coat',
        better: 'Better for things in daily use, away from lips and food.',
      },
    ],
  },
  heat: {
    label: 'Warmth',
    schools: [
      { value: 'cold', label: 'Laid cold', better: 'Better as a rule: nothing shrinks back.' },
      { value: 'warm', label: 'Warmed to set', better: 'Better where film stands off at edges or over curves.' },
    ],
  },
  masks: {
    label: 'Masks',
    schools: [
      {
        value: 'with tape',
        label: 'With transfer tape',
        better: 'Better wherever middles lie loose: they stay in their place.',
      },
      {
        value: 'by hand',
        label: 'By hand',
        better: 'Better for masks in one piece: no tape lifts their edges afterwards.',
      },
    ],
  },
  batch: {
    label: 'Several at once',
    schools: [
      {
        value: 'by step',
        label: 'Step by step over all',
        better: 'Better for the hands: each thing is done while one is in it.',
      },
      {
        value: 'by cup',
        label: 'One after the other',
        better: 'Better for a first try: the second learns from the first.',
      },
    ],
  },
};

/** How a person works: as everybody begins, but for what they chose. */
export function habitsWith(own: { readonly [K in keyof Habits]?: Habits[K] | undefined } = {}): Habits {
  const chosen = Object.entries(own).filter(([, value]) => value !== undefined);
  return { ...USUAL_HABITS, ...Object.fromEntries(chosen) };
}
