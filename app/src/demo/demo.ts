import {
  NO_ACTS,
  PLAIN_SEAM,
  newBlank,
  newMotif,
  newProject,
  newShelfBlank,
  newText,
  pairForBothHands,
  type BandSizes,
  type Blank,
  type FitCheck,
  type Project,
  type Reading,
  type ShelfBlank,
  type Station,
} from '@mivet/core';

const read = (...typed: [string, number][]): Reading => ({
  how: 'tape',
  takes: typed.map(([text, mm]) => ({ typed: text, mm })),
  thicknessMm: 0.4,
});
const ruler = (...typed: [string, number][]): Reading => ({ ...read(...typed), how: 'ruler', thicknessMm: 0 });

const crewMug: Blank = {
  ...newBlank('demo-crew-mug', 'straight', 'Crew mug'),
  colour: '#F4F2EC',
  handleWidthMm: 22,
  handleClearanceMm: 6,
  bandBelowRimMm: 4,
  readings: { girthRim: read(['259', 259], ['25.9 cm', 259], ['10 3/16', 258.7625]), side: ruler(['86', 86]) },
  notes: 'White glaze, holds a hand-washed decal well.',
};

const steelTumbler: Blank = {
  ...newBlank('demo-steel-tumbler', 'tapered', 'Steel tumbler'),
  colour: '#C4CACD',
  bandBelowRimMm: 6,
  readings: {
    girthRim: read(['10 7/8', 276.225], ['276', 276], ['27.6 cm', 276]),
    girthBase: read(['214', 214], ['8 7/16', 214.3125]),
    side: ruler(['168', 168]),
  },
  notes: 'Brushed steel; the wider end is the rim.',
};

const canGlass: Blank = {
  ...newBlank('demo-can-glass', 'straight', 'Can-shaped glass'),
  surface: 'glass',
  colour: '#DCEBEC',
  readings: { girthRim: read(['236', 236]), side: ruler(['112', 112]) },
};

const coxsBeaker: Blank = {
  ...newBlank('demo-cox-beaker', 'tapered', 'Cox’s beaker'),
  surface: 'plastic',
  colour: '#E4D9C4',
  readings: { girthRim: read(['210', 210]), girthBase: read(['248', 248]), side: ruler(['96', 96]) },
  notes: 'Wider at the base: mind which way up the template goes.',
};

const flask: Blank = {
  ...newBlank('demo-flask', 'straight', 'Coated flask'),
  surface: 'powder-coated steel',
  colour: '#2F4A63',
  readings: { girthRim: read(['228', 228]), side: ruler(['150', 150]) },
  notes: 'For stripping the crest: one stays uncoated as a trial.',
};

/** Heights from the rim end of the band down, each with its girth; along the side unless said otherwise. */
const heights = (...pairs: [number, number][]): Station[] =>
  pairs.map(([down, girth], i) => ({
    id: `height-${i + 1}`,
    down: ruler([String(down), down]),
    girth: read([String(girth), girth]),
  }));

const coxGoblet: Blank = {
  ...newBlank('demo-goblet', 'profile', 'Cox’s goblet'),
  colour: '#DDE8EA',
  bandBelowRimMm: 12,
  stations: heights([0, 251], [20, 262], [40, 266], [60, 262], [80, 249]),
  notes: 'A band of laurel goes round the widest part.',
};

const frostedBottle: Blank = {
  ...newBlank('demo-bottle', 'profile', 'Frosted bottle'),
  colour: '#C9DAD6',
  bandBelowRimMm: 60,
  stations: heights([0, 110], [18, 150], [36, 206], [60, 238], [120, 238]),
  stationsAlong: 'upright',
  notes: 'The shoulder curves both ways; below it the side is straight.',
};

const landingPot: Blank = {
  ...newBlank('demo-pot', 'profile', 'Terracotta pot'),
  surface: 'raw terracotta',
  colour: '#B9694A',
  bandBelowRimMm: 26,
  rimClearanceMm: 0,
  stations: heights([0, 402], [45, 380], [90, 342], [130, 296]),
  notes: 'For the landing-stage stencil. Dust off first.',
};

const laneBall: Blank = {
  ...newBlank('demo-ball', 'ball', 'Glass ball, lane'),
  readings: { girth: read(['252', 252], ['25.3 cm', 253]) },
};

