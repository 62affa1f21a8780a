import type { Stop } from '../../composables/stops.ts';
import type { TERMS } from '../terms/terms.ts';

/** Help at one place: what it is for, what one does there in order, and what helps when it will not go. */
export interface PlaceGuide {
  readonly title: string;
  readonly about: string;
  readonly steps: readonly string[];
  readonly hitch: string;
  readonly terms: readonly (keyof typeof TERMS)[];
}

/** Help at the stops of a project. */
export const STOP_GUIDES: Readonly<Record<Stop, PlaceGuide>> = {
  measure: {
    title: 'Measure',
    about: 'A few readings with a tape make the template. Everything later hangs on them.',
    steps: [
      'Choose what kind of thing it is.',
      'Lay the tape where the picture shows it, and type what you read, in mm, cm or inches with fractions.',
      'Take the readings that matter twice or three times; their mean is used, and their spread tells how well you measure.',
      'Keep the blank on the shelf: next time it is there.',
    ],
    hitch:
      'If a reading cannot be right, Mivet says which and why. Nothing is lost: what you typed stays until you change it.',
    terms: ['blank', 'girth', 'rimLine', 'taper'],
  },
  flat: {
    title: 'Flat',
    about: 'The side of the blank laid flat at true size: what you print, wrap and cut.',
    steps: [
      'Look at its shape: a straight cup gives a rectangle, a tapered one an arc.',
      'Where the side curves both ways, choose how it is laid flat, and see what that asks of the film.',
      'Print the fit paper, wrap it round the blank, and type in what you see at the ends.',
    ],
    hitch: 'If the paper does not close, the readings are off: type the gap in and take the sizes that Mivet offers.',
    terms: ['template', 'band', 'strain', 'gore', 'patch'],
  },
  artwork: {
    title: 'Artwork',
    about: 'Words, motifs and your own drawings, placed on the blank in millimetres or inches.',
    steps: [
      'Type a name, press a motif, or drop a drawing, picture or font anywhere on the page.',
      'Drag it on the flat; lines for the middle, the rim and other things catch it. Alt lets go of them.',
      'Set its size, film and where it faces on the slip. To measure its place, lay a strip of paper where it goes, mark both ends, and type its length as the width.',
      'Repeat it: once round, joined, spaced or scattered. One copy of a scatter is changed by pressing it.',
      'Make as many as you like, each with words, a motif, a film or a blank of its own.',
      'Watch the seam window: it brings both ends of a wrap together.',
    ],
    hitch: 'Undo goes back through everything, as far as you like. Arrow keys move a selected thing by 1 mm.',
    terms: ['seam', 'lap', 'counter', 'fuse', 'mask'],
  },
  proof: {
    title: 'Proof',
    about: 'What would go wrong is told before film is cut: worst first, each with its place and what mends it.',
    steps: [
      'Open a finding: its place is ringed on the blank and on the flat.',
      'Press a button that mends it, or accept it with a reason.',
      'Try with “What if” what a reading that is off would do at the seam.',
      'Where a blank curves both ways, see the film laid step by step: in which order it tents least, and what slits do.',
    ],
    hitch:
      'What will fail should be mended. What only wants a look is yours to judge: accepted, it stays quiet until its numbers change.',
    terms: ['seam', 'strain', 'tent', 'bridge'],
  },
  cut: {
    title: 'Cut',
    about: 'Films side by side on a board, as they go through the cutter.',
    steps: [
      'Choose the board that your cutter takes.',
      'Look how much of each film is used, and from where to where it lies.',
      'Write the cut files, or send the load to a cutter on the line.',
      'Book the film off your stock once it is cut.',
    ],
    hitch:
      'If a film does not fit, take a longer board, fewer pieces or panels: the slip says by how much it is too large.',
    terms: ['load', 'offcut', 'spare', 'mark', 'inlay'],
  },
  bench: {
    title: 'Bench',
    about: 'The steps for your hands, one at a time, with their waits and cautions.',
    steps: [
      'Press “Done, next” as you go; what waits has a timer.',
      'Where something goes wrong, “Went wrong” says what to do now, and changes the number for the next time.',
      'Several of a kind have a grid: a tick for each step on each; one can be put aside, or made again.',
      'Print the steps, or save them for the phone: what you tick there comes back.',
    ],
    hitch: 'What you have done is remembered, also when the page is closed.',
    terms: ['weed', 'transferTape', 'liner', 'burnish'],
  },
  log: {
    title: 'Log',
    about: 'What came of it, in a few words: next time you know.',
    steps: ['Write what went well and what did not.', 'Come back after weeks: does it still hold?'],
    hitch: 'Earlier copies of the project are kept here as well; any of them can be brought back.',
    terms: [],
  },
};

