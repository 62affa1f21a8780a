import type { ExerciseId } from '@mivet/core';

/** What an exercise is called, and what it asks. */
export interface ExerciseWords {
  readonly name: string;
  /** What it trains, in a line. */
  readonly about: string;
  /** What is to be done. */
  readonly asks: string;
}

export const EXERCISE_WORDS: Readonly<Record<ExerciseId, ExerciseWords>> = {
  'read-tape': {
    name: 'Read a tape',
    about: 'Level, from the front, at the zero line.',
    asks: 'How far is it round this mug? Turn it and push the tape about until you trust what you read.',
  },
  'which-height': {
    name: 'Upright or along the side',
    about: 'Two heights that differ by what the cup flares.',
    asks: 'A ruler is held to a cup. What does it show, and by how much would the flat be off if it were taken for something else?',
  },
  'close-seam': {
    name: 'Close a seam',
    about: 'Put readings right by a paper that was wrapped.',
    asks: 'A paper made by these readings does not close. Put them right, then wrap a new one.',
  },
  'lay-wrap': {
    name: 'Lay a wrap',
    about: 'What a hair at the start is at the far end.',
    asks: 'No film is lost here. Turn the sheet until it hangs true, press it on, and see where its ends land.',
  },
  'slit-ball': {
    name: 'Slits on a ball',
    about: 'Few, and each as deep as it has to be.',
    asks: 'A round sheet has to lie on a ball. How many slits from its edge, and how deep?',
  },
  'find-seam': {
    name: 'Find the seam',
    about: 'A way through that cuts nothing.',
    asks: 'Lead the seam from the rim to the base so that it goes through no piece. Both edges are the same place of the cup.',
  },
  'press-film': {
    name: 'Press film on',
    about: 'What is pressed first, and what then has nowhere to go.',
    asks: 'Press the sheet on with your thumb, stroke by stroke, and see where it tents. Lift it and begin again as often as you like.',
  },
  'spot-failing': {
    name: 'Spot the piece that will fail',
    about: 'Before Proof tells.',
    asks: 'One of these five will fail. Which one?',
  },
};