const turnBuoy: Blank = {
  ...newBlank('demo-balloon', 'balloon', 'Turn-buoy balloon'),
  readings: { girth: read(['880', 880]), overCrown: read(['478', 478]) },
  balloon: { gas: 'air', hours: 6, shrinkPerDay: 1.5 },
  notes: 'Air on a stick: helium would not last through the heats.',
};

const bowLid: Blank = {
  ...newBlank('demo-lid', 'lid', 'Tumbler lid'),
  colour: '#3A424D',
  baseClearanceMm: 3,
  readings: { across: ruler(['88', 88]), hole: ruler(['9', 9]), holeIn: ruler(['12', 12]) },
};

const prizeBox: Blank = {
  ...newBlank('demo-box', 'flat', 'Prize box'),
  colour: '#CDB48C',
  readings: { width: ruler(['160', 160]), height: ruler(['90', 90]) },
};

/** A dozen blanks of the made-up rowing club, of every kind. */
const SHELF: readonly (readonly [Blank, price: number | null, inStock: number | null])[] = [
  [crewMug, 4.5, 24],
  [steelTumbler, 11.9, 3],
  [canGlass, 2.8, 12],
  [coxsBeaker, 3.2, null],
  [flask, 14, 2],
  [coxGoblet, 8.5, null],
  [frostedBottle, 6, null],
  [landingPot, 5.4, 1],
  [laneBall, 1.9, null],
  [turnBuoy, 0.3, 40],
  [bowLid, null, null],
  [prizeBox, 7.2, 0],
];
export const demoShelf = (now: string): ShelfBlank[] =>
  SHELF.map(([blank, price, inStock]) => ({ ...newShelfBlank(blank, now), price, inStock }));

/** What the paper fit check of a blank came to, mm: sizes by the readings, by the paper, and their 1 σ; tests work it out. */
const sizes = (girthRim: number, girthBase: number, side: number): BandSizes => ({ girthRim, girthBase, side });
const TRIED: { readonly [blankId: string]: Pick<FitCheck, 'before' | 'after' | 'sigma'> } = {
  [steelTumbler.id]: {
    before: sizes(274.8184, 212.8996, 168),
    after: sizes(274.8184, 212.8996, 168),
    sigma: sizes(0.5238, 0.5127, 0.5),
  },
  [landingPot.id]: {
    before: sizes(400.7434, 294.7434, 130),
    after: sizes(406.3284, 298.8523, 130),
    sigma: sizes(0.6748, 0.558, 0.5),
  },
  [frostedBottle.id]: {
    before: sizes(236.7434, 236.7434, 54),
    after: sizes(236.7434, 236.7434, 54),
    sigma: sizes(0.4998, 0.4998, 0.5),
  },
  [canGlass.id]: {
    before: sizes(234.7434, 234.7434, 112),
    after: sizes(234.7434, 234.7434, 112),
    sigma: sizes(0.3536, 0.3536, 0.5),
  },
};

/** A blank whose paper closed without a gap when it was tried. */
const triedOnPaper = (blank: Blank, on: string): Blank => ({
  ...blank,
  fitCheck: { on, seen: { gapRimMm: 0, gapBaseMm: 0, standMm: 0 }, ...TRIED[blank.id]! },
});

