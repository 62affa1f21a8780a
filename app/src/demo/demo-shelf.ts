import { type Blank, newBlank, newShelfBlank, type Reading, type ShelfBlank, type Station } from '@mivet/core';

export const read = (...typed: [string, number][]): Reading => ({
  how: 'tape',
  takes: typed.map(([text, mm]) => ({ typed: text, mm })),
  thicknessMm: 0.4,
});

export const ruler = (...typed: [string, number][]): Reading => ({ ...read(...typed), how: 'ruler', thicknessMm: 0 });

export const crewMug: Blank = {
  ...newBlank('demo-crew-mug', 'straight', 'Crew mug'),
  colour: '#F4F2EC',
  handleWidthMm: 22,
  handleClearanceMm: 6,
  bandBelowRimMm: 4,
  readings: { girthRim: read(['259', 259], ['25.9 cm', 259], ['10 3/16', 258.7625]), side: ruler(['86', 86]) },
  notes: 'White glaze, holds a hand-washed decal well.',
};

export const steelTumbler: Blank = {
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

export const canGlass: Blank = {
  ...newBlank('demo-can-glass', 'straight', 'Can-shaped glass'),
  surface: 'glass',
  colour: '#DCEBEC',
  readings: { girthRim: read(['236', 236]), side: ruler(['112', 112]) },
};

export const coxsBeaker: Blank = {
  ...newBlank('demo-cox-beaker', 'tapered', 'Cox’s beaker'),
  surface: 'plastic',
  colour: '#E4D9C4',
  readings: { girthRim: read(['210', 210]), girthBase: read(['248', 248]), side: ruler(['96', 96]) },
  notes: 'Wider at the base: mind which way up the template goes.',
};

export const flask: Blank = {
  ...newBlank('demo-flask', 'straight', 'Coated flask'),
  surface: 'powder-coated steel',
  colour: '#2F4A63',
  readings: { girthRim: read(['228', 228]), side: ruler(['150', 150]) },
  notes: 'For stripping the crest: one stays uncoated as a trial.',
};

/** Heights from the rim end of the band down, each with its girth; along the side unless said otherwise. */
export const heights = (...pairs: [number, number][]): Station[] =>
  pairs.map(([down, girth], i) => ({
    id: `height-${i + 1}`,
    down: ruler([String(down), down]),
    girth: read([String(girth), girth]),
  }));

export const coxGoblet: Blank = {
  ...newBlank('demo-goblet', 'profile', 'Cox’s goblet'),
  colour: '#DDE8EA',
  bandBelowRimMm: 12,
  stations: heights([0, 251], [20, 262], [40, 266], [60, 262], [80, 249]),
  notes: 'A band of laurel goes round the widest part.',
};

export const frostedBottle: Blank = {
  ...newBlank('demo-bottle', 'profile', 'Frosted bottle'),
  colour: '#C9DAD6',
  bandBelowRimMm: 60,
  stations: heights([0, 110], [18, 150], [36, 206], [60, 238], [120, 238]),
  stationsAlong: 'upright',
  notes: 'The shoulder curves both ways; below it the side is straight.',
};

export const landingPot: Blank = {
  ...newBlank('demo-pot', 'profile', 'Terracotta pot'),
  surface: 'raw terracotta',
  colour: '#B9694A',
  bandBelowRimMm: 26,
  rimClearanceMm: 0,
  stations: heights([0, 402], [45, 380], [90, 342], [130, 296]),
  notes: 'For the landing-stage stencil. Dust off first.',
};

export const laneBall: Blank = {
  ...newBlank('demo-ball', 'ball', 'Glass ball, lane'),
  readings: { girth: read(['252', 252], ['25.3 cm', 253]) },
  capMm: 16,
};

export const turnBuoy: Blank = {
  ...newBlank('demo-balloon', 'balloon', 'Turn-buoy balloon'),
  readings: { girth: read(['880', 880]), overCrown: read(['478', 478]) },
  balloon: { gas: 'air', hours: 6, shrinkPerDay: 1.5 },
  notes: 'Air on a stick: helium would not last through the heats.',
};

export const bowLid: Blank = {
  ...newBlank('demo-lid', 'lid', 'Tumbler lid'),
  colour: '#3A424D',
  baseClearanceMm: 3,
  readings: { across: ruler(['88', 88]), hole: ruler(['9', 9]), holeIn: ruler(['12', 12]) },
};

export const prizeBox: Blank = {
  ...newBlank('demo-box', 'box', 'Prize box'),
  colour: '#CDB48C',
  face: 'front',
  readings: { width: ruler(['160', 160]), depth: ruler(['110', 110]), height: ruler(['90', 90]) },
};

/** A dozen blanks of the made-up rowing club, of every kind. */
export const SHELF: readonly (readonly [Blank, price: number | null, inStock: number | null])[] = [
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
