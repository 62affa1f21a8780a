import {
  type BandSizes,
  type Blank,
  type FitCheck,
  itemsOfDrawing,
  type KeptDrawing,
  newMotif,
  newProject,
  newText,
  NEW_SCATTER,
  NO_ACTS,
  pairForBothHands,
  PLAIN_SEAM,
  type Project,
} from '@mivet/core';
import {
  bowLid,
  canGlass,
  coxGoblet,
  coxsBeaker,
  crewMug,
  flask,
  frostedBottle,
  landingPot,
  prizeBox,
  laneBall,
  steelTumbler,
  turnBuoy,
} from './demo-shelf.ts';
import { withSeason } from './demo-season.ts';

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

/** The starter's flag as it was drawn, 36 × 24 mm: a swallowtail with a round field. */
const STARTERS_FLAG: KeptDrawing = {
  widthMm: 36,
  heightMm: 24,
  colours: [
    { colour: '#d9593d', pathData: 'M-18 12L18 12L10 0L18 -12L-18 -12Z' },
    {
      colour: '#0f4c5c',
      pathData:
        'M-12 0C-12 3.314 -9.314 6 -6 6C-2.686 6 0 3.314 0 0C0 -3.314 -2.686 -6 -6 -6C-9.314 -6 -12 -3.314 -12 0Z',
    },
  ],
};

/** ISO. */
const hoursBefore = (now: string, hours: number): string => new Date(Date.parse(now) - 3_600_000 * hours).toISOString();

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
  // Figures one by one: six buoys in two rows, each on tape of its own, one of them across the seam.
  const marker = { ...newMotif('demo-marker-upper', 'buoy', 'ensign'), widthMm: 14, byItself: true };
  const beaker: Project = {
    ...newProject('demo-beaker', 'Marker-buoy beakers', coxsBeaker, coxsBeaker.id, now),
    items: [
      {
        ...marker,
        repeat: { mode: 'spaced', count: 3 },
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 16, turnDeg: 0 },
      },
      {
        ...marker,
        id: 'demo-marker-lower',
        film: 'deep-water',
        repeat: { mode: 'spaced', count: 3 },
        placement: { facing: 'angle', angleDeg: 60, from: 'base', mm: 14, turnDeg: 0 },
      },
    ],
  };
  // A drawing of the club's own, in two films, scattered over the glass: some turned, no two alike in size, the gaps filled.
  let flags = 0;
  const flagged: Project = {
    ...newProject('demo-flags', 'Starter’s flag glasses', triedOnPaper(canGlass, now), canGlass.id, now),
    accepted: [
      {
        findingId: 'registration-costly',
        reason: 'Thirty dots laid by hand would take an evening',
        signature: 'film look cost=46.3 most=40.0 loads=0.0',
      },
    ],
    items: itemsOfDrawing(
      STARTERS_FLAG,
      ['ensign', 'deep-water'],
      { name: 'Starter’s flag', source: 'Drawn by the club', rights: 'own' },
      20,
      () => `demo-flag-${(flags += 1)}`,
    ).map((item) => ({
      ...item,
      repeat: {
        mode: 'scattered',
        count: 18,
        scatter: { ...NEW_SCATTER, gapMm: 5, turnsDeg: [-25, 25], sizes: [0.8, 1.1], fill: true },
      },
    })),
  };
  // Goes with the mugs and the lids: all three are cut together.
  const box: Project = {
    ...newProject('demo-prize', 'Prize box', prizeBox, prizeBox.id, now),
    items: [
      {
        ...newMotif('demo-prize-boat', 'boat', 'deep-water'),
        widthMm: 96,
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: -12, turnDeg: 0 },
      },
      {
        ...newText('demo-prize-words', 'WILLOWMERE', 'ensign'),
        size: { by: 'box', mm: 110, highMm: 16 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 22, turnDeg: 0 },
      },
    ],
  };
  const all = [tumbler, mug, goblet, ball, pot, lid, buoy, pair, crest, bottle, heron, beaker, flagged, box];
  return withSeason(
    all.map((project, i) => ({
      ...project,
      // Begun one after the other, each worked on for some days, the first one last.
      createdAt: hoursBefore(now, 24 * (4 + 3 * i)),
      changedAt: hoursBefore(now, 2 + 31 * i),
    })),
    now,
  );
}