/** Complete projects of the made-up Willowmere Rowing Club. */
export function demoProjects(now: string): Project[] {
  const name = { ...newText('demo-name', 'Marlow', 'deep-water'), font: 'script' as const };
  const mug: Project = {
    ...newProject('demo-mug', 'Crew mugs with names', crewMug, crewMug.id, now),
    items: [
      {
        ...name,
        text: 'Tansy',
        size: { by: 'cap', mm: 18 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 0 },
      },
      {
        ...newMotif('demo-oar', 'oar', 'ensign'),
        widthMm: 7,
        placement: { facing: 'drinker', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 35 },
      },
    ],
    names: {
      itemId: 'demo-name',
      widthMm: 58,
      leastCapMm: 8,
      closeMm: 0.5,
      rows: [
        ['Tansy', 'right'],
        ['Rowan', 'right'],
        ['Ida', 'left'],
        ['Fern', 'right'],
        ['Corwen', 'right'],
        ['Ottilie', 'left'],
        ['Bram', 'right'],
        ['Rosalind', 'right'],
      ].map(([text, hand], i) => ({
        id: `demo-seat-${i + 1}`,
        name: text!,
        count: 1,
        hand: hand as 'right' | 'left',
        capMm: null,
        blankId: null,
      })),
    },
    accepted: [
      {
        findingId: 'script-apart:demo-name:names',
        reason: 'Capitals stand alone in this hand; the tape keeps them together',
        signature: 'open look parts=2.0 gap=4.0',
      },
      {
        findingId: 'fine-stroke:demo-name:names',
        reason: 'Held through fifty washes on the last set',
        signature: 'thin look width=0.9 finest=1.0 count=1.0',
      },
    ],
    log: [
      {
        id: 'demo-log-1',
        at: now,
        outcome: 'note',
        text: 'Right-handed. Name opposite the handle, oar for the drinker.',
      },
    ],
  };
  const swell = newMotif('demo-swell', 'wave', 'deep-water');
  const tumbler: Project = {
    ...newProject('demo-tumbler', 'Stroke seat’s tumbler', triedOnPaper(steelTumbler, now), steelTumbler.id, now),
    items: [
      {
        ...swell,
        heightMm: 36,
        repeat: { mode: 'joined', count: 9 },
        placement: { facing: 'front', angleDeg: 0, from: 'base', mm: 14, turnDeg: 0 },
      },
      {
        ...newMotif('demo-ripple', 'wave', 'shallows'),
        heightMm: 30,
        repeat: { mode: 'joined', count: 9 },
        placement: { facing: 'front', angleDeg: 0, from: 'base', mm: 38, turnDeg: 0 },
      },
      {
        ...newText('demo-stroke', 'STROKE', 'ensign'),
        size: { by: 'cap', mm: 17 },
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 42, turnDeg: 0 },
      },
    ],
    seam: { ...PLAIN_SEAM, lapMm: 1 },
  };
  const goblet: Project = {
    ...newProject('demo-cup', 'Cox’s goblet', coxGoblet, coxGoblet.id, now),
    blank: { ...coxGoblet, flattening: { ...coxGoblet.flattening, keep: [6, 74] } },
    warm: true,
    items: [
      {
        ...newText('demo-cox', 'COX', 'hull'),
        size: { by: 'cap', mm: 20 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 0 },
      },
    ],
  };
  const ball: Project = {
    ...newProject('demo-lane', 'Lane 3 ball', laneBall, laneBall.id, now),
    items: [
      {
        ...newText('demo-three', '3', 'deep-water'),
        font: 'slab',
        running: 'rigid',
        size: { by: 'cap', mm: 20 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
      },
    ],
  };
  const pot: Project = {
    ...newProject('demo-landing', 'Landing-stage pot', triedOnPaper(landingPot, now), landingPot.id, now),
    warm: true,
    items: [
      {
        ...newMotif('demo-rope', 'rope', 'hull'),
        heightMm: 9,
        repeat: { mode: 'joined', count: 22 },
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 12, turnDeg: 0 },
      },
      {
        ...newMotif('demo-boats', 'boat', 'chalk'),
        widthMm: 60,
        running: 'round',
        repeat: { mode: 'spaced', count: 5 },
        placement: { facing: 'front', angleDeg: 36, from: 'middle', mm: 6, turnDeg: 0 },
      },
    ],
    seam: { ...PLAIN_SEAM, way: 'wandering', lapMm: 3, panels: 2 },
    boardId: 'long',
  };
  const lid: Project = {
    ...newProject('demo-bow', 'Bow-seat lids', bowLid, bowLid.id, now),
    items: [
      {
        ...newText('demo-bow-words', 'WILLOW', 'chalk'),
        running: 'rigid',
        size: { by: 'cap', mm: 8.2 },
        ring: { acrossMm: 23, tops: 'out', times: 2, between: 'star' },
      },
      {
        ...newText('demo-bow-number', '2', 'ensign'),
        font: 'slab',
        running: 'rigid',
        size: { by: 'cap', mm: 15 },
      },
    ],
  };
  const buoy: Project = {
    ...newProject('demo-turn', 'Turn-buoy balloons', turnBuoy, turnBuoy.id, now),
    items: [
      {
        ...newText('demo-turn-number', '4', 'hull'),
        font: 'slab',
        running: 'rigid',
        size: { by: 'cap', mm: 60 },
      },
    ],
  };
  let seats = 0;
  const pair: Project = {
    ...newProject('demo-pair', 'Pair for the two coxes', crewMug, crewMug.id, now),
    items: [
      {
        ...newMotif('demo-pair-heron', 'heron', 'deep-water'),
        widthMm: 30,
        placement: { facing: 'room', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 0 },
      },
      {
        ...newText('demo-pair-word', 'COX', 'ensign'),
        font: 'slab',
        size: { by: 'cap', mm: 15 },
        placement: { facing: 'drinker', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 0 },
      },
    ],
    names: pairForBothHands('right', () => `demo-pair-${(seats += 1)}`),
  };
  const crest: Project = {
    ...newProject('demo-crest-flask', 'Crest on the flask', flask, flask.id, now),
    process: 'strip',
    accepted: [
      { findingId: 'island:demo-crest-mask', reason: 'Laid with transfer tape', signature: 'loose look count=1.0' },
    ],
    // The plate stays on while the crest is stripped: up to the rim edge, and 12 mm past the crest.
    items: [
      {
        ...newMotif('demo-crest', 'crest', 'chalk'),
        widthMm: 46,
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 48, turnDeg: 0 },
        acts: { ...NO_ACTS, shapesOnly: true },
      },
      {
        ...newMotif('demo-crest-mask', 'plate', 'chalk'),
        widthMm: 70,
        heightMm: 119.2,
        running: 'level',
        repeat: { mode: 'once', count: 1 },
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 0, turnDeg: 0 },
        acts: { ...NO_ACTS, cutAway: ['demo-crest'] },
      },
    ],
  };
  const plate = newMotif('demo-fleet-mask', 'plate', 'night');
  const allRound = { widthMm: 236, running: 'level', repeat: { mode: 'joined', count: 1 } } as const;
  const bottle: Project = {
    ...newProject('demo-fleet-bottle', 'Boats on the frosted bottle', frostedBottle, frostedBottle.id, now),
    accepted: [
      { findingId: 'island:demo-fleet-mask', reason: 'Laid with transfer tape', signature: 'loose look count=3.0' },
    ],
    // Below the shoulder the side is straight. The ground is blasted; the boats stay as film in a clear field.
    process: 'blast',
    blank: triedOnPaper({ ...frostedBottle, flattening: { ...frostedBottle.flattening, keep: [66, 120] } }, now),
    items: [
      {
        ...newMotif('demo-fleet', 'boat', 'night'),
        widthMm: 58,
        running: 'level',
        repeat: { mode: 'spaced', count: 3 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 4, turnDeg: 0 },
        keepTogether: plate.id,
      },
      {
        ...plate,
        ...allRound,
        id: 'demo-fleet-field',
        heightMm: 25,
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 18.5, turnDeg: 0 },
        acts: { ...NO_ACTS, shapesOnly: true },
      },
      {
        ...plate,
        ...allRound,
        heightMm: 54,
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 0, turnDeg: 0 },
        keepTogether: plate.id,
        acts: { ...NO_ACTS, cutAway: ['demo-fleet-field'] },
      },
    ],
    seam: { ...PLAIN_SEAM, lapMm: 3 },
  };
  // Films on each other: a field, the heron on it, fish across its foot.
  const heron: Project = {
    ...newProject('demo-heron', 'Heron on the can glass', triedOnPaper(canGlass, now), canGlass.id, now),
    accepted: [
      {
        findingId: 'stack-overlap:demo-heron-fish:deep-water',
        reason: 'The fish hangs from the beak; it is rubbed down well there',
        signature: 'across look count=1.0 share=13.7',
      },
      {
        findingId: 'fine-stroke:demo-heron-fish',
        reason: 'A decorative glass, washed by hand',
        signature: 'thin look width=0.9 finest=1.0 count=1.0',
      },
    ],
    items: [
      {
        ...newMotif('demo-heron-field', 'plate', 'shallows'),
        widthMm: 58,
        heightMm: 64,
        running: 'level',
        repeat: { mode: 'once', count: 1 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 4, turnDeg: 0 },
      },
      {
        ...newMotif('demo-heron-bird', 'heron', 'deep-water'),
        widthMm: 34,
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 0 },
      },
      {
        ...newMotif('demo-heron-fish', 'fish', 'ensign'),
        widthMm: 16,
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 25, turnDeg: 0 },
      },
    ],
  };
  return [tumbler, mug, goblet, ball, pot, lid, buoy, pair, crest, bottle, heron];
}