/** Help outside of projects, by the name of the view. */
export const PLACE_GUIDES: Readonly<Record<string, PlaceGuide>> = {
  projects: {
    title: 'Projects',
    about: 'Each thing you make is a project: it runs from the readings to the log along seven stops.',
    steps: [
      'Press New project and choose what you have in your hand.',
      'Open a project to go on where you left it.',
      'Cut together lays several of them on the same boards.',
    ],
    hitch: 'Projects live in this browser. A backup under My way carries them over to another.',
    terms: ['blank', 'template'],
  },
  shelf: {
    title: 'Shelf',
    about: 'Blanks that you measured once, ready for the next project.',
    steps: ['Find a blank by any of its words.', 'Start a project with it, or count how many you have.'],
    hitch: 'A table of blanks can be imported and saved, to share with others.',
    terms: ['blank', 'girth'],
  },
  stock: {
    title: 'Stock',
    about: 'Films, offcuts, transfer tape and cutters: plans are made from what you have.',
    steps: ['Add what lies on your shelf, with its width and length.', 'Book film off at Cut; offcuts go back here.'],
    hitch: 'Nothing here is needed to cut: without stock, plans are made as if any length were there.',
    terms: ['offcut', 'transferTape', 'liner'],
  },
  together: {
    title: 'Cut together',
    about: 'Several projects on the same boards: each film once, with the parts of all of them beside each other.',
    steps: [
      'Choose the projects that you cut on one day.',
      'Choose what your cutter takes, and look at the boards.',
      'Write the cut files: one for each load, with a guide that names every part.',
      'Book it once: each project knows its share.',
    ],
    hitch: 'What cannot be cut yet is named and left out; open it, put it right, and come back.',
    terms: ['load', 'offcut'],
  },
  'my-way': {
    title: 'My way',
    about: 'How you work: units, paper, limits, backups.',
    steps: ['Choose units and paper.', 'Change a limit where your hands know better.', 'Save a backup now and then.'],
    hitch: 'Every limit has its usual value beside it and goes back with Reset.',
    terms: [],
  },
};

/** A walk through one demo project, five stops. */
export const TOUR: readonly { readonly stop: Stop; readonly title: string; readonly says: string }[] = [
  {
    stop: 'measure',
    title: 'Three readings',
    says: 'A steel tumbler, measured with a tape as the picture shows. What you type stays as you typed it, and the sums below say what is made of it.',
  },
  {
    stop: 'flat',
    title: 'The side, flat',
    says: 'A tapered side unrolls to an arc. Print it with its rulers, wrap it, and see that it closes before film is cut.',
  },
  {
    stop: 'artwork',
    title: 'Artwork that closes',
    says: 'Nine waves run round and meet at the seam: look at the window below. Drag STROKE on the flat and see it move on the cup.',
  },
  {
    stop: 'proof',
    title: 'Judged before it is cut',
    says: 'Each finding names its place, its numbers and what mends it. Try “What if” to see what a reading that is off would do.',
  },
  {
    stop: 'cut',
    title: 'One load',
    says: 'Three films side by side on one board. One press writes the files; Bench then leads your hands step by step.',
  },
];

/** The project that the tour walks through. */
export const TOUR_PROJECT = 'demo-tumbler';
